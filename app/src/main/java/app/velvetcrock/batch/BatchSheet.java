package app.velvetcrock.batch;

import app.velvetcrock.condition.Subject;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.Levels;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.keeping.Aftermath;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.larder.Infused;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.Finish;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.core.rounds.Foresight;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.core.strain.YieldForecast;
import app.velvetcrock.draw.HeatPicture;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.draw.TimeScale;
import app.velvetcrock.readings.ProbedHeat;
import app.velvetcrock.stillroom.House;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.data.util.Lazy;

/**
 * A batch as other places and its own page see it.
 *
 * @param ahead what is still to come of it
 * @param strained what straining gave, when it was strained and that holds
 * @param source what its source of heat is known to do that it does not bear, as it is turned now
 * @param conditions what is wrong with it or with what came of it, and not answered yet
 */
public record BatchSheet(
        UUID id,
        int number,
        String name,
        Stand stand,
        FrozenPlan frozen,
        Course course,
        Log log,
        Optional<Line.Strained> strained,
        Lazy<Foresight> ahead,
        Lazy<List<Written>> written,
        Lazy<Optional<String>> source,
        List<Told> conditions) {

    public BatchSheet {
        conditions = List.copyOf(conditions);
    }

    /**
     * One line of the log as it is shown.
     *
     * @param by who wrote it
     * @param struck why it holds no longer: "taken back" or "corrected"; empty while it holds
     * @param canTakeBack true when it can still be taken back from here
     */
    public record Written(
            Entry entry,
            Instant recordedAt,
            String by,
            String words,
            String typed,
            String struck,
            boolean canTakeBack) {

        public boolean gone() {
            return !struck.isEmpty();
        }

        /** The line as it would be said now, where another may be put in its place. */
        public Optional<Line> correctable() {
            Line says = entry.line() instanceof Line.Corrected corrected ? corrected.now() : entry.line();
            return gone() || !May.canCorrect(says) ? Optional.empty() : Optional.of(says);
        }

        public UUID id() {
            return entry.id();
        }

        public Instant happenedAt() {
            return entry.happenedAt();
        }

        /** Tells whether it says no more than that another does not hold, which that other shows by itself. */
        public boolean isTakingBack() {
            return entry.line() instanceof Line.TakenBack;
        }

        /** As it was typed, where what was understood of it matters. */
        public Optional<String> typedFigure() {
            return entry.line() instanceof Line.Strained ? Optional.of(typed) : Optional.empty();
        }
    }

    public BatchPlan plan() {
        return frozen.plan();
    }

    /** Its open tasks, at most one of a kind; worked out when they are asked for. */
    public List<Task> open() {
        return ahead.get().open();
    }

    /** What is still to come of it, placed once; worked out when it is asked for. */
    public Foresight foresight() {
        return ahead.get();
    }

    /** When it is to be strained, as the rest of it is placed; by the plan alone where it does not stand. */
    public LocalDate strainOn(House house) {
        return foresight().straining().map(task -> house.dayOf(task.due())).orElse(course.strainOn());
    }

    /** When it is to be strained, as a page words it; absent where it does not stand. */
    public Optional<Coming> strains(Function<Instant, String> words) {
        return foresight().straining().map(task -> coming(task, words));
    }

    /** One of its tasks as a page words its moment. */
    public Coming coming(Task task, Function<Instant, String> words) {
        return Coming.of(id, task, words);
    }

    /** Where its picture ends: at the straining as it is placed; heat is drawn hour by hour, as if it went on without a break. */
    public Instant end(House house) {
        Instant planned = course.end(house.settings().zone());
        return course.heat().isPresent()
                ? planned
                : foresight().straining().map(Task::due).orElse(planned);
    }

    /** The lines of its log, worded when they are shown. */
    public List<Written> lines() {
        return written.get();
    }

    public Volume oilIn() {
        return course.charge().oil();
    }

    /** The forecast for what is really in the vessel; the frozen one while nothing differs from the plan. */
    public YieldForecast forecast() {
        Charge really = course.charge();
        YieldForecast forecast = really.equals(plan().charge())
                ? plan().yield()
                : YieldForecast.of(
                        really.herbs(),
                        really.oil(),
                        plan().request().circumstances().pressing(),
                        plan().request().ownRetentions());
        return log.isByHand() ? forecast.byHand(really.oil()) : forecast;
    }

    /** The vessel as it stands, drawn at a scale: with herb above the oil when the last look found it so. */
    public JarDrawing drawing(double scale) {
        Charge really = course.charge();
        Levels levels = course.standsOut()
                ? Levels.standingOut(really)
                : really.equals(plan().charge()) ? plan().found().levels() : Levels.of(really);
        return JarDrawing.of(really.vessel(), levels, JarDrawing.Look.of(plan(), course.progress()), scale);
    }

    /** What throwing it out taught; empty where it was not thrown out. */
    public String lesson() {
        return log.last(Line.Discarded.class)
                .map(d -> "%s: %s".formatted(d.ruin().word(), d.lesson()))
                .orElse("");
    }

    /** The last temperature read, for the crock; nothing where none was read. */
    public String degrees(House house) {
        return course.heat()
                .flatMap(HeatCourse::latest)
                .map(reading -> house.temperature(reading.temperature()))
                .orElse("");
    }

    /** The heat it has had, drawn so wide; absent where nothing is heated. */
    public Optional<HeatPicture> trace(Instant now, House house, double width) {
        return course.heat()
                .map(heat -> HeatPicture.of(
                        course.stage(), heat, scale(now, house, new TimeScale.Frame(0, width)), house.wording()));
    }

    /** From the charging to the planned end, or to now or the real end where that is later. */
    public TimeScale scale(Instant now, House house, TimeScale.Frame frame) {
        Instant planEnd = end(house);
        Stream<Instant> reached = course.state() == Course.State.STANDING ? Stream.of(now) : lastDone();
        return new TimeScale(
                course.chargedAt(),
                Stream.concat(Stream.of(planEnd), reached)
                        .max(Comparator.naturalOrder())
                        .orElseThrow(),
                frame);
    }

    /** What happened in the vessel; what came after straining would only draw it out. */
    private Stream<Instant> lastDone() {
        return log.entries().stream()
                .filter(entry -> course.heat().isPresent()
                        ? entry.line() instanceof Line.Heat || entry.line() instanceof Line.Tended
                        : entry.line() instanceof Line.Strained || entry.line() instanceof Line.Discarded)
                .map(Entry::happenedAt);
    }

    /** What is wrong with it as a whole, not with one of its bottles. */
    public Optional<Told> condition() {
        return conditions.stream()
                .filter(told -> told.isOfBatch(id))
                .min(Comparator.comparing(Told::kind))
                .map(told -> told.at(id, null));
    }

    /** The condition that holds a deed back; absent where nothing does. */
    public Optional<Told> holding(Held deed) {
        return conditions.stream()
                .filter(told -> told.isOfBatch(id) && told.holds(deed))
                .findFirst()
                .map(told -> told.at(id, null));
    }

    /** What to do about heat that is over its ceiling, or on its way there; absent while it is well. */
    public Optional<String> heatAlarm(House house) {
        return course.heat().flatMap(heat -> heat.danger(course.now(), house.wording(), source::get));
    }

    /** What heats it, as far as the kit tells: what was said to, or else the vessel it stands in. */
    public UUID heatedBy() {
        return log.source().orElse(stand.id());
    }

    /** As what probes read of it asks for it. */
    public ProbedHeat.Of probed() {
        return new ProbedHeat.Of(id, plan(), log);
    }

    /** What a condition of the whole batch is of. */
    public Subject subject() {
        return new Subject(id, null, called());
    }

    /** How it really came to its end: what it was topped up from, how hot it got. */
    public Finish finish(LocalDate strainedOn) {
        return new Finish(
                strainedOn,
                plan().request().circumstances().storage(),
                new Aftermath(false, course.isScorched(), false, Antioxidant.NONE),
                course.peak(),
                log.all(Line.ToppedUp.class).stream().map(Line.ToppedUp::bottle).toList());
    }

    /** Till when it keeps: as it was strained, or as the rest of it is placed now. */
    public LocalDate keepUntil(House house) {
        return strained.map(gave -> gave.keepUntil().date())
                .orElseGet(() -> Planner.keepUntil(plan().request(), finish(strainOn(house)))
                        .date());
    }

    /** What of it matters to what is made of its oil. */
    public Infused infused() {
        return new Infused(
                id,
                plan().request(),
                // Spirit that nobody has said to be gone is taken to be in the oil still.
                plan().moistening().isPresent()
                        && log.done(TaskKey.spiritGone()).isEmpty(),
                course.strainedOn().map(this::finish),
                hadWater(),
                log.isByHand());
    }

    /** Tells whether water lay under the oil, at straining or after settling. */
    public boolean hadWater() {
        return strained.filter(gave -> gave.seen().water().millilitres() > 0).isPresent()
                || log.all(Line.Settled.class).stream()
                        .anyMatch(settled -> settled.water().millilitres() > 0);
    }

    /** What a straining that gives so much shows the herb to keep, mL per g. */
    public double kept(Volume out) {
        return Retention.measured(oilIn(), out, course.charge().herbs().mass());
    }

    /** What it is called where it is one of several: "Yarrow, jar 3". */
    public String called() {
        return "%s, jar %d".formatted(name, number);
    }

    /** The word the vessel's tag carries. */
    public String tagWord() {
        Optional<String> wrong =
                condition().map(Told::tag).or(() -> course.heat().flatMap(HeatCourse::dangerWord));
        if (wrong.isPresent()) {
            return wrong.get();
        }
        if (course.standsOut()) {
            return "standing out";
        }
        if (course.overdueDays() > 0 && course.next().isEmpty()) {
            return "strain: %d d over".formatted(course.overdueDays());
        }
        if (course.isDue()) {
            return course.next().isPresent()
                    ? "next stage now"
                    : course.heat().isEmpty() ? "strain today" : isCooling() ? "cooling" : "strain now";
        }
        return course.heat().map(HeatCourse::hoursWord).orElseGet(course::standWord);
    }

    /** Tells whether it has had its heat and stands to cool before it is strained. */
    public boolean isCooling() {
        return course.isDue()
                && course.heat().filter(heat -> !heat.on()).isPresent()
                && foresight()
                        .straining()
                        .filter(task -> task.due().isAfter(course.now()))
                        .isPresent();
    }

    /** Tells whether the tag should stand out: something is wrong, or it is time. */
    public boolean isPressing() {
        return condition().isPresent()
                || course.standsOut()
                || course.isDue()
                || course.heat().flatMap(HeatCourse::alarm).isPresent()
                || course.heat().flatMap(HeatCourse::unseen).isPresent()
                || course.heat().flatMap(heat -> heat.probe().word()).isPresent();
    }
}
