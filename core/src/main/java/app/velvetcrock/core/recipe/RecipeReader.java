package app.velvetcrock.core.recipe;

import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Both;
import app.velvetcrock.core.kitchen.Contradiction;
import app.velvetcrock.core.kitchen.CountReader;
import app.velvetcrock.core.kitchen.DropReader;
import app.velvetcrock.core.kitchen.Expect;
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
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
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

    private static final int LONGEST_LINE = 200;
    private static final int MOST_LINES = 60;

    /** [E] "Two and a half cups plus one tablespoon (20 fl oz)": no amount is said in more words. */
    private static final int MOST_OF_AN_AMOUNT = 14;

    /** [E] "One good big handful": nor is any that is another in every hand. */
    private static final int MOST_OF_A_VAGUE_ONE = 6;

    private static final Pattern BULLET = Pattern.compile("^\\s*(?:[-*•–]\\s+|\\d+[.)]\\s+(\\d))");
    private static final Pattern AFTERWARDS =
            Pattern.compile("^(.*?)\\s*(?::|=|\\s[-–]\\s)\\s*((?:\\d|[½⅓⅔¼¾⅛]|an? |half|one|two|three).*)$");
    private static final Pattern SECOND =
            Pattern.compile("^(.*?)\\s*(?:,\\s+|\\()\\s*(?:about |or |that is )?((?:\\d|[½⅓⅔¼¾⅛]).*?)\\)?\\s*$");

    private final AmountReader amounts;
    private final Things things;

    public RecipeReader(AmountReader amounts, Things things) {
        this.amounts = amounts;
        this.things = things;
    }

    /** Reads every line that is not blank. */
    public List<RecipeLine> read(String text) {
        List<String> written = text.lines()
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .flatMap(line -> Proportions.lines(unbulleted(line)).count() == 1
                        ? together(line)
                        : Proportions.lines(unbulleted(line)))
                .limit(MOST_LINES)
                .toList();
        List<RecipeLine> lines = new ArrayList<>();
        Map<RecipeLine, Proportions.Part> parts = new HashMap<>();
        for (String line : written) {
            Optional<Proportions.Part> part = Proportions.part(unbulleted(line));
            RecipeLine read = Proportions.half(unbulleted(line))
                    .<RecipeLine>map(half -> half)
                    .orElseGet(() -> part.flatMap(said -> ofParts(line, said)).orElseGet(() -> line(line)));
            lines.add(read);
            part.filter(said -> read instanceof Clear).ifPresent(said -> parts.put(read, said));
        }
        return perOil(parts.isEmpty() ? lines : Proportions.weighed(lines, parts));
    }

    /** Several things said on one line, where each of them reads by itself: "2 cups olive oil and 1/4 cup beeswax". */
    private Stream<String> together(String line) {
        String[] said = Linear.split(unbulleted(line), ",? and |, | \\+ |; ");
        boolean each = said.length > 1
                && line.length() <= LONGEST_LINE
                && Stream.of(said).allMatch(one -> leading(one).isPresent());
        return each ? Stream.of(said) : Stream.of(line);
    }

    private static String unbulleted(String line) {
        return BULLET.matcher(line).replaceFirst("$1").strip();
    }

    private Optional<RecipeLine> ofParts(String written, Proportions.Part part) {
        return things.find(part.name()).map(thing -> new Clear(written, thing, Mass.ZERO, "", false));
    }

    /** What is said of so much oil is reckoned by the oil of the other lines. */
    private List<RecipeLine> perOil(List<RecipeLine> lines) {
        double oil = lines.stream()
                .filter(Clear.class::isInstance)
                .map(Clear.class::cast)
                .filter(line -> line.thing().role() == Thing.Role.OIL
                        && Proportions.perOil(line.written()).isEmpty())
                .mapToDouble(
                        line -> line.thing().density().volumeOf(line.mass()).millilitres())
                .sum();
        return lines.stream()
                .map(line -> Proportions.perOil(unbulleted(line.written()))
                        .map(per -> ofOil(line.written(), per, oil))
                        .orElse(line))
                .toList();
    }

    private RecipeLine ofOil(String written, Proportions.PerOil per, double oil) {
        if (!(line(per.line()) instanceof Clear once)
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

    /** Tells how many lines of a text are too many to be read. */
    public static long tooMany(String text) {
        return Math.max(0, text.lines().filter(line -> !line.isBlank()).count() - MOST_LINES);
    }

    RecipeLine line(String written) {
        if (written.length() > LONGEST_LINE) {
            return new Asked(written, "This line is longer than an ingredient can be.", List.of());
        }
        String line = BULLET.matcher(written).replaceFirst("$1").strip();
        return split(line).map(parts -> read(written, parts)).orElseGet(() -> notSplit(written, line));
    }

    /** An amount, a second one if it stands apart from the first, and what they are of. */
    private record Parts(String amount, String second, String name) {

        String amounts() {
            return second.isEmpty() ? amount : amount + ", " + second;
        }
    }

    private Optional<Parts> split(String line) {
        Matcher after = AFTERWARDS.matcher(line);
        if (after.matches() && things.find(after.group(1)).isPresent() && reads(after.group(2))) {
            return Optional.of(new Parts(after.group(2), "", after.group(1)));
        }
        Matcher second = SECOND.matcher(line);
        if (second.matches() && reads(second.group(2))) {
            Optional<Parts> first = leading(second.group(1));
            if (first.isPresent()) {
                return Optional.of(new Parts(
                        first.get().amount(), second.group(2), first.get().name()));
            }
        }
        return leading(line).or(() -> trailing(line));
    }

    /** The name first and the amount after it: "St John's wort 20 g". The longest end that reads as one. */
    private Optional<Parts> trailing(String line) {
        String[] words = Linear.split(line, "\\s+");
        for (int named = Math.max(1, words.length - MOST_OF_AN_AMOUNT); named < words.length; named++) {
            String name = String.join(" ", List.of(words).subList(0, named));
            String amount = String.join(" ", List.of(words).subList(named, words.length));
            if (!hasDigit(name)
                    && things.find(name)
                            .filter(thing -> things.unread(name, thing).isEmpty())
                            .isPresent()
                    && reads(amount)) {
                return Optional.of(new Parts(amount, "", name));
            }
        }
        return Optional.empty();
    }

    /** The longest beginning that reads as an amount, when what follows names something. */
    private Optional<Parts> leading(String line) {
        String[] words = Linear.split(line, "\\s+");
        for (int taken = Math.min(MOST_OF_AN_AMOUNT, words.length - 1); taken > 0; taken--) {
            String amount = Linear.first(String.join(" ", List.of(words).subList(0, taken)), ",$", "");
            String name = String.join(" ", List.of(words).subList(taken, words.length));
            // What costs least is asked first: most ends of a line name nothing.
            if (!hasDigit(name)
                    && things.find(name).isPresent()
                    && reads(amount)
                    && !isVague(amount + " " + words[taken])) {
                return Optional.of(new Parts(amount, "", name));
            }
        }
        return Optional.empty();
    }

    private static boolean hasDigit(String name) {
        return name.chars().anyMatch(Character::isDigit);
    }

    private boolean isVague(String amount) {
        return amounts.read(amount, Expect.SOLID) instanceof Reading.NotUnderstood not
                && not.wrong().contains("weigh it once");
    }

    private boolean reads(String amount) {
        Reading reading = amounts.read(amount, Expect.LIQUID);
        return !(reading instanceof Reading.NotUnderstood)
                || amounts.readBoth(amount, Expect.LIQUID).isPresent();
    }

    private RecipeLine read(String written, Parts parts) {
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

    private RecipeLine clear(String written, Parts parts, Thing thing, Understood understood) {
        String echo = understood.echo() + unread(parts, thing);
        if (understood.amount().middle() instanceof Volume volume) {
            return new Clear(written, thing, thing.density().massOf(volume), echo, true);
        }
        return new Clear(written, thing, understood.mass(), echo, false);
    }

    /** Words beside the thing that say nothing that is known: named, so that nothing is dropped in silence. */
    private String unread(Parts parts, Thing thing) {
        List<String> words = things.unread(parts.name(), thing);
        return words.isEmpty() ? "" : "; not read: “%s”".formatted(String.join(" ", words));
    }

    private RecipeLine pair(String written, Parts parts, Thing thing, Both both) {
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
        String[] words = Linear.split(line, "\\s+");
        for (int taken = 1; taken <= Math.min(MOST_OF_A_VAGUE_ONE, words.length - 1); taken++) {
            String amount = String.join(" ", List.of(words).subList(0, taken));
            if (isVague(amount)) {
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
            if (reads(amount)) {
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
