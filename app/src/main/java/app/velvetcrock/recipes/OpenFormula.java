package app.velvetcrock.recipes;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.pan.FormulaRecipe;
import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** A recipe of something made in its open form, as docs/formats/making-recipe.schema.json describes it. */
@JsonInclude(JsonInclude.Include.NON_NULL)
record OpenFormula(
        String format,
        int version,
        String title,
        String kind,
        List<Part> parts,
        @Nullable List<Stirred> stirredIn,
        String use,
        @Nullable List<String> notes) {

    static final String FORMAT = "velvet-crock-making-recipe";
    private static final int VERSION = 1;
    private static final double PERCENT = 100;

    record Part(String key, String name, Formula.Role role, double percent) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Stirred(String key, String name, double percent, @Nullable Double dropsIn100Grams) {}

    static OpenFormula of(FormulaRecipe recipe) {
        return new OpenFormula(
                FORMAT,
                VERSION,
                recipe.title(),
                recipe.kind(),
                recipe.parts().stream()
                        .map(part -> new Part(part.key(), part.name(), part.role(), rounded(part.share())))
                        .toList(),
                recipe.stirred().isEmpty()
                        ? null
                        : recipe.stirred().stream()
                                .map(one -> new Stirred(
                                        one.key(),
                                        one.name(),
                                        rounded(one.share()),
                                        one.drops().orElse(null)))
                                .toList(),
                recipe.use().name(),
                recipe.notes());
    }

    /** To a ten-thousandth of a percent: so small a rounding weighs nothing in any kitchen. */
    private static double rounded(double share) {
        return Math.round(share * PERCENT * 10_000) / 10_000.0;
    }

    /**
     * The recipe it means.
     *
     * @throws IllegalArgumentException where its shares do not come to the whole
     */
    FormulaRecipe recipe() {
        return new FormulaRecipe(
                title,
                kind,
                parts.stream()
                        .map(part -> new FormulaRecipe.Part(part.key, part.name, part.role, part.percent / PERCENT))
                        .toList(),
                Objects.requireNonNullElse(stirredIn, List.<Stirred>of()).stream()
                        .map(one -> new FormulaRecipe.Stirred(
                                one.key, one.name, one.percent / PERCENT, Optional.ofNullable(one.dropsIn100Grams)))
                        .toList(),
                Stream.of(Use.values())
                        .filter(value -> value.name().equals(use))
                        .findFirst()
                        .orElse(Use.ADULT_SKIN),
                Objects.requireNonNullElse(notes, List.of()));
    }
}
