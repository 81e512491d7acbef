package app.velvetcrock.core.caution;

/** How much a caution weighs. */
public enum Level {
    /** Not to be made for this use. */
    REFUSE,
    WARN,
    NOTE
}
