package app.velvetcrock.core.label;

import app.velvetcrock.core.label.LabelLine.Role;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Lays out what a label says (craft: what a label says): as large as fits, no smaller than its smallest x-height; what does not fit then
 * goes to a second label, which begins with the name. What is wrong with it, its name and its cautions are on the first.
 */
public final class LabelLayout {

    /** Smallest x-height, mm: for oneself, and for sale unless the household knows its own. */
    public static final double SMALLEST = 1.2;

    public static final double SMALLEST_FOR_SALE = 1.6;

    /** [E] Larger letters than these help nobody on a jar, x-height in mm. */
    private static final double LARGEST = 2.6;

    /** [E] From the edge to the letters, mm; of a small label less. */
    private static final double MARGIN = 2.2;

    private static final double MARGIN_SHARE = 0.06;

    private static final double LEADING = 1.18;

    /** How much larger the name is than the rest, where there is room for it. */
    private static final List<Double> HEADS = List.of(1.5, 1.25, 1.05);

    private static final double STEP = 0.04;

    /** What is on the first of several labels, the weightiest first. */
    private static final List<Role> WEIGHT = List.of(
            Role.ALARM,
            Role.TITLE,
            Role.CAUTIONS,
            Role.ALLERGENS,
            Role.DATES,
            Role.BATCH,
            Role.AMOUNT,
            Role.OF,
            Role.KEEP,
            Role.FOR,
            Role.WHO,
            Role.MORE);

    private LabelLayout() {}

    /**
     * The labels it takes, mostly one.
     *
     * @param labels in their order; empty where not even its name and its cautions stand on one of this size
     * @param lacks signs the face lacks, each once
     */
    public record Result(List<Laid> labels, List<String> lacks) {

        public boolean fits() {
            return labels.size() == 1;
        }

        /** Tells whether it can be printed on paper of this size at all. */
        public boolean isPossible() {
            return !labels.isEmpty();
        }
    }

    /** Lays the lines out, in their order, on labels of a size. */
    public static Result of(List<LabelLine> lines, Paper.Size size, double smallest) {
        List<LabelLine> said =
                lines.stream().filter(line -> !line.text().isBlank()).toList();
        List<Laid> labels = new ArrayList<>();
        List<Measured> rest = said.stream().map(Measured::of).toList();
        Set<Role> needed = EnumSet.of(Role.ALARM, Role.TITLE, Role.CAUTIONS);
        while (!rest.isEmpty()) {
            List<Measured> on = new ArrayList<>(rest);
            Letters em = largest(on, size, smallest);
            while (em.em() == 0 && on.size() > 1) {
                on.remove(lightest(on));
                em = largest(on, size, smallest);
            }
            boolean first = labels.isEmpty();
            List<Measured> left = new ArrayList<>(rest);
            left.removeAll(on);
            boolean whole = em.em() > 0 && (!first || left.stream().noneMatch(line -> needed.contains(line.role())));
            if (!whole || on.stream().allMatch(line -> line.role() == Role.TITLE) && !left.isEmpty()) {
                return new Result(List.of(), lacks(said));
            }
            labels.add(laid(on, size, em));
            rest = left.isEmpty()
                    ? List.of()
                    : Stream.concat(
                                    said.stream()
                                            .filter(line -> line.role() == Role.TITLE)
                                            .map(Measured::of),
                                    left.stream().filter(line -> line.role() != Role.TITLE))
                            .toList();
        }
        return new Result(List.copyOf(labels), lacks(said));
    }

    private static Measured lightest(List<Measured> on) {
        return on.stream()
                .max(Comparator.comparingInt((Measured line) -> WEIGHT.indexOf(line.role()))
                        .thenComparingInt(on::indexOf))
                .orElseThrow();
    }

    /** How large its letters are, and how much larger its name is. */
    private record Letters(double em, double head) {

        double of(Role role) {
            return em * (role == Role.TITLE ? head : role.size());
        }
    }

    /** The largest letters at which all of it stands on one, the name less large where it must; nought where it does not at all. */
    private static Letters largest(List<Measured> lines, Paper.Size size, double smallest) {
        return HEADS.stream()
                .map(head -> new Letters(largest(lines, size, smallest, head), head))
                .filter(letters -> letters.em() > 0)
                .findFirst()
                .orElse(new Letters(0, 1));
    }

    private static double largest(List<Measured> lines, Paper.Size size, double smallest, double head) {
        double least = smallest / Face.X_HEIGHT;
        for (double em = LARGEST / Face.X_HEIGHT; em > least; em -= STEP) {
            if (height(lines, size, new Letters(em, head)) <= size.height() - 2 * margin(size)) {
                return em;
            }
        }
        return height(lines, size, new Letters(least, head)) <= size.height() - 2 * margin(size) ? least : 0;
    }

    private static double margin(Paper.Size size) {
        return Math.min(MARGIN, MARGIN_SHARE * Math.min(size.width(), size.height()));
    }

    private static double height(List<Measured> lines, Paper.Size size, Letters letters) {
        return lines.stream()
                .mapToDouble(
                        line -> wrapped(line, size, letters.of(line.role())).size() * letters.of(line.role()) * LEADING)
                .sum();
    }

