package app.velvetcrock.cupboard;

import app.velvetcrock.core.label.Ingredients;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Stock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A made thing as the Cupboard shows it, worded.
 *
 * @param shape "tin", "bar" or "pan", by which it is drawn
 * @param word how near its day is
 * @param mark "soon" or "past"; empty while there is time
 * @param back why it is kept back; null where it is not
 */
record GoodOnShelf(
        Stock.OfGood good,
        String amount,
        String each,
        String till,
        String word,
        String mark,
        String shape,
        @Nullable String back) {

    private static final int SOON = 30;

    static GoodOnShelf of(Stock.OfGood good, LocalDate today, House house) {
        long days = ChronoUnit.DAYS.between(today, good.useBy());
        boolean rest = good.kind().equals(Goods.LEFT);
        boolean bar = good.kind().endsWith("bar");
        return new GoodOnShelf(
                good,
                good.inPieces() ? "%d × %s".formatted(good.left(), house.mass(good.each())) : house.mass(good.mass()),
                good.inPieces() ? house.mass(good.each()) + " each" : "to be remelted",
                "till " + house.date(good.useBy()),
                days < 0
                        ? "past its day"
                        : days == 0
                                ? "its last day"
                                : days <= SOON
                                        ? "use first: %s".formatted(house.days(days))
                                        : house.days(days) + " left",
                days < 0 ? "past" : days <= SOON ? "soon" : "",
                rest ? "pan" : bar ? "bar" : "tin",
                good.keptBack().map(why -> "Neither given nor sold: " + why).orElse(null));
    }

    public String aria() {
        return "%s: %s, %s, %s".formatted(good.name(), amount, till, word);
    }

    /**
     * A label of one, worded.
     *
     * @param contains allergens; empty where none of those that are named is in it
     */
    record Label(
            String title,
            String kind,
            String in,
            String contains,
            String net,
            String made,
            String till,
            String cautions,
            String batch) {

        /** {@code called}: what stands at its head. */
        static Label of(
                String called, GoodOnShelf shelf, int number, MakingPlan plan, List<Ingredients.One> all, Dated dated) {
            double grams = shelf.good().inPieces()
                    ? shelf.good().each().grams()
                    : shelf.good().mass().grams();
            return new Label(
                    called,
                    "%s for %s, for skin only"
                            .formatted(plan.made().word(), plan.use().word()),
                    Ingredients.line(all),
                    String.join(", ", Ingredients.allergens(all)),
                    "%d g (%s oz)".formatted(Math.round(grams), Decimals.upTo(grams / 28.3495, 1)),
                    dated.house().date(dated.made()),
                    dated.house().date(shelf.good().useBy()),
                    String.join(". ", plan.cautions()) + (plan.cautions().isEmpty() ? "" : ". ")
                            + "Try a little first. Keep away from children, cool and dark.",
                    "Batch %d".formatted(number));
        }
    }

    /** The day it was made, in a household's words. */
    record Dated(LocalDate made, House house) {}

    /** When it is to be used by, as oils and made things stand in one order. */
    LocalDate useBy() {
        return good.useBy();
    }
}
