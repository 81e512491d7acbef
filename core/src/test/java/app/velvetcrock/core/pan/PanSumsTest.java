package app.velvetcrock.core.pan;

import static app.velvetcrock.core.Kept.number;

import app.velvetcrock.core.Kept;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.pan.MakingCourse.At;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A making told of line by line, and what it says of itself after each; what goes in, when, and how much is right. */
class PanSumsTest {

    private static final Instant NINE = Instant.parse("2026-11-24T09:00:00Z");
    private static final Wording SAY = new Wording(HouseholdUnits.METRIC, ZoneId.of("Europe/London"));
    private static final Formula.Stuff WAX = new Formula.Stuff("beeswax", "Beeswax", Formula.Role.WAX, 1);
    private static final Formula.Stuff OIL = new Formula.Stuff("rapeseed", "oil", Formula.Role.OIL, 0);
    private static final UUID LOT = new UUID(1, 1);
    private static final Addition DROPS =
            new Addition("eo-lavender", "Lavender", Mass.ofGrams(1), Optional.of(22.0), Addition.When.WITH_THE_DROPS);
    private static final Addition E =
            new Addition("vitamin-e", "Vitamin E", Mass.ofGrams(1), Optional.empty(), Addition.When.BELOW_70);
    private static final Addition HONEY =
            new Addition("honey", "Honey", Mass.ofGrams(3), Optional.empty(), Addition.When.HONEY);
    private static final Addition STARCH =
            new Addition("arrowroot", "Arrowroot", Mass.ofGrams(3), Optional.empty(), Addition.When.AT_POURING);
    private static final Addition LANOLIN =
            new Addition("lanolin", "Lanolin", Mass.ofGrams(3), Optional.empty(), Addition.When.WITH_THE_WAX);

    private final Kept kept = new Kept();
    private final List<At> lines = new ArrayList<>();
    private MakingPlan plan;

    @Test
    void whatIsMadeSaysAsKept() {
        salve();
        twice();
        others();
        words();
        doses();
        kept.isAsKept("pan-sums.txt");
    }

    private static MakingPlan plan(
            String kind,
            double firmness,
            boolean whipped,
            boolean wax,
            Optional<Container> into,
            Addition... additions) {
        return new MakingPlan(
                1,
                new MakingPlan.Made(kind, kind, kind, whipped, wax),
                firmness,
                List.of(weighed(OIL, 170), weighed(WAX, 30)),
                List.of(additions).stream()
                        .map(one -> new MakingPlan.Stirred(one, Optional.of(LOT)))
                        .toList(),
                into.map(container -> new MakingPlan.Into(container, 4, Optional.of(LOT))),
                Use.ADULT_SKIN,
                Temperature.ofCelsius(20),
                LocalDate.of(2027, 6, 1),
                "limited by the oil",
                Optional.empty(),
                List.of());
    }

    private static MakingPlan.Weighed weighed(Formula.Stuff stuff, double grams) {
        return new MakingPlan.Weighed(stuff.of(Mass.ofGrams(grams)), Optional.of(LOT));
    }

    private static Container container(double millilitres, boolean mould) {
        return new Container(mould ? "mould" : "tin", Volume.ofMillilitres(millilitres), mould);
    }

    private void begin(String rule, MakingPlan planned) {
        kept.rule(rule);
        plan = planned;
        lines.clear();
        told(0, new MakingLine.Begun(plan.weighed()));
    }

