package app.velvetcrock.recipes;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.PlanRecipe;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Recipes the household keeps: from the Bench, from a batch, from a file. */
@Service
public class Recipes {

    private static final int LONGEST_TITLE = 120;

    private final KeptPlanRepository plans;
    private final Batches batches;
    private final RecipeFile file;
    private final Clock clock;

    Recipes(KeptPlanRepository plans, Batches batches, RecipeFile file, Clock clock) {
        this.plans = plans;
        this.batches = batches;
        this.file = file;
        this.clock = clock;
    }

    /** So many of a kind stand in a list; the others are found by name. */
    public static final int MOST = 500;

    /** A kept recipe. */
    public record Kept(UUID id, PlanRecipe recipe) {}

    @Transactional(readOnly = true)
    public List<Kept> all() {
        return plans.all().stream()
                .map(plan -> new Kept(plan.id, file.read(plan.recipe)))
                .toList();
    }

    @Transactional(readOnly = true)
    public Kept find(UUID id) {
        KeptPlan plan = plans.findHere(id).orElseThrow(() -> new NotHere("that recipe"));
        return new Kept(id, file.read(plan.recipe));
    }

    @Transactional
    public UUID keep(String title, BatchPlan plan) {
        return save(PlanRecipe.of(title, plan, List.of()), null);
    }

    @Transactional
    public UUID keep(PlanRecipe recipe) {
        return save(recipe, null);
    }

    /** Keeps a batch as it was really charged, with what was to be changed next time. */
    @Transactional
    public UUID keepBatch(UUID id) {
        BatchSheet sheet = batches.sheet(id);
        PlanRecipe planned = PlanRecipe.of(title(sheet), sheet.plan(), notes(sheet));
        PlanRecipe charged =
                planned.times(sheet.course().charge().herbs().mass().grams() / planned.grams());
        return save(
                new PlanRecipe(
                        charged.title(),
                        charged.herbs(),
                        charged.oils(),
                        sheet.course().charge().oil().millilitres(),
                        charged.method(),
                        sheet.course().lengths(),
                        charged.use(),
                        charged.pressing(),
                        charged.storage(),
                        charged.spiritPerGram(),
                        charged.spiritPercent(),
                        charged.notes()),
                id);
    }

    /** Puts a recipe away, or takes it out again. */
    @Transactional
    public void remove(UUID id, boolean removed) {
        plans.findHere(id).orElseThrow(() -> new NotHere("that recipe")).removedAt = removed ? clock.instant() : null;
    }

    private static String title(BatchSheet sheet) {
        String whole = "%s, as batch %d".formatted(sheet.name(), sheet.number());
        return whole.substring(0, Math.min(LONGEST_TITLE, whole.length()));
    }

    /** What was to be changed next time, the newest first. */
    private static List<String> notes(BatchSheet sheet) {
        List<String> notes = new ArrayList<>(sheet.log().all(Line.Lesson.class).stream()
                .map(Line.Lesson::words)
                .toList());
        Collections.reverse(notes);
        return notes;
    }

    private UUID save(PlanRecipe recipe, @Nullable UUID batch) {
        String written = file.write(recipe);
        // What is kept must be what can be read again.
        file.read(written);
        return plans.saveAndFlush(new KeptPlan(recipe.title(), written, batch, clock.instant())).id;
    }
}
