/** What went through the house: how much of each thing was taken, is left, and was made of what, within a stretch of time. */
@NullMarked
package app.velvetcrock.stock.flows;

import org.jspecify.annotations.NullMarked;
