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

    /** The same with other traits. */
    public HerbKind withTraits(Set<String> others) {
        return new HerbKind(key, common, botanical, synonyms, part, usualRatio, tint, others);
    }
}
