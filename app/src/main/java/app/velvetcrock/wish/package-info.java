/** Wish: one sentence from what is there to what is wanted, answered by one plan of the whole. It begins nothing by itself. */
@NullMarked
package app.velvetcrock.wish;

import org.jspecify.annotations.NullMarked;
