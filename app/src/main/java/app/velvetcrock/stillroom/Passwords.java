package app.velvetcrock.stillroom;

import app.velvetcrock.web.Fields;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;

/** What a password must be like. */
final class Passwords {

    private static final int LEAST = 10;
    /** BCrypt reads no more bytes than this; a longer one would be cut silently. */
    private static final int MOST_BYTES = 72;

    private Passwords() {}

    static void check(Fields fields, String field, @Nullable String password) {
        String typed = password == null ? "" : password;
        if (typed.length() < LEAST) {
            fields.trouble(field, "This has %d signs; a password needs at least %d.".formatted(typed.length(), LEAST), "three or four words");
        } else if (typed.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            fields.trouble(field, "This is too long to be kept safely.", "at most %d letters".formatted(MOST_BYTES));
        }
    }
}
