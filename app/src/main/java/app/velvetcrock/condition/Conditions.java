package app.velvetcrock.condition;

import app.velvetcrock.condition.FoundCondition.Answer;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.PerRequest;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Refused.AlreadyDone;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Opens conditions, tells of them, answers them, and refuses what they hold back. */
@Service
public class Conditions {

    private final ConditionRepository conditions;
    private final People people;
    private final Clock clock;

    Conditions(ConditionRepository conditions, People people, Clock clock) {
        this.conditions = conditions;
        this.people = people;
        this.clock = clock;
    }

    /** Every open condition of the household, the oldest first. */
    @Transactional(readOnly = true)
    public List<Told> open() {
        return PerRequest.of("conditions", Current.person(), () -> told(conditions.open()));
    }

    @Transactional(readOnly = true)
    public Told find(UUID id) {
        return told(List.of(conditions.findHere(id).orElseThrow(() -> new NotHere("that condition"))))
                .get(0);
    }

    /** Every condition of a batch and of the lots that came of it, answered ones too. */
    @Transactional(readOnly = true)
    public List<Told> ofBatch(UUID batch) {
        return told(conditions.ofBatch(batch));
    }

    /** Every condition of a lot of the stores, answered ones too. */
    @Transactional(readOnly = true)
    public List<Told> ofLot(UUID lot) {
        return told(conditions.ofLot(lot));
    }

    private List<Told> told(List<FoundCondition> found) {
        if (found.isEmpty()) {
            return List.of();
        }
        Map<UUID, String> names = people.namesHere();
        return found.stream()
                .map(one -> new Told(
                        one.id,
                        one.kind,
                        one.subject(),
                        one.foundAt,
                        names.getOrDefault(one.foundBy, "somebody"),
                        one.words,
                        Optional.ofNullable(one.answer)
                                .map(answer -> new Told.Answered(
                                        words(one, answer),
                                        Objects.requireNonNull(one.answeredAt),
                                        names.getOrDefault(one.answeredBy, "somebody"),
                                        one.byHand,
                                        Optional.ofNullable(one.answerSource)))))
                .toList();
    }

    private static String words(FoundCondition one, Answer answer) {
        String said = one.answerWords == null || one.answerWords.isBlank() ? "" : ": " + one.answerWords;
        return switch (answer) {
            case THROWN_OUT -> "thrown out";
            case DEALT_WITH -> "dealt with" + said;
            case TAKEN_BACK -> "it was not so" + said;
        };
    }

    /** Opens what a deed found; each line that finds it counts by itself, so that taking one back leaves the other. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void found(Collection<Condition> kinds, Subject subject, Finding finding) {
        kinds.forEach(kind -> open(kind, subject, finding));
    }

    private FoundCondition open(Condition kind, Subject subject, Finding finding) {
        FoundCondition fresh = new FoundCondition(kind, subject, finding);
        fresh.foundBy = Current.person().account();
        fresh.recordedAt = clock.instant();
        return conditions.save(fresh);
    }

    /** Keeps a condition that the core works out, such as too much heat: opens it once it holds, withdraws it when it holds no longer. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void keep(Condition kind, boolean holds, Subject subject, Finding finding) {
        List<FoundCondition> before = conditions.ofBatch(Objects.requireNonNull(subject.batch())).stream()
                .filter(one -> one.kind == kind && one.workedOut)
                .toList();
        List<FoundCondition> standing =
                before.stream().filter(one -> one.answer != Answer.TAKEN_BACK).toList();
        if (holds && standing.isEmpty()) {
            open(kind, subject, finding).workedOut = true;
        } else if (!holds) {
            standing.stream()
                    .filter(one -> one.answer == null)
                    .forEach(one -> answer(one, Answer.TAKEN_BACK, "", finding.source()));
        }
    }

    /** Answers all that is open of a batch by the line that threw it out. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void thrownOut(UUID batch, UUID line) {
        answerOpen(one -> batch.equals(one.batchId), Answer.THROWN_OUT, "", line);
    }

    /** Answers all that is open of a batch whose start was taken back. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void neverWas(UUID batch, UUID line) {
        answerOpen(one -> batch.equals(one.batchId), Answer.TAKEN_BACK, "its start was taken back", line);
    }

    /**
     * Answers all that is open of what there is nothing left of.
     *
     * @param batch null while other lots of it are left
     * @param source the line, deed or movement that took the last of it
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void nothingLeft(@Nullable UUID batch, UUID lot, boolean thrownOut, UUID source) {
        answerOpen(
                one -> lot.equals(one.lotId) || (one.lotId == null && one.batchId != null && one.batchId.equals(batch)),
                thrownOut ? Answer.THROWN_OUT : Answer.DEALT_WITH,
                thrownOut ? "" : "nothing of it is left",
                source);
    }

    /** Answers one kind of a lot by what was done about it. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void dealtWith(Condition kind, UUID lot, String words, UUID source) {
        answerOpen(one -> one.kind == kind && lot.equals(one.lotId), Answer.DEALT_WITH, words, source);
    }

    private void answerOpen(Predicate<FoundCondition> which, Answer answer, String words, UUID source) {
        conditions.open().stream().filter(which).forEach(one -> answer(one, answer, words, source));
    }

    /** A line or deed does not hold any more: what it found is withdrawn, what it answered is open again. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void takenBack(UUID source) {
        conditions.answeredBy(source).forEach(FoundCondition::reopen);
        conditions.foundBy(source).forEach(one -> answer(one, Answer.TAKEN_BACK, "its line was taken back", source));
    }

    /**
     * Answers by hand what is open: dealt with, or never so.
     *
     * @param dealtWith false for "it was not so"
     * @param said when, by which line, and how it is known
     */
    @Transactional
    public void answer(UUID id, boolean dealtWith, Finding said) {
        FoundCondition one = conditions.lock(id).orElseThrow(() -> new NotHere("that condition"));
        if (one.answer != null) {
            throw new AlreadyDone(
                    "That was answered already: %s. Nothing was written twice.".formatted(words(one, one.answer)));
        }
        May.answering(one.kind, dealtWith).ifPresent(refusal -> {
            throw new Refused(refusal);
        });
        answer(one, dealtWith ? Answer.DEALT_WITH : Answer.TAKEN_BACK, said.words(), said.source());
        one.answeredAt = said.at();
        one.byHand = true;
    }

