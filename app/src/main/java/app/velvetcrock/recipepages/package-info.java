/** The pages of recipes: kept plans, and lists read and measured. It keeps nothing itself. */
@NullMarked
package app.velvetcrock.recipepages;

import org.jspecify.annotations.NullMarked;
