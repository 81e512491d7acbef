package app.velvetcrock.core.charge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
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

class JarChoiceTest {

    private static final Materia MATERIA = Materia.shipped();
    private static final Vessel HALF = jar("half", 500, 84);
    private static final Vessel THREE_QUARTERS = jar("three quarters", 750, 95);
    private static final Vessel LITRE = jar("litre", 1000, 100);
    private static final List<Vessel> STOCK = List.of(LITRE, HALF, THREE_QUARTERS);

    /** 60 g cut leaf in 420 mL: 463 mL of room, more than the 450 a half litre gives; three quarters gives 675. */
    @Test
    void takesTheSmallestThatHoldsAndCovers() {
        assertThat(choose(60, new OilWish.Exactly(Volume.ofMillilitres(420)))).contains(THREE_QUARTERS);
        // 50 g: bulk 333.3·1.15/1.6 = 239.6 pressed + 110.8 cover = 350.4; in 350 mL room is 350 + 35.7 = 385.7
        assertThat(choose(50, new OilWish.Exactly(Volume.ofMillilitres(350)))).contains(HALF);
    }

    /** Each jar with its own width: what is "enough to cover" is worked out for that jar, not for another. */
    @Test
    void enoughToCoverIsAskedOfEachJar() {
        // 60 g in the half litre: need 355.4, so 360; room 402.9 of 450
        assertThat(choose(60, new OilWish.ToCover())).contains(HALF);
        assertThat(new OilWish.ToCover().oilFor(charge(60, HALF)).millilitres()).isEqualTo(360);
        // the litre is 100 mm across: 287.5 − 42.9 + 157.1 = 401.7, so 405
        assertThat(new OilWish.ToCover().oilFor(charge(60, LITRE)).millilitres())
                .isEqualTo(405);
    }

    /** As high as 1.15 times its width: 500 mL of 82 mm are 94.7 mm high, 1.155 times. */
    @Test
    void aUsualJarIsALittleHigherThanWide() {
        for (Vessel jar : List.of(HALF, THREE_QUARTERS, LITRE)) {
            Length usual = Vessel.usualWidth(jar.capacity());
            assertThat(usual.millimetres()).isCloseTo(jar.innerWidth().millimetres(), within(4.0));
            Vessel guessed = new Vessel("usual", jar.capacity(), usual);
            assertThat(guessed.height().millimetres() / usual.millimetres()).isCloseTo(1.15, within(0.02));
        }
        assertThat(Vessel.usualWidth(Volume.ofMillilitres(500)).millimetres()).isEqualTo(82);
    }

    @Test
    void saysWhenNoneWillDo() {
        assertThat(choose(300, new OilWish.ToCover())).isEmpty();
        assertThat(JarChoice.smallest(List.of(), charge(10, HALF), new OilWish.ToCover()))
                .isEmpty();
    }

    @Test
    void noSmallerJarWouldHaveDone() {
        Random random = new Random(8);
        for (int i = 0; i < Cases.of(500); i++) {
            double grams = 5 + random.nextInt(120);
            OilWish wish = random.nextBoolean() ? new OilWish.ToCover() : new OilWish.ByRatio(4 + random.nextInt(10));
            Optional<Vessel> chosen = choose(grams, wish);
            for (Vessel jar : STOCK) {
                boolean smaller = chosen.filter(c -> c.capacity().compareTo(jar.capacity()) <= 0)
                        .isEmpty();
                Charge poured = charge(grams, jar).withOil(wish.oilFor(charge(grams, jar)));
                if (smaller) {
                    assertThat(poured.fits() && poured.cover().isEnough())
                            .as("%s g in %s", grams, jar.name())
                            .isFalse();
                }
            }
        }
    }

    /** 20 g cut leaf and 10 g ground root: D 30/1.4 = 21.4; bulk 133.3 + 33.3; pressed (133.3/1.6 + 33.3)·1.15 = 134.2. */
    @Test
    void aBlendIsTheSumOfItsHerbs() {
        Herbs blend =
                new Herbs(List.of(portion(Part.LEAF, Cut.CUT_AND_SIFTED, 20), portion(Part.ROOT, Cut.GROUND, 10)));
        assertThat(blend.mass()).isEqualTo(Mass.ofGrams(30));
        assertThat(blend.displacement().millilitres()).isCloseTo(21.43, within(0.01));
        assertThat(blend.looseBulk().millilitres()).isCloseTo(166.67, within(0.01));
        assertThat(blend.swollenPressed().millilitres()).isCloseTo(134.17, within(0.01));
        assertThat(blend.times(2).swollenLoose().millilitres()).isCloseTo(2 * 191.67, within(0.01));
        assertThatThrownBy(() -> new Herbs(List.of())).hasMessageContaining("at least one");
    }

    private static Optional<Vessel> choose(double grams, OilWish wish) {
        return JarChoice.smallest(STOCK, charge(grams, LITRE), wish);
    }

    private static Charge charge(double grams, Vessel jar) {
        return new Charge(
                Herbs.of(portion(Part.LEAF, Cut.CUT_AND_SIFTED, grams)), Volume.ZERO, jar, Charge.COLD_HEADSPACE);
    }

    private static HerbPortion portion(Part part, Cut cut, double grams) {
        return new HerbPortion(Mass.ofGrams(grams), MATERIA.texture(part, cut), Moisture.DRIED, Optional.empty(), 5);
    }

    private static Vessel jar(String name, double capacity, double width) {
        return new Vessel(name, Volume.ofMillilitres(capacity), Length.ofMillimetres(width));
    }
}
