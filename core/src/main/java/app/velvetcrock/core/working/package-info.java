/**
 * A worked sum: the terms behind a figure, where each comes from and what limits it; renders nothing.
 */
@NullMarked
package app.velvetcrock.core.working;

import org.jspecify.annotations.NullMarked;
