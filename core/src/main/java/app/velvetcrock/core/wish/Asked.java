package app.velvetcrock.core.wish;

import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.materia.DataFile;
import app.velvetcrock.core.text.Linear;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What somebody says they want, in their own words: "a salve for chapped hands".
 *
 * @param isKnown whether any word of it says what it is to be
 * @param kind what is made of the oil; absent where the oil itself is wanted, or nobody knows
 * @param never why no such thing is made here; absent of what is
 */
public record Asked(boolean isKnown, Optional<Kind> kind, Optional<String> never) {

    private static final String OIL = "oil";
    private static final List<Want> WANTS =
            DataFile.read(Asked.class, "wants.csv", row -> new Want(row.text("kind"), List.copyOf(row.list("words"))));
    private static final List<NotHere> NEVER = DataFile.read(
            Asked.class, "not-here.csv", row -> new NotHere(List.copyOf(row.list("words")), row.text("answer")));

    private record Want(String kind, List<String> words) {}

    private record NotHere(List<String> words, String answer) {}

    /** Reads it; words that say nothing of what it is are passed over. */
    public static Asked read(String said, List<Kind> kinds) {
        String text = " "
                + Arrays.stream(Linear.split(
                                Linear.every(said.toLowerCase(Locale.ROOT).replace('’', '\''), "[^\\p{L}']+", " "),
                                " "))
                        .filter(word -> !word.isEmpty())
                        .collect(Collectors.joining(" "))
                + " ";
        Optional<String> never = NEVER.stream()
                .filter(one -> one.words().stream().anyMatch(word -> text.contains(" " + word + " ")))
                .map(NotHere::answer)
                .findFirst();
        Optional<Want> want = WANTS.stream()
                .filter(one -> one.words().stream().anyMatch(word -> text.contains(" " + word + " ")))
                .findFirst();
        return new Asked(
                want.isPresent(),
                want.filter(one -> !one.kind().equals(OIL)).flatMap(one -> kinds.stream()
                        .filter(kind -> kind.key().equals(one.kind()))
                        .findFirst()),
                never);
    }
}
