/**
 * Cautions and refusals by thing and use, read from commented resource files; not medical advice.
 */
@NullMarked
package app.velvetcrock.core.caution;

import org.jspecify.annotations.NullMarked;
