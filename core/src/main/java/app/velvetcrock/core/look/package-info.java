/** What is seen and smelled at a jar or a bottle, and what to do about it. It judges; it writes nothing down. */
@NullMarked
package app.velvetcrock.core.look;

import org.jspecify.annotations.NullMarked;
