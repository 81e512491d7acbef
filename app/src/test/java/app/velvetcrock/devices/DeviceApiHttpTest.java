package app.velvetcrock.devices;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.TestPropertySource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.json.JsonMapper;

/** A crock on heat since seven with a probe in it; it is nine o'clock. */
@HttpTest
@ExtendWith(OutputCaptureExtension.class)
@TestPropertySource(properties = "crock.device-messages=1000000")
class DeviceApiHttpTest {

    private static final String READINGS = "/api/readings";

    @LocalServerPort
    int port;

    private Visitor tove;
    private Teller probe;
    private String batch;

    @BeforeEach
    void onHeat() {
        tove = Visitor.stocked(port, "Probed");
        probe = Teller.made(port, tove, "PROBE", "probe by the stove");
        batch = heated(tove);
        put("in");
    }

    private static String heated(Visitor by) {
        Document bench =
                by.get("/bench?amount=30+g&method=slow-warm&start=2026-11-23").page();
        String batch = by.post(Visitor.form(bench, "#bench", Map.of())).path();
        by.submit(batch, "form[action*=heat-on]", Map.of("when", "2026-11-24T07:00"));
        return batch;
    }

    private void put(String where) {
        Document page = tove.get(batch).page();
        String address = page.select("form[action*=/probe/], button[formaction*=/probe/]").stream()
                .map(found -> found.hasAttr("formaction") ? found.attr("formaction") : found.attr("action"))
                .filter(found -> found.endsWith("/" + where))
                .findFirst()
                .orElseThrow();
        tove.post(address, Map.of("key", UUID.randomUUID().toString(), "when", "2026-11-24T07:00"));
    }

    private static String line(Instant at, double celsius) {
        return "{\"at\":\"%s\",\"celsius\":%s}".formatted(at, celsius);
    }