    private static List<String> lacks(List<LabelLine> lines) {
        return lines.stream()
                .flatMap(line -> line.text().codePoints().boxed())
                .filter(code -> !Face.has(code))
                .map(Character::toString)
                .distinct()
                .collect(Collectors.toList());
    }

    private static Laid laid(List<Measured> lines, Paper.Size size, Letters letters) {
        List<Laid.Run> runs = new ArrayList<>();
        List<Laid.Box> boxes = new ArrayList<>();
        double y = margin(size);
        for (Measured line : lines) {
            double letter = letters.of(line.role());
            for (List<Sign> row : wrapped(line, size, letter)) {
                y += letter * LEADING;
                draw(row, margin(size), y - letter * Face.DESCENT, letter, runs, boxes);
            }
        }
        return new Laid(size, letters.em(), runs, boxes);
    }

    /** A sign in its face. */
    private record Sign(int code, Face face) {

        double advance() {
            return face.advance(code);
        }

        boolean isSpace() {
            return code == ' ';
        }
    }

    private static void draw(
            List<Sign> row, double left, double y, double letter, List<Laid.Run> runs, List<Laid.Box> boxes) {
        double x = left;
        StringBuilder text = new StringBuilder();
        List<Double> xs = new ArrayList<>();
        Face face = Face.REGULAR;
        for (Sign sign : row) {
            boolean lacking = !Face.has(sign.code());
            if ((lacking || sign.face() != face) && !xs.isEmpty()) {
                runs.add(new Laid.Run(face, letter, y, xs, text.toString()));
                text = new StringBuilder();
                xs = new ArrayList<>();
            }
            face = sign.face();
            if (lacking) {
                double height = letter * Face.X_HEIGHT;
                boxes.add(new Laid.Box(x + letter * 0.06, y - height, letter * (Face.BOX - 0.12), height));
            } else {
                text.appendCodePoint(sign.code());
                xs.add(x);
            }
            x += sign.advance() * letter;
        }
        if (!xs.isEmpty()) {
            runs.add(new Laid.Run(face, letter, y, xs, text.toString()));
        }
    }

    /** Its rows: broken between words, and a word longer than a row wherever it must; no row ends with a space. */
    private static List<List<Sign>> wrapped(Measured line, Paper.Size size, double letter) {
        double most = (size.width() - 2 * margin(size)) / letter;
        List<List<Sign>> rows = new ArrayList<>();
        List<Sign> row = new ArrayList<>();
        double wide = 0;
        for (Word word : line.words()) {
            if (!row.isEmpty() && wide + word.width() > most) {
                rows.add(row);
                row = new ArrayList<>();
                wide = 0;
            }
            for (Sign sign : word.signs()) {
                if (!row.isEmpty() && !sign.isSpace() && wide + sign.advance() > most) {
                    rows.add(row);
                    row = new ArrayList<>();
                    wide = 0;
                }
                row.add(sign);
                wide += sign.advance();
            }
        }
        if (!row.isEmpty()) {
            rows.add(row);
        }
        return rows.stream().map(LabelLayout::withoutEnd).toList();
    }

    private static List<Sign> withoutEnd(List<Sign> row) {
        int end = row.size();
        while (end > 1 && row.get(end - 1).isSpace()) {
            end--;
        }
        return row.subList(0, end);
    }

    /** How many rows it takes, without making them. */
    private static int rows(Measured line, Paper.Size size, double letter) {
        double most = (size.width() - 2 * margin(size)) / letter;
        int rows = 1;
        double wide = 0;
        for (Word word : line.words()) {
            if (wide > 0 && wide + word.width() > most) {
                rows++;
                wide = 0;
            }
            if (word.width() <= most) {
                wide += word.whole();
                continue;
            }
            for (Sign sign : word.signs()) {
                if (wide > 0 && !sign.isSpace() && wide + sign.advance() > most) {
                    rows++;
                    wide = 0;
                }
                wide += sign.advance();
            }
        }
        return rows;
    }

    /** A line with its words measured once. */
    private record Measured(LabelLine line, List<Word> words) {

        static Measured of(LabelLine line) {
            return new Measured(
                    line, LabelLayout.words(line).stream().map(Word::of).toList());
        }

        Role role() {
            return line.role();
        }
    }

    /** A word with the space behind it: how wide it is without that, and with it, of an em. */
    private record Word(List<Sign> signs, double width, double whole) {

        static Word of(List<Sign> signs) {
            double whole = signs.stream().mapToDouble(Sign::advance).sum();
            double space = signs.stream()
                    .filter(Sign::isSpace)
                    .mapToDouble(Sign::advance)
                    .sum();
            return new Word(signs, whole - space, whole);
        }
    }

    /** Words with the space behind them. */
    private static List<List<Sign>> words(LabelLine line) {
        List<List<Sign>> words = new ArrayList<>();
        List<Sign> word = new ArrayList<>();
        int at = 0;
        for (int code : line.text().strip().codePoints().toArray()) {
            int shown = Character.isWhitespace(code) || Character.isSpaceChar(code) ? ' ' : code;
            word.add(new Sign(shown, at < line.strong() ? Face.BOLD : Face.REGULAR));
            at += Character.charCount(code);
            if (shown == ' ') {
                words.add(word);
                word = new ArrayList<>();
            }
        }
        if (!word.isEmpty()) {
            words.add(word);
        }
        return words;
    }
}
