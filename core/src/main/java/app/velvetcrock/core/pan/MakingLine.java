package app.velvetcrock.core.pan;

import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Cooling;
import app.velvetcrock.core.making.Felt;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;

/** What a line of a making's log says: one type for each thing done at the pan. */
public sealed interface MakingLine {

    /** The same as a sentence, in a household's units. */
    String words(Wording say);

    /** The parts were weighed together. */
    record Begun(List<MakingPlan.Weighed> parts) implements MakingLine {
        public Begun {
            parts = List.copyOf(parts);
        }

        @Override
        public String words(Wording say) {
            return "Weighed in: %s"
                    .formatted(parts.stream()
                            .map(one -> say.mass(one.part().mass()) + " "
                                    + one.part().stuff().name())
                            .collect(Collectors.joining(", ")));
        }
    }

    /** A step with nothing to tell was done: melted, chilled, whipped, lids on. */
    record Did(MakingStep step) implements MakingLine {
        @Override
        public String words(Wording say) {
            return step.done();
        }
    }

    /**
     * A step was left out, and why.
     *
     * @param addition what was not stirred in, of that step
     */
    record Skipped(MakingStep step, Optional<Addition> addition, String why) implements MakingLine {
        @Override
        public String words(Wording say) {
            return "Left out: %s%s"
                    .formatted(addition.map(Addition::spoken).orElse(step.word()), why.isEmpty() ? "" : ", " + why);
        }
    }

    /** A drop of it was felt, cold. */
    record Tested(double firmness, Felt felt) implements MakingLine {
        @Override
        public String words(Wording say) {
            return "Spoon test at firmness %s: %s".formatted(Decimals.upTo(firmness, 1), felt.word());
        }
    }

    /** More of a wax or an oil went in. */
    record Corrected(Formula.Part more, Optional<UUID> lot, double firmness) implements MakingLine {
        @Override
        public String words(Wording say) {
            return "%s of %s went in: firmness %s"
                    .formatted(say.mass(more.mass()), more.stuff().name(), Decimals.upTo(firmness, 1));
        }
    }

    /**
     * It was taken off the heat, so hot, to cool somewhere.
     *
     * @param own how many times as slowly this household's melts cooled there till then; absent while that was not known
     */
    record OffHeat(Temperature temperature, Cooling.Where where, Optional<Double> own) implements MakingLine {
        @Override
        public String words(Wording say) {
            return "Off the heat at %s, %s".formatted(say.temperature(temperature), where.word());
        }
    }

    /** Its temperature was read, or felt with the hand. */
    record Read(Temperature temperature, Optional<Touch> touch) implements MakingLine {
        @Override
        public String words(Wording say) {
            return touch.map(hand -> "By hand: %s, about %s".formatted(hand.word(), say.temperature(temperature)))
                    .orElseGet(() -> "At %s".formatted(say.temperature(temperature)));
        }
    }

    /** The first haze was seen at the rim: there it congeals. */
    record Hazed() implements MakingLine {
        @Override
        public String words(Wording say) {
            return "The first haze at the rim: it congeals here";
        }
    }

    /** Something was stirred in. */
    record Added(Addition addition, Optional<UUID> lot) implements MakingLine {
        @Override
        public String words(Wording say) {
            return "%s of %s stirred in"
                    .formatted(
                            addition.drops()
                                    .map(count ->
                                            Decimals.upTo(count, 0) + " drops (" + say.mass(addition.mass()) + ")")
                                    .orElseGet(() -> say.mass(addition.mass())),
                            addition.name());
        }
    }

    /**
     * It was poured.
     *
     * @param filled what was filled, each kind a lot of its own
     * @param left what stayed in the pan
     * @param leftLot what that became; absent where nothing stayed
     */
    record Poured(List<Filled> filled, Mass left, Optional<UUID> leftLot) implements MakingLine {
        public Poured {
            filled = List.copyOf(filled);
        }

        /** So many of one kind, and the lot they are. */
        public record Filled(Container container, int count, Mass each, UUID lot) {}

        @Override
        public String words(Wording say) {
            String all = filled.stream()
                    .map(one -> "%d × %s of %s"
                            .formatted(one.count(), one.container().name(), say.mass(one.each())))
                    .collect(Collectors.joining(", "));
            String rest = left.grams() < 0.05 ? "" : "%s left in the pan".formatted(say.mass(left));
            return "Poured: " + all + (all.isEmpty() || rest.isEmpty() ? "" : "; ") + rest;
        }
    }

    /** How it turned out, seen and felt later. */
    record TurnedOut(Felt felt, List<Fault> faults, String words) implements MakingLine {
        public TurnedOut {
            faults = List.copyOf(faults);
        }

        /** Tells whether it says anything to do otherwise, or the same again. */
        public boolean teaches() {
            return felt != Felt.RIGHT || !faults.isEmpty() || !words.isBlank();
        }

        @Override
        public String words(Wording say) {
            String seen = faults.stream().map(fault -> ", " + fault.word()).collect(Collectors.joining());
            return "Turned out %s%s%s".formatted(felt.word(), seen, words.isEmpty() ? "" : ": " + words);
        }
    }

    /** Some of it was smelled, as it stands in the Cupboard. */
    record Smelled(UUID lot, boolean good) implements MakingLine {
        @Override
        public String words(Wording say) {
            return good ? "Smelled: as it should" : "Smelled: off";
        }
    }

    /** Something seen or done, in words. */
    record Noted(String words) implements MakingLine {
        @Override
        public String words(Wording say) {
            return words;
        }
    }
}
