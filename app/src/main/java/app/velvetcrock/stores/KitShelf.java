package app.velvetcrock.stores;

import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Kit that has no stock: pots, cookers, ovens, thermometers, presses, cloths. */
@Service
public class KitShelf {

    private final KitRepository kit;
    private final Clock clock;

    KitShelf(KitRepository kit, Clock clock) {
        this.kit = kit;
        this.clock = clock;
    }

    /**
     * A piece of kit.
     *
     * @param capacity absent for what holds nothing
     * @param width inside; absent where it does not matter
     */
    public record NewKit(KitKind kind, String name, Optional<Volume> capacity, Optional<Length> width, String settings, int pieces) {

        /** How high it is inside, where size and width tell. */
        public Optional<Length> height() {
            return capacity.flatMap(volume -> width.map(across -> new Vessel(name, volume, across).height()));
        }
    }

    /** Kit as owned. */
    public record OfKit(UUID id, NewKit kit) {}

    @Transactional(readOnly = true)
    public List<OfKit> all() {
        return kit.all().stream().map(Kit::shown).toList();
    }

    @Transactional
    public UUID add(NewKit piece) {
        return kit.saveAndFlush(new Kit(piece, clock.instant())).id;
    }

    /** Takes a piece out, or puts it back. */
    @Transactional
    public void remove(UUID id, boolean removed) {
        kit.findById(id).orElseThrow(() -> new NotHere("that piece of kit")).removedAt = removed ? clock.instant() : null;
    }
}
