/** What a label says of something made: ingredients in order with their INCI names, allergens, and words that may not stand on it. */
@NullMarked
package app.velvetcrock.core.label;

import org.jspecify.annotations.NullMarked;
