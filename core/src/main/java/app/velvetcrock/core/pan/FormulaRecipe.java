package app.velvetcrock.core.pan;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Firmness;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.measure.Check;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What something is made of, in shares, to be made again in any amount.
 *
 * @param parts what is melted; their shares come to one
 * @param stirred what goes in afterwards, by what is melted
 */
public record FormulaRecipe(
        String title, String kind, List<Part> parts, List<Stirred> stirred, Use use, List<String> notes) {

    /** From a hundredth of a percent on two recipes differ. */
    private static final double NEAR = 0.00005;

    private static final double PERCENT = 100;
    private static final double ROUNDED = 0.005;

    public FormulaRecipe {
        parts = List.copyOf(parts);
        stirred = List.copyOf(stirred);
        notes = List.copyOf(notes);
        double whole = parts.stream().mapToDouble(Part::share).sum();
        Check.range("the shares of what is melted, together", whole, 1 - ROUNDED, 1 + ROUNDED, "of the whole");
    }

    /** A part of the melt, 0 to 1 of it. */
    public record Part(String key, String name, Formula.Role role, double share) {
        public Part {
            Check.range("share", share, 0, 1, "of the melt");
        }
    }

    /**
     * What is stirred in.
     *
     * @param share grams to a gram of the melt
     * @param drops to 100 g of the melt; absent where it is weighed
     */
    public record Stirred(String key, String name, double share, Optional<Double> drops) {
        public Stirred {
            Check.range("share", share, 0, 1, "of the melt");
        }
    }

    /** A line to weigh out by. */
    public record Line(String key, String name, Mass mass, Optional<Double> drops) {}

    /** Where two recipes differ, in percent of the melt. */
    public record Difference(String what, String here, String there) {}

    /** The recipe of what was melted and stirred in. */
    public static FormulaRecipe of(String title, String kind, Formula formula, List<Addition> additions, Use use) {
        double melt = formula.total().grams();
        return new FormulaRecipe(
                title,
                kind,
                formula.parts().stream()
                        .map(part -> new Part(
                                part.stuff().key(),
                                part.stuff().name(),
                                part.stuff().role(),
                                formula.shareOf(part)))
                        .toList(),
                additions.stream()
                        .map(one -> new Stirred(
                                one.key(),
                                one.name(),
                                one.mass().grams() / melt,
                                one.drops().map(count -> count * PERCENT / melt)))
                        .toList(),
                use,
                List.of());
    }

    /** What so much of a melt takes of each, drops to the whole drop. */
    public List<Line> weigh(Mass melt) {
        List<Line> lines = new ArrayList<>();
        parts.forEach(part -> lines.add(new Line(part.key(), part.name(), melt.times(part.share()), Optional.empty())));
        stirred.forEach(one -> lines.add(new Line(
                one.key(), one.name(), melt.times(one.share()), one.drops().map(each ->
                        (double) Math.round(each * melt.grams() / PERCENT)))));
        return lines;
    }

    /** The melt that takes so much oil; absent of what has none. */
    public Optional<Mass> meltFor(Mass oil) {
        double share = parts.stream()
                .filter(part -> part.role() == Formula.Role.OIL)
                .mapToDouble(Part::share)
                .sum();
        return share <= 0 ? Optional.empty() : Optional.of(oil.times(1 / share));
    }

    /** A melt of it, as it sets in a room so warm. */
    public Formula melt(Mass melt, Setting setting, Temperature room) {
        Formula all = new Formula(List.of());
        for (Part part : parts) {
            double equivalent = part.role() == Formula.Role.OIL ? 0 : setting.equivalent(part.key(), room);
            all = all.with(
                    new Formula.Stuff(part.key(), part.name(), part.role(), equivalent).of(melt.times(part.share())));
        }
        return all;
    }

    /** How firm it sets in a room so warm. */
    public Firmness firmness(Setting setting, Temperature room) {
        return melt(Mass.ofGrams(PERCENT), setting, room).firmness();
    }

    /** Where another differs, thing by thing; the amount is no difference. */
    public List<Difference> differences(FormulaRecipe other) {
        Map<String, Double> here = shares();
        Map<String, Double> there = other.shares();
        Set<String> all = new LinkedHashSet<>(here.keySet());
        all.addAll(there.keySet());
        List<Difference> differences = new ArrayList<>();
        for (String name : all) {
            double one = here.getOrDefault(name, 0.0);
            double two = there.getOrDefault(name, 0.0);
            if (Math.abs(one - two) > NEAR) {
                differences.add(new Difference(name, percent(one), percent(two)));
            }
        }
        return differences;
    }

    private Map<String, Double> shares() {
        Map<String, Double> shares = new LinkedHashMap<>();
        parts.forEach(part -> shares.merge(part.name(), part.share(), Double::sum));
        stirred.forEach(one -> shares.merge(one.name(), one.share(), Double::sum));
        return shares;
    }

    private static String percent(double share) {
        return share == 0 ? "none" : Decimals.upTo(Math.round(share * PERCENT * PERCENT) / PERCENT, 2) + " %";
    }
}
