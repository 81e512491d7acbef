package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Worded;

/** What a firmness feels like; bands are half-open, lower end in [E] (craft: making). */
public enum FirmnessBand implements Worded {
    THICK_OIL("thick oil", 0),
    SOFT_OINTMENT("soft ointment", 6),
    SOFT_BALM("soft balm", 10),
    SALVE("salve", 13),
    FIRM_SALVE("firm tin salve", 17),
    STICK("stick, lip balm", 21),
    BAR("bar", 28),
    HARD_BAR("hard bar", 37),
    BEYOND("harder than any bar", 50);

    private final String word;
    private final double startInclusive;

    FirmnessBand(String word, double startInclusive) {
        this.word = word;
        this.startInclusive = startInclusive;
    }

    @Override
    public String word() {
        return word;
    }

    public double startInclusive() {
        return startInclusive;
    }

    /** A firmness with the name of its band: "firmness 19, firm tin salve". */
    public static String words(double firmness) {
        return "firmness %s, %s"
                .formatted(Decimals.upTo(firmness, 1), of(firmness).word());
    }

    /** The band a firmness lies in. */
    public static FirmnessBand of(double firmness) {
        FirmnessBand found = THICK_OIL;
        for (FirmnessBand band : values()) {
            if (firmness >= band.startInclusive) {
                found = band;
            }
        }
        return found;
    }
}
