package app.velvetcrock.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Formula.Role;
import app.velvetcrock.core.making.Formula.Stuff;
import app.velvetcrock.core.making.MeltRequest.Share;
import app.velvetcrock.core.making.MeltRequest.Wish;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sums of the pan, worked by hand; the working stands beside each. */
class PanTest {

    private static final Setting SETS = Setting.shipped();
    private static final Temperature ROOM = Temperature.ofCelsius(20);
    private static final Stuff OIL = new Stuff("rapeseed", "oil", Role.OIL, 0);
    private static final Stuff WAX = stuff("beeswax", Role.WAX);
    private static final Stuff CANDELILLA = stuff("candelilla", Role.WAX);
    private static final Stuff COCOA = stuff("cocoa-butter", Role.BUTTER);
    private static final Stuff SHEA = stuff("shea", Role.BUTTER);
    private static final Container TIN = new Container("tin", Volume.ofMillilitres(60), false);
    private static final Container MOULD = new Container("mould", Volume.ofMillilitres(40), true);

    private static Stuff stuff(String key, Role role) {
        return new Stuff(key, key, role, SETS.equivalent(key, ROOM));
    }

    private static Mass grams(double grams) {
        return Mass.ofGrams(grams);
    }

    private static Formula salve(double oil, double wax) {
        return new Formula(List.of(OIL.of(grams(oil)), WAX.of(grams(wax))));
    }

    private static Melt melt(HowMuch much, double firmness, Wish... others) {
        return Melt.of(
                new MeltRequest(much, OIL, Optional.of(WAX), Optional.empty(), List.of(others), firmness, false));
    }

    /** 230 g with 28 g of wax, firmness 12.2, to 16: (0.16·230 − 28)/(1 − 0.16) = 8.8/0.84 = 10.48. 40 g in 200 g, to 15: 40/0.15 − 200. */
    @Test
    void aCorrectionInGrams() {
        Correction wax = Correction.of(salve(202, 28), 16, WAX, OIL).orElseThrow();
        assertThat(wax.add().mass().grams()).isCloseTo(10.48, within(0.01));
        assertThat(wax.then().value()).isCloseTo(16, within(1e-9));
        Correction oil = Correction.of(salve(160, 40), 15, WAX, OIL).orElseThrow();
        assertThat(oil.add().stuff()).isEqualTo(OIL);
        assertThat(oil.add().mass().grams()).isCloseTo(66.67, within(0.01));
        // 310 g at 12 % (37.2 g), to 16: (49.6 − 37.2)/0.84
        assertThat(Correction.of(salve(272.8, 37.2), 16, WAX, OIL)
                        .orElseThrow()
                        .add()
                        .mass()
                        .grams())
                .isCloseTo(14.76, within(0.01));
        // candelilla, 1.9: 8.8/(1.9 − 0.16)
        assertThat(Correction.of(salve(202, 28), 16, CANDELILLA, OIL)
                        .orElseThrow()
                        .add()
                        .mass()
                        .grams())
                .isCloseTo(5.06, within(0.01));
        assertThat(Correction.of(salve(84, 16), 16, WAX, OIL))
                .as("nothing to do")
                .isEmpty();
        assertThat(Correction.of(salve(100, 1), 40, COCOA, OIL))
                .as("sets too softly ever to reach it")
                .isEmpty();
    }

    /** 300 g of a salve of firmness 15: 45 of wax, 255 of oil. With 10 % of shea, 0.12: (0.15 − 0.012)·300 = 41.4 of wax, 30 of shea. */
    @Test
    void waxIsWorkedOutForTheFirmnessWanted() {
        assertThat(masses(melt(new HowMuch.Weight(grams(300)), 15))).containsExactly(255, 45);
        Melt shea = melt(new HowMuch.Weight(grams(300)), 15, new Wish(SHEA, new Share.Of(0.1)));
        assertThat(masses(shea)).containsExactly(228.6, 30, 41.4);
        assertThat(shea.firmness().value()).isCloseTo(15, within(1e-9));
        // 20 g of cocoa butter, 0.3 = 6 g: 0.15·300 − 6 = 39 of wax
        assertThat(masses(melt(new HowMuch.Weight(grams(300)), 15, new Wish(COCOA, new Share.Weighed(grams(20))))))
                .containsExactly(241, 20, 39);
    }

