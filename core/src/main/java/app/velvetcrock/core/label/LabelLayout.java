package app.velvetcrock.core.label;

import app.velvetcrock.core.label.Flow.Sign;
import app.velvetcrock.core.label.Flow.Word;
import app.velvetcrock.core.label.LabelLine.Role;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Lays out what a label says (craft: what a label says): as large as fits, no smaller than its smallest x-height; what does not fit then
 * goes to a second label, which begins with the name. What is wrong with it, its name and its cautions are on the first. The household's
 * mark gives way to words, then the code does; neither ever covers any.
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

    /** [E] A line around it stands so far from the edge, a second one within the first, mm. */
    private static final double FRAME = 0.8;

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

    private final Paper.Size size;
    private final double smallest;
    private final Decor decor;
    private final Optional<Code> code;

    private LabelLayout(Paper.Size size, double smallest, Decor decor, Optional<Code> code) {
        this.size = size;
        this.smallest = smallest;
        this.decor = decor;
        this.code = code;
    }

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

        /** Tells whether its code stands on it. */
        public boolean hasCode() {
            return labels.stream().anyMatch(label -> label.code().isPresent());
        }
    }

    /** Lays the lines out, in their order, on labels of a size. */
    public static Result of(List<LabelLine> lines, Paper.Size size, double smallest) {
        return of(lines, size, smallest, Decor.NONE, Optional.empty());
    }

    /** The same with what is beside the words: of those on the fewest labels the one with the most on it. */
    public static Result of(List<LabelLine> lines, Paper.Size size, double smallest, Decor decor, Optional<Code> code) {
        return Stream.of(
                        new LabelLayout(size, smallest, decor, code),
                        new LabelLayout(size, smallest, decor.bare(), code),
                        new LabelLayout(size, smallest, decor, Optional.empty()),
                        new LabelLayout(size, smallest, decor.bare(), Optional.empty()))
                .map(one -> one.result(lines))
                .min(Comparator.comparingInt(
                        result -> result.isPossible() ? result.labels().size() : Integer.MAX_VALUE))
                .orElseThrow();
    }

    private Result result(List<LabelLine> lines) {
        List<LabelLine> said =
                lines.stream().filter(line -> !line.text().isBlank()).toList();
        List<Laid> labels = new ArrayList<>();
        List<Measured> rest = said.stream().map(Measured::of).toList();
        Set<Role> needed = EnumSet.of(Role.ALARM, Role.TITLE, Role.CAUTIONS);
        while (!rest.isEmpty()) {
            boolean first = labels.isEmpty();
            List<Measured> on = new ArrayList<>(rest);
            Letters em = largest(on, first);
            while (em.em() == 0 && on.size() > 1) {
                on.remove(lightest(on));
                em = largest(on, first);
            }
            List<Measured> left = new ArrayList<>(rest);
            left.removeAll(on);
            boolean whole = em.em() > 0 && (!first || left.stream().noneMatch(line -> needed.contains(line.role())));
            if (!whole || on.stream().allMatch(line -> line.role() == Role.TITLE) && !left.isEmpty()) {
                return new Result(List.of(), lacks(said));
            }
            labels.add(laid(on, em, first));
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

        double of(LabelLine line) {
            double letter = em * (line.role() == Role.TITLE ? head : line.role().size());
            return Math.max(letter, line.figures() / Face.FIGURE_HEIGHT);
        }
    }

    /** The largest letters at which all of it stands on one, the name less large where it must; nought where it does not at all. */
    private Letters largest(List<Measured> lines, boolean first) {
        Flow.Room room = room(first);
        return HEADS.stream()
                .map(head -> new Letters(largest(lines, room, head), head))
                .filter(letters -> letters.em() > 0)
                .findFirst()
                .orElse(new Letters(0, 1));
    }

    private double largest(List<Measured> lines, Flow.Room room, double head) {
        double least = smallest / Face.X_HEIGHT;
        for (double em = LARGEST / Face.X_HEIGHT; em > least; em -= STEP) {
            if (stands(lines, room, new Letters(em, head))) {
                return em;
            }
        }
        return stands(lines, room, new Letters(least, head)) ? least : 0;
    }

    private static boolean stands(List<Measured> lines, Flow.Room room, Letters letters) {
        Flow flow = new Flow(room, null);
        for (Measured line : lines) {
            flow.add(line.words(), letters.of(line.line()));
            if (flow.y() > room.bottom()) {
                return false;
            }
        }
        return true;
    }

    private double margin() {
        return Math.min(MARGIN, MARGIN_SHARE * Math.min(size.width(), size.height()))
                + FRAME * decor.frame().lines();
    }

    /** Where words may stand: beside the mark, and on the first beside the code with its white. */
    private Flow.Room room(boolean first) {
        List<Laid.Box> taken = new ArrayList<>();
        badge().ifPresent(badge -> taken.add(badge.at()));
        if (first) {
            code.ifPresent(one -> taken.add(white(one)));
        }
        return new Flow.Room(size, margin(), taken);
    }

    /** The corner of a code: it and what stays white around it, which may reach the edge, or the line around. */
    private Laid.Box white(Code one) {
        double side = one.module(size) * (one.modules() + 2 * Code.QUIET);
        double edge = FRAME * decor.frame().lines() * 1.1;
        return new Laid.Box(size.width() - edge - side, size.height() - edge - side, side, side);
    }

    private Optional<Laid.Badge> badge() {
        double wide = decor.badgeWidth(size);
        return decor.hasBadge()
                ? Optional.of(new Laid.Badge(
                        new Laid.Box(size.width() - margin() - wide, margin(), wide, Decor.badgeHeight(size)),
                        decor.picture().isPresent() ? Optional.empty() : decor.mark()))
                : Optional.empty();
    }

    private static List<String> lacks(List<LabelLine> lines) {
        return lines.stream()
                .flatMap(line -> line.text().codePoints().boxed())
                .filter(code -> !Face.has(code))
                .map(Character::toString)
                .distinct()
                .collect(Collectors.toList());
    }

    private Laid laid(List<Measured> lines, Letters letters, boolean first) {
        List<Laid.Run> runs = new ArrayList<>();
        List<Laid.Box> boxes = new ArrayList<>();
        List<Flow.Row> rows = new ArrayList<>();
        Flow flow = new Flow(room(first), rows);
        lines.forEach(line -> flow.add(line.words(), letters.of(line.line())));
        for (Flow.Row row : rows) {
            draw(row, margin(), runs, boxes);
        }
        for (int i = 1; i <= decor.frame().lines(); i++) {
            double edge = FRAME * i;
            boxes.add(new Laid.Box(edge, edge, size.width() - 2 * edge, size.height() - 2 * edge));
        }
        return new Laid(
                size,
                letters.em(),
                runs,
                boxes,
                badge(),
                code.filter(one -> first).map(one -> {
                    Laid.Box white = white(one);
                    double module = one.module(size);
                    double quiet = module * Code.QUIET;
                    double side = module * one.modules();
                    return new Laid.Square(new Laid.Box(white.x() + quiet, white.y() + quiet, side, side), module, one);
                }));
    }

    private static void draw(Flow.Row row, double left, List<Laid.Run> runs, List<Laid.Box> boxes) {
        double letter = row.letter();
        double x = left;
        StringBuilder text = new StringBuilder();
        List<Double> xs = new ArrayList<>();
        Face face = Face.REGULAR;
        for (Sign sign : row.signs()) {
            boolean lacking = !Face.has(sign.code());
            if ((lacking || sign.face() != face) && !xs.isEmpty()) {
                runs.add(new Laid.Run(face, letter, row.y(), xs, text.toString()));
                text = new StringBuilder();
                xs = new ArrayList<>();
            }
            face = sign.face();
            if (lacking) {
                double height = letter * Face.X_HEIGHT;
                boxes.add(new Laid.Box(x + letter * 0.06, row.y() - height, letter * (Face.BOX - 0.12), height));
            } else {
                text.appendCodePoint(sign.code());
                xs.add(x);
            }
            x += sign.advance() * letter;
        }
        if (!xs.isEmpty()) {
            runs.add(new Laid.Run(face, letter, row.y(), xs, text.toString()));
        }
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
