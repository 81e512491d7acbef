package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.text.Linear;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.Locale;
import java.util.Optional;

/** Reads a count of drops: "37 drops", "ten drops", "10-12 drops", which is 11. What a drop holds is the bottle's to say. */
public final class DropReader {

    private static final int LONGEST = 40;
    private static final int MOST = 9_999;
    private static final Pattern WORD = Pattern.compile("^(drops?|gtt)\\.?(?: each)?$");
    private static final Pattern RANGE = Pattern.compile("^(\\d{1,4}) ?(?:-|to|or) ?(\\d{1,4})(?: (.*))?$");

    private DropReader() {}

    /**
     * How many drops are said, whole; absent where it is anything else.
     *
     * @param bare whether a number alone is a count of them
     */
    public static Optional<Integer> read(String typed, boolean bare) {
        if (typed.length() > LONGEST) {
            return Optional.empty();
        }
        String plain = Linear.first(KitchenNumber.plain(typed).toLowerCase(Locale.ROOT), "^about ", "");
        Matcher range = RANGE.matcher(plain);
        if (range.matches()) {
            double middle = (Integer.parseInt(range.group(1)) + Integer.parseInt(range.group(2))) / 2.0;
            return said(middle, range.group(3) == null ? "" : range.group(3), bare);
        }
        return KitchenNumber.startOf(plain)
                .flatMap(number -> said(
                        number.values().get(0), plain.substring(number.length()).strip(), bare));
    }

    private static Optional<Integer> said(double count, String rest, boolean bare) {
        boolean drops = rest.isEmpty() ? bare : WORD.matcher(rest).matches();
        boolean whole = rest.isEmpty() && count != Math.rint(count);
        return drops && !whole && count >= 0 && count <= MOST ? Optional.of((int) Math.round(count)) : Optional.empty();
    }
}
