/**
 * What every place may be asked for by the upkeep of the whole.
 */
@NullMarked
package app.velvetcrock.web.upkeep;

import org.jspecify.annotations.NullMarked;
