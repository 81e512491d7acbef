package app.velvetcrock.core.intake;

import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.Texture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;

/** What became of one thing of a list: understood, or in doubt. What was written is always kept. */
public sealed interface Arriving {

    String written();

    /**
     * What is said besides.
     *
     * @param opened the day it was opened; absent where it is sealed
     * @param best its best before, as printed
     * @param from whom or where it came from; empty where that is not said
     * @param price for all of it, in the household's currency
     */
    record Besides(Optional<LocalDate> opened, Optional<LocalDate> best, String from, Optional<BigDecimal> price) {

        static final Besides NOTHING = new Besides(Optional.empty(), Optional.empty(), "", Optional.empty());
    }

    /** A bag of herb. */
    record Herb(
            String written,
            HerbKind kind,
            Texture texture,
            Moisture moisture,
            Mass mass,
            Origin origin,
            Besides besides)
            implements Arriving {}

    /** A bottle of oil, or a fat to infuse in; sealed where no day of opening is said. */
    record Oil(String written, CarrierKind kind, Mass mass, Besides besides) implements Arriving {}

    /** A wax, or something to stir in. */
    record Supply(String written, SupplyKind kind, Mass mass, Besides besides) implements Arriving {}

    /** Tins, bottles, pots and moulds to fill. */
    record Containers(String written, String name, Volume holds, int count) implements Arriving {}

    /** Jars to infuse in, of the usual width of their size. */
    record Jars(String written, Vessel vessel, int count) implements Arriving {}

    /** Something that is not clear, and what to write instead. */
    record Doubt(String written, String wrong, String instead) implements Arriving {}
}
