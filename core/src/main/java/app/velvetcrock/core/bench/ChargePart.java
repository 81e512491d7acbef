package app.velvetcrock.core.bench;

import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.FrozenPlan;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;

/** What goes into one vessel: its plan, the vessel, and what was really weighed. */
public record ChargePart(FrozenPlan frozen, OfJar jar, Weighed weighed) {

    public BatchPlan plan() {
        return frozen.plan();
    }

    /** The deed that charges its vessel. */
    public Deed.Start start() {
        return new Deed.Start(frozen, jar.id(), jar.kit(), weighed.herb(), weighed.oil());
    }

    /** The same with some of its steps held back. */
    public ChargePart holding(Map<String, Instant> holds) {
        return new ChargePart(frozen.holding(holds), jar, weighed);
    }

    /** The same strained on another day, as its steps are placed. */
    public ChargePart strainedOn(LocalDate day) {
        return new ChargePart(frozen.revised(frozen.plan().strainedOn(day), frozen.holds()), jar, weighed);
    }

    /** What was really weighed and poured, and when. */
    public record Weighed(Mass herb, Volume oil, Instant at) {}

    /** The same with what was really weighed and poured. */
    public ChargePart with(Weighed really) {
        return new ChargePart(frozen, jar, really);
    }
}
