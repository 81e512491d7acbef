package app.velvetcrock.bench;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.Visitor.Answer;
import app.velvetcrock.core.method.Method;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Sixty plans, of hours at home, heat, two stages, blends of herbs and of oils, fresh herb, food and divided jars, taken from the
 * Bench to the batch, Shelf, Press, label and calendar. What says one day or one amount on two pages says the same on both; what
 * cannot be started says why.
 */
@HttpTest
class SixtyPlansHttpTest {

    private static final int PLANS = 20;
    private static final String TODAY = "24 Nov";
    private static final Pattern DAY = Pattern.compile("(?:Mon|Tue|Wed|Thu|Fri|Sat|Sun) (\\d{1,2} [A-Z][a-z]{2})");

    @LocalServerPort
    int port;

    private final List<String> wrong = new ArrayList<>();
    private String told = "";
    private int started;
    private int refused;

    @Test
    void everyFigureAgreesInUsualHours() {
        walk(household("Usual hours"), new Random(61));
    }

    @Test
    void everyFigureAgreesInEvenings() {
        Visitor tove = household("Evenings");
        hours(tove, "8-10, 17-22", "8-22");
        walk(tove, new Random(62));
    }

    @Test
    void everyFigureAgreesOnTwoDaysAWeek() {
        Visitor tove = household("Two days");
        hours(tove, "", "8-20", 1);
        walk(tove, new Random(63));
    }

    private void walk(Visitor tove, Random random) {
        for (int i = 0; i < PLANS; i++) {
            Map<String, String> asked = plan(tove.get("/bench").page(), random);
            Document bench = tove.get("/bench?" + query(asked)).page();
            if (bench.select("#start-batch:not([disabled])").isEmpty()) {
                refused++;
                String why = bench.select(
                                ".beside .bad, .note .bad, .verdict.bad, #chosen-refused, .caution.REFUSE, #refused")
                        .text();
                check(
                        !why.isBlank(),
                        asked,
                        "cannot be started and does not say why",
                        bench.select("#verdict").text());
                continue;
            }
            Answer answer = tove.post(Visitor.form(bench, "#bench", Map.of()));
            boolean went = answer.status() == 200 && answer.path().matches("/(batch/.*|shelf)");
            check(
                    went,
                    asked,
                    "offered to be started and refused",
                    answer.page().select(".beside, .note").text());
            if (went) {
                started++;
                agree(tove, asked, bench, batch(tove, answer));
            }
        }
        assertThat(wrong).isEmpty();
        // The wishes are drawn so that most can be made; else this test would look at nothing.
        assertThat(started).isGreaterThanOrEqualTo(PLANS / 2);
        assertThat(refused).isPositive();
    }

    /** Of several jars the first; they stand alike. */
    private static String batch(Visitor tove, Answer answer) {
        return answer.path().startsWith("/batch/")
                ? answer.path().replaceFirst("\\?.*", "")
                : tove.get("/press").page().select("td a[href^=/batch/]").stream()
                        .filter(a -> a.text().contains("(1 of "))
                        .max(Comparator.comparing(a -> Integer.valueOf(a.text().replaceFirst(":.*", ""))))
                        .orElseThrow()
                        .attr("href");
    }

