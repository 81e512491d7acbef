package app.velvetcrock.core.materia;

import java.util.List;
import java.util.Set;

/**
 * A kind of herb as the catalogue knows it.
 *
 * @param key short stable name in stored data
 * @param common common name, capitalised as a label shows it
 * @param usualRatio millilitres of oil usual for a gram of it dried: 5, or 10 for airy flowers
 * @param tint colour it gives an oil, as six hex digits after #
 * @param traits what cautions hang on, such as {@code daisy}
 */
public record HerbKind(
        String key,
        String common,
        String botanical,
        List<String> synonyms,
        Part part,
        double usualRatio,
        String tint,
        Set<String> traits) {

    public HerbKind {
        synonyms = List.copyOf(synonyms);
        traits = Set.copyOf(traits);
    }

    /** [E] Airy flowers take this much at most once they are cut and sifted, and no more than any herb once ground (craft: ratios). */
    private static final double MOST_CUT = 7;

    private static final double MOST_FINE = 5;

    /** Millilitres of oil usual for a gram of it dried, at a cut: what airy flowers take more is for them whole or crumbled. */
    public double usualRatio(Cut cut) {
        double most = cut.isFine() ? MOST_FINE : cut == Cut.CUT_AND_SIFTED ? MOST_CUT : usualRatio;
        return Math.min(usualRatio, most);
    }

    /** The same with other traits. */
    public HerbKind withTraits(Set<String> others) {
        return new HerbKind(key, common, botanical, synonyms, part, usualRatio, tint, others);
    }
}
