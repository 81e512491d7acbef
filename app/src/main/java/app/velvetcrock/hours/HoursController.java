package app.velvetcrock.hours;

import app.velvetcrock.core.timetable.HoursReader;
import app.velvetcrock.core.timetable.Presence;
import app.velvetcrock.core.timetable.Window;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Notice;
import app.velvetcrock.web.OneTime;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The hours somebody is home: each person's week, the days that are otherwise, heat left alone. */
@Controller
class HoursController {

    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_WHY = 80;
    private static final int FURTHEST_YEARS = 2;

    private final Hours hours;
    private final Households households;
    private final OneTime oneTime;
    private final Clock clock;

    HoursController(Hours hours, Households households, OneTime oneTime, Clock clock) {
        this.hours = hours;
        this.households = households;
        this.oneTime = oneTime;
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

        String of(int weekday) {
            return day.get(weekday);
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
    String page(Model model) {
        return page(model, new Sent(null, null, new Fields(households.current().reader())));
    }

    @PostMapping("/settings/hours")
    String keep(WeekForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Fields fields = new Fields(households.current().reader());
        Optional<String> name = fields.words("name", form.name(), LONGEST_NAME);
        List<List<Window>> days = new ArrayList<>();
        for (DayOfWeek day : DayOfWeek.values()) {
            days.add(hours(fields, "day[%d]".formatted(day.ordinal()), form.of(day.ordinal())));
        }
        if (!fields.isClear()) {
            response.setStatus(422);
            return page(model, new Sent(form, null, fields));
        }
        if (form.id() == null) {
            oneTime.once(Current.stillroom(), form.key(), () -> String.valueOf(hours.add(name.orElseThrow(), days)));
        } else if (!changed(form, name.orElseThrow(), days)) {
            fields.trouble(
                    "name",
                    "Somebody changed these hours meanwhile. Yours are still here: look, then keep them again.",
                    "");
            response.setStatus(409);
            int theirs = hours.people().stream()
                    .filter(person -> person.id().equals(form.id()))
                    .mapToInt(Hours.OfResident::version)
                    .findFirst()
                    .orElse(0);
            return page(
                    model,
                    new Sent(new WeekForm(form.key(), form.id(), theirs, form.name(), form.day()), null, fields));
        }
        after.addFlashAttribute(
                Notice.NAME,
                new Notice("The hours of %s are kept. Timetables go by them.".formatted(name.orElseThrow()), null));
        return "redirect:/settings/hours";
    }

    @PostMapping("/settings/hours/{id}/undo")
    String remove(@PathVariable UUID id, @Nullable String back, RedirectAttributes after) {
        boolean removed = back == null;
        hours.remove(id, removed);
        after.addFlashAttribute(
                Notice.NAME,
                new Notice(
                        removed ? "Their hours are taken out." : "Their hours are back.",
                        removed ? "/settings/hours/%s/undo?back=yes".formatted(id) : null));
        return "redirect:/settings/hours";
    }

    @PostMapping("/settings/hours/exceptions")
    String except(ExceptionForm form, Model model, HttpServletResponse response, RedirectAttributes after) {
        Fields fields = new Fields(households.current().reader());
        Optional<Presence.Otherwise> otherwise = otherwise(form, fields);
        if (otherwise.isEmpty() || form.person() == null) {
            response.setStatus(422);
            return page(model, new Sent(null, form, fields));
        }
        UUID person = form.person();
        String id = oneTime.once(
                Current.stillroom(), form.key(), () -> String.valueOf(hours.except(person, otherwise.get())));
        after.addFlashAttribute(
                Notice.NAME,
                new Notice("Those days are otherwise now.", "/settings/hours/exceptions/%s/undo".formatted(id)));
        return "redirect:/settings/hours";
    }

    @PostMapping("/settings/hours/exceptions/{id}/undo")
    String removeException(@PathVariable UUID id, @Nullable String back, RedirectAttributes after) {
        boolean removed = back == null;
        hours.removeException(id, removed);
        after.addFlashAttribute(
                Notice.NAME,
                new Notice(
                        removed ? "Those days are as any." : "Those days are otherwise again.",
                        removed ? "/settings/hours/exceptions/%s/undo?back=yes".formatted(id) : null));
        return "redirect:/settings/hours";
    }

    @PostMapping("/settings/hours/alone")
    String alone(@Nullable String may, RedirectAttributes after) {
        hours.letHeatRunAlone(may != null);
        after.addFlashAttribute(
                Notice.NAME,
                new Notice(
                        may != null
                                ? "Slow heat may run on by itself."
                                : "Heat runs only while somebody is home and awake.",
                        null));
        return "redirect:/settings/hours";
    }

    /** Tells whether they could be changed, or somebody was there first. */
    private boolean changed(WeekForm form, String name, List<List<Window>> days) {
        try {
            hours.change(form.id(), form.version() == null ? -1 : form.version(), name, days);
            return true;
        } catch (OptimisticLockingFailureException overtaken) {
            return false;
        }
    }

    private Optional<Presence.Otherwise> otherwise(ExceptionForm form, Fields fields) {
        LocalDate today = households.current().dayOf(clock.instant());
        Optional<LocalDate> first = fields.date("first", form.first());
        Optional<LocalDate> last =
                form.last() == null || form.last().isBlank() ? first : fields.date("last", form.last());
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
    private record Sent(@Nullable WeekForm week, @Nullable ExceptionForm exception, Fields fields) {}

    private String page(Model model, Sent sent) {
        LocalDate today = households.current().dayOf(clock.instant());
        model.addAttribute("people", hours.people());
        model.addAttribute("exceptions", hours.exceptions(today));
        model.addAttribute("alone", hours.heatMayRunAlone());
        model.addAttribute("week", sent.week());
        model.addAttribute("exception", sent.exception());
        model.addAttribute("fields", sent.fields());
        model.addAttribute("none", new Fields(House.usual().reader()));
        model.addAttribute("days", DayOfWeek.values());
        return "hours/hours";
    }
}
