package app.velvetcrock.core.caution;

import app.velvetcrock.core.materia.DataFile;
import app.velvetcrock.core.materia.Row;
import app.velvetcrock.core.text.Linear;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * Who it is for: what anything that may be in an oil or a making means for each use. One table, asked by plan, pan, label and gate alike;
 * of several rows the strictest stands and all words are kept (craft: making, cautions). Not medical advice.
 */
public final class ForWhom {

    /** What says how much essential oil all together may be. */
    static final String SUM = "sum-of-all";

    /** What says how much may be of an essential oil no figure is held for. */
    static final String NO_FIGURE = "no-figure";

    private final List<Line> lines;

    private ForWhom(List<Line> lines) {
        this.lines = lines;
    }

    /**
     * A row of the table.
     *
     * @param kind herb, carrier, addition, essential or read
     * @param traits what bears it
     * @param what as the handbook calls it
     */
    public record Line(
            String kind, List<String> traits, String what, Map<Use, Cell> cells, List<String> heads, String words) {

        public Line {
            traits = List.copyOf(traits);
            cells = Map.copyOf(cells);
            heads = List.copyOf(heads);
        }

        public Cell cell(Use use) {
            return Objects.requireNonNull(cells.get(use));
        }

        private static Line from(Row row) {
            Map<Use, Cell> cells = new EnumMap<>(Use.class);
            for (Use use : Use.values()) {
                cells.put(use, Cell.parse(row.text(use.column())));
            }
            return new Line(
                    row.text("kind"),
                    row.list("traits"),
                    row.text("what"),
                    cells,
                    List.of(Linear.split(row.text("heads"), "\\|")),
                    row.text("words"));
        }

        /** What it says of a trait to a use; absent where nothing is known against it. */
        private Optional<Caution> caution(String trait, Use use) {
            Cell cell = cell(use);
            return cell.level().map(level -> {
                String head = head(trait, use, level);
                boolean starred = head.endsWith("*");
                return new Caution(
                        level,
                        starred ? head.substring(0, head.length() - 1) : head,
                        words,
                        level != Level.NOTE || starred);
            });
        }

        private String head(String trait, Use use, Level level) {
            String letter = level == Level.REFUSE ? "R:" : level == Level.WARN ? "W:" : "n:";
            List<String> plain = heads.stream().filter(head -> !isOfACell(head)).toList();
            return heads.stream()
                    .filter(head -> head.startsWith(use.column() + ":"))
                    .findFirst()
                    .or(() -> heads.stream()
                            .filter(head -> head.startsWith(letter))
                            .findFirst())
                    .map(head -> head.substring(head.indexOf(':') + 1))
                    .orElseGet(() -> plain.get(Math.min(traits.indexOf(trait), plain.size() - 1)));
        }

        private static boolean isOfACell(String head) {
            return Linear.matches(head, "(R|W|n|[A-Z][A-Z0-9]):.*");
        }
    }

    /** Reads the shipped table; a bad line stops with file, line and text. */
    public static ForWhom shipped() {
        return new ForWhom(DataFile.read(ForWhom.class, "uses.csv", Line::from));
    }

    public List<Line> lines() {
        return lines;
    }

    /** What things that bear these traits mean for a use: each row once for each trait of it that is borne. */
    public List<Caution> of(Set<String> traits, Use use) {
        List<Caution> cautions = new ArrayList<>();
        for (Line line : lines) {
            line.traits().stream()
                    .filter(traits::contains)
                    .flatMap(trait -> line.caution(trait, use).stream())
                    .forEach(cautions::add);
        }
        return cautions;
    }

    /** Tells whether anything that bears one of these traits is refused for a use. */
    public boolean isRefused(Collection<String> traits, Use use) {
        return lines.stream()
                .anyMatch(line -> line.traits().stream().anyMatch(traits::contains)
                        && line.cell(use).isRefused());
    }

    /** The most percent that something bearing these traits may be of the whole, by the strictest row; absent where none limits it. */
    public Optional<Double> most(Collection<String> traits, Use use, double own) {
        return lines.stream()
                .filter(line -> line.traits().stream().anyMatch(traits::contains))
                .map(line -> line.cell(use))
                .flatMap(cell -> limit(cell, own).stream())
                .min(Double::compare);
    }

    private static Optional<Double> limit(Cell cell, double own) {
        if (cell.isRefused()) {
            return Optional.of(0.0);
        }
        return cell.half()
                ? Optional.of(own / 2)
                : cell.most().isPresent() ? Optional.of(cell.most().getAsDouble()) : Optional.empty();
    }

    /** Percent of the whole that all essential oils together may be. */
    public double sum(Use use) {
        return most(Set.of(SUM), use, 0).orElseThrow();
    }

    /** Percent that an essential oil may be of which no figure is held. */
    public double withoutFigure(Use use) {
        return most(Set.of(NO_FIGURE), use, 0).orElseThrow();
    }

    /** The first head of each trait, where somebody ticks what a thing of his own bears; only those of one kind. */
    public Map<String, String> heads(String kind) {
        Map<String, String> heads = new LinkedHashMap<>();
        lines.stream().filter(line -> line.kind().equals(kind)).forEach(line -> line.traits()
                .forEach(trait -> heads.put(
                        trait, line.head(trait, Use.ADULT_SKIN, Level.NOTE).replace("*", ""))));
        return heads;
    }

    /** Every trait some row speaks of. */
    public Set<String> traits() {
        return lines.stream()
                .flatMap(line -> line.traits().stream())
                .collect(java.util.stream.Collectors.toUnmodifiableSet());
    }
}
