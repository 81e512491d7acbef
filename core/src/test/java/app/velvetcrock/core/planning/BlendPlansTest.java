package app.velvetcrock.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.JarSplit;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Remedy;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.KeepUntil;
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
import app.velvetcrock.core.spirit.Dosing;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Plans of several herbs, of oils infused before, and against the rules of water. */
class BlendPlansTest {

    private static final LocalDate START = LocalDate.of(2026, 10, 1);
    private static final Vessel LITRE = new Vessel("litre", Volume.ofMillilitres(1000), Length.ofMillimetres(100));
    private static final Bottle PLAIN =
            new Bottle("rapeseed", 10, Optional.of(LocalDate.of(2026, 9, 1)), Optional.empty());
    private final Materia materia = Materia.shipped();
    private final Planner planner = new Planner(Cautions.shipped(), materia);

    /**
     * 30 g cut nettle leaf (0.15), 15 g cut self-heal tops (0.13), 20 g cut marshmallow root (0.35), in a litre 100 mm across
     * (7854 mm², 20 mm are 157.1 mL).
     * D 65/1.4 = 46.43; loose (200 + 115.4 + 57.14)·1.15 = 428.4; pressed 428.4/1.6 = 267.8. Needs 539 loose, 378.4 pressed;
     * usual 65·5 = 325: so 380 mL, 1:5.8.
     * It keeps 1.3·30 + 1.3·15 + 0.6·20 = 70.5 and 5 on the cloth: 304.5 back; sd √((0.4·30)² + (0.4·15)² + (0.2·20)² + 3²) = 14.3.
     */
    @Test
    void threeHerbsAddUp() {
        BatchPlan plan = planner.plan(
                request("nettle 30 DRIED, self-heal 15 DRIED, marshmallow 20 DRIED", Method.COLD_AND_DARK));
        assertThat(plan.charge().looseNeed().millilitres()).isCloseTo(539.1, within(0.1));
        assertThat(plan.charge().pressedNeed().millilitres()).isCloseTo(378.4, within(0.1));
        assertThat(plan.charge().oil().millilitres()).isEqualTo(380);
        assertThat(plan.yield().expected().millilitres()).isCloseTo(304.5, within(1e-6));
        assertThat(plan.yield().spread()).isCloseTo(14.3, within(0.05));
        assertThat(plan.request().herbNames()).isEqualTo("Nettle, self-heal and marshmallow root");
        assertThat(plan.request().herb().kind().key()).isEqualTo("nettle");
        assertThat(plan.water().isFree()).isFalse();
        assertThat(plan.canStart()).isTrue();
    }

    /**
     * What was measured of one herb moves that herb's part alone: nettle once kept 0.9, so 1.012 (checked sum 4) · 30 = 30.4, and
     * it rests on no batch of the other.
     */
    @Test
    void eachHerbForecastsFromItsOwnBatches() {
        PlanRequest plain = request("nettle 30 DRIED, self-heal 15 DRIED", Method.COLD_AND_DARK);
        PlannedHerb nettle = plain.herbs().get(0);
        PlannedHerb known = new PlannedHerb(
                nettle.kind(), nettle.texture(), nettle.moisture(), nettle.weighedBulk(), nettle.mass(), List.of(0.9));
        PlanRequest taught = new PlanRequest(
                List.of(known, plain.herbs().get(1)),
                plain.carrier(),
                plain.oil(),
                plain.vessel(),
                plain.jarsInStock(),
                plain.circumstances());
        double before = planner.plan(plain).yield().expected().millilitres();
        assertThat(planner.plan(taught).yield().expected().millilitres() - before)
                .isCloseTo(1.3 * 30 - 1.012 * 30, within(0.02));
        assertThat(planner.plan(taught).yield().batches()).isZero();
    }

    /**
     * 40 g dried leaf bring 4 g, 60 g fresh 51: 55 in all; dry 36 + 9 = 45 binds 6.14; 300 mL of oil (275.1 g) dissolve 0.28: 48.6
     * g free, 17.7 %.
     */
    @Test
    void waterIsSummedOverTheHerbs() {
        BatchPlan plan = planner.plan(with(
                request("nettle 40 DRIED, nettle 60 FRESH", Method.SLOW_WARM),
                new OilWish.Exactly(Volume.ofMillilitres(300))));
        assertThat(plan.water().brought().grams()).isCloseTo(55, within(1e-9));
        assertThat(plan.water().free().grams()).isCloseTo(48.6, within(0.05));
        assertThat(plan.water().shareOfOil()).isCloseTo(0.177, within(0.0005));
    }

