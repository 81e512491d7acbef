package app.velvetcrock.core.method;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.spirit.Strength;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class FitnessTest {

    private final Materia materia = Materia.shipped();

    @Test
    void coldAndDarkIsAsTheCraftHasIt() {
        Stage stand = Method.COLD_AND_DARK.first();
        assertThat(List.of(stand.least(), stand.usual(), stand.most())).containsExactly(21, 35, 56);
        assertThat(stand.band()).isEqualTo(Band.ofCelsius(15, 22));
        assertThat(stand.inLight()).isFalse();
        assertThat(stand.tendings())
                .containsExactly(new Tending(Tending.Kind.SHAKE, 1, 7, 3), new Tending(Tending.Kind.LOOK, 1, 7, 7));
    }

    @ParameterizedTest
    @EnumSource(value = Moisture.class, names = "DRIED", mode = EnumSource.Mode.EXCLUDE)
    void onlyDriedHerbGoesCold(Moisture moisture) {
        Fitness fitness = fitness("nettle", moisture, "rapeseed", 14);
        assertThat(fitness.refusals()).singleElement().satisfies(reason -> assertThat(reason.fact())
                .contains(moisture.word()));
        // the smallest change it names: dry it
        assertThat(fitness("nettle", Moisture.DRIED, "rapeseed", 14).refusals()).isEmpty();
    }

    @Test
    void aSolidFatNeedsAPantryAtItsMeltingPoint() {
        assertThat(fitness("nettle", Moisture.DRIED, "coconut", 25.9).refusals())
                .hasSize(1);
        assertThat(fitness("nettle", Moisture.DRIED, "coconut", 26).refusals()).isEmpty();
        assertThat(fitness("nettle", Moisture.FRESH, "coconut", 10).refusals())
                .as("both facts are said")
                .hasSize(2);
    }

    @Test
    void adviceFollowsTheChemistry() {
        assertThat(fitness("birch-bud", Moisture.DRIED, "rapeseed", 14).advice())
                .singleElement()
                .asString()
                .contains("resinous");
        assertThat(fitness("calendula", Moisture.DRIED, "rapeseed", 14).advice())
                .singleElement()
                .asString()
                .contains("heat draws more");
        assertThat(fitness("lavender", Moisture.DRIED, "rapeseed", 14).advice())
                .singleElement()
                .asString()
                .contains("cold keeps its scent");
        assertThat(fitness("nettle", Moisture.DRIED, "rapeseed", 14).advice()).isEmpty();
    }

    @Test
    void stagesAndBandsAreSensible() {
        assertThatThrownBy(() -> Band.ofCelsius(22, 15)).hasMessageContaining("the lower end comes first");
        assertThatThrownBy(() -> new Stage(
                        "s",
                        "s",
                        Pace.DAYS,
                        21,
                        60,
                        56,
                        Band.ofCelsius(15, 22),
                        Optional.empty(),
                        false,
                        false,
                        false,
                        List.of()))
                .hasMessageContaining("between 21 and 56");
    }

    /**
     * Checked by the property: whatever is refused appears once every change it names is made, or the method it names instead is
     * allowed.
     */
    @Test
    void everyChangeNamedAllowsTheMethodOrTheOneNamedInstead() {
        List<HerbKind> herbs = Stream.of("nettle", "calendula", "lavender", "propolis", "st-johns-wort", "ginger")
                .map(key -> materia.herb(key).orElseThrow())
                .toList();
        List<CarrierKind> carriers = Stream.of("rapeseed", "hemp", "coconut", "cocoa-butter", "tallow")
                .map(key -> materia.carrier(key).orElseThrow())
                .toList();
        int refused = 0;
        for (Situation situation : situations(herbs, carriers)) {
            for (Method method : Method.shipped()) {
                for (Refusal refusal : Refusals.of(method, situation)) {
                    refused++;
                    Situation changed = refusal.allow().apply(situation);
                    Method helps = refusal.instead().orElse(method);
                    assertThat(Refusals.of(helps, changed))
                            .as("%s: %s; %s", method.key(), refusal.fact(), refusal.change())
                            .noneMatch(left -> left.fact().equals(refusal.fact()));
                    Situation all = changed;
                    for (int i = 0; i < 5; i++) {
                        for (Refusal left : Refusals.of(helps, all)) {
                            all = left.allow().apply(all);
                        }
                    }
                    assertThat(Refusals.of(helps, all))
                            .as("%s in %s", helps.key(), all)
                            .allMatch(left -> left.instead().isPresent());
                }
            }
        }
        assertThat(refused).isGreaterThan(1000);
    }

    private static List<Situation> situations(List<HerbKind> herbs, List<CarrierKind> carriers) {
        List<Situation> all = new ArrayList<>();
        for (HerbKind herb : herbs) {
            for (CarrierKind carrier : carriers) {
                for (Moisture moisture : Moisture.values()) {
                    for (Use use : List.of(Use.HANDS, Use.FOOD)) {
                        for (double spirit : new double[] {0, 30, 45, 96}) {
                            Optional<Strength> strength =
                                    spirit == 0 ? Optional.empty() : Optional.of(new Strength(spirit));
                            all.add(new Situation(
                                    List.of(new Ingredient(herb, herb.part(), moisture)),
                                    carrier,
                                    use,
                                    Means.of(Temperature.ofCelsius(14), strength)));
                        }
                    }
                }
            }
        }
        return all;
    }

    /** Which ways are open, in their order, for herb, moisture, carrier, use and spirit. */
    @ParameterizedTest(name = "{0} {1} in {2} for {3}")
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            nettle        | DRIED  | rapeseed     | HANDS | 0  | cold-dark,slow-warm,heat-rest,sun-window,water-bath,quick-bath,oven
            nettle | DRIED | rapeseed | HANDS | 90 | cold-dark,slow-warm,heat-rest,sun-window,water-bath,quick-bath,spirit-first,oven
            calendula | DRIED | rapeseed | HANDS | 90 | slow-warm,heat-rest,water-bath,quick-bath,spirit-first,cold-dark,oven,sun-window
            lavender      | DRIED  | rapeseed     | HANDS | 0  | cold-dark,sun-window,slow-warm,heat-rest,water-bath,quick-bath,oven
            nettle        | FRESH  | rapeseed     | HANDS | 90 | fresh-low,juicy-pan
            nettle        | WILTED | rapeseed     | HANDS | 0  | fresh-low,slow-warm,water-bath,juicy-pan,quick-bath,oven
            nettle        | JUICY  | rapeseed     | HANDS | 0  | juicy-pan
            st-johns-wort | FRESH  | rapeseed     | HANDS | 0  | fresh-low,sun-window,juicy-pan
            nettle        | FRESH  | rapeseed     | FOOD  | 0  | juicy-pan
            nettle        | DRIED  | coconut      | HANDS | 0  | slow-warm,water-bath,oven,quick-bath
            nettle        | DRIED  | hemp         | HANDS | 0  | cold-dark,sun-window,slow-warm,heat-rest,water-bath,quick-bath
            propolis      | DRIED  | rapeseed     | HANDS | 96 | slow-warm,spirit-first,heat-rest,water-bath,quick-bath,oven
            """)
    void ranksWhatIsOpen(String herb, Moisture moisture, String carrier, Use use, double spirit, String ways) {
        Situation situation = new Situation(
                List.of(ingredient(herb, moisture)),
                materia.carrier(carrier).orElseThrow(),
                use,
                Means.of(
                        Temperature.ofCelsius(14), spirit == 0 ? Optional.empty() : Optional.of(new Strength(spirit))));
        List<Choice> ranked = Choice.ranked(situation);
        assertThat(ranked).hasSize(10);
        assertThat(ranked.stream()
                        .filter(choice -> choice.fitness().isAllowed())
                        .map(choice -> choice.method().key())
                        .collect(Collectors.joining(",")))
                .isEqualTo(ways);
    }

    /** What stands there until somebody chooses: hemp oil is never put to 60 °C by itself, and whoever does it is told. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            calendula | DRIED | rapeseed | slow-warm
            calendula | DRIED | hemp     | slow-warm~gentle
            nettle    | DRIED | hemp     | cold-dark
            propolis  | DRIED | rapeseed | slow-warm
            propolis  | DRIED | hemp     | slow-warm~gentle
            nettle    | FRESH | hemp     | fresh-low
            """)
    void whatStandsThereAtFirstSparesAFragileOil(String herb, Moisture moisture, String carrier, String way) {
        Choice first = Choice.fittest(new Situation(
                List.of(ingredient(herb, moisture)),
                materia.carrier(carrier).orElseThrow(),
                Use.HANDS,
                Means.of(Temperature.ofCelsius(14), Optional.empty())));
        assertThat(first.method().key()).isEqualTo(way);
        assertThat(first.fitness().advice().stream().anyMatch(line -> line.contains("is fragile: keep it under 50")))
                .isEqualTo(way.equals("fresh-low") && carrier.equals("hemp"));
    }

    /** What stands for days without heat wants glass with a lid; a rest of hours does not. */
    @Test
    void openPotsTakeHeatOnly() {
        assertThat(Method.shipped().stream()
                        .filter(way -> !way.takesOpenVessel())
                        .map(Method::key))
                .containsExactlyInAnyOrder("cold-dark", "sun-window", "heat-rest");
    }

    @Test
    void weakSpiritIsRefusedWithWhatToGet() {
        Situation weak = new Situation(
                List.of(ingredient("calendula", Moisture.DRIED)),
                materia.carrier("rapeseed").orElseThrow(),
                Use.HANDS,
                Means.of(Temperature.ofCelsius(14), Optional.of(new Strength(37.5))));
        assertThat(Fitness.of(Method.SPIRIT_FIRST, weak).refusals())
                .singleElement()
                .satisfies(reason -> {
                    assertThat(reason.fact()).isEqualTo("the spirit is 37.5 %, too much water for oil");
                    assertThat(reason.change()).contains("75 % or more");
                });
        Situation forty = weak.with(new Strength(40));
        assertThat(Fitness.of(Method.SPIRIT_FIRST, forty).advice())
                .anyMatch(line -> line.startsWith("40 % spirit brings much water"));
    }

    private Fitness fitness(String herb, Moisture moisture, String carrier, double pantry) {
        HerbKind kind = materia.herb(herb).orElseThrow();
        CarrierKind oil = materia.carrier(carrier).orElseThrow();
        return Fitness.of(
                Method.COLD_AND_DARK,
                new Situation(
                        List.of(new Ingredient(kind, kind.part(), moisture)),
                        oil,
                        Use.HANDS,
                        Means.of(Temperature.ofCelsius(pantry), Optional.empty())));
    }

    private Ingredient ingredient(String herb, Moisture moisture) {
        HerbKind kind = materia.herb(herb).orElseThrow();
        return new Ingredient(kind, kind.part(), moisture);
    }

    /** Heat is advised for what is resinous: the part that goes in decides, not the plant. */
    @ParameterizedTest
    @CsvSource({
        "calendula, FLOWER, true, false",
        "calendula, LEAF, false, false",
        "poplar-bud, BUD, true, true",
        "poplar-bud, LEAF, false, false",
        "spruce-tip, NEEDLES, true, false",
        "spruce-tip, BUD, true, true",
        "spruce-tip, RESIN, true, false",
        "nettle, BUD, false, false"
    })
    void resinousByThePartInfused(String herb, Part part, boolean resinous, boolean bud) {
        Ingredient one = new Ingredient(materia.herb(herb).orElseThrow(), part, Moisture.DRIED);
        assertThat(one.isResinous()).isEqualTo(resinous);
        assertThat(one.isResinousBud()).isEqualTo(bud);
    }
}
