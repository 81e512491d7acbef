package app.velvetcrock.core.making;

import app.velvetcrock.core.text.Linear;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * How firm something should set, as people say it: a number of the scale ("18", "firmness 18"), a name of its bands ("firm tin": its
 * middle), or more or less than it is ("a little firmer", two of the scale) (craft: making, wanted firmness).
 */
public final class FirmnessWish {

    /** [E] What "a little" is on the scale (craft: making). */
    private static final double A_LITTLE = 2;

    /** "Much" is twice as much [E]. */
    private static final double MUCH = 2;

    private static final int LONGEST = 40;

    private record Name(String word, FirmnessBand band) {}

    private static final List<Name> NAMES = List.of(
            new Name("thick oil", FirmnessBand.THICK_OIL),
            new Name("soft ointment", FirmnessBand.SOFT_OINTMENT),
            new Name("ointment", FirmnessBand.SOFT_OINTMENT),
            new Name("soft balm", FirmnessBand.SOFT_BALM),
            new Name("soft", FirmnessBand.SOFT_OINTMENT),
            new Name("balm", FirmnessBand.SOFT_BALM),
            new Name("firm tin salve", FirmnessBand.FIRM_SALVE),
            new Name("firm salve", FirmnessBand.FIRM_SALVE),
            new Name("firm tin", FirmnessBand.FIRM_SALVE),
            new Name("tin salve", FirmnessBand.FIRM_SALVE),
            new Name("firm", FirmnessBand.FIRM_SALVE),
            new Name("salve", FirmnessBand.SALVE),
            new Name("medium", FirmnessBand.SALVE),
            new Name("lip balm", FirmnessBand.STICK),
            new Name("lip", FirmnessBand.STICK),
            new Name("stick", FirmnessBand.STICK),
            new Name("hard bar", FirmnessBand.HARD_BAR),
            new Name("bar", FirmnessBand.BAR),
            new Name("hard", FirmnessBand.BAR));

    private FirmnessWish() {}

    /** What one of its names is called where a firmness is asked for. */
    public static final String HINT = "18, firm tin, or a little firmer";

    /**
     * Reads it.
     *
     * @param now how firm it is, or would be, which "firmer" and "softer" go by
     * @return 0 to 50 of the scale; empty for anything else
     */
    public static Optional<Double> read(String typed, double now) {
        String text = Linear.every(typed.strip().toLowerCase(Locale.ROOT), "\\s+", " ");
        if (text.length() > LONGEST) {
            return Optional.empty();
        }
        String said = Linear.every(text, "^(firmness|about|around|like an?|an?) ", "");
        if (Linear.matches(said, "\\d{1,2}([.,]\\d{1,2})?")) {
            return within(Double.parseDouble(said.replace(',', '.')));
        }
        if (Linear.matches(
                text,
                "(a (little|bit|touch) |a little bit |slightly |somewhat |much |a lot )?(firmer|harder|softer)")) {
            double step = Linear.matches(text, "(much|a lot) .*") ? MUCH * A_LITTLE : A_LITTLE;
            return within(Math.max(0, text.endsWith("softer") ? now - step : now + step));
        }
        return NAMES.stream()
                .filter(name -> said.equals(name.word()))
                .findFirst()
                .map(name -> middle(name.band()));
    }

    private static Optional<Double> within(double value) {
        return value <= Firmness.HARDEST ? Optional.of(value) : Optional.empty();
    }

    /** The middle of a band: of salve 15. */
    static double middle(FirmnessBand band) {
        FirmnessBand[] all = FirmnessBand.values();
        double end = band.ordinal() + 1 < all.length ? all[band.ordinal() + 1].startInclusive() : Firmness.HARDEST;
        return (band.startInclusive() + end) / 2;
    }
}
