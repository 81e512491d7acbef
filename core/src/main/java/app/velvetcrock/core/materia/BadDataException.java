package app.velvetcrock.core.materia;

import org.jspecify.annotations.Nullable;

/** A line of shipped reference data that cannot be read; the application does not start with it. */
public final class BadDataException extends RuntimeException {

    public BadDataException(String file, long line, String text, @Nullable String trouble, @Nullable Throwable cause) {
        super("%s, line %d: %s in “%s”".formatted(file, line, trouble, text), cause);
    }
}
