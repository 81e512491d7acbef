package app.velvetcrock.cupboard;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.keeping.SniffTest;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.look.Held;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.stillroom.House;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * An oil with the batch it came from, the days it has left and its bottle's picture.
 *
 * @param alike how many bottles are just like this one: same batch, size, glass, place, date and fill
 */
public record OilOnShelf(Stock.OfOil oil, BatchSheet batch, long daysLeft, BottleDrawing drawing, int alike) {

    static OilOnShelf of(Stock.OfOil oil, BatchSheet batch, LocalDate today) {
        return new OilOnShelf(
                oil,
                batch,
                ChronoUnit.DAYS.between(today, oil.useBy()),
                BottleDrawing.of(oil, JarDrawing.Look.of(batch.plan(), 1).oil()),
                1);
    }

    /** Bottles that are alike in what is written on them, each kind one line, in the order they are to be used. */
    static List<List<Stock.OfOil>> alike(List<Stock.OfOil> oils) {
        Map<List<Object>, List<Stock.OfOil>> alike = new LinkedHashMap<>();
        for (Stock.OfOil oil : oils) {
            Object own = oil.bottle().isPresent() ? oil.bottle().get() : oil.id();
            alike.computeIfAbsent(
                            List.of(oil.batch(), own, oil.place(), oil.useBy(), oil.left()), key -> new ArrayList<>())
                    .add(oil);
        }
        return List.copyOf(alike.values());
    }

    /** Puts bottles that are just alike into one, in the order they came. */
    static List<OilOnShelf> grouped(List<OilOnShelf> oils) {
        Map<List<Object>, List<OilOnShelf>> alike = new LinkedHashMap<>();
        for (OilOnShelf shown : oils) {
            Stock.OfOil oil = shown.oil();
            Object own = oil.bottle().isPresent() ? oil.bottle().get() : oil.id();
            alike.computeIfAbsent(
                            List.of(
                                    oil.batch(),
                                    own,
                                    oil.place(),
                                    oil.useBy(),
                                    oil.left(),
                                    shown.conditions().isEmpty() ? 0 : oil.id()),
                            key -> new ArrayList<>())
                    .add(shown);
        }
        return alike.values().stream()
                .map(group -> new OilOnShelf(
                        group.get(0).oil(),
                        group.get(0).batch(),
                        group.get(0).daysLeft(),
                        group.get(0).drawing(),
                        group.size()))
                .toList();
    }

    /** What its label says it holds: a bottle what it was filled with, what stands as it was strained what is left. */
    public Volume net() {
        return oil.density().volumeOf(oil.bottle().isPresent() ? oil.atFirst() : oil.left());
    }

    /** What is wrong with it, or with all of its batch, and not answered yet. */
    public List<Told> conditions() {
        return batch.conditions().stream()
                .filter(told -> told.isOfLot(batch.id(), oil.id()))
                .map(told -> told.at(batch.id(), oil.id()))
                .toList();
    }

    /** Tells whether a deed is held back. */
    public boolean isHeld(Held deed) {
        return conditions().stream().anyMatch(told -> told.holds(deed));
    }

    /** How many and how much: "6 × 50 mL". */
    public String amount(House house) {
        return (alike > 1 ? alike + " × " : "") + house.volume(oil.volumeLeft());
    }

    /** What it is in and where that stands: "50 mL, dark glass, cool and dark"; a jug is not bottled yet. */
    public String kept(House house) {
        return oil.bottle()
                        .map(bottle -> "%s, %s, "
                                .formatted(
                                        house.volume(bottle.size()),
                                        bottle.glass().word()))
                        .orElse("not bottled yet, ")
                + oil.place().word();
    }

    /** How it stands out on its board: past, soon, or not at all. */
    public String mark() {
        return !conditions().isEmpty() ? "wrong" : isPast() ? "past" : isSoon() ? "soon" : "";
    }

    /** What its tag says first: its day, or what is wrong. */
    public String till(House house) {
        return conditions().isEmpty()
                ? house.shortDay(oil.useBy())
                : "! " + conditions().get(0).tag();
    }

    /** What nobody who reads its row may miss: the mark, what is wrong, the rule for food. */
    public String warnings() {
        return Stream.of(
                        Stream.of("made against the rule of water")
                                .filter(one -> batch.plan().mark().isPresent()),
                        conditions().stream().map(Told::word),
                        Stream.of("food: refrigerator, use or freeze by then")
                                .filter(one -> batch.plan().isMoistFood()))
                .flatMap(one -> one)
                .collect(Collectors.joining("; "));
    }

    /** How its day is shown. */
    public String wordMark() {
        return isPast() || isSoon() ? "bad-word" : "";
    }

    public boolean isPast() {
        return daysLeft < 0;
    }

    /** Tells whether a sniff test may lengthen it now. */
    public boolean isSoon() {
        return daysLeft >= 0 && daysLeft <= SniffTest.LAST_DAYS;
    }

    /** What the tag says: the word first, so that colour alone says nothing. */
    public String word() {
        return isPast()
                ? "past its date"
                : daysLeft == 0 ? "last day" : daysLeft == 1 ? "1 day left" : daysLeft + " days left";
    }
}
