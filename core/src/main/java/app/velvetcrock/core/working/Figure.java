package app.velvetcrock.core.working;

import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.time.LocalDate;

/**
 * A number with its kind, so that it can be shown in a household's units, and kept.
 *
 * @param value in the kind's canonical unit; a date is its day count from 1970-01-01
 * @param text only for {@link Kind#WORDS}, else empty
 */
public record Figure(Kind kind, double value, String text) {

    /** What a figure is. */
    public enum Kind {
        MASS,
        VOLUME,
        DENSITY,
        LENGTH,
        FACTOR,
        PER_GRAM,
        PERCENT,
        DAYS,
        DATE,
        WORDS
    }

    public static Figure of(Mass mass) {
        return new Figure(Kind.MASS, mass.grams(), "");
    }

    public static Figure of(Volume volume) {
        return new Figure(Kind.VOLUME, volume.millilitres(), "");
    }

    public static Figure of(Density density) {
        return new Figure(Kind.DENSITY, density.gramsPerMillilitre(), "");
    }

    public static Figure of(Length length) {
        return new Figure(Kind.LENGTH, length.millimetres(), "");
    }

    public static Figure of(LocalDate date) {
        return new Figure(Kind.DATE, date.toEpochDay(), "");
    }

    public static Figure ofFactor(double factor) {
        return new Figure(Kind.FACTOR, factor, "");
    }

    /** Millilitres of oil for each gram of herb. */
    public static Figure ofMillilitresPerGram(double value) {
        return new Figure(Kind.PER_GRAM, value, "");
    }

    public static Figure ofPercent(double percent) {
        return new Figure(Kind.PERCENT, percent, "");
    }

    public static Figure ofDays(long days) {
        return new Figure(Kind.DAYS, days, "");
    }

    public static Figure ofWords(String words) {
        return new Figure(Kind.WORDS, 0, words);
    }

    public LocalDate date() {
        return LocalDate.ofEpochDay((long) value);
    }
}
