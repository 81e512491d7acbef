/** Several questions asked of the database in one trip. */
@NullMarked
package app.velvetcrock.web.trip;

import org.jspecify.annotations.NullMarked;
