package app.velvetcrock.cupboard;

import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.keeping.KeepUntil;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.working.Working;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.LotStory;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A finished oil's page and its label, worded before they are drawn.
 *
 * @param isGone whether nothing of it is left
 * @param isHeld whether something wrong with it holds it back
 * @param mark why its batch was made against the rule of water; null where it was not
 * @param keep the sum its date came from; null where there is none
 * @param changed what its sum came to where its date is another since; empty where it is the same
 * @param ruin the cause of what is wrong with it, for throwing it out; empty where nothing is
 */
record OilPage(
        String head,
        String kept,
        boolean isGone,
        boolean isFood,
        boolean isHeld,
        boolean canDraw,
        boolean canBottle,
        boolean canSniff,
        @Nullable String mark,
        String left,
        String ofWhole,
        String till,
        String word,
        @Nullable Working keep,
        String changed,
        String ruin,
        List<Line> story,
        Label label) {

    /** A movement of its story; {@code undo} null where it cannot be taken back. */
    public record Line(String when, String why, String amount, @Nullable UUID undo, String takeBack) {}

    /** The label of a bottle of it; {@code strong} are the lines that stand out. */
    public record Label(
            String title,
            List<Herb> herbs,
            String carrier,
            String amount,
            String made,
            List<String> plain,
            List<String> strong,
            String cautions) {}

    public record Herb(String botanical, String state) {}

    static OilPage of(OilOnShelf shown, @Nullable KeepUntil keep, LotStory story, House house) {
        Stock.OfOil oil = shown.oil();
        boolean gone = oil.left().grams() == 0;
        boolean food = shown.batch().plan().isMoistFood();
        return new OilPage(
                "%s, batch %d".formatted(oil.name(), shown.batch().number()),
                oil.bottle()
                                .map(bottle -> "%s in %s"
                                        .formatted(
                                                house.volume(bottle.size()),
                                                bottle.glass().word()))
                                .orElse("As it was strained, not bottled yet")
                        + ", " + oil.place().word(),
                gone,
                food,
                shown.isHeld(Held.GIVE),
                !gone,
                !gone && oil.bottle().isEmpty(),
                !gone && !food && !shown.isHeld(Held.DRAW),
                shown.batch().plan().mark().orElse(null),
                house.volume(oil.volumeLeft()),
                "left of " + house.volume(oil.density().volumeOf(oil.atFirst())),
                "use by " + house.date(oil.useBy()),
                (gone ? "" : shown.word())
                        + (keep == null
                                ? ""
                                : (gone ? "" : "; ") + keep.limitedBy().words()),
                keep == null ? null : keep.working(),
                keep == null || keep.date().equals(oil.useBy())
                        ? ""
                        : "Its sum came to %s; what changed it since stands in the batch's log."
                                .formatted(house.date(keep.date())),
                shown.conditions().isEmpty()
                        ? ""
                        : shown.conditions().get(0).kind().ruin().name(),
                story.part(null).stream()
                        .map(line -> line(line, oil, story, house))
                        .toList(),
                label(shown, house));
    }

    private static Line line(LotStory.Line line, Stock.OfOil oil, LotStory story, House house) {
        Volume volume = oil.density().volumeOf(story.mass(line.amount()));
        return new Line(
                house.moment(line.happenedAt()),
                line.why(),
                (line.in() ? "+ " : "− ") + house.volume(volume),
                line.canTakeBack() ? line.id() : null,
                "Take back: %s %s".formatted(line.why(), house.volume(volume)));
    }

    static Label label(OilOnShelf shown, House house) {
        Stock.OfOil oil = shown.oil();
        PlanRequest request = shown.batch().plan().request();
        boolean food = shown.batch().plan().isMoistFood();
        List<String> plain = new ArrayList<>();
        List<String> strong = new ArrayList<>();
        if (food) {
            strong.add(
                    ("Food. Refrigerator, 4 °C (39 °F) or colder. Use or freeze by %s, four days from herb meeting oil. "
                                    + "Not to be given or sold.")
                            .formatted(house.date(oil.useBy())));
        } else if (request.circumstances().use() == Use.FOOD) {
            strong.add("Food, of dried herb. Keep it in the refrigerator, use it by %s, never taste it to judge."
                    .formatted(house.date(oil.useBy())));
        } else {
            plain.add("Keep %s. Smell before use. For skin only, away from children."
                    .formatted(oil.place().word()));
        }
        request.carrier().first().ifPresent(first -> plain.add("Infused a second time: " + first.name()));
        if (shown.batch().log().isByHand()) {
            strong.add("By the handful: not for food, not for sale.");
        }
        if (shown.batch().plan().mark().isPresent()) {
            strong.add("Made against the rule of water.");
        }
        return new Label(
                request.herbNames() + " oil",
                request.herbs().stream()
                        .map(herb -> new Herb(
                                herb.kind().botanical(),
                                ", %s %s"
                                        .formatted(
                                                herb.moisture().word(),
                                                herb.texture().part().word())))
                        .toList(),
                request.carriers().words(),
                "%s, batch %d, %s"
                        .formatted(
                                house.volume(shown.net()),
                                shown.batch().number(),
                                house.settings().name()),
                shown.batch().course().strainedOn().map(house::date).orElse(""),
                plain,
                strong,
                shown.batch().plan().cautions().stream()
                        .filter(Caution::onLabel)
                        .map(caution -> caution.head() + ".")
                        .collect(Collectors.joining(" ")));
    }
}
