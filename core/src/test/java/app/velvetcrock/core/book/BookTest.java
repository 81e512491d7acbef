package app.velvetcrock.core.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.book.Calibration.Measured;
import app.velvetcrock.core.book.Fact.Part;
import app.velvetcrock.core.book.Suspects.Hypothesis;
import app.velvetcrock.core.book.Suspects.Outcome;
import app.velvetcrock.core.book.Suspects.Strength;
import app.velvetcrock.core.book.Suspects.Suspect;
import app.velvetcrock.core.book.Suspects.What;
import app.velvetcrock.core.book.Twins.Question;
import app.velvetcrock.core.book.Twins.Verdict;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Aftermath;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Means;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.parting.Recipient;
import app.velvetcrock.core.planning.Finish;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanRequest.Circumstances;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.strain.Pressing;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class BookTest {

    private static final Materia MATERIA = Materia.shipped();

    /** Of a sum each addend's share is its own; of a product of two both share what they do together. */
    @Test
    void sharesOfASumAndOfAProduct() {
        List<Shares.Share> sum = Shares.of(
                List.of("a", "b", "c"), mixture -> ((mixture & 1) + 3 * (mixture >> 1 & 1) - (mixture >> 2 & 1)));
        assertThat(sum).extracting(Shares.Share::amount).containsExactly(1.0, 3.0, -1.0);
        List<Shares.Share> product = Shares.of(
                List.of("a", "b"), mixture -> ((mixture & 1) != 0 ? 3.0 : 1.0) * ((mixture & 2) != 0 ? 5.0 : 1.0));
        assertThat(product).extracting(Shares.Share::amount).containsExactly(6.0, 8.0);
        List<String> nine = IntStream.range(0, 9).mapToObj(Integer::toString).toList();
        assertThatThrownBy(() -> Shares.of(nine, mixture -> 0)).hasMessageContaining("9 factors");
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void sharesAddUpToTheDifferenceWhateverTheSum(long seed) {
        Random random = new Random(seed);
        int n = 1 + random.nextInt(Shares.MOST);
        double[] outcomes = random.doubles(1 << n, -100, 100).toArray();
        List<String> factors = IntStream.range(0, n).mapToObj(Integer::toString).toList();
        double whole = Shares.of(factors, mixture -> outcomes[mixture]).stream()
                .mapToDouble(Shares.Share::amount)
                .sum();
        assertThat(whole).isCloseTo(outcomes[outcomes.length - 1] - outcomes[0], within(1e-9));
    }

    static Stream<Long> seeds() {
        return IntStream.range(0, Cases.of(60)).mapToObj(i -> (long) i);
    }

    /** A bottle eight months open instead of two days is what shortens it, and the sun a little. */
    @Test
    void anOldBottleExplainsWhatItCosts() {
        WhyKept.Oil spring = oil(LocalDate.of(2026, 5, 3), 2, Method.COLD_AND_DARK, 35);
        WhyKept.Oil autumn = oil(LocalDate.of(2025, 10, 1), 240, Method.COLD_AND_DARK, 26);
        WhyKept.Difference difference = WhyKept.of(spring, autumn).orElseThrow();
        assertThat(difference.shares())
                .extracting(Shares.Share::factor)
                .containsExactly("the oil's bottle", "how long it stood");
        assertThat(difference.shares().get(0).amount()).isLessThan(-200);
        // Strained nine days earlier, it has nine more of its bottle's days before it.
        assertThat(difference.shares().get(1).amount()).isCloseTo(9, within(1.0));
        adds(difference);
        assertThat(WhyKept.of(spring, spring)).isEmpty();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void whatADateFollowsFromAddsUpToIt(long seed) {
        Random random = new Random(seed);
        WhyKept.Oil one = any(random);
        WhyKept.Oil other = any(random);
        boolean moist = one.request().isMoistFood() || other.request().isMoistFood();
        Optional<WhyKept.Difference> difference = WhyKept.of(one, other);
        if (moist) {
            assertThat(difference).isEmpty();
        }
        difference.ifPresent(found -> {
            assertThat(found.first()).isEqualTo(days(one));
            assertThat(found.second()).isEqualTo(days(other));
            adds(found);
            assertThat(found.shares())
                    .filteredOn(share -> share.factor().equals(WhyKept.CALENDAR))
                    .allMatch(share -> Math.abs(share.amount()) <= 4);
        });
    }

    private static void adds(WhyKept.Difference difference) {
        assertThat(difference.shares().stream()
                        .mapToDouble(Shares.Share::amount)
                        .sum())
                .isCloseTo(difference.whole(), within(1e-6));
    }

    private static double days(WhyKept.Oil oil) {
        return oil.finish()
                .strained()
                .until(Planner.keepUntil(oil.request(), oil.finish()).date(), java.time.temporal.ChronoUnit.DAYS);
    }

    private static WhyKept.Oil oil(LocalDate start, int openedBefore, Method way, int days) {
        return oil(start, openedBefore, way, days, Moisture.DRIED, Use.HANDS, Storage.COOL_DARK, Aftermath.NONE);
    }

    private static WhyKept.Oil any(Random random) {
        Moisture[] moistures = Moisture.values();
        Storage[] places = Storage.values();
        return oil(
                LocalDate.of(2026, 1, 1).plusDays(random.nextInt(400)),
                random.nextInt(500),
                random.nextBoolean() ? Method.COLD_AND_DARK : Method.SUN_WINDOW,
                20 + random.nextInt(30),
                moistures[random.nextInt(moistures.length)],
                random.nextInt(4) == 0 ? Use.FOOD : Use.HANDS,
                places[random.nextInt(places.length)],
                new Aftermath(
                        random.nextInt(4) == 0,
                        random.nextInt(4) == 0,
                        random.nextBoolean(),
                        random.nextBoolean() ? Antioxidant.NONE : Antioxidant.values()[1]));
    }

    private static WhyKept.Oil oil(
            LocalDate start,
            int openedBefore,
            Method way,
            int days,
            Moisture moisture,
            Use use,
            Storage place,
            Aftermath after) {
        HerbKind kind = MATERIA.herb("nettle").orElseThrow();
        PlannedHerb herb = new PlannedHerb(
                kind, MATERIA.texture(kind.part(), Cut.WHOLE), moisture, Optional.empty(), Mass.ofGrams(40), List.of());
        PlannedCarrier carrier = new PlannedCarrier(
                MATERIA.carrier("rapeseed").orElseThrow(),
                new Bottle("rapeseed", 10, Optional.of(start.minusDays(openedBefore)), Optional.empty()));
        Vessel jar = new Vessel("half litre", Volume.ofMillilitres(500), Length.ofMillimetres(84));
        PlanRequest request = new PlanRequest(
                List.of(herb),
                carrier,
                new OilWish.ToCover(),
                jar,
                List.of(jar),
                new Circumstances(
                        way,
                        way.usualLengths(),
                        start,
                        use,
                        Pressing.HAND,
                        place,
                        Means.of(Temperature.ofCelsius(12), Optional.empty())));
        return new WhyKept.Oil(request, new Finish(start.plusDays(days), place, after, Optional.empty(), List.of()));
    }

    /** 24 mL less came back: 20 g more herb keeps 26 mL (1.3 mL/g), and 2 mL more came out than the sum says. */
    @Test
    void whatCameBackAddsUpToo() {
        WhyYielded.Strained one = strained(40, 275, Pressing.HAND, 218);
        WhyKept.Difference difference =
                WhyYielded.of(one, strained(60, 275, Pressing.HAND, 194)).orElseThrow();
        assertThat(difference.shares())
                .extracting(Shares.Share::factor)
                .containsExactly("how much herb", "what the sum does not know");
        assertThat(difference.shares().get(0).amount()).isCloseTo(-26, within(1e-6));
        adds(difference);
        WhyKept.Difference pressed =
                WhyYielded.of(one, strained(40, 275, Pressing.SCREW, 240)).orElseThrow();
        assertThat(pressed.shares().get(0).factor()).isEqualTo("how it was pressed");
        adds(pressed);
        assertThat(WhyYielded.of(one, one)).isEmpty();
    }

    private static WhyYielded.Strained strained(double grams, double oil, Pressing pressing, double out) {
        HerbKind kind = MATERIA.herb("nettle").orElseThrow();
        return new WhyYielded.Strained(
                Herbs.of(new HerbPortion(
                        Mass.ofGrams(grams),
                        MATERIA.texture(kind.part(), Cut.WHOLE),
                        Moisture.DRIED,
                        Optional.empty(),
                        5)),
                Volume.ofMillilitres(oil),
                pressing,
                List.of(List.of()),
                Volume.ofMillilitres(out));
    }

    /** Only what differs, outcomes last; planned alike and done differently differs. */
    @Test
    void onlyWhatDiffersIsLaidBesideEachOther() {
        List<Fact> one = List.of(
                Fact.of(Part.OUTCOME, "keeps", "13 months"),
                Fact.of(Part.INPUT, "oil", "Rapeseed"),
                Fact.planned(Part.COURSE, "stood", "35 days", "26 days"),
                Fact.of(Part.INPUT, "cut", "whole"));
        List<Fact> other = List.of(
                Fact.of(Part.INPUT, "oil", "Rapeseed"),
                Fact.planned(Part.COURSE, "stood", "35 days", "26 days"),
                Fact.of(Part.OUTCOME, "keeps", "6 months"),
                Fact.of(Part.OUTCOME, "colour", "amber"),
                Fact.of(Part.INPUT, "cut", "cut and sifted"));
        Beside beside = Beside.of(List.of(one, other));
        assertThat(beside.rows()).extracting(Beside.Row::name).containsExactly("cut", "stood", "keeps", "colour");
        assertThat(beside.rows().get(3).facts().get(0)).isEmpty();
        assertThat(beside.alike()).containsExactly("oil");
        assertThatThrownBy(() -> Beside.of(List.of(one))).hasMessageContaining("1 batches");
        assertThatThrownBy(() -> Beside.of(Collections.nCopies(6, one))).hasMessageContaining("6 batches");
    }

    private static final Map<String, Hypothesis> KINDS = new HashMap<>();

    private static Outcome used(String name, Strength strength, String... kinds) {
        return new Outcome(
                name,
                name,
                Stream.of(kinds)
                        .map(kind -> KINDS.computeIfAbsent(kind, key -> new Hypothesis(What.KIND, key, key)))
                        .collect(Collectors.toSet()),
                strength);
    }

    /** The handbook's: 54, 11, 11, 3, 3, 16 %. */
    @Test
    void theHandbooksThreeSalves() {
        List<Outcome> outcomes = List.of(
                used("A", Strength.CLEAR, "yarrow", "rapeseed", "beeswax"),
                used("B", Strength.NONE, "yarrow", "rapeseed", "beeswax", "lanolin"),
                used("C", Strength.NONE, "nettle", "rapeseed", "beeswax"));
        List<Suspect> suspects = Suspects.of(outcomes);
        assertThat(suspects)
                .extracting(one -> "%s %.0f %s".formatted(one.hypothesis().name(), 100 * one.share(), one.word()))
                .containsExactly(
                        "yarrow 54 most likely",
                        "none of these 16 may be",
                        "beeswax 11 hardly",
                        "rapeseed 11 hardly",
                        "lanolin 3 hardly",
                        "nettle 3 hardly");
        assertThat(suspects.get(0).held()).extracting(Outcome::name).containsExactly("A", "B");
        assertThat(suspects.get(0).without()).extracting(Outcome::name).containsExactly("C");
    }

    @Test
    void theStrongestOfABatchCountsAndALotIsAThirdAsLikelyBeforehand() {
        List<Suspect> once = Suspects.of(List.of(
                used("A", Strength.CLEAR, "yarrow"),
                new Outcome("A", "A again", Set.of(new Hypothesis(What.KIND, "yarrow", "yarrow")), Strength.NONE)));
        assertThat(once).extracting(one -> one.hypothesis().name()).containsExactly("yarrow", "none of these");
        assertThat(once.get(0).share()).isCloseTo(0.8 / 0.85, within(1e-9));
        List<Suspect> lot = Suspects.of(List.of(new Outcome(
                "A",
                "A",
                Set.of(new Hypothesis(What.KIND, "yarrow", "yarrow"), new Hypothesis(What.LOT, "1", "yarrow of May")),
                Strength.CLEAR)));
        assertThat(lot.get(1).share() / lot.get(0).share()).isCloseTo(1.0 / 3, within(1e-9));
        // Slight is half a reaction: it points at nothing more than at anything else.
        List<Suspect> slight = Suspects.of(List.of(used("A", Strength.SLIGHT, "yarrow")));
        assertThat(slight).extracting(Suspect::share).containsExactly(0.5, 0.5);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void suspectsAddToOneInWhateverOrderAndAHarmlessUseRaisesNoneItHolds(long seed) {
        Random random = new Random(seed);
        List<Outcome> outcomes = new ArrayList<>();
        int n = 1 + random.nextInt(12);
        for (int i = 0; i < n; i++) {
            outcomes.add(any(random, "salve " + i));
        }
        Map<Hypothesis, Double> before = shares(outcomes);
        assertThat(before.values().stream().mapToDouble(Double::doubleValue).sum())
                .isCloseTo(1, within(1e-9));
        List<Outcome> shuffled = new ArrayList<>(outcomes);
        Collections.shuffle(shuffled, random);
        shares(shuffled).forEach((one, share) -> assertThat(share).isCloseTo(before.get(one), within(1e-12)));
        Outcome harmless = new Outcome("harmless", "harmless", any(random, "x").contains(), Strength.NONE);
        outcomes.add(harmless);
        Map<Hypothesis, Double> after = shares(outcomes);
        harmless.contains().stream().filter(before::containsKey).forEach(one -> assertThat(after.get(one))
                .isLessThanOrEqualTo(before.get(one) + 1e-12));
    }

    private static Outcome any(Random random, String name) {
        Set<Hypothesis> in = new HashSet<>();
        int n = 1 + random.nextInt(5);
        for (int i = 0; i < n; i++) {
            int which = random.nextInt(8);
            in.add(new Hypothesis(random.nextInt(4) == 0 ? What.LOT : What.KIND, "k" + which, "kind " + which));
        }
        Strength[] all = Strength.values();
        return new Outcome(name, name, in, all[random.nextInt(all.length)]);
    }

    private static Map<Hypothesis, Double> shares(List<Outcome> outcomes) {
        return Suspects.of(outcomes).stream().collect(Collectors.toMap(Suspect::hypothesis, Suspect::share));
    }

    /** At n = 10 five or fewer inside are too few; all inside are too many from n = 14 on (craft: learning). */
    @ParameterizedTest
    @CsvSource({
        "5, 10, TOO_NARROW",
        "6, 10, HOLDS",
        "10, 10, HOLDS",
        "13, 13, HOLDS",
        "14, 14, TOO_WIDE",
        "0, 4, TOO_FEW",
        "0, 0, TOO_FEW"
    })
    void forecastsAreHeldToTheirRange(int inside, int of, Calibration.Verdict verdict) {
        List<Measured> all = IntStream.range(0, of)
                .mapToObj(i -> new Measured(i < inside ? 100 : 90, 100, 95, 105))
                .toList();
        Calibration held = Calibration.of(all);
        assertThat(held.verdict()).isEqualTo(verdict);
        assertThat(held.inside()).isEqualTo(inside);
        assertThat(held.bias()).isCloseTo(of == 0 ? 0 : -10.0 * (of - inside) / of, within(1e-9));
    }

    /** Of six pairs all six: 2/64 is rare; five of six is not. One pair says nothing, nor do pairs without a difference. */
    @Test
    void twinsAddUpOverTheYears() {
        assertThat(pairs(1, 0, 0)).isEqualTo("1 pair so far, 1 for the longer, 0 for the shorter: too few to say");
        assertThat(pairs(4, 0, 3)).endsWith("too few to say");
        assertThat(pairs(5, 1, 0)).endsWith("that may well be chance");
        assertThat(pairs(6, 0, 1))
                .isEqualTo("7 pairs so far, 6 for the longer, 0 for the shorter: hardly by chance, the longer has it");
        assertThat(pairs(0, 6, 0)).endsWith("hardly by chance, the shorter has it");
    }

    private static String pairs(int first, int second, int neither) {
        List<Verdict> all = new ArrayList<>(Collections.nCopies(first, Verdict.FIRST));
        all.addAll(Collections.nCopies(second, Verdict.SECOND));
        all.addAll(Collections.nCopies(neither, Verdict.NEITHER));
        return Twins.together(Question.TIME, all);
    }

    /** No test on a child, where a food is not borne, after anything strong or spreading; nothing new until a week is calm. */
    @Test
    void aNextStepIsOfferedToCalmSkinAlone() {
        LocalDate today = LocalDate.of(2026, 11, 24);
        NextStep.Seen clear = new NextStep.Seen(Strength.CLEAR, false, today.minusDays(14));
        NextStep.Seen calm = new NextStep.Seen(Strength.CLEAR, false, today.minusDays(15));
        NextStep.Seen spread = new NextStep.Seen(Strength.SLIGHT, true, today.minusDays(15));
        assertThat(NextStep.of(Recipient.ANYBODY, List.of(calm), today)).startsWith("Skin is calm");
        assertThat(NextStep.of(Recipient.ANYBODY, List.of(calm, clear), today)).startsWith("Nothing new");
        assertThat(NextStep.of(Recipient.ANYBODY, List.of(spread), today)).startsWith("No test after");
        assertThat(NextStep.of(new Recipient(Set.of(Use.CHILD_2_5), Set.of()), List.of(calm), today))
                .startsWith("No test on a child");
        assertThat(NextStep.of(new Recipient(Set.of(), Set.of("sesame")), List.of(calm), today))
                .startsWith("No test where a food");
        assertThat(NextStep.isUrgent(List.of(spread), today)).isFalse();
        assertThat(NextStep.isUrgent(List.of(new NextStep.Seen(Strength.SLIGHT, true, today)), today))
                .isTrue();
        assertThat(NextStep.isUrgent(List.of(new NextStep.Seen(Strength.STRONG, false, today)), today))
                .isTrue();
        assertThat(NextStep.isUrgent(List.of(clear), today)).isFalse();
    }

    /** Balsam buds and propolis are relatives, birch buds are not, though they are resinous too. */
    @Test
    void relativesAreKnownByTheirTraits() {
        assertThat(Relatives.names("yarrow", traits("yarrow"))).containsExactly("the daisy family");
        assertThat(Relatives.family("yarrow", traits("yarrow"))).contains("daisy", "arnica", "elecampane");
        assertThat(Relatives.names("propolis", traits("propolis")))
                .containsExactly("propolis, balsam buds and beeswax");
        assertThat(Relatives.family("propolis", traits("propolis")))
                .contains("beeswax", "kind:balsam-bud", "kind:poplar-bud");
        assertThat(Relatives.names("balsam-bud", traits("balsam-bud"))).contains("propolis, balsam buds and beeswax");
        assertThat(Relatives.names("birch-bud", traits("birch-bud"))).containsExactly("salicylates");
        assertThat(Relatives.names("nettle", traits("nettle"))).isEmpty();
    }

    private static Set<String> traits(String herb) {
        return MATERIA.herb(herb).orElseThrow().traits();
    }

    /** Twins differ in one thing; the one with more of it is the first, whichever is asked about first. */
    @Test
    void twinsDifferInOneThing() {
        PlanRequest plain =
                oil(LocalDate.of(2026, 5, 3), 2, Method.COLD_AND_DARK, 35).request();
        PlanRequest sun =
                oil(LocalDate.of(2026, 5, 3), 2, Method.SUN_WINDOW, 35).request();
        PlanRequest bath =
                oil(LocalDate.of(2026, 5, 3), 2, Method.WATER_BATH, 35).request();
        PlanRequest later =
                oil(LocalDate.of(2026, 5, 4), 2, Method.COLD_AND_DARK, 35).request();
        Twins.Pair time = Twins.pair(plain, plain, new Twins.Planned(21, 42));
        assertThat(time.question()).contains(Question.TIME);
        assertThat(time.firstIsOne()).isFalse();
        assertThat(Twins.pair(sun, plain, new Twins.Planned(28, 28)).question()).contains(Question.LIGHT);
        assertThat(Twins.pair(bath, plain, new Twins.Planned(1, 1)).question()).contains(Question.WARMTH);
        assertThat(Twins.pair(bath, plain, new Twins.Planned(1, 35)).why()).contains("how long they stand, warmth");
        assertThat(Twins.pair(plain, plain, new Twins.Planned(35, 35)).why()).contains("do not differ yet");
        assertThat(Twins.pair(plain, later, new Twins.Planned(35, 42)).why()).contains("not charged on one day");
        assertThat(Twins.verdict(Twins.Cup.LEFT, true)).isEqualTo(Verdict.FIRST);
        assertThat(Twins.verdict(Twins.Cup.LEFT, false)).isEqualTo(Verdict.SECOND);
        assertThat(Twins.verdict(Twins.Cup.RIGHT, false)).isEqualTo(Verdict.FIRST);
        assertThat(Twins.verdict(Twins.Cup.NEITHER, true)).isEqualTo(Verdict.NEITHER);
    }
}
