package app.velvetcrock.core.label;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.label.LabelLine.Role;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A label's lines in their places: within it, as large as fits, and nothing lost. */
class LabelLayoutTest {

    private static final Paper.Size USUAL = new Paper.Size(63.5, 33.9);

    private static List<LabelLine> jar() {
        return List.of(
                LabelLine.of(Role.TITLE, "Self-heal"),
                LabelLine.of(Role.OF, "Prunella vulgaris, dried tops, cut and sifted"),
                LabelLine.of(Role.OF, "in Cold-pressed rapeseed, 1 : 7.5 (g : mL)"),
                LabelLine.of(Role.AMOUNT, "30 g herb, 225 mL oil"),
                LabelLine.of(Role.DATES, "Charged 31 Oct 2026, strain 5 Dec 2026"),
                LabelLine.of(Role.CAUTIONS, "Patch test first."),
                LabelLine.of(Role.BATCH, "Batch 11, Gannet Row"));
    }

    private static String read(LabelLayout.Result result) {
        return result.labels().stream()
                .flatMap(label -> label.runs().stream())
                .map(Laid.Run::text)
                .collect(Collectors.joining(" "))
                .replaceAll("\\s+", " ");
    }

    /** "Self-heal" in bold: S 0.614 + e .. by the table; its width is the sum of its advances times its size. */
    @Test
    void aSignAdvancesByTheTable() {
        assertThat(Face.REGULAR.width(" ", 10)).isCloseTo(2.80, within(0.001));
        assertThat(Face.BOLD.width("!!", 10)).isCloseTo(6.06, within(0.001));
        assertThat(Face.has('é')).isTrue();
        assertThat(Face.has(0x85AC)).isFalse();
        assertThat(Face.REGULAR.width("薬", 10)).isCloseTo(6.2, within(0.001));
    }

    @Test
    void everythingStandsWithinTheLabelAndIsSaid() {
        LabelLayout.Result result = LabelLayout.of(jar(), USUAL, LabelLayout.SMALLEST);
        assertThat(result.fits()).isTrue();
        Laid label = result.labels().get(0);
        stands(label);
        assertThat(label.xHeight()).isBetween(LabelLayout.SMALLEST, 2.61);
        for (LabelLine line : jar()) {
            assertThat(read(result)).contains(line.text().split(" ")[0]);
        }
    }

    private static void stands(Laid label) {
        for (Laid.Run run : label.runs()) {
            int last = run.text().codePointBefore(run.text().length());
            double end = run.xs().get(run.xs().size() - 1) + run.face().advance(last) * run.size();
            assertThat(run.xs().get(0)).isGreaterThan(0.5);
            assertThat(end).as(run.text()).isLessThan(label.of().width() - 0.5);
            assertThat(run.y() - Face.ASCENT * run.size()).isGreaterThan(0);
            assertThat(run.y() + Face.DESCENT * run.size())
                    .isLessThan(label.of().height());
            assertThat(run.xs()).isSorted();
            assertThat(run.xs()).hasSize((int) run.text().codePoints().count());
        }
    }

    /** The same words on a larger label in letters no smaller, and on a smaller one no larger. */
    @Test
    void aLargerLabelHasNoSmallerLetters() {
        double before = 0;
        for (double scale = 0.7; scale < 2; scale += 0.1) {
            LabelLayout.Result result =
                    LabelLayout.of(jar(), new Paper.Size(63.5 * scale, 33.9 * scale), LabelLayout.SMALLEST);
            double now = result.fits() ? result.labels().get(0).xHeight() : 0;
            assertThat(now).isGreaterThanOrEqualTo(before - 0.001);
            before = now;
        }
        assertThat(before).isCloseTo(2.6, within(0.05));
    }

    @Test
    void whatDoesNotFitGoesToASecondAndTheCautionsStayOnTheFirst() {
        List<LabelLine> much = new ArrayList<>(jar());
        for (int i = 0; i < 12; i++) {
            much.add(1, LabelLine.of(Role.OF, "Herba prolixa longissima " + i + ", dried tops, cut and sifted"));
        }
        LabelLayout.Result result = LabelLayout.of(much, USUAL, LabelLayout.SMALLEST);
        assertThat(result.labels()).hasSizeGreaterThan(1);
        String first =
                result.labels().get(0).runs().stream().map(Laid.Run::text).collect(Collectors.joining(" "));
        assertThat(first).contains("Self-heal", "Patch test first.");
        assertThat(result.labels()).allSatisfy(label -> {
            stands(label);
            assertThat(label.xHeight()).isGreaterThanOrEqualTo(LabelLayout.SMALLEST - 0.001);
        });
        for (int i = 0; i < 12; i++) {
            assertThat(read(result)).contains("longissima " + i + ",");
        }
        assertThat(LabelLayout.of(much, new Paper.Size(20, 8), LabelLayout.SMALLEST)
                        .isPossible())
                .isFalse();
    }