    /** 240 g of oil at 19: 240/0.81 = 296.3 in all, 56.3 of wax; with a tenth of shea the oil is 1 − 0.1 − 0.178 = 0.722 of 332.4. */
    @Test
    void allTheOilThereIs() {
        assertThat(masses(melt(new HowMuch.AllTheOil(grams(240)), 19))).containsExactly(240, 56.3);
        assertThat(masses(melt(new HowMuch.AllTheOil(grams(240)), 19, new Wish(SHEA, new Share.Of(0.1)))))
                .containsExactly(240, 33.2, 59.2);
        // "3 oz of wax to a cup of oil": 85.05 g to 216 g, firmness 28.25, of 100 g of oil 39.4
        MeltRequest perCup = new MeltRequest(
                new HowMuch.AllTheOil(grams(100)),
                OIL,
                Optional.of(WAX),
                Optional.of(new Share.PerOil(85.05 / 216)),
                List.of(),
                0,
                false);
        assertThat(masses(Melt.of(perCup))).containsExactly(100, 39.4);
        assertThat(Melt.of(perCup).firmness().value()).isCloseTo(28.25, within(0.01));
    }

    /** 12 tins of 60 mL: 60·0.92·0.89 = 49.13 g each; firmness 19 shrinks 2 + 0.12·19 = 4.28 %: 51.23 each with its top, 614.8 in all. */
    @Test
    void tinsWithWhatTopsTheirHollows() {
        Melt melt = melt(new HowMuch.Count(12, TIN), 19);
        assertThat(melt.shrinkage()).isCloseTo(0.0428, within(1e-6));
        assertThat(melt.formula().total().grams()).isCloseTo(614.8, within(0.1));
        Filling into = Filling.into(melt.formula().total(), new Filling.Stock(TIN, 12), melt.shrinkage(), false);
        assertThat(into.count()).isEqualTo(12);
        assertThat(into.holdBack().grams()).isCloseTo(25.2, within(0.1));
        assertThat(into.left().grams()).isCloseTo(0, within(1.3));
    }

    /** Salve, 15 % of wax: 2 + 1.8 = 3.8; lip balm, 21 and 16 of cocoa butter: 2 + 2.52 + 0.8 = 5.3; bar, 33 and 34: 2 + 3.96 + 1.7. */
    @Test
    void whatItLosesOnSetting() {
        assertThat(Filling.shrinkage(salve(85, 15))).isCloseTo(0.038, within(1e-9));
        assertThat(Filling.shrinkage(salve(63, 21).with(COCOA.of(grams(16))))).isCloseTo(0.0532, within(1e-9));
        assertThat(Filling.shrinkage(salve(33, 33).with(COCOA.of(grams(34))))).isCloseTo(0.0766, within(1e-9));
    }

    /** Thirds of 80 g each: firmness 43.3, shrinks 2 + 4 + 1.67 = 7.7 %; a mould of 40 mL takes 35.6·1.077 = 38.3: six, and 10 g stay. */
    @Test
    void thirdsIntoMoulds() {
        Formula thirds = salve(80, 80).with(COCOA.of(grams(80)));
        assertThat(thirds.firmness().value()).isCloseTo(43.33, within(0.01));
        Filling into = Filling.into(thirds.total(), new Filling.Stock(MOULD, 10), Filling.shrinkage(thirds), false);
        assertThat(into.count()).isEqualTo(6);
        assertThat(into.left().grams()).isCloseTo(10.0, within(0.1));
        assertThat(into.forTheRest(
                        List.of(new Filling.Stock(new Container("small", Volume.ofMillilitres(15), false), 1)), false))
                .isPresent();
    }

