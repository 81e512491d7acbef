package app.velvetcrock.batch;

/** What a batch makes; all kinds share one series of numbers, one log, one ledger and one lineage. */
enum BatchKind {
    /** Herb infused into oil. */
    INFUSION,
    /** Salve, balm or the like made of oil. */
    MAKING
}
