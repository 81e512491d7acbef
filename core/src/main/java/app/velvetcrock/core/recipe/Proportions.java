package app.velvetcrock.core.recipe;

import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.Reading.Understood;
import app.velvetcrock.core.kitchen.ShareReader;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.recipe.RecipeLine.Asked;
import app.velvetcrock.core.recipe.RecipeLine.Clear;
import app.velvetcrock.core.recipe.RecipeLine.Instead;
import app.velvetcrock.core.text.Linear;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Lines that say how much of a whole there is, or how much to so much oil: "a third each of beeswax, shea butter and olive oil",
 * "1 part beeswax to 5 parts olive oil", "1 oz beeswax per cup of oil".
 */
final class Proportions {

    /** [E] Where only parts are said, they are reckoned for so much in all, so that shares and firmness can be told. */
    private static final Mass WHOLE = Mass.ofGrams(100);

    /** How many, as a pattern. */
    static final String NUMBER = "(\\d[\\d ./½⅓⅔¼¾]*|[½⅓⅔¼¾]|an?|one|two|three|four|five|six|seven|eight|nine|ten)";

    private static final Pattern EACH =
            Pattern.compile("(?i)(?:an? |1 |one )?(half|third|quarter|fifth)s? (?:of )?each(?: of)?:? (.+)");
    private static final Pattern EQUAL = Pattern.compile("(?i)equal parts?(?: of)?:? (.+)");

    /** "1:4 beeswax to olive oil": the numbers first, then what they are of. */
    private static final Pattern RATIO =
            Pattern.compile("(?i)(\\d{1,3}(?:[.,]\\d)?) ?: ?(\\d{1,3}(?:[.,]\\d)?) (?:of )?(.+?) (?:to|and|:) (.+)");

    private static final Pattern TO = Pattern.compile(
            "(?i)" + NUMBER + " parts? (?:of )?(.+?) (?:to|and) " + NUMBER + "(?: parts?)?(?: (?:of )?(.+))?");
    private static final Pattern PART = Pattern.compile("(?i)" + NUMBER + " parts? (?:of )?(.+)");
    private static final Pattern PER = Pattern.compile(
            "(?i)(.+?) (?:per|to (?:a|each|every)|for (?:a|each|every)) (cup|pint|quart|litre|liter|fl oz|100 ml) (?:of )?(?:the )?oil");

    private Proportions() {}

    /** A line of its own for each thing that a line of several speaks of; any other line as it is. */
    static Stream<String> lines(String written) {
        Matcher each = EACH.matcher(written);
        Matcher equal = EQUAL.matcher(written);
        Matcher ratio = RATIO.matcher(written);
        if (ratio.matches()) {
            return Stream.of(parts(ratio.group(1), ratio.group(3)), parts(ratio.group(2), ratio.group(4)));
        }
        if (each.matches() || equal.matches()) {
            return Stream.of(Linear.split(each.matches() ? each.group(2) : equal.group(1), "\\s*(?:,| and | & )\\s*"))
                    .filter(name -> !name.isBlank())
                    .map(name -> "1 part " + name.strip());
        }
        Matcher to = TO.matcher(written);
        return to.matches() && to.group(4) != null
                ? Stream.of(parts(to.group(1), to.group(2)), parts(to.group(3), to.group(4)))
                : Stream.of(written);
    }

    private static String parts(String number, String name) {
        return number + (Linear.matches(number, "(?i)1|an?|one") ? " part " : " parts ") + name.strip();
    }

    /** How many parts a line says, and of what. */
    record Part(double parts, String name) {}

    static Optional<Part> part(String line) {
        Matcher part = PART.matcher(line);
        return part.matches() ? number(part.group(1)).map(number -> new Part(number, part.group(2))) : Optional.empty();
    }

    /** How much goes to so much oil. */
    record PerOil(String line, String measure) {}

