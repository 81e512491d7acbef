package app.velvetcrock.core.method;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Temperature;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class FitnessTest {

    private final Materia materia = Materia.shipped();

    @Test
    void coldAndDarkIsAsTheCraftHasIt() {
        Stage stand = Method.COLD_AND_DARK.first();
        assertThat(List.of(stand.least(), stand.usual(), stand.most())).containsExactly(21, 35, 56);
        assertThat(stand.band()).isEqualTo(Band.ofCelsius(15, 22));
        assertThat(stand.inLight()).isFalse();
        assertThat(stand.tendings()).containsExactly(new Tending(Tending.Kind.SHAKE, 1, 7, 3), new Tending(Tending.Kind.LOOK, 1, 7, 7));
    }

    @ParameterizedTest
    @EnumSource(value = Moisture.class, names = "DRIED", mode = EnumSource.Mode.EXCLUDE)
    void onlyDriedHerbGoesCold(Moisture moisture) {
        Fitness fitness = fitness("nettle", moisture, "rapeseed", 14);
        assertThat(fitness.refusals()).singleElement().satisfies(reason -> assertThat(reason.fact()).contains(moisture.word()));
        // the smallest change it names: dry it
        assertThat(fitness("nettle", Moisture.DRIED, "rapeseed", 14).refusals()).isEmpty();
    }

    @Test
    void aSolidFatNeedsAPantryAtItsMeltingPoint() {
        assertThat(fitness("nettle", Moisture.DRIED, "coconut", 25.9).refusals()).hasSize(1);
        assertThat(fitness("nettle", Moisture.DRIED, "coconut", 26).refusals()).isEmpty();
        assertThat(fitness("nettle", Moisture.FRESH, "coconut", 10).refusals()).as("both facts are said").hasSize(2);
    }

    @Test
    void adviceFollowsTheChemistry() {
        assertThat(fitness("birch-bud", Moisture.DRIED, "rapeseed", 14).advice()).singleElement().asString().contains("resinous");
        assertThat(fitness("calendula", Moisture.DRIED, "rapeseed", 14).advice()).singleElement().asString().contains("heat draws more");
        assertThat(fitness("lavender", Moisture.DRIED, "rapeseed", 14).advice()).singleElement().asString().contains("cold keeps its scent");
        assertThat(fitness("nettle", Moisture.DRIED, "rapeseed", 14).advice()).isEmpty();
    }

    @Test
    void stagesAndBandsAreSensible() {
        assertThatThrownBy(() -> Band.ofCelsius(22, 15)).hasMessageContaining("the lower end comes first");
        assertThatThrownBy(() -> new Stage("s", "s", Pace.DAYS, 21, 60, 56, Band.ofCelsius(15, 22), Optional.empty(), false, false, List.of())).hasMessageContaining("between 21 and 56");
    }

    private Fitness fitness(String herb, Moisture moisture, String carrier, double pantry) {
        HerbKind kind = materia.herb(herb).orElseThrow();
        CarrierKind oil = materia.carrier(carrier).orElseThrow();
        return Fitness.of(Method.COLD_AND_DARK, kind, moisture, oil, Temperature.ofCelsius(pantry));
    }
}
