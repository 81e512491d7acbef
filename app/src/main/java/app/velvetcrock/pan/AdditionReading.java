package app.velvetcrock.pan;

import app.velvetcrock.core.kitchen.DropReader;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.ShareReader;
import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.materia.SupplyType;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.melt.Mix.Stirred;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.core.pan.Addition;
import app.velvetcrock.core.text.Linear;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.web.Fields;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads what is stirred into a melt, and how much: by drops, by weight, by measure or by share. */
final class AdditionReading {

    private final PanShelves shelves;
    private final House house;
    private final Fields fields;
    private final ShareReading shares;

    AdditionReading(PanShelves shelves, House house, Fields fields, ShareReading shares) {
        this.shelves = shelves;
        this.house = house;
        this.fields = fields;
        this.shares = shares;
    }

    List<Stirred> read(PanForm form, Mass melt) {
        List<Stirred> all = new ArrayList<>();
        List<PanForm.Row> rows = PanForm.said(form.add());
        for (int i = 0; i < rows.size(); i++) {
            PanForm.Row row = rows.get(i);
            String field = "add[%d].".formatted(i);
            Optional<PanThing> thing = shelves.additions().stream()
                    .filter(one -> one.isMeant(PanForm.text(row.of())))
                    .findFirst();
            if (thing.isEmpty()) {
                fields.trouble(field + "of", "It is not said what.", "one from the list");
            } else if (all.stream().anyMatch(before -> before.thing().equals(thing.get()))) {
                fields.trouble(
                        field + "of",
                        "%s stands here already.".formatted(thing.get().word()),
                        "all of it in one line");
            } else if (PanForm.text(row.share()).isEmpty()) {
                fields.trouble(field + "share", "It is not said how much.", "10 drops, 0.5 %, 5 mL or 2 g");
            } else {
                addition(field + "share", PanForm.text(row.share()), thing.get(), melt)
                        .ifPresent(all::add);
            }
        }
        return all;
    }

    private Optional<Stirred> addition(String field, String said, PanThing thing, Mass melt) {
        if (fields.isTooLong(field, said, Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        String typed = Linear.first(said, "(?i)\\s+each$", "");
        boolean percent = ShareReader.isPercent(typed);
        boolean essential = thing.supply()
                .filter(kind -> kind.type() == SupplyType.ESSENTIAL_OIL)
                .isPresent();
        Optional<Drops> drops = DropReader.read(typed, essential).map(thing::drops);
        if (drops.isPresent() && isSensible(field, drops.get().mass(), melt)) {
            Drops counted = drops.get();
            fields.echo(
                    field,
                    "%s, %s%s"
                            .formatted(
                                    house.volume(counted.volume()),
                                    house.mass(counted.mass()),
                                    thing.own()
                                            .dropsPerMillilitre()
                                            .map(per -> ": %s of this bottle's fill a millilitre"
                                                    .formatted(Decimals.upTo(per, 1)))
                                            .orElse("")));
            return Optional.of(stirred(thing, counted.mass(), Optional.of(counted.count()), essential));
        }
        if (drops.isPresent()) {
            return Optional.empty();
        }
        Optional<Mass> mass = percent
                ? ShareReader.read(typed)
                        .filter(share -> share > 0 && share < 0.5)
                        .map(share -> melt.times(share / (1 - share)))
                : fields.massOf(field, typed, Expect.LIQUID, KnownDensity.ofLiquid(thing.density()))
                        .map(Fields.Weighed::mass);
        if (mass.isEmpty() && percent) {
            fields.trouble(
                    field, "“%s” is no share something is stirred in by.".formatted(typed), "0.5 %, or 10 drops");
        }
        return mass.filter(one -> isSensible(field, one, melt)).map(one -> {
            if (percent) {
                fields.echo(field, house.mass(one));
            }
            return stirred(thing, one, Optional.empty(), essential);
        });
    }

    /** Whether it is more than nothing and no more than what it is stirred into; else says so. */
    private boolean isSensible(String field, Mass mass, Mass melt) {
        if (mass.grams() > melt.grams()) {
            fields.trouble(
                    field,
                    "Understood %s; that is more than the melt itself, %s."
                            .formatted(house.mass(mass), house.mass(melt)),
                    "10 drops, 0.5 %, 5 mL or 2 g");
            return false;
        }
        return shares.within(field, mass);
    }

    private static Stirred stirred(PanThing thing, Mass mass, Optional<Double> count, boolean essential) {
        return new Stirred(
                thing,
                new Addition(
                        thing.key(),
                        thing.common(),
                        mass,
                        count,
                        Addition.When.of(thing.supply().orElseThrow())),
                essential ? Optional.of(count.map(thing::drops).orElseGet(() -> thing.drops(mass))) : Optional.empty());
    }
}
