/**
 * Quantities over one canonical unit each, and the reading and writing of them in kitchen language; knows no herb, oil or jar.
 */
@NullMarked
package app.velvetcrock.core.measure;

import org.jspecify.annotations.NullMarked;
