package app.velvetcrock.core.recipe;

import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Both;
import app.velvetcrock.core.kitchen.Contradiction;
import app.velvetcrock.core.kitchen.CountReader;
import app.velvetcrock.core.kitchen.DropReader;
import app.velvetcrock.core.kitchen.Reading;
import app.velvetcrock.core.kitchen.Reading.Understood;
import app.velvetcrock.core.kitchen.Reading.Unsure;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.recipe.RecipeLine.Asked;
import app.velvetcrock.core.recipe.RecipeLine.Clear;
import app.velvetcrock.core.recipe.RecipeLine.Contradicting;
import app.velvetcrock.core.recipe.RecipeLine.Instead;
import app.velvetcrock.core.text.Linear;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Reads an ingredient list line by line: an amount and a thing, in either order, with a second amount beside it if there is one.
 *
 * <table><caption>Examples in a household with US cups</caption>
 * <tr><td>2½ cups rapeseed oil</td><td>542 g</td></tr>
 * <tr><td>1 oz beeswax pellets</td><td>28.3 g</td></tr>
 * <tr><td>2½ cups (20 oz) rapeseed oil</td><td>asks: 4.5 % off, 20 fluid ounces is 2½ cups exactly</td></tr>
 * <tr><td>nettle leaf: 1 cup</td><td>35.5 g</td></tr>
 * </table>
 */
public final class RecipeReader {

    static final int LONGEST_LINE = 200;
    private static final int MOST_LINES = 60;

    /** [E] "Two and a half cups plus one tablespoon (20 fl oz)": no amount is said in more words. */
    static final int MOST_OF_AN_AMOUNT = 14;

    /** [E] "One good big handful": nor is any that is another in every hand. */
    private static final int MOST_OF_A_VAGUE_ONE = 6;

    private static final Pattern BULLET = Pattern.compile("^\\s*(?:[-*•–]\\s+|\\d+[.)]\\s+(\\d))");
    private final AmountReader amounts;
    private final Things things;
    private final LineParts said;

    public RecipeReader(AmountReader amounts, Things things) {
        this.amounts = amounts;
        this.things = things;
        this.said = new LineParts(amounts, things);
    }

    /** Reads every line that is not blank. */
    public List<RecipeLine> read(String text) {
        Segments segments =
                new Segments(one -> said.split(one).isPresent() || said.isSomeOil(one), said::isAmountAlone);
        List<String> written = segments
                .joined(text.lines()
                        .map(String::strip)
                        .filter(line -> !line.isEmpty())
                        .flatMap(line -> segments(segments, line)))
                .stream()
                .limit(MOST_LINES)
                .toList();
        List<RecipeLine> others =
                told(written.stream().filter(line -> ofTheOil(line).isEmpty()).toList());
        if (others.stream().noneMatch(ToTheOil::isOil)) {
            return told(written.stream()
                    .flatMap(line -> Proportions.lines(unbulleted(line)).count() == 1
                            ? Stream.of(line)
                            : Proportions.lines(unbulleted(line)))
                    .toList());
        }
        Iterator<RecipeLine> next = others.iterator();
        return written.stream()
                .map(line -> ofTheOil(line)
                        .map(to -> to.reckoned(line, things.find(to.name()).orElseThrow(), others, this::line))
                        .orElseGet(next::next))
                .toList();
    }

    /** What a line says, each by itself; what it says of the oil of other lines, and what reads as a whole, stays as it is. */
    private Stream<String> segments(Segments segments, String written) {
        String line = unbulleted(written);
        if (ofTheOil(line).isPresent()) {
            return Stream.of(written);
        }
        if (Proportions.lines(line).count() > 1) {
            return Proportions.lines(line);
        }
        boolean whole = said.split(line)
                .filter(parts -> things.find(parts.name())
                        .filter(thing -> things.unread(parts.name(), thing).isEmpty())
                        .isPresent())
                .isPresent();
        return whole ? Stream.of(written) : segments.of(line);
    }

