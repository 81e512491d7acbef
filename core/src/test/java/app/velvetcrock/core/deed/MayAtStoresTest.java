package app.velvetcrock.core.deed;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.drying.DryingCourse;
import app.velvetcrock.core.drying.DryingStart;
import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.drying.WeighIn;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.planning.Take;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.water.WaterContent;
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

    private static final DryingStart RACK = new DryingStart(
            Instant.parse("2026-11-20T09:00:00Z"), Mass.ofGrams(300), new WaterContent(0.85), Mass.ofGrams(1));
    private static final StoreDeed LAY_OUT = new StoreDeed.LayOut(LOT, RACK);

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
                Arguments.of(new StoreDeed.TakeOut(LOT, 1, Held.DRAW, ""), List.of(OIL), "in the Cupboard"),
                Arguments.of(LAY_OUT, List.of(WAX), "Only a herb is laid out to dry."),
                Arguments.of(LAY_OUT, List.of(NETTLE), "“Nettle” is dried already."),
                Arguments.of(LAY_OUT, List.of(herb(Cut.WHOLE, Moisture.FRESH, 0)), "is left to lay out"));
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
                Arguments.of(new StoreDeed.TakeDown(LOT, Moisture.DRIED), List.of(FRESH)),
                Arguments.of(new StoreDeed.Process(LOT, Cut.CUT_AND_SIFTED, grams(20), grams(20)), List.of(NETTLE)),
                Arguments.of(LAY_OUT, List.of(FRESH)));
    }

    @ParameterizedTest
    @MethodSource
    void allowed(StoreDeed deed, List<MayAtStores.Standing> lots) {
        assertThat(be(deed, lots, NOW)).isEmpty();
    }

    @Test
    void nothingIsDoneLaterThanNow() {
        assertThat(be(new StoreDeed.Open(LOT, true), List.of(WAX), NOW.plusSeconds(301)))
                .hasValueSatisfying(refusal -> assertThat(refusal.field()).isEqualTo("when"));
    }

    /** Each deed names the lots it is done to, in their order; what moves nothing may always be done. */
    @Test
    void eachDeedNamesItsLots() {
        List<StoreDeed> always = List.of(
                new StoreDeed.TakeOut(LOT, 1, Held.DRAW, ""),
                new StoreDeed.Find(LOT, Condition.MOULD, ""),
                new StoreDeed.SetRight(LOT, 5, "counted"),
                new StoreDeed.Open(LOT, true),
                new StoreDeed.Weigh(LOT, day(1, 20, Snap.BENDS)),
                new StoreDeed.TakeDown(LOT, Moisture.DRIED),
                new StoreDeed.ThrowOut(LOT, "moths", Optional.empty()));
        assertThat(always).allSatisfy(deed -> {
            assertThat(deed.lots()).containsExactly(LOT);
            assertThat(be(deed, List.of(FRESH), NOW)).isEmpty();
        });
        for (StoreDeed deed : List.of(
                LAY_OUT,
                new StoreDeed.Split(LOT, grams(1), ""),
                new StoreDeed.Process(LOT, Cut.GROUND, grams(1), grams(1)),
                new StoreDeed.Answer(LOT, OTHER, Condition.WATER, true, ""),
                new StoreDeed.WeighCup(LOT, Density.ofGramsPerMillilitre(0.2)),
                new StoreDeed.CountDrops(LOT, 30),
                new StoreDeed.Prove(LOT, new Strength(40)))) {
            assertThat(deed.lots()).containsExactly(LOT);
        }
        assertThat(new StoreDeed.Merge(LOT, OTHER).lots()).containsExactly(LOT, OTHER);
        assertThat(new StoreDeed.Blend("both", List.of(take(LOT), take(OTHER))).lots())
                .containsExactly(LOT, OTHER);
        assertThat(be(new StoreDeed.WeighCup(LOT, Density.ofGramsPerMillilitre(0.2)), List.of(NETTLE), NOW))
                .isEmpty();
    }

    private static Take take(UUID lot) {
        return new Take(lot, grams(10));
    }

    /** A blend is of two bottles or three, each once; with three parts told it is of three. */
    @Test
    void aBlendIsOfAsManyBottlesAsParts() {
        Take one = take(LOT);
        Take other = take(OTHER);
        assertThat(be(new StoreDeed.Blend("both", List.of(one, other)), List.of(WAX, WAX), NOW))
                .isEmpty();
        assertThat(be(new StoreDeed.Blend("one twice", List.of(one, one)), List.of(WAX, WAX), NOW))
                .isPresent();
        assertThat(be(new StoreDeed.Blend("one of three twice", List.of(one, other, one)), List.of(WAX, WAX, WAX), NOW))
                .isPresent();
    }

    /** Steady at 60 g of 300 and snapping is dry; bending at 80, or snapping at half its water, is not taken down (craft: drying). */
    @Test
    void onlyADryHerbIsTakenDown() {
        assertThat(takenDown(day(2, 100, Snap.NOT_TRIED), day(5, 60.3, Snap.NOT_TRIED), day(6, 60, Snap.SNAPS)))
                .isEmpty();
        assertThat(takenDown(day(1, 160, Snap.NOT_TRIED), day(2, 100, Snap.BENDS)))
                .contains("“Nettle” is not dry yet: 55 % water by its weight. When stems snap, weigh it and say so.");
        assertThat(takenDown(day(4, 90, Snap.SNAPS)).orElseThrow())
                .startsWith("“Nettle” snaps, and by its weighings it is 50 % water: one of the two is wrong");
    }

    /** 300 g of fresh leaf hold 45 g of dry matter: wilted, at 60 % water, it weighs 112.5 g. */
    @Test
    void itIsTakenDownWiltedOnceItWeighsSo() {
        assertThat(wilted()).contains("85 % water, and wilted is 60 %");
        assertThat(wilted(day(1, 115, Snap.BENDS))).contains("61 % water");
        assertThat(wilted(day(1, 113, Snap.BENDS))).isEmpty();
        assertThat(wilted(day(1, 90, Snap.BENDS))).isEmpty();
        assertThat(wilted(day(1, 90, Snap.SNAPS))).isNotEmpty();
        assertThat(wilted(day(1, 49, Snap.NOT_TRIED))).as("dry by its weight").isNotEmpty();
        assertThat(wilted(day(1, 90, Snap.BENDS), day(4, 49, Snap.SNAPS))).isNotEmpty();
        assertThat(takenDown(day(1, 113, Snap.BENDS)).orElseThrow()).contains("not dry yet: 60 % water");
    }

    private static String wilted(WeighIn... weighings) {
        return MayAtStores.takeDownWilted("Nettle", DryingCourse.of(RACK, List.of(weighings)))
                .map(Refusal::wrong)
                .orElse("");
    }

    private static WeighIn day(long day, double grams, Snap snap) {
        return new WeighIn(Instant.parse("2026-11-20T09:00:00Z").plusSeconds(day * 86_400), Mass.ofGrams(grams), snap);
    }

    private static Optional<String> takenDown(WeighIn... weighings) {
        return MayAtStores.takeDown("Nettle", DryingCourse.of(RACK, List.of(weighings)))
                .map(Refusal::wrong);
    }

    private static Optional<Refusal> be(StoreDeed deed, List<MayAtStores.Standing> lots, Instant at) {
        return MayAtStores.be(deed, lots, new May.Times(at, NOW, SAY));
    }
}
