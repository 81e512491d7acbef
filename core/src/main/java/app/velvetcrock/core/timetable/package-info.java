/**
 * When each stretch of the work falls in the hours somebody is home: forward from a start, backward from a need. It knows no task
 * and no log.
 */
@NullMarked
package app.velvetcrock.core.timetable;

import org.jspecify.annotations.NullMarked;
