/**
 * Today's tasks over all batches, in time order; it derives them each time and stores nothing.
 */
@NullMarked
package app.velvetcrock.rounds;

import org.jspecify.annotations.NullMarked;
