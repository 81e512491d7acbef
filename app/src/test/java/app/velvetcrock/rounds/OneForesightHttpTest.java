package app.velvetcrock.rounds;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.rounds.Coming;
import java.io.StringReader;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Stream;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.Uid;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Batches of any way, begun at any hour, tended and read anyhow, their plans changed, and makings beside them: whatever page, row, label or
 * calendar says when a task is to be done says the same moment of it. As many rounds as {@code -Dcrock.foresights} says.
 */
@HttpTest
class OneForesightHttpTest {

    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    private static final int ROUNDS =
            Integer.getInteger("crock.foresights", Integer.getInteger("crock.cases", 1) > 1 ? 60 : 3);
    private static final int BATCHES = 6;
    private static final List<String> WEEKS = List.of("17-22", "7-9, 18-22:30", "8-22", "0-24", "6-7");

    @LocalServerPort
    int port;

    private Visitor tove;
    private String feed;
    private String herb;

    @BeforeEach
    void household() throws Exception {
        tove = Visitor.stocked(port, "Foresight");
        tove.submit("/stores", "form[action$=jars]", Map.of("capacity", "700 mL", "width", "84 mm", "pieces", "40"));
        tove.submit("/stores", "form[action$=herbs]", Map.of("herb", "Yarrow", "amount", "2 kg"));
        tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", "rapeseed", "amount", "20 L"));
        tove.submit("/stores/supplies", "#add-supply", Map.of("kind", "beeswax", "amount", "4 kg"));
        herb = tove.get("/bench")
                .page()
                .select("select[name=herb] option:contains(Yarrow)")
                .attr("value");
        feed = tove.post("/settings/calendar", Map.of())
                .page()
                .getElementById("address")
                .attr("value")
                .replaceAll("https?://[^/]*", "");
    }

    @Test
    void eachTaskHasOneMomentEverywhere() throws Exception {
        int told = 0;
        int severally = 0;
        for (int round = 0; round < ROUNDS; round++) {
            Random any = new Random(20_261_124L + round);
            hours(any);
            List<String> batches = new ArrayList<>();
            for (int i = 0; i < BATCHES; i++) {
                begin(any).ifPresent(batches::add);
            }
            for (String batch : batches) {
                int deeds = any.nextInt(7);
                for (int i = 0; i < deeds; i++) {
                    something(batch, any);
                }
            }
            List<String> makings = List.of(making(any), making(any));
            Map<String, Map<String, String>> said = new TreeMap<>();
            Stream.of(
                            Stream.of("/shelf", "/press"),
                            batches.stream().flatMap(one -> Stream.of(one, one + "/label", one + "/watch")),
                            makings.stream())
                    .flatMap(pages -> pages)
                    .forEach(page -> collect(page, said));
            calendar(said);
            for (var task : said.entrySet()) {
                assertThat(new TreeSet<>(task.getValue().values()))
                        .as("round %d: %s is said to be at %s", round, task.getKey(), task.getValue())
                        .hasSize(1);
                severally += task.getValue().size() > 1 ? 1 : 0;
                told++;
            }
            assertThat(said.keySet())
                    .as("what cools in the pan is told too")
                    .anyMatch(task -> task.contains(".pan.pan."));
            for (String batch : batches) {
                tove.submit(batch, "form[action$=discard]", Map.of("ruin", "OTHER", "lesson", "the round is over"));
            }
        }
        assertThat(told).isGreaterThan(ROUNDS * BATCHES * 4);
        assertThat(severally).as("what several places tell").isGreaterThan(ROUNDS * BATCHES);
    }

    private void hours(Random any) {
        Map<String, String> week = new HashMap<>();
        for (int day = 0; day < 7; day++) {
            week.put("day[%d]".formatted(day), WEEKS.get(any.nextInt(WEEKS.size())));
        }
        Document page = tove.get("/settings/hours").page();
        boolean known = !page.select("form:has(input[name=id])").isEmpty();
        Map<String, String> filled = new HashMap<>(week);
        if (!known) {
            filled.put("name", "Tove");
        }
        Answer kept = tove.submit("/settings/hours", known ? "form:has(input[name=id])" : "#new-person", filled);
        assertThat(kept.status()).as(kept.page().text()).isEqualTo(200);
    }

