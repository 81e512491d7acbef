package app.velvetcrock.bench;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.bench.BenchTimes;
import app.velvetcrock.core.bench.ChargePart;
import app.velvetcrock.core.bench.TimeWish;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.larder.Home;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Source;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.timetable.Booking;
import app.velvetcrock.core.timetable.HomeHours;
import app.velvetcrock.core.timetable.Step;
import app.velvetcrock.hours.Hours;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.kit.Warming;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.PerRequest;
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
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Gives a plan its days: in the hours somebody is home, by the day it is needed, beside what stands already. */
@Component
public class BenchTime {

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

    /** Gives plans their days, beside what stands already. */
    BenchTimes times() {
        return new BenchTimes(home(), kit.sources());
    }

    /** When hands are there, and what stands already. */
    public Home home() {
        return new Home(hours.home(), this::warming, this::standing, kit.pieces());
    }

    private HomeHours warming(Method way, UUID stand, Charge charge) {
        return warming.of(hours.home(), way, stand, charge);
    }

    /** Several plans of one page are held against the same. */
    private List<Booking> standing() {
        return PerRequest.of("bookings of what stands", Current.person(), this::booked);
    }

    private List<Booking> booked() {
        Set<Source> owned = kit.sources();
        List<Booking> others = new ArrayList<>();
        for (BatchSheet sheet : batches.standing()) {
            String source =
                    BenchTimes.source(sheet.plan().request().circumstances().method(), owned);
            sheet.foresight()
                    .timetable()
                    .ifPresent(timetable -> others.addAll(
                            Booking.of(timetable, source, "%s, jar %d".formatted(sheet.name(), sheet.number()))));
        }
        return others;
    }

    /** Reads when it is needed; what is not clear stands beside its field. */
    TimeWish read(BenchForm form, ChargePart part, Fields fields, House house) {
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
        return new TimeWish(home, byWay, part.weighed().at(), need, holds, then);
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
}
