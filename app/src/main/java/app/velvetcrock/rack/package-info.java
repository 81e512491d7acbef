/** What lies out to dry, weighed until it is dry. It makes the dried lot by the stock's own deeds. */
@NullMarked
package app.velvetcrock.rack;

import org.jspecify.annotations.NullMarked;
