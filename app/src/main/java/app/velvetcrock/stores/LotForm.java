package app.velvetcrock.stores;

import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.drying.DryingStart;
import app.velvetcrock.core.kitchen.DropReader;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.look.Ruin;
import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Oils.Taking;
import app.velvetcrock.web.Fields;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What was typed on one of a lot's small forms; each uses a few of these. */
record LotForm(
        @Nullable UUID key,
        @Nullable String amount,
        @Nullable String out,
        @Nullable String cut,
        @Nullable String keptAt,
        @Nullable UUID other,
        @Nullable String why,
        @Nullable String note,
        @Nullable String filled,
        @Nullable String weight,
        @Nullable String water,
        @Nullable String scale,
        @Nullable String drops,
        @Nullable String strength,
        @Nullable String ruin,
        @Nullable String when) {

    static final int LONGEST_REASON = 200;
    private static final double PERCENT = 100;
    private static final double USUAL_STEP = 1;
    private static final double LEAST_FILLED = 10;
    private static final double MOST_FILLED = 20_000;
    private static final double LIGHTEST_BULK = 0.01;
    private static final double HEAVIEST_BULK = 1.5;

    /** What stands in the forms of a lot before anything is typed. */
    static LotForm before(LotSheet sheet) {
        String cut = sheet.herb().map(herb -> herb.cut().name()).orElse("");
        return new LotForm(null, "", "", cut, "", null, Taking.DRAWN.name(), "", "", "", "", "1", "", "", "", "");
    }

    static LotForm of(@Nullable UUID key, @Nullable String when) {
        return new LotForm(key, "", "", "", "", null, "", "", "", "", "", "1", "", "", "", when);
    }

    /** When it was done; now where nothing is said, or nothing that can be read. What lies ahead is refused. */
    Instant when(Fields fields, House house, Instant now) {
        Instant at = fields.moment("when", when, house.past(now))
                .map(there -> there.atZone(house.settings().zone()).toInstant())
                .orElse(now);
        if (May.isToCome(at, now)) {
            fields.trouble(
                    "when",
                    "Understood %s; what was done lies before now.".formatted(house.moment(at)),
                    "a time before now, or leave it empty");
        }
        return at;
    }

    UUID keyOrNew() {
        return key == null ? UUID.randomUUID() : key;
    }

    /** So much of the lot, in its own unit; more than nothing and no more than is left. What is left, typed back, is all of it. */
    Optional<Long> some(Fields fields, LotSheet sheet, House house) {
        long left = sheet.story().balance();
        if (sheet.story().inPieces()) {
            return fields.whole("amount", amount, 1, (int) Math.min(Integer.MAX_VALUE, Math.max(1, left)), "pieces")
                    .map(Integer::longValue);
        }
        return read(fields, "amount", amount, sheet)
                .map(read ->
                        house.mass(read.mass()).equals(house.mass(sheet.story().left()))
                                ? left
                                : read.mass().toMilligrams())
                .filter(milligrams -> {
                    boolean sensible = milligrams > 0 && milligrams <= left;
                    if (!sensible) {
                        fields.trouble(
                                "amount",
                                "Understood %s; %s is left."
                                        .formatted(
                                                house.mass(Mass.ofMilligrams(milligrams)),
                                                sheet.story().left(house)),
                                "no more than is left");
                    }
                    return sensible;
                });
    }

    /** What was counted or weighed, in the lot's own unit; nothing is possible. */
    Optional<Long> counted(Fields fields, LotSheet sheet) {
        return sheet.story().inPieces()
                ? fields.whole("amount", amount, 0, 100_000, "pieces").map(Integer::longValue)
                : read(fields, "amount", amount, sheet).map(read -> read.mass().toMilligrams());
    }

    /** Drops weigh what those of this bottle weigh. */
    private static Optional<Fields.Weighed> read(Fields fields, String field, @Nullable String typed, LotSheet sheet) {
        Optional<Volume> dropped = sheet.facts().dropsPerMillilitre().flatMap(per -> DropReader.read(
                        Objects.requireNonNullElse(typed, ""), false)
                .map(count -> Volume.ofMillilitres(count / per)));
        if (dropped.isPresent()) {
            return Optional.of(new Fields.Weighed(
                    sheet.known().orElseThrow().density().massOf(dropped.get()), true, "drops of this bottle"));
        }
        Expect expect = sheet.herb().isPresent() || sheet.story().kind() == LotKind.WAX ? Expect.SOLID : Expect.LIQUID;
        return fields.massOf(
                field,
                typed,
                expect,
                sheet.known().orElseGet(() -> KnownDensity.ofLiquid(Density.ofGramsPerMillilitre(1))));
    }

    /** What came of it when it was cut or stripped; typed as nothing when nothing was lost. */
    Optional<Mass> cameOut(Fields fields, LotSheet sheet, Mass in) {
        return out == null || out.isBlank()
                ? Optional.of(in)
                : read(fields, "out", out, sheet).map(Fields.Weighed::mass);
    }

    Optional<Cut> finer(Fields fields) {
        return fields.oneOf("cut", Cut.class, cut);
    }

    Optional<String> place(Fields fields) {
        return fields.optionalWords("keptAt", keptAt, ProvenanceForm.LONGEST_PLACE);
    }

    /** By which of the causes that travel it was thrown out; absent where none of them was said. */
    Optional<Ruin> ruined(Fields fields) {
        return ruin == null || ruin.isBlank() ? Optional.empty() : fields.oneOf("ruin", Ruin.class, ruin);
    }

    Optional<String> reason(Fields fields) {
        return fields.words("note", note, LONGEST_REASON);
    }

    Optional<String> optionalNote(Fields fields) {
        return fields.optionalWords("note", note, LONGEST_REASON);
    }

    Optional<Taking> taking(Fields fields) {
        return fields.oneOf("why", Taking.class, why);
    }

    /** A loosely filled measure and what it weighed; both must be such as a herb can have. */
    Optional<Density> bulk(Fields fields) {
        Optional<Volume> measure = fields.capacity("filled", filled, LEAST_FILLED, MOST_FILLED);
        Optional<Mass> weighed = fields.mass("weight", weight, 0.1, MOST_FILLED);
        if (measure.isEmpty() || weighed.isEmpty()) {
            return Optional.empty();
        }
        double bulk = weighed.get().grams() / measure.get().millilitres();
        if (bulk < LIGHTEST_BULK || bulk > HEAVIEST_BULK) {
            fields.trouble(
                    "weight",
                    "That makes %.3f g to a millilitre; a herb lies between %s and %s."
                            .formatted(bulk, LIGHTEST_BULK, HEAVIEST_BULK),
                    "what the herb alone weighed");
            return Optional.empty();
        }
        return Optional.of(Density.ofGramsPerMillilitre(bulk));
    }

    /** How many drops fill a millilitre, counted into a measure. */
    Optional<Double> perMillilitre(Fields fields) {
        Optional<Integer> counted = fields.whole("drops", without(drops), 1, 2000, "drops");
        Optional<Volume> measure = fields.capacity("filled", filled, 0.1, 100);
        if (counted.isEmpty() || measure.isEmpty()) {
            return Optional.empty();
        }
        double per = counted.get() / measure.get().millilitres();
        if (per < Drops.FEWEST || per > Drops.SMALLEST) {
            fields.trouble(
                    "drops",
                    "That makes %s to a millilitre; droppers give from %s to %s."
                            .formatted(
                                    Decimals.upTo(per, 1),
                                    Decimals.upTo(Drops.FEWEST, 0),
                                    Decimals.upTo(Drops.SMALLEST, 0)),
                    "how many fell until the measure was full");
            return Optional.empty();
        }
        return Optional.of(per);
    }

    private static @Nullable String without(@Nullable String counted) {
        return DropReader.read(Objects.requireNonNullElse(counted, ""), true)
                .map(String::valueOf)
                .orElse(counted);
    }

    Optional<Strength> strength(Fields fields) {
        return fields.number("strength", strength, Strength.LEAST, Strength.MOST, "% vol")
                .map(Strength::new);
    }

    /** How a lot is laid out to dry: its weight now, its water as estimated unless said otherwise. */
    Optional<DryingStart> start(Fields fields, LotSheet sheet, Instant now) {
        WaterContent estimate = sheet.herb().orElseThrow().water();
        Optional<WaterContent> wet = water == null || water.isBlank()
                ? Optional.of(estimate)
                : fields.number("water", water, 1, PERCENT * WaterContent.WETTEST, "%")
                        .map(percent -> new WaterContent(percent / PERCENT));
        Optional<Double> step = scale == null || scale.isBlank()
                ? Optional.of(USUAL_STEP)
                : fields.number("scale", scale, 0.01, 100, "g");
        return wet.isPresent() && step.isPresent()
                ? Optional.of(new DryingStart(now, sheet.story().left(), wet.get(), Mass.ofGrams(step.get())))
                : Optional.empty();
    }
}
