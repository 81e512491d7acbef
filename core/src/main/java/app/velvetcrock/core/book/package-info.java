/** What was learned: batches beside each other, twins, what somebody reacted to, how far forecasts held (craft: learning). */
@NullMarked
package app.velvetcrock.core.book;

import org.jspecify.annotations.NullMarked;
