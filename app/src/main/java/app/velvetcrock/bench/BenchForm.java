package app.velvetcrock.bench;

import app.velvetcrock.core.method.Method;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The Bench's sentence as typed; everything may be missing.
 *
 * @param cut how fine it is to be taken; empty for as it is stored
 * @param then how long the second stage is to last, of a way that has two
 * @param weighed what the herb really weighed, when it differs
 * @param poured what oil was really poured, when it differs
 */
public record BenchForm(
        @Nullable UUID key, @Nullable String herb, @Nullable String amount, @Nullable String cut, @Nullable String carrier, @Nullable String oil, @Nullable String jar,
        @Nullable String method, @Nullable String length, @Nullable String then, @Nullable String start, @Nullable String use, @Nullable String pressing,
        @Nullable String storage, @Nullable String weighed, @Nullable String poured) {

    /** The form with what a newcomer would find filled in. */
    BenchForm withDefaults(String usualAmount, String today) {
        Method way = way();
        return new BenchForm(
                key, or(herb, ""), or(amount, usualAmount), or(cut, ""), or(carrier, ""), oil == null ? "" : oil, or(jar, ""), way.key(),
                or(length, way.first().pace().words(way.first().usual())), or(then, usualThen(way)), or(start, today), or(use, "ADULT_SKIN"), or(pressing, "HAND"),
                or(storage, "COOL_DARK"), or(weighed, ""), or(poured, ""));
    }

    /** The same by another way. */
    BenchForm by(Method way) {
        return new BenchForm(key, herb, amount, cut, carrier, oil, jar, way.key(), length, then, start, use, pressing, storage, weighed, poured);
    }

    /** What the second stage takes usually; empty where there is none. */
    private static String usualThen(Method way) {
        return way.stages().size() < 2 ? "" : way.stages().get(1).pace().words(way.stages().get(1).usual());
    }

    /** The method named, else the first there is. */
    Method way() {
        return Method.of(or(method, "")).orElse(Method.COLD_AND_DARK);
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