    private void agree(Visitor tove, Map<String, String> asked, Document bench, String path) {
        Document batch = tove.get(path).page();
        String label = tove.get(path + "/label").page().select(".ink-label").text();
        String calendar = tove.get(path + "/calendar").raw().body().replace("\r\n ", "");
        String number = label.replaceFirst(".*Batch (\\d+),.*", "$1");
        String press = tove.get("/press")
                .page()
                .select("tr:contains(" + number + ": )")
                .text();
        told = bench.select("#steps td:nth-child(2)").text() + " / "
                + batch.select("#ahead").text();
        boolean split = "split".equals(asked.get("jar"));

        String said = day(bench.select(".plan-notes .lead").text());
        same(
                asked,
                "steps of the Bench",
                said,
                day(bench.select("#steps tr:contains(measure)").text()));
        String strain = day(batch.select("#ahead tr:contains(measure)").text());
        // Where the hours ask it to begin on a later day, starting it today is another plan, with days of its own.
        if (day(bench.select("#steps tr:contains(chop)").text()).equals(TODAY)) {
            same(asked, "what is ahead of the batch", said, strain);
        }
        same(
                asked,
                "head of the batch",
                strain,
                day(batch.select(".lead").first().text()));
        same(asked, "Press", strain, day(press));
        check(label.contains("strain " + strain + " 20"), asked, "label lacks " + strain, label);
        check(
                calendarHas(calendar, strain),
                asked,
                "calendar lacks the straining on " + strain,
                calendar.replaceAll("(?s).*?(SUMMARY[^\r\n]*Strain)", "$1"));

        String oil = split
                ? bench.select("#split tr").first().select("td").last().text().replace(" oil", "")
                : bench.select("#oil-mark").text();
        String herb = split
                ? bench.select("#split tr").first().select("td").first().text().replace(",", "")
                : bench.select("#herb-mark").text();
        check(label.contains(herb + " herb, " + oil + " oil"), asked, "label lacks %s, %s".formatted(herb, oil), label);
        check(
                batch.select(".went").text().contains(oil),
                asked,
                "batch lacks " + oil,
                batch.select(".went").text());
        if (!split) {
            String back = bench.select("#yield").text();
            check(
                    batch.select(".went tr:contains(Expected back)").text().contains(back),
                    asked,
                    "batch lacks back " + back,
                    batch.select(".went").text());
            check(press.contains(back), asked, "Press lacks back " + back, press);
        }
        if (!bench.select("#food-rule").isEmpty()) {
            String till = bench.select("#keep").text().replace("till ", "");
            check(label.contains(till), asked, "food's label lacks " + till, label);
            check(
                    batch.select("#food-rule").text().contains(till),
                    asked,
                    "batch lacks food's day " + till,
                    batch.select("#food-rule").text());
        }
        Document shelf = tove.get("/shelf").page();
        check(!shelf.select("a[href='" + path + "']").isEmpty(), asked, "not on the Shelf", path);
        // Rounds says the weekday of what is still to come within a week.
        String row = shelf.select("[data-row^=" + path.replace("/batch/", "") + "-][data-row*=strain] .when")
                .text();
        String weekday = batch.select("#ahead tr:contains(measure)")
                .text()
                .replaceFirst("(?s).*?([A-Z][a-z]{2}) \\d{1,2} [A-Z].*", "$1");
        check(
                !row.matches("[A-Z][a-z]{2}") || row.equals(weekday),
                asked,
                "Rounds says " + row + " and not " + weekday,
                row);
    }

    /** The month and day in the file's own form. */
    private static boolean calendarHas(String calendar, String strain) {
        String[] words = strain.split(" ");
        int month = List.of("Jan Feb Mar Apr May Jun Jul Aug Sep Oct Nov Dec".split(" "))
                        .indexOf(words[1])
                + 1;
        String date = "%02d%02d".formatted(month, Integer.parseInt(words[0]));
        for (String event : calendar.split("BEGIN:VEVENT")) {
            if (event.matches("(?s).*SUMMARY[^\\r\\n]*Strain.*")
                    && event.matches("(?s).*DTSTART[^\\r\\n]*:20\\d\\d" + date + ".*")) {
                return true;
            }
        }
        return false;
    }

    private static String day(String words) {
        Matcher day = DAY.matcher(words);
        return day.find() ? day.group(1) : "no day in “%s”".formatted(words);
    }

    private void same(Map<String, String> asked, String where, String expected, String found) {
        check(expected.equals(found), asked, "%s: %s, and elsewhere it is %s".formatted(where, found, expected), told);
    }

