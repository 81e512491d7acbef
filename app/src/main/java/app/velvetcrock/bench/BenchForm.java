package app.velvetcrock.bench;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** The Bench's sentence as typed; everything may be missing. */
public record BenchForm(
        @Nullable UUID key, @Nullable String herb, @Nullable String amount, @Nullable String carrier, @Nullable String oil, @Nullable String jar,
        @Nullable String days, @Nullable String start, @Nullable String use, @Nullable String pressing, @Nullable String storage) {

    /** The form with what a newcomer would find filled in. */
    BenchForm withDefaults(String usualAmount, int usualDays, String today) {
        return new BenchForm(
                key, or(herb, ""), or(amount, usualAmount), or(carrier, ""), oil == null ? "" : oil, or(jar, ""),
                or(days, String.valueOf(usualDays)), or(start, today), or(use, "ADULT_SKIN"), or(pressing, "HAND"), or(storage, "COOL_DARK"));
    }

    private static String or(@Nullable String value, String other) {
        return value == null ? other : value;
    }

    static Optional<UUID> id(@Nullable String text) {
        try {
            return text == null || text.isBlank() ? Optional.empty() : Optional.of(UUID.fromString(text));
        } catch (IllegalArgumentException notAnId) {
            return Optional.empty();
        }
    }
}
