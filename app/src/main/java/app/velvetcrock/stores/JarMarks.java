package app.velvetcrock.stores;

import app.velvetcrock.core.larder.JarGlass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.web.Fields;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reads the lines on a jar's glass: "1 cup, 2 cups" as they measure, or "two cups = 480 mL" as water showed. */
final class JarMarks {

    private static final String FIELD = "marks";
    private static final int LONGEST = 200;
    private static final int LONGEST_NAME = 30;

    private JarMarks() {}

    /**
     * The marks from the floor up; empty where one is not clear or lies above the brim.
     *
     * @param brim what the jar holds
     */
    static Optional<List<JarGlass.Mark>> read(Fields fields, @Nullable String typed, Volume brim) {
        if (typed == null || typed.isBlank()) {
            return Optional.of(List.of());
        }
        if (fields.isTooLong(FIELD, typed, LONGEST)) {
            return Optional.empty();
        }
        List<String> said = List.of(Linear.split(typed, "[,;]")).stream()
                .map(String::strip)
                .filter(one -> !one.isEmpty())
                .toList();
        if (said.size() > JarGlass.MOST_MARKS) {
            fields.trouble(
                    FIELD,
                    "Understood %d marks; at most %d can be kept.".formatted(said.size(), JarGlass.MOST_MARKS),
                    "1 cup, 2 cups");
            return Optional.empty();
        }
        List<JarGlass.Mark> marks = new ArrayList<>();
        for (String one : said) {
            String[] named = Linear.split(one, "=", 2);
            String name = named[0].strip();
            Optional<Volume> holds = fields.capacity(FIELD, named[named.length - 1].strip(), 1, brim.millilitres());
            if (name.isEmpty() || name.length() > LONGEST_NAME) {
                fields.trouble(FIELD, "“%s”: a mark has a short name.".formatted(one), "two cups = 480 mL");
            }
            holds.ifPresent(volume -> marks.add(new JarGlass.Mark(name, volume)));
        }
        marks.sort(Comparator.comparing(JarGlass.Mark::holds));
        return marks.size() == said.size() && fields.isClear() ? Optional.of(marks) : Optional.empty();
    }
}
