package app.velvetcrock.core.method;

import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Why a method cannot be used, and the smallest change after which this no longer stands against it.
 *
 * @param fact the fact with its value
 * @param change the change in words
 * @param allow the change itself; the situation as it is where only another method helps
 * @param instead the method that helps; absent where the change allows this one
 * @param overridable true where somebody may go on for a reason of their own, in writing (craft: water)
 */
record Refusal(
        String fact, String change, UnaryOperator<Situation> allow, Optional<Method> instead, boolean overridable) {

    static Refusal of(String fact, String change, UnaryOperator<Situation> allow) {
        return new Refusal(fact, change, allow, Optional.empty(), false);
    }

    static Refusal instead(String fact, String change, Method method) {
        return new Refusal(fact, change, UnaryOperator.identity(), Optional.of(method), false);
    }

    Refusal orKnowingly() {
        return new Refusal(fact, change, allow, instead, true);
    }
}
