package app.velvetcrock.core.jot.said;

import java.util.List;
import java.util.UUID;

/**
 * What a line may be about.
 *
 * @param id of the batch, or of the lot of an oil or of what was made of one
 * @param name as the household calls it: "Yarrow", "Yarrow oil"
 * @param number of its batch; 0 for what belongs to none
 * @param alsoCalled its vessel, where that has a name: "crock"
 * @param takes what a melt takes, and goes by a name of its own
 */
public record Thing(UUID id, Kind kind, int number, String name, List<String> alsoCalled, List<Part> takes) {

    public Thing {
        alsoCalled = List.copyOf(alsoCalled);
        takes = List.copyOf(takes);
    }

    /** What nothing is stirred into. */
    public Thing(UUID id, Kind kind, int number, String name, List<String> alsoCalled) {
        this(id, kind, number, name, alsoCalled, List.of());
    }

    /**
     * What goes into a melt.
     *
     * @param name as it is read out: "beeswax"
     * @param alsoCalled what else it goes by: "wax"
     * @param stirredIn once it is off the heat, not melted
     */
    public record Part(String key, String name, List<String> alsoCalled, boolean stirredIn) {
        public Part {
            alsoCalled = List.copyOf(alsoCalled);
        }
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
        GOOD,
        /** A herb laid out to dry. */
        RACK,
        /** A herb in the stores. */
        HERB,
        /** Anything else in the stores: oils, waxes, butters, spirits. */
        STORE,
        /** What is in the pan. */
        MELT;

        public boolean isStanding() {
            return this == JAR || this == HEATED;
        }

        /** Stands in the Cupboard. */
        public boolean isFinished() {
            return this == OIL || this == GOOD;
        }

        /** Has a log in which words alone can stand. */
        public boolean keepsNotes() {
            return isStanding() || isFinished() || this == MELT;
        }
    }

    /** As a choice among several is written, and read again: "Yarrow 12". */
    public String exactly() {
        return number == 0 ? name : "%s %d".formatted(name, number);
    }
}
