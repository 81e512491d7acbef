/**
 * One plan from one request: charge, method, yield, keeping and cautions together; stores nothing.
 */
@NullMarked
package app.velvetcrock.core.planning;

import org.jspecify.annotations.NullMarked;
