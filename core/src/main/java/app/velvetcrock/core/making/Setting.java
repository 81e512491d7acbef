package app.velvetcrock.core.making;

import app.velvetcrock.core.materia.DataFile;
import app.velvetcrock.core.materia.Row;
import app.velvetcrock.core.measure.Temperature;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What a gram of each wax and butter sets like; anything else sets like nothing. */
public final class Setting {

    /** The wax all others are compared with. */
    public static final String BEESWAX = "beeswax";

    /** What sets at least like this is a hard butter, as cocoa butter is. */
    public static final double HARD_BUTTER = 0.3;

    private final Map<String, Line> lines;

    private Setting(Map<String, Line> lines) {
        this.lines = lines;
    }

    /** Reads the shipped file; a bad line stops with file, line and text. */
    public static Setting shipped() {
        return new Setting(DataFile.read(Setting.class, "firmness.csv", Line::from).stream()
                .collect(Collectors.toMap(Line::key, Function.identity())));
    }

    /** Grams of beeswax that a gram of this sets like, in a room so warm. */
    public double equivalent(String key, Temperature room) {
        return Optional.ofNullable(lines.get(key))
                .filter(line -> line.setsAt(room))
                .map(Line::equivalent)
                .orElse(0.0);
    }

    private record Line(String key, double equivalent, Optional<Double> below) {

        static Line from(Row row) {
            return new Line(
                    row.text("key"),
                    row.number("equivalent"),
                    row.optional("below").map(text -> row.number("below")));
        }

        boolean setsAt(Temperature room) {
            return below.filter(most -> room.celsius() >= most).isEmpty();
        }
    }
}
