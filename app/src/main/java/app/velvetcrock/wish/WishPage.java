package app.velvetcrock.wish;

import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.bench.Timing;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Level;
import app.velvetcrock.core.making.Filling;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.timetable.Placed;
import app.velvetcrock.core.timetable.Step;
import app.velvetcrock.core.wish.WishAnswer;
import app.velvetcrock.core.working.Working;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The answer to a wish, worded before it is drawn.
 *
 * @param jar the first vessel, drawn, and {@code label} the same for those who do not see it
 * @param covers what goes into it, and {@code vessel} what it is
 * @param verdict whether it is in time, and {@code mark} how that stands out
 * @param why by which way, and for how long
 * @param warming why the hours of heat are longer than they were said; empty where they are not
 * @param made what comes of it, and {@code madeOf} what goes into that
 */
public record WishPage(
        JarDrawing jar,
        String label,
        String covers,
        String vessel,
        String verdict,
        String mark,
        String why,
        List<Row> steps,
        String warming,
        String made,
        String madeOf,
        @Nullable Working working,
        String keeps,
        String limitedBy,
        Working keeping,
        List<Caution> cautions,
        List<Caution> notes,
        List<WishAnswer.Against> against,
        List<String> toBuy,
        List<Other> others,
        boolean canBegin) {

    private static final double JAR_WIDTH = 220;
    private static final double JAR_HEIGHT = 320;
    private static final double PERCENT_OF_A_GRAM = 1;

    /** A step: when, and what is done. */
    public record Row(String when, String what) {}

    /** Another way to it, and the address it stands under. */
    public record Other(String name, String differs, String href) {}

    /** Words an answer; {@code place} is where the sentence stands. */
    public static WishPage of(WishAnswer answer, WishForm form, String place, House house) {
        Planned bench = answer.bench();
        Method way = answer.way();
        return new WishPage(
                JarDrawing.of(
                        bench.jar().vessel(),
                        bench.plan().found().levels(),
                        JarDrawing.Look.of(bench.plan(), 1),
                        JarDrawing.scaleToFit(bench.jar().vessel(), JAR_WIDTH, JAR_HEIGHT)),
                "%s of oil over %s of herb".formatted(house.volume(bench.oilInAll()), house.mass(bench.herbInAll())),
                "%s of oil over %s".formatted(house.volume(bench.oilInAll()), house.mass(bench.herbInAll())),
                vessels(bench, house),
                verdict(answer, house),
                answer.late().isPresent() || !answer.canBegin() ? "bad-word" : "good-word",
                why(answer, way, house),
                // What cannot be begun has no days laid out before it.
                bench.timing()
                        .filter(timing -> answer.canBegin())
                        .flatMap(Timing::timetable)
                        .map(timetable -> timetable.placed().stream()
                                .map(placed -> row(placed, house))
                                .toList())
                        .orElse(List.of()),
                answer.canBegin() ? warming(bench) : "",
                made(answer, house),
                answer.pan().map(mix -> madeOf(mix, house)).orElseGet(() -> back(bench, house)),
                answer.pan()
                        .map(mix -> mix.read().melt().working())
                        .orElse(bench.plan().yield().working()),
                "till " + house.date(answer.keeps()),
                answer.limitedBy(),
                answer.pan()
                        .map(mix -> mix.keeping().working())
                        .orElse(bench.plan().keepUntil().working()),
                answer.cautions().stream()
                        .filter(WishPage::isAloud)
                        // What is refused is said once, with what stands against it.
                        .filter(one -> one.level() != Level.REFUSE)
                        .toList(),
                answer.cautions().stream().filter(one -> !isAloud(one)).toList(),
                answer.against().stream()
                        .map(one -> new WishAnswer.Against(house.degrees(one.fact()), house.degrees(one.change())))
                        .toList(),
                answer.toBuy(),
                answer.others().stream()
                        .map(other -> new Other(
                                other.name(),
                                other.differs(),
                                form.with(other.field(), other.value()).address(place)))
                        .toList(),
                answer.canBegin());
    }

    private static boolean isAloud(Caution caution) {
        return caution.onLabel() || caution.level() != Level.NOTE;
    }

    private static String vessels(Planned bench, House house) {
        String holds = house.volume(bench.jar().vessel().capacity());
        String name = bench.jar().vessel().name();
        return bench.isSplit()
                ? "divided over %d jars".formatted(bench.parts().size())
                : name.equals("a jar") || name.equals("a pot") ? "in %s of %s".formatted(name, holds) : "in " + name;
    }

    private static String verdict(WishAnswer answer, House house) {
        if (!answer.canBegin()) {
            return "Not like this";
        }
        Optional<String> ready =
                answer.bench().timing().flatMap(Timing::timetable).map(timetable -> house.dayAndTime(timetable.end()));
        return answer.late().map(late -> "Too late: " + late).orElseGet(() -> ready.map(at -> "Ready " + at)
                .orElse("Nobody is at home long enough"));
    }

    private static String why(WishAnswer answer, Method way, House house) {
        List<Integer> lengths = answer.plan().request().circumstances().lengths();
        List<String> stages = new ArrayList<>();
        for (int i = 0; i < way.stages().size(); i++) {
            Stage stage = way.stages().get(i);
            stages.add(stage.pace().words(lengths.get(i))
                    + (stage.isHeated()
                            ? " at %s"
                                    .formatted(house.temperatures(
                                            stage.band().low(), stage.band().high()))
                            : ""));
        }
        return "%s: %s".formatted(way.name(), String.join(", then ", stages));
    }

    private static Row row(Placed placed, House house) {
        return new Row(
                placed.spans().stream().map(house::stretch).collect(Collectors.joining("; ")),
                placed.step().name());
    }

    private static String warming(Planned bench) {
        return bench.timing()
                .flatMap(timing -> timing.timetable().flatMap(timetable -> timetable.placed().stream()
                        .filter(placed -> placed.step() instanceof Step.Heat)
                        .findFirst()
                        .map(placed -> "%d minutes of %s warm it up"
                                .formatted(
                                        timing.home().warmUp().toMinutes(),
                                        placed.spans().size() > 1 ? "each" : "that"))))
                .orElse("");
    }

    private static String made(WishAnswer answer, House house) {
        if (answer.pan().isEmpty()) {
            return "%s of oil".formatted(house.about(answer.bench().backInAll()));
        }
        MixPlan mix = answer.pan().get();
        String filled = mix.filling().stream()
                .flatMap(filling -> filling.pours().stream())
                .filter(pour -> pour.count() > 0)
                .map(pour -> "%d × %s".formatted(pour.count(), pour.container().name()))
                .collect(Collectors.joining(", "));
        return !filled.isEmpty()
                ? filled
                : makes(mix).isPresent()
                        ? "%s of %s"
                                .formatted(
                                        house.about(volume(mix)),
                                        mix.read().kind().name())
                        : "%s of %s"
                                .formatted(
                                        house.about(mix.whole()),
                                        mix.read().kind().name());
    }

    /** What is told by volume, and by what it is enough for. */
    private static Optional<String> makes(MixPlan mix) {
        return mix.read().kind().makes(volume(mix));
    }

    private static Volume volume(MixPlan mix) {
        return mix.read().oil().density().volumeOf(mix.whole());
    }

    private static String madeOf(MixPlan mix, House house) {
        String parts = mix.read().melt().formula().parts().stream()
                .map(part -> "%s of %s"
                        .formatted(
                                house.mass(part.mass()),
                                part.stuff().role() == Formula.Role.OIL
                                        ? "your oil"
                                        : part.stuff().name().toLowerCase(Locale.ROOT)))
                .collect(Collectors.joining(", "));
        if (makes(mix).isPresent()) {
            return parts + ": " + makes(mix).get();
        }
        Mass left = mix.filling().map(Filling::left).orElse(Mass.ZERO);
        return left.grams() > PERCENT_OF_A_GRAM ? parts + "; %s is left over".formatted(house.about(left)) : parts;
    }

    private static String back(Planned bench, House house) {
        return "of the %s poured: the herb keeps the rest".formatted(house.volume(bench.oilInAll()));
    }
}
