package app.velvetcrock.core.deed;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.spirit.Strength;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class MayAtStoresTest {

    private static final Instant NOW = Instant.parse("2026-11-24T09:00:00Z");
    private static final UUID LOT = UUID.fromString("00000000-0000-0000-0000-000000000001");
    private static final UUID OTHER = UUID.fromString("00000000-0000-0000-0000-000000000002");
    private static final Wording SAY = new Wording(HouseholdUnits.METRIC, ZoneId.of("Europe/London"));
    private static final MayAtStores.Standing NETTLE = herb(Cut.CUT_AND_SIFTED, Moisture.DRIED, 80_000);
    private static final MayAtStores.Standing FRESH = herb(Cut.WHOLE, Moisture.FRESH, 80_000);
    private static final MayAtStores.Standing NONE = herb(Cut.CUT_AND_SIFTED, Moisture.DRIED, 0);
    private static final MayAtStores.Standing WAX =
            new MayAtStores.Standing("Beeswax", Optional.empty(), false, 200_000, "wax", Set.of());
    private static final MayAtStores.Standing OIL =
            new MayAtStores.Standing("Nettle", Optional.empty(), true, 200_000, "oil", Set.of());

    private static final MayAtStores.Standing LAVENDER = new MayAtStores.Standing(
            "Lavender", Optional.empty(), false, 9_000, "lavender", Set.of(MayAtStores.Own.DROPS));

    private static MayAtStores.Standing herb(Cut cut, Moisture moisture, long left) {
        return new MayAtStores.Standing(
                "Nettle", Optional.of(new MayAtStores.Herb(Part.LEAF, cut, moisture)), false, left, "nettle", Set.of());
    }

    private static Mass grams(double grams) {
        return Mass.ofGrams(grams);
    }

    static Stream<Arguments> refused() {
        return Stream.of(
                Arguments.of(new StoreDeed.Split(LOT, grams(80), ""), List.of(NETTLE), "a part is less than 80 g"),
                Arguments.of(
                        new StoreDeed.Process(LOT, Cut.WHOLE, grams(20), grams(20)),
                        List.of(NETTLE),
                        "it cannot be made coarser"),
                Arguments.of(
                        new StoreDeed.Process(LOT, Cut.GROUND, grams(20), grams(20.5)),
                        List.of(NETTLE),
                        "20.5 g came of 20 g"),
                Arguments.of(new StoreDeed.Process(LOT, Cut.GROUND, grams(20), grams(20)), List.of(WAX), "Only a herb"),
                Arguments.of(new StoreDeed.Merge(LOT, OTHER), List.of(NETTLE, WAX), "one thing in one state"),
                Arguments.of(new StoreDeed.Merge(LOT, LOT), List.of(NETTLE, NETTLE), "one thing in one state"),
                Arguments.of(new StoreDeed.Merge(LOT, OTHER), List.of(NETTLE, NONE), "done it already"),
                Arguments.of(new StoreDeed.Blend("one", List.of()), List.of(), "two bottles or three"),
                Arguments.of(
                        new StoreDeed.ThrowOut(LOT, "moths", Optional.empty()), List.of(NONE), "nothing to throw out"),
                Arguments.of(
                        new StoreDeed.WeighCup(LOT, Density.ofGramsPerMillilitre(0.2)), List.of(WAX), "by the cup"),
                Arguments.of(new StoreDeed.CountDrops(LOT, 37), List.of(WAX), "counted in drops"),
                Arguments.of(new StoreDeed.Prove(LOT, new Strength(40)), List.of(LAVENDER), "has a strength"),
                Arguments.of(
                        new StoreDeed.Answer(LOT, OTHER, Condition.MOULD, true, "wiped"),
                        List.of(NETTLE),
                        "not dealt with but by throwing it out"),
                Arguments.of(new StoreDeed.TakeOut(LOT, 1, Held.DRAW, ""), List.of(OIL), "in the Cupboard"));
    }

    @ParameterizedTest
    @MethodSource
    void refused(StoreDeed deed, List<MayAtStores.Standing> lots, String why) {
        assertThat(be(deed, lots, NOW))
                .hasValueSatisfying(refusal -> assertThat(refusal.wrong()).contains(why));
    }

    static Stream<Arguments> allowed() {
        return Stream.of(
                Arguments.of(new StoreDeed.Split(LOT, grams(79.9), ""), List.of(NETTLE)),
                // two steps of a scale more than went in is how a scale reads
                Arguments.of(new StoreDeed.Process(LOT, Cut.GROUND, grams(20), grams(20.4)), List.of(NETTLE)),
                Arguments.of(new StoreDeed.Merge(LOT, OTHER), List.of(NETTLE, NETTLE)),
                Arguments.of(new StoreDeed.Answer(LOT, OTHER, Condition.WATER, true, "poured off"), List.of(NETTLE)),
                Arguments.of(new StoreDeed.Answer(LOT, OTHER, Condition.MOULD, false, "a petal"), List.of(NETTLE)),
                Arguments.of(new StoreDeed.CountDrops(LOT, 37), List.of(LAVENDER)),
                Arguments.of(new StoreDeed.TakeDown(LOT), List.of(FRESH)));
    }

    @ParameterizedTest
    @MethodSource
    void allowed(StoreDeed deed, List<MayAtStores.Standing> lots) {
        assertThat(be(deed, lots, NOW)).isEmpty();
    }

    @Test
    void nothingIsDoneLaterThanNow() {
        assertThat(be(new StoreDeed.Open(LOT, true), List.of(WAX), NOW.plusSeconds(60)))
                .hasValueSatisfying(refusal -> assertThat(refusal.field()).isEqualTo("when"));
    }

    private static Optional<Refusal> be(StoreDeed deed, List<MayAtStores.Standing> lots, Instant at) {
        return MayAtStores.be(deed, lots, new May.Times(at, NOW, SAY));
    }
}
