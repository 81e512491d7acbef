package app.velvetcrock.core.wish;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.bench.Notes;
import app.velvetcrock.core.bench.Timing;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.planning.Planner;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class WishPlannerTest {

    /** A Tuesday morning. */
    private static final Instant NOW = Instant.parse("2026-12-01T09:00:00Z");

    private static final Wording SAY = new Wording(HouseholdUnits.METRIC, ZoneId.of("Europe/London"));
    private static final Materia MATERIA = Materia.shipped();
    private static final WishPlanner PLANNER = new WishPlanner(new Planner(Cautions.shipped(), MATERIA), MATERIA);
    private static final Kitchen USUAL = UsualKitchen.of(MATERIA, SAY, NOW);
    private static final int MANY = Cases.of(20);

    private final List<String> troubles = new ArrayList<>();
    private final Notes notes = new Notes() {
        @Override
        public void trouble(String field, String wrong, String instead) {
            troubles.add(field + ": " + wrong + " " + instead);
        }

        @Override
        public void echo(String field, String words) {
            assertThat(words).as(field).isNotBlank();
        }

        @Override
        public boolean isClear() {
            return troubles.isEmpty();
        }
    };

    private static Wish.Herb herb(String key, Moisture moisture, Cut cut, double grams) {
        HerbKind kind = MATERIA.herb(key).orElseThrow();
        return new Wish.Herb(
                kind,
                MATERIA.texture(kind.part(), cut),
                moisture,
                grams > 0 ? Optional.of(Mass.ofGrams(grams)) : Optional.empty());
    }

    private static Wish wish(Wish.Herb herb, String kind, Wish.Much much, Use use, int days) {
        return new Wish(
                herb,
                MATERIA.carrier("olive").orElseThrow(),
                Kind.shipped().stream().filter(one -> one.key().equals(kind)).findFirst(),
                much,
                use,
                days > 0 ? Optional.of(NOW.plus(Duration.ofDays(days))) : Optional.empty());
    }

    private WishAnswer answer(Wish wish) {
        Optional<WishAnswer> answer = PLANNER.answer(wish, USUAL, notes);
        assertThat(troubles).isEmpty();
        return answer.orElseThrow();
    }

    private static Wish.Herb calendula() {
        return herb("calendula", Moisture.DRIED, Cut.WHOLE, 30);
    }

    @Test
    void withoutHurryItIsTheFittestWayAndAllTheOilIsMadeOf() {
        WishAnswer answer = answer(wish(calendula(), "salve", new Wish.Much.AllThereIs(), Use.HANDS, 0));
        assertThat(answer.way().is(Method.HEAT_THEN_REST)).isTrue();
        assertThat(answer.canBegin()).isTrue();
        assertThat(answer.late()).isEmpty();
        double oil = answer.bench().backInAll().millilitres() * 0.912;
        assertThat(oilIn(answer)).isCloseTo(oil, within(oil * 0.02));
        assertThat(answer.pan().orElseThrow().filling().orElseThrow().count()).isPositive();
        assertThat(answer.keeps())
                .isAfter(SAY.dayOf(NOW))
                .isBeforeOrEqualTo(answer.plan().keepUntil().date());
        assertThat(answer.cautions()).anyMatch(caution -> caution.head().contains("Daisy"));
        assertThat(answer.toBuy())
                .noneMatch(line -> line.contains("of calendula"))
                .anyMatch(line -> line.contains("of olive"))
                .anyMatch(line -> line.contains("beeswax"));
    }

    /** What rests for a fortnight is warmed where Saturday is near, and the other is still told of. */
    @Test
    void inAHurryItIsWarmedAndTheSlowWayIsToldOf() {
        WishAnswer answer = answer(wish(calendula(), "salve", new Wish.Much.AllThereIs(), Use.HANDS, 5));
        assertThat(answer.way().is(Method.HEAT_THEN_REST)).isFalse();
        assertThat(answer.late()).isEmpty();
        assertThat(answer.bench()
                        .timing()
                        .flatMap(Timing::timetable)
                        .orElseThrow()
                        .end())
                .isBeforeOrEqualTo(NOW.plus(Duration.ofDays(5)));
        assertThat(answer.others())
                .anyMatch(other ->
                        other.name().equals("Heat, then rest") && other.field().equals("needed"));
        assertThat(answer.others()).anyMatch(other -> other.value().equals("CUT_AND_SIFTED"));
    }

    @Test
    void whatCannotBeInTimeSaysByHowMuchAndByWhichWayItIsSoonest() {
        WishAnswer answer = answer(new Wish(
                calendula(),
                MATERIA.carrier("olive").orElseThrow(),
                Optional.empty(),
                new Wish.Much.AllThereIs(),
                Use.HANDS,
                Optional.of(NOW.plus(Duration.ofHours(1)))));
        assertThat(answer.late().orElseThrow()).contains("late");
        assertThat(answer.way().is(Method.COLD_AND_DARK)).isFalse();
    }

    /** 24 tins of 60 mL, filled to 92 %, are about 1.2 kg of salve, and as much oil comes back of what is poured. */
    @Test
    void soManyTinsAreWorkedBackToHerbAndOil() {
        Container tin = new Container("Tin of 60 mL", Volume.ofMillilitres(60), false);
        WishAnswer answer = answer(wish(
                herb("calendula", Moisture.DRIED, Cut.CUT_AND_SIFTED, 0),
                "salve",
                new Wish.Much.Filled(24, tin),
                Use.HANDS,
                0));
        assertThat(answer.pan().orElseThrow().filling().orElseThrow().count()).isEqualTo(24);
        assertThat(answer.pan().orElseThrow().whole().grams()).isBetween(1150.0, 1250.0);
        assertThat(answer.bench().backInAll().millilitres() * 0.912).isGreaterThanOrEqualTo(oilIn(answer));
        assertThat(answer.bench().oilInAll().compareTo(answer.bench().backInAll()))
                .isPositive();
    }

    @Test
    void whatIsNotForSomebodyStandsAgainstIt() {
        WishAnswer comfrey = answer(wish(
                herb("comfrey", Moisture.DRIED, Cut.CUT_AND_SIFTED, 30),
                "salve",
                new Wish.Much.AllThereIs(),
                Use.PREGNANCY,
                0));
        assertThat(comfrey.canBegin()).isFalse();
        WishAnswer garlic = answer(wish(
                herb("garlic", Moisture.JUICY, Cut.CUT_AND_SIFTED, 50),
                "none",
                new Wish.Much.AllThereIs(),
                Use.FOOD,
                0));
        assertThat(garlic.plan().isMoistFood()).isTrue();
        assertThat(garlic.keeps()).isBeforeOrEqualTo(SAY.dayOf(NOW).plusDays(4));
    }

    private static double oilIn(WishAnswer answer) {
        return answer.pan().orElseThrow().read().melt().formula().parts().stream()
                .filter(part -> part.stuff().role() == Formula.Role.OIL)
                .mapToDouble(part -> part.mass().grams())
                .sum();
    }

    /** Whatever is wished for: it can be begun as it stands, or says what would have to be otherwise; and its parts are the whole. */
    @Test
    void whateverIsWishedForIsAnsweredWhole() {
        Random random = new Random(31);
        List<HerbKind> herbs = List.copyOf(MATERIA.herbs());
        List<CarrierKind> carriers = MATERIA.carriers().stream().toList();
        List<Kind> kinds = Kind.shipped();
        int begun = 0;
        for (int i = 0; i < MANY; i++) {
            troubles.clear();
            HerbKind herb = herbs.get(random.nextInt(herbs.size()));
            Moisture moisture = random.nextInt(4) > 0 ? Moisture.DRIED : Moisture.FRESH;
            Wish wish = new Wish(
                    new Wish.Herb(
                            herb,
                            MATERIA.texture(herb.part(), Cut.values()[random.nextInt(5)]),
                            moisture,
                            random.nextBoolean()
                                    ? Optional.of(Mass.ofGrams(5 + random.nextInt(200)))
                                    : Optional.empty()),
                    carriers.get(random.nextInt(carriers.size())),
                    random.nextInt(5) == 0 ? Optional.empty() : Optional.of(kinds.get(random.nextInt(kinds.size()))),
                    much(random),
                    Use.values()[random.nextInt(Use.values().length)],
                    random.nextBoolean()
                            ? Optional.of(NOW.plus(Duration.ofHours(6 + random.nextInt(1200))))
                            : Optional.empty());
            Optional<WishAnswer> answered = PLANNER.answer(wish, USUAL, notes);
            if (answered.isEmpty()) {
                assertThat(troubles).as(wish.toString()).isNotEmpty();
                continue;
            }
            WishAnswer answer = answered.get();
            if (answer.canBegin()) {
                begun++;
                assertThat(answer.plan().isAllowed()).as(wish.toString()).isTrue();
                assertThat(answer.bench().parts()).as(wish.toString()).allMatch(part -> part.plan()
                        .canStart());
            } else {
                assertThat(answer.against()).as(wish.toString()).allMatch(one -> !one.change()
                        .isBlank());
                canWithTheChange(wish, answer);
            }
            assertThat(answer.others()).hasSizeLessThanOrEqualTo(2);
            answer.pan().ifPresent(mix -> {
                double parts = mix.read().melt().formula().parts().stream()
                        .mapToDouble(part -> part.mass().grams())
                        .sum();
                assertThat(parts).as(wish.toString()).isCloseTo(mix.whole().grams(), within(0.01));
            });
            assertThat(answer.keeps()).as(wish.toString()).isAfterOrEqualTo(SAY.dayOf(NOW));
        }
        assertThat(begun).isGreaterThan(MANY / 3);
    }

    /** Told what would have to be otherwise, and done so as it is told: then it can be begun. */
    private void canWithTheChange(Wish wish, WishAnswer answer) {
        Wish other = wish;
        // What is changed may show what stood behind it: at most as often as there are words of the sentence.
        Optional<WishAnswer> again = Optional.of(answer);
        for (int i = 0; i < 5 && again.filter(one -> !one.canBegin()).isPresent(); i++) {
            for (WishAnswer.Against against : again.get().against()) {
                other = changed(other, against.change());
            }
            troubles.clear();
            again = PLANNER.answer(other, USUAL, notes);
        }
        assertThat(again.filter(WishAnswer::canBegin))
                .as("%s %s, then %s %s", wish, answer.against(), other, again.map(WishAnswer::against))
                .isPresent();
    }

    private static Wish changed(Wish wish, String change) {
        Wish.Herb herb = wish.herb();
        Use use = change.contains("somebody else") || change.contains("not for") ? Use.ADULT_SKIN : wish.use();
        boolean less = change.contains("less");
        boolean dry = change.contains("dr") && !herb.moisture().isDried();
        boolean another = change.contains("another herb");
        HerbKind kind = another ? MATERIA.herb("self-heal").orElseThrow() : herb.kind();
        boolean finer = change.contains("finer") && herb.texture().cut().compareTo(Cut.CUT_AND_SIFTED) < 0;
        return new Wish(
                new Wish.Herb(
                        kind,
                        another || finer
                                ? MATERIA.texture(
                                        another ? kind.part() : herb.texture().part(), Cut.CUT_AND_SIFTED)
                                : herb.texture(),
                        dry || another ? Moisture.DRIED : herb.moisture(),
                        less ? Optional.of(Mass.ofGrams(20)) : herb.mass()),
                change.contains("another oil") || change.contains("or oil") || change.contains("an oil")
                        ? MATERIA.carrier("jojoba").orElseThrow()
                        : wish.oil(),
                wish.making(),
                less ? new Wish.Much.AllThereIs() : wish.much(),
                use,
                wish.by());
    }

    private static Wish.Much much(Random random) {
        return switch (random.nextInt(4)) {
            case 0 -> new Wish.Much.Weight(Mass.ofGrams(20 + random.nextInt(2000)));
            case 1 -> new Wish.Much.Filled(
                    1 + random.nextInt(40), new Container("Tin of 60 mL", Volume.ofMillilitres(60), false));
            case 2 -> new Wish.Much.OfOil(Volume.ofMillilitres(20 + random.nextInt(3000)));
            default -> new Wish.Much.AllThereIs();
        };
    }
}
