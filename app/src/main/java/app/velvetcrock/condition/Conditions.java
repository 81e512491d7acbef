package app.velvetcrock.condition;

import app.velvetcrock.condition.FoundCondition.Answer;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.PerRequest;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Refused.AlreadyDone;
import app.velvetcrock.web.trip.Trip;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Opens conditions, tells of them, answers them, and refuses what they hold back. */
@Service
public class Conditions {

    private final ConditionRepository conditions;
    private final Trip trip;
    private final Telling telling;
    private final FollowUps followUps;
    private final Asking asking;
    private final StandingNames standing;
    private final Clock clock;

    Conditions(
            ConditionRepository conditions,
            Trip trip,
            Telling telling,
            FollowUps followUps,
            Asking asking,
            StandingNames standing,
            Clock clock) {
        this.conditions = conditions;
        this.trip = trip;
        this.telling = telling;
        this.followUps = followUps;
        this.asking = asking;
        this.standing = standing;
        this.clock = clock;
    }

    /** Every open condition of the household, the oldest first, each with all it travelled to. */
    @Transactional(readOnly = true)
    public List<Told> open() {
        return all().told();
    }

    /** What a finding asks of somebody beside its answer, and nobody ticked yet; the oldest first, the same once. */
    @Transactional(readOnly = true)
    public List<Asked> asked() {
        All all = all();
        Map<UUID, Told> open = all.told().stream().collect(Collectors.toMap(Told::id, told -> told));
        Set<UUID> seen = new HashSet<>();
        return all.asked().stream()
                .filter(one -> isStillIn(one, open.get(one.condition())) && seen.add(one.subject()))
                .toList();
    }

    /** A draw further up that was taken back cuts off what had been made of it. */
    private static boolean isStillIn(Asked one, @Nullable Told told) {
        return told == null
                || one.subject().equals(one.lot())
                || told.reach().lots().containsKey(one.lot());
    }

    private record All(List<Told> told, List<Asked> asked) {}

    /** A deed's own findings are seen by the deed. */
    private All all() {
        return PerRequest.of("conditions", Current.person(), () -> {
            if (TransactionSynchronizationManager.isActualTransactionActive()
                    && !TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
                conditions.flush();
            }
            Findings.Open open = trip.answer(Findings.open());
            return new All(telling.told(open.found()), open.asked());
        });
    }

    /** Ticks what was asked. */
    @Transactional
    public void tick(UUID asked, boolean done) {
        followUps.tick(asked, done ? clock.instant() : null);
    }

    @Transactional(readOnly = true)
    public Told find(UUID id) {
        return telling.told(List.of(conditions.findHere(id).orElseThrow(() -> new NotHere("that condition"))))
                .get(0);
    }

    /** Every condition of a batch and of the lots that came of it, answered ones too. */
    @Transactional(readOnly = true)
    public List<Told> ofBatch(UUID batch) {
        return withTravelled(conditions.ofBatch(batch), told -> told.touches(batch)).stream()
                .map(told -> told.atBatch(batch))
                .toList();
    }

    /** Every condition of a lot of the stores, answered ones too. */
    @Transactional(readOnly = true)
    public List<Told> ofLot(UUID lot) {
        return withTravelled(conditions.ofLot(lot), told -> told.isOfLot(null, lot)).stream()
                .map(told -> told.at(null, lot))
                .toList();
    }

    /** What was found of a thing itself, answered or not, and what travelled to it and is open. */
    private List<Told> withTravelled(List<FoundCondition> own, Predicate<Told> concerns) {
        Set<UUID> ids = own.stream().map(one -> one.id).collect(Collectors.toSet());
        return Stream.concat(
                        telling.told(own).stream(),
                        open().stream().filter(told -> !ids.contains(told.id()) && concerns.test(told)))
                .toList();
    }

    /** Opens what a deed found; each line that finds it counts by itself, so that taking one back leaves the other. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void found(Collection<Condition> kinds, Subject subject, Finding finding) {
        kinds.forEach(kind -> open(kind, subject, finding, false));
    }

    /** Who has any of it is to be told, and the bottle it came from smelled once. */
    private FoundCondition open(Condition kind, Subject subject, Finding finding, boolean food) {
        FoundCondition fresh = new FoundCondition(kind, subject, finding);
        fresh.foundBy = Current.person().account();
        fresh.recordedAt = clock.instant();
        fresh.travels = kind.travels(food);
        conditions.saveAndFlush(fresh);
        asking.upon(fresh);
        return fresh;
    }