    private void told(double minute, MakingLine line) {
        lines.add(new At(at(minute), line));
        MakingCourse course = MakingCourse.of(plan, lines);
        kept.add("%s %s", at(minute), line.words(SAY));
        kept.add(
                "  %s; F %s of %s, to pour %s; %s%s%s%skeeps %s",
                course.next()
                        .map(step -> step.step()
                                + step.addition().map(one -> " " + one.spoken()).orElse(""))
                        .orElse("all is done"),
                number(course.formula().firmness().value()),
                number(course.formula().total().grams()),
                number(course.toPour(lines).grams()),
                course.lastTest()
                        .map(test -> "felt " + test.felt() + " at " + number(test.firmness()) + "; ")
                        .orElse(""),
                course.pouring()
                        .map(pouring ->
                                "congeals at " + number(pouring.congeal().celsius()) + "; ")
                        .orElse(""),
                course.isLeftOut() ? "something left out; " : "",
                course.poured()
                        .map(poured -> "poured " + poured.filled().size() + "; ")
                        .orElse(""),
                course.keeps().date());
        kept.add(
                "  %s",
                course.steps().stream()
                        .map(step -> step.step()
                                + step.addition().map(one -> " " + one.key()).orElse("") + " " + step.state()
                                + step.from().map(from -> " from " + from).orElse("")
                                + step.until().map(until -> " till " + until).orElse(""))
                        .toList());
        kept.add(
                "  so warm five minutes later %s, five before %s; too hot till %s; cooled %s",
                course.at(at(minute + 5)).map(is -> number(is.celsius())),
                course.at(at(minute - 5)).map(is -> number(is.celsius())),
                Stream.of(0, 1, 9)
                        .map(place -> course.tooHotTill(place, at(minute)) + " " + course.stateOf(place))
                        .toList(),
                MakingCourse.cooled(plan, lines).map(cooled -> cooled.where() + " " + number(cooled.factor())));
    }

    private static Instant at(double minute) {
        return NINE.plus(Duration.ofSeconds(Math.round(minute * 60)));
    }

    private static MakingLine.OffHeat off(double celsius, Double own) {
        return new MakingLine.OffHeat(Temperature.ofCelsius(celsius), Cooling.Where.IN_AIR, Optional.ofNullable(own));
    }

    private static MakingLine.Read read(double celsius) {
        return new MakingLine.Read(Temperature.ofCelsius(celsius), Optional.empty());
    }

    private static MakingLine.Poured poured(double left, MakingLine.Poured.Filled... filled) {
        return new MakingLine.Poured(
                List.of(filled), Mass.ofGrams(left), left > 0 ? Optional.of(LOT) : Optional.empty());
    }

    private static MakingLine.Poured.Filled filled(Container container, int count) {
        return new MakingLine.Poured.Filled(container, count, Mass.ofGrams(50), LOT);
    }

    private void salve() {
        begin(
                "A salve is melted, felt, corrected, cooled, stirred and poured, each in its time",
                plan("salve", 15, false, true, Optional.empty(), LANOLIN, E, DROPS, HONEY, STARCH));
        told(10, new MakingLine.Did(MakingStep.MELT));
        told(12, new MakingLine.Tested(15, Felt.SOFT));
        told(14, new MakingLine.Corrected(WAX.of(Mass.ofGrams(2.4)), Optional.of(LOT), 16));
        told(16, new MakingLine.Tested(16, Felt.RIGHT));
        told(18, new MakingLine.Added(LANOLIN, Optional.of(LOT)));
        told(20, off(75, null));
        told(22, read(70));
        told(26, new MakingLine.Added(E, Optional.of(LOT)));
        told(30, read(58));
        told(36, new MakingLine.Hazed());
        told(37, new MakingLine.Added(DROPS, Optional.of(LOT)));
        told(38, new MakingLine.Skipped(MakingStep.STIR_IN, Optional.of(HONEY), "none here"));
        told(39, new MakingLine.Skipped(MakingStep.STIR_IN, Optional.of(STARCH), ""));
        told(40, poured(6.2, filled(container(60, false), 3), filled(container(15, false), 1)));
        told(101, new MakingLine.Did(MakingStep.SET));
    }

    private void twice() {
        begin(
                "Two of one kind: each line tells of one; a probe of the room is no melt; a haze before the heat was off tells nothing",
                plan("salve", 15, false, true, Optional.of(container(120, false)), DROPS, DROPS));
        told(5, new MakingLine.Hazed());
        told(8, new MakingLine.Added(DROPS, Optional.of(LOT)));
        told(9, new MakingLine.Added(DROPS, Optional.of(new UUID(2, 2))));
        told(10, off(18, 1.5));
        told(11, new MakingLine.Skipped(MakingStep.STIR_IN, Optional.of(DROPS), "one is enough"));
        kept.add(
                "which: %s %s %s %s; lots %s %s",
                plan.placeOf("0"),
                plan.placeOf("1"),
                plan.placeOf("eo-lavender"),
                plan.placeOf("2"),
                plan.lotOf(WAX),
                plan.lotOf(new Formula.Stuff("shea", "shea", Formula.Role.BUTTER, 0.3)));
    }

