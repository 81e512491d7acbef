package app.velvetcrock.batch;

import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.batch.BatchLog.Draft;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.condition.Subject;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.WarmUp;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.rounds.Rounds;
import app.velvetcrock.stillroom.Hours;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stillroom.WarmUps;
import app.velvetcrock.stores.Cause;
import app.velvetcrock.stores.Ledger;
import app.velvetcrock.stores.Stock;
import app.velvetcrock.web.Refused;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is done to a standing charge: its tasks, looks, readings, top-ups, and throwing it out. */
@Service
public class Tending {

    private final BatchLog log;
    private final Conditions conditions;
    private final HeatWatch wrong;
    private final Ledger ledger;
    private final Lineage lineage;
    private final Households households;
    private final Hours hours;
    private final WarmUps warmUps;

    Tending(
            BatchLog log,
            Conditions conditions,
            HeatWatch wrong,
            Ledger ledger,
            Lineage lineage,
            Households households,
            Hours hours,
            WarmUps warmUps) {
        this.log = log;
        this.conditions = conditions;
        this.wrong = wrong;
        this.ledger = ledger;
        this.lineage = lineage;
        this.households = households;
        this.hours = hours;
        this.warmUps = warmUps;
    }

    /** When it was done, what was typed, and the form's one-time key. */
    public record When(Instant at, String typed, UUID key) {}

    /** Does a task with nothing to tell. Somebody else's doing of the same task is said, not written twice. */
    @Transactional
    public UUID done(UUID id, TaskKey task, When when) {
        BatchSheet sheet = standingOrAfter(id, task);
        refuseIfDone(sheet, task);
        UUID entry = log.write(id, new Draft(Kind.TENDED, task, when.at(), when.typed(), List.of()), when.key());
        wrong.keepHeat(id, entry);
        return entry;
    }

    /** Writes down a look; without a task of its own it does the next one that is open. */
    @Transactional
    public UUID look(UUID id, @Nullable TaskKey task, Look look, When when) {
        BatchSheet sheet = standing(id);
        TaskKey key = task == null ? next(sheet, TaskKind.LOOK) : task;
        refuseIfDone(sheet, key);
        UUID entry = log.write(id, new Draft(Kind.LOOKED, key, when.at(), when.typed(), look), when.key());
        conditions.found(look.conditions(), subject(sheet), Finding.by(entry, when.at()));
        return entry;
    }

    /** Writes down a temperature; without a task of its own it does the next reading that is open. */
    @Transactional
    public UUID read(UUID id, @Nullable TaskKey task, Temperature temperature, When when) {
        BatchSheet sheet = standing(id);
        TaskKey key = task == null ? next(sheet, TaskKind.READ) : task;
        refuseIfDone(sheet, key);
        UUID entry = log.write(id, new Draft(Kind.HEAT, key, when.at(), when.typed(), temperature), when.key());
        warmedUp(sheet, new HeatReading(when.at(), temperature)).ifPresent(took -> warmUps.learn(entry, took));
        wrong.keepHeat(id, entry);
        return entry;
    }

    /** How long the heat took to come up, where this reading is the one that shows it. */
    private static Optional<Duration> warmedUp(BatchSheet sheet, HeatReading now) {
        return sheet.course().heat().filter(HeatCourse::on).flatMap(heat -> heat.onSince()
                .flatMap(on -> WarmUp.endedBy(
                        on,
                        heat.readings().stream()
                                .filter(reading -> !reading.at().isBefore(on)
                                        && reading.at().isBefore(now.at()))
                                .toList(),
                        now,
                        sheet.course().stage().band().low())));
    }

    /** Pours more oil over; stock falls, and the yield counts it from now on. */
    @Transactional
    public UUID topUp(UUID id, Stock.OfCarrier from, Volume oil, When when) {
        BatchSheet sheet = standing(id);
        if (!from.kind().key().equals(sheet.plan().request().carrier().kind().key())) {
            throw new Refused("Jar %d stands in %s; top it up with the same oil."
                    .formatted(
                            sheet.number(),
                            sheet.plan().request().carrier().kind().common()));
        }
        Bottle bottle = new Bottle(from.name(), from.kind().monthsOpened(), from.opened(), from.bestBefore());
        UUID entry = log.write(
                id, Draft.of(Kind.TOPPED_UP, when.at(), when.typed(), new Entry.ToppedUp(oil, bottle)), when.key());
        ledger.take(from.id(), from.density().massOf(oil), new Ledger.Why(Cause.USED, id, entry, when.at()));
        lineage.into(id, from.id());
        return entry;
    }

    /** Throws a standing charge out; its jar is free again, its cause and lesson are kept. */
    @Transactional
    public UUID discard(UUID id, Ruin ruin, String lesson, When when) {
        standing(id);
        UUID entry = log.write(
                id,
                Draft.of(Kind.DISCARDED, when.at(), lesson, new LogValue.Discarded(ruin, lesson, null)),
                when.key());
        conditions.thrownOut(id, entry);
        return entry;
    }

    /** Writes down that something is wrong with it, which holds it back until that is answered. */
    @Transactional
    public void wrong(UUID id, Condition what, String words, Instant at) {
        conditions.found(List.of(what), subject(log.locked(id)), new Finding(at, null, words));
    }

    static Subject subject(BatchSheet sheet) {
        return new Subject(sheet.id(), null, sheet.called());
    }

    private BatchSheet standing(UUID id) {
        BatchSheet sheet = log.locked(id);
        if (sheet.course().state() != Course.State.STANDING) {
            throw new Refused("Batch %d does not stand any more: %s. Nothing was written."
                    .formatted(sheet.number(), state(sheet.course().state())));
        }
        return sheet;
    }

    private BatchSheet standingOrAfter(UUID id, TaskKey task) {
        return task.stage().equals(TaskKey.AFTER) ? log.locked(id) : standing(id);
    }

    private void refuseIfDone(BatchSheet sheet, @Nullable TaskKey task) {
        Optional<Entry> done = task == null ? Optional.empty() : sheet.log().done(task);
        done.flatMap(entry -> sheet.lines().stream()
                        .filter(line -> line.id().equals(entry.id()))
                        .findFirst())
                .ifPresent(line -> {
                    throw new AlreadyDone("%s, jar %d, was seen to already: %s, by %s, %s. Nothing was written twice."
                            .formatted(
                                    sheet.name(),
                                    sheet.number(),
                                    line.words(),
                                    line.by(),
                                    households.current().moment(line.happenedAt())));
                });
    }

    private @Nullable TaskKey next(BatchSheet sheet, TaskKind kind) {
        return Rounds.next(sheet.course(), sheet.log(), kind, hours.home()).orElse(null);
    }

    private static String state(Course.State state) {
        return switch (state) {
            case STRAINED -> "it was strained";
            case DISCARDED -> "it was thrown out";
            case NEVER_STARTED, STANDING -> "its start was taken back";
        };
    }
}
