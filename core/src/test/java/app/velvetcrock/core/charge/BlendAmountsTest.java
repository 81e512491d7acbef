package app.velvetcrock.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.charge.HerbWish.Deep;
import app.velvetcrock.core.charge.HerbWish.Fill;
import app.velvetcrock.core.charge.HerbWish.Parts;
import app.velvetcrock.core.charge.HerbWish.Weight;
import app.velvetcrock.core.kitchen.ShareReader;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Cut leaf 0.15 g/mL, whole flowers 0.08, root 0.35; a half-litre jar 84 mm across, floor 5541.8 mm². */
class BlendAmountsTest {

    private static final Vessel JAR = new Vessel("half litre", Volume.ofMillilitres(500), Length.ofMillimetres(84));
    private final List<HerbPortion> gram = List.of(
            gram(Part.LEAF, Cut.CUT_AND_SIFTED), gram(Part.FLOWER, Cut.WHOLE), gram(Part.ROOT, Cut.CUT_AND_SIFTED));

    /** 40 g of leaf are 266.7 mL; half of that in flowers 10.67 g, a quarter part by weight 10 g. */
    @Test
    void partsAreOfTheFirstHerbByWeightOrByVolume() {
        assertThat(grams(List.of(weight(40), new Parts(0.5, true), new Parts(0.25, false)), Optional.empty()))
                .containsExactly(40.0, 10.67, 10.0);
    }

    /** 2 : 1 : 1 by weight of 60 g. By volume 2·0.15 : 0.08 : 0.35 = 0.30 : 0.08 : 0.35 of 0.73: 24.66, 6.58, 28.77. */
    @Test
    void partsOfAWhole() {
        assertThat(grams(
                        List.of(new Parts(2, false), new Parts(1, false), new Parts(1, false)),
                        Optional.of(weight(60))))
                .containsExactly(30.0, 15.0, 15.0);
        assertThat(grams(List.of(new Parts(2, true), new Parts(1, true), new Parts(1, true)), Optional.of(weight(60))))
                .containsExactly(24.66, 6.58, 28.77);
    }

    /** 1 : 1 by weight lies 6.667 + 12.5 = 19.17 mL a gram of each: half of 500 takes 13.04 g each; 277.1 mL, 5 cm deep, 14.46 g. */
    @Test
    void theWholeBlendLiesInTheJar() {
        List<HerbWish> equal = List.of(new Fill(0.5), new Parts(1, false));
        assertThat(grams(equal, Optional.empty())).containsExactly(13.04, 13.04);
        assertThat(grams(List.of(new Deep(Length.ofMillimetres(50)), new Parts(1, false)), Optional.empty()))
                .containsExactly(14.46, 14.46);
        assertThat(grams(List.of(weight(10), weight(10)), Optional.of(new Fill(0.5))))
                .containsExactly(13.04, 13.04);
    }

    @Test
    void whatDoesNotGoTogetherNamesItsRow() {
        assertThatThrownBy(() -> grams(List.of(new Parts(1, false), weight(10)), Optional.empty()))
                .hasMessageContaining("parts of what")
                .matches(e -> row(e) == -1);
        assertThatThrownBy(() -> grams(List.of(new Fill(0.5), weight(10)), Optional.empty()))
                .hasMessageContaining("in parts")
                .matches(e -> row(e) == 1);
        assertThatThrownBy(() -> grams(List.of(weight(10), new Fill(0.5)), Optional.empty()))
                .hasMessageContaining("only the first")
                .matches(e -> row(e) == 1);
        assertThatThrownBy(() -> grams(List.of(new Fill(0.5)), Optional.of(weight(10))))
                .hasMessageContaining("say one of them")
                .matches(e -> row(e) == 0);
        assertThatThrownBy(() -> grams(List.of(new Parts(1, false)), Optional.of(new Parts(1, false))))
                .hasMessageContaining("in all")
                .matches(e -> row(e) == -1);
        assertThatThrownBy(() -> new Fill(1.2)).hasMessageContaining("between 0.01 and 1");
    }

