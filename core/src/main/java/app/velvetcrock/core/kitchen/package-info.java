/** Reads and writes amounts, days and moments as people in a kitchen say them. It judges nothing that was read. */
@NullMarked
package app.velvetcrock.core.kitchen;

import org.jspecify.annotations.NullMarked;
