/**
 * Loads the made-up household through the same services that people use.
 */
@NullMarked
package app.velvetcrock.demo;

import org.jspecify.annotations.NullMarked;
