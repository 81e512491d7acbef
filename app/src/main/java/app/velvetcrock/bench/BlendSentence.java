package app.velvetcrock.bench;

import app.velvetcrock.core.charge.BlendAmounts;
import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.charge.HerbWish;
import app.velvetcrock.core.charge.Herbs;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.ShareReader;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reads how much of each herb goes in: by weight or volume, in parts, or by how it lies in the jar. */
final class BlendSentence {

    private static final Pattern PARTS = Pattern.compile("(.+?) ?parts?( by volume)?");
    private static final Pattern FILL = Pattern.compile("(.+?)(?: of)?(?: the| a)? ?jar(?: full)?");
    private static final Pattern DEEP = Pattern.compile("(.+?) deep");
    private static final double DEEPEST = 500;
    private static final double MOST_GRAMS = 20_000;

    private final Fields fields;
    private final House house;

    BlendSentence(Fields fields, House house) {
        this.fields = fields;
        this.house = house;
    }

    /** A herb with what was typed for it and the field it was typed in. */
    record Row(Stock.OfHerb herb, @Nullable String typed, String field) {}

    /**
     * The masses of all rows in their order; absent when something is not clear.
     *
     * @param vessel what it is to lie in; absent while none is chosen
     */
    Optional<List<Mass>> masses(List<Row> rows, @Nullable String total, Optional<Vessel> vessel) {
        List<HerbWish> said = new ArrayList<>();
        rows.forEach(row -> wish(row.field(), row.typed(), bulk(row.herb())).ifPresent(said::add));
        Optional<HerbWish> whole = BenchForm.isBlank(total)
                ? Optional.empty()
                : wish("total", total, bulk(rows.get(0).herb()));
        if (!fields.isClear()) {
            return Optional.empty();
        }
        boolean lies = said.stream().anyMatch(BlendSentence::lies)
                || whole.filter(BlendSentence::lies).isPresent();
        if (lies && vessel.isEmpty()) {
            fields.trouble("jar", "How the herb lies depends on the jar, and none is chosen.", "the jar it goes into");
            return Optional.empty();
        }
        List<HerbPortion> grams = rows.stream().map(row -> gram(row.herb())).toList();
        // Without a jar nothing lies in one: any will do to carry the sum.
        Vessel any = vessel.orElseGet(() -> new Vessel(
                "jar",
                app.velvetcrock.core.measure.Volume.ofMillilitres(1000),
                app.velvetcrock.core.measure.Length.ofMillimetres(100)));
        try {
            Herbs herbs = BlendAmounts.of(grams, said, whole, any);
            List<Mass> masses = BlendAmounts.masses(herbs);
            say(rows, said, masses, whole.isPresent());
            return within(masses) ? Optional.of(masses) : Optional.empty();
        } catch (BlendAmounts.UnclearException unclear) {
            fields.trouble(
                    unclear.row() < 0 ? "total" : rows.get(unclear.row()).field(),
                    sentence(String.valueOf(unclear.getMessage())),
                    unclear.row() < 0 ? "90 g" : "1 part, or 20 g");
            return Optional.empty();
        }
    }

    private static boolean lies(HerbWish wish) {
        return wish instanceof HerbWish.Fill || wish instanceof HerbWish.Deep;
    }

    private boolean within(List<Mass> masses) {
        double grams = masses.stream().mapToDouble(Mass::grams).sum();
        boolean sensible = grams > 0 && grams <= MOST_GRAMS;
        if (!sensible) {
            fields.trouble(
                    "amount",
                    "Understood as %s g of herb; a jar takes more than nothing and at most %.0f g."
                            .formatted(Math.round(grams), MOST_GRAMS),
                    "40 g");
        }
        return sensible;
    }

    /** Says what parts and fillings came to; what was typed as a weight says itself. */
    private void say(List<Row> rows, List<HerbWish> said, List<Mass> masses, boolean whole) {
        for (int i = 0; i < rows.size(); i++) {
            if (whole || !(said.get(i) instanceof HerbWish.Weight)) {
                fields.echo(
                        rows.get(i).field(),
                        "%s: %s".formatted(rows.get(i).herb().kind().common(), house.mass(masses.get(i))));
            }
        }
    }

    private Optional<HerbWish> wish(String field, @Nullable String typed, Density bulk) {
        if (fields.isTooLong(field, typed, Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        String text = typed == null ? "" : typed.strip().toLowerCase(Locale.ROOT);
        Matcher parts = PARTS.matcher(text);
        Matcher fill = FILL.matcher(text);
        Matcher deep = DEEP.matcher(text);
        if (parts.matches()) {
            return share(field, typed, parts.group(1), 1000)
                    .map(number -> new HerbWish.Parts(number, parts.group(2) != null));
        } else if (fill.matches()) {
            return share(field, typed, fill.group(1), 1).map(HerbWish.Fill::new);
        } else if (deep.matches()) {
            return fields.length(field, deep.group(1), 1, DEEPEST).map(HerbWish.Deep::new);
        }
        return weight(field, typed, bulk).map(HerbWish.Weight::new);
    }

    private Optional<Double> share(String field, @Nullable String typed, String number, double most) {
        Optional<Double> share = ShareReader.read(number).filter(value -> value >= 0.01 && value <= most);
        if (share.isEmpty()) {
            fields.trouble(
                    field,
                    "“%s”: that is no number this can be%s."
                            .formatted(typed, most == 1 ? ", and a jar holds no more than itself" : ""),
                    most == 1 ? "2/3 jar" : "2 parts");
        }
        return share;
    }

    /** A herb by weight; by volume it is weighed by its loose bulk density, and says so. */
    private Optional<Mass> weight(String field, @Nullable String typed, Density bulk) {
        return fields.massOf(field, typed, Expect.SOLID, KnownDensity.ofHerb(bulk))
                .map(read -> {
                    if (read.byVolume()) {
                        fields.echo(
                                field,
                                read.echo() + ", about "
                                        + Math.round(read.mass().grams()) + " g loosely filled");
                    }
                    return read.mass();
                })
                .filter(mass -> {
                    boolean sensible = mass.grams() > 0 && mass.grams() <= MOST_GRAMS;
                    if (!sensible) {
                        fields.trouble(
                                field,
                                "Understood as %s; a jar takes more than nothing and at most %.0f g."
                                        .formatted(house.mass(mass), MOST_GRAMS),
                                "40 g");
                    }
                    return sensible;
                });
    }

    private static Density bulk(Stock.OfHerb herb) {
        return herb.weighedBulk().orElseGet(() -> herb.texture().bulkIn(herb.moisture()));
    }

    private static HerbPortion gram(Stock.OfHerb herb) {
        return new HerbPortion(
                Mass.ofGrams(1),
                herb.texture(),
                herb.moisture(),
                herb.weighedBulk(),
                herb.kind().usualRatio(herb.texture().cut()));
    }

    private static String sentence(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1) + ".";
    }
}
