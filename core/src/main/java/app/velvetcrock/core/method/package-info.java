/**
 * Ways of infusing as templates made of stages; holds durations, bands and tending, and measures nothing.
 */
@NullMarked
package app.velvetcrock.core.method;

import org.jspecify.annotations.NullMarked;
