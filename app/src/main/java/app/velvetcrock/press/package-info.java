/**
 * Straining and measuring a batch.
 */
@NullMarked
package app.velvetcrock.press;

import org.jspecify.annotations.NullMarked;
