/**
 * Pictures with a look, a straining, a label or a reaction: taken in small, decoded and written anew without place and device, shown beside
 * what they are of, and described for whoever cannot see them.
 */
@NullMarked
package app.velvetcrock.pictures;

import org.jspecify.annotations.NullMarked;
