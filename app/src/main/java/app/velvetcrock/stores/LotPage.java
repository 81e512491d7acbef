package app.velvetcrock.stores;

import app.velvetcrock.core.deed.MayAtStores;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.LotStory;
import app.velvetcrock.web.Fields.Option;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A lot's page, worded before it is drawn.
 *
 * @param facts what it is, whence, where, what it cost, till when
 * @param measure how an amount of it is asked for: as a solid or a liquid
 * @param canDry whether it could be laid out to dry
 * @param water the water in it, of a herb
 * @param cuts to which it can be taken; empty of what is no herb
 * @param canOpen whether it is a thing that is sealed and opened
 * @param isDropped whether its drops can be counted
 * @param drop what goes along with an amount that is typed, so that its drops are read as this bottle's; null where they are not counted
 * @param hasStrength whether it is so much percent by volume
 * @param alike what it could be put together with
 */
public record LotPage(
        String left,
        List<Fact> facts,
        boolean isConvertible,
        List<Line> story,
        boolean isHerb,
        String measure,
        boolean canDry,
        boolean isOnRack,
        String water,
        List<Cut> cuts,
        boolean canOpen,
        boolean isOpened,
        boolean isDropped,
        @Nullable String drop,
        boolean hasStrength,
        boolean isInPieces,
        boolean isGone,
        List<Option> alike) {

    /**
     * One fact.
     *
     * @param id of what it says, null for none
     * @param whose where the figure is from; empty where that needs no saying
     * @param life null where it is none of time
     */
    public record Fact(String head, @Nullable String id, String words, String whose, StoreRows.@Nullable LifeBar life) {

        Fact(String head, String words) {
            this(head, null, words, "", null);
        }
    }

    /**
     * A line of its story.
     *
     * @param batch null where it was moved by none
     * @param deed by which it is taken back; null where it cannot be
     */
    public record Line(
            String when,
            String why,
            String note,
            @Nullable UUID batch,
            String number,
            String amount,
            String leftAfter,
            @Nullable UUID deed,
            String takeBack) {}

    static LotPage of(LotSheet sheet, @Nullable String before, House house) {
        LotStory story = sheet.story();
        Optional<LotSheet.HerbState> herb = sheet.herb();
        return new LotPage(
                sheet.onRack().map(house::mass).orElse(story.left(house)),
                facts(sheet, house),
                sheet.known().isPresent(),
                story.part(before).stream()
                        .map(line -> line(line, sheet, house))
                        .toList(),
                herb.isPresent(),
                herb.isPresent() ? "SOLID" : "LIQUID",
                herb.filter(state -> !state.moisture().isDried()).isPresent()
                        && sheet.onRack().isEmpty(),
                sheet.onRack().isPresent(),
                herb.map(state -> house.percent(state.water().fraction())).orElse(""),
                herb.map(state -> Arrays.stream(Cut.values())
                                .filter(cut -> cut.compareTo(state.cut()) >= 0)
                                .toList())
                        .orElse(List.of()),
                story.kind() == LotKind.CARRIER || sheet.life().isPresent(),
                sheet.facts().opened().isPresent(),
                sheet.facts().isMeasured(MayAtStores.Own.DROPS),
                sheet.facts()
                        .dropsPerMillilitre()
                        .map("{\"perMillilitre\": %s}"::formatted)
                        .orElse(null),
                sheet.facts().isMeasured(MayAtStores.Own.STRENGTH),
                story.inPieces(),
                story.balance() == 0,
                sheet.alike().stream()
                        .map(other -> new Option(other.id().toString(), other.name() + ", " + other.words()))
                        .toList());
    }

    private static List<Fact> facts(LotSheet sheet, House house) {
        List<Fact> rows = new ArrayList<>();
        LotSheet.Facts facts = sheet.facts();
        sheet.herb()
                .ifPresent(herb -> rows.add(new Fact(
                        "State",
                        "%s %s, %s"
                                .formatted(
                                        herb.moisture().word(),
                                        herb.part().word(),
                                        herb.cut().word()))));
        facts.strength().ifPresent(one -> rows.add(new Fact("Strength", one.words() + " vol")));
        if (facts.isMeasured(MayAtStores.Own.DROPS)) {
            rows.add(facts.dropsPerMillilitre()
                    .map(per -> new Fact("A drop", "drop", drop(per, sheet, house), "your own", null))
                    .orElseGet(
                            () -> new Fact("A drop", "drop", drop(Drops.USUAL, sheet, house), "by convention", null)));
        }
        rows.add(new Fact(
                "Came",
                facts.origin().word()
                        + (facts.cameFrom().isEmpty() ? "" : ", " + facts.cameFrom())
                        + facts.acquired().map(day -> ", " + house.date(day)).orElse("")));
        if (!facts.keptAt().isEmpty()) {
            rows.add(new Fact("Kept", facts.keptAt()));
        }
        facts.price()
                .ifPresent(price -> rows.add(new Fact(
                        "Cost",
                        house.money(price)
                                + facts.minorPerGram()
                                        .map(minor -> ", %s for 100 g".formatted(house.money(Math.round(minor * 100))))
                                        .orElse(""))));
        facts.opened().ifPresent(day -> rows.add(new Fact("Opened", house.date(day))));
        facts.bestBefore().ifPresent(day -> rows.add(new Fact("Best before", house.date(day))));
        sheet.life().ifPresent(life -> rows.add(lasts(life, facts, house)));
        sheet.herb().ifPresent(herb -> rows.addAll(ofHerb(herb, sheet.story(), house)));
        return rows;
    }

    /** "37 to the millilitre, 24 mg each". */
    private static String drop(double perMillilitre, LotSheet sheet, House house) {
        Mass millilitre = sheet.known().orElseThrow().density().massOf(Volume.ofMillilitres(1));
        return "%s to the millilitre, %s mg each"
                .formatted(
                        Decimals.upTo(perMillilitre, 1), Decimals.upTo(millilitre.grams() * 1000 / perMillilitre, 0));
    }

    private static Fact lasts(LotSheet.Life life, LotSheet.Facts facts, House house) {
        String end = house.date(life.end());
        return new Fact(
                "Lasts",
                null,
                (life.isPast() ? "past its end since " : "till ")
                        + end
                        + (facts.opened().isPresent() ? "" : ", if opened today"),
                "",
                StoreRows.LifeBar.of(life, house));
    }

    private static List<Fact> ofHerb(LotSheet.HerbState herb, LotStory story, House house) {
        Volume cup = house.settings().units().cups().cup();
        var weight = herb.bulk().massOf(cup);
        Fact ofCup = new Fact(
                "A cup weighs",
                "bulk",
                (herb.weighedBulk() ? house.mass(weight) : house.about(weight)) + ", loosely filled",
                herb.weighedBulk() ? "your own" : "estimate",
                null);
        Fact other = herb.moisture().isDried()
                ? new Fact("It was fresh", null, house.about(herb.fresh(story.left())), "an estimate", null)
                : new Fact(
                        "Dried it gives",
                        null,
                        house.about(herb.dried(story.left())),
                        house.percent(herb.water().fraction()) + " water, an estimate",
                        null);
        return List.of(ofCup, other);
    }

    /** What was thrown out cost, where its lot has a price: a discard is a result, and that is part of it. */
    private static String lost(LotStory.Line line, LotSheet sheet, House house) {
        return sheet.facts()
                .minorPerGram()
                .filter(each -> line.lost())
                .map(each -> ", which cost "
                        + house.money(Math.round(
                                each * sheet.story().mass(line.amount()).grams())))
                .orElse("");
    }

    private static Line line(LotStory.Line line, LotSheet sheet, House house) {
        String amount = sheet.story().words(house, line.amount());
        return new Line(
                house.moment(line.happenedAt()),
                line.why(),
                (line.note().isEmpty() ? "" : ": " + line.note()) + lost(line, sheet, house),
                line.batch().orElse(null),
                line.batch()
                        .map(batch -> ": number " + sheet.batchNumbers().get(batch))
                        .orElse(""),
                (line.in() ? "+ " : "− ") + amount,
                sheet.story().words(house, line.leftAfter()),
                line.deed().orElse(null),
                "Take back: %s %s".formatted(line.why(), amount));
    }
}
