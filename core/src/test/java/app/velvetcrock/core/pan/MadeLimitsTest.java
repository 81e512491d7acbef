package app.velvetcrock.core.pan;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Ceilings;
import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.MakingCourse.At;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What was made is judged of its log: what was planned was always within. */
class MadeLimitsTest {

    private static final Instant NINE = Instant.parse("2026-11-24T09:00:00Z");
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);
    private static final Formula.Stuff WAX = new Formula.Stuff("beeswax", "Beeswax", Formula.Role.WAX, 1);
    private static final Formula.Stuff OIL = new Formula.Stuff("rapeseed", "oil", Formula.Role.OIL, 0);
    private static final Formula.Stuff NEEM = new Formula.Stuff("neem", "neem", Formula.Role.OIL, 0);
    private static final MadeKeeping.Limit YEAR =
            new MadeKeeping.Limit(TODAY.plusYears(1), "limited by oil", Optional.empty(), false);

    private final MadeLimits limits = new MadeLimits(Materia.shipped()::supply);

    private static Addition of(String key, double grams) {
        return new Addition(key, key, Mass.ofGrams(grams), Optional.empty(), Addition.When.WITH_THE_DROPS);
    }

    private static MakingPlan plan(String kind, Use use, List<MadeKeeping.Limit> limits, Addition... additions) {
        return new MakingPlan(
                1,
                new MakingPlan.Made(kind, kind, kind, false, true),
                15,
                weighed(OIL, 850, WAX, 150),
                Stream.of(additions)
                        .map(one -> new MakingPlan.Stirred(one, Optional.empty()))
                        .toList(),
                Optional.empty(),
                use,
                Temperature.ofCelsius(20),
                limits.get(0).date(),
                limits.get(0).why(),
                Optional.empty(),
                List.of(),
                limits,
                List.of());
    }

    private static List<MakingPlan.Weighed> weighed(
            Formula.Stuff one, double grams, Formula.Stuff other, double otherGrams) {
        return List.of(
                new MakingPlan.Weighed(one.of(Mass.ofGrams(grams)), Optional.empty()),
                new MakingPlan.Weighed(other.of(Mass.ofGrams(otherGrams)), Optional.empty()));
    }

    private static MakingCourse after(MakingPlan plan, List<MakingPlan.Weighed> really, MakingLine... then) {
        List<At> lines = new ArrayList<>(List.of(new At(NINE, new MakingLine.Begun(really))));
        for (MakingLine line : then) {
            lines.add(new At(NINE.plusSeconds(60L * lines.size()), line));
        }
        return MakingCourse.of(plan, lines);
    }

    private Optional<String> over(MakingPlan plan, double grams, MakingLine... then) {
        return limits.over(after(plan, weighed(OIL, grams * 0.85, WAX, grams * 0.15), then), TODAY);
    }

    /** 2.7 g of lavender are 2 % of 132.3 g and the drops; what was planned, a kilogram, never mattered. */
    @ParameterizedTest
    @CsvSource({"1000, false", "133, false", "132, true", "40, true"})
    void dropsAreAShareOfWhatWasWeighedIn(double grams, boolean over) {
        Optional<String> why = over(plan("salve", Use.ADULT_SKIN, List.of(YEAR), of("eo-lavender", 2.7)), grams);
        assertThat(why).isEqualTo(over ? TOO_MUCH : Optional.empty());
    }

    private static final Optional<String> TOO_MUCH =
            Optional.of("it has more essential oil than is held safe for grown-up skin.");

    /** What was left out is not in it; what was corrected is; what it is stirred in with counts as rest. */
    @Test
    void leftOutAndCorrectedChangeTheJudgement() {
        Addition drops = of("eo-lavender", 2.7);
        MakingPlan plan = plan("salve", Use.ADULT_SKIN, List.of(YEAR), drops);
        assertThat(over(plan, 100)).isEqualTo(TOO_MUCH);
        assertThat(over(plan, 100, new MakingLine.Skipped(MakingStep.STIR_IN, Optional.of(drops), "none here")))
                .isEmpty();
        assertThat(over(plan, 100, new MakingLine.Corrected(OIL.of(Mass.ofGrams(32)), Optional.empty(), 15)))
                .isEqualTo(TOO_MUCH);
        assertThat(over(plan, 100, new MakingLine.Corrected(OIL.of(Mass.ofGrams(33)), Optional.empty(), 15)))
                .isEmpty();
        assertThat(over(plan("salve", Use.ADULT_SKIN, List.of(YEAR), drops, of("vitamin-e", 33)), 100))
                .isEmpty();
        assertThat(over(plan("salve", Use.ADULT_SKIN, List.of(YEAR), drops, of("eo-lemon", 0.1)), 132.35))
                .as("all of them together")
                .isEqualTo(TOO_MUCH);
    }

    /** 3 g of honey, or 2 g with 1 of tincture, are 5 % of 60 g: more is as any water, seven days and not for sale. */
    @ParameterizedTest
    @CsvSource({"1000, false", "57.1, false", "57, false", "56.9, true", "40, true"})
    void honeyAndTinctureAreAShareOfWhatWasWeighedIn(double grams, boolean watery) {
        for (Addition[] carried : List.of(
                new Addition[] {of("honey", 3)},
                new Addition[] {of("honey", 2), of("tincture", 1)},
                new Addition[] {of("honey", 2.9), of("tincture", 0.1)})) {
            MakingPlan plan = plan("salve", Use.ADULT_SKIN, List.of(YEAR), carried);
            MakingCourse course = after(plan, weighed(OIL, grams * 0.85, WAX, grams * 0.15));
            MadeKeeping.Limit keeps = limits.keeps(course, TODAY);
            assertThat(keeps.date()).isEqualTo(watery ? TODAY.plusDays(7) : YEAR.date());
            assertThat(keeps.watery()).isEqualTo(watery);
            assertThat(limits.over(course, TODAY))
                    .isEqualTo(
                            watery
                                    ? Optional.of("it has something watery in it and keeps for days only.")
                                    : Optional.empty());
        }
    }

    @Test
    void whatEndsSoonerStillLimitsIt() {
        MadeKeeping.Limit soon = new MadeKeeping.Limit(TODAY.plusDays(3), "limited by pads", Optional.empty(), false);
        MakingPlan plan = plan("salve", Use.ADULT_SKIN, List.of(soon), of("honey", 3));
        MakingCourse course = after(plan, weighed(OIL, 34, WAX, 6));
        assertThat(limits.keeps(course, TODAY)).extracting("why").isEqualTo("limited by pads");
        assertThat(limits.over(course, TODAY.plusDays(3)))
                .contains("it has something watery in it and keeps for days only.");
        assertThat(limits.over(course, TODAY.plusDays(4))).contains("something in it is past its own date.");
    }

    /** Aloe left out makes nothing watery, and what it limited is as long as the rest. */
    @Test
    void wateryIsWhatIsReallyInIt() {
        Addition aloe = of("aloe", 5);
        MadeKeeping.Limit days = new MadeKeeping.Limit(TODAY.plusDays(7), "limited by aloe", Optional.of(0), true);
        MakingPlan plan = plan("salve", Use.ADULT_SKIN, List.of(days, YEAR), aloe);
        assertThat(over(plan, 100)).contains("it has something watery in it and keeps for days only.");
        MakingLine left = new MakingLine.Skipped(MakingStep.STIR_IN, Optional.of(aloe), "none here");
        assertThat(over(plan, 100, left)).isEmpty();
        assertThat(limits.keeps(after(plan, weighed(OIL, 85, WAX, 15), left), TODAY)
                        .date())
                .isEqualTo(YEAR.date());
    }

    /** At most 1 %, and none at all for these. */
    @ParameterizedTest
    @CsvSource({
        "1, ADULT_SKIN, false",
        "1.1, ADULT_SKIN, true",
        "0.5, BABY, true",
        "0.5, PREGNANCY, true",
        "0.5, NURSING, true",
        "1, MASSAGE, false"
    })
    void neemIsAtMostOnePercent(double neem, Use use, boolean over) {
        MakingPlan plan = plan("salve", use, List.of(YEAR));
        Optional<String> why = limits.over(after(plan, weighed(NEEM, neem, OIL, 100 - neem)), TODAY);
        assertThat(why)
                .isEqualTo(
                        over
                                ? Optional.of(
                                        "neem is at most 1 %, and never for babies, in pregnancy or while nursing.")
                                : Optional.empty());
    }

    /** Whom it is for, and what it is called where somebody else's mouth meets it too. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            salve        | BABY       | honey     | no honey for a baby.
            salve        | ADULT_SKIN | honey     |
            nursing-balm | ADULT_SKIN | honey     | no honey for what a nursling's mouth meets.
            salve        | NURSLING   | honey     | no honey for what a nursling's mouth meets.
            salve        | CHILD_2_5  | tincture  | no tincture for a child of 2 to 5.
            salve        | BABY       | eo-oregano | it has more essential oil than is held safe for a baby.
            nursing-balm | ADULT_SKIN | eo-lavender | it has more essential oil than is held safe for what a nursling's mouth meets.
            """)
    void whomItIsFor(String kind, Use use, String key, String why) {
        assertThat(over(plan(kind, use, List.of(YEAR), of(key, 0.1)), 100)).isEqualTo(Optional.ofNullable(why));
    }

    /** Twice of everything is judged alike; more oil never makes what is within too strong; without its drops nothing is. */
    @Test
    void theJudgementIsOfShares() {
        Random random = new Random(28);
        for (int i = 0; i < Cases.of(300); i++) {
            Use use = Use.values()[random.nextInt(Use.values().length)];
            double grams = 5 + random.nextDouble() * 500;
            double drops = random.nextDouble() * 12;
            double honey = random.nextDouble() * 20;
            Optional<String> once = made(use, grams, drops, honey);
            String as = "%s %s g, drops %s, honey %s".formatted(use, grams, drops, honey);
            assertThat(made(use, 2 * grams, 2 * drops, 2 * honey)).as(as).isEqualTo(once);
            if (once.isEmpty()) {
                assertThat(made(use, grams * (1 + random.nextDouble()), drops, honey))
                        .as(as)
                        .isEmpty();
            }
            assertThat(made(use, grams, 0.0, honey).filter(why -> why.contains("essential")))
                    .as(as)
                    .isEmpty();
        }
    }

    private Optional<String> made(Use use, double grams, double drops, double honey) {
        return over(plan("salve", use, List.of(YEAR), of("eo-lavender", drops), of("honey", honey)), grams);
    }

    /** A kind that is no longer made keeps what its plan said. */
    @Test
    void aKindNobodyKnowsKeepsWhatItsPlanSaid() {
        assertThat(over(plan("no-such-kind", Use.ADULT_SKIN, List.of(YEAR), of("eo-lavender", 20)), 100))
                .isEmpty();
    }

    /**
     * What is refused is not weighed in, whoever it is for; what is over a ceiling is not for a baby, and is for grown-ups. A nursing balm
     * is judged for a nursling's mouth too, whoever it was said to be for.
     */
    @Test
    void whatIsRefusedIsNotWeighedIn() {
        Cautions cautions = Cautions.shipped();
        Kind salve = kind("salve");
        Kind balm = kind("nursing-balm");
        assertThat(KeptBack.told(cautions, Set.of("honey"), salve, Use.ADULT_SKIN))
                .noneMatch(one -> one.level() == Level.REFUSE);
        assertThat(KeptBack.told(cautions, Set.of("honey"), balm, Use.ADULT_SKIN))
                .first()
                .matches(one -> one.level() == Level.REFUSE);
        for (Use use : List.of(Use.ADULT_SKIN, Use.ELDERLY, Use.BABY)) {
            KeptBack.Made over = new KeptBack.Made(
                    salve,
                    use,
                    new Formula(List.of(OIL.of(Mass.ofGrams(90)), WAX.of(Mass.ofGrams(10)))),
                    List.of(),
                    Ceilings.of(
                            List.of(Drops.of(
                                    Materia.shipped().supply("eo-lavender").orElseThrow(), 90)),
                            Mass.ofGrams(100),
                            use,
                            false));
            assertThat(KeptBack.refused(List.of(), over)).hasSize(use == Use.BABY ? 1 : 0);
            Caution refusal = new Caution(Level.REFUSE, "Tansy", "Poisons nerves.", true);
            assertThat(KeptBack.refused(List.of(refusal, new Caution(Level.WARN, "Daisy family", "", true)), over))
                    .startsWith("Tansy: Poisons nerves.")
                    .hasSize(use == Use.BABY ? 2 : 1);
        }
        MakingCourse.Step pour = new MakingCourse.Step(
                MakingStep.POUR, Optional.empty(), MakingCourse.Step.State.NOW, Optional.of(NINE), Optional.of(NINE));
        assertThat(pour.isLate(NINE)).isFalse();
        assertThat(pour.isLate(NINE.plusMillis(1))).isTrue();
    }

    private static Kind kind(String key) {
        return Kind.shipped().stream()
                .filter(one -> one.key().equals(key))
                .findFirst()
                .orElseThrow();
    }
}
