/**
 * Simulated devices that ship with the application: a probe in a pot, and a scale. They speak the open interface as any device of
 * one's own would, and know nothing else of the application.
 */
@NullMarked
package app.velvetcrock.standin;

import org.jspecify.annotations.NullMarked;
