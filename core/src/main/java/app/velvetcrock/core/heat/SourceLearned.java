package app.velvetcrock.core.heat;

import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Stage;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a household's source of heat does on one setting, learned from its watched sessions (craft: devices).
 *
 * @param curve the mean of them
 * @param sessions how many there were
 */
public record SourceLearned(SourceCurve curve, int sessions) {

    /** Loads within 30 % of each other heat alike (craft: devices). */
    private static final double ALIKE = 0.3;

    /** What a setting is for a way. */
    public enum Suits {
        TOO_HOT("too hot for this way"),
        SUITS("suits"),
        TOO_COOL("too cool for this way");

        private final String word;

        Suits(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** One for each setting, the unnamed first: of all loads where none is asked for, else of those alike. */
    public static List<SourceLearned> of(List<SourceCurve> curves, Optional<Volume> load) {
        List<SourceLearned> learned = new ArrayList<>();
        Stream.concat(
                        Stream.of(Optional.<HeatSetting>empty()),
                        Stream.of(HeatSetting.values()).map(Optional::of))
                .forEach(setting -> mean(curves.stream()
                                .filter(curve -> curve.setting().equals(setting))
                                .filter(curve -> load.map(asked -> areAlike(curve.load(), asked))
                                        .orElse(true))
                                .toList())
                        .ifPresent(learned::add));
        return learned;
    }

    private static boolean areAlike(Volume a, Volume b) {
        return Math.abs(a.millilitres() - b.millilitres()) <= ALIKE * b.millilitres();
    }

    private static Optional<SourceLearned> mean(List<SourceCurve> alike) {
        return alike.stream()
                .map(first -> new SourceLearned(
                        new SourceCurve(
                                first.setting(),
                                Volume.ofMillilitres(alike.stream()
                                        .mapToDouble(curve -> curve.load().millilitres())
                                        .average()
                                        .orElseThrow()),
                                Temperature.ofCelsius(alike.stream()
                                        .mapToDouble(curve -> curve.end().celsius())
                                        .average()
                                        .orElseThrow()),
                                Duration.ofSeconds(Math.round(alike.stream()
                                        .mapToLong(curve -> curve.tau().toSeconds())
                                        .average()
                                        .orElseThrow())),
                                alike.stream()
                                        .flatMap(curve -> curve.began().stream())
                                        .max(Comparator.naturalOrder())),
                        alike.size()))
                .findFirst();
    }

    /** Whether it may be left at this for a heated stage: it ends in the band, or above it and under the ceiling. */
    public Suits suits(Stage stage) {
        double end = curve.end().celsius();
        boolean slow = inBand(stage).compareTo(usual(stage).dividedBy(2)) < 0;
        return end > stage.ceiling().map(Temperature::celsius).orElse(Double.MAX_VALUE)
                ? Suits.TOO_HOT
                : end < stage.band().low().celsius() || slow ? Suits.TOO_COOL : Suits.SUITS;
    }

    private static Duration usual(Stage stage) {
        return Duration.ofMinutes((long) stage.usual() * stage.pace().minutes());
    }

    /** Of the usual time of a stage, how long it is in the band and under the ceiling, begun as warm as a kitchen. */
    Duration inBand(Stage stage) {
        Duration all = usual(stage);
        Duration up = curve.warmUp(COLD, stage.band().low()).orElse(all);
        Duration over = stage.ceiling()
                .flatMap(ceiling -> curve.warmUp(COLD, ceiling))
                .filter(in -> in.compareTo(all) < 0)
                .orElse(all);
        return over.compareTo(up) > 0 ? over.minus(up) : Duration.ZERO;
    }

    private String suitsIn(Stage stage) {
        Suits suits = suits(stage);
        double hours = inBand(stage).toMinutes() / MINUTES_AN_HOUR;
        return suits != Suits.SUITS
                ? suits.word()
                : "suits, %s of %s h in its band"
                        .formatted(
                                Decimals.upTo(hours, 1),
                                Decimals.upTo(usual(stage).toMinutes() / MINUTES_AN_HOUR, 1));
    }

    private static final double MINUTES_AN_HOUR = 60;

    /**
     * What a setting is known to do that a stage does not bear, said the moment it is turned; empty where it bears it, or nothing is
     * known.
     *
     * @param from how warm the oil is, as far as that was read
     */
    public static Optional<String> warning(
            String source,
            List<SourceCurve> curves,
            Volume load,
            Optional<HeatSetting> setting,
            Stage stage,
            Optional<Temperature> from,
            Wording say) {
        List<SourceLearned> alike = of(curves, Optional.of(load));
        return (alike.isEmpty() ? of(curves, Optional.empty()) : alike)
                .stream()
                        .filter(one -> one.curve().setting().equals(setting) && one.suits(stage) == Suits.TOO_HOT)
                        .findFirst()
                        .map(one -> "%s %s: past %s %s. Turn it lower, or stay beside it with the lid off."
                                .formatted(
                                        source,
                                        one.words(say),
                                        say.temperature(stage.ceiling().orElseThrow()),
                                        one.curve()
                                                .warmUp(
                                                        from.orElse(COLD),
                                                        stage.ceiling().orElseThrow())
                                                .map(in -> "in about %d min".formatted(Math.max(1, in.toMinutes())))
                                                .orElse("soon")));
    }

    /** What it comes to, in a few words: "on low it ends at about 66 °C (3 times)". */
    public String words(Wording say) {
        return "%s it ends at about %s (%s)"
                .formatted(
                        curve.setting().map(to -> "on " + to.word()).orElse("as it was put on"),
                        say.temperature(
                                Temperature.ofCelsius(Math.round(curve.end().celsius()))),
                        sessions == 1 ? "once" : sessions + " times");
    }

    /**
     * What to turn a source to for a stage, and what not, with the load it was tried with; empty where nothing is learned of it. Where
     * nothing alike was in it so far, what it did with another load, and that it does not tell how long this one takes.
     */
    public static Optional<String> advice(
            String source, List<SourceCurve> curves, Volume load, Stage stage, Wording say) {
        List<SourceLearned> alike = of(curves, Optional.of(load));
        List<SourceLearned> learned = alike.isEmpty() ? of(curves, Optional.empty()) : alike;
        if (learned.isEmpty()) {
            return Optional.empty();
        }
        String tried = say.volume(learned.get(0).curve().load());
        String with = alike.isEmpty()
                ? ", with %s in it, unlike the %s here, whose warming up is taken as %d min:"
                        .formatted(tried, say.volume(load), WarmUp.AT_FIRST.toMinutes())
                : ", with about %s in it:".formatted(tried);
        List<String> each = learned.stream()
                .map(one -> one.words(say) + ": " + one.suitsIn(stage))
                .toList();
        boolean allTooHot = learned.stream().allMatch(one -> one.suits(stage) == Suits.TOO_HOT);
        return Optional.of("%s%s %s.%s"
                .formatted(
                        source,
                        with,
                        String.join("; ", each),
                        allTooHot ? " Nothing it was turned to so far stays under the ceiling of this way." : ""));
    }

    /**
     * How long the setting that suits a stage takes to bring a load into its band, to five minutes; absent where nothing is learned of
     * a load like it, or nothing suits. Only what was seen to begin below the band teaches it.
     */
    public static Optional<Duration> warmUp(List<SourceCurve> curves, Volume load, Stage stage) {
        return best(
                        of(
                                curves.stream()
                                        .filter(curve ->
                                                curve.wasSeenBelow(stage.band().low()))
                                        .toList(),
                                Optional.of(load)),
                        stage)
                .flatMap(one -> one.curve().warmUp(COLD, stage.band().low()))
                .map(took -> WarmUp.learned(List.of(took)));
    }

    /** [E] What is put on the heat has the warmth of a kitchen. */
    private static final Temperature COLD = Temperature.ofCelsius(20);

    /** The one to turn to for a stage: of those that suit, what ends nearest the middle of its band. */
    public static Optional<SourceLearned> best(List<SourceLearned> learned, Stage stage) {
        double middle = (stage.band().low().celsius() + stage.band().high().celsius()) / 2;
        return learned.stream()
                .filter(one -> one.suits(stage) == Suits.SUITS)
                .min(Comparator.comparingDouble(
                        one -> Math.abs(one.curve().end().celsius() - middle)));
    }
}