    /** 150 g into tins of 60 and of 15 mL at 3.8 %: 51.0 and 12.7 g: two large and three small are 140.2, eleven small and none 140.2. */
    @Test
    void ofTheStockTheCountsThatLeaveTheLeast() {
        Container small = new Container("small", Volume.ofMillilitres(15), false);
        Filling best = Filling.best(
                grams(150), List.of(new Filling.Stock(small, 20), new Filling.Stock(TIN, 20)), 0.038, false);
        assertThat(best.pours()).extracting(Filling.Pour::count).containsExactly(2, 3);
        assertThat(best.left().grams()).isCloseTo(9.8, within(0.1));
        Filling few = Filling.best(
                grams(166), List.of(new Filling.Stock(small, 20), new Filling.Stock(TIN, 20)), 0.038, false);
        assertThat(few.pours())
                .as("thirteen small ones leave no less")
                .extracting(Filling.Pour::count)
                .containsExactly(3, 1);
    }

    /** 210 g at 75 °C, room 20: τ 40·1.05^⅓ = 40.66 min; at 50 after 40.66·ln(55/30) = 24.6 min. */
    @Test
    void aMeltCools() {
        Cooling cooling = Cooling.of(grams(210), Temperature.ofCelsius(75), ROOM, Cooling.Where.IN_AIR);
        assertThat(minutes(cooling.until(Temperature.ofCelsius(50)).orElseThrow()))
                .isCloseTo(24.64, within(0.02));
        assertThat(cooling.at(Duration.ofSeconds(1478)).celsius()).isCloseTo(50, within(0.02));
        assertThat(cooling.until(ROOM)).isEmpty();
        // read at 60 after 10 min: τ = 10/ln(55/40) = 31.4 min, so at 50 after 31.4·0.606 = 19.0
        Cooling own = cooling.through(Temperature.ofCelsius(60), Duration.ofMinutes(10))
                .orElseThrow();
        assertThat(minutes(own.tau())).isCloseTo(31.40, within(0.01));
        assertThat(minutes(own.until(Temperature.ofCelsius(50)).orElseThrow())).isCloseTo(19.03, within(0.02));
        assertThat(cooling.through(Temperature.ofCelsius(80), Duration.ofMinutes(10)))
                .isEmpty();
    }

    /**
     * When drops go in and pouring ends. 210 g, 15 % of wax, congeals at 38 + 8.25 = 46.25: drops from 54.25, too late at 49.25:
     * 40.66·ln(55/34.25) = 19.26 and ln(55/29.25) → 25.67 min. 600 g, 19 %: 48.45, from 56.45 to 51.45; τ 57.69: ln(55/36.45) → 23.73,
     * ln(55/31.45) → 32.25. 50 g,
     * 45 %: 60 at most, from 65 (not 68) to 63, τ 25.20: ln(55/45) → 5.06, ln(55/43) → 6.20.
     */
    @ParameterizedTest
    @CsvSource({"210,15,19.26,25.67", "600,19,23.73,32.25", "50,45,5.06,6.20"})
    void theWindowOfDropsAndPouring(double mass, double wax, double from, double until) {
        Pouring pouring = Pouring.of(salve(100 - wax, wax)).orElseThrow();
        Cooling cooling = Cooling.of(grams(mass), Temperature.ofCelsius(75), ROOM, Cooling.Where.IN_AIR);
        Pouring.Window window = pouring.window(cooling).orElseThrow();
        assertThat(minutes(window.from())).isCloseTo(from, within(0.02));
        assertThat(minutes(window.until())).isCloseTo(until, within(0.02));
    }

    /** Hazy at 70 °C already: no drop bears 73, where it is too late, so the stretch is empty, never less. */
    @Test
    void whatSetsVeryHotLeavesNoStretch() {
        Cooling cooling = Cooling.of(grams(200), Temperature.ofCelsius(75), ROOM, Cooling.Where.IN_AIR);
        Pouring hot = Pouring.at(Temperature.ofCelsius(70));
        assertThat(hot.window(cooling).orElseThrow().length()).isZero();
        assertThat(Pouring.at(Temperature.ofCelsius(80))
                        .window(cooling)
                        .orElseThrow()
                        .length())
                .isZero();
    }

    @Test
    void whereItCongealsIsNotKnownOfEveryMelt() {
        assertThat(Pouring.of(salve(96, 4))).as("under 5 % of wax").isEmpty();
        assertThat(Pouring.of(new Formula(List.of(OIL.of(grams(80)), CANDELILLA.of(grams(20))))))
                .isEmpty();
        assertThat(Pouring.of(salve(85, 15)).orElseThrow().honey().celsius()).isCloseTo(49.25, within(1e-9));
    }

