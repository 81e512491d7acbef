package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchLog;
import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.batch.HeatWatch;
import app.velvetcrock.batch.Lineage;
import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.heat.HeatReading;
import app.velvetcrock.core.heat.WarmUp;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.planning.Carriers;
import app.velvetcrock.core.planning.Take;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.hours.WarmUps;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Ledger;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Refused.AlreadyDone;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Does what is done to a standing charge: its tasks, looks, readings and top-ups. */
@Component
class TendingHands implements Deeds.Hands {

    private final BatchLog log;
    private final Conditions conditions;
    private final HeatWatch heat;
    private final Stores stores;
    private final Ledger ledger;
    private final Lineage lineage;
    private final Households households;
    private final WarmUps warmUps;

    TendingHands(
            BatchLog log,
            Conditions conditions,
            HeatWatch heat,
            Stores stores,
            Ledger ledger,
            Lineage lineage,
            Households households,
            WarmUps warmUps) {
        this.log = log;
        this.conditions = conditions;
        this.heat = heat;
        this.stores = stores;
        this.ledger = ledger;
        this.lineage = lineage;
        this.households = households;
        this.warmUps = warmUps;
    }

    @Override
    public void takeUp(Deeds.Work work) {
        work.on(Deed.Tend.class, this::tend);
        work.on(Deed.LookAt.class, this::look);
        work.on(Deed.Read.class, this::read);
        work.on(Deed.Turn.class, this::turn);
        work.on(Deed.Probe.class, this::probe);
        work.on(Deed.TopUp.class, this::topUp);
    }

    /** Somebody else's doing of the same task is said, not written twice. */
    private UUID tend(BatchSheet sheet, Doing<Deed.Tend> doing) {
        refuseIfDone(sheet, Optional.of(doing.deed().task()));
        if (doing.deed().task().kind() == TaskKind.SHAKE) {
            conditions.refuseHeld(sheet.id(), Held.SHAKE, "when", doing.at());
        }
        UUID entry = log.write(sheet.id(), new Line.Tended(doing.deed().task()), doing);
        heat.keepHeat(sheet.id(), entry);
        return entry;
    }

    private UUID look(BatchSheet sheet, Doing<Deed.LookAt> doing) {
        // A look through the glass is no answer to the one that asks for a nose.
        Optional<TaskKey> task = doing.deed()
                .task()
                .or(() -> doing.deed().look().smell() == Smell.NOT_SMELLED
                        ? Optional.empty()
                        : next(sheet, TaskKind.LOOK));
        refuseIfDone(sheet, task);
        UUID entry = log.write(sheet.id(), new Line.Looked(task, doing.deed().look()), doing);
        conditions.found(doing.deed().look().conditions(), sheet.subject(), Finding.by(entry, doing.at()));
        return entry;
    }

    private UUID read(BatchSheet sheet, Doing<Deed.Read> doing) {
        Optional<TaskKey> task = doing.deed().task().or(() -> next(sheet, TaskKind.READ));
        refuseIfDone(sheet, task);
        UUID entry = log.write(sheet.id(), new Line.Heat(task, doing.deed().temperature()), doing);
        warmedUp(sheet, new HeatReading(doing.at(), doing.deed().temperature()))
                .ifPresent(took -> warmUps.learn(entry, took));
        heat.keepHeat(sheet.id(), entry);
        return entry;
    }

    private UUID turn(BatchSheet sheet, Doing<Deed.Turn> doing) {
        UUID entry = log.write(
                sheet.id(),
                new Line.Turned(
                        doing.deed().change(),
                        doing.deed().setting(),
                        doing.deed().source()),
                doing);
        heat.keepHeat(sheet.id(), entry);
        return entry;
    }

    private UUID probe(BatchSheet sheet, Doing<Deed.Probe> doing) {
        Deed.Probe deed = doing.deed();
        UUID entry = log.write(sheet.id(), new Line.Probe(deed.probe(), deed.name(), deed.in()), doing);
        heat.keepHeat(sheet.id(), entry);
        return entry;
    }

    /** How long the heat took to come up, where this reading is the one that shows it. */
    private static Optional<Duration> warmedUp(BatchSheet sheet, HeatReading now) {
        return sheet.course().heat().filter(HeatCourse::on).flatMap(course -> course.onSince()
                .flatMap(on -> WarmUp.endedBy(
                        on,
                        course.readings().stream()
                                .filter(reading -> !reading.at().isBefore(on)
                                        && reading.at().isBefore(now.at()))
                                .toList(),
                        now,
                        sheet.course().stage().band().low())));
    }

    /** Stock falls, and the yield counts it from now on. */
    private UUID topUp(BatchSheet sheet, Doing<Deed.TopUp> doing) {
        Carriers oils = sheet.plan().request().carriers();
        Stock.OfCarrier from = oils.parts().stream()
                .flatMap(part -> stores.carriers(part.carrier().kind()).stream())
                .filter(one -> one.id().equals(doing.deed().bottle()))
                .findFirst()
                .orElseThrow(() -> new Refused(
                        "from",
                        "Jar %d stands in %s; top it up with the same oil.".formatted(sheet.number(), oils.words()),
                        "one from the list"));
        Bottle bottle = new Bottle(from.name(), from.kind().monthsOpened(), from.opened(), from.bestBefore());
        Take take = new Take(from.id(), from.density().massOf(doing.deed().oil()));
        UUID entry = log.write(sheet.id(), new Line.ToppedUp(doing.deed().oil(), bottle, Optional.of(take)), doing);
        ledger.take(take.lot(), take.mass(), new Ledger.Why(Cause.USED, sheet.id(), entry, doing.at()));
        lineage.into(sheet.id(), take.lot());
        return entry;
    }

    private void refuseIfDone(BatchSheet sheet, Optional<TaskKey> task) {
        Optional<Entry> done = task.flatMap(key -> sheet.log().done(key));
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

    private Optional<TaskKey> next(BatchSheet sheet, TaskKind kind) {
        return sheet.open().stream()
                .map(Task::key)
                .filter(key -> key.kind() == kind)
                .findFirst();
    }
}
