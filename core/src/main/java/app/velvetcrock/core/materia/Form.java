package app.velvetcrock.core.materia;

/** The look of a herb layer: what its pieces are like to the eye. */
public enum Form {
    LEAF,
    FLOWER,
    BUD,
    ROOT,
    POWDER
}
