package app.velvetcrock.web;

import java.io.Serializable;
import org.jspecify.annotations.Nullable;

/**
 * What was just done, said at the top of the next page.
 *
 * @param refused true for what was not done
 * @param undo where to send the undoing; null when there is none
 */
public record Notice(String words, @Nullable String undo, boolean refused) implements Serializable {

    public Notice(String words, @Nullable String undo) {
        this(words, undo, false);
    }

    /** How it is shown: a refusal stands out. */
    public String mark() {
        return refused ? "alarm no-print" : "notice";
    }

    /** Something that was not done, with the reason. */
    public static Notice refusal(String words) {
        return new Notice(words, null, true);
    }

    /** The name it travels under from one request to the next. */
    public static final String NAME = "notice";
}
