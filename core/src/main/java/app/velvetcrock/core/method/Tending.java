package app.velvetcrock.core.method;

/**
 * What a standing jar asks for, and how often.
 *
 * @param everyDaysAtFirst days between two of them up to and including day {@code firstDays}
 * @param everyDaysAfter days between two of them from then on
 */
public record Tending(Kind kind, int everyDaysAtFirst, int firstDays, int everyDaysAfter) {

    /** What is done at a tending. */
    public enum Kind {
        SHAKE,
        LOOK
    }
}