    /** What is said of a thing that is known, to so much of the oil. */
    private Optional<ToTheOil> ofTheOil(String line) {
        return ToTheOil.of(unbulleted(line)).filter(to -> things.find(to.name()).isPresent());
    }

    private List<RecipeLine> told(List<String> written) {
        List<RecipeLine> lines = new ArrayList<>();
        Map<RecipeLine, Proportions.Part> parts = new HashMap<>();
        for (String line : written) {
            Optional<Proportions.Part> part = Proportions.part(unbulleted(line));
            RecipeLine read = Proportions.half(unbulleted(line))
                    .<RecipeLine>map(half -> half)
                    .orElseGet(() -> part.flatMap(one -> ofParts(line, one)).orElseGet(() -> line(line)));
            lines.add(read);
            part.filter(one -> read instanceof Clear).ifPresent(one -> parts.put(read, one));
        }
        return Proportions.perOil(parts.isEmpty() ? lines : Proportions.weighed(lines, parts), this::line, amounts);
    }

    static String unbulleted(String line) {
        return BULLET.matcher(line).replaceFirst("$1").strip();
    }

    private Optional<RecipeLine> ofParts(String written, Proportions.Part part) {
        return things.find(part.name()).map(thing -> new Clear(written, thing, Mass.ZERO, "", false));
    }

    /** Tells how many lines of a text are too many to be read. */
    public static long tooMany(String text) {
        return Math.max(0, text.lines().filter(line -> !line.isBlank()).count() - MOST_LINES);
    }

    RecipeLine line(String written) {
        if (written.length() > LONGEST_LINE) {
            return new Asked(written, "This line is longer than an ingredient can be.", List.of());
        }
        String line = BULLET.matcher(written).replaceFirst("$1").strip();
        return said.split(line).map(parts -> read(written, parts)).orElseGet(() -> notSplit(written, line));
    }

    private RecipeLine read(String written, LineParts.Parts parts) {
        boolean drops = DropReader.read(parts.amount(), false).isPresent();
        Optional<Thing> named = drops ? things.dropped(parts.name()) : things.find(parts.name());
        if (named.isEmpty()) {
            return new Asked(
                    written,
                    "Drops are of a liquid, and no oil or tincture called “%s” is known. Say which oil is meant, or what it weighs."
                            .formatted(parts.name()),
                    List.of());
        }
        Thing thing = named.get();
        if (thing.role() == Thing.Role.HERB && Linear.matches(parts.name().toLowerCase(Locale.ROOT), ".*\\boil")) {
            return new Asked(
                    written,
                    "An oil infused with %s is weighed as the oil it was poured on: say which, or that the herb is meant."
                            .formatted(thing.name()),
                    List.of(
                            new Instead(parts.amount() + " olive oil", "on olive oil"),
                            new Instead(parts.amount() + " dried " + thing.name(), "the dried herb")));
        }
        if (CountReader.isCounted(parts.amount(), parts.name())) {
            return new Asked(
                    written,
                    "%s of %s: what one of them weighs is not known. Weigh ten and write “%s × 0.8 g %s”."
                            .formatted(parts.amount(), thing.name(), parts.amount(), parts.name()),
                    List.of());
        }
        Optional<Both> both = amounts.readBoth(parts.amounts(), thing.expect());
        if (both.isPresent()) {
            return pair(written, parts, thing, both.get());
        }
        if (!parts.second().isEmpty()) {
            return new Asked(
                    written,
                    "Two amounts stand here, and they are not one weight and one volume.",
                    List.of(
                            new Instead(parts.amount() + " " + parts.name(), "the first alone"),
                            new Instead(parts.second() + " " + parts.name(), "the second alone")));
        }
        Reading reading = amounts.read(parts.amount(), thing.expect());
        if (reading instanceof Understood understood) {
            return clear(written, parts, thing, understood);
        } else if (reading instanceof Unsure unsure) {
            return new Asked(
                    written,
                    "Which is meant? Here " + unsure.why() + ".",
                    unsure.readings().stream()
                            .map(choice -> new Instead(choice.typed() + " " + parts.name(), choice.echo()))
                            .toList());
        }
        Reading.NotUnderstood not = (Reading.NotUnderstood) reading;
        return new Asked(written, "“%s”: %s.".formatted(parts.amount(), not.wrong()), List.of());
    }

