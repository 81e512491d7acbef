package app.velvetcrock.core.book;

import app.velvetcrock.core.book.Fact.Part;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Two to five batches beside each other: only what differs, outcomes last. What was planned alike and done differently differs (craft:
 * learning, compare).
 *
 * @param rows what differs between them, or from what was planned of one of them
 * @param alike names of what does not
 */
public record Beside(List<Row> rows, List<String> alike) {

    public static final int LEAST = 2;
    public static final int MOST = 5;

    public Beside {
        rows = List.copyOf(rows);
        alike = List.copyOf(alike);
    }

    /** One thing of all of them, in their order; absent where one has no such thing. */
    public record Row(Part part, String name, List<Optional<Fact>> facts) {
        public Row {
            facts = List.copyOf(facts);
        }
    }

    /**
     * Lays them out.
     *
     * @param all the facts of each, no name twice in one
     * @throws IllegalArgumentException for fewer than two or more than five
     */
    public static Beside of(List<List<Fact>> all) {
        if (all.size() < LEAST || all.size() > MOST) {
            throw new IllegalArgumentException(
                    "%d batches; %d to %d are laid beside each other".formatted(all.size(), LEAST, MOST));
        }
        Map<String, Part> names = new LinkedHashMap<>();
        all.forEach(facts -> facts.forEach(fact -> names.putIfAbsent(fact.name(), fact.part())));
        List<Row> rows = new ArrayList<>();
        List<String> alike = new ArrayList<>();
        names.forEach((name, part) -> {
            Row row = new Row(
                    part, name, all.stream().map(facts -> named(facts, name)).toList());
            if (differs(row)) {
                rows.add(row);
            } else {
                alike.add(name);
            }
        });
        rows.sort(Comparator.comparing(Row::part));
        return new Beside(rows, alike);
    }

    private static Optional<Fact> named(List<Fact> facts, String name) {
        return facts.stream().filter(fact -> fact.name().equals(name)).findFirst();
    }

    private static boolean differs(Row row) {
        return row.facts().stream()
                                .map(fact -> fact.map(Fact::done).orElse(""))
                                .distinct()
                                .count()
                        > 1
                || row.facts().stream().flatMap(Optional::stream).anyMatch(Fact::off);
    }
}
