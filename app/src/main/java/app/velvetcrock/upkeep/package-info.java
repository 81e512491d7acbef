/**
 * What keeps the application in order over years, for all households alike: comparing, mending, clearing away.
 */
@NullMarked
package app.velvetcrock.upkeep;

import org.jspecify.annotations.NullMarked;
