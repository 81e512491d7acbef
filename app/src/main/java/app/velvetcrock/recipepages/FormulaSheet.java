package app.velvetcrock.recipepages;

import app.velvetcrock.catalogue.Catalogue;
import app.velvetcrock.core.making.Firmness;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.making.Setting;
import app.velvetcrock.core.materia.CarrierKind;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.melt.PanShelves;
import app.velvetcrock.core.melt.PanThing;
import app.velvetcrock.core.pan.FormulaRecipe;
import app.velvetcrock.draw.Strata;
import app.velvetcrock.pan.PanForm;
import app.velvetcrock.pan.PanRows;
import app.velvetcrock.recipes.KeptFormulas;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** A recipe of something made as it is shown, weighed out for so much. */
record FormulaSheet(UUID id, FormulaRecipe recipe, Mass melt, House house) {

    private static final Setting SETTING = Setting.shipped();
    private static final List<Kind> KINDS = Kind.shipped();
    private static final String WAX = "#e0b95a";
    private static final String FAT = "#efe7c8";

    /** A row of the list of recipes. */
    record Row(UUID id, String title, String kind, String firm, String in, Strata strata) {}

    /** A line to weigh out by. */
    record Line(String amount, String other, String what) {}

    static Row row(KeptFormulas.Kept kept, House house, Catalogue catalogue) {
        FormulaRecipe recipe = kept.recipe();
        List<Strata.Part> parts = new ArrayList<>();
        recipe.parts().forEach(part -> parts.add(new Strata.Part(part.share(), tint(part, catalogue))));
        return new Row(
                kept.id(),
                recipe.title(),
                kind(recipe),
                firm(recipe, house),
                mixed(recipe),
                Strata.ofShares(parts, "what is melted, part by part"));
    }

    private static String mixed(FormulaRecipe recipe) {
        List<FormulaRecipe.Part> parts = recipe.parts();
        List<Integer> hundredths = Decimals.hundredths(
                parts.stream().map(FormulaRecipe.Part::share).toList());
        return IntStream.range(0, parts.size())
                .mapToObj(i -> "%s %d %%".formatted(parts.get(i).name(), hundredths.get(i)))
                .collect(Collectors.joining(", "));
    }

    private static String tint(FormulaRecipe.Part part, Catalogue catalogue) {
        return part.role() == Formula.Role.WAX
                ? WAX
                : catalogue.carrier(part.key()).map(CarrierKind::tint).orElse(FAT);
    }

    static String kind(FormulaRecipe recipe) {
        return KINDS.stream()
                .filter(kind -> kind.key().equals(recipe.kind()))
                .map(Kind::name)
                .findFirst()
                .orElse(recipe.kind().replace('-', ' '));
    }

    static boolean isWhipped(FormulaRecipe recipe) {
        return KINDS.stream().anyMatch(kind -> kind.key().equals(recipe.kind()) && kind.whipped());
    }

    private static String firm(FormulaRecipe recipe, House house) {
        Firmness firmness = recipe.firmness(SETTING, house.settings().room());
        return "firmness %s, %s"
                .formatted(Decimals.upTo(firmness.value(), 1), firmness.band().word());
    }

    public String firm() {
        return firm(recipe, house);
    }

    public String kind() {
        return kind(recipe);
    }

    public List<Line> lines() {
        return recipe.weigh(melt).stream()
                .map(line -> new Line(
                        line.drops()
                                .map(drops -> Decimals.upTo(drops, 0) + " drops")
                                .orElse(house.mass(line.mass())),
                        line.drops().isPresent()
                                ? house.mass(line.mass())
                                : Decimals.upTo(100 * line.mass().grams() / melt.grams(), 1) + " % of the melt",
                        line.name()))
                .toList();
    }

    /** The Pan's sentence that makes so much of it from what is here today. */
    public String pan(PanShelves shelves, String much, String into) {
        String oil = "";
        String wax = "";
        String waxShare = "";
        List<PanForm.Row> with = new ArrayList<>();
        for (FormulaRecipe.Part part : recipe.parts()) {
            String share = Decimals.upTo(100 * part.share(), 2) + " %";
            if (oil.isEmpty() && part.role() == Formula.Role.OIL) {
                oil = oil(part, shelves);
            } else if (wax.isEmpty() && part.role() == Formula.Role.WAX) {
                wax = PanForm.KIND + part.key();
                waxShare = share;
            } else {
                with.add(new PanForm.Row(PanForm.KIND + part.key(), share));
            }
        }
        List<PanForm.Row> add = PanRows.stirred(
                shelves,
                recipe.weigh(melt).stream()
                        .skip(recipe.parts().size())
                        .map(line -> new PanRows.Stirring(
                                line.key(),
                                Optional.empty(),
                                line.mass(),
                                line.drops().isPresent()))
                        .toList());
        return new PanForm(
                        null,
                        much.isEmpty() ? Decimals.upTo(melt.grams(), 1) + " g" : much,
                        into,
                        recipe.kind(),
                        recipe.kind(),
                        oil,
                        wax,
                        waxShare,
                        "",
                        "",
                        recipe.use().name(),
                        "",
                        "",
                        with,
                        add,
                        null)
                .address();
    }

    /** An oil of the same name where one is here, else one of its carrier. */
    private static String oil(FormulaRecipe.Part part, PanShelves shelves) {
        Optional<PanThing> same = shelves.oils().stream()
                .filter(one -> one.common().equalsIgnoreCase(part.name()))
                .findFirst();
        return same.map(PanThing::name).orElse(PanForm.KIND + part.key());
    }
}
