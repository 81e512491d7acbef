package app.velvetcrock.web;

import app.velvetcrock.core.making.FirmnessWish;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.text.Linear;
import java.math.BigDecimal;
import java.util.Currency;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** Reads plain figures: prices, numbers with and without a fraction. */
final class Figures {

    private Figures() {}

    /** What was read, or what is wrong with it and what to type; {@code value} is null where nothing was read. */
    record Read<T>(@Nullable T value, String wrong, String instead) {

        static <T> Read<T> of(T value) {
            return new Read<>(value, "", "");
        }

        static <T> Read<T> not(String wrong, String instead) {
            return new Read<>(null, wrong, instead);
        }
    }

    static Read<Long> money(String typed, Currency currency) {
        String plain = typed.replace(currency.getCurrencyCode(), "")
                .replace(currency.getSymbol(Locale.ENGLISH), "")
                .strip();
        int places = Math.max(0, currency.getDefaultFractionDigits());
        if (!Linear.matches(plain, "\\d{1,7}([.,]\\d{1,2})?")) {
            return Read.not("that is not a price in %s.".formatted(currency.getCurrencyCode()), "12.50 or 12");
        }
        BigDecimal value = new BigDecimal(plain.replace(',', '.'));
        return value.scale() > places
                ? Read.not(
                        "%s has no such small coin.".formatted(currency.getCurrencyCode()),
                        "a price with %d places".formatted(places))
                : Read.of(value.movePointRight(places).longValueExact());
    }

    static Read<Double> number(String typed, double least, double most, String unit) {
        String plain = without(typed, "abv", "vol.", "vol", "%").replace(',', '.');
        return Linear.matches(plain, "\\d{1,6}(\\.\\d{1,4})?")
                ? Read.of(Double.valueOf(plain))
                : Read.not(
                        "that is not a number.",
                        "a number from %s to %s %s".formatted(Decimals.upTo(least, 2), Decimals.upTo(most, 2), unit));
    }

    static Read<Double> firmness(String typed, double now) {
        return FirmnessWish.read(typed, now)
                .map(Read::of)
                .orElseGet(() -> Read.not(
                        "that is no firmness known here: a number between 0 and 50, or a name.", FirmnessWish.HINT));
    }

    static Read<Integer> whole(String typed, int least, int most) {
        String plain = without(typed, "days", "day", "d");
        return Linear.matches(plain, "\\d{1,6}")
                ? Read.of(Integer.valueOf(plain))
                : Read.not("that is not a whole number.", "a number from %d to %d".formatted(least, most));
    }

    /** The text without these words at its end, each in its turn, nor the blanks before them. */
    private static String without(String typed, String... endings) {
        String text = typed.strip();
        for (String ending : endings) {
            if (text.toLowerCase(Locale.ROOT).endsWith(ending)) {
                text = text.substring(0, text.length() - ending.length()).strip();
            }
        }
        return text;
    }
}
