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

    /** What a batch's herb and oil cost; absent where no price at all is known. */
    @Transactional(readOnly = true)
    public Optional<Cost> ofBatch(UUID batch) {
        List<Movement> used = movements.usedIn(batch);
        Map<UUID, Lot> byId = lots.among(used.stream().map(m -> m.lotId).collect(Collectors.toSet())).stream().collect(Collectors.toMap(lot -> lot.id, Function.identity()));
        List<String> unpriced = used.stream().map(m -> byId.get(m.lotId)).filter(lot -> lot.priceMinor == null).map(lot -> lot.name).distinct().toList();
        boolean any = used.stream().anyMatch(m -> byId.get(m.lotId).priceMinor != null);
        double sum = used.stream().mapToDouble(m -> byId.get(m.lotId).costOf(-m.amount).orElse(0.0)).sum();
        return any ? Optional.of(new Cost(Math.round(sum), unpriced)) : Optional.empty();
    }
}
