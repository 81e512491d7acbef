package app.velvetcrock.bench;

import app.velvetcrock.core.bench.Planned;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Fitness;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.water.WaterContent;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The ways there are for what stands on the Bench, worded.
 *
 * @param able those that can make it, the fittest first
 * @param chosenRefused the one chosen, where it cannot; null where it can
 * @param refusedHead how many are refused; empty where none is
 * @param dryFirst what its wet herbs would be dried; empty where none is wet, or nothing is refused for it
 */
public record BenchWays(
        List<Way> able,
        @Nullable Way chosenRefused,
        String refusedHead,
        List<RefusedWays> refused,
        List<DryFirst> dryFirst) {

    static BenchWays of(BenchWork work, Planned planned, House house) {
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
                refusedHead(refused(planned, house)),
                refused(planned, house),
                planned.ways().stream().allMatch(choice -> choice.fitness().isAllowed())
                        ? List.of()
                        : dryFirst(planned, house));
    }

    /** What is left of a wet herb once it is dry, and where it is laid out. */
    public record DryFirst(String words, String lot) {}

    private static List<DryFirst> dryFirst(Planned planned, House house) {
        List<PlannedHerb> herbs = planned.plan().request().herbs();
        List<DryFirst> first = new ArrayList<>();
        for (int i = 0; i < herbs.size(); i++) {
            PlannedHerb herb = herbs.get(i);
            if (!herb.moisture().isDried()) {
                Mass wet = planned.isSplit() ? planned.herbInAll() : herb.mass();
                WaterContent dried = WaterContent.of(herb.texture().part(), herb.cut(), Moisture.DRIED);
                Mass dry = WaterContent.of(herb.texture().part(), herb.cut(), herb.moisture())
                        .equivalent(wet, dried);
                first.add(new DryFirst(
                        "%s of %s, dried first, leaves %s: lay it out"
                                .formatted(house.mass(wet), herb.kind().common(), house.about(dry)),
                        planned.first().frozen().takes().get(i).lot().toString()));
            }
        }
        return first;
    }

    /**
     * A way of the list.
     *
     * @param value what stands for it in the form: its key, of a refused one with the mark of whoever insists on it
     * @param fill what stands for its length when it is chosen
     * @param lengths how long its stages take: as chosen for the one chosen, as usual for the others
     */
    public record Way(
            String key,
            String value,
            String name,
            String marks,
            boolean isChosen,
            String fill,
            String lengths,
            String heat,
            String late,
            List<String> refusals) {}

    /**
     * Ways refused for the same reasons.
     *
     * @param insist those that can be taken for a reason of one's own, by what stands for them in the form
     */
    public record RefusedWays(String names, int count, List<String> reasons, Map<String, String> insist) {}

    private static Way way(Choice choice, BenchWork work, Planned planned, House house) {
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
                value(choice),
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
                reasons(choice.fitness(), house));
    }

    private static String value(Choice choice) {
        return choice.method().key() + (choice.fitness().isAllowed() ? "" : BenchForm.INSISTS);
    }

    private static String watch(Stage first) {
        if (first.attended()) {
            return ", stay beside it";
        }
        return first.isHeated() ? ", watched" : first.inLight() ? ", in light" : "";
    }

    private static List<String> reasons(Fitness fitness, House house) {
        return fitness.refusals().stream()
                .map(reason -> house.degrees("%s. To allow it: %s.".formatted(reason.fact(), reason.change())))
                .toList();
    }

    /** The ways that are refused but for the one chosen, those of one reason together. */
    private static List<RefusedWays> refused(Planned planned, House house) {
        Map<List<String>, List<Choice>> byReason = new LinkedHashMap<>();
        PlanRequest.Circumstances how = planned.plan().request().circumstances();
        planned.ways().stream()
                .filter(choice -> !choice.fitness().isAllowed()
                        && !how.method().is(choice.method().base()))
                .forEach(choice -> byReason.computeIfAbsent(
                                reasons(choice.fitness(), house), reasons -> new ArrayList<>())
                        .add(choice));
        return byReason.entrySet().stream()
                .map(entry -> new RefusedWays(
                        entry.getValue().stream()
                                .map(choice -> choice.method().name())
                                .collect(Collectors.joining(", ")),
                        entry.getValue().size(),
                        entry.getKey(),
                        entry.getValue().stream()
                                .filter(choice -> choice.fitness().isOverridable(how.use()))
                                .collect(Collectors.toMap(
                                        BenchWays::value,
                                        choice -> choice.method().name(),
                                        (one, other) -> one,
                                        LinkedHashMap::new))))
                .toList();
    }

    private static String refusedHead(List<RefusedWays> refused) {
        int count = refused.stream().mapToInt(RefusedWays::count).sum();
        return count == 0 ? "" : count == 1 ? "one way is refused" : count + " ways are refused";
    }
}
