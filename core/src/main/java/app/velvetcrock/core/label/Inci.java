package app.velvetcrock.core.label;

import app.velvetcrock.core.materia.DataFile;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** INCI names by the keys of the catalogue [E]; they are revised from time to time, so a label says to check them. */
public final class Inci {

    private final Map<String, String> names;

    private Inci(Map<String, String> names) {
        this.names = names;
    }

    private record Line(String key, String inci) {}

    /** Reads the shipped names; a bad line stops with file, line and text. */
    public static Inci shipped() {
        return new Inci(
                DataFile.read(Inci.class, "inci.csv", row -> new Line(row.text("key"), row.text("inci"))).stream()
                        .collect(Collectors.toMap(Line::key, Line::inci)));
    }

    /** The name of an ingredient; absent where none is held. */
    public Optional<String> of(String key) {
        return Optional.ofNullable(names.get(key));
    }
}
