/**
 * Finished oils and how long they keep.
 */
@NullMarked
package app.velvetcrock.cupboard;

import org.jspecify.annotations.NullMarked;
