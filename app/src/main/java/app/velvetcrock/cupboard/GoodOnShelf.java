package app.velvetcrock.cupboard;

import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Goods;
import app.velvetcrock.stock.Stock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
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

    /** A label of one, worded: what is in it, how much, until when, and what to beware of. */
    record Label(
            String title, String kind, String in, String net, String made, String till, String cautions, String batch) {

        static Label of(GoodOnShelf shelf, int number, MakingPlan plan, LocalDate made, House house) {
            StringBuilder in = new StringBuilder();
            plan.formula().parts().stream()
                    .sorted((one, other) ->
                            Double.compare(other.mass().grams(), one.mass().grams()))
                    .forEach(part -> in.append(in.isEmpty() ? "" : ", ")
                            .append(part.stuff().name()));
            plan.additions()
                    .forEach(one -> in.append(", ").append(one.addition().name()));
            double grams = shelf.good().inPieces()
                    ? shelf.good().each().grams()
                    : shelf.good().mass().grams();
            return new Label(
                    shelf.good().name(),
                    "%s for %s, for skin only"
                            .formatted(plan.made().word(), plan.use().word()),
                    in.toString(),
                    "%d g (%s oz)"
                            .formatted(
                                    Math.round(grams), app.velvetcrock.core.measure.Decimals.upTo(grams / 28.3495, 1)),
                    house.date(made),
                    house.date(shelf.good().useBy()),
                    String.join(". ", plan.cautions()) + (plan.cautions().isEmpty() ? "" : ". ")
                            + "Try a little first. Keep away from children, cool and dark.",
                    "Batch %d".formatted(number));
        }
    }
}
