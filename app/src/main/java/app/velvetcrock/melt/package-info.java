/** Melt: the one way anything is done to what is in a pan or was poured of it, whichever place says it; it shows no page. */
@NullMarked
package app.velvetcrock.melt;

import org.jspecify.annotations.NullMarked;
