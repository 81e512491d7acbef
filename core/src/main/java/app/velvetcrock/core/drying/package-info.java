/** Drying herb followed by weighing: how wet it is, when it will be dry, and when the air is too damp. It holds no clock. */
@NullMarked
package app.velvetcrock.core.drying;

import org.jspecify.annotations.NullMarked;
