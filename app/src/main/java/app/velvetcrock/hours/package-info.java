/** When people are home and awake, and how long heat takes to come up there. It plans nothing. */
@NullMarked
package app.velvetcrock.hours;

import org.jspecify.annotations.NullMarked;
