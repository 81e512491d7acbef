package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.kitchen.Reading.NotUnderstood;
import app.velvetcrock.core.kitchen.Reading.Understood;
import app.velvetcrock.core.kitchen.Reading.Unsure;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Unit;
import app.velvetcrock.core.measure.Volume;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Reads an amount as people write it, for one household.
 *
 * <p>All of the text must be read. A bare "oz" of something poured, a pint in a household whose cups do not settle it, and a
 * comma or point before exactly three digits are asked about; nothing is guessed.
 *
 * <table><caption>Examples in a household with US cups</caption>
 * <tr><td>1½ cups</td><td>354.9 mL</td></tr>
 * <tr><td>4-6 weeks</td><td>35 days, and that it is the middle</td></tr>
 * <tr><td>9 oz, poured</td><td>asks: 266 mL or 255 g</td></tr>
 * <tr><td>1,500 g</td><td>asks: 1.5 g or 1,500 g</td></tr>
 * </table>
 */
public final class AmountReader {

    private static final Pattern RANGE = Pattern.compile("^(?: ?- ?| to )");
    private static final Pattern ABOUT =
            Pattern.compile("^(?i)(?:about|around|roughly|approx\\.?|ca\\.?|circa|~) ?([\\w.])");
    private static final Pattern OR_SO = Pattern.compile(" ?(?:or so|or thereabouts|ish)$");
    private static final Pattern SPOONFUL = Pattern.compile("(cup|spoon)(?:s?ful|fuls)$");

    /** Where a second amount of the same kind may begin: "2 lb 3 oz", "1 cup plus 2 tbsp". */
    private static final Pattern AND_MORE =
            Pattern.compile("(?i)(?:,? and |,? plus | ?\\+ ?|, | )(\\d|half|a |one |two )");

    private static final Pattern LEVEL = Pattern.compile("^(?:level|full) ");

    /** Kitchen words that mean another amount in every hand; they are asked to be weighed, never guessed. */
    private static final Pattern VAGUE = Pattern.compile(
            "^(?:(?:big|small|large|generous|good|little|few) )*(?:handfuls?|pinch(?:es)?|dash(?:es)?|splash(?:es)?|glugs?|knobs?|dollops?"
                    + "|bits?|sprigs?|bunch(?:es)?|(?:heaped|heaping|scant|rounded|packed|generous) .*)\\b.*");

    private static final int LONGEST = 60;

    /** [E] "One and a half cups and 2 tbsp": a second amount begins at one of the first few places it may. */
    private static final int MOST_PLACES = 5;

    private static final double MOST_GRAMS = 1_000_000;
    private static final double MOST_MILLILITRES = 1_000_000;
    private static final double MOST_MILLIMETRES = 10_000;

    private final HouseholdUnits household;
    private final UnitWords words;

    public AmountReader(HouseholdUnits household) {
        this.household = household;
        this.words = new UnitWords(household.cups());
    }

    /** Reads a weight and a volume of one thing, written side by side; absent when it is not just that. */
    public Optional<Both> readBoth(String text, Expect expect) {
        boolean ofAThing = expect == Expect.SOLID || expect == Expect.LIQUID;
        return ofAThing && text.length() <= 2 * LONGEST ? new BothReader(this).read(text, expect) : Optional.empty();
    }

    /** What the two say about each other, by the density the thing is known to have. */
    public Contradiction check(Both both, KnownDensity known) {
        return new ContradictionCheck(household).of(both, known);
    }

    /** An amount written so that reading it again is clear, with its echo. */
    public Understood clearly(Amount amount) {
        return new Understood(household.typed(amount), amount, household.echo(amount));
    }

    /** Reads {@code text} for a field; never throws for what a person can type. */
    public Reading read(String text, Expect expect) {
        if (text.length() > 4 * LONGEST) {
            return refuse(text.substring(0, LONGEST) + "…", "this is longer than an amount can be", expect);
        }
        String plain = Respelling.ofAmount(
                OR_SO.matcher(ABOUT.matcher(KitchenNumber.plain(text)).replaceFirst("$1"))
                        .replaceFirst(""));
        if (plain.isEmpty()) {
            return refuse(text, "nothing is written here yet", expect);
        }
        if (plain.length() > LONGEST) {
            return refuse(text, "this is longer than an amount can be", expect);
        }
        if (plain.startsWith("-")) {
            return refuse(text, "an amount cannot be below zero", expect);
        }
        boolean ofAThing = expect == Expect.SOLID || expect == Expect.LIQUID;
        Optional<Reading> counted = ofAThing
                ? CountReader.read(text, plain, expect, one -> read(one, expect), this::clearly)
                        .map(reading -> reading instanceof Understood all
                                        && this.reading(text, all.amount()).isEmpty()
                                ? refuse(text, "that is outside anything a kitchen holds", expect)
                                : reading)
                : Optional.empty();
        if (counted.isPresent()) {
            return counted.get();
        }
        Optional<KitchenNumber> low = KitchenNumber.startOf(plain);
        if (low.isEmpty()) {
            return refuse(text, "it does not begin with a number", expect);
        }
        Reading whole = readUpperEnd(text, plain.substring(low.get().length()), low.get(), expect);
        return whole instanceof NotUnderstood ? sum(text, plain, expect).orElse(whole) : whole;
    }

