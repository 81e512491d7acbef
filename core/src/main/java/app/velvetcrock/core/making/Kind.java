package app.velvetcrock.core.making;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.materia.DataFile;
import app.velvetcrock.core.materia.Row;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.text.Linear;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A kind of thing that is made, with the formula to start from [E] (craft: making, kinds).
 *
 * @param name as it follows "of": "firm tin salve"
 * @param firmness F it comes to; what its wax is reckoned for
 * @param wax true where wax sets it
 * @param others butters and the like, by their key and share of the whole; the rest is oil
 * @param whipped true where air is beaten in
 * @param noEssentialOil true where none may go in
 */
public record Kind(
        String key,
        String name,
        double firmness,
        boolean wax,
        Map<String, Double> others,
        boolean whipped,
        boolean noEssentialOil,
        String note) {

    private static final double PERCENT = 100;

    public Kind {
        others = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(others));
    }

    /** [E] Millilitres of fat in a pad of 5 by 5 cm and twelve layers; a session of massage takes from so much to so much. */
    private static final double A_PAD = 6;

    private static final int SESSION_LEAST = 10;
    private static final int SESSION_MOST = 30;

    /** Whom it is judged for: whoever it was said to be for, and a nursling's mouth where that is what meets it (craft: cautions). */
    public Set<Use> judgedFor(Use use) {
        return noEssentialOil ? EnumSet.of(use, Use.NURSLING) : EnumSet.of(use);
    }

    /** [E] How many days it keeps in the refrigerator, whatever is in it; absent where it keeps as long as that. */
    public Optional<Integer> daysCold() {
        return key.equals("compress-pads") ? Optional.of(PADS_DAYS) : Optional.empty();
    }

    private static final int PADS_DAYS = 30;

    /** Whether it is turned out of a mould, to the brim of which it is filled. */
    public boolean isMoulded() {
        return key.endsWith("bar");
    }

    /** What so much of it makes, where it is not told by containers: pads, sessions; absent for all else. */
    public Optional<String> makes(Volume volume) {
        int pads = (int) Math.floor(volume.millilitres() / A_PAD + 1e-9);
        return switch (key) {
            case "compress-pads" -> Optional.of("about %d pads of 5 by 5 cm, 6 mL each".formatted(pads));
            case "massage-blend" -> Optional.of("%d to %d sessions of %d to %d mL"
                    .formatted(
                            (int) Math.floor(volume.millilitres() / SESSION_MOST),
                            (int) Math.floor(volume.millilitres() / SESSION_LEAST),
                            SESSION_LEAST,
                            SESSION_MOST));
            default -> Optional.empty();
        };
    }

    /** Reads the shipped kinds, in the order they are offered; a bad line stops with file, line and text. */
    public static List<Kind> shipped() {
        return DataFile.read(Kind.class, "kinds.csv", Kind::from);
    }

    private static Kind from(Row row) {
        Map<String, Double> others = new LinkedHashMap<>();
        row.list("others").forEach(part -> {
            String[] both = Linear.split(part, ":");
            others.put(both[0], Double.parseDouble(both[1]) / PERCENT);
        });
        Set<String> traits = row.set("traits");
        return new Kind(
                row.text("key"),
                row.text("name"),
                row.number("firmness"),
                traits.contains("wax"),
                others,
                traits.contains("whipped"),
                traits.contains("no-essential-oil"),
                row.optional("note").orElse(""));
    }
}
