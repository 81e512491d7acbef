/** Intake: reads what somebody has, told in one list, into what could be put away. It puts nothing away. */
@NullMarked
package app.velvetcrock.core.intake;

import org.jspecify.annotations.NullMarked;
