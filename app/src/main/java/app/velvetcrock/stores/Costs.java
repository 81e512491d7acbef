package app.velvetcrock.stores;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What went into a batch cost, by the mean cost of each lot. */
@Service
public class Costs {

    private final MovementRepository movements;
    private final LotRepository lots;

    Costs(MovementRepository movements, LotRepository lots) {
        this.movements = movements;
        this.lots = lots;
    }

    /**
     * A cost in minor units of the household's currency.
     *
     * @param unpriced names of what went in without a known price, so that the cost is only part of it
     */
    public record Cost(long minor, List<String> unpriced) {}

    /** So much of a lot. */
    public record Taken(UUID lot, long amount) {}

    /** What a batch's herb and oil cost; absent where no price at all is known. */
    @Transactional(readOnly = true)
    public Optional<Cost> ofBatch(UUID batch) {
        return of(movements.usedIn(batch).stream().map(m -> new Taken(m.lotId, -m.amount)).toList());
    }

    /** What some lots' parts cost, each by its lot's mean cost. */
    @Transactional(readOnly = true)
    public Optional<Cost> of(List<Taken> taken) {
        Map<UUID, Lot> byId = lots.among(taken.stream().map(Taken::lot).collect(Collectors.toSet())).stream().collect(Collectors.toMap(lot -> lot.id, Function.identity()));
        List<Taken> here = taken.stream().filter(part -> byId.containsKey(part.lot())).toList();
        List<String> unpriced = here.stream().map(part -> byId.get(part.lot())).filter(lot -> lot.priceMinor == null).map(lot -> lot.name).distinct().toList();
        boolean any = here.stream().anyMatch(part -> byId.get(part.lot()).priceMinor != null);
        double sum = here.stream().mapToDouble(part -> byId.get(part.lot()).costOf(part.amount()).orElse(0.0)).sum();
        return any ? Optional.of(new Cost(Math.round(sum), unpriced)) : Optional.empty();
    }
}