    @Test
    void forSaleTheLettersAreLarger() {
        Paper.Size small = new Paper.Size(38.1, 21.2);
        assertThat(LabelLayout.of(jar(), small, LabelLayout.SMALLEST).labels())
                .hasSizeLessThanOrEqualTo(LabelLayout.of(jar(), small, LabelLayout.SMALLEST_FOR_SALE)
                        .labels()
                        .size());
        LabelLayout.of(jar(), small, LabelLayout.SMALLEST_FOR_SALE).labels().forEach(label -> assertThat(
                        label.xHeight())
                .isGreaterThanOrEqualTo(LabelLayout.SMALLEST_FOR_SALE - 0.001));
    }

    @Test
    void whatTheFaceLacksIsAnEmptyBoxAndIsTold() {
        LabelLayout.Result result = LabelLayout.of(
                List.of(LabelLine.of(Role.TITLE, "Nettle 薬 🌿 for Ari"), LabelLine.of(Role.CAUTIONS, "Patch test.")),
                USUAL,
                LabelLayout.SMALLEST);
        assertThat(result.lacks()).containsExactly("薬", "🌿");
        assertThat(result.labels().get(0).boxes()).hasSize(2);
        assertThat(read(result)).contains("Nettle", "for", "Ari");
    }

    static List<Paper> papers() {
        return Paper.COMMON;
    }

    /** No label hangs over the edge of its sheet or over its neighbour. */
    @ParameterizedTest
    @MethodSource("papers")
    void theLabelsOfAPaperLieOnIt(Paper paper) {
        for (int at = 0; at < paper.on(); at++) {
            assertThat(paper.x(at) + paper.label().width())
                    .as(paper.key())
                    .isLessThanOrEqualTo(paper.sheet().width() + 0.01);
            assertThat(paper.y(at) + paper.label().height())
                    .as(paper.key())
                    .isLessThanOrEqualTo(paper.sheet().height() + 0.01);
        }
        assertThat(paper.gapX()).isNotNegative();
        assertThat(paper.gapY()).isNotNegative();
    }

    /** Whatever is said on whatever size: all of it is on some label, in its order of weight, or it is told that it cannot be. */
    @Test
    void nothingIsLostOnAnySize() {
        Random random = new Random(32);
        for (int i = 0; i < Cases.of(60); i++) {
            List<LabelLine> lines = new ArrayList<>();
            for (Role role : Role.values()) {
                for (int j = random.nextInt(3); j > 0 || role == Role.TITLE && lines.isEmpty(); j--) {
                    lines.add(LabelLine.of(role, words(random, i + "x" + lines.size())));
                }
            }
            Paper.Size size = new Paper.Size(25 + random.nextInt(120), 12 + random.nextInt(80));
            LabelLayout.Result result = LabelLayout.of(lines, size, LabelLayout.SMALLEST);
            if (result.isPossible()) {
                String all = read(result).replace(" ", "");
                lines.forEach(line ->
                        assertThat(all).as(size.toString()).contains(line.text().split(" ")[0]));
                result.labels().forEach(LabelLayoutTest::stands);
            }
        }
    }

    private static String words(Random random, String first) {
        StringBuilder words = new StringBuilder(first);
        for (int i = random.nextInt(14); i > 0; i--) {
            words.append(' ').append("abcdefghijklmnop", 0, 1 + random.nextInt(15));
        }
        return words.toString();
    }

    private static Code code(int modules) {
        BitSet dark = new BitSet();
        dark.set(0, modules * modules, true);
        return new Code(modules, dark);
    }

    /** Drawn run by run it is the same square: every dark module once, no light one. */
    @Test
    void aCodeIsItsRuns() {
        Random random = new Random(8);
        BitSet dark = new BitSet();
        int modules = 25;
        for (int i = 0; i < modules * modules; i++) {
            dark.set(i, random.nextInt(3) > 0);
        }
        BitSet drawn = new BitSet();
        for (Code.Run run : new Code(modules, dark).runs()) {
            assertThat(run.column() + run.length()).isLessThanOrEqualTo(modules);
            for (int i = 0; i < run.length(); i++) {
                int at = run.row() * modules + run.column() + i;
                assertThat(drawn.get(at)).isFalse();
                drawn.set(at);
            }
        }
        assertThat(drawn).isEqualTo(dark);
    }