    /**
     * Something held back had left the house before that was said: whoever has it is to be told.
     *
     * @param told what holds it back; absent where no finding does
     * @param back why it was kept back in words, where no finding says it
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void leftAnyway(Optional<Told> told, String back, Kinship.Gone gone) {
        asking.leftAnyway(told, back, gone);
    }

    /**
     * Asks, one by one, about each thing made of what was thrown out for having turned, and to tell whoever has any of it.
     *
     * @param food whether it was food
     * @param source the line or deed that threw it out, with which the questions are taken back
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void thrownOutFor(Ruin ruin, Subject subject, boolean food, Finding source) {
        if (!ruin.asksOfWhatWasMade(food)) {
            return;
        }
        UUID by = Objects.requireNonNull(source.source());
        Set<UUID> before = conditions.foundBy(by).stream()
                .filter(one -> one.kind == Condition.IN_DOUBT)
                .map(one -> Objects.requireNonNullElse(one.lotId, Objects.requireNonNull(one.batchId)))
                .collect(Collectors.toSet());
        String words = "%s in it was thrown out: %s".formatted(subject.name(), ruin.word());
        Finding finding = new Finding(source.at(), by, words);
        Reach reach = asking.reachOf(subject);
        reach.there().stream()
                .filter(one -> !one.lot().equals(subject.lot()) && !before.contains(one.lot()))
                .forEach(one ->
                        open(Condition.IN_DOUBT, new Subject(one.batch(), one.lot(), one.name()), finding, food));
        standing.called(reach.unfinished()).forEach((batch, name) -> {
            if (!batch.equals(subject.batch()) && !before.contains(batch)) {
                open(Condition.IN_DOUBT, new Subject(batch, null, name), finding, food);
            }
        });
        asking.tellOf(reach, new FollowUps.Reason(null, by, words));
    }

    /** Keeps a condition that the core works out, such as too much heat: opens it once it holds, withdraws it when it holds no longer. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void keep(Condition kind, boolean holds, Subject subject, boolean food, Finding finding) {
        List<FoundCondition> before = conditions.ofBatch(Objects.requireNonNull(subject.batch())).stream()
                .filter(one -> one.kind == kind && one.workedOut)
                .toList();
        List<FoundCondition> standing =
                before.stream().filter(one -> one.answer != Answer.TAKEN_BACK).toList();
        if (holds && standing.isEmpty()) {
            open(kind, subject, finding, food).workedOut = true;
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
        List<FoundCondition> open = conditions.open();
        if (open.isEmpty()) {
            return;
        }
        Map<UUID, Told> told = telling.told(open).stream().collect(Collectors.toMap(Told::id, one -> one));
        for (FoundCondition one : open) {
            boolean own =
                    lot.equals(one.lotId) || (one.lotId == null && one.batchId != null && one.batchId.equals(batch));
            Told as = Objects.requireNonNull(told.get(one.id));
            if (own && thrownOut) {
                answer(one, Answer.THROWN_OUT, "", source);
                thrownOutFor(one.kind.ruin(), one.subject(), false, new Finding(clock.instant(), source, ""));
            } else if (one.travels ? as.isGone() && (own || as.isOfLot(null, lot)) : own) {
                answer(one, Answer.DEALT_WITH, "nothing of it is left", source);
            }
        }
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
        followUps.takenBack(source);
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
            throw new AlreadyDone("That was answered already: %s. Nothing was written twice."
                    .formatted(Telling.words(one, one.answer)));
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
        return telling.told(List.of(one)).get(0);
    }

    /** Refuses to a batch what is held back, unless it had happened when it was said: {@code field} bears its moment. */
    @Transactional(readOnly = true)
    public void refuseHeld(UUID batch, Held deed, String field, Instant at) {
        holding(batch, null, deed).ifPresent(one -> refuseYetToHappen(field, one.refusal(deed), at));
    }

    /** Refuses, beside its moment, what is yet to happen; what already happened is written down. */
    public void refuseYetToHappen(String field, String why, Instant at) {
        if (!May.hasHappened(at, clock.instant())) {
            throw new Refused(field, why, "when it was, if it happened already");
        }
    }

    /** The condition that holds a deed back; absent where nothing does. */
    @Transactional(readOnly = true)
    public Optional<Told> holding(@Nullable UUID batch, @Nullable UUID lot, Held deed) {
        return open().stream()
                .filter(one -> one.holds(deed))
                .filter(one -> isOf(one, batch, lot))
                .findFirst()
                .map(one -> one.at(batch, lot));
    }

    private static boolean isOf(Told one, @Nullable UUID batch, @Nullable UUID lot) {
        return lot != null ? one.isOfLot(batch, lot) : batch != null && one.isOfBatch(batch);
    }

    /** Why a lot, or a batch as a whole, is never sold, as it follows a colon: it was hot enough to scorch, or what is in it was. */
    @Transactional(readOnly = true)
    public Optional<String> neverSold(@Nullable UUID batch, @Nullable UUID lot) {
        return PerRequest.of("scorched", Current.person(), () -> telling.told(trip.answer(Findings.scorched())))
                .stream()
                .filter(one -> isOf(one, batch, lot))
                .findFirst()
                .map(one -> one.at(batch, lot).inIt()
                        ? "in it is %s, and that".formatted(one.subject().name())
                        : "it")
                .map(what -> what + " was hot enough to scorch.");
    }

    private void answer(FoundCondition one, Answer answer, String words, @Nullable UUID source) {
        one.answer = answer;
        one.answerWords = words;
        one.answerSource = source;
        one.answeredAt = clock.instant();
        one.answeredBy = Current.person().account();
    }
}
