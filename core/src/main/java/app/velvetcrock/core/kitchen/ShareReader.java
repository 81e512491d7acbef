package app.velvetcrock.core.kitchen;

import com.google.re2j.Pattern;
import java.util.Optional;

/** Reads a bare number as people write one: "2", "2/3", "half", "1 ½", "60 %". */
public final class ShareReader {

    private static final double PERCENT = 100;
    private static final Pattern PERCENT_WORD = Pattern.compile("(?i) ?(?:per ?cent|pct)\\.?$");

    private ShareReader() {}

    /** Tells whether a share of the whole is said in percent, as a sign or a word. */
    public static boolean isPercent(String typed) {
        return typed.strip().endsWith("%")
                || PERCENT_WORD.matcher(typed.strip()).find();
    }

    /** Reads all of a text; empty where it is no number, or goes on after one. */
    public static Optional<Double> read(String typed) {
        String text = PERCENT_WORD.matcher(KitchenNumber.plain(typed).strip()).replaceFirst("%");
        boolean percent = text.endsWith("%");
        String plain = percent ? text.substring(0, text.length() - 1).strip() : text;
        return KitchenNumber.startOf(plain)
                .filter(number ->
                        number.length() == plain.length() && number.values().size() == 1)
                .map(number -> percent
                        ? number.values().get(0) / PERCENT
                        : number.values().get(0));
    }
}