    /** Neither the code with its white nor the mark ever covers a word; a module is never too narrow; neither costs a label. */
    @Test
    void theCodeAndTheMarkGiveWayToWords() {
        Random random = new Random(20);
        int codes = 0;
        int badges = 0;
        for (int i = 0; i < Cases.of(80); i++) {
            List<LabelLine> lines = new ArrayList<>(List.of(LabelLine.of(Role.TITLE, words(random, "T" + i))));
            for (int j = random.nextInt(9); j > 0; j--) {
                lines.add(LabelLine.of(Role.OF, words(random, "o" + j)));
            }
            lines.add(LabelLine.of(Role.CAUTIONS, "Patch test."));
            Paper.Size size = new Paper.Size(30 + random.nextInt(80), 18 + random.nextInt(60));
            Decor decor = new Decor(
                    Decor.Frame.values()[random.nextInt(3)],
                    Optional.of(Mark.values()[random.nextInt(Mark.values().length)]),
                    random.nextBoolean() ? Optional.of(0.5 + random.nextDouble() * 3) : Optional.empty());
            Code code = code(25 + 4 * random.nextInt(2));
            LabelLayout.Result result = LabelLayout.of(lines, size, LabelLayout.SMALLEST, decor, Optional.of(code));
            LabelLayout.Result bare = LabelLayout.of(lines, size, LabelLayout.SMALLEST, decor.bare(), Optional.empty());
            assertThat(result.isPossible()).isEqualTo(bare.isPossible());
            assertThat(result.labels().size())
                    .as("nothing beside the words costs a label")
                    .isLessThanOrEqualTo(bare.labels().size());
            for (Laid label : result.labels()) {
                stands(label);
                if (label.code().isPresent()) {
                    Laid.Square square = label.code().orElseThrow();
                    codes++;
                    assertThat(square.module()).isGreaterThanOrEqualTo(0.35 - 1e-9);
                    double quiet = 4 * square.module();
                    apart(label, square.at().x() - quiet, square.at().y() - quiet, size.height());
                    assertThat(square.at().x() + square.at().width() + quiet).isLessThanOrEqualTo(size.width() + 1e-9);
                    assertThat(square.at().y() + square.at().height() + quiet)
                            .isLessThanOrEqualTo(size.height() + 1e-9);
                }
                if (label.badge().isPresent()) {
                    Laid.Box at = label.badge().orElseThrow().at();
                    badges++;
                    apart(label, at.x(), at.y(), at.y() + at.height());
                }
            }
        }
        assertThat(codes).isGreaterThan(20);
        assertThat(badges).isGreaterThan(20);
    }

    /** No sign reaches right of {@code x} between two heights. */
    private static void apart(Laid label, double x, double from, double to) {
        for (Laid.Run run : label.runs()) {
            double top = run.y() - Face.X_HEIGHT * run.size();
            if (top < to && run.y() > from) {
                int last = run.text().codePointBefore(run.text().length());
                assertThat(run.xs().get(run.xs().size() - 1) + run.face().advance(last) * run.size())
                        .as(run.text())
                        .isLessThanOrEqualTo(x + 1e-6);
            }
        }
    }

    /** Craft: 2 mm to 50 g, 3 to 200 g, 4 to 1 kg; a line's figures are never lower, whatever room there is. */
    @Test
    void figuresOfANetWeightHaveTheirHeight() {
        assertThat(List.of(50.0, 50.1, 200.0, 201.0, 1000.0, 1200.0))
                .extracting(grams -> NetWeight.figures(NetWeight.Region.EU_UK, grams))
                .containsExactly(2.0, 3.0, 3.0, 4.0, 4.0, 6.0);
        assertThat(NetWeight.figures(NetWeight.Region.ELSEWHERE, 40)).isZero();
        List<LabelLine> lines = List.of(
                LabelLine.of(Role.TITLE, "Salve of yarrow"),
                LabelLine.of(Role.AMOUNT, "Net 51 g").figures(3));
        for (double scale = 0.7; scale < 1.5; scale += 0.1) {
            Laid label = LabelLayout.of(
                            lines, new Paper.Size(63.5 * scale, 33.9 * scale), LabelLayout.SMALLEST_FOR_SALE)
                    .labels()
                    .get(0);
            assertThat(label.runs().get(label.runs().size() - 1).size() * Face.FIGURE_HEIGHT)
                    .isGreaterThanOrEqualTo(3 - 1e-9);
        }
    }