    private Optional<String> begin(Random any) {
        List<Method> ways = Method.shipped();
        Method way = ways.get(any.nextInt(ways.size()));
        String start = "2026-11-%02d %02d:%02d".formatted(18 + any.nextInt(6), any.nextInt(24), any.nextInt(60));
        Answer bench = tove.get(
                "/bench?herb=%s&amount=30+g&method=%s&start=%s".formatted(herb, way.key(), start.replace(" ", "+")));
        assertThat(bench.status()).as(way.key()).isLessThan(500);
        if (bench.page().select("#start-batch[disabled]").size() > 0
                || bench.page().select("#start-batch").isEmpty()) {
            return Optional.empty();
        }
        Answer begun = tove.post(Visitor.form(bench.page(), "#bench", Map.of()));
        return begun.path().startsWith("/batch/") ? Optional.of(begun.path()) : Optional.empty();
    }

    /** Something melted, off the heat some minutes ago, and perhaps read since. */
    private String making(Random any) {
        Document planned = tove.get("/pan?was=salve&kind=salve&into=&much=%d+g".formatted(90 + any.nextInt(300)))
                .page();
        String at = tove.post(Visitor.form(planned, "#pan", Map.of("when", "2026-11-24T08:00")))
                .path();
        assertThat(at).startsWith("/pan/0");
        int off = 30 + any.nextInt(29);
        done(at + "/did/MELT", "2026-11-24T08:20", Map.of());
        done(at + "/test", "2026-11-24T08:25", Map.of("felt", "RIGHT"));
        done(at + "/off-heat", "2026-11-24T08:" + off, Map.of("where", "IN_AIR", "temperature", "74 °C"));
        if (any.nextBoolean()) {
            done(at + "/read", "2026-11-24T08:59", Map.of("temperature", 55 + any.nextInt(15) + " °C"));
        }
        return at;
    }

    private void done(String action, String when, Map<String, String> fields) {
        Map<String, String> said = new HashMap<>(fields);
        said.put("when", when);
        said.put("key", UUID.randomUUID().toString());
        assertThat(tove.post(action, said).status()).as(action).isEqualTo(200);
    }

    /** Heat on or off, a reading, the next task done, the plan changed, at some time in the last days; what may not be is refused. */
    private void something(String batch, Random any) {
        String when = "2026-11-%02dT%02d:%02d".formatted(22 + any.nextInt(3), any.nextInt(24), any.nextInt(60));
        Document page = tove.get(batch).page();
        Answer done =
                switch (any.nextInt(4)) {
                    case 0, 1 -> {
                        Element task =
                                page.selectFirst("form[action*=heat-on], form[action*=heat-off], form[action*=.next.]");
                        yield task == null
                                ? tove.get(batch)
                                : tove.post(task.attr("action"), Map.of("when", when, "key", UUID.randomUUID() + ""));
                    }
                    case 2 -> page.select("form[action$=heat]").isEmpty()
                            ? tove.get(batch)
                            : tove.submit(
                                    batch,
                                    "form[action$=heat]",
                                    Map.of("temperature", 38 + any.nextInt(12) + " °C", "when", when));
                    default -> page.select("#change-plan form").isEmpty()
                            ? tove.get(batch)
                            : tove.submit(batch, "#change-plan form", Map.of("reason", "to see", "strain", when));
                };
        assertThat(done.status()).isLessThan(500);
    }

    private void collect(String page, Map<String, Map<String, String>> said) {
        Answer answer = tove.get(page);
        assertThat(answer.status()).as(page).isLessThan(500);
        for (Element time : answer.page().select("time[data-task]")) {
            if (!time.attr("data-task").isEmpty()) {
                said.computeIfAbsent(time.attr("data-task"), one -> new TreeMap<>())
                        .put(page + " " + time.parents().size(), time.attr("datetime"));
            }
        }
    }

    /** A calendar has steps of five minutes: it is compared with what else is said in such steps, and told as that. */
    private void calendar(Map<String, Map<String, String>> said) throws Exception {
        var calendar = new CalendarBuilder()
                .build(new StringReader(tove.get(feed).raw().body()));
        for (var component : calendar.getComponents("VEVENT")) {
            VEvent event = (VEvent) component;
            String task = event.<Uid>getProperty("UID").orElseThrow().getValue().replace("@velvet-crock", "");
            boolean confirmed = event.toString().contains("CONFIRMED");
            Map<String, String> others = said.get(task);
            if (!confirmed || others == null) {
                continue;
            }
            Instant at = LocalDateTime.from(event.<DtStart<?>>getProperty("DTSTART")
                            .orElseThrow()
                            .getDate())
                    .atZone(LONDON)
                    .toInstant();
            String exact = others.values().iterator().next();
            boolean by = task.contains(".read.") || task.contains(".water.");
            Instant there =
                    by ? Coming.rounded(Instant.parse(exact).minusSeconds(150)) : Coming.rounded(Instant.parse(exact));
            others.put("calendar", there.equals(at) ? exact : at + " in the calendar");
        }
    }
}
