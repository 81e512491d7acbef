package app.velvetcrock.core.recipe;

import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Density;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Something a recipe or a converter can speak of: its names, and what a volume of it weighs.
 *
 * @param names lower case; common, botanical and synonyms
 * @param known what a cup of it weighs, and how surely
 */
public record Thing(
        String key, Role role, String name, List<String> names, KnownDensity known, Optional<HerbKind> herb) {

    /** What a thing is in a mixture. */
    public enum Role {
        HERB("herb"),
        OIL("oil"),
        BUTTER("butter"),
        WAX("wax"),
        ESSENTIAL_OIL("essential oil"),
        SPIRIT("spirit"),
        ADDITION("addition"),
        WATERY("watery");

        private final String word;

        Role(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }

        /** Whether it is melted together with the oil. */
        public boolean melts() {
            return this == OIL || this == BUTTER || this == WAX;
        }
    }

    public Thing {
        names = List.copyOf(names);
    }

    /** What carriers are called besides. */
    private static final Map<String, List<String>> OTHERWISE = Map.of(
            "rapeseed", List.of("canola", "colza", "rape seed"),
            "olive", List.of("evoo"),
            "soya", List.of("soybean", "soy bean"),
            "peanut", List.of("groundnut", "arachis"),
            "mct", List.of("fractionated coconut"));

    /** A herb as it usually comes: dried, cut and sifted. */
    public static Thing of(HerbKind herb, Materia materia) {
        return herb(herb, herb.part(), Cut.CUT_AND_SIFTED, Moisture.DRIED, materia);
    }

    /** A herb in a given state, which decides what a cup of it weighs. */
    public static Thing herb(HerbKind herb, Part part, Cut cut, Moisture moisture, Materia materia) {
        return new Thing(
                herb.key(),
                Role.HERB,
                herb.common(),
                names(herb.common(), herb.botanical(), herb.synonyms()),
                KnownDensity.ofHerb(materia.texture(part, cut).bulkIn(moisture)),
                Optional.of(herb));
    }

    public static Thing of(CarrierKind carrier) {
        boolean solid = carrier.melting().isPresent();
        return new Thing(
                carrier.key(),
                solid ? Role.BUTTER : Role.OIL,
                carrier.common(),
                names(carrier.common(), "", OTHERWISE.getOrDefault(carrier.key(), List.of())),
                KnownDensity.ofOil(carrier.density()),
                Optional.empty());
    }

    public static Thing of(SupplyKind supply) {
        Role role =
                switch (supply.type()) {
                    case WAX -> Role.WAX;
                    case ESSENTIAL_OIL -> Role.ESSENTIAL_OIL;
                    case SPIRIT -> Role.SPIRIT;
                    case ANTIOXIDANT -> Role.ADDITION;
                    case ADDITION -> supply.watery() ? Role.WATERY : Role.ADDITION;
                };
        return new Thing(
                supply.key(),
                role,
                supply.common(),
                names(supply.common(), supply.botanical(), supply.synonyms()),
                supply.known(),
                Optional.empty());
    }

    public Density density() {
        return known.density();
    }

    /** Whether a bare ounce of it is a weight, or may be a fluid ounce. */
    public Expect expect() {
        return role == Role.HERB || role == Role.WAX || role == Role.BUTTER ? Expect.SOLID : Expect.LIQUID;
    }

    private static List<String> names(String common, String botanical, List<String> synonyms) {
        List<String> names = new ArrayList<>(List.of(common.toLowerCase(Locale.ROOT)));
        if (!botanical.isBlank()) {
            names.add(botanical.toLowerCase(Locale.ROOT));
        }
        synonyms.forEach(synonym -> names.add(synonym.toLowerCase(Locale.ROOT)));
        return names;
    }
}
