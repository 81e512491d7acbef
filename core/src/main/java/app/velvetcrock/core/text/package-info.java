/** How what people and devices write is searched. */
@NullMarked
package app.velvetcrock.core.text;

import org.jspecify.annotations.NullMarked;
