/**
 * What people do: one type for each deed, made alike by a form, a line of shorthand or a device, and whether it may be done as
 * things stand. It does nothing itself.
 */
@NullMarked
package app.velvetcrock.core.deed;

import org.jspecify.annotations.NullMarked;
