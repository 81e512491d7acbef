/**
 * Households, their people, settings and signing in; knows nothing of herbs or jars.
 */
@NullMarked
package app.velvetcrock.stillroom;

import org.jspecify.annotations.NullMarked;
