package app.velvetcrock.core.making;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Worded;
import java.util.ArrayList;
import java.util.List;

/**
 * What is melted together, part by part, by mass (craft: making). What is stirred in afterwards is no part of it.
 *
 * @param parts in the order they were named; of one thing there is one part
 */
public record Formula(List<Part> parts) {

    public Formula {
        parts = List.copyOf(parts);
    }

    /** What a part is in the melt. */
    public enum Role implements Worded {
        OIL("oil"),
        BUTTER("butter"),
        WAX("wax");

        private final String word;

        Role(String word) {
            this.word = word;
        }

        @Override
        public String word() {
            return word;
        }
    }

    /**
     * A thing that can be melted, as the catalogue knows it.
     *
     * @param key in the catalogue
     * @param equivalent what a gram of it sets like, in grams of beeswax, in the room it is made for
     */
    public record Stuff(String key, String name, Role role, double equivalent) {

        public Part of(Mass mass) {
            return new Part(this, mass);
        }
    }

    /** So much of a thing. */
    public record Part(Stuff stuff, Mass mass) {

        double setting() {
            return stuff.equivalent() * mass.grams();
        }
    }

    public Mass total() {
        return Mass.ofGrams(
                parts.stream().mapToDouble(part -> part.mass().grams()).sum());
    }

    /** S = Σ eq·mass, in grams of beeswax. */
    public double setting() {
        return parts.stream().mapToDouble(Part::setting).sum();
    }

    public Firmness firmness() {
        return Firmness.of(parts.stream()
                .map(part -> new Firmness.Ingredient(
                        part.mass(), part.stuff().equivalent(), part.stuff().role() == Role.WAX))
                .toList());
    }

    /** What share of the whole a part is, 0 to 1. */
    public double shareOf(Part part) {
        double total = total().grams();
        return total == 0 ? 0 : part.mass().grams() / total;
    }

    /** What share of the whole all of one role is, 0 to 1. */
    public double shareOf(Role role) {
        return parts.stream()
                .filter(part -> part.stuff().role() == role)
                .mapToDouble(this::shareOf)
                .sum();
    }

    /** The same with more of a thing, or with a thing it had not. */
    public Formula with(Part more) {
        List<Part> all = new ArrayList<>();
        boolean had = false;
        for (Part part : parts) {
            boolean same = part.stuff().key().equals(more.stuff().key());
            all.add(same ? part.stuff().of(part.mass().plus(more.mass())) : part);
            had |= same;
        }
        if (!had) {
            all.add(more);
        }
        return new Formula(all);
    }

    /** The same formula, so many times as much; its firmness stays. */
    public Formula times(double factor) {
        return new Formula(parts.stream()
                .map(part -> part.stuff().of(part.mass().times(factor)))
                .toList());
    }

    /** Tells whether beeswax is the only wax in it, so that it is known where it congeals. */
    boolean isBeeswaxAlone() {
        return parts.stream()
                .filter(part -> part.stuff().role() == Role.WAX)
                .allMatch(part -> part.stuff().key().equals(Setting.BEESWAX));
    }
}
