package app.velvetcrock.demo;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.batch.Starting;
import app.velvetcrock.bench.Bench;
import app.velvetcrock.bench.BenchForm;
import app.velvetcrock.bench.BenchWork;
import app.velvetcrock.bench.SentencePart;
import app.velvetcrock.core.bench.ChargePart;
import app.velvetcrock.core.course.Seen;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.heat.HeatChange;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Look;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Tending.Kind;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.recipes.Recipes;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Oils;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What the demo's people do, through the services that real people use, at times relative to now. */
@Component
class DemoHands {

    static final ZoneId ZONE = ZoneId.of("Atlantic/Faroe");

    /** Oil that stays on cloth and vessel, as the forecast counts it. */
    private static final double FILM = 5;

    private static final int BETWEEN_DRAWS = 35;

    private final Bench bench;
    private final Batches batches;
    private final Starting starting;
    private final Deeds deeds;
    private final Oils oils;
    private final Recipes recipes;
    private final Clock clock;

    DemoHands(Bench bench, Batches batches, Starting starting, Deeds deeds, Oils oils, Recipes recipes, Clock clock) {
        this.bench = bench;
        this.batches = batches;
        this.starting = starting;
        this.deeds = deeds;
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
    UUID blend(Charge charge, List<SentencePart.HerbRow> others, int days, int daysAgo) {
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
        ChargePart part = work.planned().orElseThrow().first();
        Deed.Start start = new Deed.Start(
                part.frozen(),
                part.jar().id(),
                part.jar().kit(),
                part.weighed().herb(),
                part.weighed().oil());
        return starting.start(Current.doing(start, UUID.randomUUID(), at, ""));
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
                    does(batch, new Deed.Tend(key), at, "");
                } else {
                    does(batch, new Deed.LookAt(Optional.of(key), Look.ALL_WELL), at, "");
                }
            }
        }
    }

    void standsOut(UUID batch, Instant at) {
        does(batch, new Deed.LookAt(Optional.empty(), new Look(Smell.RIGHT, true, false)), at, "");
    }

    void heat(UUID batch, TaskKind onOrOff, int session, Instant at) {
        does(batch, new Deed.Tend(new TaskKey("warm", onOrOff, session)), at, "");
    }

    void turn(UUID batch, HeatSetting setting, Instant at) {
        does(batch, new Deed.Turn(HeatChange.SETTING, Optional.of(setting)), at, "");
    }

    void probe(UUID batch, UUID device, String name, Instant at) {
        does(batch, new Deed.Probe(device, name, true), at, "");
    }

    void read(UUID batch, double celsius, Instant at) {
        does(batch, new Deed.Read(Optional.empty(), Temperature.ofCelsius(celsius)), at, String.valueOf(celsius));
    }

    void note(UUID batch, String words, Instant at) {
        does(batch, new Deed.Note(words), at, words);
    }

    void discard(UUID batch, String lesson, Instant at) {
        does(batch, new Deed.ThrowOut(Ruin.MOULD, lesson, Optional.empty()), at, lesson);
    }

    /** Strains so that a gram of herb kept {@code kept} mL, weighed to the gram. */
    UUID strain(UUID batch, double kept, int daysAgo, Seen seen, String note) {
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
        does(
                batch,
                new Deed.Strain(Mass.ofGrams(grams), Pressing.HAND, true, seen, note),
                at(daysAgo, 10, 15),
                grams + " g");
        return batches.sheet(batch).strained().orElseThrow().lot();
    }

    static Seen clear(String colour) {
        return new Seen(Clarity.CLEAR, Smell.RIGHT, Volume.ZERO, colour);
    }

    void settle(UUID batch, double waterMillilitres, Instant at) {
        Stock.OfOil oil =
                oils.find(batches.sheet(batch).strained().orElseThrow().lot());
        Mass left = Mass.ofGrams(Math.round(oil.left().grams() - waterMillilitres - 4));
        does(
                batch,
                new Deed.Settle(left, Volume.ofMillilitres(waterMillilitres), Smell.RIGHT),
                at,
                Math.round(left.grams()) + " g");
    }

    void bottle(UUID lot, int count, double millilitres, Glass glass, int daysAgo) {
        does(
                oils.find(lot).batch(),
                new Deed.Bottle(
                        lot,
                        count,
                        Volume.ofMillilitres(millilitres),
                        glass,
                        Storage.COOL_DARK,
                        Antioxidant.NONE,
                        Optional.empty()),
                at(daysAgo, 11, 0),
                Math.round(millilitres) + " mL");
    }

    /** Draws from the first bottles of a batch, so much from each in turn. */
    void draw(UUID batch, Cause cause, int firstDaysAgo, double... millilitres) {
        List<Stock.OfOil> bottles = oils.inStock().stream()
                .filter(oil -> oil.batch().equals(batch) && oil.bottle().isPresent())
                .toList();
        for (int i = 0; i < millilitres.length; i++) {
            Stock.OfOil bottle = bottles.get(i);
            Mass mass = bottle.density().massOf(Volume.ofMillilitres(millilitres[i]));
            oils.draw(
                    bottle.id(),
                    mass.compareTo(bottle.left()) > 0 ? bottle.left() : mass,
                    cause,
                    at(firstDaysAgo - i * BETWEEN_DRAWS, 18, 20),
                    "");
        }
    }

    /** An hour of a day so many days ago, there. */
    Instant at(int daysAgo, int hour, int minute) {
        return day(daysAgo).atTime(hour, minute).atZone(ZONE).toInstant();
    }

    /** How long ago a day of the year last was, no later than so many days ago: herbs are gathered in their season, whenever it is now. */
    int daysSince(MonthDay season, int atLeast) {
        LocalDate latest = day(atLeast);
        LocalDate thatYear = season.atYear(latest.getYear());
        LocalDate on = thatYear.isAfter(latest) ? season.atYear(latest.getYear() - 1) : thatYear;
        return (int) ChronoUnit.DAYS.between(on, day(0));
    }

    Instant ago(Duration duration) {
        return clock.instant().minus(duration);
    }

    LocalDate day(int daysAgo) {
        return LocalDate.ofInstant(clock.instant(), ZONE).minusDays(daysAgo);
    }

    private void does(UUID batch, Deed deed, Instant at, String typed) {
        deeds.done(batch, Current.doing(deed, UUID.randomUUID(), at, typed));
    }
}
