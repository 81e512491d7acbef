package app.velvetcrock.web;

import app.velvetcrock.core.bench.Notes;
import app.velvetcrock.core.kitchen.AmountReader;
import app.velvetcrock.core.kitchen.Both;
import app.velvetcrock.core.kitchen.Contradiction;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.Reading;
import app.velvetcrock.core.kitchen.Reading.Understood;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.making.FirmnessBand;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.measure.Worded;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Reads the typed fields of one form: keeps what was typed, what it was understood as, and every trouble, so that all of
 * them are shown together beside their fields.
 */
public final class Fields implements Notes {

    /** Longest text that can be an amount, with a range, a unit and what it is of. */
    public static final int LONGEST_AMOUNT = 120;

    private static final int LONGEST_NUMBER = 40;

    private final AmountReader reader;
    private final Map<String, String> echoes = new LinkedHashMap<>();
    private final Map<String, Trouble> troubles = new LinkedHashMap<>();

    public Fields(AmountReader reader) {
        this.reader = reader;
    }

    /** Fields of another form of the same page, of which nothing is read. */
    public Fields blank() {
        return new Fields(reader);
    }

    /** What is wrong with one field: what was understood, what is wrong, what to type, and readings to choose from. */
    public record Trouble(String wrong, String instead, List<Understood> choices, List<Elsewhere> links) {}

    /** Where what is wrong in a field can be put right. */
    public record Elsewhere(String href, String words) {}

    /** One of a list to choose from: what is sent, and what is read. */
    public record Option(String name, String word) implements Worded {}

    /** How much of a thing there is, whether that rests on a density, and what was understood. */
    public record Weighed(Mass mass, boolean byVolume, String echo) {}

