package app.velvetcrock.core.planning;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

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
     * @param lengths how long each of the method's stages is to last, in its pace and within its range
     * @param spirit the strongest spirit to hand; absent for none
     */
    public record Circumstances(
            Method method, List<Integer> lengths, LocalDate start, Use use, Pressing pressing, Storage storage, Temperature pantry, Optional<Strength> spirit) {

        private static final int NOON = 12;

        public Circumstances {
            lengths = List.copyOf(lengths);
            if (lengths.size() != method.stages().size()) {
                throw new IllegalArgumentException("%d lengths for %d stages of %s".formatted(lengths.size(), method.stages().size(), method.key()));
            }
        }

        /** The day its last stage ends, heat counted as if it were given at once. */
        public LocalDate end() {
            LocalDateTime at = start.atTime(NOON, 0);
            for (int i = 0; i < lengths.size(); i++) {
                at = at.plusMinutes((long) lengths.get(i) * method.stages().get(i).pace().minutes());
            }
            return at.toLocalDate();
        }
    }
}
