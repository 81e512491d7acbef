package app.velvetcrock.devices;

import app.velvetcrock.devices.Line.Impossible;
import app.velvetcrock.devices.Said.Refusal;
import app.velvetcrock.readings.DeviceKind;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads a device's message, JSON or CSV: line by line, so that a bad one does not cost the good ones. Each says its moment as
 * {@code at} or, without a clock, as {@code secondsAgo}.
 */
record Message(JsonMapper json, DeviceKind kind, Instant now) {

    static final int MOST_LINES = 10_000;

    /** The message as a whole cannot be read. */
    static final class Unreadable extends Exception {
        private static final long serialVersionUID = 1L;

        Unreadable(String why) {
            super(why, null, false, false);
        }

        String why() {
            return String.valueOf(getMessage());
        }
    }

    /** What becomes of a line that could be understood. */
    interface Takes<T> {
        T from(Line line) throws Impossible;
    }

    /** @param list under which name the lines stand */
    <T> Said<T> ofJson(byte[] body, String list, Takes<T> takes) throws Unreadable {
        JsonNode root;
        try {
            root = json.readTree(body);
        } catch (JacksonException cut) {
            throw new Unreadable("This is not JSON to the end.");
        }
        JsonNode lines = root.isObject() && root.has(list) ? root.get(list) : root;
        List<JsonNode> all = new ArrayList<>();
        if (lines.isArray()) {
            lines.forEach(all::add);
        } else if (lines.isObject()) {
            all.add(lines);
        } else {
            throw new Unreadable("Expected an object with a list named %s.".formatted(list));
        }
        return each(all, node -> field -> text(node, field), takes);
    }

    private static @Nullable String text(JsonNode node, String field) {
        JsonNode value = node.get(field);
        return value == null || value.isNull() || !value.isValueNode() ? null : value.asString();
    }

    <T> Said<T> ofCsv(byte[] body, Takes<T> takes) throws Unreadable {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreSurroundingSpaces(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = format.parse(new StringReader(new String(body, StandardCharsets.UTF_8)))) {
            List<CSVRecord> all = new ArrayList<>();
            for (CSVRecord one : parser) {
                all.add(one);
                if (all.size() > MOST_LINES) {
                    break;
                }
            }
            return each(all, one -> field -> one.isSet(field) ? one.get(field) : null, takes);
        } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException broken) {
            throw new Unreadable("This is not CSV with a first line that names its columns.");
        }
    }

    /** What a line says of a field; null for nothing. */
    private interface Fields {
        @Nullable
        String say(String field);
    }

    private <L, T> Said<T> each(List<L> all, Function<L, Fields> fields, Takes<T> takes) throws Unreadable {
        if (all.size() > MOST_LINES) {
            throw new Unreadable("More than %d lines: send them in several messages.".formatted(MOST_LINES));
        }
        List<T> good = new ArrayList<>();
        List<Refusal> refused = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            try {
                good.add(takes.from(line(fields.apply(all.get(i)))));
            } catch (Impossible impossible) {
                refused.add(new Refusal(i + 1, impossible.why()));
            }
        }
        return new Said<>(good, refused);
    }

    private Line line(Fields fields) throws Impossible {
        return Line.of(at(fields), value(fields), !"false".equalsIgnoreCase(fields.say("steady")), now);
    }

    /** What it measured, in the unit its kind measures in. */
    private double value(Fields fields) throws Impossible {
        if (kind == DeviceKind.SCALE) {
            return number(fields.say("grams"));
        }
        String celsius = fields.say("celsius");
        String fahrenheit = fields.say("fahrenheit");
        if (celsius != null && fahrenheit != null) {
            throw new Impossible("it says celsius and fahrenheit: send one of them");
        }
        return fahrenheit == null ? number(celsius) : (number(fahrenheit) - FREEZING) / PER_DEGREE;
    }

    private Instant at(Fields fields) throws Impossible {
        String at = fields.say("at");
        if (at != null && fields.say("secondsAgo") != null) {
            throw new Impossible("it says at and secondsAgo: send one of them");
        }
        if (at != null) {
            try {
                return OffsetDateTime.parse(at.strip().toUpperCase(Locale.ROOT)).toInstant();
            } catch (DateTimeException unreadable) {
                throw new Impossible("its moment cannot be read: write 2026-11-24T10:02:00Z");
            }
        }
        String ago = fields.say("secondsAgo");
        double seconds = number(ago);
        if (seconds < 0 || seconds > FAR_SECONDS) {
            throw new Impossible("so many seconds ago is no moment");
        }
        return now.minusMillis(Math.round(seconds * MILLIS));
    }

    private static final double FREEZING = 32;
    private static final double PER_DEGREE = 1.8;

    private static final double MILLIS = 1000;
    private static final double FAR_SECONDS = 1e9;
    private static final int LONGEST_NUMBER = 40;

    private static double number(@Nullable String written) throws Impossible {
        if (written == null || written.isBlank()) {
            throw new Impossible("a moment (at or secondsAgo) or a value (celsius, fahrenheit or grams) is missing");
        }
        try {
            double number = written.length() > LONGEST_NUMBER ? Double.NaN : Double.parseDouble(written.strip());
            if (!Double.isFinite(number)) {
                throw new Impossible("its value is no number");
            }
            return number;
        } catch (NumberFormatException word) {
            throw new Impossible("its value is no number");
        }
    }
}
