/** Making along: what was planned at the pan, weighed, melted, tested, stirred, poured and set, step by step. It plans nothing. */
@NullMarked
package app.velvetcrock.hob;

import org.jspecify.annotations.NullMarked;
