package app.velvetcrock.core.recipe;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.recipe.RecipeLine.Asked;
import app.velvetcrock.core.recipe.RecipeLine.Clear;
import app.velvetcrock.core.recipe.RecipeLine.Contradicting;
import app.velvetcrock.core.recipe.RecipeLine.Instead;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * So much of a thing to so much of the oil, by weight: "one part wax to five", "1 part beeswax to 5 parts oil", "an ounce of wax to four of
 * oil". It is reckoned by the oil of the other lines; where that is not settled, for each of its readings.
 *
 * @param name what it is of
 * @param share how much of it to one of oil, above 0
 */
record ToTheOil(String name, double share, String words) {

    private static final Pattern SAID = Pattern.compile(
            "(?i)" + Proportions.NUMBER
                    + " (?:parts?|ounces?|oz|grams?|g|pounds?|lbs?) (?:of )?([a-z' -]+?) (?:to|in|for|per) "
                    + Proportions.NUMBER
                    + "(?: (?:parts?|ounces?|oz|grams?|g|pounds?|lbs?))?(?: (?:of )?(?:the )?(?:carrier |infused |base |liquid )?oils?)?");

    /** Reads it; absent for anything else. */
    static Optional<ToTheOil> of(String line) {
        Matcher said = SAID.matcher(line.strip());
        if (!said.matches()) {
            return Optional.empty();
        }
        return Proportions.number(said.group(1)).flatMap(of -> Proportions.number(said.group(3))
                .map(to -> new ToTheOil(
                        said.group(2), of / to, "%s to %s of oil, by weight".formatted(said.group(1), said.group(3)))));
    }

    /** Tells whether a line is of an oil that this can be reckoned by, settled or not. */
    static boolean isOil(RecipeLine line) {
        return line instanceof Clear clear && clear.thing().role() == Thing.Role.OIL
                || line instanceof Contradicting open && open.thing().role() == Thing.Role.OIL;
    }

    /**
     * How much that is.
     *
     * @param others the other lines
     * @param read reads a line by itself
     */
    RecipeLine reckoned(String written, Thing thing, List<RecipeLine> others, Function<String, RecipeLine> read) {
        Mass oil = RecipeReader.total(others.stream()
                .filter(line -> line instanceof Clear && isOil(line))
                .toList());
        List<Contradicting> open = others.stream()
                .filter(Contradicting.class::isInstance)
                .map(Contradicting.class::cast)
                .filter(ToTheOil::isOil)
                .toList();
        if (open.isEmpty()) {
            return new Clear(written, thing, oil.times(share), words, false);
        }
        List<Instead> instead = new ArrayList<>();
        for (Instead reading : open.get(0).instead()) {
            if (read.apply(reading.line()) instanceof Clear clear) {
                Mass much = clear.mass().plus(oil).times(share);
                instead.add(new Instead(
                        "%.1f g %s".formatted(much.grams(), thing.name()),
                        "%s: %.0f g of oil"
                                .formatted(reading.words(), clear.mass().grams())));
            }
        }
        return new Asked(
                written, "How much that is hangs on the oil above: settle that first, or take one of these.", instead);
    }
}