    private void others() {
        begin(
                "Poured into moulds or large tins it sets for two hours, into small ones for one",
                plan("salve", 15, false, true, Optional.of(container(60, false))));
        told(30, poured(0, filled(container(60, false), 4)));
        told(31, poured(0.04, filled(container(60.5, false), 3)));
        told(32, poured(3, filled(container(60, false), 2), filled(container(40, true), 1)));
        told(33, poured(200));
        begin("A small mould foreseen", plan("soft-bar", 30, false, true, Optional.of(container(30, true))));
        begin("A large tin foreseen", plan("salve", 15, false, true, Optional.of(container(61, false))));
        begin("A butter is whipped", plan("whipped-butter", 8, true, false, Optional.empty()));
        told(10, off(60, null));
        told(40, new MakingLine.Did(MakingStep.CHILL));
        told(50, new MakingLine.Did(MakingStep.WHIP));
        told(60, new MakingLine.Skipped(MakingStep.CHILL_AGAIN, Optional.empty(), "cold here"));
        begin("Pads are dipped and firm", plan("compress-pads", 8, false, false, Optional.empty()));
        told(10, new MakingLine.Did(MakingStep.DIP));
        told(45, new MakingLine.Did(MakingStep.FIRM));
        begin("A blend is only stirred", plan("massage-blend", 0, false, false, Optional.empty(), DROPS));
    }

    private void words() {
        kept.rule("Each line and step in words");
        kept.add(
                "%s / %s / %s",
                poured(0, filled(container(60, false), 2)).words(SAY),
                poured(12).words(SAY),
                poured(0.05, filled(container(60, false), 2), filled(container(40, true), 1))
                        .words(SAY));
        kept.add(
                "%s / %s",
                new MakingLine.Skipped(MakingStep.SET, Optional.empty(), "in a hurry").words(SAY),
                new MakingLine.TurnedOut(Felt.SOFT, List.of(), "soft in August").words(SAY));
        for (Touch touch : Touch.values()) {
            kept.add("%s, %s", new MakingLine.Read(touch.about(), Optional.of(touch)).words(SAY), touch.word());
        }
        for (Fault fault : Fault.values()) {
            kept.add("%s: %s", new MakingLine.TurnedOut(Felt.RIGHT, List.of(fault), "").words(SAY), fault.advice());
        }
        kept.add(
                "%s / %s", new MakingLine.Smelled(LOT, true).words(SAY), new MakingLine.Smelled(LOT, false).words(SAY));
        kept.add(
                "%s",
                MadeKeeping.of(
                                LocalDate.of(2026, 11, 24),
                                List.of(new MadeKeeping.Ends("oil", LocalDate.of(2027, 6, 1), Optional.empty())),
                                List.of())
                        .working()
                        .terms());
        for (MakingStep step : MakingStep.values()) {
            kept.add("%s: %s / %s / %s / %s", step, step.word(), step.done(), step.how(), step.waits());
        }
        for (Addition.When when : Addition.When.values()) {
            kept.add("%s: %s", when, when.word());
        }
    }

    private void doses() {
        kept.rule("When each thing of the catalogue goes in; how much of it is right");
        for (SupplyKind kind : Materia.shipped().supplies()) {
            if (kind.dermalMost().isEmpty() && !kind.key().startsWith("eo-")
                    || kind.key().equals("eo-lavender")) {
                kept.add("%s: %s", kind.key(), Addition.When.of(kind));
            }
        }
        for (String key : List.of("vitamin-e", "rosemary-extract", "mica", "alkanet", "annatto", "clay", "honey")) {
            for (double grams : new double[] {0.0199, 0.02, 0.0999, 0.1, 0.11, 0.5, 0.51, 1, 1.01}) {
                Optional<Dose> dose = Dose.of(
                        new Addition(key, key, Mass.ofGrams(grams), Optional.empty(), Addition.When.AT_POURING),
                        Mass.ofGrams(100));
                dose.ifPresent(one -> kept.add(
                        "%s %s g in 100: %s %%, %s to %s, right %s",
                        one.name(), grams, number(one.percent()), one.least(), one.most(), one.isRight()));
            }
        }
        Addition twice = DROPS.times(2.5);
        kept.add(
                "%s %s %s %s; %s %s %s",
                twice.key(),
                twice.mass().grams(),
                twice.drops(),
                twice.when(),
                twice.spoken(),
                Addition.spoken(""),
                E.spoken());
    }
}
