package app.velvetcrock.core.method;

import app.velvetcrock.core.materia.DataFile;
import app.velvetcrock.core.materia.Row;
import java.util.List;

/** Where the schools differ: what each holds, and our default with its reason. */
public record Disagreement(String topic, String one, String other, String ours) {

    /** Reads the shipped file; a bad line stops with file, line and text. */
    public static List<Disagreement> shipped() {
        return DataFile.read(Disagreement.class, "disagreements.csv", Disagreement::from);
    }

    private static Disagreement from(Row row) {
        return new Disagreement(row.text("topic"), row.text("one"), row.text("other"), row.text("ours"));
    }
}
