package app.velvetcrock.book;

import app.velvetcrock.stock.Cause;
import app.velvetcrock.stock.flows.Season;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.IntStream;

/** A year as a ring: January at the top, four tracks from without to within, each month as full as it was busy. */
record SeasonRing(List<Cell> cells, List<Name> names, List<Track> tracks) {

    private static final double MIDDLE = 190;
    private static final double OUTER = 150;
    private static final double WIDE = 24;
    private static final double BETWEEN = 4;
    private static final double NAMES = 168;
    private static final int MONTHS = 12;

    /** [E] A month in which anything was done is seen, however little it was beside the busiest. */
    private static final double FAINTEST = 0.22;

    /** What is told of a year, from without to within. */
    private enum Of {
        GATHERED("gathered", Set.of(Cause.GATHERED)),
        DRIED("dried", Set.of(Cause.DRIED)),
        MADE("made", Set.of(Cause.STRAINED, Cause.POURED)),
        USED("used", Set.of(Cause.DRAWN, Cause.GIVEN, Cause.SOLD));

        private final String word;
        private final Set<Cause> causes;

        Of(String word, Set<Cause> causes) {
            this.word = word;
            this.causes = causes;
        }
    }

    /** A month of a track: how often something was done in it, and how full that makes it, 0 to 1. */
    record Cell(String path, String mark, double full, String words) {}

    record Name(double x, double y, String name) {}

    /** A track's word, and how often in each month. */
    record Track(String mark, String word, List<Integer> times, int sum) {}

    static SeasonRing of(List<Season.Moved> moved) {
        List<Cell> cells = new ArrayList<>();
        List<Track> tracks = new ArrayList<>();
        for (Of of : Of.values()) {
            int[] times = new int[MONTHS];
            moved.stream()
                    .filter(one -> of.causes.contains(one.cause()))
                    .forEach(one -> times[one.month() - 1] += one.times());
            int most = Arrays.stream(times).max().orElse(0);
            double radius = OUTER - of.ordinal() * (WIDE + BETWEEN);
            for (int month = 0; month < MONTHS; month++) {
                cells.add(new Cell(
                        arc(month, radius - WIDE, radius),
                        times[month] == 0 ? "none" : of.word,
                        times[month] == 0 ? 1 : FAINTEST + (1 - FAINTEST) * times[month] / most,
                        "%s in %s: %d times".formatted(of.word, name(month, TextStyle.FULL), times[month])));
            }
            tracks.add(new Track(
                    of.word,
                    of.word,
                    Arrays.stream(times).boxed().toList(),
                    Arrays.stream(times).sum()));
        }
        return new SeasonRing(
                cells,
                IntStream.range(0, MONTHS)
                        .mapToObj(month -> {
                            double angle = angle(month + 0.5);
                            return new Name(
                                    round(MIDDLE + NAMES * Math.cos(angle)),
                                    round(MIDDLE + NAMES * Math.sin(angle) + 4),
                                    name(month, TextStyle.SHORT));
                        })
                        .toList(),
                tracks);
    }

    /** Month by month, for whoever reads no rings: a row a month, a figure a track. */
    record Line(String month, List<Integer> times) {}

    public List<Line> lines() {
        return IntStream.range(0, MONTHS)
                .mapToObj(month -> new Line(
                        name(month, TextStyle.FULL),
                        tracks.stream().map(track -> track.times().get(month)).toList()))
                .toList();
    }

    private static String name(int month, TextStyle style) {
        return Month.of(month + 1).getDisplayName(style, Locale.ENGLISH);
    }

    private static double angle(double month) {
        return (month / MONTHS - 0.25) * 2 * Math.PI;
    }

    private static String arc(int month, double inner, double outer) {
        double gap = 0.04;
        double from = angle(month + gap);
        double to = angle(month + 1 - gap);
        return "M%s %sA%s %s 0 0 1 %s %sL%s %sA%s %s 0 0 0 %s %sZ"
                .formatted(
                        x(outer, from),
                        y(outer, from),
                        outer,
                        outer,
                        x(outer, to),
                        y(outer, to),
                        x(inner, to),
                        y(inner, to),
                        inner,
                        inner,
                        x(inner, from),
                        y(inner, from));
    }

    private static double x(double radius, double angle) {
        return round(MIDDLE + radius * Math.cos(angle));
    }

    private static double y(double radius, double angle) {
        return round(MIDDLE + radius * Math.sin(angle));
    }

    private static double round(double at) {
        return Math.round(at * 10) / 10.0;
    }
}