    /** Opens again what was answered by hand, once however often it is asked. */
    @Transactional
    public Told reopen(UUID id) {
        FoundCondition one = conditions.lock(id).orElseThrow(() -> new NotHere("that condition"));
        if (one.answer != null && !one.byHand) {
            throw new Refused("That was answered by a line of the log: take that line back.");
        }
        one.reopen();
        return told(List.of(one)).get(0);
    }

    /** Refuses a deed that an open condition holds back; {@code batch} and {@code lot} are what it is done to. */
    @Transactional(readOnly = true)
    public void refuseHeld(@Nullable UUID batch, @Nullable UUID lot, Held deed) {
        holding(batch, lot, deed).ifPresent(one -> {
            throw new Refused(refusal(one, deed));
        });
    }

    /** The condition that holds a deed back; absent where nothing does. */
    @Transactional(readOnly = true)
    public Optional<Told> holding(@Nullable UUID batch, @Nullable UUID lot, Held deed) {
        return open().stream()
                .filter(one -> one.holds(deed)
                        && ((lot != null && lot.equals(one.subject().lot()))
                                || (batch != null && one.isOfBatch(batch))))
                .findFirst();
    }

    /** What may not be done to some lots, and why. */
    public record HeldBack(List<Told> told) {

        /** What open conditions hold back from a deed. */
        public static HeldBack from(Held deed, List<Told> open) {
            return new HeldBack(open.stream().filter(one -> one.holds(deed)).toList());
        }

        /** Whether nothing holds back a lot, by itself or as all of its batch. */
        public boolean isFree(@Nullable UUID batch, UUID lot) {
            return of(batch, lot).isEmpty();
        }

        /** What holds back a lot; absent where nothing does. */
        public Optional<Told> of(@Nullable UUID batch, UUID lot) {
            return told.stream()
                    .filter(one -> lot.equals(one.subject().lot()) || (batch != null && one.isOfBatch(batch)))
                    .findFirst();
        }
    }

    /** Why a deed is held back, in words. */
    public static String refusal(Told one, Held deed) {
        return "%s: %s, so it is not %s. %s"
                .formatted(
                        one.subject().name(),
                        one.kind().word(),
                        deed.word(),
                        one.kind().advice());
    }

    private void answer(FoundCondition one, Answer answer, String words, @Nullable UUID source) {
        one.answer = answer;
        one.answerWords = words;
        one.answerSource = source;
        one.answeredAt = clock.instant();
        one.answeredBy = Current.person().account();
    }
}
