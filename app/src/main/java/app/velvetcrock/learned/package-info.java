/** What was learned and is kept: twins and what was said of them, what somebody used and how her skin took it. */
@NullMarked
package app.velvetcrock.learned;

import org.jspecify.annotations.NullMarked;
