package app.velvetcrock.pan;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Backwards;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.errands.Awaited;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Makings that wait for their oil, worded; once it is strained each is a sentence of the Pan with the measured oil in it. */
@Component
public class PanWaiting {

    private final Awaited awaited;
    private final Stores stores;
    private final Households households;
    private final List<Kind> kinds = Kind.shipped();

    PanWaiting(Awaited awaited, Stores stores, Households households) {
        this.awaited = awaited;
        this.stores = stores;
        this.households = households;
    }

    /**
     * A making that waits.
     *
     * @param href where it goes on: to the Pan where its oil is there, else to its batch
     */
    public record Waits(UUID batch, int number, String what, String small, boolean ready, String href) {}

    /** All that wait, those first whose oil is there. */
    @Transactional(readOnly = true)
    public List<Waits> all() {
        List<Awaited.Waiting> open = awaited.open();
        if (open.isEmpty()) {
            return List.of();
        }
        House house = households.current();
        List<Stock.OfSupply> tins = stores.supplies(EnumSet.of(LotKind.CONTAINER));
        return open.stream()
                .flatMap(waits -> worded(waits, tins, house).stream())
                .sorted(Comparator.comparing(waits -> !waits.ready()))
                .toList();
    }

    /** What waits for the oil of one batch. */
    @Transactional(readOnly = true)
    public Optional<Waits> of(UUID batch) {
        return all().stream().filter(waits -> waits.batch().equals(batch)).findFirst();
    }

    private Optional<Waits> worded(Awaited.Waiting waits, List<Stock.OfSupply> tins, House house) {
        Optional<Kind> kind = kinds.stream()
                .filter(one -> one.key().equals(waits.wish().kind()))
                .findFirst();
        if (kind.isEmpty()) {
            return Optional.empty();
        }
        BatchSheet batch = waits.batch();
        Optional<Stock.OfSupply> tin = waits.wish().much() instanceof Awaited.Much.Pieces pieces
                ? tins.stream()
                        .filter(one -> one.id().equals(pieces.container()))
                        .findFirst()
                : Optional.empty();
        String what = "%s of %s"
                .formatted(so(waits.wish().much(), tin, house), kind.get().name());
        Optional<Stock.OfOil> oil = waits.oils().stream().max(Comparator.comparing(Stock.OfOil::left));
        boolean strained = batch.strained().isPresent();
        String small = oil.map(
                        one -> "its oil is strained: %s of %s".formatted(house.volume(one.volumeLeft()), one.name()))
                .orElseGet(() -> strained
                        ? "its oil, batch %d, is used up".formatted(batch.number())
                        : "when batch %d, %s, is strained".formatted(batch.number(), batch.name()));
        String href = oil.map(one ->
                        sentence(waits.wish(), kind.get(), one, tin, house).address())
                .orElse("/batch/" + batch.id());
        return Optional.of(new Waits(batch.id(), batch.number(), what, small, oil.isPresent(), href));
    }

    private static String so(Awaited.Much much, Optional<Stock.OfSupply> tin, House house) {
        return much instanceof Awaited.Much.Pieces pieces
                ? "%d × %s"
                        .formatted(pieces.count(), tin.map(Stock.OfSupply::name).orElse("tin"))
                : house.about(((Awaited.Much.Whole) much).mass());
    }

    /** As many as were wanted where the measured oil is enough for them; else all of the oil. */
    private static PanForm sentence(
            Awaited.Wish wish, Kind kind, Stock.OfOil oil, Optional<Stock.OfSupply> tin, House house) {
        int wanted = wish.much() instanceof Awaited.Much.Pieces pieces ? pieces.count() : 0;
        boolean enough = tin.flatMap(one -> PanShelves.tin(one))
                .map(one -> Backwards.of(
                                new Backwards.Wish(kind, wanted, one.container(), wish.firmness()),
                                oil.density(),
                                house.settings().room())
                        .oil())
                .filter(need -> need.millilitres() <= oil.volumeLeft().millilitres())
                .isPresent();
        return PanForm.wanted(
                enough ? String.valueOf(wanted) : "",
                tin.map(one -> one.id().toString()).orElse(""),
                kind,
                oil.id().toString(),
                Decimals.upTo(wish.firmness(), 2));
    }
}
