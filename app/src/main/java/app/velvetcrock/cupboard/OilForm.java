package app.velvetcrock.cupboard;

import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.MoistFood;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Oils.Taking;
import app.velvetcrock.web.Fields;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What was typed on one of an oil's small forms; each uses a few of these. */
record OilForm(
        @Nullable UUID key,
        @Nullable String count,
        @Nullable String size,
        @Nullable String glass,
        @Nullable String place,
        @Nullable String amount,
        @Nullable String why,
        @Nullable String smell,
        @Nullable String ruin,
        @Nullable String lesson,
        @Nullable String with,
        @Nullable UUID empties,
        @Nullable String when,
        @Nullable String who,
        @Nullable String price) {

    static final int LONGEST_LESSON = 300;
    private static final int MOST_BOTTLES = 200;
    private static final double LEAST_BOTTLE = 2;
    private static final double MOST_BOTTLE = 5000;

    static OilForm empty() {
        return of(null, "");
    }

    static OilForm of(@Nullable UUID key, @Nullable String when) {
        return new OilForm(key, "1", "", "DARK", "COOL_DARK", "", "DRAWN", "", "", "", "NONE", null, when, "", "");
    }

    /** When it was done; now where nothing is said, or nothing that can be read. */
    Instant when(Fields fields, House house, Instant now) {
        return fields.moment("when", when, house.past(now))
                .map(there -> there.atZone(house.settings().zone()).toInstant())
                .orElse(now);
    }

    UUID keyOrNew() {
        return key == null ? UUID.randomUUID() : key;
    }

    /**
     * What is bottled, into what.
     *
     * @param stored the empty bottles in the stores
     */
    Optional<Deed.Bottle> bottles(UUID lot, Fields fields, boolean moistFood, List<Stock.OfSupply> stored) {
        Optional<Integer> many = fields.whole("count", count, 1, MOST_BOTTLES, "bottles");
        Optional<Stock.OfSupply> chosen = empties(fields, many, stored);
        Optional<Volume> holds = size == null || size.isBlank()
                ? chosen.flatMap(Stock.OfSupply::holds)
                        .or(() -> fields.capacity("size", size, LEAST_BOTTLE, MOST_BOTTLE))
                : fields.capacity("size", size, LEAST_BOTTLE, MOST_BOTTLE);
        Optional<Glass> made = fields.oneOf("glass", Glass.class, glass);
        Optional<Storage> stands = fields.oneOf("place", Storage.class, place);
        Optional<Antioxidant> stirredIn = with == null || with.isBlank()
                ? Optional.of(Antioxidant.NONE)
                : fields.oneOf("with", Antioxidant.class, with);
        if (moistFood && stands.filter(where -> where != Storage.REFRIGERATOR).isPresent()) {
            fields.trouble(
                    "place",
                    "Food oil of moist herb stands in the refrigerator and nowhere else: %s.".formatted(MoistFood.RULE),
                    "in the refrigerator");
        }
        return fields.isClear()
                ? Optional.of(new Deed.Bottle(
                        lot,
                        many.orElseThrow(),
                        holds.orElseThrow(),
                        made.orElseThrow(),
                        stands.orElseThrow(),
                        stirredIn.orElseThrow(),
                        chosen.map(Stock.OfSupply::id)))
                : Optional.empty();
    }

    /** The empty bottles of the stores that are filled; none where they come from elsewhere. */
    private Optional<Stock.OfSupply> empties(Fields fields, Optional<Integer> many, List<Stock.OfSupply> stored) {
        Optional<Stock.OfSupply> chosen =
                stored.stream().filter(lot -> lot.id().equals(empties)).findFirst();
        if (empties != null && chosen.isEmpty()) {
            fields.trouble("empties", "Those bottles are not in the stores any more.", "another from the list");
        }
        chosen.filter(lot -> many.filter(count -> count > lot.left()).isPresent())
                .ifPresent(lot -> fields.trouble(
                        "empties",
                        "Only %d × %s are in the stores.".formatted(lot.left(), lot.name()),
                        "fewer bottles, or others"));
        return chosen;
    }

    /** What was drawn out, by weight or by volume; never more than there is. */
    Optional<Mass> drawn(Fields fields, Stock.OfOil oil, House house) {
        return fields.massOf("amount", amount, Expect.LIQUID, KnownDensity.ofOil(oil.density()))
                .map(Fields.Weighed::mass)
                .flatMap(mass -> {
                    Optional<Mass> sensible = Drawable.of(mass, oil, house);
                    if (sensible.isEmpty()) {
                        fields.trouble(
                                "amount",
                                Drawable.refusal(mass, oil, house),
                                "what was taken out, such as 20 mL or 1 tbsp");
                    }
                    return sensible;
                });
    }

    Optional<Taking> taking(Fields fields) {
        return fields.oneOf("why", Taking.class, why);
    }

    Optional<Ruin> ruined(Fields fields) {
        return fields.oneOf("ruin", Ruin.class, ruin);
    }
}
