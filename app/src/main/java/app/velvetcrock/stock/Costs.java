package app.velvetcrock.stock;

import app.velvetcrock.core.larder.LotKind;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.PerRequest;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
     * @param lines what each lot with a price adds, those of one lot together
     */
    public record Cost(long minor, List<String> unpriced, List<Line> lines) {

        /** The same, where something goes in besides whose price is not known. */
        public Cost without(String name) {
            return new Cost(
                    minor, Stream.concat(unpriced.stream(), Stream.of(name)).toList(), lines);
        }
    }

    /** What one lot adds: so much of it, in milligrams, at so much. */
    public record Line(String name, Mass mass, long minor) {}

    /** So much of a lot. */
    public record Taken(UUID lot, long amount) {}

    /** What a batch's herb and oil cost; absent where no price at all is known. */
    @Transactional(readOnly = true)
    public Optional<Cost> ofBatch(UUID batch) {
        return of(movements.usedIn(batch).stream()
                .map(m -> new Taken(m.lotId, -m.amount))
                .toList());
    }

    /** What a milligram of what was made in a batch cost: its share, by weight, of all that went in; absent where no price is known. */
    @Transactional(readOnly = true)
    public Optional<Double> ofMilligram(UUID batch) {
        long in = movements.usedIn(batch).stream().mapToLong(m -> -m.amount).sum();
        return in <= 0 ? Optional.empty() : ofBatch(batch).map(cost -> cost.minor() / (double) in);
    }

    /** What some lots' parts cost, each by its lot's mean cost. */
    @Transactional(readOnly = true)
    public Optional<Cost> of(List<Taken> taken) {
        Map<UUID, Lot> byId = lots.among(taken.stream().map(Taken::lot).collect(Collectors.toSet())).stream()
                .collect(Collectors.toMap(lot -> lot.id, Function.identity()));
        List<Taken> here =
                taken.stream().filter(part -> byId.containsKey(part.lot())).toList();
        List<String> unpriced = here.stream()
                .map(part -> Objects.requireNonNull(byId.get(part.lot())))
                .filter(lot -> costOf(lot, 1).isEmpty())
                .map(lot -> lot.name)
                .distinct()
                .toList();
        boolean any = here.stream().anyMatch(part -> costOf(Objects.requireNonNull(byId.get(part.lot())), 1)
                .isPresent());
        Map<UUID, Long> amounts = here.stream()
                .collect(Collectors.groupingBy(Taken::lot, LinkedHashMap::new, Collectors.summingLong(Taken::amount)));
        double sum = 0;
        List<Line> lines = new ArrayList<>();
        for (Map.Entry<UUID, Long> part : amounts.entrySet()) {
            Lot lot = Objects.requireNonNull(byId.get(part.getKey()));
            Optional<Double> cost = costOf(lot, part.getValue());
            sum += cost.orElse(0.0);
            cost.ifPresent(
                    minor -> lines.add(new Line(lot.name, Mass.ofMilligrams(part.getValue()), Math.round(minor))));
        }
        return any ? Optional.of(new Cost(Math.round(sum), unpriced, lines)) : Optional.empty();
    }

    /** An oil that came of a batch costs its share of what went into that. */
    private Optional<Double> costOf(Lot lot, long amount) {
        UUID batch = lot.batchId();
        if (lot.isPriced() || lot.kind != LotKind.INFUSED_OIL || batch == null) {
            return lot.costOf(amount);
        }
        return PerRequest.of("milligram of batch " + batch, Current.person(), () -> {
                    long strained = movements.strainedOff(batch).stream()
                            .mapToLong(m -> m.amount)
                            .sum();
                    return strained <= 0
                            ? Optional.<Double>empty()
                            : ofBatch(batch).map(cost -> cost.minor() / (double) strained);
                })
                .map(each -> each * amount);
    }
}
