/** Recipes as they are kept: plans to be made again, and lists to be read. Their pages stand elsewhere. */
@NullMarked
package app.velvetcrock.recipes;

import org.jspecify.annotations.NullMarked;
