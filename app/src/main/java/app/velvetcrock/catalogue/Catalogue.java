package app.velvetcrock.catalogue;

import app.velvetcrock.core.caution.Bearing;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.web.NotHere;
import app.velvetcrock.web.PerRequest;
import app.velvetcrock.web.Refused;
import java.text.Normalizer;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shipped herbs and carriers with the household's own among them; a correction stands in for the shipped one. */
@Service
public class Catalogue {

    /** What a herb nobody has described tends to give an oil; for drawing only. */
    private static final String HERB_TINT = "#8a8f4a";

    private static final String CARRIER_TINT = "#e3c765";
    private static final String OWN = "own-";
    private static final int LONGEST_KEY = 80;
    private static final int LONGEST_WORDS = 600;

    /** A place that may hold something of a kind, which then stays in the catalogue. */
    public interface Stored {
        boolean isStored(String kindKey);
    }

    private final Materia materia;
    private final OwnHerbRepository herbs;
    private final OwnCarrierRepository carriers;
    private final List<HerbKind> shippedHerbs;
    private final List<CarrierKind> shippedCarriers;
    private final ObjectProvider<Stored> stored;
    private final Clock clock;

    Catalogue(
            Materia materia,
            OwnHerbRepository herbs,
            OwnCarrierRepository carriers,
            ObjectProvider<Stored> stored,
            Clock clock) {
        this.materia = materia;
        this.shippedHerbs = materia.herbs().stream()
                .sorted(Comparator.comparing(HerbKind::common))
                .toList();
        this.shippedCarriers = materia.carriers().stream()
                .sorted(Comparator.comparing(CarrierKind::common))
                .toList();
        this.herbs = herbs;
        this.carriers = carriers;
        this.stored = stored;
        this.clock = clock;
    }

    /** Every herb by name, the household's own in place of the shipped one it corrects. */
    @Transactional(readOnly = true)
    public List<HerbKind> herbs() {
        return PerRequest.of("herbs", Current.person(), this::readHerbs);
    }

    private List<HerbKind> readHerbs() {
        List<HerbKind> own = herbs.all().stream().map(this::kind).toList();
        if (own.isEmpty()) {
            return shippedHerbs;
        }
        Map<String, HerbKind> all = materia.herbs().stream()
                .collect(Collectors.toMap(HerbKind::key, kind -> kind, (a, b) -> b, LinkedHashMap::new));
        own.forEach(kind -> all.put(kind.key(), kind));
        return all.values().stream()
                .sorted(Comparator.comparing(HerbKind::common))
                .toList();
    }

    @Transactional(readOnly = true)
    public List<CarrierKind> carriers() {
        return PerRequest.of("carriers", Current.person(), this::readCarriers);
    }

