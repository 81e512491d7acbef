/** Ingredient lists in anybody's measures, turned into grams; each line is understood or asked about, and nothing is guessed. */
@NullMarked
package app.velvetcrock.core.recipe;

import org.jspecify.annotations.NullMarked;
