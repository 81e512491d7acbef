package app.velvetcrock.bench;

import app.velvetcrock.core.charge.Bath;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.draw.BenchPicture;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.kit.OfJar;
import app.velvetcrock.web.Fields;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The Bench as it stands: what was typed, what was understood, and the plan when all of it was clear.
 *
 * @param way the way as chosen, without the numbers typed for it
 */
public record BenchWork(
        BenchForm form, Fields fields, BenchStock.Shelves shelves, Method way, Optional<Planned> planned) {

    private static final double PICTURE_WIDTH = 260;
    private static final double PICTURE_HEIGHT = 390;

    /** The fields of the sentence, in their order, that have something said about them. */
    private static final List<String> SENTENCE = List.of(
            "amount", "herb", "cut", "oil", "carrier", "jar", "length", "start", "use", "pressing", "storage", "total");

    private static final List<String> ASIDE =
            List.of("mix.first", "want.amount", "want.container", "want.firmness", "want.kind");

    /** The blanks that something is said beside; what is said of days and of numbers stands with these. */
    public List<String> besides() {
        Stream<String> herbs = IntStream.range(0, form.rows().size())
                .boxed()
                .flatMap(i -> Stream.of("more[%d].amount".formatted(i), "more[%d].herb".formatted(i)));
        Stream<String> oils = IntStream.range(
                        0, Objects.requireNonNull(form.mix()).rows().size())
                .boxed()
                .flatMap(i -> Stream.of("mix.more[%d].share".formatted(i), "mix.more[%d].carrier".formatted(i)));
        return Stream.of(SENTENCE.stream(), herbs, oils, ASIDE.stream())
                .flatMap(names -> names)
                .filter(fields::isNoted)
                .toList();
    }

    /** Tells whether what is planned is food of anything moist, whose place is the refrigerator. */
    public boolean isMoistFood() {
        return planned.filter(p -> p.plan().isMoistFood()).isPresent();
    }

    /** Why another way stands here than the one that was asked for; absent where none does. */
    public Optional<String> movedOn() {
        return Optional.ofNullable(fields.echoOf("method"));
    }

    /** Tells whether any of its herbs is fresh, and so does not like to wait. */
    public boolean isFresh() {
        return planned.filter(p -> !p.plan().request().wettest().isDried()
                        && p.plan().request().wettest() != Moisture.WILTED)
                .isPresent();
    }

    /**
     * How long its second stage takes: as planned, else as typed; null of a way that has none.
     */
    public NumbersSentence.@Nullable Blank then() {
        if (way.stages().size() < 2) {
            return null;
        }
        Stage second = way.stages().get(1);
        String words = planned.map(p -> second.pace()
                        .words(p.plan().request().circumstances().lengths().get(1)))
                .orElse(form.then() == null ? "" : form.then());
        return new NumbersSentence.Blank("then " + second.name(), "then", words, "");
    }

    /** Tells whether its way moistens the herb with a spirit, and one is there to choose. */
    public boolean takesSpirit() {
        return way.base().is(Method.SPIRIT_FIRST) && !shelves.spirits().isEmpty();
    }

    /** What was really weighed and poured, and when. */
    public record Weighed(Mass herb, Volume oil, Instant at) {}

    /** What goes into one vessel: its plan, the vessel, and what was really weighed. */
    public record Part(FrozenPlan frozen, OfJar jar, Weighed weighed) {

        public BatchPlan plan() {
            return frozen.plan();
        }

        /** The deed that charges its vessel. */
        Deed.Start start() {
            return new Deed.Start(frozen, jar.id(), jar.kit(), weighed.herb(), weighed.oil());
        }

        /** The same with some of its steps held back. */
        Part holding(Map<String, Instant> holds) {
            return new Part(frozen.holding(holds), jar, weighed);
        }

        /** The same strained on another day, as its steps are placed. */
        Part strainedOn(LocalDate day) {
            return new Part(frozen.revised(frozen.plan().strainedOn(day), frozen.holds()), jar, weighed);
        }
    }

    /**
     * A plan, in one vessel or divided over several, and all ways there are.
     *
     * @param bath the pan its jar can stand in, of a way with a water bath
     * @param late ways that cannot be made by the day it is needed, by their key, with by how much
     * @param timing the plan in time; absent where only the charge was asked
     * @param lacksBath true where it wants a water bath and no pot listed is large enough
     * @param wanted what it was worked back from; absent where herb and oil are said
     */
    public record Planned(
            List<Part> parts,
            List<Choice> ways,
            Optional<Bath> bath,
            Map<String, String> late,
            Optional<BenchTime.Timing> timing,
            Optional<WantSentence.Read> wanted,
            boolean lacksBath) {

        Planned outOf(Optional<WantSentence.Read> want) {
            return new Planned(parts, ways, bath, late, timing, want, lacksBath);
        }

        /** The first of its vessels; all stand alike. */
        public Part first() {
            return parts.get(0);
        }

        public BatchPlan plan() {
            return first().plan();
        }

        public OfJar jar() {
            return first().jar();
        }

        public boolean isSplit() {
            return parts.size() > 1;
        }

        public Mass herbInAll() {
            return parts.stream()
                    .map(part -> part.plan().charge().herbs().mass())
                    .reduce(Mass.ZERO, Mass::plus);
        }

        public Volume oilInAll() {
            return parts.stream().map(part -> part.plan().charge().oil()).reduce(Volume.ZERO, Volume::plus);
        }

        public Volume backInAll() {
            return parts.stream().map(part -> part.plan().yield().expected()).reduce(Volume.ZERO, Volume::plus);
        }

        public BenchPicture picture() {
            double scale = JarDrawing.scaleToFit(jar().vessel(), PICTURE_WIDTH, PICTURE_HEIGHT);
            JarDrawing drawing =
                    JarDrawing.of(jar().vessel(), plan().found().levels(), JarDrawing.Look.of(plan(), 1), scale);
            return BenchPicture.of(drawing, plan().charge(), PICTURE_WIDTH);
        }
    }

    /** Tells whether this can be started just so. */
    public boolean canStart() {
        return fields.isClear()
                && planned.filter(p ->
                                p.parts().stream().allMatch(part -> part.plan().canStart()))
                        .isPresent();
    }
}
