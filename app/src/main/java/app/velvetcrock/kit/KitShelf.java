package app.velvetcrock.kit;

import app.velvetcrock.core.charge.Bath;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.larder.JarGlass;
import app.velvetcrock.core.larder.OfJar;
import app.velvetcrock.core.measure.Length;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Source;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.PerRequest;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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
    public record NewKit(
            KitKind kind, String name, Optional<Volume> capacity, Optional<Length> width, String settings, int pieces) {

        /** How high it is inside, where size and width tell. */
        public Optional<Length> height() {
            return capacity.flatMap(volume -> width.map(across -> new Vessel(name, volume, across).height()));
        }
    }

    /** Kit as owned. */
    public record OfKit(UUID id, NewKit kit) {}

    private List<Kit> owned() {
        return PerRequest.of("kit", Current.person(), kit::all);
    }

    @Transactional(readOnly = true)
    public List<OfKit> all() {
        return owned().stream().map(Kit::shown).toList();
    }

    /** Pots and inserts a charge can lie in, or a jar can stand in. */
    @Transactional(readOnly = true)
    public List<OfJar> pots() {
        return owned().stream()
                .flatMap(
                        piece -> piece
                                .vessel()
                                .map(vessel -> new OfJar(piece.id, vessel, piece.pieces, true, JarGlass.PLAIN))
                                .stream())
                .toList();
    }

    /** The pan a jar can stand in, of a way that heats it in water; absent where it lies in the pot itself, or none is large enough. */
    @Transactional(readOnly = true)
    public Optional<Bath> bath(Method way, Charge charge) {
        return way.isInWater() && !charge.vessel().open()
                ? Bath.smallest(pots().stream().map(OfJar::vessel).toList(), charge)
                : Optional.empty();
    }

    /** What a source has to heat: the oil, and the water it stands in as far as that is known (craft: devices). */
    @Transactional(readOnly = true)
    public Volume load(Method way, Charge charge) {
        return bath(way, charge).map(bath -> charge.oil().plus(bath.water())).orElse(charge.oil());
    }

    /** Locks a pot's row, so that two batches started at once cannot both take the last of it. */
    @Transactional
    public OfJar lockPot(UUID id) {
        Kit pot = kit.lock(id).orElseThrow(() -> new NotHere("that pot"));
        return new OfJar(
                pot.id, pot.vessel().orElseThrow(() -> new NotHere("that pot")), pot.pieces, true, JarGlass.PLAIN);
    }

    /** The sources of heat the household has listed. */
    @Transactional(readOnly = true)
    public Set<Source> sources() {
        return owned().stream()
                .flatMap(piece -> Stream.of(Source.values())
                        .filter(source -> source.name().equals(piece.kind.name())))
                .collect(Collectors.toSet());
    }

    /**
     * What gives a way its heat: the pot it lies in, or the only piece of the household's that can; absent where it has several, or
     * none, since nobody said which.
     */
    @Transactional(readOnly = true)
    public Optional<OfKit> sourceOf(Set<Source> sources, UUID stand) {
        List<OfKit> able = able(sources);
        return able.stream()
                .filter(piece -> piece.id().equals(stand))
                .findFirst()
                .or(() -> able.stream()
                        .filter(piece -> able.size() == 1 && piece.kit().pieces() == 1)
                        .findFirst());
    }

    /** The household's pieces that could heat a way. */
    @Transactional(readOnly = true)
    public List<OfKit> able(Set<Source> sources) {
        return owned().stream()
                .filter(piece ->
                        sources.stream().anyMatch(source -> source.name().equals(piece.kind.name())))
                .map(Kit::shown)
                .toList();
    }

    /** How many there are of each source of heat, by its name. */
    @Transactional(readOnly = true)
    public Map<String, Integer> pieces() {
        return owned().stream()
                .collect(Collectors.toMap(piece -> piece.kind.name(), piece -> piece.pieces, Integer::sum));
    }

    @Transactional
    public UUID add(NewKit piece) {
        return kit.saveAndFlush(new Kit(piece, clock.instant())).id;
    }

    /** Takes a piece out, or puts it back. */
    @Transactional
    public void remove(UUID id, boolean removed) {
        kit.findById(id).orElseThrow(() -> new NotHere("that piece of kit")).removedAt =
                removed ? clock.instant() : null;
    }
}
