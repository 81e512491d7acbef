package app.velvetcrock.core.course;

import app.velvetcrock.core.measure.Check;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.Locale;

/**
 * Which task of a batch is meant: never a date, so that it survives a moved plan, a second tap and an undo.
 *
 * @param stage key of the stage it belongs to
 * @param ordinal counted from 1
 */
public record TaskKey(String stage, TaskKind kind, int ordinal) {

    /** The stage of tasks that come after straining. */
    public static final String AFTER = "after";

    /** The stage of what is said of the spirit, which no stage of a way is called. */
    private static final String SPIRIT = "spirit";

    /** That no spirit is left in a charge. */
    public static TaskKey spiritGone() {
        return new TaskKey(SPIRIT, TaskKind.SPIRIT_GONE, 1);
    }

    private static final Pattern WRITTEN = Pattern.compile("([a-z-]{1,20})\\.([a-z-]{1,20})\\.([1-9]\\d{0,4})");

    public TaskKey {
        Check.range("ordinal", ordinal, 1, 99_999, "");
    }

    /**
     * Reads what {@link #toString} writes.
     *
     * @throws IllegalArgumentException with the text, when it names no task
     */
    public static TaskKey parse(String text) {
        Matcher parts = WRITTEN.matcher(text);
        if (!parts.matches()) {
            throw new IllegalArgumentException("“%s” names no task; it is stage.kind.ordinal".formatted(text));
        }
        return new TaskKey(
                parts.group(1),
                TaskKind.valueOf(parts.group(2).toUpperCase(Locale.ROOT).replace('-', '_')),
                Integer.parseInt(parts.group(3)));
    }

    @Override
    public String toString() {
        return "%s.%s.%d".formatted(stage, kind.name().toLowerCase(Locale.ROOT).replace('_', '-'), ordinal);
    }
}
