package app.velvetcrock.core.book;

import app.velvetcrock.core.book.Fact.Part;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.pan.Fault;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.core.pan.MakingPlan;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What there is to say of a making where it is laid beside another.
 *
 * @param lines those that hold, in order
 */
public record AsPoured(MakingPlan plan, List<MakingCourse.At> lines, Wording wording) {

    private static final double PERCENT = 100;

    public AsPoured {
        lines = List.copyOf(lines);
    }

    /** All of it, in the order it is read. */
    public List<Fact> facts() {
        MakingCourse course = MakingCourse.of(plan, lines);
        List<Fact> facts = new ArrayList<>();
        facts.add(Fact.of(Part.INPUT, "what it is", plan.made().word()));
        facts.add(Fact.of(Part.INPUT, "for", plan.use().word()));
        parts(facts, course);
        facts.add(Fact.of(
                Part.INPUT,
                "stirred in",
                course.stirred().stream()
                        .map(one -> "%s %s"
                                .formatted(
                                        wording.mass(one.addition().mass()),
                                        one.addition().name()))
                        .collect(Collectors.joining(", "))));
        facts.add(Fact.planned(
                Part.COURSE,
                "firmness",
                Decimals.upTo(plan.firmness(), 1),
                course.lastTest()
                        .map(test -> Decimals.upTo(test.firmness(), 1))
                        .orElse(Decimals.upTo(plan.firmness(), 1))));
        of(MakingLine.OffHeat.class)
                .forEach(line ->
                        facts.add(Fact.of(Part.COURSE, "off the heat at", wording.temperature(line.temperature()))));
        facts.add(Fact.of(
                Part.COURSE,
                "left out",
                of(MakingLine.Skipped.class).map(MakingLine.Skipped::why).collect(Collectors.joining("; "))));
        course.poured()
                .ifPresent(poured -> facts.add(Fact.of(
                        Part.OUTCOME,
                        "poured",
                        poured.filled().stream()
                                .map(one -> "%d × %s".formatted(one.count(), wording.mass(one.each())))
                                .collect(Collectors.joining(", ")))));
        outcomes(facts, course);
        facts.removeIf(fact -> fact.done().isEmpty() && fact.planned().isEmpty());
        return facts.stream()
                .collect(Collectors.toMap(Fact::name, fact -> fact, (first, then) -> then, LinkedHashMap::new))
                .values()
                .stream()
                .toList();
    }

    private void parts(List<Fact> facts, MakingCourse course) {
        Formula planned = plan.formula();
        Formula really = course.formula();
        Set<String> names = new LinkedHashSet<>();
        Stream.concat(planned.parts().stream(), really.parts().stream())
                .forEach(part -> names.add(part.stuff().name()));
        names.forEach(name -> facts.add(Fact.planned(Part.INPUT, name, amount(planned, name), amount(really, name))));
    }

    /** So much, and what share of all that is melted: batches of any size compare. */
    private String amount(Formula formula, String name) {
        Optional<Formula.Part> found = formula.parts().stream()
                .filter(part -> part.stuff().name().equals(name))
                .findFirst();
        return found.map(part -> "%s, %s %%"
                        .formatted(
                                wording.mass(part.mass()),
                                Decimals.upTo(
                                        PERCENT
                                                * part.mass().grams()
                                                / formula.total().grams(),
                                        0)))
                .orElse("none");
    }

    private void outcomes(List<Fact> facts, MakingCourse course) {
        of(MakingLine.TurnedOut.class).reduce((first, then) -> then).ifPresent(line -> {
            facts.add(Fact.of(Part.OUTCOME, "felt", line.felt().word()));
            facts.add(Fact.of(
                    Part.OUTCOME,
                    "gone wrong",
                    line.faults().isEmpty()
                            ? "nothing"
                            : line.faults().stream().map(Fault::word).collect(Collectors.joining(", "))));
            facts.add(Fact.of(Part.OUTCOME, "said of it", line.words()));
        });
        lines.stream()
                .filter(at -> at.line() instanceof MakingLine.Poured)
                .findFirst()
                .map(at -> ChronoUnit.DAYS.between(
                        wording.dayOf(at.at()), course.keeps().date()))
                .ifPresent(days -> facts.add(Fact.of(Part.OUTCOME, "keeps", AsMade.keeps(days))));
    }

    private <L extends MakingLine> Stream<L> of(Class<L> kind) {
        return lines.stream()
                .map(MakingCourse.At::line)
                .filter(kind::isInstance)
                .map(kind::cast);
    }
}
