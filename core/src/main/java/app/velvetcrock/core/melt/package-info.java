/** Melt: what could be made in a pan of what a kitchen has, worked out before any of it is weighed. It begins nothing. */
@NullMarked
package app.velvetcrock.core.melt;

import org.jspecify.annotations.NullMarked;
