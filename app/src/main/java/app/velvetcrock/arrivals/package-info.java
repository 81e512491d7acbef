/** Arrivals: everything that is there, told in one list, looked at and put away with one tap. It keeps no stock of its own. */
@NullMarked
package app.velvetcrock.arrivals;

import org.jspecify.annotations.NullMarked;
