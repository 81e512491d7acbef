/** What a line of shorthand can say, of what: each with its words, and as it is scribbled. Reads nothing. */
@NullMarked
package app.velvetcrock.core.jot.said;

import org.jspecify.annotations.NullMarked;
