package app.velvetcrock.bench;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.FrozenPlan;
import app.velvetcrock.core.method.Choice;
import app.velvetcrock.core.method.Fitness;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.draw.JarDrawing;
import app.velvetcrock.stores.Stock;
import app.velvetcrock.web.Fields;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The Bench as it stands: what was typed, what was understood, and the plan when all of it was clear. */
public record BenchWork(BenchForm form, Fields fields, Bench.Shelves shelves, Optional<Planned> planned) {

    private static final double PICTURE_WIDTH = 260;
    private static final double PICTURE_HEIGHT = 390;

    /** Ways refused for the same reasons. */
    public record RefusedWays(List<String> names, List<Fitness.Reason> reasons) {}

    /** A plan with the lots and the jar it is made from, what was really weighed, and all ways there are. */
    public record Planned(
            FrozenPlan frozen, Stock.OfJar jar, Stock.OfHerb herb, Stock.OfCarrier carrier, Batches.Weighed weighed, List<Choice> ways) {

        public BatchPlan plan() {
            return frozen.plan();
        }

        /** The ways that are refused but for the one chosen, those of one reason together. */
        public List<RefusedWays> refused() {
            Map<List<Fitness.Reason>, List<String>> byReason = new LinkedHashMap<>();
            String chosen = plan().request().circumstances().method().key();
            ways.stream().filter(choice -> !choice.fitness().isAllowed() && !choice.method().key().equals(chosen))
                    .forEach(choice -> byReason.computeIfAbsent(choice.fitness().refusals(), reasons -> new ArrayList<>()).add(choice.method().name()));
            return byReason.entrySet().stream().map(entry -> new RefusedWays(entry.getValue(), entry.getKey())).toList();
        }

        public long refusedCount() {
            return refused().stream().mapToLong(group -> group.names().size()).sum();
        }

        public BenchPicture picture() {
            double scale = JarDrawing.scaleToFit(jar.vessel(), PICTURE_WIDTH, PICTURE_HEIGHT);
            JarDrawing drawing = JarDrawing.of(jar.vessel(), plan().found().levels(), JarDrawing.Look.of(plan(), 1), scale);
            return BenchPicture.of(drawing, plan().charge(), PICTURE_WIDTH);
        }
    }

    /** Tells whether this can be started just so. */
    public boolean canStart() {
        return fields.isClear() && planned.filter(p -> p.plan().canStart()).isPresent();
    }
}