    /**
     * The same where the fresh herb would wilt first, which counts once it is weighed: the water stands as it is, and beside it that its
     * 9 g of dry matter would then stand in 22.5 g, 13.5 of them water: 17.5 in all less 6.14 and 0.28, 11.1 g.
     */
    @Test
    void wiltingCountsOnceItIsWeighed() {
        BatchPlan plan = planner.plan(with(
                request("nettle 40 DRIED, nettle 60 FRESH", Method.FRESH_LOW_HEAT),
                new OilWish.Exactly(Volume.ofMillilitres(300))));
        assertThat(plan.water().brought().grams()).isCloseTo(55, within(1e-9));
        assertThat(plan.water().free().grams()).isCloseTo(48.6, within(0.05));
        assertThat(plan.waterIfWilted().orElseThrow().brought().grams()).isCloseTo(17.5, within(1e-9));
        assertThat(plan.waterIfWilted().orElseThrow().free().grams()).isCloseTo(11.1, within(0.05));
        assertThat(planner.plan(request("nettle 60 WILTED", Method.FRESH_LOW_HEAT))
                        .waterIfWilted())
                .isEmpty();
    }

    /** Free water never falls when a herb is taken wetter, whatever else is in the jar. */
    @Test
    void wetterHerbNeverBringsLessWater() {
        Random random = new Random(4);
        for (int i = 0; i < Cases.of(300); i++) {
            String herbs = "nettle %d %%s, yarrow %d %s"
                    .formatted(5 + random.nextInt(80), 5 + random.nextInt(80), Moisture.values()[random.nextInt(3)]);
            double last = -1;
            for (Moisture moisture : List.of(Moisture.DRIED, Moisture.WILTED, Moisture.FRESH, Moisture.JUICY)) {
                PlanRequest request = with(
                        request(herbs.formatted(moisture), Method.SLOW_WARM),
                        new OilWish.Exactly(Volume.ofMillilitres(400)));
                double free = planner.plan(request).water().free().grams();
                assertThat(free).isGreaterThanOrEqualTo(last);
                last = free;
            }
        }
    }

    /**
     * Keeping goes by the worst: 1 Oct + 35 days is 5 Nov; 238 days to 1 Jul; powder among it 0.9 → 214, a wilted herb 0.6 and
     * vented heat.
     */
    @Test
    void theWorstHerbDatesTheOil() {
        assertThat(planner.plan(request("nettle 20 DRIED, yarrow 10 DRIED", Method.COLD_AND_DARK))
                        .keepUntil()
                        .date())
                .isEqualTo(LocalDate.of(2027, 7, 1));
        PlanRequest plain = request("nettle 20 DRIED, yarrow 10 DRIED", Method.COLD_AND_DARK);
        PlannedHerb yarrow = plain.herbs().get(1);
        PlannedHerb powder = new PlannedHerb(
                yarrow.kind(),
                materia.texture(yarrow.kind().part(), Cut.POWDER),
                Moisture.DRIED,
                Optional.empty(),
                yarrow.mass(),
                List.of());
        PlanRequest powdered = new PlanRequest(
                List.of(plain.herbs().get(0), powder),
                plain.carrier(),
                plain.oil(),
                plain.vessel(),
                plain.jarsInStock(),
                plain.circumstances());
        assertThat(planner.plan(powdered).keepUntil().date())
                .isEqualTo(LocalDate.of(2026, 11, 5).plusDays(214));
        // slow warm ends on 1 October: 273 days · 0.9 · 0.6 = 147.4
        assertThat(planner.plan(request("nettle 20 DRIED, yarrow 10 WILTED", Method.SLOW_WARM))
                        .keepUntil()
                        .date())
                .isEqualTo(START.plusDays(147));
    }

    @Test
    void cautionsComeFromEveryHerb() {
        assertThat(planner.plan(request("nettle 20 DRIED, yarrow 10 DRIED, meadowsweet 10 DRIED", Method.COLD_AND_DARK))
                        .cautions())
                .extracting(Caution::head)
                .contains("Daisy family", "Contains salicylates");
        assertThat(planner.plan(request("nettle 20 DRIED, comfrey 1 DRIED", Method.COLD_AND_DARK, Use.BABY))
                        .canStart())
                .isFalse();
    }

