package app.velvetcrock.labelled;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.label.Truth;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.stillroom.House;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What has to be so for a label to be true, from how a thing stands: one sum for the label, for Rounds, and for a code that is read. */
public final class Truths {

    private Truths() {}

    /** Of a jar on its way: the day it is strained is what its label says. */
    public static Truth of(BatchSheet sheet, House house) {
        return new Truth(
                sheet.name(),
                Optional.of(sheet.strainOn(house)),
                sheet.condition().map(told -> List.of(told.kind().name())).orElse(List.of()));
    }

    /** Of an oil; {@code open} is what is wrong in the household. */
    public static Truth of(Stock.OfOil oil, List<Told> open) {
        return new Truth(oil.name(), Optional.of(oil.useBy()), wrong(open, oil.batch(), oil.id()));
    }

    /** Of something made, kept back or not. */
    public static Truth of(Stock.OfGood good, List<Told> open) {
        List<String> wrong = new ArrayList<>(wrong(open, good.batch(), good.id()));
        good.keptBack().ifPresent(why -> wrong.add("KEPT_BACK"));
        return new Truth(good.name(), Optional.of(good.useBy()), wrong);
    }

    /** Of a lot of the stores. */
    public static Truth of(UUID lot, String name, Optional<LocalDate> bestBefore, List<Told> open) {
        return new Truth(name, bestBefore, wrong(open, null, lot));
    }

    private static List<String> wrong(List<Told> open, @Nullable UUID batch, UUID lot) {
        return open.stream()
                .filter(told -> told.isOfLot(batch, lot))
                .map(told -> told.kind().name())
                .toList();
    }
}
