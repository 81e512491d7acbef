/** Front: the sentence at the door, for whoever is not signed in. It knows no household, and keeps nothing. */
@NullMarked
package app.velvetcrock.front;

import org.jspecify.annotations.NullMarked;
