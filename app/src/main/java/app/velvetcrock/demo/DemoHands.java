package app.velvetcrock.demo;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.OilCare;
import app.velvetcrock.batch.Stand;
import app.velvetcrock.batch.StrainedValue;
import app.velvetcrock.batch.Straining;
import app.velvetcrock.batch.Tending;
import app.velvetcrock.bench.Bench;
import app.velvetcrock.bench.BenchForm;
import app.velvetcrock.bench.BenchWork;
import app.velvetcrock.bench.Recipes;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Tending.Kind;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stores.Cause;
import app.velvetcrock.stores.Glass;
import app.velvetcrock.stores.Oils;
import app.velvetcrock.stores.Stock;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What the demo's people do, through the services that real people use, at times relative to now. */
@Component
class DemoHands {

    static final ZoneId ZONE = ZoneId.of("Atlantic/Faroe");

    /** Oil that stays on cloth and vessel, as the forecast counts it. */
    private static final double FILM = 5;

    private final Bench bench;
    private final Batches batches;
    private final Tending tending;
    private final Straining straining;
    private final OilCare care;
    private final Oils oils;
    private final Recipes recipes;
    private final Clock clock;

    DemoHands(
            Bench bench,
            Batches batches,
            Tending tending,
            Straining straining,
            OilCare care,
            Oils oils,
            Recipes recipes,
            Clock clock) {
        this.bench = bench;
        this.batches = batches;
        this.tending = tending;
        this.straining = straining;
        this.care = care;
        this.oils = oils;
        this.recipes = recipes;
        this.clock = clock;
    }

    /** Some herb put up in some oil, so much of each. */
    record Charge(UUID herb, String amount, UUID carrier, String oil) {}

    UUID cold(Charge charge, int days, int daysAgo) {
        return start(charge, Method.COLD_AND_DARK, days + " days", at(daysAgo, 17, 40));
    }

    /** A blend put up cold: the first herb by weight, others in parts of it. */
    UUID blend(Charge charge, List<BenchForm.HerbRow> others, int days, int daysAgo) {
        Instant at = at(daysAgo, 17, 40);
        return start(
                BenchForm.of(
                                charge.herb().toString(),
                                charge.amount(),
                                charge.carrier().toString(),
                                charge.oil())
                        .with(others)
                        .by(Method.COLD_AND_DARK.key())
                        .lasting(days + " days", LocalDate.ofInstant(at, ZONE).toString()),
                at);
    }

    void keepRecipe(UUID batch) {
        recipes.keepBatch(batch);
    }

    UUID warm(Charge charge, int hours, Instant at) {
        return start(charge, Method.SLOW_WARM, hours + " hours", at);
    }

    private UUID start(Charge charge, Method method, String length, Instant at) {
        BenchForm form = BenchForm.of(
                        charge.herb().toString(),
                        charge.amount(),
                        charge.carrier().toString(),
                        charge.oil())
                .by(method.key())
                .lasting(length, LocalDate.ofInstant(at, ZONE).toString());
        return start(form, at);
    }

    private UUID start(BenchForm form, Instant at) {
        BenchWork work = bench.work(form);
        if (!work.canStart()) {
            throw new IllegalStateException("the demo's plan for %s cannot start: %s"
                    .formatted(form.amount(), work.fields().troubles()));
        }
        BenchWork.Part part = work.planned().orElseThrow().first();
        Batches.Weighed weighed =
                new Batches.Weighed(part.weighed().herb(), part.weighed().oil(), at);
        return batches.start(
                new Batches.Beginning(
                        part.frozen(), new Stand(part.jar().id(), part.jar().kit()), weighed),
                UUID.randomUUID());
    }

    /** Shakes and looks on every day they fall due, until so many days ago. */
    void tend(UUID batch, int chargedDaysAgo, int untilDaysAgo) {
        for (app.velvetcrock.core.method.Tending rhythm :
                Method.COLD_AND_DARK.first().tendings()) {
            for (int ordinal = 1; chargedDaysAgo - rhythm.at(ordinal) >= untilDaysAgo; ordinal++) {
                Instant at = at(chargedDaysAgo - rhythm.at(ordinal), 7, 30 + ordinal % 20);
                if (at.isAfter(clock.instant())) {
                    return;
                }
                TaskKey key =
                        new TaskKey("stand", TaskKind.valueOf(rhythm.kind().name()), ordinal);
                if (rhythm.kind() == Kind.SHAKE) {
                    tending.done(batch, key, when(at));
                } else {
                    tending.look(batch, key, Look.ALL_WELL, when(at));
                }
            }
        }
    }

