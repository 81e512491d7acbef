/**
 * What a plan and its log of entries add up to on a given day; keeps no state of its own.
 */
@NullMarked
package app.velvetcrock.core.course;

import org.jspecify.annotations.NullMarked;
