package app.velvetcrock.core.jot;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/** A line as it was understood; while anything of it is in doubt, nothing of it is written. */
public record Jotted(List<Said> said, List<Doubt> doubts) {

    public Jotted {
        said = List.copyOf(said);
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
        return doubts.isEmpty() && !said.isEmpty();
    }
}
