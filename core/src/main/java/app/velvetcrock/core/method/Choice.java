package app.velvetcrock.core.method;

import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * A method among others for one situation.
 *
 * @param rank higher goes first; says nothing of one that is refused
 */
public record Choice(Method method, Fitness fitness, int rank) {

    /** [E] What a newcomer does best with, all else alike: little to go wrong, little to watch. */
    private static final Map<String, Integer> EASE = Map.of(
            "cold-dark", 6, "slow-warm", 5, "heat-rest", 4, "fresh-low", 6, "juicy-pan", 3, "water-bath", 3, "sun-window", 3, "quick-bath", 2, "spirit-first", 2, "oven", 0);
    private static final int SUITS = 3;

    /** Every shipped method, those that can be used first, the fittest of them first. */
    public static List<Choice> ranked(Situation situation) {
        return Method.shipped().stream()
                .map(method -> new Choice(method, Fitness.of(method, situation), rank(method, situation)))
                .sorted(Comparator.comparing((Choice choice) -> !choice.fitness.isAllowed()).thenComparing(choice -> -choice.rank))
                .toList();
    }

    private static int rank(Method method, Situation situation) {
        boolean drawn = method.isHeated() || method.equals(Method.SPIRIT_FIRST);
        int rank = EASE.getOrDefault(method.key(), 0);
        rank += situation.is("resinous") ? drawn ? SUITS : -SUITS : 0;
        rank += situation.is("hard-resin") && method.equals(Method.SPIRIT_FIRST) ? SUITS : 0;
        rank += situation.is("aromatic") ? method.isHeated() ? -SUITS : SUITS : 0;
        rank += (situation.is("hot") || situation.is("stains")) && method.isHeated() ? 1 : 0;
        rank += situation.carrier().melting().isPresent() && method.equals(Method.OVEN) ? SUITS : 0;
        rank -= situation.isFragile() && method.isHeated() ? 2 : 0;
        return rank;
    }
}
