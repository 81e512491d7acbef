package app.velvetcrock.cupboard;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.keeping.Antioxidant;
import app.velvetcrock.core.keeping.Glass;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import app.velvetcrock.web.Refused;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Bottles as one line says them, by the same rules as their form: cool and dark, or in the refrigerator where nothing else is allowed. */
@Component
public class BottleLine {

    private static final int PRECISE = 2;

    private final Households households;

    BottleLine(Households households) {
        this.households = households;
    }

    /** @param sheet of the batch the oil is of, {@code lot} */
    public Deed.Bottle read(BatchSheet sheet, UUID lot, int bottles, Volume size, Glass glass) {
        Fields fields = new Fields(households.current().reader());
        boolean moist = sheet.plan().isMoistFood();
        OilForm form = new OilForm(
                null,
                String.valueOf(bottles),
                Decimals.upTo(size.millilitres(), PRECISE) + " mL",
                glass.name(),
                (moist ? Storage.REFRIGERATOR : Storage.COOL_DARK).name(),
                "",
                "",
                "",
                "",
                "",
                Antioxidant.NONE.name(),
                null,
                "",
                "",
                "");
        return form.bottles(lot, fields, moist, List.of()).orElseThrow(() -> Refused.of(fields, "on its page"));
    }
}
