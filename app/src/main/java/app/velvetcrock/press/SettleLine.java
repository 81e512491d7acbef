package app.velvetcrock.press;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What settled as one line says it, by the same rules as its form. */
@Component
public class SettleLine {

    private static final Density WATER = Density.ofGramsPerMillilitre(1);
    private static final int PRECISE = 2;

    private final Oils oils;
    private final Households households;
    private final Clock clock;

    SettleLine(Oils oils, Households households, Clock clock) {
        this.oils = oils;
        this.households = households;
        this.clock = clock;
    }

    /**
     * @param clear what of it is clear; where that was not measured, all but the water
     * @param water under it; none where nothing was said
     */
    public Deed.Settle read(BatchSheet sheet, Optional<Quantity> clear, Optional<Volume> water, Instant at) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        Stock.OfOil oil = sheet.strained()
                .map(strained -> oils.find(strained.lot()))
                .orElseThrow(() -> new Refused("It is not strained, so nothing has settled. Nothing was written."));
        Mass left = clear.map(
                        said -> said instanceof Mass mass ? mass : oil.density().massOf((Volume) said))
                .orElseGet(() -> without(oil.left(), water.map(WATER::massOf).orElse(Mass.ZERO)));
        String when =
                at.plusSeconds(1).isBefore(clock.instant()) ? house.wording().asField(at) : "";
        SettleForm form = new SettleForm(
                UUID.randomUUID(),
                Decimals.upTo(left.grams(), PRECISE) + " g",
                water.map(under -> Decimals.upTo(under.millilitres(), PRECISE) + " mL")
                        .orElse(""),
                "",
                when);
        return form.read(fields, sheet, oil, house, clock.instant())
                .orElseThrow(() -> Refused.of(fields, "at the Press"))
                .deed();
    }

    private static Mass without(Mass all, Mass part) {
        return Mass.ofMilligrams(Math.max(0, all.toMilligrams() - part.toMilligrams()));
    }
}
