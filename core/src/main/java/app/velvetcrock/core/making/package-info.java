/** What is made of oils and waxes: firmness by mass. It melts nothing and dates nothing. */
@NullMarked
package app.velvetcrock.core.making;

import org.jspecify.annotations.NullMarked;
