package app.velvetcrock.stillroom;

/** Light, dark, or as the device asks. */
public enum Theme {
    DEVICE,
    LIGHT,
    DARK
}
