/** Wish: from what is there and what is wanted to one plan of the whole. It knows no household, and begins nothing. */
@NullMarked
package app.velvetcrock.core.wish;

import org.jspecify.annotations.NullMarked;
