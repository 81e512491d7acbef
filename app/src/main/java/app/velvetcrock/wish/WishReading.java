package app.velvetcrock.wish;

import app.velvetcrock.core.caution.Cautions;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.Pieces;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.HerbKind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.recipe.Thing;
import app.velvetcrock.core.recipe.Things;
import app.velvetcrock.core.wish.Asked;
import app.velvetcrock.core.wish.Kitchen;
import app.velvetcrock.core.wish.Said;
import app.velvetcrock.core.wish.Wish;
import app.velvetcrock.core.wish.WishPlanner;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reads the sentence of a wish; what is not clear, or is made nowhere, stands beside its field. */
public final class WishReading {

    private static final int LONGEST = 120;
    private static final double MOST_GRAMS = 20_000;
    private static final double MOST_OF_IT = 20_000;

    private final Words words;
    private final House house;
    private final Kitchen kitchen;
    private final Fields fields;
    private final List<Kind> kinds;

    /** What the words of a sentence can mean. */
    public record Words(Things things, Materia materia, Collection<CarrierKind> carriers) {}

    public WishReading(Words words, House house, Kitchen kitchen, Fields fields, List<Kind> kinds) {
        this.words = words;
        this.house = house;
        this.kitchen = kitchen;
        this.fields = fields;
        this.kinds = kinds;
    }

    /** Reads it; absent with troubles where it cannot be. */
    public Optional<Wish> read(WishForm form) {
        Asked asked = asked(form);
        Use use = use(form, asked);
        Optional<Wish.Herb> herb = herb(form);
        Optional<CarrierKind> oil = oil(form);
        herb.filter(one -> isNoGift(one.kind(), form))
                .ifPresent(one -> fields.trouble(
                        "herb",
                        "%s in oil is never given away: in oil it can grow what makes botulism, which nobody sees or smells."
                                .formatted(one.kind().common()),
                        "a dried herb, or for your own table within four days"));
        Optional<Wish.Much> much = much(form, asked.kind());
        Optional<Instant> by = by(form);
        return fields.isClear()
                ? Optional.of(
                        new Wish(herb.orElseThrow(), oil.orElseThrow(), asked.kind(), much.orElseThrow(), use, by))
                : Optional.empty();
    }

    private static boolean isNoGift(HerbKind herb, WishForm form) {
        String said = WishForm.text(form.what()).toLowerCase(Locale.ROOT);
        return (herb.traits().contains("garlic") || herb.traits().contains("hot"))
                && (said.contains("gift")
                        || said.contains("present")
                        || said.contains("sell")
                        || said.contains("sale"));
    }

    private Asked asked(WishForm form) {
        String said = WishForm.text(form.what());
        Asked asked = Asked.read(said.length() > LONGEST ? said.substring(0, LONGEST) : said, kinds);
        if (fields.isTooLong("what", said, LONGEST)) {
            return asked;
        }
        if (asked.never().isPresent()) {
            fields.trouble("what", asked.never().get(), "");
        } else if (!asked.isKnown()) {
            fields.trouble(
                    "what",
                    said.isEmpty()
                            ? "It is not said what is wanted."
                            : "“%s”: not known here what that is.".formatted(said),
                    "a salve, a lip balm, a massage oil, or the oil itself");
        }
        return asked;
    }

    /** Whoever is named in the words of what is wanted counts, where nobody else is chosen. */
    private Use use(WishForm form, Asked asked) {
        Use chosen = Use.ADULT_SKIN;
        for (Use use : Use.values()) {
            chosen = use.name().equals(form.use()) ? use : chosen;
        }
        Use meant = Said.forWhom(WishForm.text(form.what())).orElse(chosen);
        if (meant != chosen
                && (chosen == Use.ADULT_SKIN || chosen == Use.HANDS || meant.isTender() && !chosen.isTender())) {
            fields.echo("use", "understood for " + meant.word());
            return meant;
        }
        return chosen;
    }

