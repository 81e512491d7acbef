package app.velvetcrock.core.recipe;

import app.velvetcrock.core.making.Firmness;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.recipe.RecipeLine.Clear;
import java.util.List;
import java.util.Optional;

/**
 * An ingredient list worked out: every clear line in grams and as a share, and what the whole comes to.
 *
 * @param total of the clear lines
 * @param ratio millilitres of oil to a gram of herb; absent without both
 * @param firmness of what is melted together; absent where nothing sets
 */
public record Recipe(List<RecipeLine> lines, Mass total, Optional<Double> ratio, Optional<Firmness> firmness) {

    public Recipe {
        lines = List.copyOf(lines);
    }

    /** Works a list out; {@code room} decides which butters still set. */
    public static Recipe of(List<RecipeLine> lines, Setting setting, Temperature room) {
        List<Clear> clear = lines.stream()
                .filter(Clear.class::isInstance)
                .map(Clear.class::cast)
                .toList();
        double herb = clear.stream()
                .filter(line -> line.thing().role() == Thing.Role.HERB)
                .mapToDouble(line -> line.mass().grams())
                .sum();
        double oil = clear.stream()
                .filter(line ->
                        line.thing().role() == Thing.Role.OIL || line.thing().role() == Thing.Role.BUTTER)
                .map(line -> line.thing().density().volumeOf(line.mass()))
                .mapToDouble(Volume::millilitres)
                .sum();
        List<Firmness.Ingredient> melt = clear.stream()
                .filter(line -> line.thing().role().melts())
                .map(line -> new Firmness.Ingredient(
                        line.mass(),
                        setting.equivalent(line.thing().key(), room),
                        line.thing().role() == Thing.Role.WAX))
                .toList();
        boolean sets = melt.stream().anyMatch(part -> part.equivalent() > 0);
        return new Recipe(
                lines,
                RecipeReader.total(lines),
                herb > 0 && oil > 0 ? Optional.of(oil / herb) : Optional.empty(),
                sets ? Optional.of(Firmness.of(melt)) : Optional.empty());
    }

    /** Lines still to be asked about. */
    public long open() {
        return lines.stream().filter(line -> !(line instanceof Clear)).count();
    }

    public double shareOf(Clear line) {
        return total.grams() == 0 ? 0 : line.mass().grams() / total.grams();
    }

    /** The first clear line of a role. */
    public Optional<Clear> first(Thing.Role role) {
        return lines.stream()
                .filter(Clear.class::isInstance)
                .map(Clear.class::cast)
                .filter(line -> line.thing().role() == role)
                .findFirst();
    }
}
