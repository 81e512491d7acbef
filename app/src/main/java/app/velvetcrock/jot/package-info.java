/** One line of shorthand: what was understood is shown before it is written, and is written wholly or not at all. */
@NullMarked
package app.velvetcrock.jot;

import org.jspecify.annotations.NullMarked;
