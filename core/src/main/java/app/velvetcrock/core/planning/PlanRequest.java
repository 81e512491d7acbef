package app.velvetcrock.core.planning;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.strain.Pressing;
import java.time.LocalDate;
import java.util.List;

/**
 * What somebody wants made, of what, in what.
 *
 * @param jarsInStock free jars, for choosing and for remedies
 */
public record PlanRequest(
        PlannedHerb herb, PlannedCarrier carrier, OilWish oil, Vessel vessel, List<Vessel> jarsInStock, Circumstances circumstances) {

    public PlanRequest {
        jarsInStock = List.copyOf(jarsInStock);
    }

    /**
     * How, when and for whom.
     *
     * @param length how long the method's stage is to last, in its pace and within its range
     */
    public record Circumstances(
            Method method, int length, LocalDate start, Use use, Pressing pressing, Storage storage, Temperature pantry) {}
}