    void standsOut(UUID batch, Instant at) {
        tending.look(batch, null, new Look(Smell.RIGHT, true, false), when(at));
    }

    void heat(UUID batch, TaskKind onOrOff, int session, Instant at) {
        tending.done(batch, new TaskKey("warm", onOrOff, session), when(at));
    }

    void read(UUID batch, double celsius, Instant at) {
        tending.read(
                batch,
                null,
                Temperature.ofCelsius(celsius),
                new Tending.When(at, String.valueOf(celsius), UUID.randomUUID()));
    }

    void note(UUID batch, String words, Instant at) {
        batches.note(batch, words, at, UUID.randomUUID());
    }

    void discard(UUID batch, String lesson, Instant at) {
        tending.discard(batch, app.velvetcrock.core.look.Ruin.MOULD, lesson, when(at));
    }

    /** Strains so that a gram of herb kept {@code kept} mL, weighed to the gram. */
    UUID strain(UUID batch, double kept, int daysAgo, StrainedValue.Seen seen, String note) {
        BatchSheet sheet = batches.sheet(batch);
        double herb = sheet.course().charge().herbs().mass().grams();
        double out = sheet.oilIn().millilitres() - kept * herb - FILM;
        long grams = Math.round(sheet.plan()
                .request()
                .carrier()
                .kind()
                .density()
                .massOf(Volume.ofMillilitres(out))
                .grams());
        return straining.strain(
                batch,
                new Straining.Strain(
                        Mass.ofGrams(grams), Pressing.HAND, at(daysAgo, 10, 15), true, seen, grams + " g", note),
                UUID.randomUUID());
    }

    static StrainedValue.Seen clear(String colour) {
        return new StrainedValue.Seen(Clarity.CLEAR, Smell.RIGHT, Volume.ZERO, colour);
    }

    void settle(UUID batch, double waterMillilitres, Instant at) {
        Stock.OfOil oil =
                oils.find(batches.sheet(batch).strained().orElseThrow().lot());
        Mass left = Mass.ofGrams(Math.round(oil.left().grams() - waterMillilitres - 4));
        straining.settle(
                batch,
                new Straining.Settle(
                        left, Volume.ofMillilitres(waterMillilitres), Smell.RIGHT, at, Math.round(left.grams()) + " g"),
                UUID.randomUUID());
    }

    void bottle(UUID lot, int count, double millilitres, Glass glass, int daysAgo) {
        care.bottle(
                lot,
                new OilCare.Bottles(count, Volume.ofMillilitres(millilitres), glass, Storage.COOL_DARK),
                at(daysAgo, 11, 0),
                Math.round(millilitres) + " mL",
                UUID.randomUUID());
    }

    /** Draws from the first bottles of a batch, so much from each in turn. */
    void draw(UUID batch, Cause cause, double... millilitres) {
        List<Stock.OfOil> bottles = oils.inStock().stream()
                .filter(oil -> oil.batch().equals(batch) && oil.bottle().isPresent())
                .toList();
        for (int i = 0; i < millilitres.length; i++) {
            Stock.OfOil bottle = bottles.get(i);
            Mass mass = bottle.density().massOf(Volume.ofMillilitres(millilitres[i]));
            oils.draw(bottle.id(), mass.compareTo(bottle.left()) > 0 ? bottle.left() : mass, cause);
        }
    }

    /** An hour of a day so many days ago, there. */
    Instant at(int daysAgo, int hour, int minute) {
        return day(daysAgo).atTime(hour, minute).atZone(ZONE).toInstant();
    }

    Instant ago(Duration duration) {
        return clock.instant().minus(duration);
    }

    LocalDate day(int daysAgo) {
        return LocalDate.ofInstant(clock.instant(), ZONE).minusDays(daysAgo);
    }

    private static Tending.When when(Instant at) {
        return new Tending.When(at, "", UUID.randomUUID());
    }
}
