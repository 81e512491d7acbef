package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Mass;

/** How much is to be made. */
public sealed interface HowMuch {

    /** So much in all. */
    record Weight(Mass all) implements HowMuch {}

    /** So many containers of one kind, with what tops their hollows. */
    record Count(int count, Container container) implements HowMuch {}

    /** All the oil there is; the rest goes by it. */
    record AllTheOil(Mass oil) implements HowMuch {}
}
