/** The one way anything is done at the stores: who does what is said by the places, what may be done by the core. */
@NullMarked
package app.velvetcrock.stock.deeds;

import org.jspecify.annotations.NullMarked;