    private Optional<Wish.Herb> herb(WishForm form) {
        String said = WishForm.text(form.herb());
        if (fields.isTooLong("herb", said, LONGEST)) {
            return Optional.empty();
        }
        Optional<String> refused = Cautions.shipped().refusal(said);
        if (refused.isPresent()) {
            fields.trouble(
                    "herb",
                    "No %s, in whatever amount: it is poisonous through skin and mouth.".formatted(refused.get()),
                    "another herb");
            return Optional.empty();
        }
        Optional<Thing> thing =
                words.things().find(said).filter(one -> one.herb().isPresent());
        if (thing.isEmpty()) {
            List<String> near = words.things().near(said);
            fields.trouble(
                    "herb",
                    said.isEmpty() ? "It is not said of which herb." : "“%s”: no herb known here.".formatted(said),
                    near.isEmpty() ? "calendula, nettle or another" : "perhaps " + String.join(", ", near));
            return Optional.empty();
        }
        HerbKind kind = thing.get().herb().orElseThrow();
        Moisture moisture = Said.moisture(said).orElseGet(() -> oneOf(Moisture.values(), form.state(), Moisture.DRIED));
        Cut cut = Said.cut(said).orElseGet(() -> oneOf(Cut.values(), form.cut(), Cut.WHOLE));
        Part part = Said.part(said).orElse(kind.part());
        fields.echo(
                "herb",
                "%s (%s), %s %s, %s"
                        .formatted(kind.common(), kind.botanical(), moisture.word(), part.word(), cut.word()));
        Optional<Mass> mass = WishForm.text(form.amount()).isEmpty()
                ? Optional.empty()
                : fields.massOf(
                                "amount",
                                form.amount(),
                                Expect.SOLID,
                                thing.get().known())
                        .map(Fields.Weighed::mass)
                        .filter(this::sensible);
        return Optional.of(new Wish.Herb(kind, words.materia().texture(part, cut), moisture, mass));
    }

    private boolean sensible(Mass mass) {
        boolean sensible = mass.grams() > 0 && mass.grams() <= MOST_GRAMS;
        if (!sensible) {
            fields.trouble(
                    "amount",
                    "Understood %s; more than nothing and at most 20 kg.".formatted(house.mass(mass)),
                    "30 g");
        }
        return sensible;
    }

    private Optional<CarrierKind> oil(WishForm form) {
        String said = WishForm.text(form.oil());
        if (fields.isTooLong("oil", said, LONGEST)) {
            return Optional.empty();
        }
        String key = words.things()
                .find(said.toLowerCase(Locale.ROOT).contains("oil") ? said : said + " oil")
                .filter(one -> one.role() == Thing.Role.OIL || one.role() == Thing.Role.BUTTER)
                .map(Thing::key)
                .orElse("");
        Optional<CarrierKind> kind = here(said, key).or(() -> words.carriers().stream()
                .filter(one -> one.key().equals(key))
                .findFirst());
        if (kind.isEmpty()) {
            fields.trouble(
                    "oil",
                    said.isEmpty()
                            ? "It is not said which oil."
                            : "“%s”: no oil known here to infuse in.".formatted(said),
                    "olive oil, sunflower oil or another");
        }
        return kind;
    }

    /** Of oils that are called so, one that is here: "sunflower oil" where a bottle of high-oleic sunflower stands there. */
    private Optional<CarrierKind> here(String said, String key) {
        String bare = said.toLowerCase(Locale.ROOT).replace("oil", "").strip();
        List<CarrierKind> kinds = kitchen.bench().carriers().stream()
                .map(Stock.OfCarrier::kind)
                .filter(kind -> kind.key().equals(key)
                        || !bare.isEmpty()
                                && kind.common().toLowerCase(Locale.ROOT).contains(bare))
                .toList();
        Optional<CarrierKind> found = kinds.stream()
                .filter(kind -> kind.key().equals(key))
                .findFirst()
                .or(() -> kinds.stream().findFirst());
        found.filter(kind -> !kind.key().equals(key))
                .ifPresent(kind -> fields.echo("oil", "%s, which is here".formatted(kind.common())));
        return found;
    }

