/**
 * What is wrong with a batch or a lot until somebody answers it, and what is held back meanwhile; knows both by their ids alone.
 */
@NullMarked
package app.velvetcrock.condition;

import org.jspecify.annotations.NullMarked;