    /** What a label is true by: its name, its day, and what is wrong with it, in whatever order that was found. */
    @Test
    void aLabelIsTrueUntilNameDayOrConditionIsAnother() {
        Truth label = new Truth("Yarrow oil", Optional.of(LocalDate.of(2027, 3, 1)), List.of("OFF", "WATER"));
        assertThat(label.changed(new Truth("Yarrow oil", label.day(), List.of("WATER", "OFF"))))
                .isEmpty();
        assertThat(label.changed(new Truth("Yarrow oil", Optional.empty(), List.of("WATER", "OFF"))))
                .isEmpty();
        assertThat(label.changed(new Truth("Yarrow", Optional.of(LocalDate.of(2027, 2, 1)), List.of())))
                .containsExactly(Truth.What.CONDITION, Truth.What.NAME, Truth.What.DAY);
    }

    @Test
    void aPaperIsReadAsItIsSaidAndTellsWhatCannotBe() {
        for (Paper paper : Paper.COMMON) {
            assertThat(Paper.read(paper.said())).isEqualTo(paper);
            assertThat(paper.fault()).as(paper.key()).isEmpty();
            double half = Math.hypot(paper.inner().width(), paper.inner().height());
            assertThat(half)
                    .as("words of a round one stand within it")
                    .isLessThanOrEqualTo(paper.round() ? paper.label().width() : 1000);
        }
        Paper.Size a4 = new Paper.Size(210, 297);
        assertThat(paper(a4, 60, 30, 4, 8)).contains(Paper.Fault.OVER);
        assertThat(paper(a4, 7, 30, 4, 8)).contains(Paper.Fault.LABEL);
        assertThat(paper(a4, 50, 30, 0, 8)).contains(Paper.Fault.COUNT);
        assertThat(paper(new Paper.Size(400, 297), 50, 30, 2, 8)).contains(Paper.Fault.SHEET);
        assertThatThrownBy(() -> Paper.read("a;b")).isInstanceOf(IllegalArgumentException.class);
    }

    private static Optional<Paper.Fault> paper(Paper.Size sheet, double wide, double high, int across, int down) {
        return new Paper("own", sheet, new Paper.Size(wide, high), across, down, 0, 0, 0, 0, false).fault();
    }

    /** Every mark lies in its square, and its outline is closed. */
    @Test
    void aMarkIsDrawnStrokeByStroke() {
        for (Mark mark : Mark.values()) {
            List<Mark.Stroke> strokes = mark.strokes();
            assertThat(strokes.get(0).kind()).isEqualTo('M');
            assertThat(strokes.get(strokes.size() - 1).kind()).isEqualTo('Z');
            assertThat(strokes).allSatisfy(stroke -> {
                assertThat(stroke.points()).hasSize(stroke.kind() == 'C' ? 6 : stroke.kind() == 'Z' ? 0 : 2);
                assertThat(stroke.points()).allMatch(at -> at >= 0 && at <= 100);
            });
        }
    }

    /** A name of forty letters, twelve herbs, every caution: on each paper all of it stands on some label, or it is told that it cannot. */
    @ParameterizedTest
    @MethodSource("papers")
    void theLongestLabelFitsOrSaysThatItDoesNot(Paper paper) {
        List<LabelLine> lines = new ArrayList<>();
        lines.add(LabelLine.of(Role.TITLE, "Zwölfkräuterwintersalbefürraueklammehänd"));
        for (int i = 0; i < 12; i++) {
            lines.add(
                    LabelLine.of(Role.OF, "Herba prolixa var. longissima %d, dried tops, cut and sifted".formatted(i)));
        }
        lines.add(LabelLine.of(
                Role.CAUTIONS,
                Cautions.shipped().of(Cautions.shipped().traits(), Use.NURSING).stream()
                        .filter(Caution::onLabel)
                        .map(caution -> caution.head() + ".")
                        .distinct()
                        .collect(Collectors.joining(" "))));
        lines.add(LabelLine.of(Role.BATCH, "Batch 1234, label K7MNP2QX"));
        for (double smallest : List.of(LabelLayout.SMALLEST, LabelLayout.SMALLEST_FOR_SALE)) {
            LabelLayout.Result result =
                    LabelLayout.of(lines, paper.inner(), smallest, Decor.NONE, Optional.of(code(29)));
            if (result.isPossible()) {
                String all = read(result).replace(" ", "");
                lines.forEach(line -> assertThat(all)
                        .as(paper.key())
                        .contains(line.text().replace(" ", "").substring(0, 8)));
                result.labels().forEach(LabelLayoutTest::stands);
                assertThat(result.labels().get(0).runs().stream()
                                .map(Laid.Run::text)
                                .collect(Collectors.joining()))
                        .as("cautions are on the first")
                        .contains("Patch test");
            } else {
                assertThat(paper.inner().width() * paper.inner().height())
                        .as(paper.key() + ": a large one bears it")
                        .isLessThan(5_000);
            }
        }
    }
}
