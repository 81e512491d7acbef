package app.velvetcrock.core.jot;

import java.util.List;
import java.util.UUID;

/**
 * What a line may be about.
 *
 * @param id of the batch, or of the lot of an oil or of what was made of one
 * @param number of its batch
 * @param name as the household calls it: "Yarrow", "Yarrow oil"
 * @param alsoCalled its vessel, where that has a name: "crock"
 */
public record Thing(UUID id, Kind kind, int number, String name, List<String> alsoCalled) {

    public Thing {
        alsoCalled = List.copyOf(alsoCalled);
    }

    /** What may be done to it. */
    public enum Kind {
        /** Stands cold. */
        JAR,
        /** Stands on heat, or is put on it. */
        HEATED,
        /** A finished oil. */
        OIL,
        /** Poured of an oil, and counted: tins, sticks, bars. */
        GOOD;

        public boolean isStanding() {
            return this == JAR || this == HEATED;
        }
    }

    /** As a choice among several is written, and read again: "Yarrow 12". */
    public String exactly() {
        return "%s %d".formatted(name, number);
    }
}
