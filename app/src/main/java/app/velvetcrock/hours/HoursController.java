package app.velvetcrock.hours;

import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.timetable.HoursReader;
import app.velvetcrock.core.timetable.Presence;
import app.velvetcrock.core.timetable.Window;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused.Overtaken;
import app.velvetcrock.web.Reply;
import app.velvetcrock.web.Reply.Done;
import app.velvetcrock.web.Reply.FormSent;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** The hours somebody is home: each person's week, the days that are otherwise, heat left alone. */
@Controller
class HoursController {

    private static final String HOURS = "/settings/hours";
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_WHY = 80;
    private static final int FURTHEST_YEARS = 2;
    private static final List<String> USUAL_WEEK = List.of("17-22", "17-22", "17-22", "17-22", "17-22", "8-22", "8-22");

    private final Hours hours;
    private final Households households;
    private final Clock clock;

    HoursController(Hours hours, Households households, Clock clock) {
        this.hours = hours;
        this.households = households;
        this.clock = clock;
    }

    /** A person's week as typed; {@code id} is empty for a new one, {@code version} says which state it was read from. */
    record WeekForm(
            @Nullable UUID key,
            @Nullable UUID id,
            @Nullable Integer version,
            @Nullable String name,
            @Nullable List<String> day) {

        WeekForm {
            List<String> typed = day == null ? List.of() : day;
            // A list that can be written to: the fields of a row are put into it one by one.
            day = IntStream.range(0, DayOfWeek.values().length)
                    .mapToObj(i -> i < typed.size() && typed.get(i) != null ? typed.get(i) : "")
                    .collect(Collectors.toCollection(ArrayList::new));
        }

        /** The same as if it had been read from another state. */
        WeekForm since(@Nullable Integer other) {
            return new WeekForm(key, id, other == null ? version : other, name, day);
        }

        String of(int weekday) {
            return Objects.requireNonNull(day).get(weekday);
        }
    }

    /** Days that are otherwise, as typed. */
    record ExceptionForm(
            @Nullable UUID key,
            @Nullable UUID person,
            @Nullable String first,
            @Nullable String last,
            @Nullable String hours,
            @Nullable String why) {}

    @GetMapping("/settings/hours")
    String page(@Nullable String wish, Model model) {
        model.addAttribute("wish", wish);
        return page(model, new Sent(null, null, new Fields(households.current().reader())));
    }