    private RecipeLine clear(String written, LineParts.Parts parts, Thing thing, Understood understood) {
        String echo = understood.echo() + unread(parts, thing);
        if (understood.amount().middle() instanceof Volume volume) {
            return new Clear(written, thing, thing.density().massOf(volume), echo, true);
        }
        return new Clear(written, thing, understood.mass(), echo, false);
    }

    /** Words beside the thing that say nothing that is known: named, so that nothing is dropped in silence. */
    private String unread(LineParts.Parts parts, Thing thing) {
        List<String> words = things.unread(parts.name(), thing);
        return words.isEmpty() ? "" : "; not read: “%s”".formatted(String.join(" ", words));
    }

    private RecipeLine pair(String written, LineParts.Parts parts, Thing thing, Both both) {
        Contradiction found = amounts.check(both, thing.known());
        Understood weight = amounts.clearly(both.weight());
        Understood volume = amounts.clearly(both.volume());
        if (found.verdict() == Contradiction.Verdict.AGREE) {
            return new Clear(
                    written, thing, both.mass(), "%s and %s agree".formatted(weight.echo(), volume.echo()), false);
        }
        List<Instead> instead = new ArrayList<>();
        found.slips()
                .forEach(slip -> instead.add(
                        new Instead(amounts.clearly(slip.meant()).typed() + " " + parts.name(), slip.words())));
        instead.add(new Instead(weight.typed() + " " + parts.name(), "the weight alone"));
        instead.add(new Instead(volume.typed() + " " + parts.name(), "the volume alone"));
        return new Contradicting(written, thing, found, instead);
    }

    private RecipeLine notSplit(String written, String line) {
        if (said.isSomeOil(line)) {
            String much = Linear.first(line, "(?i)[ ,]*(of )?(the )?(carrier |base |vegetable )?oil$", "");
            return new Asked(
                    written,
                    "Which oil is not said.",
                    List.of("olive oil", "sunflower oil", "sweet almond oil").stream()
                            .map(oil -> new Instead(much + " " + oil, oil))
                            .toList());
        }
        String[] words = Linear.split(line, "\\s+");
        for (int taken = 1; taken <= Math.min(MOST_OF_A_VAGUE_ONE, words.length - 1); taken++) {
            String amount = String.join(" ", List.of(words).subList(0, taken));
            if (said.isVague(amount)) {
                return new Asked(
                        written,
                        "“%s” is a different amount in every hand; weigh it once.".formatted(amount),
                        List.of());
            }
        }
        if (things.find(line).isPresent()) {
            return new Asked(
                    written,
                    "Understood “%s”, but no amount that can be read stands with it."
                            .formatted(things.find(line).orElseThrow().name()),
                    List.of());
        }
        for (int taken = Math.min(MOST_OF_AN_AMOUNT, words.length - 1); taken > 0; taken--) {
            String amount = String.join(" ", List.of(words).subList(0, taken));
            if (said.reads(amount)) {
                String name = String.join(" ", List.of(words).subList(taken, words.length));
                return new Asked(
                        written,
                        "Understood “%s”, but not what “%s” is.".formatted(amount, name),
                        things.near(name).stream()
                                .map(near -> new Instead(amount + " " + near, near))
                                .toList());
            }
        }
        return new Asked(written, "No amount and no ingredient can be read here.", List.of());
    }

    /** The weights of the lines that are clear. */
    static Mass total(List<RecipeLine> lines) {
        return lines.stream()
                .filter(Clear.class::isInstance)
                .map(line -> ((Clear) line).mass())
                .reduce(Mass.ZERO, Mass::plus);
    }
}
