package app.velvetcrock.core.caution;

/**
 * One caution as shown.
 *
 * @param head a few words, which also go on the label
 * @param text one plain sentence
 * @param onLabel true when the label must carry it
 */
public record Caution(Level level, String head, String text, boolean onLabel) {}
