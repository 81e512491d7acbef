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
            "cold-dark",
            6,
            "slow-warm",
            5,
            "heat-rest",
            4,
            "fresh-low",
            6,
            "juicy-pan",
            3,
            "water-bath",
            3,
            "sun-window",
            3,
            "quick-bath",
            2,
            "spirit-first",
            2,
            "oven",
            0);

    /** [E] How much one reason of the craft (resinous, aromatic, no sun) weighs in the ranking. */
    private static final int SUITS = 3;

    /** [E] How much kit that is owned, or is not, weighs against the rest. */
    private static final int OWNED = 1;

    /** [E] The same of what would have to be bought. */
    private static final int NOT_OWNED = -2;

    /** What stands there until somebody chooses: the fittest; of a fragile oil that would be heated, its gentle form where it has one. */
    public static Choice fittest(Situation situation) {
        Choice first = ranked(situation).get(0);
        return situation.isFragile() && Fitness.reachesTooMuch(first.method())
                ? ranked(situation, Variants.of(first.method())).stream()
                        .filter(form -> form.fitness().isAllowed() && !Fitness.reachesTooMuch(form.method()))
                        .findFirst()
                        .orElse(first)
                : first;
    }

    /** Every shipped method, those that can be used first, the fittest of them first. */
    public static List<Choice> ranked(Situation situation) {
        return ranked(situation, Method.shipped());
    }

    /** Some methods in their order for a situation. */
    public static List<Choice> ranked(Situation situation, List<Method> methods) {
        return methods.stream()
                .map(method -> new Choice(method, Fitness.of(method, situation), rank(method, situation)))
                .sorted(Comparator.comparing((Choice choice) -> !choice.fitness.isAllowed())
                        .thenComparing(choice -> -choice.rank))
                .toList();
    }

    private static int rank(Method method, Situation situation) {
        boolean drawn = method.isHeated() || method.is(Method.SPIRIT_FIRST);
        int rank = EASE.getOrDefault(method.base().key(), 0);
        rank += situation.isResinous() ? drawn ? SUITS : -SUITS : 0;
        rank += situation.hasHardResin() && method.is(Method.SPIRIT_FIRST) ? SUITS : 0;
        rank += situation.is("aromatic") ? method.isHeated() ? -SUITS : SUITS : 0;
        rank += (situation.is("hot") || situation.is("stains")) && method.isHeated() ? 1 : 0;
        rank += situation.carrier().melting().isPresent() && method.is(Method.OVEN) ? SUITS : 0;
        rank -= situation.isFragile() && method.isHeated() ? 2 : 0;
        return rank + kit(method, situation);
    }

    private static int kit(Method method, Situation situation) {
        boolean asked = !situation.means().kit().isEmpty() && !method.sources().isEmpty();
        boolean owned = method.sources().stream().anyMatch(situation.means().kit()::contains);
        return !asked ? 0 : owned ? OWNED : NOT_OWNED;
    }
}
