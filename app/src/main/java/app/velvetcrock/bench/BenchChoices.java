package app.velvetcrock.bench;

import app.velvetcrock.core.bench.BenchShelves;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields.Option;
import java.util.List;

/** What the blanks of the sentence offer, worded. */
record BenchChoices(
        List<Option> herbs,
        List<Option> carriers,
        List<Option> oils,
        List<Option> jars,
        List<Option> pots,
        List<Option> containers,
        List<Option> kinds,
        List<Option> spirits,
        List<Cut> cuts,
        List<Use> uses,
        List<Pressing> pressings,
        List<Storage> storages) {

    /** Of more finished oils than these, those to be used first are offered; the others are named from the Cupboard. */
    private static final int MOST_OILS = 40;

    static BenchChoices of(BenchWork work, House house) {
        BenchShelves shelves = work.shelves();
        return new BenchChoices(
                shelves.herbs().stream()
                        .map(herb -> new Option(herb.id().toString(), words(herb, shelves.herbs(), house)))
                        .toList(),
                shelves.carriers().stream()
                        .map(bottle -> new Option(bottle.id().toString(), words(bottle, shelves.carriers(), house)))
                        .toList(),
                shelves.oils().stream()
                        .limit(MOST_OILS)
                        .map(oil -> new Option(oil.id().toString(), words(oil, house)))
                        .toList(),
                vessels(shelves.jars()),
                vessels(shelves.pots()),
                shelves.containers().stream()
                        .map(tin -> new Option(tin.id().toString(), "in: " + tin.name()))
                        .toList(),
                WantSentence.kinds().stream()
                        .map(kind -> new Option(kind.key(), kind.name()))
                        .toList(),
                shelves.spirits().stream()
                        .map(lot -> new Option(lot.id().toString(), words(lot)))
                        .toList(),
                List.of(Cut.values()),
                List.of(Use.values()),
                List.of(Pressing.values()),
                work.isMoistFood() ? List.of(Storage.REFRIGERATOR) : List.of(Storage.values()));
    }

    /** That a charge is divided over several jars. */
    public List<Option> split() {
        return List.of(new Option(BenchForm.SPLIT, "several jars"));
    }

    /** A herb; of two that are alike also when it came and how much of it is left. */
    private static String words(Stock.OfHerb herb, List<Stock.OfHerb> all, House house) {
        String words = "%s (%s)".formatted(herb.name(), herb.state());
        boolean alike = all.stream()
                        .filter(other -> other.name().equals(herb.name())
                                && other.state().equals(herb.state()))
                        .count()
                > 1;
        return alike
                ? words
                        + herb.acquired()
                                .map(day -> ", came " + house.date(day))
                                .orElse("")
                        + ", " + house.mass(herb.left())
                : words;
    }

    /** A bottle; of two that are alike also when it ends and how much of it is left. */
    private static String words(Stock.OfCarrier bottle, List<Stock.OfCarrier> all, House house) {
        String words = opened(bottle, house);
        boolean alike =
                all.stream().filter(other -> opened(other, house).equals(words)).count() > 1;
        return alike
                ? words
                        + bottle.bestBefore()
                                .map(day -> ", best before " + house.date(day))
                                .orElse("")
                        + ", " + house.volume(bottle.volumeLeft())
                : words;
    }

    private static String opened(Stock.OfCarrier bottle, House house) {
        return bottle.name()
                + bottle.opened().map(day -> ", opened " + house.shortDay(day)).orElse(", sealed");
    }

    private static String words(Stock.OfOil oil, House house) {
        return "%s, %s, use by %s".formatted(oil.name(), house.volume(oil.volumeLeft()), house.shortDay(oil.useBy()));
    }

    private static String words(Stock.OfSupply spirit) {
        return spirit.name() + ", " + spirit.strength().orElse(new Strength(0)).words();
    }

    private static List<Option> vessels(List<OfJar> jars) {
        return jars.stream()
                .map(jar -> new Option(jar.id().toString(), jar.vessel().name()))
                .toList();
    }
}
