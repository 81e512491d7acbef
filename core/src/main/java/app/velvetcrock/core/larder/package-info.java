/** Larder: what a kitchen has to work with, as values: lots, vessels, sources, hours. It counts nothing and changes nothing. */
@NullMarked
package app.velvetcrock.core.larder;

import org.jspecify.annotations.NullMarked;
