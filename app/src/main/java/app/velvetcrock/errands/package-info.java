/** What is still to be got and to be made: the list to buy by, and makings that wait for their oil. It moves no stock. */
@NullMarked
package app.velvetcrock.errands;

import org.jspecify.annotations.NullMarked;
