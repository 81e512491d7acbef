package app.velvetcrock.core.label;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.velvetcrock.core.Cases;
import app.velvetcrock.core.label.LabelLine.Role;
import java.util.ArrayList;
import java.util.List;
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
}
