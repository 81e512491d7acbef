/** Bench: what could be charged of what a kitchen has, in which vessel, by which way and when. It begins nothing. */
@NullMarked
package app.velvetcrock.core.bench;

import org.jspecify.annotations.NullMarked;
