package app.velvetcrock.cupboard;

import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.larder.Stock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is found of a made thing as it stands in the Cupboard. */
@Service
class GoodsCare {

    private final Conditions conditions;

    GoodsCare(Conditions conditions) {
        this.conditions = conditions;
    }

    /** All that is wrong in the household and not answered. */
    @Transactional(readOnly = true)
    public List<Told> open() {
        return conditions.open();
    }

    /** Why it is never sold, whatever was answered since; absent where it may be. */
    @Transactional(readOnly = true)
    public Optional<String> neverSold(UUID batch, UUID lot) {
        return conditions.neverSold(batch, lot);
    }

    /** What was found of it, answered or not. */
    @Transactional(readOnly = true)
    public List<Told> conditions(Stock.OfGood good) {
        return conditions.ofBatch(good.batch()).stream()
                .filter(told -> told.isOfLot(good.batch(), good.id()))
                .map(told -> told.at(good.batch(), good.id()))
                .toList();
    }
}
