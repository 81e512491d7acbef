/** Kit: vessels with what stands in them, what heats, measures and presses, and its trial with plain water. It plans nothing. */
@NullMarked
package app.velvetcrock.toolshelf;

import org.jspecify.annotations.NullMarked;