    /** Reads an amount of something; absent with a trouble when it is not clear. */
    public Optional<Understood> amount(String field, @Nullable String typed, Expect expect) {
        if (isTooLong(field, typed, LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        Reading reading = reader.read(typed == null ? "" : typed, expect);
        if (reading instanceof Understood understood) {
            understood(field, understood.typed(), understood.echo());
            return Optional.of(understood);
        } else if (reading instanceof Reading.Unsure unsure) {
            troubles.put(
                    field, new Trouble("Which is meant? Here " + unsure.why() + ".", "", unsure.readings(), List.of()));
        } else if (reading instanceof Reading.NotUnderstood not) {
            trouble(field, typedWords(not.typed()) + not.wrong() + ".", not.instead());
        }
        return Optional.empty();
    }

    /** Reads how much of a thing of known density: by weight, by volume, or by both, which must then agree. */
    public Optional<Weighed> massOf(String field, @Nullable String typed, Expect expect, KnownDensity known) {
        if (isTooLong(field, typed, LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        Optional<Both> both = reader.readBoth(typed == null ? "" : typed, expect);
        if (both.isPresent()) {
            return agreed(field, both.get(), known);
        }
        return amount(field, typed, expect)
                .map(read -> read.amount().middle() instanceof Volume volume
                        ? new Weighed(known.density().massOf(volume), true, read.echo())
                        : new Weighed(read.mass(), false, read.echo()));
    }

    /** The weight, when the volume beside it agrees; else what is wrong between them, and the slips that would explain it. */
    private Optional<Weighed> agreed(String field, Both both, KnownDensity known) {
        Contradiction found = reader.check(both, known);
        Understood weight = reader.clearly(both.weight());
        Understood volume = reader.clearly(both.volume());
        if (found.verdict() == Contradiction.Verdict.AGREE) {
            String agree = "%s and %s agree".formatted(weight.echo(), volume.echo());
            echo(field, agree);
            return Optional.of(new Weighed(both.mass(), false, agree));
        }
        String instead = found.slips().isEmpty() ? "whichever is right; no likely slip explains both" : "";
        List<Understood> choices = found.choices(reader, weight, volume);
        troubles.put(field, new Trouble(found.words(weight, volume, known), instead, choices, List.of()));
        return Optional.empty();
    }

    public Optional<Mass> mass(String field, @Nullable String typed, double least, double most) {
        return amount(field, typed, Expect.SOLID)
                .filter(r -> needs(field, r, Mass.class, "a weight, such as 60 g or 2 oz"))
                .map(Understood::mass)
                .filter(mass -> within(field, mass.grams(), least, most, "g"));
    }

    public Optional<Volume> capacity(String field, @Nullable String typed, double least, double most) {
        return amount(field, typed, Expect.CAPACITY)
                .map(Understood::volume)
                .filter(v -> within(field, v.millilitres(), least, most, "mL"));
    }

    public Optional<Length> length(String field, @Nullable String typed, double least, double most) {
        return amount(field, typed, Expect.LENGTH)
                .map(r -> (Length) r.amount().middle())
                .filter(l -> within(field, l.millimetres(), least, most, "mm"));
    }

    /** Reads an amount of money in minor units: "4.50", "4,50 EUR"; not below nothing. */
    public Optional<Long> money(String field, @Nullable String typed, Currency currency) {
        return isTooLong(field, typed, LONGEST_NUMBER)
                ? Optional.empty()
                : said(field, typed, Figures.money(text(typed), currency));
    }

    /** Reads a number between two ends. */
    public Optional<Double> number(String field, @Nullable String typed, double least, double most, String unit) {
        return isTooLong(field, typed, LONGEST_NUMBER)
                ? Optional.empty()
                : said(field, typed, Figures.number(text(typed), least, most, unit))
                        .filter(value -> within(field, value, least, most, unit));
    }

    /** How firm it should set, as people say it; {@code now} is how firm it is, or usually would be. */
    public Optional<Double> firmness(String field, @Nullable String typed, double now) {
        Optional<Double> read = isTooLong(field, typed, LONGEST_AMOUNT)
                ? Optional.empty()
                : said(field, typed, Figures.firmness(text(typed), now));
        read.ifPresent(value -> echo(field, FirmnessBand.words(value)));
        return read;
    }

    /** What was read; where nothing was, the trouble with it stands beside the field. */
    private <T> Optional<T> said(String field, @Nullable String typed, Figures.Read<T> read) {
        if (read.value() == null) {
            trouble(field, typedWords(text(typed)) + read.wrong(), read.instead());
        }
        return Optional.ofNullable(read.value());
    }

    private static String text(@Nullable String typed) {
        return typed == null ? "" : typed.strip();
    }

    /** Reads a day as people say it; blank gives none without trouble. */
    public Optional<LocalDate> date(String field, @Nullable String typed, WhenReader when) {
        if (typed == null || typed.isBlank() || isTooLong(field, typed, WhenReader.LONGEST)) {
            return Optional.empty();
        }
        Optional<LocalDate> read = when.day(typed).filter(date -> isInLivingMemory(field, date));
        read.ifPresentOrElse(
                date -> understood(field, typed, Wording.written(date)),
                () -> unread(field, typed, "that is no day known here", "yesterday, 12 Nov or 2026-11-12"));
        return read;
    }

    /** Reads a day and a time as people say them; blank gives none without trouble. */
    public Optional<LocalDateTime> moment(String field, @Nullable String typed, WhenReader when) {
        if (typed == null || typed.isBlank() || isTooLong(field, typed, WhenReader.LONGEST)) {
            return Optional.empty();
        }
        Optional<LocalDateTime> read = when.moment(typed).filter(at -> isInLivingMemory(field, at.toLocalDate()));
        read.ifPresentOrElse(
                at -> understood(field, typed, Wording.written(at)),
                () -> unread(
                        field,
                        typed,
                        "that is no day and time known here",
                        "yesterday 19:30, 2 hours ago or 12 Nov, 8:00"));
        return read;
    }

    private void understood(String field, String typed, String written) {
        // What differs by a space or a capital tells nothing new.
        if (!written.replace(" ", "").equalsIgnoreCase(typed.replace(" ", ""))) {
            echo(field, written);
        }
    }

    private void unread(String field, String typed, String wrong, String instead) {
        if (!troubles.containsKey(field)) {
            trouble(field, typedWords(typed) + wrong + ".", instead);
        }
    }

    /** Reads a whole number. */
    public Optional<Integer> whole(String field, @Nullable String typed, int least, int most, String unit) {
        return isTooLong(field, typed, LONGEST_NUMBER)
                ? Optional.empty()
                : said(field, typed, Figures.whole(text(typed), least, most))
                        .filter(number -> within(field, number, least, most, unit));
    }

    /** Requires some words, not too many. */
    public Optional<String> words(String field, @Nullable String typed, int most) {
        String plain = typed == null ? "" : typed.strip();
        if (plain.isEmpty()) {
            trouble(field, "Nothing is written here yet.", "");
            return Optional.empty();
        }
        return optionalWords(field, plain, most);
    }

    /** Reads some words that may be missing, then empty; not too many, and nothing that is no letter, sign or line break. */
    public Optional<String> optionalWords(String field, @Nullable String typed, int most) {
        String plain = typed == null ? "" : typed.strip();
        if (isTooLong(field, plain, most)) {
            return Optional.empty();
        }
        if (plain.chars().anyMatch(c -> Character.isISOControl(c) && !Character.isWhitespace(c))) {
            trouble(field, "This holds signs that cannot be written down.", "the same without them");
            return Optional.empty();
        }
        return Optional.of(plain);
    }

    public <E extends Enum<E>> Optional<E> oneOf(String field, Class<E> type, @Nullable String typed) {
        for (E value : type.getEnumConstants()) {
            if (value.name().equals(typed)) {
                return Optional.of(value);
            }
        }
        trouble(field, "Nothing is chosen here yet.", "one from the list");
        return Optional.empty();
    }

    @Override
    public void trouble(String field, String wrong, String instead) {
        troubles.put(field, new Trouble(wrong, instead, List.of(), List.of()));
    }

    /** The same, with what can be chosen instead, or the place where it can be put right. */
    public void trouble(String field, Trouble trouble) {
        troubles.put(field, trouble);
    }

    /** Says nothing back: what was typed is already how it would be said. */
    public void quiet(String field) {
        echoes.remove(field);
    }

    @Override
    public void echo(String field, String words) {
        echoes.put(field, words);
    }

    @Override
    public boolean isClear() {
        return troubles.isEmpty();
    }

    /** Tells whether one of these fields is in trouble. */
    public boolean isTroubled(String... names) {
        return Arrays.stream(names).anyMatch(troubles::containsKey);
    }

    /** Tells whether something is said beside a field: a trouble, or what was understood. */
    public boolean isNoted(String name) {
        return troubles.containsKey(name) || echoes.containsKey(name);
    }

    /** What is wrong with a field; null where nothing is. */
    public @Nullable Trouble troubleOf(String name) {
        return troubles.get(name);
    }

    /** What a field was understood as; null where that needs no saying. */
    public @Nullable String echoOf(String name) {
        return echoes.get(name);
    }

    public Map<String, Trouble> troubles() {
        return troubles;
    }

    public Map<String, String> echoes() {
        return echoes;
    }

    private boolean needs(String field, Understood read, Class<? extends Quantity> type, String instead) {
        if (type.isInstance(read.amount().middle())) {
            return true;
        }
        trouble(field, "Understood “%s”; this needs a weight.".formatted(read.echo()), instead);
        return false;
    }

    private boolean within(String field, double value, double least, double most, String unit) {
        if (value >= least && value <= most) {
            return true;
        }
        String from = Decimals.upTo(least, 1);
        String to = Decimals.upTo(most, 0);
        trouble(
                field,
                "Understood as %s %s; it must be between %s and %s %s."
                        .formatted(Decimals.upTo(value, 1), unit, from, to, unit),
                "something from %s to %s %s".formatted(from, to, unit));
        return false;
    }

    /** Refuses what is longer than its field can be before anything tries to read it, and tells whether it did. */
    public boolean isTooLong(String field, @Nullable String typed, int most) {
        if (typed == null || typed.length() <= most) {
            return false;
        }
        trouble(field, "This is %d letters long; %d is the most.".formatted(typed.length(), most), "something shorter");
        return true;
    }

    private boolean isInLivingMemory(String field, LocalDate date) {
        if (WhenReader.isInLivingMemory(date)) {
            return true;
        }
        trouble(field, "The year %d is not one of a stillroom's.".formatted(date.getYear()), WhenReader.YEARS);
        return false;
    }

    private static String typedWords(String typed) {
        return typed.isBlank() ? "" : "“%s”: ".formatted(typed.strip());
    }
}
