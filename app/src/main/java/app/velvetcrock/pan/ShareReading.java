package app.velvetcrock.pan;

import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.Reading;
import app.velvetcrock.core.kitchen.ShareReader;
import app.velvetcrock.core.making.MeltRequest.Share;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.Locale;
import java.util.Optional;

/** Reads how much of one thing goes into a melt, as recipes say it. */
final class ShareReading {

    private static final Pattern PER_OIL =
            Pattern.compile("(.{1,40}?)(?:\\s+(?:per|to a|to the|a)\\s+|\\s?/\\s?(?:a )?)cup(?: of oil)?");
    private static final Pattern PARTS = Pattern.compile(
            "(\\S{1,12})\\s+parts?\\s+(?:wax\\s+)?to\\s+(\\S{1,12})(?:\\s+(?:parts?|of oil|oil).{0,20})?");
    private static final Pattern RATIO =
            Pattern.compile("(\\d{1,3}(?:[.,]\\d{1,2})?)\\s?:\\s?(\\d{1,3}(?:[.,]\\d{1,2})?)");
    private static final Pattern HALVES = Pattern.compile("50\\s?/\\s?50|half and half|half-half|equal parts");
    private static final Pattern OF_IT =
            Pattern.compile("(?i)(?: of it|(?: of)?(?: (?:bees|soy|candelilla|carnauba|cocoa|shea|mango))?"
                    + "(?: ?wax| butter)?(?: pellets)?)$");
    private static final Pattern AMOUNTS = Pattern.compile("(.{1,20}?) to (.{1,20}?)(?: of)?(?: the)?(?: oil)?");
    /** "20 g to 25 g" is a range, "1 oz to 8 oz" is none. */
    private static final double NO_RANGE = 3;

    private static final double MOST_GRAMS = 20_000;

    private final House house;
    private final Fields fields;

    ShareReading(House house, Fields fields) {
        this.house = house;
        this.fields = fields;
    }

    /** Tells whether it is more than nothing and no more than any pan takes; else says so. */
    boolean within(String field, Mass mass) {
        boolean sensible = mass.grams() > 0 && mass.grams() <= MOST_GRAMS;
        if (!sensible) {
            fields.trouble(
                    field, "Understood %s; more than nothing and at most 20 kg.".formatted(house.mass(mass)), "300 g");
        }
        return sensible;
    }

    /** "10 %", "a third", "1 part to 5", "3 oz per cup of oil", "½ tsp", "30 g". */
    Optional<Share> read(String field, @org.jspecify.annotations.Nullable String said, PanThing thing, PanThing oil) {
        if (fields.isTooLong(field, said, Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        String typed = OF_IT.matcher(Linear.first(PanForm.text(said), "(?i)\\s+each$", ""))
                .replaceFirst("");
        Optional<Share> toOil = toOil(field, typed.toLowerCase(Locale.ROOT), thing, oil);
        if (toOil.isPresent() || fields.isTroubled(field)) {
            return toOil;
        }
        Matcher per = PER_OIL.matcher(typed.toLowerCase(Locale.ROOT));
        if (per.matches()) {
            double cup = oil.density().gramsPerMillilitre()
                    * house.settings().units().cups().cup().millilitres();
            return mass(field, per.group(1), thing).map(mass -> {
                fields.echo(field, "%s to %s of oil".formatted(house.mass(mass), house.mass(Mass.ofGrams(cup))));
                return new Share.PerOil(mass.grams() / cup);
            });
        }
        Optional<Double> plain = ShareReader.read(
                        Linear.first(typed, "(?i)^a\\s+(third|half|quarter|fifth|tenth)", "$1"))
                .or(() -> word(typed));
        boolean percent = ShareReader.isPercent(typed);
        if (plain.isPresent() && (plain.get() <= 1 || percent)) {
            double share = plain.get();
            if (share > 0 && share <= 1) {
                if (!typed.endsWith("%")) {
                    fields.echo(field, house.percent(share) + " of the whole");
                }
                return Optional.of(new Share.Of(share));
            }
            fields.trouble(
                    field,
                    "Understood as %s of the whole.".formatted(house.percent(share)),
                    "more than nothing and at most 100 %");
            return Optional.empty();
        }
        return mass(field, typed, thing).map(Share.Weighed::new);
    }

    /** "1 part to 5", "1:5", "half and half", "1 oz to 1 cup": so much of it to so much oil, by weight. */
    private Optional<Share> toOil(String field, String typed, PanThing thing, PanThing oil) {
        Matcher parts = PARTS.matcher(typed);
        Matcher ratio = RATIO.matcher(typed);
        Matcher either = parts.matches() ? parts : ratio;
        if (HALVES.matcher(typed).matches()) {
            fields.echo(field, "by weight: as much of it as of oil");
            return Optional.of(new Share.PerOil(1));
        }
        if (parts.matches() || ratio.matches()) {
            Optional<Double> one = ShareReader.read(either.group(1)).filter(n -> n > 0);
            Optional<Double> to = ShareReader.read(either.group(2)).filter(n -> n > 0);
            if (one.isPresent() && to.isPresent()) {
                fields.echo(field, "by weight: %s of it to %s of oil".formatted(either.group(1), either.group(2)));
                return Optional.of(new Share.PerOil(one.get() / to.get()));
            }
        }
        Matcher amounts = AMOUNTS.matcher(typed);
        if (amounts.matches() && amounts.group(1).chars().anyMatch(Character::isLetter)) {
            Optional<Mass> one = plainly(amounts.group(1), thing);
            Optional<Mass> to = plainly(amounts.group(2), oil);
            if (one.isPresent()
                    && to.isPresent()
                    && (typed.endsWith("oil")
                            || to.get().grams() >= NO_RANGE * one.get().grams())) {
                fields.echo(field, "%s of it to %s of oil".formatted(house.mass(one.get()), house.mass(to.get())));
                return Optional.of(new Share.PerOil(one.get().grams() / to.get().grams()));
            }
        }
        return Optional.empty();
    }

    private static Optional<Double> word(String typed) {
        return switch (Linear.first(typed.toLowerCase(Locale.ROOT), "^(a|one)\\s+", "")) {
            case "third", "thirds" -> Optional.of(1 / 3.0);
            case "half", "halves" -> Optional.of(0.5);
            case "quarter" -> Optional.of(0.25);
            case "fifth" -> Optional.of(0.2);
            case "tenth" -> Optional.of(0.1);
            default -> Optional.empty();
        };
    }

    /** The same where it is clear; ounces are by weight here. */
    private Optional<Mass> plainly(String typed, PanThing thing) {
        return house.reader().read(typed, Expect.SOLID) instanceof Reading.Understood read
                ? Optional.of(
                        read.amount().middle() instanceof Volume volume
                                ? thing.bulk().orElse(thing.density()).massOf(volume)
                                : read.mass())
                : Optional.empty();
    }

    /** By weight, or by volume: pellets as they are scooped, all else as a liquid. */
    private Optional<Mass> mass(String field, String typed, PanThing thing) {
        String plain = OF_IT.matcher(typed).replaceFirst("");
        KnownDensity known = thing.known();
        return fields.massOf(field, plain, thing.bulk().isPresent() ? Expect.SOLID : Expect.LIQUID, known)
                .map(Fields.Weighed::mass)
                .filter(mass -> within(field, mass));
    }
}
