/** What left the house: to whom, for how much, at which stall; gifts still to be given; taken back like any deed. */
@NullMarked
package app.velvetcrock.parting;

import org.jspecify.annotations.NullMarked;
