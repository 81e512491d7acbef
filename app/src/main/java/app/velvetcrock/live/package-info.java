/** Tells open pages that something changed in their stillroom, and what; never how it stands now, which they ask for themselves. */
@NullMarked
package app.velvetcrock.live;

import org.jspecify.annotations.NullMarked;
