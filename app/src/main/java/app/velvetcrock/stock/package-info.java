/** The kernel of all that has stock: lots, their ledger and what became of them. It has no pages and knows no batch. */
@NullMarked
package app.velvetcrock.stock;

import org.jspecify.annotations.NullMarked;
