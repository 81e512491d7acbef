package app.velvetcrock.core.making;

import java.util.List;
import java.util.Optional;

/**
 * What felt right in this household for one kind: the mean of its last five tests (craft: making, corrections).
 *
 * @param target F to aim at
 * @param tests how many it rests on, the latest five at most
 */
public record OwnRight(double target, int tests, double least, double most) {

    private static final int LATEST = 5;

    /** A test: the F it was made to, and how that felt. */
    public record Test(double firmness, Felt felt) {}

    /** Learns from tests of one kind, the latest last; absent while there are none. */
    public static Optional<OwnRight> of(List<Test> tests) {
        List<Double> right = tests.subList(Math.max(0, tests.size() - LATEST), tests.size()).stream()
                .map(test -> test.felt().rightAt(test.firmness()))
                .toList();
        return right.isEmpty()
                ? Optional.empty()
                : Optional.of(new OwnRight(
                        right.stream()
                                .mapToDouble(Double::doubleValue)
                                .average()
                                .orElseThrow(),
                        right.size(),
                        right.stream().mapToDouble(Double::doubleValue).min().orElseThrow(),
                        right.stream().mapToDouble(Double::doubleValue).max().orElseThrow()));
    }
}
