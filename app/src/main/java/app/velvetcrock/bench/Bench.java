package app.velvetcrock.bench;

import app.velvetcrock.core.bench.BenchShelves;
import app.velvetcrock.core.bench.ChargePart;
import app.velvetcrock.core.bench.ChargePlanner;
import app.velvetcrock.core.bench.Charging;
import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Fields;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Has the core work out what the Bench's sentence asks. */
@Service
public class Bench {

    private final BenchStock stock;
    private final BenchReading reading;
    private final BenchTime time;
    private final Households households;
    private final ChargePlanner planner;
    private final Clock clock;

    Bench(BenchStock stock, BenchReading reading, BenchTime time, Households households, Planner planner, Clock clock) {
        this.stock = stock;
        this.reading = reading;
        this.time = time;
        this.households = households;
        this.planner = new ChargePlanner(planner);
        this.clock = clock;
    }

    /** Reads everything the Bench can be asked with, once; with its days and hours. */
    @Transactional(readOnly = true)
    public BenchWork work(BenchForm typed) {
        return work(typed, true);
    }

    /** The same without days and hours, for a mark that is being dragged. */
    @Transactional(readOnly = true)
    public BenchWork charge(BenchForm typed) {
        return work(typed, false);
    }

    private BenchWork work(BenchForm typed, boolean withTime) {
        House house = households.current();
        LocalDate today = house.dayOf(clock.instant());
        BenchShelves shelves = stock.read(house, today);
        Fields fields = new Fields(house.reader());
        Method way = reading.way(typed, shelves, house, fields, today);
        BenchForm form = typed.withDefaults(way, house.mass(ChargePlanner.USUAL), Wording.written(today));
        if (!shelves.areEnough()) {
            return new BenchWork(form, fields, shelves, way, Optional.empty());
        }
        return new BenchWork(
                form,
                fields,
                shelves,
                way,
                plan(
                        form,
                        way,
                        new BenchReading.Desk(
                                fields,
                                shelves,
                                house,
                                new BenchSentence(fields, house, clock.instant()),
                                withTime,
                                today)));
    }

    private Optional<Planned> plan(BenchForm form, Method way, BenchReading.Desk desk) {
        Optional<OfJar> vessel = BenchReading.named(
                Stream.concat(desk.shelves().jars().stream(), desk.shelves().pots().stream())
                        .toList(),
                OfJar::id,
                form.jar());
        ChargePlanner.Around around = new ChargePlanner.Around(
                desk.shelves(),
                desk.fields(),
                desk.house().wording(),
                desk.withTime() ? Optional.of(time.times()) : Optional.empty());
        Optional<Charging> read = reading.read(form, way, vessel, desk);
        return read.flatMap(asked -> planner.parts(
                        asked, new ChargePlanner.Into(vessel, BenchForm.SPLIT.equals(form.jar())), around))
                .map(planned -> {
                    List<ChargePart> parts =
                            planned.size() == 1 ? List.of(really(form, planned.get(0), read.get(), desk)) : planned;
                    ChargePlanner.enough(parts, read.get(), around);
                    if (parts.get(0).plan().isMoistFood()
                            && !Storage.REFRIGERATOR.name().equals(form.storage())) {
                        desk.fields()
                                .echo(
                                        "storage",
                                        "food of moist herb stands in the refrigerator, whatever is chosen here");
                    }
                    return planner.inTime(
                                    parts, way, time.read(form, parts.get(0), desk.fields(), desk.house()), around)
                            .outOf(read.get().wanted());
                });
    }

    /** The same with what was really weighed and poured, where that is typed. */
    private static ChargePart really(BenchForm form, ChargePart part, Charging asked, BenchReading.Desk desk) {
        Charge charge = part.plan().charge();
        double left = asked.herbs().size() == 1 ? asked.herbs().get(0).left().grams() : Double.MAX_VALUE;
        Optional<Mass> weighed =
                desk.sentence().weighed(form.weighed(), charge.herbs().mass(), left);
        Optional<Volume> poured = desk.sentence().poured(form.poured(), asked.pour(), charge.oil());
        return part.with(new ChargePart.Weighed(
                weighed.orElse(charge.herbs().mass()),
                poured.orElse(charge.oil()),
                part.weighed().at()));
    }
}
