/** Signing up, in and out, sessions and settings. What a household is, it leaves to the stillroom. */
@NullMarked
package app.velvetcrock.door;

import org.jspecify.annotations.NullMarked;
