package app.velvetcrock.core.charge;

/** Whether the oil stands over the herb. */
public enum Cover {
    /** Enough oil for the herb lying loose. */
    COVERS,
    /** Enough once the herb is pushed under or weighted. */
    COVERS_PUSHED_UNDER,
    WILL_NOT_COVER;

    public boolean isEnough() {
        return this != WILL_NOT_COVER;
    }
}
