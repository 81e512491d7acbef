package app.velvetcrock.cupboard;

import app.velvetcrock.condition.Told;
import app.velvetcrock.core.label.Ingredients;
import app.velvetcrock.core.label.NetWeight;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.KeptBack;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Goods;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A made thing as the Cupboard shows it, worded.
 *
 * @param shape "tin", "bar" or "pan", by which it is drawn
 * @param word how near its day is
 * @param mark "wrong", "past" or "soon"; empty while there is time
 * @param back why it is kept back; null where it is not
 * @param wrong what is wrong with it or with what is in it, the gravest first; empty where all is well
 */
record GoodOnShelf(
        Stock.OfGood good,
        String amount,
        String each,
        String till,
        String word,
        String mark,
        String shape,
        @Nullable String back,
        List<Told> wrong) {

    private static final int SOON = 30;

    /** {@code open}: what is wrong in the household and not answered. */
    static GoodOnShelf of(Stock.OfGood good, List<Told> open, LocalDate today, House house) {
        List<Told> wrong = open.stream()
                .filter(told -> told.isOfLot(good.batch(), good.id()))
                .map(told -> told.at(good.batch(), good.id()))
                .sorted(Comparator.comparing(Told::kind))
                .toList();
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
                                        ? (wrong.isEmpty() ? "use first: %s" : "%s left").formatted(house.days(days))
                                        : house.days(days) + " left",
                !wrong.isEmpty() ? "wrong" : days < 0 ? "past" : days <= SOON ? "soon" : "",
                rest ? "pan" : bar ? "bar" : "tin",
                good.keptBack().map(KeptBack::said).orElse(null),
                wrong);
    }

    /** What its tag says first: its day, or what is wrong. */
    public String tag() {
        return wrong.isEmpty() ? till : "! " + wrong.get(0).tag();
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
        static Label of(String called, GoodOnShelf shelf, int number, MakingPlan plan, In in, Dated dated) {
            Mass net =
                    shelf.good().inPieces() ? shelf.good().each() : shelf.good().mass();
            return new Label(
                    called,
                    "%s for %s, for skin only"
                            .formatted(plan.made().word(), plan.use().word()),
                    Ingredients.line(in.all()),
                    Stream.concat(Ingredients.allergens(in.all()).stream(), in.declared().stream())
                            .collect(Collectors.joining(", ")),
                    NetWeight.of(net),
                    dated.house().date(dated.made()),
                    dated.house().date(shelf.good().useBy()),
                    String.join(". ", plan.cautions()) + (plan.cautions().isEmpty() ? "" : ". ")
                            + "Try a little first. Keep away from children, cool and dark.",
                    "Batch %d".formatted(number));
        }
    }

    /** What is in it, and what the makers of that declare. */
    record In(List<Ingredients.One> all, List<String> declared) {}

    /** The day it was made, in a household's words. */
    record Dated(LocalDate made, House house) {}

    /** When it is to be used by, as oils and made things stand in one order. */
    LocalDate useBy() {
        return good.useBy();
    }
}
