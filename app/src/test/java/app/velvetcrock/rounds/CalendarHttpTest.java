package app.velvetcrock.rounds;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import java.io.StringReader;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.Temporal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DtStart;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** The feed, parsed back by its library: what it asks, when, under which identity; and who may read it. */
@HttpTest
class CalendarHttpTest {

    @LocalServerPort
    int port;

    private Visitor tove;
    private String feed;

    @BeforeEach
    void household() {
        tove = Visitor.stocked(port, "Calendar");
        feed = tove.post("/settings/calendar", Map.of())
                .page()
                .getElementById("address")
                .attr("value")
                .replaceAll("https?://[^/]*", "");
    }

    /**
     * 35 days from 24 November: shaken on days 1-7, then 10, 13 … 34, looked at on days 1-7, then 14, 21, 28; strained on the 29th
     * of December at eight.
     */
    @Test
    void everyTaskOfNinetyDaysStandsThereAtItsTime() {
        String batch = start("method=cold-dark&amount=30+g");
        Map<String, VEvent> events = events(feed);
        assertThat(events.keySet())
                .allMatch(uid -> uid.startsWith(batch.substring("/batch/".length())) && uid.endsWith("@velvet-crock"));
        assertThat(events.keySet().stream().filter(uid -> uid.contains(".shake.")))
                .hasSize(7 + 9);
        assertThat(events.keySet().stream().filter(uid -> uid.contains(".look.")))
                .as("the others are one with a shaking")
                .hasSize(2);
        assertThat(events.values().stream()
                        .map(event -> event.getSummary().getValue())
                        .filter(words -> words.startsWith("Shake and look: Nettle")))
                .hasSize(7 + 1);
        assertThat(at(events, ".shake.1@")).isEqualTo(LocalDateTime.parse("2026-11-25T08:00"));
        assertThat(at(events, ".shake.8@")).isEqualTo(LocalDateTime.parse("2026-12-04T08:00"));
        assertThat(at(events, ".strain.1@")).isEqualTo(LocalDateTime.parse("2026-12-29T08:00"));
        assertThat(status(events, ".strain.1@")).isEqualTo("CONFIRMED");
        assertThat(tove.get(feed).raw().body())
                .contains("BEGIN:VTIMEZONE", "TZID:Europe/London", "DTSTART;TZID=Europe/London:20261125T080000");
        // What Rounds asks on the Shelf next is the first of each kind.
        assertThat(tove.get("/shelf").page().select(".round").text()).doesNotContain("Shake");
    }

    /** It leads back to where it is written down, and rings as somebody chose; days that went by are one event. */
    @Test
    void itLeadsBackRingsAndFoldsWhatWentBy() {
        String batch = start("method=cold-dark&amount=30+g&start=2026-11-20");
        Map<String, VEvent> before = events(feed);
        VEvent strain = find(before, ".strain.1@");
        assertThat(strain.getRequiredProperty(Property.URL).getValue())
                .startsWith("http")
                .endsWith(batch);
        assertThat(strain.getAlarms()).isEmpty();
        List<String> gone = before.values().stream()
                .map(event -> event.getSummary().getValue())
                .filter(words -> words.contains("missed"))
                .toList();
        assertThat(gone)
                .as("shaken neither on Saturday, Sunday nor Monday")
                .contains("Shake and look, 2 days missed: Nettle, jar 1");
        assertThat(before.keySet()).noneMatch(uid -> uid.contains(".shake.1@"));
        Answer rings = tove.submit("/settings/calendar", "#rings-form", Map.of("rings", "HOUR"));
        assertThat(rings.page().select("#rings option[selected]").val()).isEqualTo("HOUR");
        Map<String, VEvent> after = events(feed);
        assertThat(find(after, ".strain.1@").getAlarms()).hasSize(1);
        assertThat(tove.get(feed).raw().body()).contains("BEGIN:VALARM", "TRIGGER:-PT1H", "ACTION:DISPLAY");
        assertThat(after.values().stream()
                        .filter(event -> event.getSummary().getValue().contains("missed"))
                        .allMatch(event -> event.getAlarms().isEmpty()))
                .as("what is over rings no more")
                .isTrue();
        assertThat(tove.post("/settings/calendar/alarm", Map.of("rings", "LOUD"))
                        .status())
                .isEqualTo(422);
        assertThat(find(events(feed), ".strain.1@").getAlarms()).hasSize(1);
    }

