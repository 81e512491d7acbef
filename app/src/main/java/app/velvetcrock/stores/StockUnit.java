package app.velvetcrock.stores;

/** The one unit a lot is counted in. */
enum StockUnit {
    MILLIGRAM,
    MICROLITRE,
    PIECE
}
