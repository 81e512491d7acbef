package app.velvetcrock.core.book;

import app.velvetcrock.core.measure.Worded;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What somebody may have reacted to: a kind, one lot of a kind, one batch, or none of these, each as likely as what she used and how her
 * skin took it make it (craft: learning, reactions).
 */
public final class Suspects {

    /** [E] She reacts to what contains it so often. */
    static final double CONTAINING = 0.8;
    /** [E] She reacts to something without it so often. */
    static final double OTHERWISE = 0.05;
    /** [E] A lot or a batch is a third as likely beforehand as a kind. */
    private static final double PART = 1.0 / 3;

    /** [E] From here on a suspect is most likely; from {@link #MAY_BE} it may be; below that hardly, which clears nothing. */
    private static final double MOST_LIKELY = 0.4;

    private static final double MAY_BE = 0.15;

    private Suspects() {}

    /** How strongly skin reacted. */
    public enum Strength implements Worded {
        NONE("nothing"),
        SLIGHT("slight"),
        CLEAR("clear"),
        STRONG("strong");

        private final String word;

        Strength(String word) {
            this.word = word;
        }

        @Override
        public String word() {
            return word;
        }
    }

    /** What is suspected. */
    public enum What {
        KIND,
        LOT,
        BATCH,
        NONE_OF_THESE
    }

    /**
     * Something that may be it.
     *
     * @param key by which uses name it: of a kind its key, of a lot or a batch its id
     * @param name as it is shown
     */
    public record Hypothesis(What what, String key, String name) {

        static final Hypothesis NONE = new Hypothesis(What.NONE_OF_THESE, "", "none of these");
    }

    /**
     * Something she used, and how her skin took it.
     *
     * @param of which batch or lot it was: of each only the strongest outcome counts
     * @param name as it is shown
     * @param contains all that is in it, kinds and lots, and its batch
     */
    public record Outcome(String of, String name, Set<Hypothesis> contains, Strength strength) {
        public Outcome {
            contains = Set.copyOf(contains);
        }
    }

    /**
     * A suspect.
     *
     * @param share how likely it is, 0 to 1; those of all add to one
     * @param held by which of what she used, and {@code without} what of it does not hold it
     */
    public record Suspect(Hypothesis hypothesis, double share, List<Outcome> held, List<Outcome> without) {

        public Suspect {
            held = List.copyOf(held);
            without = List.copyOf(without);
        }

        /** How likely, in a word. Never "safe": hardly clears nothing. */
        public String word() {
            return share >= MOST_LIKELY ? "most likely" : share >= MAY_BE ? "may be" : "hardly";
        }
    }

    /** Works it out from all of one person's outcomes, in any order; the likeliest first, equals by name. */
    public static List<Suspect> of(Collection<Outcome> all) {
        List<Outcome> outcomes = strongest(all);
        Set<Hypothesis> hypotheses = new TreeSet<>(Comparator.comparing(Hypothesis::what)
                .thenComparing(Hypothesis::name)
                .thenComparing(Hypothesis::key));
        outcomes.forEach(outcome -> hypotheses.addAll(outcome.contains()));
        hypotheses.add(Hypothesis.NONE);
        Map<Hypothesis, Double> weights = new LinkedHashMap<>();
        hypotheses.forEach(one -> weights.put(one, weight(one, outcomes)));
        double whole =
                weights.values().stream().mapToDouble(Double::doubleValue).sum();
        List<Suspect> suspects = new ArrayList<>();
        weights.forEach((one, weight) -> {
            Map<Boolean, List<Outcome>> by = outcomes.stream()
                    .collect(Collectors.partitioningBy(
                            outcome -> outcome.contains().contains(one)));
            suspects.add(new Suspect(
                    one, weight / whole, by.getOrDefault(true, List.of()), by.getOrDefault(false, List.of())));
        });
        suspects.sort(Comparator.comparing((Suspect one) -> -one.share()));
        return suspects;
    }

    private static double weight(Hypothesis one, List<Outcome> outcomes) {
        double weight = one.what() == What.LOT || one.what() == What.BATCH ? PART : 1;
        for (Outcome outcome : outcomes) {
            double reacts = outcome.contains().contains(one) ? CONTAINING : OTHERWISE;
            weight *= switch (outcome.strength()) {
                case NONE -> 1 - reacts;
                    // Half a reaction: the mean of both likelihoods, which is the same for every suspect.
                case SLIGHT -> (reacts + (1 - reacts)) / 2;
                case CLEAR, STRONG -> reacts;};
        }
        return weight;
    }

    /** One outcome of each batch: the strongest. */
    private static List<Outcome> strongest(Collection<Outcome> all) {
        Map<String, Outcome> by = new LinkedHashMap<>();
        all.forEach(one -> by.merge(
                one.of(), one, (first, then) -> then.strength().compareTo(first.strength()) > 0 ? then : first));
        return by.values().stream()
                .sorted(Comparator.comparing(Outcome::strength, Comparator.reverseOrder())
                        .thenComparing(Outcome::name)
                        .thenComparing(Outcome::of))
                .toList();
    }
}
