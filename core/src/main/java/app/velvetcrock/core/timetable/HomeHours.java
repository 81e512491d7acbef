package app.velvetcrock.core.timetable;

import app.velvetcrock.core.heat.WarmUp;
import app.velvetcrock.core.method.Pace;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/** When anybody of a household is home and awake; nothing asks for hands outside of it. Days once looked at are kept. */
public final class HomeHours {

    /** Nothing is looked for further ahead than this. */
    static final int HORIZON_DAYS = 400;

    /** What no day of two weeks holds is held against the longest of all days before a year of them is gone through. */
    private static final int SOON_DAYS = 14;

    private static final Duration CLOCK_CHANGE = Duration.ofHours(1);

    /** [E] Hours of a household that has said nothing: no hands at night. */
    private static final Window USUAL = new Window(Pace.MORNING, LocalTime.of(22, 0));

    private final List<Presence> people;
    private final ZoneId zone;
    private final boolean heatAlone;
    private final Duration warmUp;
    private final Map<LocalDate, List<Span>> days;

    /**
     * Hours of a household.
     *
     * @param people whose hours are put together: one of them at home is enough
     * @param heatAlone true where slow heat may run on while nobody is there or awake
     * @param warmUp what every session of heat pays before it earns
     */
    public HomeHours(List<Presence> people, ZoneId zone, boolean heatAlone, Duration warmUp) {
        this.people = List.copyOf(people);
        this.zone = zone;
        this.heatAlone = heatAlone;
        this.warmUp = warmUp;
        this.days = new ConcurrentHashMap<>();
    }

    /** Hours of a household that lets no heat run alone. */
    public HomeHours(List<Presence> people, ZoneId zone) {
        this(people, zone, false, WarmUp.AT_FIRST);
    }

    /** The same hours where heat takes so long to come up; what was looked at of their days stays known. */
    public HomeHours warmingUpIn(Duration warmUp) {
        return new HomeHours(this, warmUp);
    }

    private HomeHours(HomeHours same, Duration warmUp) {
        this.people = same.people;
        this.zone = same.zone;
        this.heatAlone = same.heatAlone;
        this.warmUp = warmUp;
        this.days = same.days;
    }

    public List<Presence> people() {
        return people;
    }

    public ZoneId zone() {
        return zone;
    }

    public boolean heatAlone() {
        return heatAlone;
    }

    public Duration warmUp() {
        return warmUp;
    }

    /** The first moment from {@code due} on at which somebody is home for so long; {@code due} itself where nobody ever is. */
    public Instant hands(Instant due, Duration length) {
        return next(due, length).map(Span::startInclusive).orElse(due);
    }

    /** Every day from eight in the morning to ten at night, until the household says otherwise. */
    public static HomeHours usual(ZoneId zone) {
        return new HomeHours(
                List.of(new Presence(
                        "",
                        Arrays.stream(DayOfWeek.values())
                                .collect(Collectors.toMap(Function.identity(), day -> List.of(USUAL))),
                        List.of())),
                zone);
    }

    /**
     * The stretches of a day with somebody home, put together and in order; both clock changes shift them as the clock on the wall
     * does.
     */
    public List<Span> on(LocalDate day) {
        return days.computeIfAbsent(day, this::together);
    }

    private List<Span> together(LocalDate day) {
        List<Span> all = people.stream()
                .flatMap(person -> person.on(day).stream())
                .map(window -> new Span[] {span(day, window)})
                .flatMap(Arrays::stream)
                .sorted(Comparator.comparing(Span::startInclusive))
                .toList();
        List<Span> merged = new ArrayList<>();
        for (Span span : all) {
            Span last = merged.isEmpty() ? null : merged.get(merged.size() - 1);
            if (last != null && !span.startInclusive().isAfter(last.endExclusive())) {
                merged.set(
                        merged.size() - 1,
                        span.endExclusive().isAfter(last.endExclusive())
                                ? new Span(last.startInclusive(), span.endExclusive())
                                : last);
            } else {
                merged.add(span);
            }
        }
        return List.copyOf(merged);
    }

    private Span span(LocalDate day, Window window) {
        Instant from = day.atTime(window.from()).atZone(zone).toInstant();
        Instant to = day.atTime(window.to()).atZone(zone).toInstant();
        // A window inside the hour that spring skips has no length; a minute stands for it.
        return new Span(from, to.isAfter(from) ? to : from.plus(Duration.ofMinutes(1)));
    }

    /**
     * The first stretch of hands no shorter than {@code least} that begins no earlier than {@code from}; empty within the horizon
     * for nobody ever home so long.
     */
    Optional<Span> next(Instant from, Duration least) {
        LocalDate first = from.atZone(zone).toLocalDate();
        for (int ahead = 0; ahead <= HORIZON_DAYS; ahead++) {
            if (ahead == SOON_DAYS && longest().compareTo(least) < 0) {
                return Optional.empty();
            }
            for (Span span : on(first.plusDays(ahead))) {
                Instant start = span.startInclusive().isBefore(from) ? from : span.startInclusive();
                if (start.isBefore(span.endExclusive())
                        && Duration.between(start, span.endExclusive()).compareTo(least) >= 0) {
                    return Optional.of(new Span(start, span.endExclusive()));
                }
            }
        }
        return Optional.empty();
    }

    /** No day has a longer stretch with somebody home: every window there is put together, and the hour that autumn gives. */
    Duration longest() {
        List<Window> all = people.stream()
                .flatMap(Presence::windows)
                .sorted(Comparator.comparing(Window::from))
                .toList();
        Duration longest = Duration.ZERO;
        LocalTime from = LocalTime.MIN;
        LocalTime to = LocalTime.MIN;
        for (Window window : all) {
            boolean apart = window.from().isAfter(to);
            from = apart ? window.from() : from;
            to = apart || window.to().isAfter(to) ? window.to() : to;
            Duration stretch = Duration.between(from, to);
            longest = stretch.compareTo(longest) > 0 ? stretch : longest;
        }
        return longest.plus(CLOCK_CHANGE);
    }

    /**
     * A moment, or the end of the stretch at home that {@code now} lies in where that comes first; somebody who is there out of
     * hours is believed.
     */
    public Instant whileHome(Instant now, Instant until) {
        return on(now.atZone(zone).toLocalDate()).stream()
                .filter(span -> !now.isBefore(span.startInclusive()) && now.isBefore(span.endExclusive()))
                .map(Span::endExclusive)
                .filter(until::isAfter)
                .findFirst()
                .orElse(until);
    }
}
