package app.velvetcrock.core.jot;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.core.kitchen.HouseholdUnits;
import app.velvetcrock.core.kitchen.Wording;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

class JotReaderTest {

    private static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 24, 9, 0);
    private static final Wording SAY = new Wording(HouseholdUnits.METRIC, ZoneOffset.UTC);
    private static final DateTimeFormatter AT = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    private static final List<Thing> STANDS = List.of(
            thing(11, "Self-heal", Thing.Kind.JAR),
            thing(12, "Yarrow", Thing.Kind.JAR),
            thing(14, "Elderflower", Thing.Kind.JAR),
            thing(15, "Meadowsweet", Thing.Kind.JAR),
            thing(16, "Birch bud", Thing.Kind.HEATED, "crock"),
            thing(17, "Elderflower", Thing.Kind.JAR),
            thing(3, "Yarrow oil", Thing.Kind.OIL),
            thing(5, "Nettle oil", Thing.Kind.OIL),
            thing(21, "Healing salve", Thing.Kind.GOOD, "salve"),
            thing(22, "Lip balm", Thing.Kind.GOOD, "balm"));

    /** Of 83 scribbles it was never mended by; six it takes for something else, four of these in other words for the same. */
    private static final int RIGHT_UNSEEN = 70;

    private static final int OTHERWISE_UNSEEN = 6;

    private static final JotReader READER = new JotReader(STANDS, HouseholdUnits.METRIC, NOW);

    private static Thing thing(int number, String name, Thing.Kind kind, String... also) {
        return new Thing(new UUID(0, number), kind, number, name, List.of(also));
    }

    @TestFactory
    Stream<DynamicTest> eachScribbleIsReadAsItsRowSays() throws IOException {
        return rows("scribbles.txt").stream().map(row -> {
            int bar = row.indexOf(" | ");
            String scribble = row.substring(0, bar);
            return DynamicTest.dynamicTest(
                    scribble, () -> assertThat(told(scribble)).isEqualTo(row.substring(bar + 3)));
        });
    }

    /** A deed without a row here is one nobody thought of. */
    @Test
    void everyDeedHasALineOrAPlace() throws IOException {
        Map<String, String> rows = new TreeMap<>();
        for (String row : rows("deeds-by-line.txt")) {
            int bar = row.indexOf(" | ");
            rows.put(row.substring(0, bar), row.substring(bar + 3));
        }
        assertThat(rows.keySet())
                .isEqualTo(Stream.of(Deed.class, StoreDeed.class, PanDeed.class)
                        .flatMap(of -> Stream.of(of.getPermittedSubclasses())
                                .map(deed -> of.getSimpleName() + "." + deed.getSimpleName()))
                        .collect(Collectors.toCollection(TreeSet::new)));
        rows.forEach((deed, line) -> {
            if (!line.startsWith("- ")) {
                assertThat(READER.read(line).isClear()).as(deed + ": " + line).isTrue();
            }
        });
    }

    /**
     * What it was not made for: read right, or marked where the row says so. A scribble read otherwise than it was meant is worse than one
     * that is marked, so those are counted apart.
     */
    @Test
    void ofWhatItNeverSawItTakesLittleForAnotherThing() throws IOException {
        List<String> right = new ArrayList<>();
        List<String> otherwise = new ArrayList<>();
        for (String row : rows("scribbles-unseen.txt")) {
            int bar = row.indexOf(" | ");
            String told = told(row.substring(0, bar));
            String meant = row.substring(bar + 3);
            boolean asks = told.startsWith("?");
            if (told.equals(meant) || asks && meant.startsWith("?")) {
                right.add(row);
            } else if (!asks) {
                otherwise.add(row + " >> " + told);
            }
        }
        assertThat(right).as("read right; otherwise: %s", otherwise).hasSizeGreaterThanOrEqualTo(RIGHT_UNSEEN);
        assertThat(otherwise).as("taken for another thing").hasSizeLessThanOrEqualTo(OTHERWISE_UNSEEN);
    }

    private static List<String> rows(String file) throws IOException {
        try (InputStream in = Objects.requireNonNull(JotReaderTest.class.getResourceAsStream("/" + file))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(row -> !row.isBlank() && !row.startsWith("#"))
                    .toList();
        }
    }

    private static String told(String line) {
        Jotted read = READER.read(line);
        if (!read.doubts().isEmpty()) {
            Jotted.Doubt first = read.doubts().get(0);
            return "? "
                    + (first.from() == first.to()
                            ? "which"
                            : line.substring(first.from(), first.to()).toLowerCase(Locale.ROOT));
        }
        return read.said().stream().map(JotReaderTest::told).collect(Collectors.joining(" / "));
    }

    private static String told(Jotted.Said said) {
        String facts = said.facts().stream().map(fact -> fact.words(SAY)).collect(Collectors.joining(", "));
        return said.thing().number()
                + " "
                + said.thing().name()
                + (facts.isEmpty() ? "" : ": " + facts)
                + said.at().map(at -> " @ " + AT.format(at)).orElse("")
                + (said.note().isEmpty() ? "" : " - " + said.note());
    }

    /** Whatever is typed: it never throws, a doubt lies within the line, and what is clear is about something and says something. */
    @Test
    void noLineThrowsAndNothingIsMadeUp() {
        Random random = new Random(20261124);
        List<String> words = new ArrayList<>(List.of(
                "yarrow",
                "12",
                "crock",
                "46.2",
                "46,2",
                "shaken",
                "strained",
                "205 g",
                "at 7",
                "yesterday",
                "-",
                "\"",
                "“",
                ";",
                ",",
                "to",
                "Inga",
                "gave",
                "20 ml",
                "smells",
                "sour",
                "°",
                "½",
                "1/0",
                "#",
                "'",
                "\u0000",
                "薬",
                "🫙",
                "999999999999",
                "and",
                "oil",
                "thrown out",
                "ago",
                "10 min",
                ":",
                "..",
                "note",
                "--",
                "\t",
                "mould",
                "(",
                ")*",
                "topped up",
                "e9",
                "-5",
                "٣"));
        for (int trial = 0; trial < 10_000; trial++) {
            String line = random.ints(random.nextInt(12), 0, words.size())
                    .mapToObj(words::get)
                    .collect(Collectors.joining(random.nextInt(5) == 0 ? "" : " "));
            Jotted read = READER.read(line);
            assertThat(read.doubts())
                    .as(line)
                    .allMatch(doubt -> doubt.from() >= 0 && doubt.from() <= doubt.to() && doubt.to() <= line.length());
            if (read.isClear()) {
                assertThat(read.said())
                        .as(line)
                        .allMatch(
                                said -> !said.facts().isEmpty() || !said.note().isEmpty())
                        .allMatch(said -> said.facts().stream()
                                .allMatch(fact -> fact.fits(said.thing().kind())))
                        .allMatch(said -> said.at()
                                .filter(at -> at.isAfter(NOW.plusMinutes(5)))
                                .isEmpty());
            }
        }
    }
}
