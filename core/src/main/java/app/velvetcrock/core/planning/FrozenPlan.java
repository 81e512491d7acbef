package app.velvetcrock.core.planning;

import app.velvetcrock.core.measure.Mass;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * A plan as it is kept with a batch, with what it takes from which lot.
 *
 * @param takes for each of the plan's herbs in their order, then each oil, then the spirit where the way takes one
 * @param holds moments before which a step, by its key, is not to begin
 */
public record FrozenPlan(BatchPlan plan, List<Take> takes, Map<String, Instant> holds) {

    public FrozenPlan {
        takes = List.copyOf(takes);
        holds = Map.copyOf(holds);
        int least = plan.request().herbs().size()
                + plan.request().carriers().parts().size();
        if (takes.size() < least || takes.size() > least + 1) {
            throw new IllegalArgumentException(
                    "%d lots for %d herbs and oils, and perhaps a spirit".formatted(takes.size(), least));
        }
    }

    /**
     * Lots to take from, for the parts of a plan.
     *
     * @param herbs one for each of its herbs, in their order
     * @param carriers one for each of its oils: a bottle, or a finished oil that is infused again
     * @param spirit the spirit; left alone where the way takes none
     */
    public record Lots(List<UUID> herbs, List<UUID> carriers, Optional<UUID> spirit) {}

    /** A plan with what it takes worked out, nothing held back. */
    public static FrozenPlan of(BatchPlan plan, Lots lots) {
        List<Take> takes = new ArrayList<>();
        for (int i = 0; i < lots.herbs().size(); i++) {
            takes.add(
                    new Take(lots.herbs().get(i), plan.request().herbs().get(i).mass()));
        }
        List<Mass> oils = plan.request().carriers().masses(plan.oilMass());
        for (int i = 0; i < lots.carriers().size(); i++) {
            takes.add(new Take(lots.carriers().get(i), oils.get(i)));
        }
        plan.moistening()
                .ifPresent(moist -> lots.spirit().ifPresent(lot -> takes.add(new Take(lot, moist.fromBottle()))));
        return new FrozenPlan(plan, takes, Map.of());
    }

    /** The same with some of its steps held back. */
    public FrozenPlan holding(Map<String, Instant> others) {
        return new FrozenPlan(plan, takes, others);
    }

    /** Another plan for the same lots, where only the times differ. */
    public FrozenPlan revised(BatchPlan other, Map<String, Instant> others) {
        return new FrozenPlan(other, takes, others);
    }

    /** What really goes out of each lot: of a blend each its part of what was weighed or poured, the spirit with the herb. */
    public List<Take> taking(Mass herb, Mass oil) {
        int herbs = plan.request().herbs().size();
        List<Mass> oils = plan.request().carriers().masses(oil);
        double really = herb.grams() / plan.charge().herbs().mass().grams();
        List<Take> taking = new ArrayList<>();
        for (int i = 0; i < takes.size(); i++) {
            Take planned = takes.get(i);
            boolean poured = i >= herbs && i < herbs + oils.size();
            taking.add(new Take(
                    planned.lot(), poured ? oils.get(i - herbs) : planned.mass().times(really)));
        }
        return taking;
    }
}