    /** Every school typed back from a charge gives that charge again. */
    @Test
    void schoolsReadBackToTheSameCharge() {
        Random random = new Random(5);
        for (int i = 0; i < Cases.of(300); i++) {
            HerbPortion herb = gram.get(random.nextInt(3)).times(12 + random.nextInt(60));
            Charge charge = new Charge(
                    Herbs.of(herb), Volume.ofMillilitres(100 + random.nextInt(900)), JAR, Charge.COLD_HEADSPACE);
            Schools schools = Schools.of(charge, app.velvetcrock.core.measure.Density.ofGramsPerMillilitre(0.917));
            List<HerbPortion> one = List.of(herb.times(1 / herb.mass().grams()));
            assertThat(new OilWish.ByRatio(schools.weightToVolume())
                            .oilFor(charge)
                            .millilitres())
                    .isCloseTo(charge.oil().millilitres(), within(1e-6));
            assertThat(new OilWish.ByCups(schools.cupsToCups()).oilFor(charge).millilitres())
                    .isCloseTo(charge.oil().millilitres(), within(1e-6));
            if (charge.cover() == Cover.COVERS) {
                assertThat(new OilWish.Above(schools.oilAbove()).oilFor(charge).millilitres())
                        .isCloseTo(charge.oil().millilitres(), within(1e-6));
            }
            if (schools.jarFill() <= 1) {
                assertThat(BlendAmounts.of(one, List.of(new Fill(schools.jarFill())), Optional.empty(), JAR)
                                .mass()
                                .grams())
                        .isCloseTo(herb.mass().grams(), within(1e-6));
            }
            assertThat(BlendAmounts.of(one, List.of(new Deep(schools.herbDepth())), Optional.empty(), JAR)
                            .mass()
                            .grams())
                    .isCloseTo(herb.mass().grams(), within(1e-6));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "2,2",
        "'1 ½',1.5",
        "2/3,0.6667",
        "half,0.5",
        "'60 %',0.6",
        "'0,25',0.25",
        "two thirds,0.6667",
        "'2 cups',",
        "'',",
        "x,",
        "'1,500',"
    })
    void bareNumbersAreRead(String typed, Double value) {
        Optional<Double> read = ShareReader.read(typed);
        assertThat(read.isPresent()).isEqualTo(value != null);
        read.ifPresent(number -> assertThat(number).isCloseTo(value, within(1e-4)));
    }

    /**
     * 84 mm across in a pan 200 mm across: floor 31,416 mm². 420 mL over 60 g of cut leaf stand (420 + 42.86)/5541.8 = 83.5 mm;
     * water 31.416·83.5 − 462.9 = 2160 mL.
     * A pan of 2 L is 63.7 mm deep: too low. One 100 mm across leaves less than a finger round it.
     */
    @Test
    void aJarInABathWantsAPanWideAndDeepEnough() {
        Charge charge =
                new Charge(Herbs.of(gram.get(0).times(60)), Volume.ofMillilitres(420), JAR, Charge.HEATED_HEADSPACE);
        Vessel low = pan(2000, 200);
        Vessel narrow = pan(4000, 100);
        Vessel good = pan(4000, 200);
        assertThat(Bath.smallest(List.of(low, narrow), charge)).isEmpty();
        Bath bath = Bath.smallest(List.of(pan(6000, 220), good, low), charge).orElseThrow();
        assertThat(bath.pan()).isEqualTo(good);
        assertThat(bath.depth().millimetres()).isCloseTo(83.5, within(0.05));
        assertThat(bath.water().millilitres()).isCloseTo(2161.0, within(2.0));
    }

    /**
     * Three herbs, 300 g in all, in jars of 1 L, 1 L and 750 mL: each takes by its capacity, 109.1, 109.1 and 81.8 g. Ratio 1:8
     * holds; with two litres alone it does not.
     */
    @Test
    void aChargeNoJarTakesIsDividedByCapacity() {
        Herbs herbs = new Herbs(List.of(gram.get(0).times(180), gram.get(2).times(120)));
        Vessel litre = new Vessel("litre", Volume.ofMillilitres(1000), Length.ofMillimetres(100));
        Vessel smaller = new Vessel("three quarters", Volume.ofMillilitres(750), Length.ofMillimetres(95));
        Charge charge = new Charge(herbs, Volume.ZERO, litre, Charge.COLD_HEADSPACE);
        OilWish wish = new OilWish.ByRatio(6.5);
        List<JarSplit.Share> shares = JarSplit.of(List.of(litre, smaller, litre), charge, wish);
        assertThat(shares)
                .extracting(share -> Math.round(share.share() * 3000) / 10.0)
                .containsExactly(81.8, 109.1, 109.1);
        assertThat(shares.stream()
                        .mapToDouble(share ->
                                JarSplit.part(charge, wish, share).oil().millilitres())
                        .sum())
                .isCloseTo(1950, within(1e-6));
        assertThat(JarSplit.of(List.of(litre, litre), charge, wish)).isEmpty();
        assertThat(JarSplit.of(List.of(), charge, wish)).isEmpty();
    }

    private static Vessel pan(double capacity, double width) {
        return new Vessel("pan", Volume.ofMillilitres(capacity), Length.ofMillimetres(width), true);
    }

    private List<Double> grams(List<HerbWish> said, Optional<HerbWish> whole) {
        return BlendAmounts.masses(BlendAmounts.of(gram.subList(0, said.size()), said, whole, JAR)).stream()
                .map(mass -> Math.round(mass.grams() * 100) / 100.0)
                .toList();
    }

    private static int row(Throwable e) {
        return ((BlendAmounts.UnclearException) e).row();
    }

    private static HerbWish weight(double grams) {
        return new Weight(Mass.ofGrams(grams));
    }

    private static HerbPortion gram(Part part, Cut cut) {
        return new HerbPortion(
                Mass.ofGrams(1), Materia.shipped().texture(part, cut), Moisture.DRIED, Optional.empty(), 5);
    }
}