    /** Two amounts of one kind said one after the other, such as pounds and ounces; absent for anything else. */
    private Optional<Reading> sum(String text, String plain, Expect expect) {
        Matcher more = AND_MORE.matcher(plain);
        int places = 0;
        for (boolean found = more.find(); found && places < MOST_PLACES; found = more.find(more.start(1))) {
            places++;
            Optional<Understood> first = alone(plain.substring(0, more.start()), expect);
            Optional<Understood> second = alone(plain.substring(more.start(1)), expect);
            if (first.isPresent() && second.isPresent()) {
                Unit unit = first.get().amount().unit();
                Unit other = second.get().amount().unit();
                if (unit.dimension() == other.dimension() && unit.canonical(1) > other.canonical(1)) {
                    double all = first.get().amount().low()
                            + other.canonical(second.get().amount().low()) / unit.canonical(1);
                    return reading(text, new Amount(all, all, unit)).map(sum -> sum);
                }
            }
        }
        return Optional.empty();
    }

    /** One number with one unit that cannot be anything else. */
    private Optional<Understood> alone(String plain, Expect expect) {
        return KitchenNumber.startOf(plain)
                .filter(number -> number.length() < plain.length())
                .map(number -> readUnit(plain, plain.substring(number.length()).strip(), number, number, expect))
                .filter(Understood.class::isInstance)
                .map(Understood.class::cast);
    }

    private Reading readUpperEnd(String text, String rest, KitchenNumber low, Expect expect) {
        Matcher range = RANGE.matcher(rest);
        if (!range.find()) {
            return readUnit(text, rest.strip(), low, low, expect);
        }
        String upper = rest.substring(range.end());
        Optional<KitchenNumber> high = KitchenNumber.startOf(upper);
        if (high.isEmpty()) {
            return refuse(text, "the range has no upper end", expect);
        }
        return readUnit(text, upper.substring(high.get().length()).strip(), low, high.get(), expect);
    }

    private Reading readUnit(String text, String word, KitchenNumber low, KitchenNumber high, Expect expect) {
        if (VAGUE.matcher(word.toLowerCase(Locale.ROOT)).matches()) {
            return refuse(text, "“%s” is a different amount in every hand; weigh it once".formatted(word), expect);
        }
        String plain = SPOONFUL.matcher(LEVEL.matcher(word).replaceFirst("")).replaceFirst("$1");
        return readKnown(text, plain, low, high, expect);
    }

    private Reading readKnown(String text, String word, KitchenNumber low, KitchenNumber high, Expect expect) {
        Optional<Map.Entry<String, Double>> more = KitchenNumber.fractionAfter(word.toLowerCase(Locale.ROOT));
        if (more.isPresent() && low == high) {
            KitchenNumber sum = low.plus(more.get().getValue());
            return readKnown(text, more.get().getKey(), sum, sum, expect);
        }
        List<Unit> units = word.isEmpty() || word.equals("°") && expect == Expect.TEMPERATURE
                ? household.unitsOfBareNumber(expect)
                : words.meanings(word, expect);
        List<Unit> allowed =
                units.stream().filter(unit -> expect.allows(unit.dimension())).toList();
        if (units.isEmpty()) {
            return refuse(text, "“%s” is not a unit known here".formatted(word), expect);
        }
        if (allowed.isEmpty()) {
            return refuse(
                    text,
                    "“%s” measures %s, and this needs %s"
                            .formatted(word, units.get(0).dimension().withArticle(), expect.dimensionWords()),
                    expect);
        }
        return understand(text, word, low, high, allowed, expect);
    }

    private Reading understand(
            String text, String word, KitchenNumber low, KitchenNumber high, List<Unit> units, Expect expect) {
        List<Understood> readings = new ArrayList<>();
        for (int i = 0; i < Math.max(low.values().size(), high.values().size()); i++) {
            double least = low.values().get(Math.min(i, low.values().size() - 1));
            double most = high.values().get(Math.min(i, high.values().size() - 1));
            if (most < least) {
                return refuse(text, "the range runs backwards", expect);
            }
            for (Unit unit : units) {
                Optional<Understood> reading = reading(text, new Amount(least, most, unit));
                if (reading.isEmpty()) {
                    return refuse(text, "that is outside anything a kitchen holds", expect);
                }
                readings.add(reading.get());
            }
        }
        return readings.size() == 1 ? readings.get(0) : new Unsure(text, why(word, low, high), clearly(readings));
    }

    private Optional<Understood> reading(String text, Amount amount) {
        try {
            if (isMoreThanAKitchenHolds(amount.least()) || isMoreThanAKitchenHolds(amount.most())) {
                return Optional.empty();
            }
            return Optional.of(new Understood(text, amount, household.echo(amount)));
        } catch (IllegalArgumentException outOfRange) {
            return Optional.empty();
        }
    }

    private static boolean isMoreThanAKitchenHolds(Quantity quantity) {
        return quantity instanceof Mass mass && mass.grams() > MOST_GRAMS
                || quantity instanceof Volume volume && volume.millilitres() > MOST_MILLILITRES
                || quantity instanceof Length length && length.millimetres() > MOST_MILLIMETRES;
    }

    private static String why(String word, KitchenNumber low, KitchenNumber high) {
        if (low.values().size() > 1 || high.values().size() > 1) {
            return "the comma or point may mark thousands or a decimal";
        }
        return word.isEmpty() ? "there is no unit" : "“%s” may be either of these".formatted(word);
    }

    /** Each reading restated so that typing it is clear. */
    private List<Understood> clearly(List<Understood> readings) {
        return readings.stream()
                .map(r -> new Understood(household.typed(r.amount()), r.amount(), r.echo()))
                .toList();
    }

    private static NotUnderstood refuse(String text, String wrong, Expect expect) {
        return new NotUnderstood(text, wrong, expect.examples());
    }
}