    static Optional<PerOil> perOil(String line) {
        Matcher per = PER.matcher(line);
        return per.matches()
                ? Optional.of(new PerOil(
                        per.group(1), Linear.matches(per.group(2), "\\d.*") ? per.group(2) : "1 " + per.group(2)))
                : Optional.empty();
    }

    /** What is said of so much oil is reckoned by the oil of the other lines. */
    static List<RecipeLine> perOil(List<RecipeLine> lines, Function<String, RecipeLine> read, AmountReader amounts) {
        double oil = lines.stream()
                .filter(Clear.class::isInstance)
                .map(Clear.class::cast)
                .filter(line -> line.thing().role() == Thing.Role.OIL
                        && perOil(line.written()).isEmpty())
                .mapToDouble(
                        line -> line.thing().density().volumeOf(line.mass()).millilitres())
                .sum();
        return lines.stream()
                .map(line -> perOil(RecipeReader.unbulleted(line.written()))
                        .map(per -> ofOil(line.written(), per, oil, read.apply(per.line()), amounts))
                        .orElse(line))
                .toList();
    }

    private static RecipeLine ofOil(String written, PerOil per, double oil, RecipeLine read, AmountReader amounts) {
        if (!(read instanceof Clear once)
                || !(amounts.read(per.measure(), Expect.CAPACITY) instanceof Understood measure)) {
            return new Asked(
                    written,
                    "Understood “per %s of oil”, but not how much of what.".formatted(per.measure()),
                    List.of());
        }
        if (oil == 0) {
            return new Asked(
                    written,
                    "No oil stands in the list to reckon it by.",
                    List.of(new Instead(per.line(), "for %s of oil".formatted(measure.echo()))));
        }
        double times = oil / measure.volume().millilitres();
        return new Clear(
                written,
                once.thing(),
                once.mass().times(times),
                "%s to %s of oil, of which there are %.1f times as much".formatted(once.echo(), measure.echo(), times),
                once.byVolume());
    }

    /** A line that says parts of one thing and forgets of what the others are. */
    static Optional<Asked> half(String written) {
        Matcher to = TO.matcher(written);
        return to.matches() && to.group(4) == null
                ? Optional.of(new Asked(
                        written,
                        "%s parts of what?".formatted(to.group(3)),
                        List.of(new Instead(
                                parts(to.group(1), to.group(2)) + " to " + parts(to.group(3), "olive oil"),
                                "of olive oil"))))
                : Optional.empty();
    }

    /** The parts weighed: of a hundred grams in all where nothing but parts is said, else they are asked about. */
    static List<RecipeLine> weighed(List<RecipeLine> lines, Map<RecipeLine, Part> parts) {
        boolean alone = lines.stream().filter(Clear.class::isInstance).allMatch(parts::containsKey);
        double all = parts.values().stream().mapToDouble(Part::parts).sum();
        List<RecipeLine> weighed = new ArrayList<>();
        for (RecipeLine line : lines) {
            Part part = parts.get(line);
            if (part == null || !(line instanceof Clear clear)) {
                weighed.add(line);
            } else if (alone) {
                weighed.add(new Clear(
                        clear.written(),
                        clear.thing(),
                        WHOLE.times(part.parts() / all),
                        "%s of %s parts by weight, for 100 g in all".formatted(plain(part.parts()), plain(all)),
                        false));
            } else {
                weighed.add(new Asked(line.written(), "Parts beside weights: how much in all is not said.", List.of()));
            }
        }
        return weighed;
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }

    /** How many that is: above nothing. */
    static Optional<Double> number(String word) {
        String text = word.strip().toLowerCase(Locale.ROOT);
        List<String> words = List.of("one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten");
        if (text.equals("a") || text.equals("an")) {
            return Optional.of(1.0);
        }
        return words.contains(text)
                ? Optional.of(words.indexOf(text) + 1.0)
                : ShareReader.read(text).filter(value -> value > 0 && value <= 1000);
    }
}
