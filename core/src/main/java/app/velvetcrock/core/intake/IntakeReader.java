package app.velvetcrock.core.intake;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.intake.Arriving.Besides;
import app.velvetcrock.core.intake.Arriving.Doubt;
import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Pieces;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.recipe.RecipeLine;
import app.velvetcrock.core.recipe.RecipeReader;
import app.velvetcrock.core.recipe.Thing;
import app.velvetcrock.core.recipe.Things;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.core.wish.Said;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.time.YearMonth;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Reads what is there, told in one list: "45 g dried calendula heads, 1 L olive oil opened in May, 24 tins of 60 mL, 100 g beeswax". */
public final class IntakeReader {

    /** More lines than these are no list of a kitchen's shelf. */
    public static final int MOST = 60;

    public static final int LONGEST = 6_000;

    private static final double MOST_GRAMS = 100_000;
    private static final Pattern NEXT =
            Pattern.compile("[,;]\\s+(?:and )?(\\d|½|¼|¾|an? |one |two |three |four |five |six |half |some |a dozen )");
    private static final Pattern BULLET = Pattern.compile("^\\s*(?:[-*•·–]|\\d{1,2}[.)])\\s+");
    private static final Pattern OPENED =
            Pattern.compile("(?i)^(.+?),? \\(?(?:opened|open since|open from)(?: (?:in|on|since|last))? ?([^)]*)\\)?$");
    private static final Pattern SEALED = Pattern.compile("(?i),? \\(?(?:unopened|sealed|not opened|new)\\)?$");
    private static final Pattern BEST =
            Pattern.compile("(?i)^(.+?),? \\(?(?:best before|best by|use by|use before|bb|expires?|ends)"
                    + "(?: (?:on|in|end of|the end of))?:? ([^,;()]+?)\\)?"
                    + "((?:,? (?:from|by way of|opened|open since|sealed|unopened) .*)?)$");
    private static final Pattern FROM = Pattern.compile(
            "(?i)^(.+?),? (?:from|by way of) ([^,;()]+?)((?:,? (?:opened|open since|sealed|unopened).*)?)$");
    private static final Pattern MONTH = Pattern.compile("(?i)(?:([a-z]{3,9})|(\\d{1,2}))[ /.-](\\d{4}|\\d{2})");
    /** A sum at the end: one of two places, or any behind "for". */
    private static final Pattern PRICE =
            Pattern.compile("(?i)^(.+?),? (?:for (\\d{1,6}(?:[.,]\\d{2})?)|(\\d{1,6}[.,]\\d{2}))$");

    private static final int LONGEST_FROM = 80;
    private static final int MONTHS = 12;
    private static final int CENTURY = 100;
    private static final int THIS_CENTURY = 2000;
    private static final Set<String> TO_FILL =
            Set.of("tin", "pot", "bottle", "stick", "tube", "mould", "mold", "container");
    private static final String JAR = "jar";
    private static final Cautions CAUTIONS = Cautions.shipped();

    private final RecipeReader lines;
    private final Materia materia;
    private final Collection<CarrierKind> carriers;
    private final LocalDateTime now;

    public IntakeReader(
            AmountReader amounts, Things things, Materia materia, Collection<CarrierKind> carriers, LocalDateTime now) {
        this.lines = new RecipeReader(amounts, things);
        this.materia = materia;
        this.carriers = carriers;
        this.now = now;
    }

    /** Reads every thing of a list, in its order; what goes beyond {@link #MOST} is in doubt too, and nothing is dropped. */
    public List<Arriving> read(String text) {
        List<String> things = text.lines().flatMap(IntakeReader::things).toList();
        return Stream.concat(
                        things.stream().limit(MOST).map(this::one),
                        things.stream()
                                .skip(MOST)
                                .map(one -> new Doubt(
                                        one,
                                        "This list is longer than %d things.".formatted(MOST),
                                        "the rest by itself")))
                .toList();
    }

    /** Several on a line are told apart where an amount follows a comma. */
    private static Stream<String> things(String line) {
        String marked = NEXT.matcher(BULLET.matcher(line).replaceFirst("")).replaceAll("\n$1");
        return Arrays.stream(Linear.split(marked, "\n"))
                .map(one -> Linear.first(one.strip(), "^and ", "").strip())
                .map(one -> Linear.first(one, "[,;.]$", "").strip())
                .filter(one -> !one.isEmpty());
    }

