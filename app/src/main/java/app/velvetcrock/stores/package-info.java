/**
 * Lots, jars and the ledger; the only place that changes a balance.
 */
@NullMarked
package app.velvetcrock.stores;

import org.jspecify.annotations.NullMarked;
