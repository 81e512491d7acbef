package app.velvetcrock.core.jot;

import app.velvetcrock.core.intake.Arriving;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Reads what came into the house: a list of its own, as the stores read it. */
final class CameIn {

    /** By which a part begins that tells what came in. */
    private static final List<String> VERBS =
            List.of("came in", "bought", "got in", "brought in", "brought home", "arrived", "new in");

    private final Function<String, List<Arriving>> intake;

    CameIn(Function<String, List<Arriving>> intake) {
        this.intake = intake;
    }

    /** What came into the house, where a part begins by saying so. */
    Optional<JotReader.Clause> read(String text, int from) {
        int start = text.length() - text.stripLeading().length();
        return VERBS.stream()
                .filter(verb -> text.regionMatches(true, start, verb, 0, verb.length())
                        && (text.length() == start + verb.length()
                                || " :,".indexOf(text.charAt(start + verb.length())) >= 0))
                .findFirst()
                .map(verb -> arrived(text, from, start, start + verb.length()));
    }

    private JotReader.Clause arrived(String text, int from, int verb, int end) {
        int list = end;
        while (list < text.length() && " :,".indexOf(text.charAt(list)) >= 0) {
            list++;
        }
        List<Arriving> read = intake.apply(text.substring(list));
        List<Jotted.Doubt> doubts = new ArrayList<>();
        for (Arriving one : read) {
            if (one instanceof Arriving.Doubt doubt) {
                int at = Math.max(0, text.indexOf(doubt.written(), list));
                doubts.add(new Jotted.Doubt(
                        from + at,
                        from + Math.min(text.length(), at + doubt.written().length()),
                        doubt.wrong(),
                        List.of()));
            }
        }
        if (read.isEmpty()) {
            doubts.add(new Jotted.Doubt(from + verb, from + end, "what came in?", List.of()));
        }
        return new JotReader.Clause(List.of(), doubts.isEmpty() ? read : List.of(), doubts);
    }
}
