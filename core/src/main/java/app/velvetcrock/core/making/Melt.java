package app.velvetcrock.core.making;

import app.velvetcrock.core.making.MeltRequest.Share;
import app.velvetcrock.core.making.MeltRequest.Wish;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.working.Figure;
import app.velvetcrock.core.working.Working;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A melt worked out: every part in grams, how firm it sets, how it pours (craft: making).
 *
 * <p>With shares b and weights g of all that is said, e their equivalents, f = F/100 and the wax's own e: of a whole M the wax takes
 * ((f − Σ e·b)·M − Σ e·g)/e and the oil what is left; where the oil was itself infused in fats that set like o,
 * every e and f less o. Where the oil is what is given, M follows from it.
 *
 * @param wax as the first of the sum says: what was worked out, or said
 * @param tooHard true where what is said sets harder than was wanted without any wax at all
 */
public record Melt(Formula formula, Firmness firmness, double shrinkage, boolean tooHard, Working working) {

    private static final double PERCENT = 100;

    /** Nothing of this size is a kitchen's: 20 kg. */
    private static final double MOST_GRAMS = 20_000;

    /** Why nothing can be made as it was said, as the field it hangs on and what is wrong. */
    public static final class CannotBe extends RuntimeException {

        private static final long serialVersionUID = 1;

        private final String field;

        CannotBe(String field, String wrong) {
            super(wrong);
            this.field = field;
        }

        /** "wax", "oil" or "much". */
        public String field() {
            return field;
        }
    }

    /**
     * Works it out.
     *
     * @throws CannotBe where what is said leaves no room for the oil, comes to nothing, or to more than 20 kg
     */
    public static Melt of(MeltRequest asked) {
        // Shrinkage rests on the shares, and how much is wanted on the shrinkage; the shares do not rest on how much,
        // but for weights said.
        double shrinkage = 0;
        Formula formula = new Formula(List.of());
        for (int i = 0; i < ROUNDS; i++) {
            formula = formula(asked, shrinkage);
            shrinkage = Filling.shrinkage(formula);
        }
        Firmness firmness = formula.firmness();
        boolean solved = asked.waxSaid().isEmpty();
        return new Melt(
                formula,
                firmness,
                shrinkage,
                solved && firmness.value() > asked.firmness() + NEAR,
                sum(asked, formula));
    }

    /** By then it moves by less than a milligram. */
    private static final int ROUNDS = 4;

    /** F is shown to a tenth. */
    private static final double NEAR = 0.05;

    private static Formula formula(MeltRequest asked, double shrinkage) {
        Sums said = Sums.of(asked);
        // An oil that was infused in fats sets like something itself: all is reckoned by how much more than it the rest
        // sets.
        double o = asked.oil().equivalent();
        double f = asked.firmness() / PERCENT - o;
        double e = asked.wax().map(Formula.Stuff::equivalent).orElse(1.0) - o;
        boolean solves = asked.wax().isPresent() && asked.waxSaid().isEmpty() && e > 0;
        // The wax is a·M + c; the oil M·(1 − b − a) − g − c − perOil·oil.
        double a = solves ? (f - said.setShare()) / e : 0;
        double c = solves ? -said.setGrams() / e : 0;
        double perOilWax = solves ? -said.setPerOil() / e : 0;
        double oilShare = 1 - said.share() - a;
        double perOil = 1 + said.perOil() + perOilWax;
        double whole = whole(asked, shrinkage, oilShare, said.grams() + c, perOil);
        double oil = (whole * oilShare - said.grams() - c) / perOil;
        double wax = a * whole + c + perOilWax * oil;
        if (solves && wax < 0) {
            return formula(without(asked), shrinkage);
        }
        if (oil < -1e-6) {
            throw new CannotBe(
                    "oil", "What is said besides the oil comes to more than the whole: no room is left for the oil");
        }
        if (!(whole > 0)) {
            throw new CannotBe("much", "That comes to nothing");
        }
        if (whole > MOST_GRAMS) {
            throw new CannotBe("much", "That comes to more than 20 kg, which no kitchen melts at once");
        }
        List<Formula.Part> parts = new ArrayList<>();
        parts.add(asked.oil().of(Mass.ofGrams(Math.max(0, oil))));
        for (Wish wish : asked.others()) {
            parts.add(wish.stuff().of(Mass.ofGrams(grams(wish.share(), whole, oil))));
        }
        asked.wax()
                .ifPresent(stuff -> parts.add(stuff.of(Mass.ofGrams(
                        asked.waxSaid().map(share -> grams(share, whole, oil)).orElse(wax)))));
        Formula all = new Formula(List.of());
        for (Formula.Part part : parts) {
            all = part.mass().grams() > 0 ? all.with(part) : all;
        }
        return all;
    }