    /** After 15.2 soft, 17 right, 18 right, 20 firm: 17.2, 17, 18, 18: mean 17.55. A sixth pushes the first out. */
    @Test
    void theHouseholdsOwnRight() {
        List<OwnRight.Test> tests = new ArrayList<>(List.of(
                new OwnRight.Test(15.2, Felt.SOFT),
                new OwnRight.Test(17, Felt.RIGHT),
                new OwnRight.Test(18, Felt.RIGHT),
                new OwnRight.Test(20, Felt.FIRM)));
        assertThat(OwnRight.of(tests).orElseThrow().target()).isCloseTo(17.55, within(1e-9));
        tests.add(new OwnRight.Test(14, Felt.RUNNY));
        tests.add(new OwnRight.Test(21, Felt.HARD));
        // 17, 18, 18, 19, 16
        assertThat(OwnRight.of(tests).orElseThrow().target()).isCloseTo(17.6, within(1e-9));
        assertThat(OwnRight.of(List.of())).isEmpty();
    }

    /** Kinds come to the firmness they say: 21 + 4.8 + 1.2 = 27; 33 + 10.2; 25 + 9.9; 11 + 3.3 + 1.2 + 1.28 = 16.8; 2 + 12 + 1.52. */
    @ParameterizedTest
    @CsvSource({
        "lip-balm,21",
        "lotion-bar,33",
        "soft-bar,25",
        "pomade,11",
        "nursing-balm,2",
        "salve,15",
        "soft-ointment,8"
    })
    void theKindsComeToTheWaxTheyAreKnownBy(String key, double wax) {
        Kind kind = Kind.shipped().stream()
                .filter(one -> one.key().equals(key))
                .findFirst()
                .orElseThrow();
        Wish[] others = kind.others().entrySet().stream()
                .map(one -> new Wish(stuff(one.getKey(), Role.BUTTER), new Share.Of(one.getValue())))
                .toArray(Wish[]::new);
        Melt melt = melt(new HowMuch.Weight(grams(100)), kind.firmness(), others);
        assertThat(100 * melt.formula().shareOf(Role.WAX)).isCloseTo(wax, within(0.06));
        assertThat(melt.tooHard()).isFalse();
    }

    @Test
    void whatCannotBeSaysSo() {
        assertThatThrownBy(
                        () -> melt(new HowMuch.Weight(grams(100)), 15, new Wish(SHEA, new Share.Weighed(grams(100)))))
                .isInstanceOf(Melt.CannotBe.class)
                .hasMessageContaining("no room is left for the oil");
        assertThat(melt(new HowMuch.Weight(grams(100)), 8, new Wish(COCOA, new Share.Of(0.5)))
                        .tooHard())
                .as("15 without any wax")
                .isTrue();
        assertThatThrownBy(() -> melt(new HowMuch.Weight(Mass.ZERO), 15)).isInstanceOf(Melt.CannotBe.class);
    }

