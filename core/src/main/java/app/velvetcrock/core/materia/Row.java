package app.velvetcrock.core.materia;

import app.velvetcrock.core.text.Linear;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.apache.commons.csv.CSVRecord;

/** One line of a data file, its fields by the names in the head. */
public final class Row {

    private final CSVRecord record;

    Row(CSVRecord record) {
        this.record = record;
    }

    /** A field that must not be blank. */
    public String text(String column) {
        String value = record.get(column);
        if (value.isBlank()) {
            throw new IllegalArgumentException(column + " is blank");
        }
        return value;
    }

    /** A field that may be blank. */
    public Optional<String> optional(String column) {
        return Optional.of(record.get(column)).filter(value -> !value.isBlank());
    }

    public boolean isBlank(String column) {
        return record.get(column).isBlank();
    }

    public double number(String column) {
        try {
            return Double.parseDouble(text(column));
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("%s is “%s”, not a number".formatted(column, record.get(column)), e);
        }
    }

    public int whole(String column) {
        return Math.toIntExact(Math.round(number(column)));
    }

    public <E extends Enum<E>> E oneOf(Class<E> type, String column) {
        return Enum.valueOf(type, text(column).toUpperCase(Locale.ROOT).replace(' ', '_'));
    }

    /** A field of words parted by commas; blank gives none. */
    public List<String> list(String column) {
        return Arrays.stream(Linear.split(record.get(column), ","))
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .toList();
    }

    public Set<String> set(String column) {
        return new TreeSet<>(list(column));
    }
}
