package app.velvetcrock.core.making;

import app.velvetcrock.core.making.Formula.Part;
import app.velvetcrock.core.making.Formula.Stuff;
import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Mass;
import java.util.Optional;

/**
 * What to add to a melt after a spoon test, so that it sets as wanted (craft: making, corrections).
 *
 * <p>With S = Σ eq·mass, t the whole and f = target/100: wax of equivalent e to add is (f·t − S)/(e − f), oil S/f − t.
 */
public record Correction(Part add, Firmness then) {

    private static final double PERCENT = 100;

    /** F is shown to a tenth; nearer than that nothing is to be done. */
    private static final double NEAR = 0.05;

    /**
     * What brings a melt to a firmness.
     *
     * @param wax to make it firmer with
     * @param oil to make it softer with, which sets like nothing, or like the fats it was infused in
     * @return absent where it is there already, or where that wax sets too softly ever to reach it
     */
    public static Optional<Correction> of(Formula melt, double target, Stuff wax, Stuff oil) {
        Check.range("firmness", target, 0.1, Firmness.HARDEST, "on the scale");
        double now = melt.firmness().value();
        if (Math.abs(now - target) < NEAR) {
            return Optional.empty();
        }
        double f = target / PERCENT;
        double whole = melt.total().grams();
        if (now > target) {
            return oil.equivalent() >= f
                    ? Optional.empty()
                    : Optional.of(
                            of(melt, oil.of(Mass.ofGrams((melt.setting() - f * whole) / (f - oil.equivalent())))));
        }
        return wax.equivalent() <= f
                ? Optional.empty()
                : Optional.of(of(melt, wax.of(Mass.ofGrams((f * whole - melt.setting()) / (wax.equivalent() - f)))));
    }

    private static Correction of(Formula melt, Part add) {
        return new Correction(add, melt.with(add).firmness());
    }

    /** By its own first wax, beeswax where it has none, or its own first oil; absent where it is there, nothing can, or no oil is in it. */
    public static Optional<Correction> of(Formula formula, double target) {
        Formula.Stuff wax = formula.parts().stream()
                .map(Formula.Part::stuff)
                .filter(stuff -> stuff.role() == Formula.Role.WAX)
                .findFirst()
                .orElse(new Formula.Stuff(Setting.BEESWAX, "Beeswax", Formula.Role.WAX, 1));
        return formula.parts().stream()
                .map(Formula.Part::stuff)
                .filter(stuff -> stuff.role() == Formula.Role.OIL)
                .findFirst()
                .flatMap(oil -> of(formula, Math.max(0.1, target), wax, oil));
    }
}
