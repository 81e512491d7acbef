/** What leaves the house: to whom it may be given, gifts asked for in one sentence, and a stall's day. */
@NullMarked
package app.velvetcrock.core.parting;

import org.jspecify.annotations.NullMarked;