    private Arriving one(String written) {
        Optional<String> refused = CAUTIONS.refusal(written);
        if (refused.isPresent()) {
            return new Doubt(written, "No %s is put away here: it is poisonous.".formatted(refused.get()), "");
        }
        String text = written;
        Optional<BigDecimal> price = Optional.empty();
        Matcher paid = PRICE.matcher(text);
        if (paid.matches()) {
            price = Optional.of(
                    new BigDecimal((paid.group(2) == null ? paid.group(3) : paid.group(2)).replace(',', '.')));
            text = paid.group(1);
        }
        Optional<LocalDate> best = Optional.empty();
        Matcher dated = BEST.matcher(text);
        if (dated.matches()) {
            best = lastDay(dated.group(2));
            if (best.isEmpty()) {
                return new Doubt(
                        written,
                        "“%s”: that is no best before.".formatted(dated.group(2)),
                        dated.group(1) + " best before May 2027");
            }
            text = dated.group(1) + dated.group(3);
        }
        String from = "";
        Matcher came = FROM.matcher(text);
        if (came.matches() && !isOrigin(came.group(2)) && came.group(2).length() <= LONGEST_FROM) {
            from = came.group(2).strip();
            text = came.group(1) + came.group(3);
        }
        text = SEALED.matcher(text).replaceFirst("");
        Matcher told = OPENED.matcher(text);
        if (!told.matches()) {
            return thing(written, text, new Besides(Optional.empty(), best, from, price));
        }
        Optional<LocalDate> opened = day(told.group(2));
        return opened.isEmpty()
                ? new Doubt(written, "“%s”: that is no day it was opened on.".formatted(told.group(2)), "opened 12 May")
                : thing(written, told.group(1), new Besides(opened, best, from, price));
    }

    /** "from the garden" says how it came, which is read as that. */
    private static boolean isOrigin(String from) {
        return Linear.matches(from.toLowerCase(Locale.ROOT), "(?:the |my |our )?(?:wild|garden|hedge|field|woods?)");
    }

    /** A best before: a day, or a month with its year, which ends with its last day. */
    private Optional<LocalDate> lastDay(String said) {
        Matcher month = MONTH.matcher(said.strip());
        if (!month.matches()) {
            return WhenReader.ofTheFuture(now).day(said);
        }
        int year = Integer.parseInt(month.group(3));
        Optional<Integer> of = month.group(2) != null
                ? Optional.of(Integer.parseInt(month.group(2)))
                : months(month.group(1)).findFirst().map(Month::getValue);
        return of.filter(number -> number >= 1 && number <= MONTHS)
                .map(number -> YearMonth.of(year < CENTURY ? THIS_CENTURY + year : year, number)
                        .atEndOfMonth())
                .filter(WhenReader::isInLivingMemory);
    }

    private static Stream<Month> months(String said) {
        return Stream.of(Month.values())
                .filter(month -> said.strip().equalsIgnoreCase(month.getDisplayName(TextStyle.FULL, Locale.ENGLISH))
                        || said.strip().equalsIgnoreCase(month.getDisplayName(TextStyle.SHORT, Locale.ENGLISH)));
    }

    /** A day; of a month alone its first, since it was open by then at the latest. */
    private Optional<LocalDate> day(String said) {
        Optional<LocalDate> day = WhenReader.ofThePast(now).day(said);
        LocalDate today = now.toLocalDate();
        return day.or(() -> months(said)
                        .findFirst()
                        .map(month -> LocalDate.of(today.getYear(), month, 1))
                        .map(first -> first.isAfter(today) ? first.minusYears(1) : first))
                .filter(date -> !date.isAfter(today));
    }

