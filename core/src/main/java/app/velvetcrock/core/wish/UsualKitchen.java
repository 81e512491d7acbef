package app.velvetcrock.core.wish;

import app.velvetcrock.core.bench.BenchShelves;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.larder.Home;
import app.velvetcrock.core.larder.JarGlass;
import app.velvetcrock.core.larder.Larder;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.larder.Withheld;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.method.Source;
import app.velvetcrock.core.timetable.HomeHours;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** [E] A kitchen as most have it, for whoever has told nothing of theirs. */
public final class UsualKitchen {

    private static final List<Integer> JARS = List.of(250, 350, 500, 750, 1000, 1500, 2000);
    private static final List<Map.Entry<String, Integer>> CONTAINERS = List.of(
            Map.entry("Tin of 60 mL", 60),
            Map.entry("Tin of 30 mL", 30),
            Map.entry("Pot of 15 mL", 15),
            Map.entry("Bar mould", 60));
    private static final int ENOUGH = 500;
    private static final int OF_A_SIZE = 8;
    private static final long JAR = 100;
    private static final long CONTAINER = 200;
    private static final int POT = 5_000;
    private static final double PANTRY = 16;
    private static final double ROOM = 20;

    private UsualKitchen() {}

    /** As it would be there, and at these hours: somebody at home from eight till ten in the evening. */
    public static Kitchen of(Materia materia, Wording say, Instant now) {
        Larder larder = new Larder(
                List.of(),
                List.of(),
                List.of(),
                containers(ENOUGH),
                new Larder.Kinds(List.copyOf(materia.carriers()), List.copyOf(materia.supplies())),
                Withheld.NOTHING,
                Withheld.NOTHING);
        Kitchen.Place place = new Kitchen.Place(Temperature.ofCelsius(PANTRY), Temperature.ofCelsius(ROOM), say, now);
        OfJar pot = new OfJar(
                new UUID(0, JAR - 1),
                new Vessel("a pot", Volume.ofMillilitres(POT), Vessel.usualWidth(Volume.ofMillilitres(POT)), true),
                1,
                true,
                JarGlass.PLAIN);
        HomeHours hours = HomeHours.usual(say.zone());
        return new Kitchen(
                new BenchShelves(
                        List.of(),
                        List.of(),
                        List.of(),
                        jars(),
                        List.of(pot),
                        List.of(pot),
                        List.of(),
                        EnumSet.of(Source.POT, Source.OVEN),
                        List.of(),
                        containers(ENOUGH),
                        Mass.ZERO,
                        Map.of()),
                PanShelves.of(larder, say, place.today()),
                new Home(hours, (way, stand, charge) -> hours, List::of, Map.of(Source.POT.name(), 1)),
                Kitchen.Learned.NOTHING,
                place);
    }

    /** Containers of the usual sizes, none of which is here yet. */
    static List<PanShelves.Tin> tins() {
        return containers(0).stream()
                .flatMap(one -> PanShelves.tin(one).stream())
                .toList();
    }

    /** Jars of the usual sizes and widths. */
    static List<OfJar> jars() {
        return IntStream.range(0, JARS.size())
                .mapToObj(i -> {
                    Volume holds = Volume.ofMillilitres(JARS.get(i));
                    return new OfJar(
                            new UUID(0, JAR + i),
                            new Vessel("a jar", holds, Vessel.usualWidth(holds)),
                            OF_A_SIZE,
                            false,
                            JarGlass.PLAIN);
                })
                .toList();
    }

    /** Tells whether something is none that anybody has yet: it would have to be got, or written down. */
    public static boolean isToCome(UUID id) {
        return id.getMostSignificantBits() == 0;
    }

    private static List<Stock.OfSupply> containers(int ofEach) {
        return Stream.iterate(0, i -> i < CONTAINERS.size(), i -> i + 1)
                .map(i -> new Stock.OfSupply(
                        new UUID(0, CONTAINER + i),
                        LotKind.CONTAINER,
                        "container",
                        CONTAINERS.get(i).getKey(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(Volume.ofMillilitres(CONTAINERS.get(i).getValue())),
                        Math.max(0, ofEach - i)))
                .toList();
    }
}
