package app.velvetcrock.melt;

import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.deed.PanDeed;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.stock.Stores;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What goes into a pan and is not in the stores is brought in with the deed that weighs it in: nothing comes from nowhere. */
@Service
public class BroughtIn {

    private final Makings makings;
    private final PanDeeds deeds;
    private final Stores stores;
    private final Households households;

    BroughtIn(Makings makings, PanDeeds deeds, Stores stores, Households households) {
        this.makings = makings;
        this.deeds = deeds;
        this.stores = stores;
        this.households = households;
    }

    /**
     * Begins a making of what is not all in the stores: so much of it as goes in is brought in first, since nothing comes from
     * nowhere; the same key brings it in once.
     */
    @Transactional
    public UUID begin(MakingPlan plan, List<MakingPlan.Weighed> weighed, Doing<?> doing) {
        households.oneAtATime();
        Optional<Makings.Said> before = makings.said(doing.key());
        if (before.isPresent()) {
            return before.get().batch();
        }
        Map<String, UUID> brought = new LinkedHashMap<>();
        plan.fromNowhere(weighed).forEach((key, mass) -> brought.put(key, bring(key, mass)));
        return deeds.begin(plan.outOf(brought), MakingPlan.outOf(weighed, brought), doing);
    }

    private UUID bring(String key, Mass mass) {
        return stores.bring(key, mass, households.current().mass(mass));
    }

    /** Corrects a melt, of a lot or of what is brought in with it: so much as goes in, and once for its key. */
    @Transactional
    public UUID correct(UUID id, Doing<PanDeed.Correct> doing) {
        makings.locked(id);
        PanDeed.Correct deed = doing.deed();
        if (deed.lot().isPresent() || makings.said(doing.key()).isPresent()) {
            return deeds.done(id, doing);
        }
        UUID lot = bring(deed.more().stuff().key(), deed.more().mass());
        return deeds.done(
                id,
                new Doing<>(
                        doing.key(),
                        doing.at(),
                        doing.by(),
                        doing.typed(),
                        new PanDeed.Correct(deed.more(), Optional.of(lot))));
    }
}
