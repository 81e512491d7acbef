/** Tend: a batch's own page, and all that is done to it while it stands. It strains nothing and plans nothing anew. */
@NullMarked
package app.velvetcrock.tend;

import org.jspecify.annotations.NullMarked;
