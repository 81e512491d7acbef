package app.velvetcrock.demo;

import static app.velvetcrock.demo.DemoHands.clear;

import app.velvetcrock.bench.SentencePart;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.course.Seen;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.heat.HeatSetting;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.larder.JarGlass;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.timetable.HoursReader;
import app.velvetcrock.core.timetable.Window;
import app.velvetcrock.demo.DemoHands.Charge;
import app.velvetcrock.hours.Hours;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.stock.Arrival;
import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.Provenance;
import app.velvetcrock.stock.Stores;
import java.time.Duration;
import java.time.Instant;
import java.time.MonthDay;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A year at Gannet Row: what was gathered, put up, strained, bottled and lost, and what stands there now. */
@Component
class DemoSeason {

    /** In cents. */
    private static final double PRICE_PER_LITRE = 780;

    private final DemoHands hands;
    private final Hours hours;
    private final Stores stores;
    private final Jars jars;
    private final DemoStores shelves;
    private final DemoPan pan;
    private final Materia materia;

    DemoSeason(
            DemoHands hands, Hours hours, Stores stores, Jars jars, DemoStores shelves, DemoPan pan, Materia materia) {
        this.hands = hands;
        this.hours = hours;
        this.stores = stores;
        this.jars = jars;
        this.shelves = shelves;
        this.pan = pan;
        this.materia = materia;
    }

    /** The lots everything is made from. */
    private record Larder(
            UUID yarrow,
            UUID elder,
            UUID selfHeal,
            UUID nettle,
            UUID mullein,
            UUID buckthorn,
            UUID meadowsweet,
            UUID heather,
            UUID oldRapeseed,
            UUID rapeseed,
            UUID sunflower,
            UUID hemp) {}

    void fill() {
        home();
        jars();
        shelves.kit();
        Larder larder = larder();
        finished(larder);
        finishedLately(larder);
        lost(larder);
        standing(larder);
        onTheHeat(larder);
        shelves.fill();
        pan.fill();
    }

    /** Runa is home mornings and evenings, and all of the weekend. */
    private void home() {
        List<Window> weekday = HoursReader.parse("7-9, 17-22");
        List<Window> weekend = HoursReader.parse("8-22");
        hours.add("Runa", List.of(weekday, weekday, weekday, weekday, weekday, weekend, weekend));
    }

    private Larder larder() {
        carrier("sesame", 0.75, null, 420);
        carrier("babassu", 1, 20, 600);
        carrier("cocoa-butter", 0.8, 150, 500);
        carrier("coconut", 0.5, 150, 500);
        carrier("shea", 0.6, 150, 420);
        herb("birch-bud", 60, 200);
        return new Larder(
                herb("yarrow", 300, hands.daysSince(MonthDay.of(7, 8), 300)),
                herb("elderflower", 160, 160),
                herb("self-heal", 180, 150),
                herb("nettle", 320, 190),
                herb("mullein", 90, 180),
                herb("sea-buckthorn", 200, 110),
                herb("meadowsweet", 130, 130),
                herb("heather", 190, 100),
                carrier("rapeseed", 1.5, 290, 13),
                carrier("rapeseed", 4, 95, 400),
                carrier("sunflower-high-oleic", 6, 120, 500),
                carrier("hemp", 0.8, 130, 300));
    }

    /** Early in the year: three of yarrow, whose yields teach the next, and one of mullein. */
    private void finished(Larder larder) {
        UUID first = hands.cold(new Charge(larder.yarrow(), "30 g", larder.oldRapeseed(), "360 mL"), 35, 280);
        hands.tend(first, 280, 246);
        UUID oil = hands.strain(first, 1.12, 245, clear("olive green"), "Shake more in the second week.");
        hands.bottle(oil, 3, 100, Glass.DARK, 244);
        hands.draw(first, Cause.DRAWN, 235, 100, 100, 40);
        hands.keepRecipe(first);
        UUID second = hands.cold(new Charge(larder.yarrow(), "40 g", larder.oldRapeseed(), "480 mL"), 35, 230);
        hands.tend(second, 230, 196);
        hands.bottle(hands.strain(second, 0.98, 195, clear("darker than the first"), ""), 4, 100, Glass.DARK, 194);
        hands.draw(second, Cause.SOLD, 150, 100, 100);
        UUID third = hands.cold(new Charge(larder.yarrow(), "40 g", larder.rapeseed(), "480 mL"), 35, 90);
        hands.tend(third, 90, 56);
        hands.bottle(hands.strain(third, 1.03, 55, clear("as last time"), ""), 6, 50, Glass.DARK, 54);
        UUID mullein = hands.cold(new Charge(larder.mullein(), "35 g", larder.sunflower(), "405 mL"), 28, 118);
        hands.tend(mullein, 118, 91);
        hands.note(mullein, "Petals went pale after two weeks; smells of honey.", hands.at(103, 9, 0));
        hands.bottle(hands.strain(mullein, 1.45, 88, clear("clear gold"), "A finer cut."), 10, 30, Glass.DARK, 87);
        hands.draw(mullein, Cause.GIVEN, 80, 30, 30, 12);
    }

