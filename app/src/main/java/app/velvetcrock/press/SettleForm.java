package app.velvetcrock.press;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.May;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Smell;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.time.Instant;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What was left after settling, as typed. */
record SettleForm(
        @Nullable UUID key,
        @Nullable String left,
        @Nullable String water,
        @Nullable String smell,
        @Nullable String when) {

    static SettleForm empty() {
        return new SettleForm(UUID.randomUUID(), "", "", "", "");
    }

    Optional<Doing<Deed.Settle>> read(Fields fields, BatchSheet sheet, Stock.OfOil oil, House house, Instant now) {
        Density density = oil.density();
        Optional<Mass> mass = fields.massOf("left", left, Expect.LIQUID, KnownDensity.ofOil(density))
                .map(Fields.Weighed::mass)
                .filter(m -> {
                    boolean sensible = m.grams() > 0 && m.compareTo(oil.left()) <= 0;
                    if (!sensible) {
                        fields.trouble(
                                "left",
                                "Understood %s; %s stood to settle, and no more can be left."
                                        .formatted(house.mass(m), house.mass(oil.left())),
                                "the clear oil, without what lay under it");
                    }
                    return sensible;
                });
        Optional<Volume> layer = PressForm.water(fields, water, sheet.oilIn());
        Optional<Smell> smelled = smell == null || smell.isBlank()
                ? Optional.of(Smell.NOT_SMELLED)
                : fields.oneOf("smell", Smell.class, smell);
        Instant at = fields.moment("when", when, house.past(now))
                .map(there -> there.atZone(house.settings().zone()).toInstant())
                .orElse(now);
        Instant strained = sheet.log().firstAt(Line.Strained.class).orElse(now);
        if (at.isBefore(strained) || May.isToCome(at, now)) {
            fields.trouble(
                    "when",
                    "Understood %s; it settled between the straining, %s, and now."
                            .formatted(house.moment(at), house.moment(strained)),
                    "a time in between, or leave it empty for now");
        }
        return fields.isClear()
                ? Optional.of(Current.doing(
                        new Deed.Settle(mass.orElseThrow(), layer.orElseThrow(), smelled.orElseThrow()),
                        key == null ? UUID.randomUUID() : key,
                        at,
                        Objects.requireNonNullElse(left, "")))
                : Optional.empty();
    }
}
