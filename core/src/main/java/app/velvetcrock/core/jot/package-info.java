/** One line of shorthand, read into what was done: never guessed, what is not understood is marked and asked about (craft: jot). */
@NullMarked
package app.velvetcrock.core.jot;

import org.jspecify.annotations.NullMarked;
