/** The way in for probes and scales: an interface of its own without session, and the pages where their tokens are made. */
@NullMarked
package app.velvetcrock.devices;

import org.jspecify.annotations.NullMarked;
