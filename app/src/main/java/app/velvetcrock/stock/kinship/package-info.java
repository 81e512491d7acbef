/** What was made of what, walked by the movements of the ledger; it moves nothing. */
@NullMarked
package app.velvetcrock.stock.kinship;

import org.jspecify.annotations.NullMarked;
