package app.velvetcrock.core.kitchen;

import app.velvetcrock.core.kitchen.Contradiction.Slip;
import app.velvetcrock.core.kitchen.Contradiction.Verdict;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Unit;
import app.velvetcrock.core.measure.Volume;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Checks a weight against a volume of the same thing and looks for the slip that explains a disagreement: fluid ounces taken
 * for weight or the reverse, one cup off, tablespoon for teaspoon, one digit (craft: measures).
 */
public final class ContradictionCheck {

    /** Fluid ounces that are the very volume typed, but for rounding. */
    private static final double SAME = 0.001;

    /** A slip is offered where it agrees as nearly as a known liquid must (craft: measures, contradiction check). */
    private static final double NEAR = 0.03;

    /** [E] A digit misread is looked for in whole numbers below this: kitchens write no longer ones. */
    private static final double LARGEST_DIGIT_CHANGE = 10_000;
    /** So many explanations are offered: more would not be read. */
    private static final int MOST_SLIPS = 4;

    private final HouseholdUnits household;

    public ContradictionCheck(HouseholdUnits household) {
        this.household = household;
    }

    /** Compares the two by the density the thing is known to have. */
    public Contradiction of(Both both, KnownDensity known) {
        double implied = both.mass().grams() / both.poured().millilitres();
        double offBy = known.offBy(both.mass(), both.poured());
        Verdict verdict = verdict(implied, offBy, known);
        return new Contradiction(verdict, implied, offBy, verdict == Verdict.AGREE ? List.of() : slips(both, known));
    }

    private static Verdict verdict(double implied, double offBy, KnownDensity known) {
        if (!(implied >= known.least() && implied <= known.most())) {
            return Verdict.ONE_IS_MISREAD;
        }
        return known.isLiquid() && Math.abs(offBy) > known.agrees() ? Verdict.WORTH_A_LOOK : Verdict.AGREE;
    }

    private List<Slip> slips(Both both, KnownDensity known) {
        List<Slip> slips = new ArrayList<>();
        fluidForWeight(both.weight(), both.poured())
                .ifPresent(fluid -> slips.add(new Slip(
                        "%s is %s%s".formatted(words(fluid), words(both.volume()), howNear(fluid, both.poured())),
                        both.volume())));
        weightForFluid(both.volume())
                .filter(ounces -> known.fits(both.mass(), both.poured())
                        || isSame(((Mass) ounces.middle()).grams(), both.mass().grams()))
                .ifPresent(ounces -> slips.add(new Slip(
                        "%s by weight is %s".formatted(household.typed(ounces), words(both.weight())), both.weight())));
        oneCupOff(slips, both, known);
        spoons(slips, both, known);
        digits(slips, both, known);
        return slips.stream().limit(MOST_SLIPS).toList();
    }

    /** The weight's number read as fluid ounces, where that is just the volume. */
    private Optional<Amount> fluidForWeight(Amount weight, Volume volume) {
        if (weight.unit().factor() != Unit.OUNCE.factor()) {
            return Optional.empty();
        }
        Amount fluid = new Amount(
                weight.low(),
                weight.high(),
                Unit.ofVolume(household.cups().fluidOunce(), "fluid ounce", "fluid ounces"));
        return Math.abs(((Volume) fluid.middle()).millilitres() / volume.millilitres() - 1) <= NEAR
                ? Optional.of(fluid)
                : Optional.empty();
    }

    private static String howNear(Amount fluid, Volume volume) {
        return isSame(((Volume) fluid.middle()).millilitres(), volume.millilitres()) ? " exactly" : ", nearly";
    }

    private Optional<Amount> weightForFluid(Amount volume) {
        return volume.unit().factor() == household.cups().fluidOunce().millilitres()
                ? Optional.of(new Amount(volume.low(), volume.high(), Unit.OUNCE))
                : Optional.empty();
    }

    private void oneCupOff(List<Slip> slips, Both both, KnownDensity known) {
        if (both.volume().unit().factor() != household.cups().cup().millilitres()
                || both.volume().isRange()) {
            return;
        }
        for (int change : new int[] {-1, 1}) {
            double cups = both.volume().low() + change;
            Amount other = new Amount(cups, cups, both.volume().unit());
            if (cups > 0 && known.fits(both.mass(), (Volume) other.middle())) {
                slips.add(new Slip("one cup off: %s would agree".formatted(words(other)), other));
            }
        }
    }

    private void spoons(List<Slip> slips, Both both, KnownDensity known) {
        Unit tablespoon = Unit.ofVolume(household.cups().tablespoon(), "tbsp", "tbsp");
        Unit teaspoon = Unit.ofVolume(household.cups().teaspoon(), "tsp", "tsp");
        Unit typed = both.volume().unit();
        Unit other = typed.factor() == tablespoon.factor()
                ? teaspoon
                : typed.factor() == teaspoon.factor() ? tablespoon : typed;
        Amount changed = new Amount(both.volume().low(), both.volume().high(), other);
        if (other != typed && known.fits(both.mass(), (Volume) changed.middle())) {
            slips.add(new Slip(
                    "tablespoon and teaspoon changed places: %s would agree".formatted(words(changed)), changed));
        }
    }

    /** One digit of a whole number replaced: of the weight, as a weight or as the exact fluid measure; or of the volume. */
    private void digits(List<Slip> slips, Both both, KnownDensity known) {
        for (Amount weight : withOneDigitChanged(both.weight())) {
            Optional<Amount> fluid = fluidForWeight(weight, both.poured());
            if (fluid.isPresent()) {
                slips.add(new Slip(
                        "one digit: %s is %s".formatted(words(fluid.get()), words(both.volume())), both.volume()));
            } else if (known.fits((Mass) weight.middle(), both.poured())) {
                slips.add(new Slip("one digit: %s would agree".formatted(words(weight)), weight));
            }
        }
        for (Amount volume : withOneDigitChanged(both.volume())) {
            if (known.fits(both.mass(), (Volume) volume.middle())) {
                slips.add(new Slip("one digit: %s would agree".formatted(words(volume)), volume));
            }
        }
    }

    private static List<Amount> withOneDigitChanged(Amount amount) {
        double number = amount.low();
        List<Amount> changed = new ArrayList<>();
        if (amount.isRange() || number != Math.rint(number) || number >= LARGEST_DIGIT_CHANGE) {
            return changed;
        }
        for (int place = 1; place <= number; place *= 10) {
            int digit = (int) (number / place) % 10;
            for (int other = 0; other < 10; other++) {
                double value = number + (other - digit) * place;
                if (other != digit && value > 0) {
                    changed.add(new Amount(value, value, amount.unit()));
                }
            }
        }
        return changed;
    }

    private String words(Amount amount) {
        return household.typed(amount);
    }

    private static boolean isSame(double one, double other) {
        return Math.abs(one / other - 1) < SAME;
    }
}
