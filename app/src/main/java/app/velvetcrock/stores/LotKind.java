package app.velvetcrock.stores;

/** What a lot is. */
public enum LotKind {
    HERB,
    CARRIER,
    WAX,
    SPIRIT,
    INFUSED_OIL,
    MADE,
    CONTAINER
}
