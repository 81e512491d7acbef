package app.velvetcrock.wish;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.batch.Starting;
import app.velvetcrock.core.bench.ChargePart;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.larder.JarGlass;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.larder.Origin;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.melt.MixPlan;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.core.wish.UsualKitchen;
import app.velvetcrock.core.wish.WishAnswer;
import app.velvetcrock.errands.Awaited;
import app.velvetcrock.errands.Errands;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Arrival;
import app.velvetcrock.stock.Provenance;
import app.velvetcrock.stock.Stores;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Begins what was wished for, once it is charged: what is not in the stores is brought in with it, the batch starts, the making waits for
 * its oil, what is missing is on the list. All of it or nothing, and taken back as one.
 */
@Service
class WishBegin {

    private final Stores stores;
    private final Jars jars;
    private final Starting starting;
    private final Deeds deeds;
    private final Batches batches;
    private final Awaited awaited;
    private final Errands errands;
    private final Households households;

    WishBegin(
            Stores stores,
            Jars jars,
            Starting starting,
            Deeds deeds,
            Batches batches,
            Awaited awaited,
            Errands errands,
            Households households) {
        this.stores = stores;
        this.jars = jars;
        this.starting = starting;
        this.deeds = deeds;
        this.batches = batches;
        this.awaited = awaited;
        this.errands = errands;
        this.households = households;
    }

    /**
     * How it was charged.
     *
     * @param picked how the herb came into the house, where it is brought in with it
     * @param byHand without a scale
     */
    record How(Origin picked, boolean byHand) {}

    /** What came of it: the batches, what was brought in, what was put on the list. */
    record Begun(List<UUID> batches, List<UUID> lots, List<UUID> errands) {}

    /**
     * Charged.
     *
     * @param parts with what was really weighed and poured
     * @param how it was done
     */
    @Transactional
    Begun begin(WishAnswer answer, List<ChargePart> parts, How how, Doing<?> doing) {
        households.oneAtATime();
        List<UUID> lots = new ArrayList<>();
        LocalDate today = households.current().dayOf(doing.at());
        UUID herb = parts.get(0).frozen().takes().get(0).lot();
        if (UsualKitchen.isToCome(herb)) {
            Mass all = parts.stream().map(part -> part.weighed().herb()).reduce(Mass.ZERO, Mass::plus);
            herb = stores.add(new Arrival.Herb(
                    answer.wish().herb().kind(),
                    answer.wish().herb().texture().part(),
                    answer.wish().herb().texture().cut(),
                    answer.wish().herb().moisture(),
                    all,
                    today,
                    null,
                    new Provenance(how.picked(), "", "", null),
                    doing.typed()));
            lots.add(herb);
        }
        UUID oil = parts.get(0).frozen().takes().get(1).lot();
        if (UsualKitchen.isToCome(oil)) {
            Mass all = parts.stream()
                    .map(part ->
                            answer.wish().oil().density().massOf(part.weighed().oil()))
                    .reduce(Mass.ZERO, Mass::plus);
            oil = stores.add(
                    new Arrival.Carrier(answer.wish().oil(), all, today, null, Provenance.UNSAID, doing.typed()));
            lots.add(oil);
        }
        List<Doing<Deed.Start>> starts = new ArrayList<>();
        for (ChargePart part : parts) {
            ChargePart real = new ChargePart(
                    FrozenPlan.of(
                                    part.plan(),
                                    new FrozenPlan.Lots(
                                            List.of(herb),
                                            List.of(oil),
                                            part.frozen().takes().size() > 2
                                                    ? Optional.of(part.frozen()
                                                            .takes()
                                                            .get(2)
                                                            .lot())
                                                    : Optional.empty()))
                            .holding(part.frozen().holds()),
                    jar(part.jar()),
                    part.weighed());
            starts.add(Current.doing(start(real, how.byHand()), doing.key(), doing.at(), doing.typed()));
        }
        List<UUID> started = starting.startAll(starts);
        answer.pan().ifPresent(mix -> awaited.expect(started, awaited(mix)));
        List<UUID> wanted = answer.pan()
                .map(mix -> errands.add(
                        mix.missing().stream().map(MixPlan.Missing::buy).toList(),
                        mix.read().kind().name()))
                .orElse(List.of());
        return new Begun(started, lots, wanted);
    }

    private static Deed.Start start(ChargePart part, boolean byHand) {
        return new Deed.Start(
                part.frozen(),
                part.jar().id(),
                part.jar().kit(),
                part.weighed().herb(),
                part.weighed().oil(),
                byHand);
    }

    private OfJar jar(OfJar jar) {
        return UsualKitchen.isToCome(jar.id())
                ? new OfJar(
                        jars.add(jar.vessel(), new JarGlass(true, List.of()), 1),
                        jar.vessel(),
                        1,
                        false,
                        JarGlass.PLAIN)
                : jar;
    }

    /** What waits for the oil: so many tins where these are here, so much by weight where they are still to be bought. */
    static Awaited.Wish awaited(MixPlan mix) {
        Awaited.Much much = mix.filling()
                .filter(filling -> filling.count() > 0)
                .map(filling -> filling.pours().get(0))
                .flatMap(first -> mix.tins().stream()
                        .filter(tin -> tin.container().equals(first.container()))
                        .map(tin -> UUID.fromString(tin.name()))
                        .filter(lot -> !UsualKitchen.isToCome(lot))
                        .findFirst()
                        .<Awaited.Much>map(lot -> new Awaited.Much.Pieces(first.count(), lot)))
                .orElseGet(() -> new Awaited.Much.Whole(mix.whole()));
        return new Awaited.Wish(mix.read().kind().key(), much, mix.read().firmness());
    }

    /** Takes all of it back: the charge, what came in with it, what was put on the list. A vessel that came with it stays. */
    @Transactional
    void takeBack(Begun begun, Instant now) {
        begun.batches().forEach(batch -> batches.sheet(batch).log().entries().stream()
                .filter(entry -> entry.line() instanceof Line.Charged)
                .findFirst()
                .ifPresent(entry ->
                        deeds.done(batch, Current.doing(new Deed.TakeBack(entry.id()), UUID.randomUUID(), now, ""))));
        begun.lots().forEach(stores::takeBack);
        errands.takeBack(begun.errands());
    }

    /** What is not in the stores yet, and comes in with the charge. */
    static List<String> broughtIn(WishAnswer answer) {
        List<String> with = new ArrayList<>();
        if (UsualKitchen.isToCome(answer.bench().first().frozen().takes().get(0).lot())) {
            with.add(answer.wish().herb().kind().common());
        }
        if (UsualKitchen.isToCome(answer.bench().first().frozen().takes().get(1).lot())) {
            with.add(answer.wish().oil().common());
        }
        if (UsualKitchen.isToCome(answer.bench().jar().id())) {
            with.add("a jar of that size");
        }
        return with;
    }
}