    private Optional<Wish.Much> much(WishForm form, Optional<Kind> kind) {
        String said = WishForm.text(form.much());
        if (said.isEmpty()) {
            return Optional.of(new Wish.Much.AllThereIs());
        }
        if (fields.isTooLong("much", said, LONGEST)) {
            return Optional.empty();
        }
        Optional<Pieces> pieces = Pieces.read(said).filter(read -> read.count() > 0);
        if (pieces.isPresent()) {
            return pieces(pieces.get(), kind);
        }
        return fields.massOf("much", said, kind.isPresent() ? Expect.SOLID : Expect.LIQUID, KnownDensity.SOME_OIL)
                .map(Fields.Weighed::mass)
                .filter(mass -> {
                    boolean sensible = mass.grams() > 1 && mass.grams() <= MOST_OF_IT;
                    if (!sensible) {
                        fields.trouble(
                                "much",
                                "Understood %s; a gram at least, and 20 kg at most.".formatted(house.mass(mass)),
                                "300 g");
                    }
                    return sensible;
                })
                .map(mass -> kind.isPresent()
                        ? new Wish.Much.Weight(mass)
                        : new Wish.Much.OfOil(KnownDensity.SOME_OIL.density().volumeOf(mass)));
    }

    private Optional<Wish.Much> pieces(Pieces pieces, Optional<Kind> kind) {
        boolean mould = kind.filter(Kind::isMoulded).isPresent();
        // Where none is here they are those of the usual sizes, to be bought.
        Optional<PanShelves.Tin> tin = kind.isEmpty()
                ? Optional.empty()
                : meant(pieces, WishPlanner.into(kitchen, kind.get()), mould)
                        .or(() -> meant(pieces, WishPlanner.intoUsual(kind.get()), mould));
        if (kind.isEmpty() && pieces.millilitres().isPresent()) {
            return Optional.of(new Wish.Much.OfOil(Volume.ofMillilitres(
                    pieces.count() * (double) pieces.millilitres().get())));
        }
        if (tin.isEmpty()) {
            fields.trouble(
                    "much",
                    kind.isEmpty() ? "%d of what size?".formatted(pieces.count()) : "No container for that is here.",
                    kind.isEmpty() ? "6 bottles of 100 mL, or 600 mL" : "300 g, or put your tins into the Stores");
            return Optional.empty();
        }
        fields.echo("much", "into: " + tin.get().container().name());
        return Optional.of(new Wish.Much.Filled(pieces.count(), tin.get().container()));
    }

    private static Optional<PanShelves.Tin> meant(Pieces pieces, List<PanShelves.Tin> tins, boolean mould) {
        return pieces.meant(
                tins.stream()
                        .filter(one -> one.isBottle()
                                ? pieces.of().equals("bottle")
                                : one.container().mould() == mould),
                PanShelves.Tin::word,
                one -> one.container().brim(),
                PanShelves.Tin::left);
    }

    private Optional<Instant> by(WishForm form) {
        String said = WishForm.text(form.needed());
        if (said.isEmpty() || fields.isTooLong("needed", said, WhenReader.LONGEST)) {
            return Optional.empty();
        }
        Instant now = kitchen.place().now();
        WhenReader future = house.future(now);
        Optional<LocalDate> day = future.day(said);
        Optional<Instant> at = day.map(date -> date.atTime(Pace.MORNING))
                .or(() -> future.moment(said))
                .map(there -> there.atZone(house.settings().zone()).toInstant());
        if (at.isEmpty()) {
            fields.trouble(
                    "needed",
                    "“%s”: that is no day known here.".formatted(said),
                    "Saturday week, in 5 weeks, or 12 Dec");
        } else if (at.get().isBefore(now)) {
            fields.trouble(
                    "needed", "Understood %s, which is past.".formatted(house.dayAndTime(at.get())), "a day to come");
            return Optional.empty();
        } else {
            fields.echo("needed", "needed by " + house.dayAndTime(at.get()));
        }
        return at;
    }

    private static <E extends Enum<E>> E oneOf(E[] values, @Nullable String said, E usual) {
        for (E value : values) {
            if (value.name().equals(said)) {
                return value;
            }
        }
        return usual;
    }
}
