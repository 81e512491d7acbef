package app.velvetcrock.core.bench;

import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.making.Backwards;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * What is to be made of the oil, with what of it is not in the stores.
 *
 * @param tin what it is poured into
 */
public record WantedMaking(Kind kind, int count, Stock.OfSupply tin, double firmness, Backwards back) {

    /** What is lacking by less is not lacking, g or mL. */
    private static final double NEARLY = 0.05;

    /** "24 × Salve tin of firm tin salve". */
    public String words() {
        return "%d × %s of %s".formatted(count, tin.name(), kind.name());
    }

    /** How many of it go with the oil of each vessel; together they are all of it. */
    public List<Integer> shares(List<ChargePart> parts) {
        double whole = parts.stream()
                .mapToDouble(part -> part.plan().charge().oil().millilitres())
                .sum();
        List<Integer> shares = new ArrayList<>();
        int left = count;
        for (int i = parts.size() - 1; i >= 0; i--) {
            double oil = parts.get(i).plan().charge().oil().millilitres();
            int pieces = i == 0 ? left : Math.max(1, Math.min(left - i, (int) Math.round(count * oil / whole)));
            shares.add(0, Math.max(1, pieces));
            left -= pieces;
        }
        return shares;
    }

    /** How much of it is not oil: "234 g of beeswax, 160 g of cocoa butter". */
    public static List<Formula.Part> besidesOil(Backwards back) {
        return back.melt().formula().parts().stream()
                .filter(part -> part.stuff().role() != Formula.Role.OIL)
                .toList();
    }

    /** What must be bought before the planned could be begun and made, as a list to buy by; empty where all of it is here. */
    public static List<String> toBuy(Planned planned, BenchShelves shelves, Wording say) {
        List<String> lines = new ArrayList<>(ofThePlan(planned, shelves, say));
        planned.wanted().flatMap(WantedOil::making).ifPresent(making -> {
            for (Formula.Part part : besidesOil(making.back())) {
                lacks(part.mass(), here(part.stuff().key(), shelves))
                        .ifPresent(mass -> lines.add("%s of %s".formatted(say.mass(mass), name(part, shelves))));
            }
            long tins = shelves.containers().stream()
                    .filter(one -> one.id().equals(making.tin().id()))
                    .mapToLong(Stock.OfSupply::left)
                    .sum();
            if (making.count() > tins) {
                lines.add(
                        "%d × %s".formatted(making.count() - tins, making.tin().name()));
            }
        });
        return lines;
    }

    private static List<String> ofThePlan(Planned planned, BenchShelves shelves, Wording say) {
        Map<UUID, Mass> need = new LinkedHashMap<>();
        for (ChargePart part : planned.parts()) {
            Density density = part.plan().request().carrier().kind().density();
            part.frozen()
                    .taking(part.weighed().herb(), density.massOf(part.weighed().oil()))
                    .forEach(take -> need.merge(take.lot(), take.mass(), Mass::plus));
        }
        List<String> lines = new ArrayList<>();
        need.forEach((lot, mass) -> {
            shelves.herbs().stream().filter(herb -> herb.id().equals(lot)).forEach(herb -> lacks(mass, herb.left())
                    .ifPresent(more -> lines.add("%s of %s (%s)"
                            .formatted(say.mass(more), lower(herb.kind().common()), herb.state()))));
            shelves.carriers().stream()
                    .filter(bottle -> bottle.id().equals(lot))
                    .filter(bottle -> mass.grams() - bottle.left().grams() > NEARLY)
                    .forEach(bottle -> lines.add("%s of %s"
                            .formatted(
                                    say.volume(upwards(bottle.density()
                                            .volumeOf(mass)
                                            .minusToZero(bottle.density().volumeOf(bottle.left())))),
                                    lower(bottle.kind().common()))));
            shelves.spirits().stream().filter(spirit -> spirit.id().equals(lot)).forEach(spirit -> lacks(
                            mass, spirit.mass())
                    .ifPresent(more -> lines.add("%s of %s".formatted(say.mass(more), lower(spirit.name())))));
        });
        return lines;
    }

    /** To the next millilitre up, where it is not one already as it is shown. */
    private static Volume upwards(Volume volume) {
        return Volume.ofMillilitres(Math.ceil(volume.millilitres() - NEARLY));
    }

    private static String lower(String name) {
        return name.toLowerCase(Locale.ROOT);
    }

    private static Mass here(String key, BenchShelves shelves) {
        return key.equals(Setting.BEESWAX)
                ? shelves.beeswax()
                : shelves.carriers().stream()
                        .filter(one -> one.kind().key().equals(key))
                        .map(Stock.OfCarrier::left)
                        .reduce(Mass.ZERO, Mass::plus);
    }

    /** What a part is called here. */
    public static String name(Formula.Part part, BenchShelves shelves) {
        return shelves.carriers().stream()
                .filter(one -> one.kind().key().equals(part.stuff().key()))
                .map(one -> lower(one.kind().common()))
                .findFirst()
                .orElse(part.stuff().key().replace('-', ' '));
    }

    /** So much is to be got, to the next gram up. */
    private static Optional<Mass> lacks(Mass wanted, Mass here) {
        double more = wanted.grams() - here.grams();
        return more <= NEARLY ? Optional.empty() : Optional.of(Mass.ofGrams(Math.ceil(more - 1e-6)));
    }
}
