/**
 * The web edge shared by all places: clock, errors, one-time form keys, typed fields; imports no place.
 */
@NullMarked
package app.velvetcrock.web;

import org.jspecify.annotations.NullMarked;
