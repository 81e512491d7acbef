package app.velvetcrock.core.caution;

import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import java.util.Set;
import java.util.TreeSet;

/** What a thing bears of the table of who it is for: its own traits, and those that every one of its kind has. */
public final class Bearing {

    static final String ANY_HERB = "any-herb";
    /** Of every fat, oil and wax. */
    public static final String ANY_FAT = "any-fat";

    public static final String NOT_EDIBLE = "not-edible";
    static final String OTHER_PART = "other-part";
    static final String MOIST = "moist";
    static final String SPIRIT = "spirit";
    static final String WATERY = "watery";
    static final String POWDER = "powder";
    static final String ANTIOXIDANT = "antioxidant";

    /** What a household named itself, of which nothing is known. */
    public static final String UNKNOWN_HERB = "unknown-herb";

    public static final String UNKNOWN_CARRIER = "unknown-carrier";

    private Bearing() {}

    /** Of a herb in an oil: edible or not by its part, moist while it is. */
    public static Set<String> herb(HerbKind kind, Part part, Moisture moisture) {
        Set<String> traits = herb(kind);
        if (part != kind.part()) {
            traits.add(OTHER_PART);
            traits.remove(Cautions.EDIBLE);
        }
        if (!moisture.isDried()) {
            traits.add(MOIST);
        }
        return traits;
    }

    /** Of a herb of which nothing but its kind is known. */
    public static Set<String> herb(HerbKind kind) {
        return herbs(kind.traits());
    }

    /** Of herbs that were in an oil before, by all their traits together; edible only where every one is. */
    public static Set<String> herbs(Set<String> all) {
        Set<String> traits = new TreeSet<>(all);
        traits.add(ANY_HERB);
        if (!traits.contains(Cautions.EDIBLE)) {
            traits.add(NOT_EDIBLE);
        }
        return traits;
    }

    public static Set<String> carrier(CarrierKind kind) {
        Set<String> traits = new TreeSet<>(kind.traits());
        traits.add(ANY_FAT);
        return traits;
    }

    /** Of a wax, or of what is stirred in. */
    public static Set<String> supply(SupplyKind kind) {
        Set<String> traits = new TreeSet<>(kind.traits());
        if (kind.type() == SupplyType.WAX) {
            traits.add(ANY_FAT);
        } else if (kind.hasStrength()) {
            traits.add(SPIRIT);
        } else if (kind.type() == SupplyType.ANTIOXIDANT) {
            traits.add(ANTIOXIDANT);
        } else if (kind.type() == SupplyType.ESSENTIAL_OIL) {
            traits.add(ForWhom.SUM);
            if (kind.dermalMost().isEmpty() && !traits.contains(SupplyKind.SUM_ONLY)) {
                traits.add(ForWhom.NO_FIGURE);
            }
        } else if (kind.watery() && !traits.contains("honey") && !traits.contains("glycerine")) {
            traits.add(WATERY);
        }
        return traits;
    }

    /** Of a charge that was moistened with spirit, until none is left. */
    public static Set<String> spirit() {
        return Set.of(SPIRIT);
    }
}
