package app.velvetcrock.rack;

import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.MayAtStores;
import app.velvetcrock.core.deed.Refusal;
import app.velvetcrock.core.deed.StoreDeed;
import app.velvetcrock.core.drying.DryingCourse;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stock.LotCare;
import app.velvetcrock.stock.Stores;
import app.velvetcrock.stock.deeds.StoreDeeds;
import app.velvetcrock.stock.deeds.StoreHands;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.Refused;
import app.velvetcrock.web.Refused.AlreadyDone;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The drying rack: lots laid out, weighed, and taken down dry. */
@Service
public class Rack implements StoreHands {

    private final DryingRepository dryings;
    private final RackWeighingRepository weighings;
    private final Stores stores;
    private final LotCare care;
    private final Clock clock;

    Rack(DryingRepository dryings, RackWeighingRepository weighings, Stores stores, LotCare care, Clock clock) {
        this.dryings = dryings;
        this.weighings = weighings;
        this.stores = stores;
        this.care = care;
        this.clock = clock;
    }

    /**
     * A lot on the rack.
     *
     * @param weighed its weighings' ids, in the order of the course's
     */
    public record OnRack(UUID id, UUID lot, String name, String state, DryingCourse course, List<UUID> weighed) {

        public Mass now() {
            return course.weighIns().isEmpty()
                    ? course.start().mass()
                    : course.weighIns().get(course.weighIns().size() - 1).mass();
        }

        /** What it was taken down as. */
        public String became() {
            return (course.isWilted() ? Moisture.WILTED : Moisture.DRIED).word();
        }
    }

    @Transactional(readOnly = true)
    public List<OnRack> drying() {
        return read(dryings.onTheRack());
    }

    /** The lots that lie on the rack. */
    @Transactional(readOnly = true)
    public Set<UUID> lots() {
        return Set.copyOf(dryings.lotsOnTheRack());
    }

    /** What was taken down lately, the last first. */
    @Transactional(readOnly = true)
    public List<OnRack> takenDown() {
        return read(dryings.takenDown());
    }

    @Transactional(readOnly = true)
    public OnRack find(UUID id) {
        return read(List.of(dryings.findById(id).orElseThrow(() -> new NotHere("that drying"))))
                .get(0);
    }

    /** What a lot weighed last on the rack; absent where it does not lie there. */
    @Transactional(readOnly = true)
    public Optional<Mass> weight(UUID lot) {
        return dryings.of(lot).map(drying -> read(List.of(drying)).get(0).now());
    }

    @Override
    public void takeUp(StoreDeeds.Work work) {
        work.on(StoreDeed.LayOut.class, this::layOut);
        work.on(StoreDeed.Weigh.class, this::weigh);
        work.on(StoreDeed.TakeDown.class, this::takeDown);
    }

    private UUID layOut(Doing<StoreDeed.LayOut> doing) {
        UUID lot = doing.deed().lot();
        if (dryings.isDrying(lot)) {
            throw new AlreadyDone("It lies on the rack already. Nothing was written twice.");
        }
        return dryings.saveAndFlush(new Drying(lot, doing.deed().start(), clock.instant())).id;
    }

    private UUID weigh(Doing<StoreDeed.Weigh> doing) {
        RackWeighing weighing =
                new RackWeighing(onRack(doing.deed().lot()).id, doing.deed().weighed(), doing.typed());
        weighing.recordedAt = clock.instant();
        weighing.accountId = doing.by();
        return weighings.saveAndFlush(weighing).id;
    }

    /** Takes a weighing back, once however often it is asked. */
    @Transactional
    public void takeBackWeighing(UUID id, UUID weighing) {
        open(id);
        RackWeighing found = weighings.findHere(id, weighing).orElseThrow(() -> new NotHere("that weighing"));
        if (found.takenBackAt == null) {
            found.takenBackAt = clock.instant();
        }
    }

    /** The wet lot becomes a dried or wilted one of the last weight. */
    private UUID takeDown(Doing<StoreDeed.TakeDown> doing) {
        Drying drying = onRack(doing.deed().lot());
        OnRack rack = read(List.of(drying)).get(0);
        Moisture as = doing.deed().as();
        Optional<Refusal> wrong = as == Moisture.WILTED
                ? MayAtStores.takeDownWilted(rack.name(), rack.course())
                : MayAtStores.takeDown(rack.name(), rack.course());
        wrong.ifPresent(refusal -> {
            throw new Refused(refusal);
        });
        UUID deed = UUID.randomUUID();
        UUID lot = care.dry(drying.lotId, as, rack.now(), deed, doing.at());
        drying.endedAt = clock.instant();
        drying.driedLot = lot;
        drying.deed = deed;
        return lot;
    }

    private Drying onRack(UUID lot) {
        return dryings.lockOf(lot)
                .orElseThrow(() -> new Refused("It was taken down already. Put it back on the rack first."));
    }

    /** Puts a lot that was taken down back on the rack; refused when the dried herb was used since. */
    @Transactional
    public void putBack(UUID id) {
        Drying drying = dryings.lock(id).orElseThrow(() -> new NotHere("that drying"));
        if (drying.endedAt == null) {
            return;
        }
        care.takeBack(Objects.requireNonNull(drying.deed));
        drying.endedAt = null;
        drying.driedLot = null;
        drying.deed = null;
    }

    private Drying open(UUID id) {
        Drying drying = dryings.lock(id).orElseThrow(() -> new NotHere("that drying"));
        if (drying.endedAt != null) {
            throw new Refused("It was taken down already. Put it back on the rack first.");
        }
        return drying;
    }

    private List<OnRack> read(List<Drying> found) {
        if (found.isEmpty()) {
            return List.of();
        }
        Map<UUID, List<RackWeighing>> weighed =
                weighings.holding(found.stream().map(drying -> drying.id).toList()).stream()
                        .collect(Collectors.groupingBy(weighing -> weighing.dryingId));
        Map<UUID, Stock.OfLot> herbs = stores
                .among(found.stream().map(drying -> drying.lotId).toList())
                .stream()
                .collect(Collectors.toMap(Stock.OfLot::id, Function.identity()));
        return found.stream()
                .map(drying -> {
                    List<RackWeighing> own = weighed.getOrDefault(drying.id, List.of());
                    Stock.OfLot lot = Objects.requireNonNull(herbs.get(drying.lotId));
                    Stock.HerbState herb = lot.herb().orElseThrow();
                    return new OnRack(
                            drying.id,
                            lot.id(),
                            lot.name(),
                            "%s %s"
                                    .formatted(
                                            herb.moisture().word(), herb.part().word()),
                            DryingCourse.of(
                                    drying.start(),
                                    own.stream().map(RackWeighing::weighIn).toList()),
                            own.stream().map(weighing -> weighing.id).toList());
                })
                .toList();
    }
}
