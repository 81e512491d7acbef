package app.velvetcrock.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.SortedMap;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChargeTest {

    private static final Materia MATERIA = Materia.shipped();

    /** Checked sum 2, first half: 30 g in a 75 mm jar, A·20 mm = 88.4 mL, D = 30 ÷ 1.4 = 21.4 mL. */
    @ParameterizedTest(name = "{0} {1}")
    @CsvSource({"FLOWER,WHOLE,498,16.6,336,11.2", "LEAF,CUT_AND_SIFTED,297,9.9,211,7.0", "LEAF,GROUND,182,6.1,182,6.1"})
    void oilToCoverThirtyGrams(
            Part part, Cut cut, double loose, double looseRatio, double pressed, double pressedRatio) {
        Charge charge =
                charge(part, cut, 30, 0, new Vessel("jar", Volume.ofMillilitres(1000), Length.ofMillimetres(75)));
        assertThat(charge.looseNeed().millilitres()).isCloseTo(loose, within(0.5));
        assertThat(charge.looseNeed().millilitres() / 30).isCloseTo(looseRatio, within(0.05));
        assertThat(charge.pressedNeed().millilitres()).isCloseTo(pressed, within(0.5));
        assertThat(charge.pressedNeed().millilitres() / 30).isCloseTo(pressedRatio, within(0.05));
    }

    /** Checked sum 2, second half. */
    @Test
    void sixtyGramsOfCutLeafIsTooFullForAHalfLitreJar() {
        Vessel jar = jar(500, 84);
        Charge charge = charge(Part.LEAF, Cut.CUT_AND_SIFTED, 60, 420, jar);
        assertThat(charge.looseNeed().millilitres()).isCloseTo(528, within(0.5));
        assertThat(charge.pressedNeed().millilitres()).isCloseTo(355, within(0.5));
        assertThat(charge.cover()).isEqualTo(Cover.COVERS_PUSHED_UNDER);
        assertThat(charge.room().millilitres()).isCloseTo(463, within(0.5));
        assertThat(charge.airShare()).isCloseTo(0.07, within(0.005));
        assertThat(charge.fits()).isFalse();
        List<Vessel> stock = List.of(jar, jar(750, 95), jar(1500, 110));
        List<Remedy> remedies = Remedies.of(charge, new OilWish.Exactly(charge.oil()), stock, new TreeMap<>());
        assertThat(remedies).contains(new Remedy.OtherJar(jar(750, 95)));
        assertThat(remedies).anyMatch(Remedy.LessHerb.class::isInstance);
    }

    /** A = π·84²/4 = 5541.8 mm². Oil (420 + 42.86)/A = 83.5 mm; herb 460/1.6 = 287.5 mL, 51.9 mm. */
    @Test
    void levelsOfACoveredCharge() {
        Levels levels = Levels.of(charge(Part.LEAF, Cut.CUT_AND_SIFTED, 60, 420, jar(500, 84)));
        assertThat(levels.oil().millimetres()).isCloseTo(83.5, within(0.05));
        assertThat(levels.herb().millimetres()).isCloseTo(51.9, within(0.05));
        assertThat(levels.coverDepth().millimetres()).isCloseTo(31.6, within(0.1));
    }

    /** Not covered: herb 460/A = 83.0 mm; oil 250/(A·(1 − 42.86/460)) = 49.7 mm, so 33 mm stand out. */
    @Test
    void levelsOfAChargeThatStandsOut() {
        Levels levels = Levels.of(charge(Part.LEAF, Cut.CUT_AND_SIFTED, 60, 250, jar(500, 84)));
        assertThat(levels.herb().millimetres()).isCloseTo(83.0, within(0.05));
        assertThat(levels.oil().millimetres()).isCloseTo(49.7, within(0.1));
        assertThat(levels.standsOut()).isTrue();
    }

    /** 40 g leaf: usual 200 mL; pressed need 40/0.15·1.15/1.6 − 28.57 + 110.84 = 273.9, so 275 mL. */
    @Test
    void theDefaultIsTheLargerOfTheUsualAndWhatCovers() {
        Charge charge = charge(Part.LEAF, Cut.CUT_AND_SIFTED, 40, 0, jar(500, 84));
        assertThat(new OilWish.ToCover().oilFor(charge).millilitres()).isEqualTo(275);
        assertThat(new OilWish.ByRatio(7).oilFor(charge).millilitres()).isEqualTo(280);
    }

    @Test
    void aWeighedCupReplacesTheEstimate() {
        HerbPortion estimated = portion(Part.LEAF, Cut.CUT_AND_SIFTED, 60);
        HerbPortion weighed = new HerbPortion(
                estimated.mass(),
                estimated.texture(),
                Moisture.DRIED,
                Optional.of(Density.ofGramsPerMillilitre(0.2)),
                5);
        assertThat(weighed.looseBulk().millilitres()).isCloseTo(300, within(1e-9));
    }

    /**
     * 100 g chopped root: usual 500 mL, which with 71.4 mL of root wants 571 of the 450 a half litre gives; 100/0.35·1.15/1.6 − 71.4 + 88.4
     * = 222.3 covers, so 225 is poured there, and 500 wherever there is room for it.
     */
    @Test
    void whatCoversIsPouredOnlyWhereTheUsualHasNoRoom() {
        Charge small = charge(Part.ROOT, Cut.CUT_AND_SIFTED, 100, 0, jar(500, 75));
        OilWish usual = new OilWish.ToCover();
        assertThat(usual.isReduced(small)).isTrue();
        assertThat(usual.oilFor(small).millilitres()).isEqualTo(225);
        assertThat(usual.isReduced(small.in(jar(1000, 95)))).isFalse();
        assertThat(usual.oilFor(small.in(jar(1000, 95))).millilitres()).isEqualTo(500);
        // Nothing is gained in a jar that holds neither: the usual stays, and says that it is too much.
        assertThat(usual.isReduced(small.in(jar(250, 65)))).isFalse();
        assertThat(JarChoice.smallest(List.of(jar(500, 75), jar(1000, 95)), small, usual))
                .contains(jar(1000, 95));
        assertThat(JarChoice.smallest(List.of(jar(250, 65), jar(500, 75)), small, usual))
                .contains(jar(500, 75));
        assertThat(new OilWish.ByRatio(5).isReduced(small)).isFalse();
    }

    @Test
    void moreHerbNeverNeedsLessOilToCover() {
        Random random = new Random(1);
        for (int i = 0; i < Cases.of(2000); i++) {
            Charge less = random(random);
            Charge more = new Charge(
                    less.herbs().times(1 + random.nextDouble()), less.oil(), less.vessel(), less.headspace());
            assertThat(more.looseNeed()).isGreaterThanOrEqualTo(less.looseNeed());
            assertThat(more.pressedNeed()).isGreaterThanOrEqualTo(less.pressedNeed());
            assertThat(less.looseNeed()).isGreaterThanOrEqualTo(less.pressedNeed());
        }
    }

    @Test
    void schoolsOfRatioRoundTrip() {
        Random random = new Random(2);
        for (int i = 0; i < Cases.of(2000); i++) {
            Charge charge = random(random);
            Schools schools = Schools.of(charge, Density.ofGramsPerMillilitre(0.917));
            double oil = charge.oil().millilitres();
            assertThat(Schools.oilByWeight(charge.herbs(), schools.weightToVolume())
                            .millilitres())
                    .isCloseTo(oil, within(1e-6));
            assertThat(Schools.oilByCups(charge.herbs(), schools.cupsToCups()).millilitres())
                    .isCloseTo(oil, within(1e-6));
            assertThat(Schools.herbForFill(charge.herbs().times(0.3), charge.vessel(), schools.jarFill())
                            .mass()
                            .grams())
                    .isCloseTo(charge.herbs().mass().grams(), within(1e-6));
            assertThat(charge.vessel().volumeOf(schools.herbDepth()).millilitres())
                    .isCloseTo(charge.herbs().looseBulk().millilitres(), within(1e-6));
            assertThat(schools.oilWeight().grams() / 0.917).isCloseTo(oil, within(1e-6));
        }
    }

    /** Checked sum 2: 30 g in a 75 mm jar with 200 mL: whole flowers need 336 pressed, ground 182. */
    @Test
    void groundHerbIsNamedWhereTheWholeStandsOut() {
        Charge charge = charge(Part.FLOWER, Cut.WHOLE, 30, 200, jar(500, 75));
        List<Remedy> remedies = Remedies.of(charge, new OilWish.Exactly(charge.oil()), List.of(), ground(charge));
        assertThat(charge.cover()).isEqualTo(Cover.WILL_NOT_COVER);
        assertThat(remedies).contains(new Remedy.FinerCut(Cut.GROUND));
    }

    @Test
    void everyRemedyTakenMakesAGoodCharge() {
        Random random = new Random(3);
        List<Vessel> stock = List.of(jar(250, 65), jar(500, 84), jar(750, 95), jar(1000, 95), jar(3000, 140));
        int taken = 0;
        for (int i = 0; i < Cases.of(1000); i++) {
            Charge charge = random(random);
            OilWish wish = new OilWish.Exactly(charge.oil());
            for (Remedy remedy : Remedies.of(charge, wish, stock, ground(charge))) {
                for (Charge mended : take(remedy, charge)) {
                    assertThat(mended.fits() && mended.cover().isEnough())
                            .as("%s after %s", charge, remedy)
                            .isTrue();
                }
                taken++;
            }
        }
        assertThat(taken).isGreaterThan(500);
    }

    private static List<Charge> take(Remedy remedy, Charge charge) {
        if (remedy instanceof Remedy.MoreOil more) {
            return List.of(charge.withOil(more.oil()));
        } else if (remedy instanceof Remedy.OtherJar other) {
            return List.of(charge.in(other.vessel()));
        } else if (remedy instanceof Remedy.SplitOver split) {
            assertThat(split.shares().stream()
                            .mapToDouble(JarSplit.Share::share)
                            .sum())
                    .isCloseTo(1, within(1e-9));
            return split.shares().stream()
                    .map(share -> JarSplit.part(charge, new OilWish.Exactly(charge.oil()), share))
                    .toList();
        } else if (remedy instanceof Remedy.FinerCut finer) {
            return List.of(
                    new Charge(ground(charge).get(finer.cut()), charge.oil(), charge.vessel(), charge.headspace()));
        }
        double factor = ((Remedy.LessHerb) remedy).herb().grams()
                / charge.herbs().mass().grams();
        return List.of(new Charge(charge.herbs().times(factor), charge.oil(), charge.vessel(), charge.headspace()));
    }

    private static SortedMap<Cut, Herbs> ground(Charge charge) {
        return new TreeMap<>(Map.of(
                Cut.GROUND,
                new Herbs(charge.herbs().portions().stream()
                        .map(portion -> portion(
                                portion.texture().part(),
                                Cut.GROUND,
                                portion.mass().grams()))
                        .toList())));
    }

    private static Charge random(Random random) {
        Part part = Part.values()[random.nextInt(Part.values().length)];
        Cut cut = Cut.values()[random.nextInt(Cut.values().length)];
        Vessel jar = jar(200 + random.nextInt(2000), 60 + random.nextInt(80));
        return charge(part, cut, 5 + random.nextInt(200), 50 + random.nextInt(1500), jar);
    }

    private static Charge charge(Part part, Cut cut, double grams, double oil, Vessel vessel) {
        return new Charge(
                Herbs.of(portion(part, cut, grams)), Volume.ofMillilitres(oil), vessel, Charge.COLD_HEADSPACE);
    }

    private static HerbPortion portion(Part part, Cut cut, double grams) {
        return new HerbPortion(Mass.ofGrams(grams), MATERIA.texture(part, cut), Moisture.DRIED, Optional.empty(), 5);
    }

    private static Vessel jar(double capacity, double width) {
        return new Vessel("jar", Volume.ofMillilitres(capacity), Length.ofMillimetres(width));
    }
}
