package app.velvetcrock.hob;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Correction;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.OwnRight;
import app.velvetcrock.core.making.Pouring;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.KeptBack;
import app.velvetcrock.core.pan.MadeKeeping;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.core.pan.MakingStep;
import app.velvetcrock.core.rounds.AtThePan;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.draw.PanPicture;
import app.velvetcrock.pan.PanPage;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A making's page, worded before it is drawn.
 *
 * @param now the step to do, as its key; "done" when all is
 * @param head what to do now
 * @param how what to watch at it
 * @param timing when it is due, or too late; empty where that is not known
 * @param late true where it is too late already
 * @param fix what would bring it to the firmness wanted; null where it is there, or is poured
 * @param degrees how warm it should be now; empty while it is on the heat
 * @param sound what is heard where that was allowed; another value sounds again
 * @param rings when the next step may be done, in milliseconds; nought where that is not known
 * @param beware what is warned of for whom it is made, at every step till all is done
 * @param left what stayed in the pan; empty where nothing did
 */
record MakingPage(
        String title,
        String lead,
        String now,
        String head,
        String how,
        String timing,
        boolean late,
        String twice,
        String sound,
        long rings,
        @Nullable String addition,
        boolean fixing,
        @Nullable Fix fix,
        String degrees,
        boolean cooling,
        PanPicture.Melt melt,
        List<PanPage.Part> parts,
        String within,
        PanPicture.Scale scale,
        String firm,
        PanPicture.@Nullable Cool cool,
        List<StepRow> steps,
        String count,
        String left,
        String keeps,
        @Nullable String over,
        List<String> beware,
        List<MakingCourse.Remedy> remedies,
        List<Again> again,
        List<LogRow> log) {

    /** So long before it is too late a sound says so. */
    /** [E] Nearer than this it is what was wanted (craft: making, wanted firmness). */
    private static final double NEAR = 1;

    private static final Duration WARNED = Duration.ofMinutes(2);

    /** What was poured and can be melted again, and where. */
    record Again(String what, UUID lot) {}

    /** What to add, in words and as it is typed; {@code unreachable} says why nothing can. */
    record Fix(String words, String of, String amount) {}

    /** A step in the list: from when, where that is known and still to come, and till when. */
    record StepRow(String mark, String words, String small, @Nullable Coming from, String till) {}

    /** A line of the log; {@code undo} null where it cannot be taken back. */
    record LogRow(UUID id, String when, String words, String typed, String mark, boolean undo) {}

    /** What was really made, judged: why it may be neither given away nor sold, and how long it keeps. */
    record Judged(Optional<String> over, MadeKeeping.Limit keeps) {}

    static MakingPage of(Makings.Sheet sheet, Judged judged, double target, Instant now, House house) {
        MakingCourse course = sheet.course();
        MakingPlan plan = sheet.plan();
        Optional<MakingCourse.Step> next = course.next();
        Formula formula = course.formula();
        PanPicture.Melt melt = PanPicture.Melt.of(formula);
        double firmness = formula.firmness().value();
        return new MakingPage(
                "%s, batch %d".formatted(sheet.name(), sheet.number()),
                "%s, %s"
                        .formatted(
                                course.poured().isPresent()
                                        ? "poured"
                                        : house.mass(course.toPour(sheet.holding())) + " in the pan",
                                plan.use() == null ? "" : "for " + plan.use().word()),
                next.map(step -> step.step().name()).orElse("DONE"),
                next.map(step -> head(step, course, house)).orElse("All is done"),
                next.map(step -> step.addition()
                                .map(addition -> house.degrees(addition.when().word()) + ".")
                                .orElse(course.how(step.step())))
                        .orElse("How it turned out is worth a word: after a day, a month, in summer."),
                next.map(step -> timing(step, course, now, house)).orElse(""),
                next.filter(step -> step.isLate(now)).isPresent(),
                course.spoiltTwice().isEmpty()
                        ? ""
                        : "Heat that spoils it comes to it a second time: %s."
                                .formatted(String.join(", ", course.spoiltTwice())),
                next.flatMap(MakingCourse.Step::until)
                        .filter(until -> now.isAfter(until.minus(WARNED)))
                        .map(until -> "late " + until)
                        .orElse(""),
                next.flatMap(MakingCourse.Step::from).map(Instant::toEpochMilli).orElse(0L),
                next.filter(step -> step.addition().isPresent())
                        .map(step -> String.valueOf(course.steps().stream()
                                .filter(one -> one.addition().isPresent())
                                .toList()
                                .indexOf(step)))
                        .orElse(null),
                course.poured().isEmpty() && firmness > 0,
                course.poured().isPresent() ? null : fix(sheet, target, house),
                course.poured().isPresent()
                        ? ""
                        : course.at(now)
                                .map(at -> "about " + house.temperature(PanPage.rounded(at)))
                                .orElse(""),
                course.off().isPresent() && course.poured().isEmpty(),
                melt,
                melt.strata().stream()
                        .map(stratum -> {
                            Formula.Part part = formula.parts().get(stratum.at());
                            return new PanPage.Part(
                                    "%s, %s".formatted(house.mass(part.mass()), house.percent(formula.shareOf(part))),
                                    part.stuff().name(),
                                    stratum.labelY());
                        })
                        .toList(),
                course.poured().isPresent() ? "What went into it" : "What is in the pan",
                PanPicture.Scale.of(firmness, marks(course, firmness, target), Optional.empty()),
                "Firmness %s, %s"
                        .formatted(
                                Decimals.upTo(firmness, 1),
                                formula.firmness().band().word()),
                course.poured().isPresent()
                        ? null
                        : course.cooling()
                                .map(cooling -> PanPicture.Cool.of(
                                        cooling,
                                        course.pouring(),
                                        course.off()
                                                .map(off -> Duration.between(off, now))
                                                .filter(past -> !past.isNegative())))
                                .orElse(null),
                course.steps().stream().map(step -> row(step, sheet, house)).toList(),
                plan.into().map(into -> String.valueOf(into.count())).orElse(""),
                course.poured()
                        .map(MakingLine.Poured::left)
                        .filter(mass -> mass.grams() >= 1)
                        .map(house::mass)
                        .orElse(""),
                "till %s, %s"
                        .formatted(
                                house.date(judged.keeps().date()),
                                judged.keeps().why()),
                judged.over().map(KeptBack::said).orElse(null),
                next.isPresent() ? plan.cautions() : List.of(),
                MakingCourse.remedies(sheet.holding()),
                course.poured().stream()
                        .flatMap(poured -> poured.filled().stream())
                        .map(one -> new Again(
                                "%d × %s".formatted(one.count(), one.container().name()), one.lot()))
                        .toList(),
                log(sheet, house));
    }

    private static List<PanPicture.Mark> marks(MakingCourse course, double firmness, double target) {
        List<PanPicture.Mark> marks = new ArrayList<>();
        marks.add(new PanPicture.Mark(firmness, Decimals.upTo(firmness, 1) + " this melt", true));
        if (Math.abs(target - firmness) > 0.3) {
            marks.add(new PanPicture.Mark(target, Decimals.upTo(target, 1) + " wanted", false));
        }
        for (OwnRight.Test test : course.tests()) {
            if (Math.abs(test.firmness() - firmness) > 0.05) {
                marks.add(new PanPicture.Mark(
                        test.firmness(),
                        "%s felt %s"
                                .formatted(
                                        Decimals.upTo(test.firmness(), 1),
                                        test.felt().word()),
                        false));
            }
        }
        return marks;
    }

    private static String head(MakingCourse.Step step, MakingCourse course, House house) {
        return step.addition()
                .map(addition -> "Stir in %s of %s".formatted(amount(addition, house), addition.spoken()))
                .orElseGet(() -> upper(course.word(step.step())));
    }

    static String amount(app.velvetcrock.core.pan.Addition addition, House house) {
        return addition.drops()
                .map(count -> Decimals.upTo(count, 0) + " drops, " + house.mass(addition.mass()))
                .orElseGet(() -> house.mass(addition.mass()));
    }

    private static String upper(String words) {
        return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    private static String timing(MakingCourse.Step step, MakingCourse course, Instant now, House house) {
        if (step.isLate(now)) {
            return "! It should have set in the pan since %s: warm it again before you pour."
                    .formatted(house.time(step.until().orElseThrow()));
        }
        if (step.from().filter(now::isBefore).isPresent()) {
            Instant from = step.from().orElseThrow();
            return "from %s, in %s minutes".formatted(house.time(from), PanPage.minutes(Duration.between(now, from)))
                    + step.until().map(until -> ", till " + house.time(until)).orElse("");
        }
        if (step.until().isPresent()) {
            return "now, till %s: %s minutes"
                    .formatted(
                            house.time(step.until().get()),
                            PanPage.minutes(Duration.between(now, step.until().get())));
        }
        boolean byEye = (step.step() == MakingStep.POUR || step.step() == MakingStep.STIR_IN)
                && course.off().isPresent()
                && course.pouring().isEmpty()
                && course.formula().firmness().value() >= 6;
        return byEye
                ? "Where it sets is not known: at the first haze at the rim."
                : step.from().isPresent() ? "now" : "";
    }

    private static StepRow row(MakingCourse.Step step, Makings.Sheet sheet, House house) {
        return new StepRow(
                step.state().name().toLowerCase(Locale.ROOT),
                head(step, sheet.course(), house),
                step.state() == MakingCourse.Step.State.SKIPPED ? "left out" : "",
                AtThePan.task(sheet.course(), step)
                        .map(task -> Coming.toTheMinute(sheet.id(), task, house::time))
                        .orElse(null),
                step.until()
                        .filter(until -> step.isOpen())
                        .map(until -> " till " + house.time(until))
                        .orElse(""));
    }

    private static @Nullable Fix fix(Makings.Sheet sheet, double target, House house) {
        MakingCourse course = sheet.course();
        if (course.formula().firmness().value() == 0) {
            return null;
        }
        // Within one of what is wanted nothing is proposed the other way.
        double over = course.formula().firmness().value() - target;
        if (over > 0 && over <= NEAR) {
            return null;
        }
        Optional<Correction> add = Correction.of(course.formula(), target);
        return add.map(one -> new Fix(
                        "%s of %s brings it from firmness %s to firmness %s."
                                .formatted(
                                        house.mass(one.add().mass()),
                                        one.add().stuff().name().toLowerCase(Locale.ROOT),
                                        Decimals.upTo(
                                                course.formula().firmness().value(), 1),
                                        Decimals.upTo(one.then().value(), 1)),
                        one.add().stuff().key(),
                        Decimals.upTo(one.add().mass().grams(), 1) + " g"))
                .orElse(null);
    }

    private static List<LogRow> log(Makings.Sheet sheet, House house) {
        List<LogRow> rows = new ArrayList<>();
        for (Makings.Written line : sheet.lines()) {
            boolean begun = line.line() instanceof Line.Panned done && done.step() instanceof MakingLine.Begun;
            if (line.line() instanceof Line.Panned || line.line() instanceof Line.Newer) {
                rows.add(new LogRow(
                        line.id(),
                        house.moment(line.at()) + ", " + line.by(),
                        line.words() + (begun ? warned(sheet.plan()) : ""),
                        line.typed().equals(line.words()) ? "" : line.typed(),
                        line.gone() ? "gone" : "",
                        !line.gone()));
            }
        }
        Collections.reverse(rows);
        return rows;
    }

    /** What was weighed in although it is warned of. */
    private static String warned(MakingPlan plan) {
        return plan.cautions().isEmpty() ? "" : ". Warned of: " + String.join("; ", plan.cautions());
    }

    /** What to aim at: what was asked for. A spoon that says it is right ends it; one that says too soft asks for more, none for less. */
    static double target(MakingCourse course, double planned) {
        return course.lastTest()
                .map(test -> test.felt() == Felt.RIGHT
                        ? course.formula().firmness().value()
                        : Math.max(planned, test.felt().rightAt(test.firmness())))
                .orElse(planned);
    }

    /** Where it may cool. */
    static List<Fields.Option> wheres(House house) {
        return Stream.of(Cooling.Where.values())
                .map(where -> new Fields.Option(where.name(), house.degrees(where.word())))
                .toList();
    }

    /** Where the window for a temperature lies, for the reading's hint. */
    static String hint(Optional<Pouring> pouring, House house) {
        return pouring.map(at -> house.temperature(PanPage.rounded(at.drops())))
                .orElse(house.temperature(Temperature.ofCelsius(60)));
    }

    static Mass each(MakingPlan.Into into, Makings.Sheet sheet) {
        double shrinkage =
                app.velvetcrock.core.making.Filling.shrinkage(sheet.course().formula());
        return app.velvetcrock.core.making.Filling.wanted(
                1, into.container(), shrinkage, sheet.plan().made().whipped());
    }
}
