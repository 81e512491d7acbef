package app.velvetcrock.hob;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Quantity;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.pan.PanStock;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What one line says of a melt, by the same rules as its forms; what these would have to ask besides is asked there. */
@Component
public class MeltLine {

    private final Correcting correcting;
    private final PanStock stock;
    private final Households households;
    private final Clock clock;

    MeltLine(Correcting correcting, PanStock stock, Households households, Clock clock) {
        this.correcting = correcting;
        this.stock = stock;
        this.households = households;
        this.clock = clock;
    }

    /** What else can be melted in, by its key. */
    public static List<Formula.Stuff> meltable(Makings.Sheet sheet) {
        return Correcting.meltable(sheet.course().formula()).distinct().toList();
    }

    public PanDeed.Correct correct(Makings.Sheet sheet, String key, Quantity more) {
        Formula.Stuff stuff = Correcting.stuff(sheet, key)
                .orElseThrow(() -> new Refused("That is not in this melt. Nothing was written."));
        Mass much = more instanceof Mass mass
                ? mass
                : correcting.known(stuff).density().massOf((Volume) more);
        UUID lot = correcting
                .lot(sheet, stuff, much)
                .orElseThrow(() -> new Refused(
                        "So much of %s is not in the stores. Nothing was written; at the pan it can be brought in."
                                .formatted(stuff.name().toLowerCase(Locale.ROOT))));
        return new PanDeed.Correct(stuff.of(much), Optional.of(lot));
    }

    /** Into so many of what was planned, each filled as such a one is. */
    public PanDeed.Pour pour(Makings.Sheet sheet, int count) {
        House house = households.current();
        Fields fields = new Fields(house.reader());
        List<PanDeed.Fill> fills = new PourReading(
                        sheet,
                        stock.shelves(house, house.dayOf(clock.instant())).containers(),
                        fields)
                .read(MakingForm.pouring(sheet.plan().into(), String.valueOf(count)));
        if (!fields.isClear()) {
            throw Refused.of(fields, "at the pan");
        }
        return new PanDeed.Pour(fills);
    }
}
