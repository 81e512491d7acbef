/**
 * How long an oil keeps, with the whole sum; it never extends food and never judges by smell.
 */
@NullMarked
package app.velvetcrock.core.keeping;

import org.jspecify.annotations.NullMarked;
