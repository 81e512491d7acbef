package app.velvetcrock.core.method;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.spirit.Strength;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The forms of the shipped ways, stages with numbers of one's own, blends, kit and overrides. */
class VariantsTest {

    private final Materia materia = Materia.shipped();

    /**
     * Gentle: 35 to 43 under 43, lengths · 1.7 rounded up to five minutes or half an hour: 4-6-8 h of bath become 420-630-840
     * min, 8 h of slow warm 14. For scent: 38 to 45, lengths as they are.
     */
    @ParameterizedTest
    @CsvSource({
        "water-bath~gentle,35,43,43,420,630,840",
        "quick-bath~gentle,35,43,43,55,105,210",
        "slow-warm~gentle,35,43,43,14,14,123",
        "heat-rest~gentle,35,43,43,55,105,210",
        "water-bath~scent,38,45,60,240,360,480",
        "slow-warm~scent,38,45,60,8,8,72",
        "heat-rest~scent,38,45,65,30,60,120"
    })
    void gentleAndScentedForms(String key, double low, double high, double ceiling, int least, int usual, int most) {
        Method method = Method.of(key).orElseThrow();
        Stage stage = method.first();
        assertThat(stage.band()).isEqualTo(Band.ofCelsius(low, high));
        assertThat(stage.ceiling()).contains(Temperature.ofCelsius(ceiling));
        assertThat(List.of(stage.least(), stage.usual(), stage.most())).containsExactly(least, usual, most);
        assertThat(method.base().key()).isEqualTo(key.replaceFirst("~.*", ""));
        assertThat(method.is(method.base())).isTrue();
    }

    @Test
    void onlyWaysThatHaveThemComeInOtherForms() {
        assertThat(Method.shipped().stream()
                        .filter(method -> method.variants().isEmpty())
                        .map(Method::key))
                .containsExactly("cold-dark", "sun-window", "oven", "fresh-low", "juicy-pan");
        assertThat(Method.SPIRIT_FIRST.variants())
                .extracting(Method::key)
                .containsExactly(
                        "spirit-first~gentle", "spirit-first~scent", "spirit-first~blend", "spirit-first~window");
        Method window = Method.of("spirit-first~window").orElseThrow();
        assertThat(window.isInLight()).isTrue();
        assertThat(window.usualLengths()).containsExactly(24, 7);
        assertThat(Method.of("spirit-first~blend").orElseThrow().stages().get(1).vented())
                .isTrue();
        assertThat(Method.of("slow-warm~hot")).isEmpty();
    }

    @Test
    void numbersOfOnesOwnStayWithinTheirLimits() {
        Stage warm = Method.SLOW_WARM.first();
        assertThat(warm.at(Band.ofCelsius(38, 44), Optional.of(Temperature.ofCelsius(50)))
                        .band()
                        .low()
                        .celsius())
                .isEqualTo(38);
        assertThatThrownBy(() -> warm.at(Band.ofCelsius(20, 44), warm.ceiling()))
                .hasMessageContaining("band is 20 °C; it must be between 30 and 70");
        assertThatThrownBy(() -> warm.at(Band.ofCelsius(40, 62), warm.ceiling()))
                .hasMessageContaining("between 30 and 60");
        assertThatThrownBy(() -> warm.at(Band.ofCelsius(40, 52), Optional.of(Temperature.ofCelsius(80))))
                .hasMessageContaining("ceiling is 80 °C");
        assertThat(Method.OVEN.first().mostHeat().celsius()).isEqualTo(120);
        Tending rare = new Tending(Tending.Kind.READ, 2, 8, 6);
        assertThat(warm.tended(rare).tendings()).containsExactly(rare);
        Method own = Method.SLOW_WARM.variant("x", "Mine", List.of(warm.tended(rare)));
        assertThat(own.variant("y", "Again", own.stages()).key()).isEqualTo("slow-warm~y");
    }

    /** Of a blend the wettest decides, and each rule names the herbs it is about. */
    @Test
    void aBlendIsRefusedForWhicheverOfItsHerbs() {
        Situation blend = situation("nettle DRIED, yarrow FRESH, elderflower WILTED");
        assertThat(Refusals.of(Method.COLD_AND_DARK, blend))
                .extracting(Refusal::fact)
                .containsExactly(
                        "Yarrow is fresh, and water under a lid or after a short heat spoils the oil: it needs 24 heat-hours under cloth",
                        "Elderflower is wilted, and its water cannot leave under a lid");
        assertThat(Refusals.of(Method.FRESH_LOW_HEAT, blend)).isEmpty();
        assertThat(Refusals.of(
                        Method.COLD_AND_DARK,
                        Refusals.of(Method.COLD_AND_DARK, blend).get(0).allow().apply(blend)))
                .isEmpty();
        assertThat(Fitness.of(Method.SLOW_WARM, situation("calendula DRIED, birch-bud DRIED"))
                        .advice())
                .contains("Calendula and Birch bud are resinous: heat suits it");
        assertThat(Refusals.of(Method.SUN_WINDOW, situation("st-johns-wort FRESH, mullein FRESH")))
                .isEmpty();
        assertThat(Refusals.of(Method.SUN_WINDOW, situation("st-johns-wort FRESH, nettle FRESH")))
                .hasSize(1);
    }

