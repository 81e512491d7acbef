package app.velvetcrock.recipepages;

import app.velvetcrock.bench.BenchForm;
import app.velvetcrock.bench.SentencePart;
import app.velvetcrock.core.bench.BenchShelves;
import app.velvetcrock.core.larder.Stock;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.planning.PlanRecipe;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** A recipe as it is weighed out, told to a friend, and taken to the Bench. */
record RecipeSheet(UUID id, PlanRecipe recipe, House house) {

    private static final double PERCENT = 100;

    /** One line to weigh out, with room for what it really was. */
    public record Line(String amount, String what, String other) {}

    /** Everything to weigh out, in the order it goes in. */
    public List<Line> lines() {
        List<Line> lines = new ArrayList<>();
        for (PlanRecipe.Herb herb : recipe.herbs()) {
            lines.add(new Line(
                    house.mass(Mass.ofGrams(herb.grams())),
                    herb.name(),
                    "%s %s, %s%s"
                            .formatted(
                                    herb.moisture().word(),
                                    herb.part().word(),
                                    herb.cut().word(),
                                    herb.botanical().isEmpty() ? "" : "; " + herb.botanical())));
        }
        if (recipe.spiritGrams() > 0) {
            lines.add(new Line(
                    house.mass(Mass.ofGrams(recipe.spiritGrams())),
                    "spirit of %.0f %%".formatted(recipe.spiritPercent()),
                    "drinkable grain spirit, to moisten with"));
        }
        for (PlanRecipe.Oil oil : recipe.oils()) {
            lines.add(new Line(
                    house.volume(Volume.ofMillilitres(recipe.oilMillilitres() * oil.share())),
                    oil.name(),
                    recipe.oils().size() == 1
                            ? house.ratio(recipe.ratio()) + " grams to mL"
                            : "%s of the oil; in all %s grams to mL"
                                    .formatted(house.percent(oil.share()), house.ratio(recipe.ratio()))));
        }
        return lines;
    }

    /** What is done, stage by stage. */
    public List<String> stages() {
        List<String> words = new ArrayList<>();
        for (int i = 0; i < recipe.lengths().size(); i++) {
            Stage stage = recipe.method().stages().get(i);
            words.add("%s for %s, %s to %s%s"
                    .formatted(
                            Character.toUpperCase(stage.name().charAt(0))
                                    + stage.name().substring(1),
                            stage.pace().words(recipe.lengths().get(i)),
                            house.temperature(stage.band().low()),
                            house.temperature(stage.band().high()),
                            stage.ceiling()
                                    .map(t -> ", never above " + house.temperature(t))
                                    .orElse("")));
        }
        return words;
    }

    /** All of it as plain text, for a friend. */
    String text() {
        StringBuilder text = new StringBuilder(recipe.title()).append("\n\n");
        lines().forEach(line -> text.append("  ")
                .append(line.amount())
                .append("  ")
                .append(line.what())
                .append(" (")
                .append(line.other())
                .append(")\n"));
        text.append('\n').append(recipe.method().name()).append(":\n");
        stages().forEach(stage -> text.append("  - ").append(stage).append('\n'));
        text.append("  - Strain, ")
                .append(recipe.pressing().word())
                .append(". Keep it ")
                .append(recipe.storage().word())
                .append(".\n");
        text.append("\nMade for ").append(recipe.use().word()).append(". Patch test each new lot. Smell before use.\n");
        recipe.notes().forEach(note -> text.append("\nNext time: ").append(note).append('\n'));
        return text.toString();
    }

    /** The Bench's address with this recipe filled in, from what is in stock. */
    String bench(BenchShelves shelves) {
        return sentence(shelves).address();
    }

    /** The sentence this recipe says. */
    private BenchForm sentence(BenchShelves shelves) {
        List<SentencePart.HerbRow> herbs = recipe.herbs().stream()
                .map(herb -> new SentencePart.HerbRow(
                        lot(herb, shelves.herbs())
                                .map(lot -> lot.id().toString())
                                .orElse(""),
                        house.mass(Mass.ofGrams(herb.grams()))))
                .toList();
        List<SentencePart.OilRow> oils = recipe.oils().stream()
                .map(oil -> new SentencePart.OilRow(lot(oil, shelves), Decimals.upTo(PERCENT * oil.share(), 1) + " %"))
                .toList();
        Method method = recipe.method();
        Method shipped = Method.of(method.key()).orElse(method.base());
        List<Stage> stages = method.stages();
        List<Integer> lengths = recipe.lengths();
        return BenchForm.of(
                        String.valueOf(herbs.get(0).herb()),
                        String.valueOf(herbs.get(0).amount()),
                        String.valueOf(oils.get(0).carrier()),
                        house.volume(Volume.ofMillilitres(recipe.oilMillilitres())))
                .with(herbs.subList(1, herbs.size()))
                .mixed(new SentencePart.Mix("", oils.subList(1, oils.size())))
                .by(shipped.key())
                .lasting(stages.get(0).pace().words(lengths.get(0)), null)
                .then(stages.size() > 1 ? stages.get(1).pace().words(lengths.get(1)) : null)
                .numbered(SentencePart.Numbers.differing(method, shipped, house))
                .kept(recipe.use(), recipe.pressing(), recipe.storage())
                .moistened(recipe.spiritPerGram() > 0 ? String.valueOf(recipe.spiritPerGram()) : null);
    }

    private static String lot(PlanRecipe.Oil oil, BenchShelves shelves) {
        return shelves.carriers().stream()
                .filter(lot -> lot.kind().key().equals(oil.key()))
                .findFirst()
                .map(lot -> lot.id().toString())
                .orElse("");
    }

    /** Herbs of it that are not in stock. */
    public List<String> missing(BenchShelves shelves) {
        return recipe.herbs().stream()
                .filter(herb -> lot(herb, shelves.herbs()).isEmpty())
                .map(PlanRecipe.Herb::name)
                .toList();
    }

    /** The lot nearest to what is asked: the same herb and part, the same state and cut first. */
    private static Optional<Stock.OfHerb> lot(PlanRecipe.Herb herb, List<Stock.OfHerb> lots) {
        return lots.stream()
                .filter(lot ->
                        lot.kind().key().equals(herb.key()) && lot.texture().part() == herb.part())
                .min(Comparator.comparing((Stock.OfHerb lot) -> lot.moisture() != herb.moisture())
                        .thenComparing(lot -> lot.texture().cut() != herb.cut())
                        .thenComparing(lot -> -lot.left().grams()));
    }
}
