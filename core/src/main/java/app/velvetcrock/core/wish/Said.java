package app.velvetcrock.core.wish;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.text.Linear;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What is said along with a name: how wet a herb is, how fine, which part of it; for whom something is. */
public final class Said {

    private static final Map<String, Moisture> MOISTURE = Map.of(
            "fresh",
            Moisture.FRESH,
            "wet",
            Moisture.FRESH,
            "wilted",
            Moisture.WILTED,
            "dried",
            Moisture.DRIED,
            "dry",
            Moisture.DRIED);
    private static final List<Map.Entry<String, Cut>> CUT = List.of(
            Map.entry("powder(ed)?", Cut.POWDER),
            Map.entry("ground", Cut.GROUND),
            Map.entry("(cut|chopped|sifted)", Cut.CUT_AND_SIFTED),
            Map.entry("(crumbled|rubbed|crushed)", Cut.CRUMBLED),
            Map.entry("whole", Cut.WHOLE));
    private static final List<Map.Entry<String, Part>> PARTS = List.of(
            Map.entry("lea(f|ves)", Part.LEAF),
            Map.entry("(heads?|flowers?|blossoms?)", Part.FLOWER),
            Map.entry("petals?", Part.PETALS),
            Map.entry("tops", Part.TOPS),
            Map.entry("roots?", Part.ROOT),
            Map.entry("buds?", Part.BUD),
            Map.entry("(needles?|tips)", Part.NEEDLES),
            Map.entry("bark", Part.BARK),
            Map.entry("berr(y|ies)", Part.BERRY),
            Map.entry("seeds?", Part.SEED));
    private static final List<Map.Entry<String, Use>> WHOM = List.of(
            Map.entry("(newborn|new-born)", Use.NEWBORN),
            Map.entry("(baby|babies|baby's|nappy|infants?)", Use.BABY),
            Map.entry("(toddlers?)", Use.CHILD_2_5),
            Map.entry("(child|children|kids?|schoolchild)", Use.CHILD_2_5),
            Map.entry("(pregnant|pregnancy)", Use.PREGNANCY),
            Map.entry("(nipples?|nursing|breastfeeding)", Use.NURSLING),
            Map.entry("(dogs?|cats?|horses?|pets?|paws?|animals?)", Use.ANIMALS),
            Map.entry("(intimate|condoms?|latex)", Use.INTIMATE),
            Map.entry("(food|salad|cooking|kitchen|eat)", Use.FOOD),
            Map.entry("(lips?|mouth)", Use.LIPS),
            Map.entry("(face|cheeks?)", Use.FACE),
            Map.entry("(hair|scalp|beard)", Use.HAIR),
            Map.entry("massage", Use.MASSAGE),
            Map.entry("hands?", Use.HANDS));

    private Said() {}

    public static Optional<Moisture> moisture(String said) {
        return MOISTURE.entrySet().stream()
                .filter(one -> has(said, one.getKey()))
                .map(Map.Entry::getValue)
                .findFirst();
    }

    public static Optional<Cut> cut(String said) {
        return first(said, CUT);
    }

    public static Optional<Part> part(String said) {
        return first(said, PARTS);
    }

    public static Optional<Use> forWhom(String said) {
        return first(said, WHOM);
    }

    private static <T> Optional<T> first(String said, List<Map.Entry<String, T>> words) {
        return words.stream()
                .filter(one -> has(said, one.getKey()))
                .map(Map.Entry::getValue)
                .findFirst();
    }

    private static boolean has(String said, String word) {
        return Linear.matches(said.toLowerCase(Locale.ROOT), "(?s).*\\b" + word + "\\b.*");
    }
}