    private Arriving thing(String written, String text, Besides besides) {
        Optional<Pieces> pieces =
                Pieces.read(text).filter(read -> read.count() > 0 && !read.of().isEmpty());
        if (pieces.isPresent()) {
            return besides.equals(Besides.NOTHING)
                    ? pieces(written, pieces.get())
                    : new Doubt(
                            written,
                            "Tins and jars are put away without a day, a sender or a price.",
                            "%d %ss of 60 mL"
                                    .formatted(
                                            pieces.get().count(), pieces.get().of()));
        }
        List<RecipeLine> read = lines.read(text);
        if (read.size() == 1 && read.get(0) instanceof RecipeLine.Clear clear) {
            return clear(written, clear, besides);
        }
        return read.size() == 1 && read.get(0) instanceof RecipeLine.Asked asked
                ? new Doubt(
                        written,
                        asked.wrong(),
                        asked.instead().stream()
                                .map(RecipeLine.Instead::line)
                                .findFirst()
                                .orElse(""))
                : new Doubt(written, "This is not clear as one thing.", "an amount and what it is, each on a line");
    }

    private static Arriving pieces(String written, Pieces pieces) {
        String of = pieces.of();
        if (!TO_FILL.contains(of) && !of.equals(JAR)) {
            return new Doubt(written, "“%s” is nothing that is put away.".formatted(of), "24 tins of 60 mL");
        }
        if (pieces.millilitres().isEmpty()) {
            return new Doubt(written, "What does one of them hold?", "%d %ss of 60 mL".formatted(pieces.count(), of));
        }
        Volume holds = Volume.ofMillilitres(pieces.millilitres().get());
        String name = "%s, %d mL"
                .formatted(
                        of.substring(0, 1).toUpperCase(Locale.ROOT) + of.substring(1),
                        pieces.millilitres().get());
        return of.equals(JAR)
                ? new Arriving.Jars(written, new Vessel(name, holds, Vessel.usualWidth(holds)), pieces.count())
                : new Arriving.Containers(written, name, holds, pieces.count());
    }

    private Arriving clear(String written, RecipeLine.Clear clear, Besides besides) {
        Thing thing = clear.thing();
        Mass mass = clear.mass();
        if (mass.grams() <= 0 || mass.grams() > MOST_GRAMS) {
            return new Doubt(
                    written,
                    "It is not said how much of it there is.",
                    "100 g " + thing.name().toLowerCase(Locale.ROOT));
        }
        if (thing.herb().isPresent()) {
            return herb(written, thing.herb().get(), mass, besides);
        }
        Optional<CarrierKind> carrier =
                carriers.stream().filter(kind -> kind.key().equals(thing.key())).findFirst();
        if (carrier.isPresent()) {
            return new Arriving.Oil(written, carrier.get(), mass, besides);
        }
        Optional<SupplyKind> supply = materia.supply(thing.key());
        if (supply.isEmpty() || thing.role() == Thing.Role.SPIRIT) {
            return new Doubt(
                    written,
                    "A spirit or a tincture is put away with its strength.",
                    "it under Waxes, spirits and more");
        }
        return new Arriving.Supply(written, supply.get(), mass, besides);
    }

    private Arriving herb(String written, HerbKind kind, Mass mass, Besides besides) {
        String said = written.toLowerCase(Locale.ROOT);
        Origin origin = Linear.matches(said, ".*\\b(gathered|foraged|picked|from the wild)\\b.*")
                ? Origin.GATHERED
                : Linear.matches(said, ".*\\b(garden|grown|home-grown)\\b.*") ? Origin.GROWN : Origin.BOUGHT;
        if (origin.isPicked() && !CAUTIONS.lookAlikes(kind.traits()).isEmpty()) {
            return new Doubt(
                    written,
                    "What was gathered has look-alikes to be ticked first.",
                    "it by itself under Herbs, oils, jars");
        }
        boolean whole = Linear.matches(written.toLowerCase(Locale.ROOT), ".*\\b(heads?|blossoms?|buds?)\\b.*");
        Cut cut = Said.cut(written).orElse(whole ? Cut.WHOLE : Cut.CUT_AND_SIFTED);
        Moisture moisture = Said.moisture(written).orElse(Moisture.DRIED);
        return new Arriving.Herb(
                written,
                kind,
                materia.texture(Said.part(written).orElse(kind.part()), cut),
                moisture,
                mass,
                origin,
                besides);
    }
}
