package app.velvetcrock.core.jot;

import app.velvetcrock.core.intake.Arriving;
import app.velvetcrock.core.jot.said.Fact;
import app.velvetcrock.core.jot.said.Thing;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A line as it was understood; while anything of it is in doubt, nothing of it is written.
 *
 * @param arrived what came into the house: no thing that is here yet
 */
public record Jotted(List<Said> said, List<Arriving> arrived, List<Doubt> doubts) {

    public Jotted {
        said = List.copyOf(said);
        arrived = List.copyOf(arrived);
        doubts = List.copyOf(doubts);
    }

    /**
     * What was done to one thing.
     *
     * @param at when; absent for now
     * @param note in the writer's own words; empty for none
     */
    public record Said(Thing thing, List<Fact> facts, Optional<LocalDateTime> at, String note) {
        public Said {
            facts = List.copyOf(facts);
        }

        /** As somebody scribbles it; read again it is the same. */
        public String scribbled() {
            return "%s %s%s%s"
                    .formatted(
                            thing.exactly().toLowerCase(Locale.ROOT),
                            facts.stream().map(Fact::scribbled).collect(Collectors.joining(", ")),
                            at.map(moment -> " " + MOMENT.format(moment)).orElse(""),
                            note.isEmpty() ? "" : " - " + note);
        }

        private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH);
    }

    /**
     * Words that are not settled.
     *
     * @param from where they stand in the line, and {@code to}; the same for something that is missing
     * @param why what is asked
     * @param choices what may stand there instead, each by one tap
     */
    public record Doubt(int from, int to, String why, List<String> choices) {
        public Doubt {
            choices = List.copyOf(choices);
        }
    }

    public boolean isClear() {
        return doubts.isEmpty() && !(said.isEmpty() && arrived.isEmpty());
    }

    /** How a line may go on: the words that follow, and the line with them. */
    public record Ahead(String words, String line) {}
}
