package app.velvetcrock.pan;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.Pieces;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Formula.Role;
import app.velvetcrock.core.making.HowMuch;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.making.Melt;
import app.velvetcrock.core.making.MeltRequest;
import app.velvetcrock.core.making.MeltRequest.Share;
import app.velvetcrock.core.making.MeltRequest.Wish;
import app.velvetcrock.core.making.OwnRight;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.melt.Mix;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.melt.PanShelves.Tin;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.ToDoubleBiFunction;

/** Reads the Pan's sentence; what is not clear, or cannot be, stands beside its field. */
final class PanReading {

    private static final Pattern ALL = Pattern.compile("all(?: (?:of )?(?:this|the|it|the oil|this oil))?|");

    private final PanShelves shelves;
    private final Setting setting;
    private final ToDoubleBiFunction<PanThing, Temperature> fats;
    private final House house;
    private final Fields fields;
    private final ShareReading shares;

    PanReading(
            PanShelves shelves,
            Setting setting,
            ToDoubleBiFunction<PanThing, Temperature> fats,
            House house,
            Fields fields) {
        this.fats = fats;
        this.shelves = shelves;
        this.setting = setting;
        this.house = house;
        this.fields = fields;
        this.shares = new ShareReading(house, fields);
    }

    /** Reads it; absent with troubles where nothing can be worked out. */
    Optional<Mix> read(PanForm form, Kind kind, Optional<OwnRight> own) {
        Temperature room = room(form);
        Use use = use(form);
        Optional<PanThing> oil = shelves.oil(PanForm.text(form.oil()))
                .or(() -> shelves.oils().stream().findFirst());
        if (oil.isEmpty()) {
            oil = shelves.otherOils().stream().findFirst();
        }
        Optional<PanThing> wax = kind.wax() ? wax(form) : Optional.empty();
        double firmness = firmness(form, kind, own);
        Optional<Tin> tin = tin(form, kind);
        if (oil.isEmpty()) {
            return Optional.empty();
        }
        PanThing from = oil.get();
        Optional<HowMuch> much = howMuch(form, from, tin);
        Optional<Share> share = PanForm.text(form.share()).isEmpty() || wax.isEmpty()
                ? Optional.empty()
                : shares.read("share", form.share(), wax.get(), from);
        List<PanThing> others = new ArrayList<>();
        List<Wish> wishes = wishes(form, others, from, room);
        if (!fields.isClear() || much.isEmpty()) {
            return Optional.empty();
        }
        try {
            Melt melt = Melt.of(new MeltRequest(
                    much.get(),
                    stuff(from, Role.OIL, room),
                    wax.map(one -> stuff(one, Role.WAX, room)),
                    share,
                    wishes,
                    firmness,
                    kind.whipped()));
            List<Mix.Stirred> stirred = new AdditionReading(shelves, house, fields, shares)
                    .read(form, melt.formula().total());
            return fields.isClear()
                    ? Optional.of(new Mix(
                            kind,
                            use,
                            room,
                            from,
                            wax,
                            others,
                            melt,
                            firmness,
                            stirred,
                            tin,
                            much.get() instanceof HowMuch.Count count ? Optional.of(count.count()) : Optional.empty()))
                    : Optional.empty();
        } catch (Melt.CannotBe wrong) {
            fields.trouble(wrong.field(), wrong.getMessage() + ".", "less of the rest, or more in all");
            return Optional.empty();
        }
    }

    private Temperature room(PanForm form) {
        if (PanForm.text(form.room()).isEmpty()) {
            return house.settings().room();
        }
        return fields.amount("room", form.room(), Expect.TEMPERATURE)
                .map(read -> (Temperature) read.amount().middle())
                .filter(at -> {
                    boolean sensible = at.celsius() >= 5 && at.celsius() <= 40;
                    if (!sensible) {
                        fields.trouble("room", "No room is so warm or so cold.", "something from 5 to 40 °C");
                    }
                    return sensible;
                })
                .orElse(house.settings().room());
    }

    static Use use(PanForm form) {
        for (Use use : Use.values()) {
            if (use.name().equals(form.use())) {
                return use;
            }
        }
        return Use.ADULT_SKIN;
    }

    private Optional<PanThing> wax(PanForm form) {
        String said = PanForm.text(form.wax());
        return shelves.waxes().stream()
                .filter(one -> one.isMeant(said))
                .findFirst()
                .or(() -> shelves.ofKey(Setting.BEESWAX));
    }

