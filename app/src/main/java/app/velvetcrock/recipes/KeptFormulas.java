package app.velvetcrock.recipes;

import app.velvetcrock.batch.Batches;
import app.velvetcrock.batch.Makings;
import app.velvetcrock.core.pan.Addition;
import app.velvetcrock.core.pan.FormulaRecipe;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.stillroom.Current;
import app.velvetcrock.stock.Oils;
import app.velvetcrock.web.NotHere;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Recipes of things made that the household keeps: from the Pan, from a making, from a file. */
@Service
public class KeptFormulas {

    private static final int LONGEST_TITLE = 120;
    private static final String INFUSED = "infused:";

    private final JdbcClient sql;
    private final RecipeFile file;
    private final Makings makings;
    private final Oils oils;
    private final Batches batches;
    private final Clock clock;

    KeptFormulas(JdbcClient sql, RecipeFile file, Makings makings, Oils oils, Batches batches, Clock clock) {
        this.sql = sql;
        this.file = file;
        this.makings = makings;
        this.oils = oils;
        this.batches = batches;
        this.clock = clock;
    }

    /** A kept recipe. */
    public record Kept(UUID id, FormulaRecipe recipe) {}

    @Transactional(readOnly = true)
    public List<Kept> all() {
        return sql.sql(
                        "select id, recipe::text from kept_formula where stillroom_id = :stillroom and removed_at is null "
                                + "order by title, created_at limit " + Recipes.MOST)
                .param("stillroom", Current.stillroom())
                .query((row, at) -> new Kept(row.getObject(1, UUID.class), file.readMaking(row.getString(2))))
                .list();
    }

    @Transactional(readOnly = true)
    public Kept find(UUID id) {
        return sql.sql("select recipe::text from kept_formula where stillroom_id = :stillroom and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .query(String.class)
                .optional()
                .map(recipe -> new Kept(id, file.readMaking(recipe)))
                .orElseThrow(() -> new NotHere("that recipe"));
    }

    /** Keeps what is planned. */
    @Transactional
    public UUID keep(String title, MakingPlan plan) {
        return keep(
                open(FormulaRecipe.of(cut(title), plan.made().kind(), plan.formula(), additions(plan), plan.use())),
                null);
    }

    /** Keeps a recipe as it was brought in. */
    @Transactional
    public UUID keep(FormulaRecipe recipe) {
        return keep(recipe, null);
    }

    /** Keeps a making as it was really made, corrections included. */
    @Transactional
    public UUID keepMaking(UUID id) {
        Makings.Sheet sheet = makings.sheet(id);
        MakingPlan plan = sheet.plan();
        return keep(
                open(FormulaRecipe.of(
                        cut("%s, as batch %d".formatted(sheet.name(), sheet.number())),
                        plan.made().kind(),
                        sheet.course().formula(),
                        sheet.course().stirred().stream()
                                .map(MakingPlan.Stirred::addition)
                                .toList(),
                        plan.use())),
                id);
    }

    private static List<Addition> additions(MakingPlan plan) {
        return plan.additions().stream().map(MakingPlan.Stirred::addition).toList();
    }

    /** An infused oil goes by its carrier's key: which herb was in it stays in its name. */
    private FormulaRecipe open(FormulaRecipe recipe) {
        return new FormulaRecipe(
                recipe.title(),
                recipe.kind(),
                recipe.parts().stream()
                        .map(part -> new FormulaRecipe.Part(key(part.key()), part.name(), part.role(), part.share()))
                        .toList(),
                recipe.stirred(),
                recipe.use(),
                recipe.notes());
    }

    private String key(String key) {
        return key.startsWith(INFUSED)
                ? batches.sheet(oils.find(UUID.fromString(key.substring(INFUSED.length())))
                                .batch())
                        .plan()
                        .request()
                        .carrier()
                        .kind()
                        .key()
                : key;
    }

    private static String cut(String title) {
        return title.substring(0, Math.min(LONGEST_TITLE, title.length()));
    }

    private UUID keep(FormulaRecipe recipe, @Nullable UUID batch) {
        String written = file.write(recipe);
        // What is kept must be what can be read again.
        file.readMaking(written);
        UUID id = UUID.randomUUID();
        sql.sql("insert into kept_formula (stillroom_id, id, title, recipe, batch_id, created_at) "
                        + "values (:stillroom, :id, :title, cast(:recipe as jsonb), :batch, :at)")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("title", recipe.title())
                .param("recipe", written)
                .param("batch", batch)
                .param("at", Timestamp.from(clock.instant()))
                .update();
        return id;
    }

    /** Puts a recipe away, or takes it out again. */
    @Transactional
    public void remove(UUID id, boolean removed) {
        int there = sql.sql("update kept_formula set removed_at = :at where stillroom_id = :stillroom and id = :id")
                .param("stillroom", Current.stillroom())
                .param("id", id)
                .param("at", removed ? Timestamp.from(clock.instant()) : null)
                .update();
        if (there == 0) {
            throw new NotHere("that recipe");
        }
    }
}
