/** Vessels and sources of heat the household has. What stands in them is known elsewhere. */
@NullMarked
package app.velvetcrock.kit;

import org.jspecify.annotations.NullMarked;
