package app.velvetcrock.rack;

import app.velvetcrock.core.drying.Snap;
import app.velvetcrock.core.drying.WeighIn;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A weighing as one line says it, by the same rules as its form. */
@Component
public class RackLine {

    private static final int PRECISE = 2;

    private final Households households;
    private final Clock clock;

    RackLine(Households households, Clock clock) {
        this.households = households;
        this.clock = clock;
    }

    public WeighIn read(Rack.OnRack lot, Mass now, Snap snap, Instant at) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        String when =
                at.plusSeconds(1).isBefore(clock.instant()) ? house.wording().asField(at) : "";
        return new RackController.WeighForm(
                        UUID.randomUUID(), Decimals.upTo(now.grams(), PRECISE) + " g", snap.name(), when)
                .read(fields, lot, house, clock.instant())
                .orElseThrow(() -> Refused.of(fields, "on the rack"));
    }
}