    private void finishedLately(Larder larder) {
        UUID selfHeal = hands.cold(new Charge(larder.selfHeal(), "40 g", larder.hemp(), "480 mL"), 35, 110);
        hands.tend(selfHeal, 110, 76);
        hands.strain(selfHeal, 1.22, 74, clear("bright green, as hemp is"), "");
        UUID nettle = hands.cold(new Charge(larder.nettle(), "50 g", larder.rapeseed(), ""), 35, 88);
        hands.tend(nettle, 88, 54);
        hands.bottle(hands.strain(nettle, 1.08, 52, clear("deep green"), ""), 2, 100, Glass.CLEAR, 51);
        UUID buckthorn = hands.cold(new Charge(larder.buckthorn(), "90 g", larder.rapeseed(), ""), 42, 66);
        hands.tend(buckthorn, 66, 25);
        Seen cloudy = new Seen(Clarity.CLOUDY, Smell.RIGHT, Volume.ofMillilitres(3), "very orange");
        hands.strain(buckthorn, 0.71, 21, cloudy, "Dry the berries longer.");
        hands.settle(buckthorn, 6, hands.at(20, 12, 0));
        Instant evening = hands.at(34, 17, 0);
        UUID heather = hands.warm(new Charge(larder.heather(), "45 g", larder.sunflower(), "515 mL"), 8, evening);
        warmed(heather, evening);
        hands.keepRecipe(heather);
        hands.bottle(
                hands.strain(heather, 1.31, 33, clear("brown gold"), "The crock sags when the lid is off."),
                5,
                50,
                Glass.DARK,
                33);
    }

    /** An evening's readings: slow to come up, once left too long, then steady. */
    private void warmed(UUID batch, Instant on) {
        double[][] readings = {{0, 18}, {60, 36}, {120, 44}, {180, 47}, {240, 49}, {420, 46}, {600, 45}};
        hands.heat(batch, TaskKind.HEAT_ON, 1, on);
        hands.turn(batch, HeatSetting.WARM, on);
        for (double[] reading : readings) {
            hands.read(batch, reading[1], on.plus(Duration.ofMinutes((long) reading[0])));
        }
        hands.heat(batch, TaskKind.HEAT_OFF, 1, on.plus(Duration.ofMinutes(600)));
    }

    private void lost(Larder larder) {
        UUID meadowsweet = hands.cold(new Charge(larder.meadowsweet(), "35 g", larder.sunflower(), ""), 28, 58);
        hands.tend(meadowsweet, 58, 53);
        hands.discard(
                meadowsweet,
                "The jar was still wet from the drainer. Dry jars in the warm oven first.",
                hands.at(47, 8, 20));
    }

    private void standing(Larder larder) {
        UUID nettle = hands.cold(new Charge(larder.nettle(), "60 g", larder.rapeseed(), "1:6"), 35, 38);
        hands.tend(nettle, 38, 4);
        UUID selfHeal = hands.cold(new Charge(larder.selfHeal(), "30 g", larder.rapeseed(), ""), 35, 31);
        hands.tend(selfHeal, 31, 1);
        hands.note(selfHeal, "Oil has gone green to the top.", hands.at(6, 19, 10));
        UUID yarrow = hands.cold(new Charge(larder.yarrow(), "50 g", larder.rapeseed(), ""), 35, 9);
        hands.tend(yarrow, 9, 2);
        UUID meadowsweet = hands.blend(
                new Charge(larder.meadowsweet(), "30 g", larder.sunflower(), ""),
                List.of(new SentencePart.HerbRow(larder.selfHeal().toString(), "½ part")),
                28,
                5);
        hands.tend(meadowsweet, 5, 1);
        UUID elder = hands.cold(new Charge(larder.elder(), "45 g", larder.sunflower(), ""), 28, 3);
        hands.tend(elder, 3, 2);
        hands.standsOut(elder, hands.at(1, 8, 5));
    }

    private void onTheHeat(Larder larder) {
        Instant on = hands.ago(Duration.ofMinutes(190));
        UUID heather = hands.warm(
                new Charge(larder.heather(), "60 g", larder.sunflower(), ""), 8, on.minus(Duration.ofMinutes(15)));
        hands.heat(heather, TaskKind.HEAT_ON, 1, on);
        hands.turn(heather, HeatSetting.WARM, on);
        hands.read(heather, 21, on);
        hands.read(heather, 38, on.plus(Duration.ofMinutes(62)));
        hands.read(heather, 44.5, on.plus(Duration.ofMinutes(121)));
        hands.read(heather, 46.2, on.plus(Duration.ofMinutes(182)));
    }

    private void jars() {
        jar("Small screw-top, 350 mL", 350, 70, 3);
        jar("Half litre preserving jar", 500, 84, 4);
        jar("Three-quarter litre jar", 750, 95, 3);
        jar("Litre preserving jar", 1000, 100, 3);
    }

    private void jar(String name, double capacity, double width, int pieces) {
        jars.add(new Vessel(name, Volume.ofMillilitres(capacity), Length.ofMillimetres(width)), JarGlass.PLAIN, pieces);
    }

    private UUID herb(String key, double grams, int daysAgo) {
        HerbKind kind = materia.herb(key).orElseThrow();
        return stores.add(new Arrival.Herb(
                kind,
                kind.part(),
                Cut.CUT_AND_SIFTED,
                Moisture.DRIED,
                Mass.ofGrams(grams),
                hands.day(daysAgo),
                null,
                new Provenance(Origin.GATHERED, "round the bay", "tin box", null),
                Math.round(grams) + " g"));
    }

    private UUID carrier(String key, double litres, @Nullable Integer openedDaysAgo, int bestBeforeInDays) {
        var kind = materia.carrier(key).orElseThrow();
        return stores.add(new Arrival.Carrier(
                kind,
                kind.density().massOf(Volume.ofMillilitres(litres * 1000)),
                openedDaysAgo == null ? null : hands.day(openedDaysAgo),
                hands.day(-bestBeforeInDays),
                new Provenance(Origin.BOUGHT, "the ferry shop", "pantry, low", Math.round(litres * PRICE_PER_LITRE)),
                litres + " L"));
    }
}
