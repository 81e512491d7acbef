/**
 * Geometry of the drawings: pixels from domain values; the markup is in templates.
 */
@NullMarked
package app.velvetcrock.draw;

import org.jspecify.annotations.NullMarked;
