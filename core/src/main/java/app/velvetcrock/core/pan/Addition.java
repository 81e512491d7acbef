package app.velvetcrock.core.pan;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Worded;
import java.util.Locale;
import java.util.Optional;

/**
 * Something that is stirred into a melt, or melted with its wax, in a small amount (craft: making).
 *
 * @param key in the catalogue
 * @param drops how many, where it is counted so
 */
public record Addition(String key, String name, Mass mass, Optional<Double> drops, When when) {

    /** So many times as much of it. */
    public Addition times(double factor) {
        return new Addition(key, name, mass.times(factor), drops.map(count -> count * factor), when);
    }

    /** Its name within a sentence: "lavender", but "vitamin E". */
    public String spoken() {
        return spoken(name);
    }

    /** A name of the catalogue within a sentence: its first letter small, unless it is one letter of several that are not. */
    public static String spoken(String name) {
        return name.isEmpty() ? name : name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }

    /** When it goes in. */
    public enum When implements Worded {
        WITH_THE_WAX("with the wax, uncovered"),
        BELOW_70("below 70 °C"),
        WITH_THE_DROPS("as soon as it may be poured, stirred 30 seconds"),
        HONEY("when it begins to thicken, stirred until it does"),
        AT_POURING("at pouring, stirred: it sinks");

        private final String word;

        When(String word) {
            this.word = word;
        }

        @Override
        public String word() {
            return word;
        }

        /** By what is known of a thing: vitamin E and rosemary, drops, honey, tinctures, all else at pouring. */
        public static When of(app.velvetcrock.core.materia.SupplyKind kind) {
            return switch (kind.type()) {
                case ANTIOXIDANT -> BELOW_70;
                case ESSENTIAL_OIL -> WITH_THE_DROPS;
                case SPIRIT -> WITH_THE_WAX;
                case WAX -> AT_POURING;
                case ADDITION -> kind.key().equals("honey")
                        ? HONEY
                        : kind.key().equals("tincture") || kind.key().equals("lanolin") ? WITH_THE_WAX : AT_POURING;
            };
        }
    }
}
