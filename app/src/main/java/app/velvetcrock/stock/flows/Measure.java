package app.velvetcrock.stock.flows;

/** In what a thing is counted. */
public enum Measure {
    GRAM,
    MILLILITRE,
    PIECE
}
