/** How much water a herb holds, and what it weighs dried or fresh; it credits no drying by itself. */
@NullMarked
package app.velvetcrock.core.water;

import org.jspecify.annotations.NullMarked;