    /** Water may be overridden in writing; food, solid fat and missing spirit never. */
    @Test
    void onlyWaterIsOverridable() {
        Fitness wet = Fitness.of(Method.COLD_AND_DARK, situation("nettle FRESH"));
        assertThat(wet.isOverridable(Use.HANDS)).isTrue();
        assertThat(wet.isOverridable(Use.FOOD)).isFalse();
        assertThat(Fitness.of(Method.COLD_AND_DARK, situation("nettle DRIED")).isOverridable(Use.HANDS))
                .as("nothing stands against it")
                .isFalse();
        assertThat(Fitness.of(Method.SPIRIT_FIRST, situation("nettle DRIED")).isOverridable(Use.HANDS))
                .isFalse();
        Situation food = new Situation(
                situation("nettle FRESH").herbs(),
                materia.carrier("rapeseed").orElseThrow(),
                Use.FOOD,
                Means.of(Temperature.ofCelsius(14), Optional.empty()));
        for (Method method : Method.shipped()) {
            assertThat(Fitness.of(method, food).isOverridable(Use.FOOD))
                    .as(method.key())
                    .isFalse();
        }
        Method tepid = Method.JUICY_PAN.variant(
                "own",
                "Tepid pan",
                List.of(
                        Method.JUICY_PAN.first().at(Band.ofCelsius(60, 78), Optional.of(Temperature.ofCelsius(90))),
                        Method.JUICY_PAN.stages().get(1)));
        assertThat(Refusals.of(tepid, food)).singleElement().matches(refusal -> refusal.change()
                .contains("80 °C or more"));
    }

    @Test
    void tepidHeatIsRefusedForWetHerbWithTheUsualHeatNamed() {
        Refusal tepid = Refusals.of(Method.of("slow-warm~gentle").orElseThrow(), situation("elderflower WILTED"))
                .get(0);
        assertThat(tepid.fact()).contains("under 40 °C");
        assertThat(Refusals.of(tepid.instead().orElseThrow(), situation("elderflower WILTED")))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "spirit-first,45,true",
        "spirit-first~blend,45,false",
        "spirit-first~window,59,false",
        "spirit-first~window,60,true",
        "spirit-first~blend,96,true",
        "spirit-first~gentle,45,true",
        "spirit-first~blend,39,false"
    })
    void weakSpiritWantsAnOpenWarmFinish(String key, double percent, boolean allowed) {
        Situation situation = situation("nettle DRIED").with(new Strength(percent));
        assertThat(Fitness.of(Method.of(key).orElseThrow(), situation).isAllowed())
                .isEqualTo(allowed);
    }

    /** With a pot and an oven alone the slow ways fall behind the bath; with nothing listed nothing changes. */
    @Test
    void kitWeighsInTheRanking() {
        assertThat(order(Set.of())).startsWith("cold-dark,slow-warm,heat-rest");
        assertThat(order(Set.of(Source.POT))).startsWith("cold-dark,heat-rest,water-bath");
        assertThat(order(Set.of(Source.SLOW_COOKER))).startsWith("cold-dark,slow-warm");
        Situation owned = nettle(Set.of(Source.POT));
        assertThat(Fitness.of(Method.WATER_BATH, owned).advice()).contains("a pot for a water bath is in your kit");
        assertThat(Fitness.of(Method.SLOW_WARM, owned).advice())
                .contains("it wants a slow cooker or a dehydrator, and none is in your kit");
        assertThat(Fitness.of(Method.COLD_AND_DARK, owned).advice()).isEmpty();
    }

    private String order(Set<Source> kit) {
        return Choice.ranked(nettle(kit)).stream()
                .map(choice -> choice.method().key())
                .collect(Collectors.joining(","));
    }

    private Situation nettle(Set<Source> kit) {
        return new Situation(
                situation("nettle DRIED").herbs(),
                materia.carrier("rapeseed").orElseThrow(),
                Use.HANDS,
                new Means(Temperature.ofCelsius(14), Optional.empty(), kit));
    }

    private Situation situation(String herbs) {
        List<Ingredient> all = Arrays.stream(herbs.split(", "))
                .map(herb -> {
                    HerbKind kind = materia.herb(herb.split(" ")[0]).orElseThrow();
                    return new Ingredient(kind, kind.part(), Moisture.valueOf(herb.split(" ")[1]));
                })
                .toList();
        return new Situation(
                all,
                materia.carrier("rapeseed").orElseThrow(),
                Use.HANDS,
                Means.of(Temperature.ofCelsius(14), Optional.empty()));
    }

    /** 30, 60 and 120 min by 1.7 are 51, 102 and 204: a kitchen clock says 55 min, 105 min and 3½ hours. */
    @Test
    void gentleLengthsAreSuchAsAKitchenClockSays() {
        Method gentle = Variants.of(Method.QUICK_BATH).stream()
                .filter(way -> way.key().endsWith("gentle"))
                .findFirst()
                .orElseThrow();
        Stage first = gentle.first();
        assertThat(first.pace().words(first.least())).isEqualTo("55 minutes");
        assertThat(first.pace().words(first.usual())).isEqualTo("105 minutes");
        assertThat(first.pace().words(first.most())).isEqualTo("3½ hours");
        assertThat(first.pace().brief(first.most())).isEqualTo("3½ h");
    }
}
