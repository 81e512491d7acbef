package app.velvetcrock.core.recipe;

import app.velvetcrock.core.text.Linear;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Several things said on one line, and one thing said on several: "2 cups olive oil and 1/4 cup beeswax" is two lines, "four cups of olive
 * oil", "eighteen ounces" is one.
 *
 * @param whole tells whether a text names an amount and a thing by itself
 * @param amount tells whether it is an amount and nothing else
 */
record Segments(Predicate<String> whole, Predicate<String> amount) {

    private static final String BETWEEN = ",? and |, | \\+ | & |; ";

    /** What one line says, each by itself where each reads so; else the line as it is. */
    Stream<String> of(String line) {
        String[] said = Linear.split(line, BETWEEN);
        boolean each = said.length > 1
                && line.length() <= RecipeReader.LONGEST_LINE
                && Stream.of(said).filter(whole).count() > (whole.test(said[0]) ? 0 : 1)
                && Stream.of(said).allMatch(this::isSomething);
        return each ? joined(Stream.of(said)).stream() : Stream.of(line);
    }

    private boolean isSomething(String said) {
        return whole.test(said) || amount.test(said) || ToTheOil.of(said).isPresent();
    }

    /** An amount alone is a second one of what was named before it. */
    List<String> joined(Stream<String> lines) {
        List<String> joined = new ArrayList<>();
        lines.forEach(line -> {
            int last = joined.size() - 1;
            if (last >= 0 && amount.test(line) && whole.test(joined.get(last))) {
                joined.set(last, joined.get(last) + ", " + line);
            } else {
                joined.add(line);
            }
        });
        return joined;
    }
}
