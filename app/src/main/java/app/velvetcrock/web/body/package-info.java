/** Reads what a request carries before anything else looks at it, without keeping a thread waiting for it. */
@NullMarked
package app.velvetcrock.web.body;

import org.jspecify.annotations.NullMarked;