    private void check(boolean right, Map<String, String> asked, String what, String seen) {
        if (!right) {
            wrong.add("%s: %s [%s]".formatted(asked, what, seen));
        }
    }

    private static Map<String, String> plan(Document bench, Random random) {
        Map<String, String> asked = new LinkedHashMap<>();
        List<String> herbs = bench.select("#herb option").eachAttr("value");
        List<String> oils = bench.select("#carrier option").eachAttr("value");
        List<Method> ways = Method.shipped();
        asked.put("herb", pick(herbs, random));
        asked.put("amount", 10 + random.nextInt(70) + " g");
        asked.put("carrier", pick(oils, random));
        asked.put("method", pick(ways, random).key());
        asked.put("use", pick(List.of("ADULT_SKIN", "HANDS", "FOOD", "FACE"), random));
        asked.put("oil", pick(List.of("", "", "1:8", "1:12", "400 mL", "2 cm above"), random));
        if (random.nextInt(3) == 0) {
            asked.put("more[0].herb", pick(herbs, random));
            asked.put("more[0].amount", pick(List.of("1 part", "½ part", "15 g"), random));
        }
        if (random.nextInt(3) == 0) {
            asked.put("mix.more[0].carrier", pick(oils, random));
            asked.put("mix.more[0].share", pick(List.of("half", "30 %", "1 part", "25 % by weight"), random));
        }
        if (random.nextInt(4) == 0) {
            asked.put("jar", "split");
        }
        if (random.nextInt(5) == 0) {
            asked.put("want.amount", pick(List.of("200 mL", "350 mL"), random));
        }
        return asked;
    }

    private Visitor household(String name) {
        Visitor tove = Visitor.stocked(port, name);
        String[][] herbs = {
            {"Calendula", "DRIED"},
            {"Yarrow", "FRESH"},
            {"Plantain", "WILTED"},
            {"Elderflower", "DRIED"},
            {"Nettle", "DRIED"}
        };
        for (String[] herb : herbs) {
            tove.submit(
                    "/stores", "form[action$=herbs]", Map.of("herb", herb[0], "amount", "3 kg", "moisture", herb[1]));
        }
        for (String oil : List.of("rapeseed", "olive", "sunflower-high-oleic", "sesame", "coconut")) {
            tove.submit("/stores", "form[action$=carriers]", Map.of("carrier", oil, "amount", "20 L"));
        }
        for (String jar : List.of("350 mL", "750 mL", "1 L", "2 L")) {
            tove.submit(
                    "/stores",
                    "form[action$=jars]",
                    Map.of("capacity", jar, "width", jar.equals("2 L") ? "130 mm" : "90 mm", "pieces", "40"));
        }
        tove.post(
                "/stores/kit",
                Map.of("kind", "POT", "name", "Wide pan", "capacity", "6 L", "width", "280 mm", "pieces", "9"));
        return tove;
    }

    /** Home on weekdays and at weekends for so long; on some days, counted from Monday as 0, as at the weekend. */
    private static void hours(Visitor tove, String weekday, String weekend, Integer... likeWeekend) {
        Map<String, String> week = new HashMap<>(Map.of("name", "Tove"));
        for (int day = 0; day < 7; day++) {
            week.put("day[%d]".formatted(day), day < 5 && !List.of(likeWeekend).contains(day) ? weekday : weekend);
        }
        assertThat(tove.submit("/settings/hours", "#new-person", week).page().text())
                .contains("The hours of Tove are kept");
    }

    private static String query(Map<String, String> asked) {
        return String.join(
                "&",
                asked.entrySet().stream()
                        .map(e -> Visitor.encode(e.getKey()) + "=" + Visitor.encode(e.getValue()))
                        .toList());
    }

    private static <T> T pick(List<T> from, Random random) {
        return from.get(random.nextInt(from.size()));
    }
}