    /** 0.5 mL of peppermint weigh 0.45 g, 1.5 mL of spruce 1.35: of 151.8 g 0.30 and 0.89 %, together 1.19. */
    @Test
    void dropsAndTheirCeilings() {
        Ceilings both = Ceilings.of(
                List.of(drops("eo-peppermint", 10), drops("eo-spruce", 30)), grams(150), Use.ADULT_SKIN, false);
        assertThat(both.lines())
                .extracting(line -> Math.round(100 * line.percent()) / 100.0)
                .containsExactly(0.30, 0.89);
        assertThat(both.sum()).isCloseTo(1.186, within(0.001));
        assertThat(both.lines()).extracting(Ceilings.Line::isOver).containsExactly(false, true);
        // 0.005·150/(0.045·0.995) = 16.75
        assertThat(both.within()).extracting(Drops::count).containsExactly(10.0, 16.0);
        Ceilings lemon = Ceilings.of(List.of(drops("eo-lemon", 30)), grams(150), Use.ADULT_SKIN, false);
        assertThat(lemon.lines().get(0).percent()).isCloseTo(0.892, within(0.001));
        assertThat(lemon.photo().orElseThrow()).isCloseTo(0.446, within(0.001));
        assertThat(lemon.isOver()).isFalse();
        // 0.89 % of lemon: within 2 for the body and 1 for face, children and the elderly; half a percent is too
        // little, none is none
        assertThat(Ceilings.byUser(List.of(drops("eo-lemon", 30)), grams(150), false))
                .filteredOn(user -> !user.within())
                .extracting(Ceilings.User::use)
                .containsExactly(Use.CHILD_2_5, Use.BABY);
        assertThat(Ceilings.of(List.of(drops("eo-oregano", 3)), grams(60), Use.BABY, false)
                        .isOver())
                .isTrue();
        assertThat(Ceilings.of(List.of(drops("eo-lavender", 3)), grams(60), Use.ADULT_SKIN, true)
                        .within())
                .as("a nursing balm takes none")
                .extracting(Drops::count)
                .containsExactly(0.0);
        // the same 10 drops of peppermint from a dropper that gives 37 to the mL: 10/37·0.9 = 0.243 g
        Drops fine = new Drops(drops("eo-peppermint", 10).oil(), 10, 37);
        assertThat(fine.mass().grams()).isCloseTo(0.243, within(0.001));
        assertThat(Drops.from(fine.oil(), fine.mass(), 37).count()).isCloseTo(10, within(1e-9));
        // 15 drops of spruce, 0.675 g, are 0.45 %: within 0.5; the same again from another bottle is 0.89 % and over.
        // 0.005·150/0.995 = 0.754 g of 1.35: 8.4 drops of each
        Ceilings bottles =
                Ceilings.of(List.of(drops("eo-spruce", 15), drops("eo-spruce", 15)), grams(150), Use.ADULT_SKIN, false);
        assertThat(bottles.lines()).extracting(Ceilings.Line::isOver).containsExactly(true, true);
        assertThat(bottles.within()).extracting(Drops::count).containsExactly(8.0, 8.0);
        // two phototoxic at 0.6 of their own each are 1.2 together: 0.5 of each fits
        Ceilings sunny =
                Ceilings.of(List.of(drops("eo-lemon", 41), drops("eo-grapefruit", 82)), grams(150), Use.HANDS, false);
        assertThat(sunny.photo().orElseThrow()).isGreaterThan(1);
        assertThat(sunny.isOver()).isTrue();
    }

    /**
     * An oil infused in its own fats, half shea, half coconut, sets like 0.5·0.12 + 0.5·0.08 = 0.10. To firmness 15 of 200 g: wax
     * (0.15 − 0.10)·200/(1 − 0.10) = 11.1 g, of the fats 188.9. 30 g of olive besides leave (0.05·200 + 0.10·30)/0.90 = 14.4 g of wax.
     */
    @Test
    void anOilThatSetsByItself() {
        Stuff fats = new Stuff("infused", "Nettle in shea and coconut", Role.OIL, 0.10);
        Stuff wax = new Stuff("beeswax", "Beeswax", Role.WAX, 1);
        Stuff olive = new Stuff("olive", "Olive", Role.OIL, 0);
        Melt plain = Melt.of(new MeltRequest(
                new HowMuch.Weight(grams(200)), fats, Optional.of(wax), Optional.empty(), List.of(), 15, false));
        assertThat(plain.formula().parts().get(1).mass().grams()).isCloseTo(11.11, within(0.01));
        assertThat(plain.firmness().value()).isCloseTo(15, within(1e-6));
        Melt thinned = Melt.of(new MeltRequest(
                new HowMuch.Weight(grams(200)),
                fats,
                Optional.of(wax),
                Optional.empty(),
                List.of(new MeltRequest.Wish(olive, new MeltRequest.Share.Weighed(grams(30)))),
                15,
                false));
        assertThat(thinned.firmness().value()).isCloseTo(15, within(1e-6));
        assertThat(thinned.formula().parts().get(2).mass().grams()).isCloseTo(14.44, within(0.01));
        // Softened with itself from 15 to 12: (S − f·t)/(f − o) = (30 − 24)/0.02 = 300 g; to 10 or less it never comes.
        assertThat(Correction.of(plain.formula(), 12, wax, fats)
                        .orElseThrow()
                        .add()
                        .mass()
                        .grams())
                .isCloseTo(300, within(0.1));
        assertThat(Correction.of(plain.formula(), 10, wax, fats)).isEmpty();
    }

