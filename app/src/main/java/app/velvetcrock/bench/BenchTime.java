package app.velvetcrock.bench;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Source;
import app.velvetcrock.core.planning.InTime;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.timetable.Booking;
import app.velvetcrock.core.timetable.Clashes;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Scheduler;
import app.velvetcrock.core.timetable.Step;
import app.velvetcrock.core.timetable.Timetable;
import app.velvetcrock.core.timetable.WetHerb;
import app.velvetcrock.hours.Hours;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.kit.Warming;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Gives a plan its days: in the hours somebody is home, by the day it is needed, beside what stands already. */
@Component
class BenchTime {

    private final Hours hours;
    private final Batches batches;
    private final KitShelf kit;
    private final Warming warming;
    private final Clock clock;

    BenchTime(Hours hours, Batches batches, KitShelf kit, Warming warming, Clock clock) {
        this.hours = hours;
        this.batches = batches;
        this.kit = kit;
        this.warming = warming;
        this.clock = clock;
    }

    /**
     * The day something is needed, and when its making can begin.
     *
     * @param home the hours at home, heat warming up as what heats the chosen way does
     * @param byWay the same of any other way
     * @param then what comes after straining
     */
    record Asked(
            HomeHours home,
            Function<Method, HomeHours> byWay,
            Instant from,
            Optional<Instant> need,
            Map<String, Instant> holds,
            List<Step> then) {

        /** The steps of a plan, and of what is made of its oil. */
        List<Step> steps(PlanRequest request, HomeHours at) {
            return Stream.concat(PlanSteps.of(request, at).stream(), then.stream())
                    .toList();
        }
    }

    /**
     * A plan in time.
     *
     * @param timetable with its steps held back as typed; empty where nobody is ever home long enough
     * @param inTime whether it can be made by the day it is needed; empty where none is said
     * @param wet how long wet herb would be tepid; empty where it is not cut into sessions
     * @param firstFree a start at which nothing clashes; empty where nothing clashes now, or none is found
     */
    public record Timing(
            List<Step> steps,
            HomeHours home,
            Instant now,
            Optional<Timetable> timetable,
            Optional<Instant> need,
            Optional<InTime> inTime,
            Optional<WetHerb> wet,
            List<Clashes.Clash> clashes,
            Optional<Instant> firstFree) {

        /** Tells whether it could be made in time, and as its steps are held back is not. */
        public boolean isHeldTooLong() {
            return inTime.filter(InTime::isFeasible).isPresent()
                    && need.flatMap(at ->
                                    timetable.filter(placed -> placed.end().isAfter(at)))
                            .isPresent();
        }

        /** The heat a session of wet herb should get on each of the few days it may take. */
        public long hoursEach() {
            return steps.stream()
                    .filter(Step.Heat.class::isInstance)
                    .map(step -> (long) Math.ceil(WetHerb.hoursEach(((Step.Heat) step).heat(), home.warmUp())
                                    .toMinutes()
                            / 60.0))
                    .findFirst()
                    .orElse(0L);
        }
    }

    /** Reads when it is needed; what is not clear stands beside its field. */
    Asked read(BenchForm form, BenchWork.Part part, Fields fields, House house) {
        SentencePart.Time time = form.time() == null ? SentencePart.Time.NONE : form.time();
        PlanRequest request = part.plan().request();
        HomeHours any = hours.home();
        Function<Method, HomeHours> byWay =
                way -> warming.of(any, way, part.jar().id(), part.plan().charge());
        HomeHours home = byWay.apply(request.circumstances().method());
        LocalDate today = house.dayOf(clock.instant());
        Optional<Instant> need = need(time, fields, house, today);
        Map<String, Instant> holds = new HashMap<>();
        List<Step> then = WantSentence.isMade(form) ? PlanSteps.making() : List.of();
        List<Step> steps = Stream.concat(PlanSteps.of(request, home).stream(), then.stream())
                .toList();
        for (int i = 0; i < steps.size(); i++) {
            String key = steps.get(i).key();
            fields.moment("time.hold[%d]".formatted(i), time.held(i), house.future(clock.instant()))
                    .ifPresent(at ->
                            holds.put(key, at.atZone(house.settings().zone()).toInstant()));
        }
        return new Asked(home, byWay, part.weighed().at(), need, holds, then);
    }

