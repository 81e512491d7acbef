/** Temperature over time: what heat an oil was given, by readings. It forecasts no temperature and holds no clock. */
@NullMarked
package app.velvetcrock.core.heat;

import org.jspecify.annotations.NullMarked;
