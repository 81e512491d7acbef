/** Ways of infusing of the household's own: a shipped one with other numbers, under a name. */
@NullMarked
package app.velvetcrock.ways;

import org.jspecify.annotations.NullMarked;