    private static Optional<Instant> need(SentencePart.Time time, Fields fields, House house, LocalDate today) {
        if (BenchForm.isBlank(time.by())) {
            return Optional.empty();
        }
        if (fields.isTooLong("time.by", time.by(), Fields.LONGEST_AMOUNT)
                || fields.isTooLong("time.at", time.at(), Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        Optional<LocalDate> day =
                WhenReader.ofTheFuture(today.atStartOfDay()).day(Objects.requireNonNullElse(time.by(), ""));
        if (day.isEmpty()) {
            fields.trouble(
                    "time.by",
                    "“%s”: that is no day known here."
                            .formatted(Objects.requireNonNullElse(time.by(), "").strip()),
                    "Saturday week, in 5 weeks, or 12 Dec");
            return Optional.empty();
        }
        try {
            LocalTime at = BenchForm.isBlank(time.at())
                    ? Pace.MORNING
                    : LocalTime.parse(Objects.requireNonNull(time.at()).strip());
            Instant need = day.get().atTime(at).atZone(house.settings().zone()).toInstant();
            fields.echo("time.by", "needed by %s, %s".formatted(house.day(day.get()), house.time(need)));
            return Optional.of(need);
        } catch (DateTimeParseException notATime) {
            fields.trouble(
                    "time.at",
                    "“%s”: that is no time of the clock."
                            .formatted(Objects.requireNonNull(time.at()).strip()),
                    "08:00");
            return Optional.empty();
        }
    }

    /** The whole timing of a plan. */
    /** The steps of a plan in their places, without looking at what clashes. */
    Optional<Timetable> placed(Asked asked, PlanRequest request) {
        return Scheduler.sound(asked.steps(request, asked.home()), asked.from(), asked.home(), asked.holds());
    }

    Timing timing(Asked asked, PlanRequest request) {
        List<Step> steps = asked.steps(request, asked.home());
        Optional<Timetable> timetable = Scheduler.sound(steps, asked.from(), asked.home(), asked.holds());
        Optional<InTime> inTime = asked.need().map(need -> InTime.of(steps, asked.from(), need, asked.home()));
        Set<Source> owned = kit.sources();
        String source = source(request.circumstances().method(), owned);
        Clashes.Among among = among(asked.home(), owned);
        List<Clashes.Clash> clashes = timetable
                .map(placed -> Clashes.of(Booking.of(placed, source, request.herbNames()), among))
                .orElse(List.of());
        Optional<Instant> free = clashes.isEmpty()
                ? Optional.empty()
                : Clashes.firstFree(steps, asked.from(), asked.home(), source, among);
        return new Timing(
                steps,
                asked.home(),
                asked.from(),
                timetable,
                asked.need(),
                inTime,
                timetable
                        .flatMap(placed -> WetHerb.of(placed, asked.home().warmUp()))
                        .filter(WetHerb::wantsRefrigerator),
                clashes,
                free);
    }

    /** Which of some ways cannot be made in time, in words; a way that can is not among them. */
    Map<String, String> late(Asked asked, PlanRequest request, List<Method> ways, House house) {
        Map<String, String> late = new HashMap<>();
        asked.need()
                .ifPresent(need -> ways.forEach(way -> {
                    HomeHours home = asked.byWay().apply(way);
                    InTime inTime = InTime.of(
                            asked.steps(request.with(request.circumstances().by(way)), home), asked.from(), need, home);
                    if (inTime.spoils()) {
                        late.put(way.key(), "its heat comes in too many sessions");
                    } else if (!inTime.isFeasible()) {
                        late.put(
                                way.key(),
                                inTime.soonest()
                                        .map(soonest -> "ready %s, %s late"
                                                .formatted(house.day(house.dayOf(soonest.end())), words(inTime)))
                                        .orElse("nobody is home long enough"));
                    }
                }));
        return late;
    }

    /** What a batch begun now is held to: what was typed, and the heat where that put it, since the chopping is done by then. */
    static Map<String, Instant> frozen(Asked asked, Optional<Timing> timing) {
        Map<String, Instant> holds = new HashMap<>(asked.holds());
        if (!holds.isEmpty()) {
            timing.flatMap(Timing::timetable).stream()
                    .flatMap(timetable -> timetable.placed().stream())
                    .filter(placed -> placed.step() instanceof Step.Heat)
                    .forEach(placed -> holds.putIfAbsent(placed.step().key(), placed.start()));
        }
        return holds;
    }

    static String words(InTime inTime) {
        long hours = inTime.late()
                .map(late -> Math.max(1, Math.round(late.toMinutes() / 60.0)))
                .orElse(0L);
        return hours < 48 ? Pace.HOURS.words(hours) : Pace.DAYS.words(Math.round(hours / 24.0));
    }

    private Clashes.Among among(HomeHours home, Set<Source> owned) {
        List<Booking> others = new ArrayList<>();
        for (BatchSheet sheet : batches.standing()) {
            String source = source(sheet.plan().request().circumstances().method(), owned);
            sheet.foresight()
                    .timetable()
                    .ifPresent(timetable -> others.addAll(
                            Booking.of(timetable, source, "%s, jar %d".formatted(sheet.name(), sheet.number()))));
        }
        return new Clashes.Among(others, kit.pieces());
    }

    /** The one source of heat a way would use: the first it can use that is owned; none where none is. */
    private static String source(Method method, Set<Source> owned) {
        return method.sources().stream()
                .filter(owned::contains)
                .map(Source::name)
                .findFirst()
                .orElse("");
    }
}
