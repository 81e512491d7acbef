package app.velvetcrock.condition;

import app.velvetcrock.condition.FoundCondition.Answer;
import app.velvetcrock.stillroom.People;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Tells conditions as pages show them: by whom, how answered, and how far they travelled. */
@Component
class Telling {

    private final Kinship kinship;
    private final StandingNames standing;
    private final People people;

    Telling(Kinship kinship, StandingNames standing, People people) {
        this.kinship = kinship;
        this.standing = standing;
        this.people = people;
    }

    List<Told> told(List<FoundCondition> found) {
        if (found.isEmpty()) {
            return List.of();
        }
        Map<UUID, String> names = people.namesHere();
        Map<UUID, Reach> reaches = kinship.madeOf(found.stream()
                .filter(one -> one.travels && one.answer == null)
                .map(one -> new Kinship.Origin(one.id, one.batchId, one.lotId))
                .toList());
        Map<UUID, String> unfinished = unfinished(reaches.values());
        return found.stream()
                .map(one -> new Told(
                        one.id,
                        one.kind,
                        one.subject(),
                        one.foundAt,
                        names.getOrDefault(one.foundBy, "somebody"),
                        one.words,
                        reaches.getOrDefault(one.id, Reach.NOTHING),
                        alsoIn(one, reaches.getOrDefault(one.id, Reach.NOTHING), unfinished),
                        false,
                        Optional.ofNullable(one.answer)
                                .map(answer -> new Told.Answered(
                                        words(one, answer),
                                        Objects.requireNonNull(one.answeredAt),
                                        names.getOrDefault(one.answeredBy, "somebody"),
                                        one.byHand,
                                        Optional.ofNullable(one.answerSource)))))
                .toList();
    }

    private Map<UUID, String> unfinished(Collection<Reach> reaches) {
        Set<UUID> batches =
                reaches.stream().flatMap(reach -> reach.unfinished().stream()).collect(Collectors.toSet());
        return batches.isEmpty() ? Map.of() : standing.called(batches);
    }

    /** What it travelled to and is still there, by name. */
    private static List<String> alsoIn(FoundCondition one, Reach reach, Map<UUID, String> unfinished) {
        return Stream.concat(
                        reach.there().stream()
                                .filter(lot -> !lot.lot().equals(one.lotId)
                                        && (one.lotId != null || !Objects.equals(one.batchId, lot.batch())))
                                .map(Reach.Reached::name),
                        unfinished.entrySet().stream()
                                .filter(batch -> reach.batches().contains(batch.getKey())
                                        && !batch.getKey().equals(one.batchId))
                                .map(Map.Entry::getValue))
                .distinct()
                .sorted()
                .toList();
    }

    static String words(FoundCondition one, Answer answer) {
        String said = one.answerWords == null || one.answerWords.isBlank() ? "" : ": " + one.answerWords;
        return switch (answer) {
            case THROWN_OUT -> "thrown out";
            case DEALT_WITH -> "dealt with" + said;
            case TAKEN_BACK -> "it was not so" + said;
        };
    }
}
