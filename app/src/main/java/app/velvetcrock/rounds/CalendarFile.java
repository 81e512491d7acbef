package app.velvetcrock.rounds;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.condition.Asked;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.course.TaskKind;
import app.velvetcrock.core.keeping.MoistFood;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.core.rounds.Task;
import app.velvetcrock.core.spirit.SpiritFire;
import app.velvetcrock.learned.Gatherings;
import app.velvetcrock.stillroom.House;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.TimeZone;
import net.fortuna.ical4j.model.TimeZoneRegistryFactory;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Sequence;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableMethod;
import net.fortuna.ical4j.model.property.immutable.ImmutableStatus;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;

/**
 * Writes tasks as an iCalendar (RFC 5545) in the household's own zone. An event's UID is its task's identity, batch, stage, kind
 * and ordinal, never a date: a moved task is the
 * same event at another time, one no longer wanted the same event cancelled.
 */
final class CalendarFile {

    private static final Duration A_HAND = Duration.ofMinutes(15);
    private static final String UID_HOST = "@velvet-crock";

    private final House house;
    private final Instant now;
    private final UnaryOperator<String> address;
    private final Optional<Duration> alarm;

    /**
     * For one household.
     *
     * @param address of a page of this house, by its path, so that an event leads back to where it is written down
     * @param alarm so long before its time an event rings; absent for not at all
     */
    CalendarFile(House house, Instant now, UnaryOperator<String> address, Optional<Duration> alarm) {
        this.house = house;
        this.now = now;
        this.address = address;
        this.alarm = alarm;
    }

    /** A task of a batch, wanted or cancelled. */
    record Event(BatchSheet sheet, Task task, boolean cancelled) {

        String uid() {
            return Coming.named(sheet.id(), task.key()) + UID_HOST;
        }
    }

    /** A step of something made of an oil, whose moment is known. */
    record AtThePan(String key, String page, Instant at, String summary, int lines) {}

    private void leadsBack(VEvent event, String page) {
        event.add(new Url(URI.create(address.apply(page))));
    }

    private void rings(VEvent event, String words) {
        alarm.ifPresent(before -> {
            VAlarm rings = new VAlarm(before.negated());
            rings.add(ImmutableAction.DISPLAY);
            rings.add(new Description(words));
            event.add(rings);
        });
    }

    String write(List<Event> events, List<Told> wrong) {
        return write(events, wrong, List.of(), List.of(), List.of());
    }

    String write(
            List<Event> events,
            List<Told> wrong,
            List<Asked> asked,
            List<AtThePan> pan,
            List<Gatherings.Ahead> gatherings) {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Velvet Crock//Rounds//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(ImmutableMethod.PUBLISH);
        calendar.add(
                new XProperty("X-WR-CALNAME", "Rounds of " + house.settings().name()));
        ZoneId zone = house.settings().zone();
        TimeZone known = TimeZoneRegistryFactory.getInstance().createRegistry().getTimeZone(zone.getId());
        if (known != null) {
            calendar.add(known.getVTimeZone());
        }
        CalendarDays.of(events, zone, house.dayOf(now))
                .forEach(entry -> calendar.add(event(entry, known == null ? ZoneId.of("UTC") : zone)));
        wrong.forEach(told -> calendar.add(allDay(
                told.id().toString(),
                "! %s".formatted(told.head()),
                told.kind().advice() + (told.also().isEmpty() ? "" : " It is " + told.alsoEverywhere() + "."))));
        asked.forEach(one ->
                calendar.add(allDay(one.id().toString(), "! %s %s".formatted(one.what(), one.name()), one.why())));
        pan.forEach(step -> calendar.add(event(step, known == null ? ZoneId.of("UTC") : zone)));
        gatherings.forEach(one -> calendar.add(allDay(
                one.id().toString(), one.day(), one.summary(), "By its own first days here. Never strip a stand.")));
        StringWriter text = new StringWriter();
        try {
            new CalendarOutputter(false).output(calendar, text);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return text.toString();
    }

    /** What is wrong, and what that asks, stands on today, all day long, until it is answered. */
    private VEvent allDay(String id, String summary, String description) {
        return allDay(id, house.dayOf(now), summary, description);
    }

    private VEvent allDay(String id, LocalDate day, String summary, String description) {
        VEvent event = new VEvent(day, summary);
        event.add(new Uid(id + UID_HOST));
        event.getProperties().stream()
                .filter(DtStamp.class::isInstance)
                .findFirst()
                .ifPresent(event::remove);
        event.add(new DtStamp(now));
        event.add(ImmutableStatus.VEVENT_CONFIRMED);
        event.add(new Description(description));
        return event;
    }

    private VEvent event(AtThePan step, ZoneId zone) {
        VEvent event = new VEvent(Coming.rounded(step.at()).atZone(zone), A_HAND, step.summary());
        event.add(new Uid(step.key() + UID_HOST));
        event.getProperties().stream()
                .filter(DtStamp.class::isInstance)
                .findFirst()
                .ifPresent(event::remove);
        event.add(new DtStamp(now));
        event.add(new Sequence(step.lines()));
        event.add(ImmutableStatus.VEVENT_CONFIRMED);
        leadsBack(event, step.page());
        rings(event, step.summary());
        return event;
    }

    private VEvent event(CalendarDays.Entry entry, ZoneId zone) {
        Event of = entry.event();
        Task task = of.task();
        BatchSheet sheet = of.sheet();
        Duration length = task.key().kind() == TaskKind.STRAIN ? PlanSteps.STRAINING : A_HAND;
        VEvent event = new VEvent(
                Coming.rounded(task).atZone(zone),
                length,
                "%s: %s, jar %d".formatted(entry.words(), sheet.name(), sheet.number()));
        event.add(new Uid(of.uid()));
        event.getProperties().stream()
                .filter(DtStamp.class::isInstance)
                .findFirst()
                .ifPresent(event::remove);
        event.add(new DtStamp(now));
        // Grows with every line of the log, so that a moved event is newer than the one before.
        event.add(new Sequence(sheet.lines().size()));
        event.add(of.cancelled() ? ImmutableStatus.VEVENT_CANCELLED : ImmutableStatus.VEVENT_CONFIRMED);
        event.add(new Description((sheet.course().spirit() ? SpiritFire.WORDS + " " : "")
                + (sheet.plan().isMoistFood() ? "Food, %s. ".formatted(MoistFood.RULE) : "")
                + sheet.plan().request().circumstances().method().name() + ", " + house.volume(sheet.oilIn())
                + " of oil" + (entry.missed() == 0 ? "" : ". Missed since %s.".formatted(house.date(entry.since())))));
        leadsBack(event, "/batch/" + sheet.id());
        if (!of.cancelled() && Coming.rounded(task).isAfter(now)) {
            rings(event, entry.words());
        }
        return event;
    }
}
