package app.velvetcrock.bench;

import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Fitness;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * The ways there are for what stands on the Bench, worded.
 *
 * @param able those that can make it, the fittest first
 * @param chosenRefused the one chosen, where it cannot; null where it can
 * @param refusedHead how many are refused; empty where none is
 */
public record BenchWays(List<Way> able, @Nullable Way chosenRefused, String refusedHead, List<RefusedWays> refused) {

    static BenchWays of(BenchWork work, BenchWork.Planned planned, House house) {
        return new BenchWays(
                planned.ways().stream()
                        .filter(choice -> choice.fitness().isAllowed())
                        .map(choice -> way(choice, work, planned, house))
                        .toList(),
                planned.ways().stream()
                        .filter(choice -> !choice.fitness().isAllowed()
                                && choice.method().key().equals(work.way().key()))
                        .map(choice -> way(choice, work, planned, house))
                        .findFirst()
                        .orElse(null),
                refusedHead(refused(planned)),
                refused(planned));
    }

    /**
     * A way of the list.
     *
     * @param fill what stands for its length when it is chosen
     * @param lengths how long its stages take: as chosen for the one chosen, as usual for the others
     */
    public record Way(
            String key,
            String name,
            String marks,
            boolean isChosen,
            String fill,
            String lengths,
            String heat,
            String late,
            List<String> refusals) {}

    /** Ways refused for the same reasons. */
    public record RefusedWays(String names, int count, List<String> reasons) {}

    private static Way way(Choice choice, BenchWork work, BenchWork.Planned planned, House house) {
        Method method = choice.method();
        Stage first = method.first();
        boolean chosen = method.key().equals(work.way().key());
        List<Integer> lengths = chosen
                ? planned.plan().request().circumstances().lengths()
                : method.stages().stream().map(Stage::usual).toList();
        List<String> brief = new ArrayList<>();
        for (int i = 0; i < method.stages().size(); i++) {
            brief.add(method.stages().get(i).pace().brief(lengths.get(i)));
        }
        boolean variant = method.key().contains("~") && method.base().variants().contains(method);
        return new Way(
                method.key(),
                method.name(),
                (choice.fitness().isAllowed() ? "" : "refused ") + (variant ? "sub" : ""),
                chosen,
                first.pace().words(first.usual()),
                String.join(" + ", brief),
                choice.fitness().isAllowed()
                        ? "%s to %s%s"
                                .formatted(
                                        house.temperature(method.hottest().low()),
                                        house.temperature(method.hottest().high()),
                                        watch(first))
                        : "",
                planned.late().getOrDefault(method.key(), ""),
                reasons(choice.fitness()));
    }

    private static String watch(Stage first) {
        if (first.attended()) {
            return ", stay beside it";
        }
        return first.isHeated() ? ", watched" : first.inLight() ? ", in light" : "";
    }

    private static List<String> reasons(Fitness fitness) {
        return fitness.refusals().stream()
                .map(reason -> "%s. To allow it: %s.".formatted(reason.fact(), reason.change()))
                .toList();
    }

    /** The ways that are refused but for the one chosen, those of one reason together. */
    private static List<RefusedWays> refused(BenchWork.Planned planned) {
        Map<List<String>, List<String>> byReason = new LinkedHashMap<>();
        Method chosen = planned.plan().request().circumstances().method();
        planned.ways().stream()
                .filter(choice -> !choice.fitness().isAllowed()
                        && !chosen.is(choice.method().base()))
                .forEach(choice -> byReason.computeIfAbsent(reasons(choice.fitness()), reasons -> new ArrayList<>())
                        .add(choice.method().name()));
        return byReason.entrySet().stream()
                .map(entry -> new RefusedWays(
                        String.join(", ", entry.getValue()), entry.getValue().size(), entry.getKey()))
                .toList();
    }

    private static String refusedHead(List<RefusedWays> refused) {
        int count = refused.stream().mapToInt(RefusedWays::count).sum();
        return count == 0 ? "" : count == 1 ? "one way is refused" : count + " ways are refused";
    }
}
