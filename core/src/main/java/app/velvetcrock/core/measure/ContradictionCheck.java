package app.velvetcrock.core.measure;

import app.velvetcrock.core.measure.Contradiction.Verdict;
import java.util.ArrayList;
import java.util.List;

/**
 * Checks a weight in ounces against a volume in cups for a known oil and looks for the slip that explains a disagreement.
 *
 * <p>More than 3 % from the known density is worth a look; outside 0.84-0.97 g/mL no oil is meant and one of the two is
 * misread (craft: measures).
 */
public final class ContradictionCheck {

    private static final double WORTH_A_LOOK = 0.03;
    private static final double LIGHTEST_OIL = 0.84;
    private static final double HEAVIEST_OIL = 0.97;
    private static final int LARGEST_DIGIT_CHANGE = 100;

    private final CupSystem cups;

    public ContradictionCheck(CupSystem cups) {
        this.cups = cups;
    }

    /** Compares {@code ounces} (typed as a weight) with {@code cupsTyped} of an oil of the given density. */
    public Contradiction ofOil(double cupsTyped, double ounces, Density known) {
        Density implied = Density.between(Mass.ofGrams(ounces * Unit.OUNCE.factor()), cups.cup().times(cupsTyped));
        double offBy = implied.gramsPerMillilitre() / known.gramsPerMillilitre() - 1;
        Verdict verdict = verdict(implied, offBy);
        return new Contradiction(verdict, implied, offBy, verdict == Verdict.AGREE ? List.of() : slips(cupsTyped, ounces, known));
    }

    private static Verdict verdict(Density implied, double offBy) {
        if (implied.gramsPerMillilitre() < LIGHTEST_OIL || implied.gramsPerMillilitre() > HEAVIEST_OIL) {
            return Verdict.ONE_IS_MISREAD;
        }
        return Math.abs(offBy) > WORTH_A_LOOK ? Verdict.WORTH_A_LOOK : Verdict.AGREE;
    }

    private List<String> slips(double cupsTyped, double ounces, Density known) {
        List<String> slips = new ArrayList<>();
        if (sameVolume(ounces, cupsTyped)) {
            slips.add("%s fluid ounces is %s cups exactly".formatted(Decimals.kitchen(ounces), Decimals.kitchen(cupsTyped)));
        }
        for (int change : new int[] {-1, 1}) {
            if (cupsTyped + change > 0 && fits(cupsTyped + change, ounces, known)) {
                slips.add("one cup off: %s cups would agree".formatted(Decimals.kitchen(cupsTyped + change)));
            }
        }
        double spoons = cupsTyped * cups.teaspoon().millilitres() / cups.tablespoon().millilitres();
        if (fits(spoons, ounces, known) || fits(cupsTyped * cupsTyped / spoons, ounces, known)) {
            slips.add("tablespoons and teaspoons changed places");
        }
        addDigitSlips(slips, cupsTyped, ounces, known);
        return slips;
    }

    /** One digit of a whole number of ounces replaced: as a weight that fits, or as the exact fluid measure. */
    private void addDigitSlips(List<String> slips, double cupsTyped, double ounces, Density known) {
        if (ounces != Math.rint(ounces) || ounces >= LARGEST_DIGIT_CHANGE * 10) {
            return;
        }
        for (int place = 1; place <= ounces; place *= 10) {
            int digit = (int) (ounces / place) % 10;
            for (int other = 0; other < 10; other++) {
                double changed = ounces + (other - digit) * place;
                if (other != digit && changed > 0) {
                    addDigitSlip(slips, changed, cupsTyped, known);
                }
            }
        }
    }

    private void addDigitSlip(List<String> slips, double changed, double cupsTyped, Density known) {
        if (sameVolume(changed, cupsTyped)) {
            slips.add("one digit: %s fluid ounces is %s cups".formatted(Decimals.kitchen(changed), Decimals.kitchen(cupsTyped)));
        } else if (fits(cupsTyped, changed, known)) {
            slips.add("one digit: %s ounces by weight would agree".formatted(Decimals.kitchen(changed)));
        }
    }

    private boolean fits(double cupsTyped, double ounces, Density known) {
        double implied = ounces * Unit.OUNCE.factor() / (cupsTyped * cups.cup().millilitres());
        return Math.abs(implied / known.gramsPerMillilitre() - 1) <= WORTH_A_LOOK;
    }

    private boolean sameVolume(double fluidOunces, double cupsTyped) {
        double ratio = fluidOunces * cups.fluidOunce().millilitres() / (cupsTyped * cups.cup().millilitres());
        return Math.abs(ratio - 1) < 0.001;
    }
}