    /**
     * An oil that carries 0.15 g of wilted herb a mL ends on its own day, keeps as of wilted herb, and is no food of dried herb:
     * 20 g in 200 mL, 200/(20 + 30) = 4.
     */
    @Test
    void aSecondInfusionCarriesTheFirstForward() {
        PlanRequest plain =
                with(request("nettle 20 DRIED", Method.COLD_AND_DARK), new OilWish.Exactly(Volume.ofMillilitres(200)));
        FirstInfusion first = new FirstInfusion("Yarrow, batch 3", 0.15, Moisture.WILTED, true, Set.of("daisy"));
        Bottle bottle = new Bottle("Yarrow in rapeseed", 10, PLAIN.opened(), Optional.of(LocalDate.of(2027, 3, 5)));
        PlanRequest again = new PlanRequest(
                plain.herbs(),
                new PlannedCarrier(plain.carrier().kind(), bottle, Optional.of(first)),
                plain.oil(),
                LITRE,
                List.of(LITRE),
                plain.circumstances());
        BatchPlan plan = planner.plan(again);
        assertThat(plan.doubleRatio())
                .hasValueSatisfying(ratio -> assertThat(ratio).isCloseTo(4, within(1e-9)));
        // 5 Nov to 5 Mar are 120 days; heated to 70 once 0.75, wilted 0.6: 54
        assertThat(plan.keepUntil().date()).isEqualTo(LocalDate.of(2026, 11, 5).plusDays(54));
        assertThat(plan.keepUntil().limitedBy()).isEqualTo(KeepUntil.LimitedBy.FIRST_OIL);
        assertThat(plan.cautions()).extracting(Caution::head).contains("Daisy family");
        assertThat(planner.plan(plain).doubleRatio()).isEmpty();
        PlanRequest.Circumstances how = again.circumstances();
        PlanRequest food = again.with(new PlanRequest.Circumstances(
                how.method(), how.lengths(), START, Use.FOOD, how.pressing(), how.storage(), how.means()));
        assertThat(planner.plan(food).fitness().refusals())
                .singleElement()
                .matches(reason -> reason.change().equals("use a plain oil") && !reason.overridable());
    }

    @Test
    void anOverrideIsAMarkAndNeverWorksForFood() {
        for (Use use : List.of(Use.HANDS, Use.FOOD)) {
            PlanRequest wet = request("nettle 30 FRESH", Method.COLD_AND_DARK, use);
            PlanRequest.Circumstances how = wet.circumstances();
            PlanRequest knowingly = new PlanRequest(
                    wet.herbs(),
                    wet.carrier(),
                    wet.oil(),
                    wet.vessel(),
                    wet.jarsInStock(),
                    new PlanRequest.Circumstances(
                            how.method(),
                            how.lengths(),
                            START,
                            use,
                            how.pressing(),
                            how.storage(),
                            how.means(),
                            Dosing.AS_USUAL,
                            Optional.of("I decant it daily")));
            assertThat(planner.plan(wet).canStart()).isFalse();
            assertThat(planner.plan(knowingly).canStart()).isEqualTo(use == Use.HANDS);
            assertThat(planner.plan(knowingly).mark())
                    .isEqualTo(use == Use.HANDS ? Optional.of("I decant it daily") : Optional.empty());
        }
        PlanRequest dry = request("nettle 30 DRIED", Method.COLD_AND_DARK);
        PlanRequest.Circumstances how = dry.circumstances();
        PlanRequest needless = new PlanRequest(
                dry.herbs(),
                dry.carrier(),
                dry.oil(),
                dry.vessel(),
                dry.jarsInStock(),
                new PlanRequest.Circumstances(
                        how.method(),
                        how.lengths(),
                        START,
                        Use.HANDS,
                        how.pressing(),
                        how.storage(),
                        how.means(),
                        Dosing.AS_USUAL,
                        Optional.of("just so")));
        assertThat(planner.plan(needless).mark())
                .as("nothing is overridden where nothing is refused")
                .isEmpty();
    }

    /**
     * 40 g at 0.8 take 32 g of 60 %: from 96 % by mass 0.9384 against 0.5209 that is 17.8 g and 14.2 g of water; 32·(1 − 0.5209) =
     * 15.3 g of water in all.
     */
    @Test
    void spiritIsDosedAndThinned() {
        PlanRequest plain = request("nettle 40 DRIED", Method.SPIRIT_FIRST);
        PlanRequest.Circumstances how = plain.circumstances();
        PlanRequest thinned = new PlanRequest(
                plain.herbs(),
                plain.carrier(),
                plain.oil(),
                plain.vessel(),
                plain.jarsInStock(),
                new PlanRequest.Circumstances(
                        how.method(),
                        how.lengths(),
                        START,
                        how.use(),
                        how.pressing(),
                        how.storage(),
                        Means.of(Temperature.ofCelsius(14), Optional.of(new Strength(60))),
                        new Dosing(0.8, Optional.of(new Strength(96))),
                        Optional.empty()));
        var moist = planner.plan(thinned).moistening().orElseThrow();
        assertThat(moist.spirit().grams()).isCloseTo(32, within(1e-9));
        assertThat(moist.fromBottle().grams()).isCloseTo(17.8, within(0.05));
        assertThat(moist.added().grams()).isCloseTo(14.2, within(0.05));
        assertThat(moist.water().grams()).isCloseTo(15.3, within(0.05));
    }

