package app.velvetcrock.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.charge.BlendAmounts.UnclearException;
import app.velvetcrock.core.charge.OilShares;
import app.velvetcrock.core.charge.OilShares.Said;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A mix of oils: what was said of each, and what they are together. */
class CarriersTest {

    private static final LocalDate POURED = LocalDate.of(2026, 11, 5);

    private final Materia materia = Materia.shipped();

    @Test
    void sharesPartsAndAmountsSayTheSame() {
        Said rest = new Said.Rest();
        assertThat(shares(rest, new Said.Share(0.25, false)).shares()).containsExactly(0.75, 0.25);
        assertThat(shares(new Said.Parts(3, false), new Said.Parts(1, false)).shares())
                .containsExactly(0.75, 0.25);
        assertThat(shares(rest, new Said.Parts(1, false)).shares()).containsExactly(0.5, 0.5);
        assertThat(shares(amount(300), amount(100)).all()).contains(Volume.ofMillilitres(400));
        assertThat(shares(amount(300), amount(100)).shares()).containsExactly(0.75, 0.25);
        assertThat(OilShares.of(oils(rest, amount(100)), Optional.of(Volume.ofMillilitres(400)))
                        .shares())
                .containsExactly(0.75, 0.25);
        // Half by weight of 0.9 and 0.945: 0.5/0.9 = 0.5556 and 0.5/0.945 = 0.5291, so 51.2 and 48.8 % of the volume.
        assertThat(OilShares.of(
                                List.of(
                                        new OilShares.Oil(rest, Density.ofGramsPerMillilitre(0.9)),
                                        new OilShares.Oil(
                                                new Said.Share(0.5, true), Density.ofGramsPerMillilitre(0.945))),
                                Optional.empty())
                        .shares()
                        .get(0))
                .isCloseTo(0.5122, within(0.0001));
    }

    @Test
    void whatDoesNotGoTogetherIsRefusedWhereItStands() {
        refused(1, "leave none of the first", new Said.Rest(), new Said.Share(0.6, false), new Said.Share(0.4, false));
        refused(0, "come to 80 %", new Said.Share(0.4, false), new Said.Share(0.4, false));
        refused(2, "all said as shares", new Said.Rest(), new Said.Share(0.4, false), new Said.Parts(1, false));
        refused(2, "all said as shares", new Said.Rest(), new Said.Share(0.4, false), new Said.Share(0.2, true));
        refused(-1, "cannot be told", new Said.Rest(), amount(100));
        assertThatThrownBy(() -> OilShares.of(oils(amount(100), amount(100)), Optional.of(Volume.ofMillilitres(300))))
                .hasMessageContaining("come to 200 mL, and 300 mL is said for all");
    }

    /**
     * 60 % olive and 40 % coconut: 0.6 · 0.913 + 0.4 · 0.921 = 0.9162 g/mL; olive's 15 months; melted at coconut's 26 °C; 300 mL
     * weigh 274.86 g: 164.34 and 110.52.
     */
    @Test
    void aMixIsOneOilOfItsParts() {
        Carriers mix = new Carriers(List.of(part("olive", 0.6, 8), part("coconut", 0.4, 5)));
        PlannedCarrier one = mix.together(POURED);
        CarrierKind kind = one.kind();
        assertThat(mix.words()).isEqualTo("Olive 60 %, coconut 40 %");
        assertThat(kind.common()).isEqualTo("Olive and coconut");
        assertThat(kind.density().gramsPerMillilitre()).isCloseTo(0.9162, within(1e-9));
        assertThat(kind.monthsOpened()).isEqualTo(15);
        assertThat(kind.melting()).contains(Temperature.ofCelsius(26));
        assertThat(kind.traits()).contains("newborn-skin", "solid", "coconut");
        // Olive, 15 months from March: 5 June 2027; coconut, 24 from June: later.
        assertThat(one.bottle().end(POURED)).isEqualTo(LocalDate.of(2027, 6, 5));
        assertThat(mix.masses(kind.density().massOf(Volume.ofMillilitres(300))))
                .extracting(Mass::grams)
                .satisfiesExactly(
                        olive -> assertThat(olive).isCloseTo(164.34, within(0.01)),
                        coconut -> assertThat(coconut).isCloseTo(110.52, within(0.01)));
    }

