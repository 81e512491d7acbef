package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.kitchen.Reading.Understood;
import app.velvetcrock.core.measure.Decimals;
import java.util.ArrayList;
import java.util.List;

/**
 * What a weight and a volume given for the same thing say about each other.
 *
 * @param implied the density the two imply, g/mL; infinite where there is a weight and no volume
 * @param offBy how far that lies from the known density, as a signed fraction of it
 * @param slips likely misreadings under which the two agree; empty when none fits
 */
public record Contradiction(Verdict verdict, double implied, double offBy, List<Slip> slips) {

    private static final double LIGHTEST = 0.01;
    private static final double HEAVIEST = 25;

    public Contradiction {
        slips = List.copyOf(slips);
    }

    /** Tells whether anything has such a density, so that it is worth saying. */
    public boolean isPossible() {
        return implied >= LIGHTEST && implied <= HEAVIEST;
    }

    /** How badly a weight and a volume disagree. */
    public enum Verdict {
        AGREE,
        WORTH_A_LOOK,
        ONE_IS_MISREAD
    }

    /** A likely misreading in words, and the amount that was then meant. */
    public record Slip(String words, Amount meant) {}

    /** What is wrong between a weight and a volume that do not agree. */
    public String words(Understood weight, Understood volume, KnownDensity known) {
        if (!isPossible()) {
            return "%s and %s cannot be the same thing: one of the two is misread."
                    .formatted(weight.typed(), volume.typed());
        }
        return "%s and %s imply %s g/mL; this is %s g/mL, %s %% off: %s."
                .formatted(
                        weight.typed(),
                        volume.typed(),
                        Decimals.upTo(implied(), 3),
                        Decimals.upTo(known.density().gramsPerMillilitre(), 3),
                        Decimals.upTo(Math.abs(offBy()) * 100, 1),
                        verdict() == Verdict.WORTH_A_LOOK ? "worth a look" : "one of the two is misread");
    }

    /** What may have been meant: each likely slip mended, then the weight alone and the volume alone. */
    public List<Understood> choices(AmountReader reader, Understood weight, Understood volume) {
        List<Understood> choices = new ArrayList<>();
        slips().forEach(slip ->
                choices.add(new Understood(reader.clearly(slip.meant()).typed(), slip.meant(), slip.words())));
        choices.add(new Understood(weight.typed(), weight.amount(), "the weight alone: " + weight.echo()));
        choices.add(new Understood(volume.typed(), volume.amount(), "the volume alone: " + volume.echo()));
        return choices;
    }
}
