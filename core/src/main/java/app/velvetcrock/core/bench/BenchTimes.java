package app.velvetcrock.core.bench;

import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.larder.Home;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Source;
import app.velvetcrock.core.planning.InTime;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.timetable.Booking;
import app.velvetcrock.core.timetable.Clashes;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Scheduler;
import app.velvetcrock.core.timetable.Step;
import app.velvetcrock.core.timetable.Timetable;
import app.velvetcrock.core.timetable.WetHerb;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Gives a plan its days: in the hours somebody is home, by the day it is needed, beside what stands already. */
public final class BenchTimes {

    private final Home home;
    private final Set<Source> owned;

    public BenchTimes(Home home, Set<Source> owned) {
        this.home = home;
        this.owned = Set.copyOf(owned);
    }

    /** The steps of a plan in their places, without looking at what clashes. */
    public static Optional<Timetable> placed(TimeWish asked, PlanRequest request) {
        return Scheduler.sound(asked.steps(request, asked.home()), asked.from(), asked.home(), asked.holds());
    }

    /** The whole timing of a plan. */
    public Timing timing(TimeWish asked, PlanRequest request) {
        List<Step> steps = asked.steps(request, asked.home());
        Optional<Timetable> timetable = Scheduler.sound(steps, asked.from(), asked.home(), asked.holds());
        Optional<InTime> inTime = asked.need().map(need -> InTime.of(steps, asked.from(), need, asked.home()));
        String source = source(request.circumstances().method(), owned);
        Clashes.Among among = new Clashes.Among(home.standing().get(), home.sources());
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
    public static Map<String, String> late(TimeWish asked, PlanRequest request, List<Method> ways, Wording say) {
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
                                                .formatted(say.day(say.dayOf(soonest.end())), words(inTime)))
                                        .orElse("nobody is home long enough"));
                    }
                }));
        return late;
    }

    /** What a batch begun now is held to: what was typed, and the heat where that put it, since the chopping is done by then. */
    public static Map<String, Instant> frozen(TimeWish asked, Optional<Timing> timing) {
        Map<String, Instant> holds = new HashMap<>(asked.holds());
        if (!holds.isEmpty()) {
            timing.flatMap(Timing::timetable).stream()
                    .flatMap(timetable -> timetable.placed().stream())
                    .filter(placed -> placed.step() instanceof Step.Heat)
                    .forEach(placed -> holds.putIfAbsent(placed.step().key(), placed.start()));
        }
        return holds;
    }

    /** By how much it is late. */
    public static String words(InTime inTime) {
        long hours = inTime.late()
                .map(late -> Math.max(1, Math.round(late.toMinutes() / 60.0)))
                .orElse(0L);
        return hours < 48 ? Pace.HOURS.words(hours) : Pace.DAYS.words(Math.round(hours / 24.0));
    }

    /** The one source of heat a way would use: the first it can use that is owned; none where none is. */
    public static String source(Method method, Set<Source> owned) {
        return method.sources().stream()
                .filter(owned::contains)
                .map(Source::name)
                .findFirst()
                .orElse("");
    }
}
