/**
 * What stands here today: every standing batch drawn as its own jar.
 */
@NullMarked
package app.velvetcrock.shelf;

import org.jspecify.annotations.NullMarked;
