package app.velvetcrock.bench;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.spirit.Strength;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.kit.OfJar;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Stock;
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
        List<Option> spirits,
        List<Cut> cuts,
        List<Use> uses,
        List<Pressing> pressings,
        List<Storage> storages) {

    static BenchChoices of(BenchWork work, House house) {
        BenchStock.Shelves shelves = work.shelves();
        return new BenchChoices(
                shelves.herbs().stream()
                        .map(herb -> new Option(herb.id().toString(), herb.name() + " (" + herb.state() + ")"))
                        .toList(),
                shelves.carriers().stream()
                        .map(bottle -> new Option(bottle.id().toString(), words(bottle, house)))
                        .toList(),
                shelves.oils().stream()
                        .map(oil -> new Option(oil.id().toString(), words(oil, house)))
                        .toList(),
                vessels(shelves.jars()),
                vessels(shelves.pots()),
                shelves.containers().stream()
                        .map(tin -> new Option(tin.id().toString(), "of salve in: " + tin.name()))
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

    private static String words(Stock.OfCarrier bottle, House house) {
        return bottle.name()
                + bottle.opened().map(day -> ", opened " + house.shortDay(day)).orElse(", sealed");
    }

    private static String words(Stock.OfOil oil, House house) {
        return "%s, %s, use by %s".formatted(oil.name(), house.volume(oil.volumeLeft()), house.shortDay(oil.useBy()));
    }

    private static String words(Stock.OfSupply spirit) {
        return spirit.name() + ", " + new Strength(spirit.abv().orElse(0.0)).words();
    }

    private static List<Option> vessels(List<OfJar> jars) {
        return jars.stream()
                .map(jar -> new Option(jar.id().toString(), jar.vessel().name()))
                .toList();
    }
}
