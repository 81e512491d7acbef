/** Pages of what leaves the house: people, gifts, a day at the stall, and recalls. */
@NullMarked
package app.velvetcrock.stall;

import org.jspecify.annotations.NullMarked;
