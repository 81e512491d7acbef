/** Spirit as a measured thing: its strength, density and the water it brings. It plans nothing. */
@NullMarked
package app.velvetcrock.core.spirit;

import org.jspecify.annotations.NullMarked;