    /** The same with no wax, where even none is too much. */
    private static MeltRequest without(MeltRequest asked) {
        return new MeltRequest(
                asked.howMuch(),
                asked.oil(),
                Optional.empty(),
                Optional.empty(),
                asked.others(),
                asked.firmness(),
                asked.whipped());
    }

    private static double whole(MeltRequest asked, double shrinkage, double oilShare, double grams, double perOil) {
        if (asked.howMuch() instanceof HowMuch.Weight weight) {
            return weight.all().grams();
        }
        if (asked.howMuch() instanceof HowMuch.Count count) {
            return Filling.wanted(count.count(), count.container(), shrinkage, asked.whipped())
                    .grams();
        }
        double oil = ((HowMuch.AllTheOil) asked.howMuch()).oil().grams();
        if (oilShare <= 1e-9) {
            throw new CannotBe("oil", "What is said besides the oil comes to the whole: no room is left for the oil");
        }
        return (oil * perOil + grams) / oilShare;
    }

    private static double grams(Share share, double whole, double oil) {
        if (share instanceof Share.Of of) {
            return of.share() * whole;
        }
        return share instanceof Share.PerOil per
                ? per.gramsPerGram() * Math.max(0, oil)
                : ((Share.Weighed) share).mass().grams();
    }

    /** What is said, summed: shares of the whole, weights, and weights to a gram of oil, each plain and by what it sets. */
    private record Sums(double share, double grams, double perOil, double setShare, double setGrams, double setPerOil) {

        static Sums of(MeltRequest asked) {
            double[] sums = new double[6];
            double oil = asked.oil().equivalent();
            asked.others().forEach(wish -> add(sums, wish.stuff(), oil, wish.share()));
            asked.wax().ifPresent(wax -> asked.waxSaid().ifPresent(share -> add(sums, wax, oil, share)));
            return new Sums(sums[0], sums[1], sums[2], sums[3], sums[4], sums[5]);
        }

        private static void add(double[] sums, Formula.Stuff stuff, double oil, Share share) {
            int at = share instanceof Share.Of ? 0 : share instanceof Share.Weighed ? 1 : 2;
            double amount = share instanceof Share.Of of
                    ? of.share()
                    : share instanceof Share.Weighed weighed
                            ? weighed.mass().grams()
                            : ((Share.PerOil) share).gramsPerGram();
            sums[at] += amount;
            sums[at + 3] += amount * (stuff.equivalent() - oil);
        }
    }

    private static Working sum(MeltRequest asked, Formula formula) {
        Working.Builder sum = Working.of("firmness = 100 × what all of it sets like, in grams of beeswax, ÷ the whole");
        for (Formula.Part part : formula.parts()) {
            sum.result(part.stuff().name(), Figure.of(part.mass()));
            if (part.stuff().equivalent() > 0) {
                sum.estimate(
                        "a gram of it sets like so much beeswax",
                        Figure.ofFactor(part.stuff().equivalent()));
            }
        }
        return sum.result("the whole", Figure.of(formula.total()))
                .given("firmness wanted", Figure.ofFactor(asked.firmness()))
                .result("firmness", Figure.ofFactor(formula.firmness().value()))
                .build();
    }
}
