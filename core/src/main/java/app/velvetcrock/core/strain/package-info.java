/**
 * What pressing gives back and what it keeps; forecasts yield, and says nothing of how long it lasts.
 */
@NullMarked
package app.velvetcrock.core.strain;

import org.jspecify.annotations.NullMarked;
