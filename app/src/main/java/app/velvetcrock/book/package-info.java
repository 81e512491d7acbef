/** The Book: what was learned. Batches beside each other, twins, and what somebody reacted to. */
@NullMarked
package app.velvetcrock.book;

import org.jspecify.annotations.NullMarked;
