package app.velvetcrock.stores;

import app.velvetcrock.catalogue.OwnCeilings;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.draw.Strata;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The rows of the stores' tables, worded as the household writes. */
final class StoreRows {

    private final House house;
    private final Map<UUID, Double> levels;
    private final List<Told> wrong;

    /** {@code levels}: what share of each lot is left, where that is drawn; {@code wrong}: what is open in the household. */
    StoreRows(House house, Map<UUID, Double> levels, List<Told> wrong) {
        this.house = house;
        this.levels = levels;
        this.wrong = List.copyOf(wrong);
    }

    /** What is wrong with a lot stands before all else that is noted of it. */
    private List<String> noted(UUID lot, List<String> notes) {
        return Stream.concat(Told.marks(wrong, lot), notes.stream()).toList();
    }

    /** The colour of plain oil, where it is oil of any kind. */
    private static final String OIL = "#e3c76a";

    /** How full a bag or bottle is drawn, from 0 to 1. */
    public record Level(double share, String words, String tint) {}

    /** How much of its time a bottle has left, drawn of 120 px. */
    public record LifeBar(double width, String mark, String label, String words) {

        private static final double WHOLE = 120;
        private static final int SOON_DAYS = 30;
        private static final double LONGEST_CLASS = 24;
        private static final int SOON_MONTHS = 3;

        /** How long an oil keeps once opened, against what keeps longest. */
        static LifeBar ofMonths(int months) {
            return new LifeBar(
                    WHOLE * Math.min(1, months / LONGEST_CLASS),
                    months <= SOON_MONTHS ? "life-soon" : "life-left",
                    "keeps %d months once opened".formatted(months),
                    "");
        }

        static LifeBar of(LotSheet.Life life, House house) {
            String end = house.date(life.end());
            return new LifeBar(
                    WHOLE * life.share(),
                    life.days() < SOON_DAYS ? "life-soon" : "life-left",
                    life.isPast() ? "past its end" : "ends " + end,
                    (life.isPast() ? "! ended " : "till ") + end);
        }
    }

    /**
     * A row of stock.
     *
     * @param notes what is said under its name
     * @param life null for what has no end of its own
     * @param under what is said under how much there is
     */
    public record Row(
            UUID id,
            String name,
            List<String> notes,
            @Nullable Level level,
            @Nullable LifeBar life,
            String left,
            String under) {}

    /** A row of the catalogue: {@code note} under the name, {@code first} and {@code second} the figures with their origin. */
    public record Kind(
            String key,
            String name,
            String botanical,
            String note,
            boolean isOwn,
            String first,
            String firstNote,
            String second,
            String secondNote,
            @Nullable Strata strata,
            String tint,
            @Nullable LifeBar life) {}

    /** A jar, drawn beside its brothers to one scale. */
    public record Jar(
            UUID id,
            String name,
            String words,
            String marks,
            boolean usual,
            String pieces,
            double width,
            double height) {}

    /**
     * A herb.
     *
     * @param weighs what it weighed last on the rack; null where it does not lie there
     */
    Row herb(Stock.OfHerb herb, @Nullable Mass weighs) {
        return new Row(
                herb.id(),
                herb.name(),
                noted(
                        herb.id(),
                        weighs == null
                                ? List.of(herb.state())
                                : List.of(herb.state(), "on the rack, by its last weighing")),
                new Level(level(herb.id()), left(herb.id()), herb.kind().tint()),
                null,
                house.mass(weighs == null ? herb.left() : weighs),
                herb.acquired().map(day -> "came " + house.date(day)).orElse(""));
    }

    Row carrier(Stock.OfCarrier bottle, LotSheet.Life life) {
        List<String> notes = new ArrayList<>();
        String opened = bottle.opened().map(day -> "opened " + house.date(day)).orElse("sealed");
        boolean endsByDate = bottle.bestBefore().filter(life.end()::equals).isPresent();
        notes.add(opened + (endsByDate ? "; best before ends it" : ""));
        bottle.kind()
                .melting()
                .ifPresent(melts -> notes.add("melts by %s: %s in the pantry"
                        .formatted(
                                house.temperature(melts),
                                melts.compareTo(house.settings().pantry()) > 0 ? "solid" : "liquid")));
        return new Row(
                bottle.id(),
                bottle.name(),
                noted(bottle.id(), notes),
                new Level(level(bottle.id()), left(bottle.id()), bottle.kind().tint()),
                LifeBar.of(life, house),
                house.volume(bottle.volumeLeft()),
                "");
    }