    private double firmness(PanForm form, Kind kind, Optional<OwnRight> own) {
        double usual = own.map(OwnRight::target).orElse(kind.firmness());
        return PanForm.text(form.firm()).isEmpty()
                ? usual
                : fields.firmness("firm", form.firm(), usual).orElse(usual);
    }

    private Optional<HowMuch> howMuch(PanForm form, PanThing oil, Optional<Tin> tin) {
        String typed = PanForm.text(form.much());
        if (fields.isTooLong("much", typed, Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        if (ALL.matcher(typed.toLowerCase(Locale.ROOT)).matches()) {
            if (oil.left().grams() <= 0) {
                fields.trouble(
                        "much",
                        "There is no %s here, so it is not known how much “all” is.".formatted(oil.common()),
                        "300 g, or a number of tins");
                return Optional.empty();
            }
            return Optional.of(new HowMuch.AllTheOil(oil.left()));
        }
        Optional<Pieces> pieces = Pieces.read(typed);
        if (pieces.isPresent()) {
            int many = pieces.get().count();
            Optional<Container> container = tin.map(Tin::container);
            if (container.isEmpty()) {
                fields.trouble(
                        "into",
                        "%d of what?".formatted(many),
                        "“%d tins”, “%d g”, or choose a container; put yours into the Stores first"
                                .formatted(many, many));
                return Optional.empty();
            }
            if (many < 1 || many > 1000) {
                fields.trouble("much", "Understood %d; it must be from 1 to 1000.".formatted(many), "12");
                return Optional.empty();
            }
            return Optional.of(new HowMuch.Count(many, container.get()));
        }
        return fields.massOf("much", typed, Expect.SOLID, KnownDensity.SOME_OIL)
                .map(Fields.Weighed::mass)
                .filter(mass -> shares.within("much", mass))
                .map(HowMuch.Weight::new);
    }

    /** The container chosen; where so many tins, or people, are said and none is, those of that word, or else those there are most of. */
    private Optional<Tin> tin(PanForm form, Kind kind) {
        Optional<Tin> chosen = shelves.containers().stream()
                .filter(one -> one.name().equals(PanForm.text(form.into())))
                .findFirst();
        if (chosen.isPresent() || !PanForm.text(form.into()).isEmpty()) {
            return chosen;
        }
        Optional<Tin> meant = Pieces.read(PanForm.text(form.much()))
                .filter(pieces -> !pieces.of().isEmpty())
                .flatMap(pieces -> pieces.meant(
                        shelves.containers().stream()
                                .filter(one -> one.isBottle()
                                        ? pieces.of().equals("bottle")
                                        : one.container().mould() == kind.isMoulded()),
                        Tin::word,
                        one -> one.container().brim(),
                        Tin::left));
        meant.ifPresent(one -> fields.echo("into", "into: " + one.container().name()));
        return meant;
    }

    private List<Wish> wishes(PanForm form, List<PanThing> others, PanThing oil, Temperature room) {
        List<Wish> wishes = new ArrayList<>();
        List<PanForm.Row> rows = PanForm.said(form.with());
        for (int i = 0; i < rows.size(); i++) {
            PanForm.Row row = rows.get(i);
            String field = "with[%d].".formatted(i);
            Optional<PanThing> thing = shelves.meltable(PanForm.text(row.of()));
            if (thing.isEmpty()) {
                fields.trouble(field + "of", "It is not said what.", "one from the list");
            } else if (PanForm.text(row.share()).isEmpty()) {
                fields.trouble(field + "share", "It is not said how much.", "10 %, 30 g or 2 tbsp");
            } else {
                Optional<Share> share = shares.read(field + "share", row.share(), thing.get(), oil);
                others.add(thing.get());
                share.ifPresent(much -> wishes.add(new Wish(stuff(thing.get(), role(thing.get()), room), much)));
            }
        }
        return wishes;
    }

    /** An oil sets like nothing, but for one that was infused in fats: that sets like those. */
    private Formula.Stuff stuff(PanThing thing, Role role, Temperature room) {
        return thing.stuff(
                role, role == Role.OIL ? fats.applyAsDouble(thing, room) : setting.equivalent(thing.key(), room));
    }

    private Role role(PanThing thing) {
        return shelves.waxes().contains(thing) ? Role.WAX : shelves.butters().contains(thing) ? Role.BUTTER : Role.OIL;
    }
}
