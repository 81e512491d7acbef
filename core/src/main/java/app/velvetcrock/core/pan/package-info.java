/** How a making goes on: its frozen plan, the lines of its log, where it stands and what is next. Its sums are {@code making}'s. */
@NullMarked
package app.velvetcrock.core.pan;

import org.jspecify.annotations.NullMarked;
