/** What somebody typed of a wish, as an address: the places that are its halves carry it along. It means nothing by itself. */
@NullMarked
package app.velvetcrock.sentence;

import org.jspecify.annotations.NullMarked;
