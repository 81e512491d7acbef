package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.kitchen.Reading.NotUnderstood;
import app.velvetcrock.core.kitchen.Reading.Understood;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.Optional;
import java.util.function.Function;

/**
 * Reads counted things by what one of them weighs (craft: counted things by a piece weight): "12 × 0.8 g", "4 sticks at 3 g each".
 * What one weighs is never guessed.
 */
public final class CountReader {

    private static final String PIECES =
            "(?:flower |seed |rose )?(?:pieces?|pcs|heads?|sticks?|leaves|leaf|pods?|cloves?|fruits?|peppers?|buds?|flowers?|blossoms?"
                    + "|cones?|hips?|berries|tips?|roots?|stars?)";
    private static final Pattern WEIGHED = Pattern.compile("(?i)^([1-9]\\d{0,3})(?: ?[×x*] ?| times | " + PIECES
            + ",?(?: of| at| each| weighing)* )(\\d.*?)(?: each| apiece| a piece)?$");
    private static final Pattern COUNTED = Pattern.compile("(?i)^(\\d{1,4}) (" + PIECES + ")$");

    private static final Pattern OF_A_THING = Pattern.compile("(?i)^(?:.+ )?" + PIECES + "$");
    private static final Pattern BARE = Pattern.compile("^[1-9]\\d{0,3}$");

    private CountReader() {}

    /** Tells whether a bare number counts pieces of something: 12 of "calendula heads". */
    public static boolean isCounted(String amount, String name) {
        return BARE.matcher(amount).matches() && OF_A_THING.matcher(name).matches();
    }

    /**
     * What so many of a thing come to; absent where nothing is counted.
     *
     * @param one reads what one weighs or holds
     * @param clearly words an amount so that it reads the same again
     */
    static Optional<Reading> read(
            String typed,
            String plain,
            Expect expect,
            Function<String, Reading> one,
            Function<Amount, Understood> clearly) {
        Matcher counted = COUNTED.matcher(plain);
        if (counted.matches()) {
            return Optional.of(new NotUnderstood(
                    typed,
                    "what one of %s %s weighs is not known: weigh ten, and write it as %s × 0.8 g"
                            .formatted(counted.group(1), counted.group(2), counted.group(1)),
                    expect.examples()));
        }
        Matcher weighed = WEIGHED.matcher(plain);
        if (!weighed.matches() || !(one.apply(weighed.group(2)) instanceof Understood each)) {
            return Optional.empty();
        }
        int count = Integer.parseInt(weighed.group(1));
        Amount all = new Amount(
                each.amount().low() * count,
                each.amount().high() * count,
                each.amount().unit());
        return Optional.of(new Understood(typed, all, clearly.apply(all).echo()));
    }
}