    Row supply(Stock.OfSupply supply, LotSheet.@Nullable Life life) {
        String strength =
                supply.strength().map(one -> ", %s vol".formatted(one.words())).orElse("");
        String best = life == null
                ? supply.bestBefore()
                        .map(day -> ", best before " + house.date(day))
                        .orElse("")
                : "";
        return new Row(
                supply.id(),
                supply.name(),
                noted(supply.id(), List.of(supply.kind().word() + strength + best)),
                null,
                life == null ? null : LifeBar.of(life, house),
                house.mass(supply.mass()),
                "");
    }

    Row container(Stock.OfSupply container) {
        return new Row(
                container.id(),
                container.name(),
                container.holds().map(holds -> "holds " + house.volume(holds)).stream()
                        .toList(),
                null,
                null,
                String.valueOf(container.left()),
                "");
    }

    Jar jar(OfJar jar) {
        double scale = 0.45;
        boolean usual = jar.glass().usualWidth();
        return new Jar(
                jar.id(),
                jar.vessel().name(),
                "%s, %s across%s, %s high"
                        .formatted(
                                house.volume(jar.vessel().capacity()),
                                house.length(jar.vessel().innerWidth()),
                                usual ? " (usual for its size, not measured)" : "",
                                house.length(jar.vessel().height())),
                jar.glass().marks().stream()
                        .map(mark -> "%s at %s".formatted(mark.words(), house.volume(mark.holds())))
                        .collect(Collectors.joining(", ")),
                usual,
                jar.pieces() == 1 ? "1 jar" : jar.pieces() + " jars",
                jar.vessel().innerWidth().millimetres() * scale,
                jar.vessel().height().millimetres() * scale);
    }

    Kind herb(HerbKind kind, Set<String> own) {
        return new Kind(
                kind.key(),
                kind.common(),
                kind.botanical(),
                "",
                own.contains(kind.key()),
                kind.part().word(),
                "",
                house.ratio(kind.usualRatio()),
                "",
                Strata.of(
                        List.of(new Strata.Part(1, kind.tint()), new Strata.Part(kind.usualRatio(), OIL)),
                        "one part of herb to %s of oil".formatted(Decimals.upTo(kind.usualRatio(), 1))),
                kind.tint(),
                null);
    }

    Kind carrier(CarrierKind kind, Set<String> own) {
        return new Kind(
                kind.key(),
                kind.common(),
                "",
                kind.melting()
                        .map(melts -> "melts at " + house.temperature(melts))
                        .orElse(""),
                own.contains(kind.key()),
                density(kind.density()),
                kind.densityIsEstimate() ? "estimate" : "",
                kind.monthsOpened() + " months",
                own.contains(kind.key()) ? "" : "estimate",
                null,
                kind.tint(),
                LifeBar.ofMonths(kind.monthsOpened()));
    }

    Kind supply(SupplyKind kind) {
        return new Kind(
                kind.key(),
                kind.common(),
                "",
                kind.type().word() + (kind.watery() ? ", watery: things grow in it" : ""),
                false,
                "%.2f".formatted(kind.density().gramsPerMillilitre()),
                kind.densityIsEstimate() ? "estimate" : "",
                kind.melting()
                        .map(melts -> house.temperature(melts.low()) + " to " + house.temperature(melts.high()))
                        .orElse(""),
                "",
                null,
                "",
                null);
    }

    static Kind essential(SupplyKind kind, Map<String, OwnCeilings.Own> own) {
        OwnCeilings.Own held = own.get(kind.key());
        String shipped = kind.dermalMost().map(most -> most + " %").orElse("");
        return new Kind(
                kind.key(),
                kind.common(),
                kind.botanical(),
                "",
                held != null,
                held != null ? Decimals.upTo(held.percent(), 2) + " %" : shipped,
                held != null
                        ? " yours, by " + held.source() + (shipped.isEmpty() ? "" : "; shipped: " + shipped)
                        : !shipped.isEmpty()
                                ? ""
                                : kind.traits().contains("sum-only")
                                        ? "only the ceiling of the sum applies"
                                        : "no figure held: 0.5 % for grown-up body, nothing elsewhere",
                "",
                "",
                null,
                "",
                null);
    }

    private static String density(Density density) {
        return "%.3f".formatted(density.gramsPerMillilitre());
    }

    private double level(UUID lot) {
        return levels.getOrDefault(lot, 1.0);
    }

    private String left(UUID lot) {
        return house.percent(level(lot)) + " left";
    }
}
