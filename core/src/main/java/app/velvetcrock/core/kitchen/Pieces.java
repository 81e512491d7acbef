package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.measure.CupSystem;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.text.Linear;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.Comparator;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.ToLongFunction;
import java.util.stream.Stream;

/**
 * So many things to fill or to give: "12 tins", "two dozen", "a jar", "enough for 17 people".
 *
 * @param count at least nothing
 * @param of what they are, as one of it is called: "tin", "people"; empty where only a number is said
 * @param millilitres what one is said to hold: "a 30 mL tin each"
 */
public record Pieces(int count, String of, Optional<Integer> millilitres) {

    private static final int LONGEST = 60;
    private static final int MOST = 9_999;
    private static final int DOZEN = 12;

    /** A tin sold as 60 mL may hold 57 or 62. */
    private static final double NEAR = 0.1;

    private static final Pattern BEFORE = Pattern.compile("^(?:enough |some )?(?:for |of )?");
    private static final String SIZE = "(\\d{1,4}) ?ml";
    private static final Pattern THINGS = Pattern.compile("^(?:x|×|times)? ?(?:" + SIZE
            + " )?((?:[\\p{L}]{1,20} ){0,2})"
            + "(tins?|jars?|pots?|bottles?|sticks?|tubes?|moulds?|molds?|bars?|pieces?|containers?|people|persons?|friends?|gifts?)"
            + "(?:,? (?:an?|one|of|each|with) " + SIZE + "(?: [\\p{L}]{1,20})?| of [\\p{L} ]{1,30})?(?: each)?$");
    private static final Set<String> VAGUE =
            Set.of("few", "couple", "several", "some", "many", "lot", "dozen", "hundred");
    private static final Pattern BARE = Pattern.compile("^(?:x|×|times)?$");

    /** Reads it; absent where it is an amount, or anything else. */
    public static Optional<Pieces> read(String typed) {
        if (typed.length() > LONGEST) {
            return Optional.empty();
        }
        String plain = BEFORE.matcher(KitchenNumber.plain(typed).toLowerCase(Locale.ROOT))
                .replaceFirst("");
        return KitchenNumber.startOf(plain).flatMap(number -> {
            String rest = plain.substring(number.length()).strip();
            boolean dozens = rest.equals("dozen") || rest.startsWith("dozen ");
            double count = number.values().get(number.values().size() - 1) * (dozens ? DOZEN : 1);
            return of(count, dozens ? rest.substring("dozen".length()).strip() : rest);
        });
    }

    private static Optional<Pieces> of(double count, String rest) {
        Matcher things = THINGS.matcher(rest);
        if (count != Math.rint(count) || count < 0 || count > MOST) {
            return Optional.empty();
        } else if (BARE.matcher(rest).matches()) {
            return Optional.of(new Pieces((int) count, "", Optional.empty()));
        }
        return things.matches() && !isMore(things.group(2))
                ? Optional.of(new Pieces(
                        (int) count,
                        Linear.first(things.group(3), "s$", "").replace("mold", "mould"),
                        Stream.of(1, 4)
                                .map(things::group)
                                .filter(Objects::nonNull)
                                .map(Integer::valueOf)
                                .findFirst()))
                : Optional.empty();
    }

    /** "12 oz jars" may be twelve or one, "a few tins" is any number: that is left to be asked about. */
    private static boolean isMore(String before) {
        UnitWords units = new UnitWords(CupSystem.METRIC);
        return Stream.of(Linear.split(before, " "))
                .anyMatch(word ->
                        !word.isEmpty() && !units.meanings(word, Expect.LIQUID).isEmpty());
    }

    /** Of what there is, the one of that size, whose name says what they are, or else the one there is most of. */
    public <T> Optional<T> meant(
            Stream<T> all, Function<T, String> name, Function<T, Volume> holds, ToLongFunction<T> left) {
        return all.max(Comparator.comparing((T one) -> millilitres
                        .filter(size -> Math.abs(holds.apply(one).millilitres() - size) <= NEAR * size)
                        .isPresent())
                .thenComparing(one -> !of.isEmpty()
                        && name.apply(one).toLowerCase(Locale.ROOT).contains(of))
                .thenComparingLong(left));
    }
}
