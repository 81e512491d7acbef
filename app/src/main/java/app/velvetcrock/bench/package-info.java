/**
 * Planning a batch and starting it; computes nothing itself, the core does.
 */
@NullMarked
package app.velvetcrock.bench;

import org.jspecify.annotations.NullMarked;
