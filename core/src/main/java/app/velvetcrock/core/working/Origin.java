package app.velvetcrock.core.working;

/** Where a number in a sum comes from. */
public enum Origin {
    /** Typed or stored by the household. */
    GIVEN,
    /** A standard or published figure. */
    STANDARD,
    /** Our working estimate, replaced by the household's own numbers when there are any. */
    ESTIMATE,
    /** Learned from the household's own measurements. */
    OWN,
    /** Worked out from the terms above it. */
    WORKED_OUT
}