    /** Every half a minute from a moment on: up to 46 °C, by the law a pot follows. */
    private static List<String> course(Instant from, int readings) {
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < readings; i++) {
            double celsius = 46 - 26 * Math.exp(-i * 0.5 / 20);
            lines.add(line(from.plusSeconds(i * 30L), Math.round(celsius * 1000) / 1000.0));
        }
        return lines;
    }

    private static String message(List<String> lines) {
        return "{\"readings\":[" + String.join(",", lines) + "]}";
    }

    private String heat() {
        return tove.get(batch).page().select("p:contains(heat-hours)").text();
    }

    /** However it comes, in pieces, packed, as CSV, late, anyhow, twice: the course is that of every reading once. */
    @Test
    void howeverItComesTheCourseIsTheSame() {
        List<String> lines = course(Instant.parse("2026-11-24T06:00:00Z"), 358);
        assertThat(probe.says(READINGS, message(lines)).body()).contains("\"taken\":358", "\"refused\":0");
        String atOnce = heat();
        // what was read before it was put in, at seven, is not this batch's: 118 minutes above 40 °C are
        assertThat(atOnce).contains("2.0 of 8 heat-hours").doesNotContain("not watched");

        Visitor other = Visitor.stocked(port, "In pieces");
        Teller second = Teller.made(port, other, "PROBE", "probe");
        tove = other;
        batch = heated(other);
        put("in");
        List<String> anyhow = new ArrayList<>(lines);
        Collections.shuffle(anyhow, new Random(16));
        for (int from = 0; from < anyhow.size(); from += 50) {
            List<String> piece = anyhow.subList(from, Math.min(anyhow.size(), from + 50));
            HttpResponse<String> said = from % 100 == 0
                    ? second.says(READINGS, Teller.packed(message(piece)), "application/json", "gzip")
                    : second.says(READINGS, csv(piece).getBytes(), "text/csv; charset=utf-8", "");
            assertThat(said.statusCode()).isEqualTo(200);
            assertThat(second.says(READINGS, message(piece)).body())
                    .as("said again")
                    .contains("\"taken\":0", "\"repeated\":" + piece.size());
        }
        assertThat(heat()).isEqualTo(atOnce);
    }

    private static String csv(List<String> lines) {
        StringBuilder csv = new StringBuilder("at,celsius\n");
        lines.forEach(one -> csv.append(one.replaceAll(".*\"at\":\"(.*)\",\"celsius\":(.*)}", "$1,$2"))
                .append('\n'));
        return csv.toString();
    }

    /** What cannot be is refused by its line and the rest is kept; a device without a clock says how long ago. */
    @Test
    void badLinesCostNoGoodOnes() {
        HttpResponse<String> answer = probe.says(
                READINGS,
                message(List.of(
                        line(Instant.parse("2026-11-24T08:59:00Z"), 45),
                        line(Instant.parse("2026-11-24T09:06:00Z"), 45),
                        line(Instant.parse("0001-01-01T00:00:00Z"), 45),
                        line(Instant.parse("9999-12-31T00:00:00Z"), 45),
                        line(Instant.parse("2026-11-24T08:58:00Z"), 451),
                        "{\"secondsAgo\":30,\"fahrenheit\":114.8}",
                        "{\"celsius\":46}",
                        "{\"at\":\"yesterday\",\"celsius\":46}",
                        "7")));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body())
                .contains("\"taken\":2", "\"refused\":7")
                .contains("{\"line\":2,\"why\":\"its moment lies more than 5 minutes ahead\"}", "\"line\":9");
        assertThat(tove.get("/shelf").page().select(".crock-words").text()).contains("46 °C");
    }

    /**
     * "Low" is too hot, as a probe tells it: 41, 47, 52, 56 °C at quarter-hours and all in between are warned of on batch, Shelf and
     * Rounds; 63 °C for ten minutes opens the same danger as typed by hand.
     */
    @Test
    void aProbeWarnsAsAHandDoes() {
        List<String> lines = new ArrayList<>();
        for (int i = 0; i <= 105; i++) {
            Instant at = Instant.parse("2026-11-24T07:14:00Z").plusSeconds(i * 60L);
            lines.add(line(at, Math.round((74 - 50 * Math.exp(-i / 74.0)) * 10) / 10.0));
        }
        probe.says(READINGS, message(lines.subList(0, 76)));
        // 09:00 is 31 minutes later: the probe is silent, and that is what is said as long as nothing is too hot
        assertThat(tove.get(batch).page().select(".heat-alarm").text()).contains("past 60 °C by now");
        assertThat(tove.get("/shelf").page().select(".rounds").text()).contains("past 60 °C by now");
        probe.says(READINGS, message(lines));
        assertThat(tove.get(batch).page().select(".heat-alarm").text()).contains("over its ceiling of 60 °C");
        assertThat(tove.get("/shelf").page().select(".wrongs").text()).contains("overheated");
        assertThat(tove.get("/shelf").page().select(".rounds").text())
                .as("nobody reads what speaks by itself")
                .doesNotContain("Read the heat");
    }

    /** Ten minutes of silence warn; a fall too steep for oil asks, and counts nothing until it is answered. */
    @Test
    void silenceAndAFallAreSaid() {
        probe.says(READINGS, message(course(Instant.parse("2026-11-24T06:00:00Z"), 330)));
        assertThat(tove.get(batch).page().select(".heat-alarm").text())
                .contains("The probe has said nothing since 08:44");
        assertThat(tove.get("/shelf").page().select(".crock-words").text()).contains("probe silent");
        String before = heat();
        List<String> air = new ArrayList<>();
        for (int i = 0; i < 28; i++) {
            air.add(line(Instant.parse("2026-11-24T08:45:00Z").plusSeconds(i * 30L), 24));
        }
        probe.says(READINGS, message(air));
        Document doubted = tove.get(batch).page();
        assertThat(doubted.select(".heat-alarm").text()).contains("is the probe in the oil?");
        assertThat(heat().replaceAll(", .*", "")).isEqualTo(before.replaceAll(", .*", ""));
        tove.post(batch + "/turn/PROBE_IN_OIL", Map.of("key", UUID.randomUUID().toString()));
        assertThat(tove.get(batch).page().select(".heat-alarm").text()).doesNotContain("is the probe in the oil?");
    }

    /** What was read while it was not in counts for nothing; taking the line back takes the readings out of the course. */
    @Test
    void readingsBelongToABatchWhileTheProbeIsInIt() {
        probe.says(READINGS, message(course(Instant.parse("2026-11-24T06:00:00Z"), 358)));
        String with = heat();
        assertThat(tove.get(batch).page().select(".log").text())
                .as("folded into the line it was put in by")
                .contains("Probe put in: probe by the stove; it read 44.7 °C to 46 °C, from 24 Nov 2026, 07:00 to");
        put("out");
        assertThat(heat()).contains("0.0 of 8 heat-hours");
        tove.post(Visitor.form(
                tove.get(batch).page(), "form:has(button[aria-label^='Take back: Probe taken out'])", Map.of()));
        assertThat(heat()).isEqualTo(with);
    }

    /** Two batches in one bath share what its probe reads. */
    @Test
    void twoBatchesInOneBathShareItsProbe() {
        probe.says(READINGS, message(course(Instant.parse("2026-11-24T06:00:00Z"), 358)));
        String first = heat();
        batch = heated(tove);
        put("in");
        assertThat(heat()).isEqualTo(first).contains("2.0 of 8");
        probe.says(READINGS, line(Instant.parse("2026-11-24T08:59:30Z"), 47.3));
        assertThat(tove.get("/shelf").page().select(".crock-words").eachText().toString())
                .contains("47.3 °C")
                .doesNotContain("46 °C");
    }

    @Test
    void aLoggersFileIsLookedThroughAndTakenIn() {
        String file = "Time;Temp (°C)\n24.11.2026 07:30;44,5\n24.11.2026 08:00:10;46,25\nend of file\n";
        Document seen = tove.submit("/settings/probes", "#logger", Map.of("file", file, "act", "look"))
                .page();
        assertThat(seen.getElementById("preview").text())
                .contains("2 readings, 24 Nov 2026, 07:30 to 24 Nov 2026, 08:00, between 44.5 °C and 46.3 °C")
                .contains("not understood: Time Temp (°C)")
                .contains("not understood: end of file");
        assertThat(heat()).contains("0.0 of 8");
        Document taken = tove.post(Visitor.form(seen, "#logger", Map.of("file", file, "act", "take")))
                .page();
        assertThat(taken.text()).contains("2 readings are taken in.");
        assertThat(heat()).contains("not watched");
    }

    /** What lies on a scale is offered for a minute, at rest or not; what was said longer ago lies there no more. */
    @Test
    void whatLiesOnTheScaleIsOfferedForAMinute() {
        assertThat(tove.get("/scale").status()).isEqualTo(204);
        Teller scale = Teller.made(port, tove, "SCALE", "kitchen scale");
        scale.says("/api/weighings", "{\"secondsAgo\":90,\"grams\":200}");
        assertThat(tove.get("/scale").status()).isEqualTo(204);
        scale.says("/api/weighings", "{\"weighings\":[{\"secondsAgo\":20,\"grams\":152.44,\"steady\":false}]}");
        assertThat(tove.get("/scale").raw().body()).contains("\"typed\":\"152.4 g\"", "not at rest yet");
        scale.says("/api/weighings", "{\"secondsAgo\":1,\"grams\":45}");
        assertThat(tove.get("/scale").raw().body()).contains("on the scale: 45 g\"");
    }

    /** What opens nothing says so as a problem, and no page; a token taken away opens nothing. */
    @Test
    void whoeverHasNoTokenIsToldSo() {
        HttpResponse<String> wrong = new Teller(port, "A".repeat(43)).says(READINGS, "{}");
        assertThat(wrong.statusCode()).isEqualTo(401);
        assertThat(wrong.headers().firstValue("Content-Type")).contains("application/problem+json");
        assertThat(new Teller(port, "").says(READINGS, "{}").statusCode()).isEqualTo(401);
        assertThat(probe.says("/api/weighings", "{}").statusCode()).isEqualTo(403);
        assertThat(probe.says("/api/nothing", "{}").statusCode()).isEqualTo(404);
        assertThat(probe.says(READINGS, "{\"readings\":[").statusCode()).isEqualTo(400);
        assertThat(probe.says(READINGS, new byte[3_000_000], "application/json", "")
                        .statusCode())
                .isEqualTo(413);
        assertThat(probe.says(READINGS, "x".getBytes(), "text/plain", "").statusCode())
                .isEqualTo(415);
        String bomb = " ".repeat(9_000_000);
        assertThat(probe.says(READINGS, Teller.packed(bomb), "application/json", "gzip")
                        .statusCode())
                .isEqualTo(413);
        tove.submit("/settings/probes", "form[action$=revoke]", Map.of());
        assertThat(probe.says(READINGS, message(course(Instant.parse("2026-11-24T06:00:00Z"), 2)))
                        .statusCode())
                .isEqualTo(401);
    }

    /** Every example of the published description is taken as it stands there, and every answer has the shape it says. */
    @Test
    void theDescriptionHoldsWhatItSays() throws IOException {
        JsonNode description = new ObjectMapper()
                .readTree(
                        Path.of("..", "docs", "formats", "devices.openapi.json").toFile());
        Teller scale = Teller.made(port, tove, "SCALE", "kitchen scale");
        int sent = 0;
        for (Map.Entry<String, JsonNode> path : description.get("paths").properties()) {
            Teller by = path.getKey().endsWith("weighings") ? scale : probe;
            for (Map.Entry<String, JsonNode> type :
                    path.getValue().at("/post/requestBody/content").properties()) {
                for (JsonNode example : type.getValue().get("examples")) {
                    JsonNode value = example.get("value");
                    String body = value.isString() ? value.asString() : value.toString();
                    HttpResponse<String> answer =
                            by.says(path.getKey(), body.getBytes(StandardCharsets.UTF_8), type.getKey(), "");
                    assertThat(answer.statusCode()).as(body).isEqualTo(200);
                    JsonNode said = new ObjectMapper().readTree(answer.body());
                    assertThat(said.get("refused").asInt())
                            .as(body + answer.body())
                            .isZero();
                    assertThat(said.get("taken").asInt()).as(body).isPositive();
                    description.at("/components/schemas/answer/required").forEach(field -> assertThat(
                                    said.has(field.asString()))
                            .isTrue());
                    sent++;
                }
            }
        }
        assertThat(sent).isEqualTo(6);
    }

    /** Each figure of the published description, a little inside, at and a little outside of it; one of two names, never both. */
    @Test
    void everyConstraintOfTheDescriptionHolds() throws IOException {
        JsonNode schemas = JsonMapper.builder()
                .build()
                .readTree(Files.readString(Path.of("../docs/formats/devices.openapi.json")))
                .at("/components/schemas");
        Teller scale = Teller.made(port, tove, "SCALE", "a scale that is tried");
        int tried = 0;
        for (String kind : List.of("reading", "weighing")) {
            Teller by = kind.equals("reading") ? probe : scale;
            JsonNode fields = schemas.at("/" + kind + "/properties");
            for (String field : List.of("celsius", "fahrenheit", "grams")) {
                for (String end : List.of("minimum", "maximum")) {
                    JsonNode limit = fields.path(field).path(end);
                    if (limit.isNumber()) {
                        double outside = end.equals("minimum") ? -0.01 : 0.01;
                        assertThat(refused(by, kind, field, limit.asDouble() - outside))
                                .isZero();
                        assertThat(refused(by, kind, field, limit.asDouble())).isZero();
                        assertThat(refused(by, kind, field, limit.asDouble() + outside))
                                .isEqualTo(1);
                        tried++;
                    }
                }
            }
        }
        assertThat(tried).isEqualTo(6);
        for (String line : List.of(
                "\"secondsAgo\":1,\"celsius\":46,\"fahrenheit\":115",
                "\"secondsAgo\":1,\"at\":\"2026-11-24T08:00:00Z\",\"celsius\":46",
                "\"secondsAgo\":-0.01,\"celsius\":46",
                "\"secondsAgo\":1,\"grams\":46",
                "\"secondsAgo\":1,\"fahrenheit\":-321.9",
                "\"secondsAgo\":1",
                "\"celsius\":46")) {
            assertThat(refused(probe, "reading", line)).as(line).isEqualTo(1);
        }
        assertThat(refused(scale, "weighing", "\"secondsAgo\":1,\"celsius\":46"))
                .isEqualTo(1);
        assertThat(probe.says(
                                READINGS,
                                "at,celsius\n\"2026-11-24T08:00:00Z,46".getBytes(StandardCharsets.UTF_8),
                                "text/csv",
                                "")
                        .statusCode())
                .as("an open quote")
                .isEqualTo(400);
    }

    /** Without a clock it says a moment a little off when it sends again; that is the reading there is. */
    @Test
    void whatIsSentAgainWithoutAClockIsKnown() {
        assertThat(probe.says(READINGS, "{\"readings\":[{\"secondsAgo\":100,\"celsius\":46.25}]}")
                        .body())
                .contains("\"taken\":1");
        assertThat(probe.says(
                                READINGS,
                                "{\"readings\":[{\"secondsAgo\":101.5,\"celsius\":46.25},{\"secondsAgo\":101.4,\"celsius\":46.5},"
                                        + "{\"secondsAgo\":104,\"celsius\":46.25}]}")
                        .body())
                .contains("\"taken\":2", "\"repeated\":1");
    }

    private static int refused(Teller by, String kind, String field, double value) {
        return refused(by, kind, "\"secondsAgo\":%s,\"%s\":%s".formatted(value % 50 + 60, field, value));
    }

    private static int refused(Teller by, String kind, String line) {
        String said = by.says("/api/%ss".formatted(kind), "{\"%ss\":[{%s}]}".formatted(kind, line))
                .body();
        Matcher count = Pattern.compile("\"refused\":(\\d+)").matcher(said);
        assertThat(count.find()).as(said).isTrue();
        return Integer.parseInt(count.group(1));
    }

    /**
     * Cut, huge, doubled, of a wrong token, of years that cannot be, no numbers at all: ten thousand of them with
     * -Dcrock.malformed=10000. Nothing fails on our side, nothing is changed, and no token stands in a log.
     */
    @Test
    void whateverADeviceSaysNothingBreaks(CapturedOutput output) {
        int messages = Integer.getInteger("crock.messages", 500);
        Random random = new Random(16);
        String good = message(course(Instant.parse("2026-11-24T06:00:00Z"), 5));
        Teller wrong = new Teller(port, "B".repeat(43));
        Teller theirs = Teller.made(port, Visitor.stocked(port, "Elsewhere"), "SCALE", "scale");
        String before = heat();
        List<String> odd = List.of(
                "NaN",
                "Infinity",
                "-1e999",
                "1e309",
                "\"46\"x",
                "null",
                "{}",
                "[]",
                "true",
                "\"\u0000\"",
                "1".repeat(500),
                "-");
        List<String> years = List.of("0001", "9999", "-2026", "99999999", "1969", "2027");
        for (int i = 0; i < messages; i++) {
            int kind = random.nextInt(7);
            String body =
                    switch (kind) {
                        case 0 -> good.substring(0, random.nextInt(good.length()));
                        case 1 -> "{\"readings\":[{\"at\":\"%s-11-24T08:00:00Z\",\"celsius\":46}]}"
                                .formatted(years.get(random.nextInt(years.size())));
                        case 2 -> "{\"readings\":[{\"at\":\"2026-11-24T08:00:00Z\",\"celsius\":%s}]}"
                                .formatted(odd.get(random.nextInt(odd.size())));
                        case 3 -> "[".repeat(random.nextInt(3_000));
                        case 4 -> "{\"readings\":[{\"secondsAgo\":%s,\"celsius\":46}]}"
                                .formatted(random.nextBoolean() ? "-5" : "1e300");
                        case 5 -> good + good;
                        default -> random.ints(200, 1, 0xD000)
                                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                                .toString();
                    };
            Teller by = random.nextInt(10) == 0 ? wrong : random.nextInt(10) == 0 ? theirs : probe;
            String type = random.nextInt(4) == 0 ? "text/csv" : "application/json";
            int status = by.says(
                            READINGS,
                            body.getBytes(StandardCharsets.UTF_8),
                            type,
                            random.nextInt(20) == 0 ? "gzip" : "")
                    .statusCode();
            assertThat(status).as("%s: %s", kind, body).isBetween(200, 499);
        }
        assertThat(heat()).isEqualTo(before);
        assertThat(output.getAll()).doesNotContain(probe.token()).doesNotContain(wrong.token());
    }

    /** A token is of one household's device; what others say with theirs never shows here. */
    @Test
    void anotherHouseholdsProbeTellsNothingHere() {
        Visitor stranger = Visitor.stocked(port, "Strangers");
        Teller theirs = Teller.made(port, stranger, "PROBE", "probe by the stove");
        String before = tove.get(batch).page().select("section").text();
        theirs.says(READINGS, message(course(Instant.parse("2026-11-24T06:00:00Z"), 100)));
        assertThat(tove.get(batch).page().select("section").text()).isEqualTo(before);
        String address = tove.get(batch).page().select("[formaction*=/probe/]").attr("formaction");
        assertThat(stranger.post(address, Map.of("key", UUID.randomUUID().toString()))
                        .status())
                .isEqualTo(404);
    }
}
