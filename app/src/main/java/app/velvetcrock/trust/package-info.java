/** The household's own authority: handed to a phone, so that it trusts this machine; in the clear nothing else is served. */
@NullMarked
package app.velvetcrock.trust;

import org.jspecify.annotations.NullMarked;