    /** A finished oil with 0.2 g of wilted herb a mL thinned by three of plain: 0.05, still wilted, and it names its batch. */
    @Test
    void aFinishedOilIsThinnedByAFreshOne() {
        FirstInfusion first = new FirstInfusion("Yarrow, batch 3", 0.2, Moisture.WILTED, false, Set.of("daisy"));
        PlannedCarrier plain = part("olive", 1, 2).carrier();
        PlannedCarrier before = new PlannedCarrier(plain.kind(), plain.bottle(), Optional.of(first));
        PlannedCarrier one =
                new Carriers(List.of(new Carriers.Part(plain, 0.75), new Carriers.Part(before, 0.25))).together(POURED);
        assertThat(one.kind()).isEqualTo(plain.kind());
        assertThat(one.first())
                .contains(new FirstInfusion("Yarrow, batch 3", 0.05, Moisture.WILTED, false, Set.of("daisy")));
        assertThat(one.asFound().traits()).contains(CarrierKind.MOIST_BEFORE);
    }

    /** Masses of the parts come to the mass of all, whatever is mixed; the date is never later than any of them alone. */
    @Test
    void nothingIsLostInMixing() {
        Random random = new Random(9);
        List<CarrierKind> all = List.copyOf(materia.carriers());
        for (int i = 0; i < Cases.of(500); i++) {
            int count = 1 + random.nextInt(Carriers.MOST);
            List<Double> weights = new ArrayList<>();
            for (int j = 0; j < count; j++) {
                weights.add(1.0 + random.nextInt(9));
            }
            double sum = weights.stream().mapToDouble(w -> w).sum();
            Carriers mix = new Carriers(weights.stream()
                    .map(w -> part(all.get(random.nextInt(all.size())).key(), w / sum, random.nextInt(12)))
                    .toList());
            Volume poured = Volume.ofMillilitres(50 + random.nextInt(900));
            double byParts = mix.parts().stream()
                    .mapToDouble(part -> part.share()
                            * poured.millilitres()
                            * part.carrier().kind().density().gramsPerMillilitre())
                    .sum();
            Mass whole = mix.together(POURED).kind().density().massOf(poured);
            assertThat(whole.grams()).isCloseTo(byParts, within(1e-6));
            assertThat(mix.masses(whole).stream().mapToDouble(Mass::grams).sum())
                    .isCloseTo(byParts, within(1e-6));
            assertThat(mix.parts())
                    .allSatisfy(part -> assertThat(mix.together(POURED).bottle().end(POURED))
                            .isBeforeOrEqualTo(part.carrier().bottle().end(POURED)));
        }
    }

    private Carriers.Part part(String key, double share, int monthsAgo) {
        CarrierKind kind = materia.carrier(key).orElseThrow();
        return new Carriers.Part(
                new PlannedCarrier(
                        kind,
                        new Bottle(
                                kind.common(),
                                kind.monthsOpened(),
                                Optional.of(POURED.minusMonths(monthsAgo)),
                                Optional.empty())),
                share);
    }

    private static Said amount(double millilitres) {
        return new Said.Amount(Volume.ofMillilitres(millilitres));
    }

    private static List<OilShares.Oil> oils(Said... said) {
        return List.of(said).stream()
                .map(one -> new OilShares.Oil(one, Density.ofGramsPerMillilitre(0.92)))
                .toList();
    }

    private static OilShares shares(Said... said) {
        return OilShares.of(oils(said), Optional.empty());
    }

    private static void refused(int row, String why, Said... said) {
        assertThatThrownBy(() -> shares(said))
                .isInstanceOfSatisfying(UnclearException.class, unclear -> assertThat(unclear.row())
                        .isEqualTo(row))
                .hasMessageContaining(why);
    }
}
