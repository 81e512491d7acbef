/**
 * The application: one package for each place of the stillroom; holds no rules of the craft.
 */
@NullMarked
package app.velvetcrock;

import org.jspecify.annotations.NullMarked;