    @PostMapping("/settings/hours")
    String keep(WeekForm form, @Nullable String wish, Reply reply) {
        reply.model().addAttribute("wish", wish);
        Fields fields = new Fields(households.current().reader());
        Optional<String> name = fields.words("name", form.name(), LONGEST_NAME);
        List<List<Window>> days = new ArrayList<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            days.add(hours(fields, "day[%d]".formatted(day.ordinal()), form.of(day.ordinal())));
        }
        return reply.answer(
                new FormSent("", form.key(), fields, HOURS),
                () -> page(reply.model(), new Sent(form.since(versionOf(form.id())), null, fields)),
                () -> {
                    change(form, name.orElseThrow(), days);
                    return new Done(
                            WishForm.leadsTo(wish).orElse(HOURS),
                            "The hours of %s are kept. Timetables go by them.".formatted(name.orElseThrow()));
                });
    }

    private void change(WeekForm form, String name, List<List<Window>> days) {
        if (form.id() == null) {
            hours.add(name, days);
            return;
        }
        try {
            hours.change(form.id(), form.version() == null ? -1 : form.version(), name, days);
        } catch (OptimisticLockingFailureException overtaken) {
            throw new Overtaken(
                    "name",
                    "Somebody changed these hours meanwhile. Yours are still here: look, then keep them again.");
        }
    }

    private @Nullable Integer versionOf(@Nullable UUID person) {
        return hours.people().stream()
                .filter(one -> one.id().equals(person))
                .map(Hours.OfResident::version)
                .findFirst()
                .orElse(null);
    }

    @PostMapping("/settings/hours/{id}/undo")
    String remove(@PathVariable UUID id, @Nullable String back, Reply reply) {
        boolean removed = back == null;
        return reply.tap(HOURS, () -> {
            hours.remove(id, removed);
            return removed
                    ? new Done(HOURS, "Their hours are taken out.", HOURS + "/%s/undo?back=yes".formatted(id))
                    : new Done(HOURS, "Their hours are back.");
        });
    }

    @PostMapping("/settings/hours/exceptions")
    String except(ExceptionForm form, Reply reply) {
        Fields fields = new Fields(households.current().reader());
        Optional<Presence.Otherwise> otherwise = otherwise(form, fields);
        return reply.answer(
                new FormSent("", form.key(), fields, HOURS),
                () -> page(reply.model(), new Sent(null, form, fields)),
                () -> {
                    UUID id = hours.except(Objects.requireNonNull(form.person()), otherwise.orElseThrow());
                    return new Done(
                            HOURS, "Those days are otherwise now.", HOURS + "/exceptions/%s/undo".formatted(id));
                });
    }

    @PostMapping("/settings/hours/exceptions/{id}/undo")
    String removeException(@PathVariable UUID id, @Nullable String back, Reply reply) {
        boolean removed = back == null;
        return reply.tap(HOURS, () -> {
            hours.removeException(id, removed);
            return removed
                    ? new Done(HOURS, "Those days are as any.", HOURS + "/exceptions/%s/undo?back=yes".formatted(id))
                    : new Done(HOURS, "Those days are otherwise again.");
        });
    }

    @PostMapping("/settings/hours/alone")
    String alone(@Nullable String may, Reply reply) {
        return reply.tap(HOURS, () -> {
            hours.letHeatRunAlone(may != null);
            return new Done(
                    HOURS,
                    may != null
                            ? "Slow heat may run on by itself."
                            : "Heat runs only while somebody is home and awake.");
        });
    }

    private Optional<Presence.Otherwise> otherwise(ExceptionForm form, Fields fields) {
        House house = households.current();
        LocalDate today = house.dayOf(clock.instant());
        WhenReader ahead = house.future(clock.instant());
        Optional<LocalDate> first = fields.date("first", form.first(), ahead);
        Optional<LocalDate> last =
                form.last() == null || form.last().isBlank() ? first : fields.date("last", form.last(), ahead);
        List<Window> instead = hours(fields, "hours", form.hours() == null ? "" : form.hours());
        Optional<String> why = fields.optionalWords("why", form.why(), LONGEST_WHY);
        if (form.person() == null) {
            fields.trouble("person", "Nobody is chosen.", "somebody whose hours are kept here");
        }
        if (first.isEmpty() && !fields.troubles().containsKey("first")) {
            fields.trouble("first", "No day is written here.", today.toString());
        }
        if (fields.isClear() && last.orElseThrow().isBefore(first.orElseThrow())) {
            fields.trouble(
                    "last", "The last day comes before the first.", first.get().toString());
        }
        if (fields.isClear() && last.orElseThrow().isAfter(today.plusYears(FURTHEST_YEARS))) {
            fields.trouble("last", "That is more than two years ahead.", "an earlier day");
        }
        return fields.isClear()
                ? Optional.of(
                        new Presence.Otherwise(first.orElseThrow(), last.orElseThrow(), instead, why.orElseThrow()))
                : Optional.empty();
    }

    private static List<Window> hours(Fields fields, String field, String typed) {
        try {
            return HoursReader.parse(typed);
        } catch (HoursReader.NoHoursException wrong) {
            fields.trouble(field, "Understood: %s.".formatted(wrong.getMessage()), "7-8:30, 17-22");
            return List.of();
        }
    }

    /** A form that came back with what was wrong in it. */
    private record Sent(@Nullable WeekForm week, @Nullable ExceptionForm exception, Fields fields) {

        boolean isOf(@Nullable UUID person) {
            return week != null && Objects.equals(week.id(), person);
        }

        Fields fieldsOf(@Nullable UUID person) {
            return isOf(person) ? fields : fields.blank();
        }
    }

    /** The form of one person's week, or of somebody new. */
    record Week(String key, @Nullable UUID id, @Nullable Integer version, String name, List<Day> days, Fields fields) {}

    /** A weekday of it, and the field it is typed in. */
    record Day(String name, String id, String field, String typed) {}

    /** Days that are otherwise, as the table tells them. */
    record Otherwise(UUID id, String name, String days, String hours, String why, String takeBack) {}

    private static Week week(Hours.@Nullable OfResident person, Sent sent, Week otherwise) {
        UUID id = person == null ? null : person.id();
        WeekForm typed = sent.week();
        if (typed == null || !sent.isOf(id)) {
            return otherwise;
        }
        return new Week(
                otherwise.key(),
                id,
                typed.version(),
                typed.name() == null ? "" : typed.name(),
                days(otherwise.key(), Objects.requireNonNull(typed.day())),
                sent.fields());
    }

    private static List<Day> days(String key, List<String> typed) {
        return Stream.of(DayOfWeek.values())
                .map(day -> new Day(
                        day.getDisplayName(TextStyle.FULL, Locale.ENGLISH),
                        "day-%s-%d".formatted(key, day.ordinal()),
                        "day[%d]".formatted(day.ordinal()),
                        typed.get(day.ordinal())))
                .toList();
    }

    /** What stands in the form for somebody new: for the first of all a usual week, for another nothing yet. */
    private static Week fresh(boolean first, Sent sent) {
        return week(
                null,
                sent,
                new Week(
                        "new",
                        null,
                        null,
                        first ? Current.person().name() : "",
                        days("new", first ? USUAL_WEEK : Collections.nCopies(DayOfWeek.values().length, "")),
                        sent.fieldsOf(null)));
    }

    private static Otherwise otherwise(Hours.OfAbsence exception, House house) {
        Presence.Otherwise days = exception.otherwise();
        String first = house.date(days.first());
        return new Otherwise(
                exception.id(),
                exception.name(),
                days.first().equals(days.last()) ? first : first + " to " + house.date(days.last()),
                days.hours().isEmpty() ? "not at all" : HoursReader.words(days.hours()),
                days.why(),
                "Take back: %s, %s".formatted(exception.name(), first));
    }

    private String page(Model model, Sent sent) {
        House house = households.current();
        List<Hours.OfResident> people = hours.people();
        model.addAttribute(
                "people",
                people.stream()
                        .map(person -> week(
                                person,
                                sent,
                                new Week(
                                        person.id().toString(),
                                        person.id(),
                                        person.version(),
                                        person.name(),
                                        days(person.id().toString(), person.week()),
                                        sent.fieldsOf(person.id()))))
                        .toList());
        model.addAttribute("fresh", fresh(people.isEmpty(), sent));
        model.addAttribute(
                "who",
                people.stream()
                        .map(person -> new Fields.Option(person.id().toString(), person.name()))
                        .toList());
        model.addAttribute(
                "exceptions",
                hours.exceptions(house.dayOf(clock.instant())).stream()
                        .map(exception -> otherwise(exception, house))
                        .toList());
        model.addAttribute("alone", hours.heatMayRunAlone());
        model.addAttribute("exception", sent.exception());
        model.addAttribute("fields", sent.exception() == null ? sent.fields().blank() : sent.fields());
        return "hours/hours";
    }
}
