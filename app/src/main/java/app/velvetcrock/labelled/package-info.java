/** What is kept of labels: what was printed and is it true still, their look, their papers, words on them, and what wants one. */
@NullMarked
package app.velvetcrock.labelled;

import org.jspecify.annotations.NullMarked;