    private static Drops drops(String key, double count) {
        SupplyKind oil = Materia.shipped().supplies().stream()
                .filter(kind -> kind.key().equals(key))
                .findFirst()
                .orElseThrow();
        return Drops.of(oil, count);
    }

    /** Random formulas: strata add up, scaling keeps firmness, a correction lands within 0.1, no container promises what is not there. */
    @Test
    void randomFormulasHoldTogether() {
        Random random = new Random(7);
        for (int i = 0; i < Cases.of(500); i++) {
            double whole = 20 + random.nextInt(2000);
            double butter = random.nextDouble() * 0.3;
            Melt melt = melt(
                    new HowMuch.Weight(grams(whole)),
                    6 + random.nextDouble() * 30,
                    new Wish(random.nextBoolean() ? SHEA : COCOA, new Share.Of(butter)));
            Formula formula = melt.formula();
            assertThat(formula.total().grams()).isCloseTo(whole, within(1e-6));
            assertThat(formula.parts()).allMatch(part -> part.mass().grams() > 0);
            assertThat(formula.times(0.1 + random.nextDouble() * 9).firmness().value())
                    .isCloseTo(formula.firmness().value(), within(1e-9));
            double target = 3 + random.nextDouble() * 40;
            Correction.of(formula, target, WAX, OIL)
                    .ifPresent(add -> assertThat(add.then().value()).isCloseTo(target, within(0.1)));
            Filling into = Filling.best(
                    formula.total(),
                    List.of(
                            new Filling.Stock(TIN, random.nextInt(40)),
                            new Filling.Stock(MOULD, random.nextInt(5)),
                            new Filling.Stock(
                                    new Container("tube", Volume.ofMillilitres(5), false), random.nextInt(9))),
                    melt.shrinkage(),
                    false);
            double poured = into.pours().stream()
                    .mapToDouble(pour -> pour.count() * pour.each().grams())
                    .sum();
            assertThat(poured).isLessThanOrEqualTo(whole + 1e-6);
            assertThat(poured + into.left().grams()).isCloseTo(whole, within(1e-6));
        }
    }

    /** A bigger ceiling never allows less: what somebody pregnant may have, a grown-up body may. */
    @Test
    void aBiggerCeilingNeverAllowsLess() {
        Random random = new Random(8);
        List<SupplyKind> oils = Materia.shipped().supplies().stream()
                .filter(kind -> kind.key().startsWith("eo-"))
                .toList();
        for (int i = 0; i < Cases.of(300); i++) {
            Drops one = Drops.of(oils.get(random.nextInt(oils.size())), 1 + random.nextInt(200));
            double last = -1;
            for (Use use : List.of(Use.BABY, Use.CHILD_2_5, Use.PREGNANCY, Use.ADULT_SKIN)) {
                double most = Ceilings.of(List.of(one), grams(100), use, false)
                        .within()
                        .get(0)
                        .count();
                assertThat(most).as(one + " " + use).isGreaterThanOrEqualTo(last);
                last = most;
            }
            Drops other = random.nextInt(4) == 0
                    ? new Drops(one.oil(), 1 + random.nextInt(200), 10 + random.nextInt(40))
                    : Drops.of(oils.get(random.nextInt(oils.size())), 1 + random.nextInt(200));
            Ceilings cut = Ceilings.of(List.of(one, other), grams(100), Use.ADULT_SKIN, false);
            assertThat(Ceilings.of(cut.within(), grams(100), Use.ADULT_SKIN, false)
                            .isOver())
                    .isFalse();
        }
    }

    private static double minutes(Duration duration) {
        return duration.toMillis() / 60_000.0;
    }

    private static double[] masses(Melt melt) {
        return melt.formula().parts().stream()
                .mapToDouble(part -> Math.round(10 * part.mass().grams()) / 10.0)
                .toArray();
    }
}
