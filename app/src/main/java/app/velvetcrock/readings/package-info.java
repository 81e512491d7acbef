/** What devices say: who they are, what probes read and scales weigh, and how far courses of heat were added up from it; no pages. */
@NullMarked
package app.velvetcrock.readings;

import org.jspecify.annotations.NullMarked;
