package app.velvetcrock.condition;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something a finding asks of somebody, to be ticked: worded.
 *
 * @param what "Tell whoever has it:", "Smell:"
 * @param name what it is about
 * @param why by what finding
 * @param lot what it leads to
 * @param condition the finding; null where it was thrown out or kept back without one
 * @param subject the same for all that ask the very same
 */
public record Asked(
        UUID id, String what, String name, String why, Instant at, UUID lot, @Nullable UUID condition, UUID subject) {

    private static final int MOST = 600;

    static String word(FollowUps.Kind kind) {
        return switch (kind) {
            case TELL -> "Tell whoever has it:";
            case SMELL -> "Smell:";
        };
    }

    static String smelling(Kinship.Source source) {
        String words = source.others().isEmpty()
                ? source.name()
                : "%s, and what else was poured of it: %s".formatted(source.name(), source.others());
        return words.substring(0, Math.min(MOST, words.length()));
    }
}