    /**
     * 40 g of powder after spirit are charged 1:7.5, 300 mL, where its kind's 1:5 would be 200; cold, powder keeps to its kind:
     * covered by 102.2 − 28.6 + 157.1 = 230.7, so 235.
     */
    @Test
    void powderAfterSpiritIsChargedWeaker() {
        for (Method way :
                List.of(Method.SPIRIT_FIRST, Method.of("spirit-first~blend").orElseThrow(), Method.COLD_AND_DARK)) {
            PlanRequest cut = request("nettle 40 DRIED", way);
            PlannedHerb nettle = cut.herbs().get(0);
            PlannedHerb powder = new PlannedHerb(
                    nettle.kind(),
                    materia.texture(nettle.kind().part(), Cut.POWDER),
                    Moisture.DRIED,
                    Optional.empty(),
                    nettle.mass(),
                    List.of());
            PlanRequest request = new PlanRequest(
                    List.of(powder), cut.carrier(), cut.oil(), cut.vessel(), cut.jarsInStock(), cut.circumstances());
            assertThat(planner.plan(request).charge().oil().millilitres())
                    .as(way.key())
                    .isEqualTo(way.is(Method.SPIRIT_FIRST) ? 300 : 235);
        }
    }

    /** 300 g in litres: no jar takes it, two do not, three take 100 g each; what the parts come to is what the whole asked. */
    @Test
    void aDividedChargeAddsUpToTheWhole() {
        PlanRequest whole = with(
                new PlanRequest(
                        request("nettle 180 DRIED, marshmallow 120 DRIED", Method.COLD_AND_DARK)
                                .herbs(),
                        new PlannedCarrier(materia.carrier("rapeseed").orElseThrow(), PLAIN),
                        new OilWish.ToCover(),
                        LITRE,
                        List.of(LITRE, LITRE, LITRE, LITRE),
                        request("nettle 1 DRIED", Method.COLD_AND_DARK).circumstances()),
                new OilWish.Exactly(Volume.ofMillilitres(1800)));
        Remedy.SplitOver split = planner.plan(whole).remedies().stream()
                .filter(Remedy.SplitOver.class::isInstance)
                .map(Remedy.SplitOver.class::cast)
                .findFirst()
                .orElseThrow();
        assertThat(split.shares()).hasSize(3).extracting(JarSplit.Share::share).allSatisfy(share -> assertThat(share)
                .isCloseTo(1 / 3.0, within(1e-9)));
        List<BatchPlan> parts = split.shares().stream()
                .map(share -> planner.plan(whole.part(share)))
                .toList();
        assertThat(parts).allMatch(BatchPlan::canStart);
        assertThat(parts.stream()
                        .mapToDouble(part -> part.charge().oil().millilitres())
                        .sum())
                .isCloseTo(1800, within(1e-6));
        assertThat(parts.get(0).request().herbs())
                .extracting(herb -> Math.round(herb.mass().grams()))
                .containsExactly(60L, 40L);
    }

    private static PlanRequest with(PlanRequest request, OilWish oil) {
        return new PlanRequest(
                request.herbs(),
                request.carrier(),
                oil,
                request.vessel(),
                request.jarsInStock(),
                request.circumstances());
    }

    private PlanRequest request(String herbs, Method way) {
        return request(herbs, way, Use.HANDS);
    }

    private PlanRequest request(String herbs, Method way, Use use) {
        List<PlannedHerb> planned = Arrays.stream(herbs.split(", "))
                .map(herb -> {
                    String[] words = herb.split(" ");
                    HerbKind kind = materia.herb(words[0]).orElseThrow();
                    return new PlannedHerb(
                            kind,
                            materia.texture(kind.part(), Cut.CUT_AND_SIFTED),
                            Moisture.valueOf(words[2]),
                            Optional.empty(),
                            Mass.ofGrams(Double.parseDouble(words[1])),
                            List.of());
                })
                .toList();
        return new PlanRequest(
                planned,
                new PlannedCarrier(materia.carrier("rapeseed").orElseThrow(), PLAIN),
                new OilWish.ToCover(),
                LITRE,
                List.of(LITRE),
                new PlanRequest.Circumstances(
                        way,
                        way.usualLengths(),
                        START,
                        use,
                        Pressing.HAND,
                        Storage.COOL_DARK,
                        Means.of(Temperature.ofCelsius(14), Optional.of(new Strength(96)))));
    }
}
