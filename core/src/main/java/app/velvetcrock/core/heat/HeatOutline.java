package app.velvetcrock.core.heat;

import app.velvetcrock.core.measure.Temperature;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * A probe's readings as they are drawn: of every so many minutes the first, the coldest, the hottest and the last, so that no peak
 * is lost however many there were. The minutes double whenever the whole outgrows a picture; in whatever order readings come, the
 * outline of all of them is the same.
 *
 * @param minutes how long a span is, a power of two
 */
public record HeatOutline(long minutes, List<Span> spans) {

    /** [E] More than a picture of a course has room for. */
    static final int MOST_SPANS = 240;

    public static final HeatOutline EMPTY = new HeatOutline(1, List.of());

    private static final long MILLIS_PER_MINUTE = 60_000;

    private static final Comparator<HeatReading> BY_TIME = Comparator.comparing(HeatReading::at);
    private static final Comparator<HeatReading> BY_HEAT =
            Comparator.comparing(HeatReading::temperature, Temperature::compareTo);

    public HeatOutline {
        spans = List.copyOf(spans);
    }

    /** What was read in one span. */
    public record Span(HeatReading first, HeatReading coldest, HeatReading hottest, HeatReading last) {

        private Span with(Span other) {
            return new Span(
                    min(BY_TIME, first, other.first),
                    min(BY_HEAT.thenComparing(BY_TIME), coldest, other.coldest),
                    min(BY_HEAT.reversed().thenComparing(BY_TIME), hottest, other.hottest),
                    min(BY_TIME.reversed(), last, other.last));
        }

        private static HeatReading min(Comparator<HeatReading> by, HeatReading a, HeatReading b) {
            return by.compare(a, b) <= 0 ? a : b;
        }

        private Stream<HeatReading> points() {
            return Stream.of(first, coldest, hottest, last).distinct().sorted(BY_TIME);
        }
    }

    /** With more readings; those that are in it already change nothing. */
    public HeatOutline plus(Collection<HeatReading> readings) {
        if (readings.isEmpty()) {
            return this;
        }
        Stream<Span> all = Stream.concat(
                spans.stream(), readings.stream().map(reading -> new Span(reading, reading, reading, reading)));
        TreeMap<Long, Span> merged = merged(all, minutes);
        long wide = minutes;
        while (merged.lastKey() - merged.firstKey() >= MOST_SPANS) {
            wide *= 2;
            merged = merged(merged.values().stream(), wide);
        }
        return new HeatOutline(wide, new ArrayList<>(merged.values()));
    }

    private static TreeMap<Long, Span> merged(Stream<Span> spans, long minutes) {
        TreeMap<Long, Span> merged = new TreeMap<>();
        spans.map(span -> Map.entry(Math.floorDiv(span.first().at().toEpochMilli(), minutes * MILLIS_PER_MINUTE), span))
                .forEach(one -> merged.merge(one.getKey(), one.getValue(), Span::with));
        return merged;
    }

    /** The readings a picture goes through, in order. */
    public List<HeatReading> points() {
        return spans.stream().flatMap(Span::points).toList();
    }
}
