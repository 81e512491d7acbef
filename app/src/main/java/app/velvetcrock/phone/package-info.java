/** What a browser keeps for when the network is away: the worker with the hashes of what is served, and whose a page is. Keeps nothing. */
@NullMarked
package app.velvetcrock.phone;

import org.jspecify.annotations.NullMarked;
