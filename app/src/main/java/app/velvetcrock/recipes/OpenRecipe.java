package app.velvetcrock.recipes;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.method.Band;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Tending;
import app.velvetcrock.core.planning.PlanRecipe;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.text.Linear;
import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A recipe in its open form, as docs/formats/recipe.schema.json describes it. What a way is at bottom, its vents and its light,
 * comes from the shipped way that is named,
 * never from a file.
 */
@JsonInclude(JsonInclude.Include.NON_NULL)
record OpenRecipe(
        String format,
        int version,
        String title,
        List<Herb> herbs,
        Oil oil,
        @Nullable List<Oil> moreOils,
        Way way,
        @Nullable Spirit spirit,
        Use use,
        Pressing pressing,
        Storage storage,
        @Nullable List<String> notes) {

    static final String FORMAT = "velvet-crock-recipe";
    static final int VERSION = 1;

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Herb(
            String key, String name, @Nullable String botanical, Part part, Cut cut, Moisture moisture, double grams) {}

    record Oil(String key, String name, double millilitres) {}

    record Way(String key, String name, List<Step> stages) {}

    @JsonInclude(JsonInclude.Include.NON_NULL)
    record Step(
            String key,
            int length,
            Pace countedIn,
            double lowCelsius,
            double highCelsius,
            @Nullable Double ceilingCelsius,
            @Nullable List<Rhythm> tendings) {}

    record Rhythm(Tending.Kind kind, int everyAtFirst, int first, int everyAfter) {}

    record Spirit(double percent, double gramsPerGram) {}

    static OpenRecipe of(PlanRecipe recipe) {
        List<Step> steps = new ArrayList<>();
        for (int i = 0; i < recipe.lengths().size(); i++) {
            Stage stage = recipe.method().stages().get(i);
            steps.add(new Step(
                    stage.key(),
                    recipe.lengths().get(i),
                    stage.pace(),
                    stage.band().low().celsius(),
                    stage.band().high().celsius(),
                    stage.ceiling().map(Temperature::celsius).orElse(null),
                    stage.tendings().stream()
                            .map(t -> new Rhythm(t.kind(), t.everyAtFirst(), t.first(), t.everyAfter()))
                            .toList()));
        }
        List<Oil> oils = recipe.oils().stream()
                .map(oil -> new Oil(oil.key(), oil.name(), oil.share() * recipe.oilMillilitres()))
                .toList();
        return new OpenRecipe(
                FORMAT,
                VERSION,
                recipe.title(),
                recipe.herbs().stream()
                        .map(h ->
                                new Herb(h.key(), h.name(), h.botanical(), h.part(), h.cut(), h.moisture(), h.grams()))
                        .toList(),
                oils.get(0),
                oils.size() == 1 ? null : oils.subList(1, oils.size()),
                new Way(recipe.method().key(), recipe.method().name(), steps),
                recipe.spiritPerGram() == 0 ? null : new Spirit(recipe.spiritPercent(), recipe.spiritPerGram()),
                recipe.use(),
                recipe.pressing(),
                recipe.storage(),
                recipe.notes());
    }

    /**
     * The recipe it means.
     *
     * @throws IllegalArgumentException where its numbers lie outside what its way allows
     */
    PlanRecipe recipe() {
        Method method = method();
        List<Oil> oils = Stream.concat(
                        Stream.of(oil), Stream.ofNullable(moreOils).flatMap(List::stream))
                .toList();
        double millilitres = oils.stream().mapToDouble(Oil::millilitres).sum();
        return new PlanRecipe(
                title,
                herbs.stream()
                        .map(h -> new PlanRecipe.Herb(
                                h.key,
                                h.name,
                                h.botanical == null ? "" : h.botanical,
                                h.part,
                                h.cut,
                                h.moisture,
                                h.grams))
                        .toList(),
                oils.stream()
                        .map(one -> new PlanRecipe.Oil(one.key, one.name, one.millilitres / millilitres))
                        .toList(),
                millilitres,
                method,
                way.stages.stream().map(Step::length).toList(),
                use,
                pressing,
                storage,
                spirit == null ? 0 : spirit.gramsPerGram,
                spirit == null ? 0 : spirit.percent,
                notes == null ? List.of() : notes);
    }

    private Method method() {
        Method shipped = Method.of(way.key).orElseGet(() -> Method.of(Linear.first(way.key, "~.*", ""))
                .orElseThrow(() -> new IllegalArgumentException("no way here is called " + way.key)));
        if (shipped.stages().size() != way.stages.size()) {
            throw new IllegalArgumentException("%s has %d stages, and the file says %d"
                    .formatted(shipped.name(), shipped.stages().size(), way.stages.size()));
        }
        List<Stage> stages = new ArrayList<>();
        for (int i = 0; i < way.stages.size(); i++) {
            stages.add(stage(shipped.stages().get(i), way.stages.get(i)));
        }
        return stages.equals(shipped.stages()) ? shipped : shipped.variant("shared", way.name, stages);
    }

    private static Stage stage(Stage shipped, Step said) {
        if (!shipped.key().equals(said.key) || shipped.pace() != said.countedIn) {
            throw new IllegalArgumentException("the file's stage “%s” is “%s” here, counted in %s"
                    .formatted(said.key, shipped.key(), shipped.pace().many()));
        }
        if (said.length < shipped.least() || said.length > shipped.most()) {
            throw new IllegalArgumentException("“%s” takes %d to %s; the file says %d"
                    .formatted(shipped.name(), shipped.least(), shipped.pace().words(shipped.most()), said.length));
        }
        Band band = new Band(Temperature.ofCelsius(said.lowCelsius), Temperature.ofCelsius(said.highCelsius));
        Optional<Temperature> ceiling = shipped.isHeated()
                ? Optional.ofNullable(said.ceilingCelsius)
                        .map(Temperature::ofCelsius)
                        .or(shipped::ceiling)
                : Optional.empty();
        Stage stage =
                band.equals(shipped.band()) && ceiling.equals(shipped.ceiling()) ? shipped : shipped.at(band, ceiling);
        for (Rhythm rhythm : said.tendings == null ? List.<Rhythm>of() : said.tendings) {
            stage = stage.tended(new Tending(rhythm.kind, rhythm.everyAtFirst, rhythm.first, rhythm.everyAfter));
        }
        return stage;
    }
}
