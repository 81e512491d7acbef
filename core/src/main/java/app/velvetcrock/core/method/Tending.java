package app.velvetcrock.core.method;

/**
 * What a standing charge asks for, and how often, counted in its stage's pace.
 *
 * @param everyAtFirst between two of them up to and including {@code first}
 * @param everyAfter between two of them from then on
 */
public record Tending(Kind kind, int everyAtFirst, int first, int everyAfter) {

    /** What is done at a tending. */
    public enum Kind {
        SHAKE,
        LOOK,
        /** The temperature is read and the water bath looked at. */
        READ
    }

    public Tending {
        if (everyAtFirst < 1 || everyAfter < 1 || first % everyAtFirst != 0) {
            throw new IllegalArgumentException(
                    "tending every %d up to %d, then every %d: steps are 1 or more and the first ones end evenly"
                            .formatted(everyAtFirst, first, everyAfter));
        }
    }

    /** When the tending of this ordinal, counted from 1, falls due: so many days or hours after the start. */
    public int at(int ordinal) {
        int early = first / everyAtFirst;
        return ordinal <= early ? ordinal * everyAtFirst : first + (ordinal - early) * everyAfter;
    }

    /** The rhythm that holds {@code offset} days or hours after the start. */
    public int everyAt(double offset) {
        return offset < first ? everyAtFirst : everyAfter;
    }
}
