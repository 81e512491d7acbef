package app.velvetcrock.draw;

import app.velvetcrock.core.heat.SourceLearned;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Temperature;
import java.time.Duration;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What a source of heat does on each setting, drawn from a room's 20 °C over four hours.
 *
 * @param lines one for each setting
 * @param ticks temperatures worth a line across: 20, 40, 60 °C and so on
 */
public record SourcePicture(double width, double height, List<Line> lines, List<Tick> ticks) {

    private static final double WIDTH = 260;
    private static final double HEIGHT = 110;

    /** Room for what the lines across are called. */
    private static final double LEFT = 52;

    private static final double TOP = 14;
    private static final double COLDEST = 15;
    private static final double EVERY = 20;
    private static final Temperature ROOM = Temperature.ofCelsius(20);
    private static final Duration LONG = Duration.ofHours(4);
    private static final int PIECES = 24;

    /** One setting's curve. */
    public record Line(String corners, double endY, String words) {}

    /** One temperature. */
    public record Tick(double y, String words) {}

    public static SourcePicture of(List<SourceLearned> learned, Wording say) {
        double hottest = EVERY
                * Math.ceil(learned.stream()
                                .mapToDouble(one -> one.curve().end().celsius())
                                .max()
                                .orElse(EVERY)
                        / EVERY);
        List<Line> lines = learned.stream()
                .map(one -> new Line(
                        corners(one, hottest), y(one.curve().after(LONG, ROOM).celsius(), hottest), one.words(say)))
                .toList();
        List<Tick> ticks = IntStream.rangeClosed(1, (int) (hottest / EVERY))
                .mapToObj(i -> new Tick(y(i * EVERY, hottest), say.temperature(Temperature.ofCelsius(i * EVERY))))
                .toList();
        return new SourcePicture(WIDTH, HEIGHT, lines, ticks);
    }

    private static String corners(SourceLearned one, double hottest) {
        return IntStream.rangeClosed(0, PIECES)
                .mapToObj(i -> "%.1f,%.1f"
                        .formatted(
                                LEFT + (WIDTH - LEFT) * i / PIECES,
                                y(
                                        one.curve()
                                                .after(LONG.dividedBy(PIECES).multipliedBy(i), ROOM)
                                                .celsius(),
                                        hottest)))
                .collect(Collectors.joining(" "));
    }

    private static double y(double celsius, double hottest) {
        return TOP + (HEIGHT - TOP) * (1 - (celsius - COLDEST) / (hottest - COLDEST));
    }
}
