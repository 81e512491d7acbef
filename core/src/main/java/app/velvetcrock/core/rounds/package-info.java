/** The tasks of a batch, derived from its plan and its log; what is asked, when, and what was done. It stores nothing. */
@NullMarked
package app.velvetcrock.core.rounds;

import org.jspecify.annotations.NullMarked;
