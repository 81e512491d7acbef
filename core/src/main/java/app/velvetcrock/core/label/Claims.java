package app.velvetcrock.core.label;

import app.velvetcrock.core.materia.DataFile;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Finds words on a label or in a name that claim what in many places only a medicine may (craft: making, wording). */
public final class Claims {

    private static final Pattern WORD = Pattern.compile("[\\p{L}][\\p{L}-]*");
    private static final String ANY = "*";

    private final List<Stem> stems;

    private Claims(List<Stem> stems) {
        this.stems = stems;
    }

    private record Stem(List<String> forms, boolean never, String instead) {

        boolean is(String word) {
            return forms.stream()
                    .anyMatch(form -> form.endsWith(ANY)
                            ? word.startsWith(form.substring(0, form.length() - 1))
                            : word.equals(form));
        }

        String key() {
            return forms.get(0).replace(ANY, "");
        }
    }

    /**
     * A word that claims too much.
     *
     * @param stem by which a household may say that its own rules allow it
     * @param never true where no household's rules do: a claim to heal, cure or treat
     * @param instead plain words
     */
    public record Claim(String word, String stem, boolean never, String instead) {}

    /** Reads the shipped words; a bad line stops with file, line and text. */
    public static Claims shipped() {
        return new Claims(DataFile.read(
                Claims.class,
                "wording.csv",
                row -> new Stem(row.list("stem"), row.text("never").equals("yes"), row.text("instead"))));
    }

    /** The words of a text that claim too much, in their order, without those the household's own rules allow. */
    public List<Claim> in(String text, Set<String> allowed) {
        List<Claim> claims = new ArrayList<>();
        Matcher words = WORD.matcher(text);
        while (words.find()) {
            String word = words.group().toLowerCase(Locale.ROOT);
            stems.stream()
                    .filter(stem -> stem.is(word))
                    .filter(stem -> stem.never() || !allowed.contains(stem.key()))
                    .findFirst()
                    .ifPresent(stem -> claims.add(new Claim(words.group(), stem.key(), stem.never(), stem.instead())));
        }
        return claims;
    }
}