    private List<CarrierKind> readCarriers() {
        List<CarrierKind> own = carriers.all().stream().map(this::kind).toList();
        if (own.isEmpty()) {
            return shippedCarriers;
        }
        Map<String, CarrierKind> all = materia.carriers().stream()
                .collect(Collectors.toMap(CarrierKind::key, kind -> kind, (a, b) -> b, LinkedHashMap::new));
        own.forEach(kind -> all.put(kind.key(), kind));
        return all.values().stream()
                .sorted(Comparator.comparing(CarrierKind::common))
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<HerbKind> herb(String key) {
        return herbs.byKey(key).map(this::kind).or(() -> materia.herb(key));
    }

    @Transactional(readOnly = true)
    public Optional<CarrierKind> carrier(String key) {
        return carriers.byKey(key).map(this::kind).or(() -> materia.carrier(key));
    }

    /** A kind by all its names, for search. */
    public record Named(String common, String what, String words) {}

    @Transactional(readOnly = true)
    public List<Named> names() {
        List<Named> names = new ArrayList<>();
        herbs().forEach(herb ->
                names.add(new Named(herb.common(), "herb", words(herb.common(), herb.botanical(), herb.synonyms()))));
        carriers()
                .forEach(carrier ->
                        names.add(new Named(carrier.common(), "carrier", words(carrier.common(), "", List.of()))));
        materia.supplies()
                .forEach(supply -> names.add(new Named(
                        supply.common(),
                        supply.type().word(),
                        words(supply.common(), supply.botanical(), supply.synonyms()))));
        return names;
    }

    /** The keys of what the household added or corrected. */
    @Transactional(readOnly = true)
    public Set<String> ownKeys() {
        Set<String> keys = new TreeSet<>();
        herbs.all().forEach(own -> keys.add(own.key));
        carriers.all().forEach(own -> keys.add(own.key));
        return keys;
    }

    /** Writes a herb down; its key is that of the one it corrects, or one made from its name. */
    @Transactional
    public void keep(HerbKind kind) {
        String key = kind.key().isEmpty() ? newKey(kind.common()) : kind.key();
        OwnHerb own = herbs.byKey(key).orElseGet(() -> new OwnHerb(key, clock.instant()));
        own.set(kind);
        herbs.save(own);
    }

    /** Writes a carrier down and tells its key. */
    @Transactional
    public String keep(CarrierKind kind) {
        String key = kind.key().isEmpty() ? newKey(kind.common()) : kind.key();
        OwnCarrier own = carriers.byKey(key).orElseGet(() -> new OwnCarrier(key, clock.instant()));
        own.set(kind);
        carriers.save(own);
        return key;
    }

    /** Forgets what the household wrote of a kind; refused while something of it is stored that nobody else describes. */
    @Transactional
    public void forget(String key) {
        boolean shipped = materia.herb(key).isPresent() || materia.carrier(key).isPresent();
        if (!shipped && stored.stream().anyMatch(place -> place.isStored(key))) {
            throw new Refused("Something of this was stored, so it stays in the catalogue.");
        }
        boolean herb = herbs.byKey(key)
                .map(own -> {
                    herbs.delete(own);
                    return true;
                })
                .orElse(false);
        boolean carrier = carriers.byKey(key)
                .map(own -> {
                    carriers.delete(own);
                    return true;
                })
                .orElse(false);
        if (!herb && !carrier) {
            throw new NotHere("that kind");
        }
    }

    /** Every name a thing goes by, for search; as much of them as is kept. */
    public static String words(String common, String botanical, List<String> synonyms) {
        String all = Stream.concat(Stream.of(common, botanical), synonyms.stream())
                .filter(name -> !name.isBlank())
                .collect(Collectors.joining(" "))
                .toLowerCase(Locale.ROOT);
        return all.substring(0, Math.min(LONGEST_WORDS, all.length()));
    }

    /** Tells whether a key was made by a household; its own of a name goes before a shipped one. */
    public static boolean isOwn(String key) {
        return key.startsWith(OWN);
    }

    static String join(Collection<String> traits) {
        return String.join(",", new TreeSet<>(traits));
    }

    static Set<String> split(String traits) {
        return Arrays.stream(Linear.split(traits, ","))
                .filter(trait -> !trait.isBlank())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** A key of plain letters that no shipped kind has. */
    static String newKey(String common) {
        String plain = Linear.every(
                Linear.every(
                        Normalizer.normalize(common, Normalizer.Form.NFD).toLowerCase(Locale.ROOT), "[^a-z0-9]+", "-"),
                "^-|-$",
                "");
        String key = OWN + (plain.isEmpty() ? Integer.toHexString(common.hashCode()) : plain);
        return key.substring(0, Math.min(LONGEST_KEY, key.length()));
    }

    private HerbKind kind(OwnHerb own) {
        Optional<HerbKind> shipped = materia.herb(own.key);
        HerbKind kind = own.kind(
                shipped.map(HerbKind::tint).orElse(HERB_TINT),
                shipped.map(HerbKind::synonyms).orElse(List.of()));
        return shipped.isPresent() ? kind : kind.withTraits(with(kind.traits(), Bearing.UNKNOWN_HERB));
    }

    private CarrierKind kind(OwnCarrier own) {
        Optional<CarrierKind> shipped = materia.carrier(own.key);
        CarrierKind kind = own.kind(shipped.map(CarrierKind::tint).orElse(CARRIER_TINT));
        return shipped.isPresent() || kind.traits().contains(CarrierKind.BLEND)
                ? kind
                : kind.withTraits(with(kind.traits(), Bearing.UNKNOWN_CARRIER));
    }

    /** What a household named itself is unknown, not harmless. */
    private static Set<String> with(Set<String> traits, String unknown) {
        Set<String> all = new TreeSet<>(traits);
        all.add(unknown);
        return all;
    }
}
