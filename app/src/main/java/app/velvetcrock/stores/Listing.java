package app.velvetcrock.stores;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Worded;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * How a list of stock is asked for.
 *
 * @param only a part of a name, lower case; empty for all
 */
record Listing(String only, Sort sort) {

    /** More rows than these are not read at once. */
    static final int MOST = 25;

    /**
     * As much of a list as is read at once.
     *
     * @param beyond how many come after it
     * @param last the key of its last row, from which the next part goes on
     */
    record Part<T>(List<T> rows, int beyond, String last) {

        <R> List<R> as(Function<T, R> row) {
            return rows.stream().map(row).toList();
        }
    }

    /** The rows after which the parts shown begin; each absent for the top. */
    record After(@Nullable String herb, @Nullable String oil) {

        static final After NOTHING = new After(null, null);
    }

    /** The part that begins after a row; from the top where that row is not there any more. */
    static <T> Part<T> part(List<T> all, Function<T, UUID> key, @Nullable String after) {
        int from = 1
                + IntStream.range(0, all.size())
                        .filter(i -> key.apply(all.get(i)).toString().equals(after))
                        .findFirst()
                        .orElse(-1);
        List<T> rows = all.subList(from, Math.min(all.size(), from + MOST));
        return new Part<>(
                rows,
                all.size() - from - rows.size(),
                rows.isEmpty() ? "" : key.apply(rows.get(rows.size() - 1)).toString());
    }

    /** What comes first. */
    enum Sort implements Worded {
        NAME("name"),
        OLDEST("the oldest first"),
        MOST_LEFT("the most first"),
        LEAST_LEFT("the least first");

        private final String word;

        Sort(String word) {
            this.word = word;
        }

        @Override
        public String word() {
            return word;
        }
    }

    static Listing of(@Nullable String only, @Nullable String sort) {
        Sort by = Stream.of(Sort.values())
                .filter(value -> value.name().equals(sort))
                .findFirst()
                .orElse(Sort.NAME);
        return new Listing(only == null ? "" : only.strip().toLowerCase(Locale.ROOT), by);
    }

    List<Stock.OfHerb> herbs(List<Stock.OfHerb> herbs) {
        Comparator<Stock.OfHerb> order =
                switch (sort) {
                    case NAME -> Comparator.comparing(Stock.OfHerb::name);
                    case OLDEST -> Comparator.comparing(herb -> herb.acquired().orElse(LocalDate.MAX));
                    case MOST_LEFT -> Comparator.comparing(Stock.OfHerb::left).reversed();
                    case LEAST_LEFT -> Comparator.comparing(Stock.OfHerb::left);
                };
        return herbs.stream()
                .filter(herb -> isAsked(Catalogue.words(
                        herb.name() + " " + herb.state(),
                        herb.kind().botanical(),
                        herb.kind().synonyms())))
                .sorted(order)
                .toList();
    }

    List<Stock.OfCarrier> carriers(List<Stock.OfCarrier> carriers) {
        Comparator<Stock.OfCarrier> order =
                switch (sort) {
                    case NAME -> Comparator.comparing(Stock.OfCarrier::name);
                    case OLDEST -> Comparator.comparing(
                            carrier -> carrier.opened().orElse(LocalDate.MAX));
                    case MOST_LEFT -> Comparator.comparing(Stock.OfCarrier::left)
                            .reversed();
                    case LEAST_LEFT -> Comparator.comparing(Stock.OfCarrier::left);
                };
        return carriers.stream()
                .filter(carrier -> isAsked(carrier.name().toLowerCase(Locale.ROOT)))
                .sorted(order)
                .toList();
    }

    private boolean isAsked(String words) {
        return words.contains(only);
    }
}
