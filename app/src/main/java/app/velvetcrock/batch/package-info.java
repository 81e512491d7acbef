/**
 * Batches: frozen plans, their logs and undo; derives where they stand and draws nothing.
 */
@NullMarked
package app.velvetcrock.batch;

import org.jspecify.annotations.NullMarked;
