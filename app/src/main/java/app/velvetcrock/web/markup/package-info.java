/** How templates become pages: the marks of our own, and what makes drawing them quick. */
@NullMarked
package app.velvetcrock.web.markup;

import org.jspecify.annotations.NullMarked;