    /**
     * A done task leaves; a moved plan is the same events at other times; a discarded batch's are called off, and taking that back
     * calls them on.
     */
    @Test
    void movesAndCancellationsKeepTheirIdentity() {
        String batch = start("method=cold-dark&amount=30+g");
        tove.post(batch + "/tasks/stand.shake.1", Map.of());
        assertThat(events(feed).keySet())
                .noneMatch(uid -> uid.contains(".shake.1@"))
                .anyMatch(uid -> uid.contains(".shake.2@"));
        tove.submit(batch, "#change-plan form", Map.of("length", "42 days", "reason", "it is cold"));
        Map<String, VEvent> moved = events(feed);
        assertThat(at(moved, ".strain.1@")).isEqualTo(LocalDateTime.parse("2027-01-05T08:00"));
        assertThat(moved.keySet().stream().filter(uid -> uid.contains(".shake.")))
                .hasSize(7 + 9 - 1 + 2);
        tove.submit(batch, "form[action$=discard]", Map.of("ruin", "MOULD", "lesson", "wet"));
        Map<String, VEvent> off = events(feed);
        assertThat(status(off, ".strain.1@")).isEqualTo("CANCELLED");
        assertThat(status(off, ".shake.5@")).isEqualTo("CANCELLED");
        tove.post(Visitor.form(tove.get(batch).page(), ".log li:contains(wet) form", Map.of()));
        assertThat(status(events(feed), ".strain.1@")).isEqualTo("CONFIRMED");
    }

    /** In New York the clock goes back on 7 November 2027 and forward on 14 March 2027; eight in the morning stays eight. */
    @Test
    void bothClockChangesAreTheZonesOwn() {
        Visitor york = Visitor.household(port, "New York");
        york.submit("/settings", "form[action$=settings]", Map.of("house.zone", "America/New_York"));
        york.submit("/stores", "form[action$=herbs]", Map.of("herb", "Nettle", "amount", "200 g"));
        york.submit("/stores", "form[action$=carriers]", Map.of("carrier", "rapeseed", "amount", "1 L"));
        york.submit("/stores", "form[action$=jars]", Map.of("capacity", "500 mL", "width", "84 mm", "pieces", "2"));
        String address = york.post("/settings/calendar", Map.of())
                .page()
                .getElementById("address")
                .attr("value")
                .replaceAll("https?://[^/]*", "");
        york.post(Visitor.form(
                york.get("/bench?method=cold-dark&amount=30+g&length=56+days").page(), "#bench", Map.of()));
        Calendar calendar = calendar(york.get(address).raw().body());
        VEvent strain = calendar.getComponents("VEVENT").stream()
                .map(VEvent.class::cast)
                .filter(event -> uid(event).contains(".strain."))
                .findFirst()
                .orElseThrow();
        ZonedDateTime start = ZonedDateTime.from(((DtStart<?>) strain.getRequiredProperty(Property.DTSTART)).getDate());
        assertThat(start.withZoneSameInstant(ZoneId.of("America/New_York")).toLocalTime())
                .hasToString("08:00");
        assertThat(york.get(address).raw().body()).contains("BEGIN:DAYLIGHT", "BEGIN:STANDARD");
    }

    @Test
    void onlyTheNewestSecretOpensItAndNothingElse() {
        Visitor nobody = new Visitor(port);
        start("method=cold-dark&amount=30+g");
        assertThat(nobody.get(feed).raw().body()).contains("BEGIN:VEVENT");
        assertThat(nobody.get(feed.substring(0, feed.length() - 1) + (feed.endsWith("A") ? "B" : "A"))
                        .status())
                .isEqualTo(404);
        assertThat(nobody.get("/shelf").path()).isEqualTo("/sign-in");
        String newer = tove.post("/settings/calendar", Map.of())
                .page()
                .getElementById("address")
                .attr("value")
                .replaceAll("https?://[^/]*", "");
        assertThat(nobody.get(feed).status()).isEqualTo(404);
        assertThat(nobody.get(newer).status()).isEqualTo(200);
        tove.post("/settings/calendar/revoke", Map.of());
        assertThat(nobody.get(newer).status()).isEqualTo(404);
        assertThat(tove.get("/settings/calendar").page().text()).contains("There is no address yet");
    }

    private String start(String query) {
        Answer answer = tove.post(Visitor.form(tove.get("/bench?" + query).page(), "#bench", Map.of()));
        assertThat(answer.path()).startsWith("/batch/");
        return answer.path();
    }

    private Map<String, VEvent> events(String address) {
        Map<String, VEvent> events = new LinkedHashMap<>();
        List<VEvent> all = calendar(tove.get(address).raw().body()).getComponents("VEVENT");
        all.forEach(event -> assertThat(events.put(uid(event), event))
                .as("one event to a task: " + uid(event))
                .isNull());
        return events;
    }

    private static Calendar calendar(String text) {
        try {
            return new CalendarBuilder().build(new StringReader(text));
        } catch (Exception unreadable) {
            throw new AssertionError(text, unreadable);
        }
    }

    private static String uid(VEvent event) {
        return event.getRequiredProperty(Property.UID).getValue();
    }

    private static LocalDateTime at(Map<String, VEvent> events, String part) {
        Temporal start = ((DtStart<?>) find(events, part).getRequiredProperty(Property.DTSTART)).getDate();
        return LocalDateTime.from(start);
    }

    private static String status(Map<String, VEvent> events, String part) {
        return find(events, part).getRequiredProperty(Property.STATUS).getValue();
    }

    private static VEvent find(Map<String, VEvent> events, String part) {
        return events.entrySet().stream()
                .filter(event -> event.getKey().contains(part))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no " + part + " in " + events.keySet()))
                .getValue();
    }
}
