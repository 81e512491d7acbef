package app.velvetcrock.bench;

import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.Cover;
import app.velvetcrock.core.charge.Schools;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.Carriers;
import app.velvetcrock.core.planning.PlannedCarrier;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.spirit.Moistening;
import app.velvetcrock.core.strain.YieldForecast;
import app.velvetcrock.core.water.WaterBudget;
import app.velvetcrock.core.working.Working;
import app.velvetcrock.draw.BenchPicture;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Costs;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The worked part of the Bench, worded before it is drawn.
 *
 * @param measures the same charge as the schools measure it
 * @param shares of a blend what each herb has of it; empty for one herb
 * @param oils of a mix how much of each oil is poured; empty for one oil
 * @param bath what the water bath wants; null where there is none
 * @param water what free water it brings; null where that is not worth saying
 * @param moisten what spirit it is moistened with; null where with none
 * @param wanted how it was worked back; null where herb and oil are said
 * @param cost null where nothing of it has a price
 */
public record BenchPage(
        BenchWays ways,
        String measuresHead,
        List<Row> measures,
        String blendHead,
        List<Row> shares,
        List<Row> oils,
        Picture picture,
        String vessel,
        List<Row> split,
        boolean isOverridable,
        boolean lacksBath,
        @Nullable String bath,
        @Nullable Water water,
        @Nullable Told moisten,
        @Nullable Working wanted,
        Told back,
        Told keep,
        Told need,
        @Nullable Cost cost,
        Charge charge,
        BatchPlan plan) {

    /** A row of a table. */
    public record Row(@Nullable String id, String head, String one, String two) {

        Row(@Nullable String id, String head, String one) {
            this(id, head, one, "");
        }
    }

    /** A figure with what it means, and the sum it opens to. */
    public record Told(String figure, String words, Working working) {}

    /** The free water: how much, how wide its drop is drawn of a hundred, and what it does. */
    public record Water(String head, String share, double width, String words, Working working) {}

    public record Cost(String sum, String of, List<Row> lines) {}

    /** A line of the household's own on the glass. */
    public record Mark(double y, String words) {}

    /** The cut-away jar with its marks in words. */
    public record Picture(
            BenchPicture drawn,
            List<Mark> marks,
            String oil,
            String herb,
            String label,
            String airMark,
            String air,
            String airWords,
            String coverMark,
            String cover,
            String coverWords,
            String verdictMark,
            String verdict) {}

    private static final double PICTURE_WIDTH = 260;
    private static final double PICTURE_HEIGHT = 390;

    static BenchPage of(BenchWork work, Planned planned, Optional<Costs.Cost> cost, House house) {
        BatchPlan plan = planned.plan();
        return new BenchPage(
                BenchWays.of(work, planned, house),
                planned.isSplit() ? "First jar, other measures" : "Same jar, other measures",
                measures(plan, house),
                planned.isSplit() ? "The blend, in each jar" : "The blend",
                shares(plan, house),
                oils(planned, house),
                picture(planned, house),
                "%s%s, %s across"
                        .formatted(
                                planned.isSplit()
                                        ? "First of %d: "
                                                .formatted(planned.parts().size())
                                        : "",
                                planned.jar().vessel().name(),
                                house.length(planned.jar().vessel().innerWidth())),
                split(planned, house),
                plan.fitness().isOverridable(plan.request().circumstances().use()),
                planned.lacksBath(),
                planned.bath()
                        .map(bath -> "Standing in “%s” it wants %s of water, %s deep, up to its oil."
                                .formatted(bath.pan().name(), house.about(bath.water()), house.length(bath.depth())))
                        .orElse(null),
                plan.water().isWorthSaying() ? water(plan, house) : null,
                plan.moistening().map(spirit -> moisten(spirit, plan, house)).orElse(null),
                planned.wanted().map(read -> read.wanted().working()).orElse(null),
                back(planned, house),
                new Told(
                        "till " + house.date(plan.keepUntil().date()),
                        plan.keepUntil().limitedBy().words(),
                        plan.keepUntil().working()),
                new Told(
                        house.volume(planned.oilInAll()) + (planned.isSplit() ? " oil in all" : " oil"),
                        "to cover %s: %s pushed under, %s loose"
                                .formatted(
                                        planned.isSplit() ? "the first jar" : "it",
                                        atLeast(plan.charge().pressedNeed(), house),
                                        atLeast(plan.charge().looseNeed(), house)),
                        plan.found().coverWorking()),
                cost.map(sum -> cost(sum, house)).orElse(null),
                plan.charge(),
                plan);
    }

    /** What is to be poured at least, at the next mark above it. */
    private static String atLeast(Volume need, House house) {
        return "about " + house.volume(house.settings().units().measuredUp(need));
    }

    private static List<Row> measures(BatchPlan plan, House house) {
        Schools schools = plan.found().schools();
        List<Row> rows = new ArrayList<>(List.of(
                new Row("ratio", "grams : mL", house.ratio(schools.weightToVolume())),
                new Row(null, "cups, herb loose", house.ratio(schools.cupsToCups())),
                new Row(null, "jar fill, loose", house.percent(schools.jarFill())),
                new Row(null, "herb depth, loose", house.length(schools.herbDepth())),
                new Row(null, "oil above it", house.length(schools.oilAbove()))));
        plan.doubleRatio().ifPresent(both -> rows.add(new Row("double-ratio", "both infusions", house.ratio(both))));
        rows.add(new Row("oil-weight", "oil by weight", house.mass(plan.oilMass())));
        return rows;
    }

    private static List<Row> shares(BatchPlan plan, House house) {
        List<PlannedHerb> herbs = plan.request().herbs();
        double all = plan.charge().herbs().mass().grams();
        return herbs.size() < 2
                ? List.of()
                : herbs.stream()
                        .map(herb -> new Row(
                                null,
                                herb.kind().common(),
                                house.mass(herb.mass()),
                                house.percent(herb.mass().grams() / all)))
                        .toList();
    }

    /** Of all jars together: this is what is measured out. */
    private static List<Row> oils(Planned planned, House house) {
        Carriers carriers = planned.plan().request().carriers();
        Density whole = planned.plan().request().carrier().kind().density();
        List<Mass> masses = carriers.masses(whole.massOf(planned.oilInAll()));
        List<Row> rows = new ArrayList<>();
        for (int i = 0; carriers.isMix() && i < masses.size(); i++) {
            PlannedCarrier oil = carriers.parts().get(i).carrier();
            rows.add(new Row(
                    null,
                    oil.kind().common(),
                    house.volume(oil.kind().density().volumeOf(masses.get(i))) + ", " + house.mass(masses.get(i)),
                    house.percent(carriers.parts().get(i).share())));
        }
        return rows;
    }

    private static List<Mark> marks(Planned planned) {
        JarDrawing jar = drawn(planned).jar();
        return planned.jar().glass().marks().stream()
                .map(mark -> new Mark(
                        jar.floorY()
                                - planned.jar().vessel().depthOf(mark.holds()).millimetres() * jar.scale(),
                        mark.words()))
                .toList();
    }

    private static BenchPicture drawn(Planned planned) {
        Vessel vessel = planned.jar().vessel();
        double scale = JarDrawing.scaleToFit(vessel, PICTURE_WIDTH, PICTURE_HEIGHT);
        JarDrawing drawing =
                JarDrawing.of(vessel, planned.plan().found().levels(), JarDrawing.Look.of(planned.plan(), 1), scale);
        return BenchPicture.of(drawing, planned.plan().charge(), PICTURE_WIDTH);
    }

    private static Picture picture(Planned planned, House house) {
        BatchPlan plan = planned.plan();
        BatchPlan.Found found = plan.found();
        String oil = house.volume(plan.charge().oil());
        String herb = house.mass(plan.charge().herbs().mass());
        boolean roomy = found.airShare() >= 0;
        boolean out = found.levels().standsOut();
        return new Picture(
                drawn(planned),
                marks(planned),
                oil,
                herb,
                "%s: %s of oil over %s of herb".formatted(planned.jar().vessel().name(), oil, herb),
                found.fits() ? "band-good" : "band-bad",
                roomy
                        ? house.percent(found.airShare())
                        : house.volume(plan.charge().tooMuch()),
                found.fits() ? "air" : roomy ? "air: too full" : "too much for it",
                out ? "band-bad" : "band-good",
                out ? "stands out" : house.length(found.levels().coverDepth()),
                out ? "herb in air" : found.cover().isEnough() ? "cover" : tooLittle(planned, house),
                found.fits() && found.cover().isEnough() ? "good" : "bad",
                verdict(found));
    }

    /** Of a cover that is none: what it lacks to. */
    private static String tooLittle(Planned planned, House house) {
        return "cover: under " + house.length(planned.jar().vessel().coverDepth());
    }

    private static String verdict(BatchPlan.Found found) {
        if (!found.cover().isEnough()) {
            return "Will not cover the herb";
        } else if (!found.fits()) {
            return "Too full for this jar";
        }
        return found.cover() == Cover.COVERS ? "Covers" : "Covers once the herb is pushed under";
    }

    private static List<Row> split(Planned planned, House house) {
        if (!planned.isSplit()) {
            return List.of();
        }
        List<Row> rows = new ArrayList<>();
        planned.parts()
                .forEach(part -> rows.add(new Row(
                        null,
                        part.jar().vessel().name(),
                        house.mass(part.plan().charge().herbs().mass()),
                        house.volume(part.plan().charge().oil()) + " oil")));
        rows.add(new Row(null, "in all", house.mass(planned.herbInAll()), house.volume(planned.oilInAll()) + " oil"));
        return rows;
    }

    private static Water water(BatchPlan plan, House house) {
        WaterBudget water = plan.water();
        String share = house.percent(water.shareOfOil());
        return new Water(
                "%s of free water, %s of the oil%s"
                        .formatted(
                                house.about(water.free()),
                                share,
                                plan.waterIfWilted()
                                        .map(wilted ->
                                                "; %s if it wilts first: on the rack, weighed and taken down wilted"
                                                        .formatted(house.about(wilted.free())))
                                        .orElse("")),
                share,
                100 * Math.min(1, water.shareOfOil()),
                plan.isMoistFood()
                        ? "It leaves in the pan: off when the sizzle stops."
                        : "It sinks, and there things grow: let it leave while it is warm, settle it, decant.",
                water.working());
    }

    private static Told moisten(Moistening spirit, BatchPlan plan, House house) {
        Mass added = spirit.added();
        String words = "Grind it, moisten it with %s (%s) of %s spirit; %s of that is water."
                .formatted(
                        house.mass(spirit.spirit()),
                        house.volume(spirit.volume()),
                        spirit.strength().words(),
                        house.mass(spirit.water()));
        String thinned = added.grams() > 0
                ? " Thin %s from the bottle with %s of water, by weight."
                        .formatted(house.mass(spirit.fromBottle()), house.mass(added))
                : "";
        return new Told(
                "", words + thinned, spirit.working(plan.charge().herbs().mass()));
    }

    private static Told back(Planned planned, House house) {
        YieldForecast forecast = planned.plan().yield();
        Volume back = planned.backInAll();
        String pressing = planned.plan().request().circumstances().pressing().word();
        String range = house.range(forecast.low(), forecast.high());
        return new Told(
                house.about(back),
                planned.isSplit()
                        ? "back in all, %s; of the first jar %s (%s), %s"
                                .formatted(pressing, house.about(forecast.expected()), range, forecast.basis())
                        : "back, %s (%s), %s".formatted(pressing, range, forecast.basis()),
                forecast.working());
    }

    private static Cost cost(Costs.Cost cost, House house) {
        return new Cost(
                house.money(cost.minor()),
                cost.unpriced().isEmpty()
                        ? "herb and oil"
                        : "what has a price; not " + String.join(", ", cost.unpriced()),
                cost.lines().stream()
                        .map(line ->
                                new Row(null, house.mass(line.mass()) + " " + line.name(), house.money(line.minor())))
                        .toList());
    }

    /** The cautions of all that goes in, the gravest first. */
    public List<Caution> cautions() {
        return plan.cautions();
    }
}
