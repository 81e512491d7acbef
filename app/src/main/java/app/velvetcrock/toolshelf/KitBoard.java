package app.velvetcrock.toolshelf;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.charge.Levels;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.heat.SourceLearned;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.draw.SourcePicture;
import app.velvetcrock.kit.KitShelf;
import app.velvetcrock.stillroom.House;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The household's vessels on one board, all to one scale, with what stands in them. */
final class KitBoard {

    private static final double PER_MILLIMETRE = 0.62;

    /** More of one size than these are told, not drawn. */
    private static final int DRAWN = 6;

    private static final JarDrawing.Look EMPTY = new JarDrawing.Look("none", "none", "herb-leaf");
    private static final Levels NOTHING = new Levels(Length.ofMillimetres(0), Length.ofMillimetres(0));

    private KitBoard() {}

    /** A batch in a vessel. */
    record Standing(UUID batch, String name, String word, @Nullable JarDrawing jar, @Nullable Pot pot) {}

    /**
     * A pot or press, which has no neck.
     *
     * @param level how high what stands in it reaches, px; nothing where it is empty
     */
    record Pot(double width, double height, double level, String oil) {

        static Pot of(Vessel vessel, double share, String oil) {
            double height = vessel.height().millimetres() * PER_MILLIMETRE;
            return new Pot(vessel.innerWidth().millimetres() * PER_MILLIMETRE, height, height * share, oil);
        }
    }

    /**
     * Vessels of one size.
     *
     * @param words what it holds and how wide it is
     * @param free how many of them are free
     * @param beyond how many more stand in such a one than are drawn; empty where all are
     * @param jar one that is empty; absent where all are in use, and of pots
     */
    record Size(
            OfJar of,
            String words,
            String free,
            List<Standing> standing,
            String beyond,
            @Nullable JarDrawing jar,
            @Nullable Pot pot) {

        /** Tells whether it can be taken out of the kit here: jars are in the Stores. */
        public boolean isKit() {
            return of.kit();
        }
    }

    /** Jars and pots, the smallest first. */
    static List<Size> of(List<OfJar> jars, List<OfJar> pots, List<BatchSheet> standing, House house) {
        return Stream.concat(jars.stream(), pots.stream())
                .sorted(Comparator.comparing((OfJar jar) -> jar.kit())
                        .thenComparing(jar -> jar.vessel().capacity().millilitres()))
                .map(jar -> size(
                        jar,
                        standing.stream()
                                .filter(sheet -> sheet.stand().id().equals(jar.id()))
                                .map(sheet -> standing(sheet, jar))
                                .toList(),
                        house))
                .toList();
    }

    private static Size size(OfJar jar, List<Standing> standing, House house) {
        int free = Math.max(0, jar.pieces() - standing.size());
        boolean empty = free > 0;
        return new Size(
                jar,
                "%s, %s across%s, %s high"
                        .formatted(
                                house.volume(jar.vessel().capacity()),
                                house.length(jar.vessel().innerWidth()),
                                jar.glass().usualWidth() ? " (usual for its size, not measured)" : "",
                                house.length(jar.vessel().height())),
                standing.isEmpty()
                        ? jar.pieces() == 1 ? "free" : "all %d free".formatted(jar.pieces())
                        : "%d of %d free".formatted(free, jar.pieces()),
                standing.stream().limit(DRAWN).toList(),
                standing.size() > DRAWN ? "and %d more, on the Shelf".formatted(standing.size() - DRAWN) : "",
                empty && !jar.kit() ? JarDrawing.of(jar.vessel(), NOTHING, EMPTY, PER_MILLIMETRE) : null,
                empty && jar.kit() ? Pot.of(jar.vessel(), 0, "none") : null);
    }

    private static Standing standing(BatchSheet sheet, OfJar jar) {
        JarDrawing drawn = sheet.drawing(PER_MILLIMETRE);
        double share = drawn.oilHeight() / (jar.vessel().height().millimetres() * PER_MILLIMETRE);
        return new Standing(
                sheet.id(),
                sheet.name(),
                sheet.tagWord(),
                jar.kit() ? null : drawn,
                jar.kit()
                        ? Pot.of(jar.vessel(), Math.min(1, share), drawn.look().oil())
                        : null);
    }

    /** A piece of kit; {@code heats} null of what is not known to. */
    record Piece(
            UUID id,
            String name,
            String called,
            String kind,
            String holds,
            String settings,
            @Nullable SourcePicture heats) {}

    /** @param learned what it is known to do as a source of heat, by its settings */
    static Piece piece(KitShelf.OfKit owned, List<SourceLearned> learned, House house) {
        KitShelf.NewKit kit = owned.kit();
        String inside = kit.height()
                .flatMap(height ->
                        kit.width().map(width -> ", %s × %s".formatted(house.length(width), house.length(height))))
                .orElse("");
        return new Piece(
                owned.id(),
                kit.name(),
                kit.pieces() > 1 ? "%s × %d".formatted(kit.name(), kit.pieces()) : kit.name(),
                kit.kind().word(),
                kit.capacity().map(holds -> house.volume(holds) + inside).orElse(""),
                kit.settings(),
                learned.isEmpty() ? null : SourcePicture.of(learned, house.wording()));
    }
}
