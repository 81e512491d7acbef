package app.velvetcrock.core.measure;

import java.util.Optional;

/**
 * Whose cups and spoons a household means.
 *
 * <p>Sizes in mL: US and imperial from NIST SP 811; metric cup 250, spoons 15 and 5, Australian tablespoon 20. An imperial
 * cup is ten imperial fluid ounces; imperial households cook with metric spoons today, so those are used.
 */
public enum CupSystem implements Worded {
    US("US", 236.588, 29.5735, 14.7868, 4.92892, 473.176, 946.353),
    METRIC("metric", 250, 29.5735, 15, 5, 0, 0),
    AUSTRALIAN("Australian", 250, 28.4131, 20, 5, 0, 0),
    IMPERIAL("imperial", 284.131, 28.4131, 15, 5, 568.261, 1136.52);

    private final String word;
    private final double cup;
    private final double fluidOunce;
    private final double tablespoon;
    private final double teaspoon;
    private final double pint;
    private final double quart;

    CupSystem(
            String word, double cup, double fluidOunce, double tablespoon, double teaspoon, double pint, double quart) {
        this.word = word;
        this.cup = cup;
        this.fluidOunce = fluidOunce;
        this.tablespoon = tablespoon;
        this.teaspoon = teaspoon;
        this.pint = pint;
        this.quart = quart;
    }

    @Override
    public String word() {
        return word;
    }

    public Volume cup() {
        return Volume.ofMillilitres(cup);
    }

    public Volume fluidOunce() {
        return Volume.ofMillilitres(fluidOunce);
    }

    public Volume tablespoon() {
        return Volume.ofMillilitres(tablespoon);
    }

    public Volume teaspoon() {
        return Volume.ofMillilitres(teaspoon);
    }

    /** The pint, absent where the household's cups do not settle which pint is meant. */
    public Optional<Volume> pint() {
        return size(pint);
    }

    public Optional<Volume> quart() {
        return size(quart);
    }

    private static Optional<Volume> size(double millilitres) {
        return millilitres > 0 ? Optional.of(Volume.ofMillilitres(millilitres)) : Optional.empty();
    }
}
