/**
 * Herb and oil in a vessel: displacement, cover, room, levels and the schools of ratio; knows no time and no method.
 */
@NullMarked
package app.velvetcrock.core.charge;

import org.jspecify.annotations.NullMarked;
