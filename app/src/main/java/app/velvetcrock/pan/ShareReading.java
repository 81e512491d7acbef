package app.velvetcrock.pan;

import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.ShareReader;
import app.velvetcrock.core.making.MeltRequest.Share;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads how much of one thing goes into a melt, as recipes say it. */
final class ShareReading {

    private static final Pattern PER_OIL = Pattern.compile("(.{1,40}?)\\s+(?:per|to a|to the|a)\\s+cup(?: of oil)?");
    private static final Pattern PARTS = Pattern.compile(
            "(\\S{1,12})\\s+parts?\\s+(?:wax\\s+)?to\\s+(\\S{1,12})(?:\\s+(?:parts?|of oil|oil).{0,20})?");
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
        String typed = PanForm.text(said).replaceFirst("(?i)\\s+each$", "");
        if (fields.isTooLong(field, typed, Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        Matcher parts = PARTS.matcher(typed.toLowerCase(Locale.ROOT));
        if (parts.matches()) {
            Optional<Double> one = ShareReader.read(parts.group(1)).filter(n -> n > 0);
            Optional<Double> to = ShareReader.read(parts.group(2)).filter(n -> n > 0);
            if (one.isPresent() && to.isPresent()) {
                fields.echo(field, "by weight: %s of it to %s of oil".formatted(parts.group(1), parts.group(2)));
                return Optional.of(new Share.PerOil(one.get() / to.get()));
            }
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
                        typed.replaceFirst("(?i)^a\\s+(third|half|quarter|fifth|tenth)", "$1"))
                .or(() -> word(typed));
        if (plain.isPresent() && (plain.get() <= 1 || typed.endsWith("%"))) {
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

    private static Optional<Double> word(String typed) {
        return switch (typed.toLowerCase(Locale.ROOT).replaceFirst("^(a|one)\\s+", "")) {
            case "third", "thirds" -> Optional.of(1 / 3.0);
            case "half", "halves" -> Optional.of(0.5);
            case "quarter" -> Optional.of(0.25);
            case "fifth" -> Optional.of(0.2);
            case "tenth" -> Optional.of(0.1);
            default -> Optional.empty();
        };
    }

    /** By weight, or by volume: pellets as they are scooped, all else as a liquid. */
    private Optional<Mass> mass(String field, String typed, PanThing thing) {
        String plain =
                typed.replaceFirst("(?i)\\s+of\\s+(?:wax\\s+)?pellets$", "").replaceFirst("(?i)\\s+pellets$", "");
        KnownDensity known =
                thing.bulk().map(KnownDensity::ofPellets).orElseGet(() -> KnownDensity.ofOil(thing.density()));
        return fields.massOf(field, plain, thing.bulk().isPresent() ? Expect.SOLID : Expect.LIQUID, known)
                .map(Fields.Weighed::mass)
                .filter(mass -> within(field, mass));
    }
}
