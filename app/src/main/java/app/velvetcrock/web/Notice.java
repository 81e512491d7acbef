package app.velvetcrock.web;

import java.io.Serializable;
import org.jspecify.annotations.Nullable;

/**
 * What was just done, said at the top of the next page.
 *
 * @param undo where to send the undoing; null when there is none
 */
public record Notice(String words, @Nullable String undo) implements Serializable {

    /** The name it travels under from one request to the next. */
    public static final String NAME = "notice";
}
