package app.velvetcrock.recipepages;

import app.velvetcrock.core.making.Firmness;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.recipe.Recipe;
import app.velvetcrock.core.recipe.RecipeLine;
import app.velvetcrock.core.recipe.RecipeLine.Clear;
import app.velvetcrock.core.recipe.Thing;
import app.velvetcrock.pan.PanForm;
import app.velvetcrock.recipes.RecipeBox;
import app.velvetcrock.stillroom.House;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** How a list of things to melt can be read, each reading with the firmness it lands at and its way into the Pan. */
final class PanReadings {

    /** An ounce, and what may stand beside it to tell which. */
    private static final Pattern OUNCE =
            Pattern.compile("(?i)(fl\\s|fl\\. |fluid\\s)?\\b(oz|ounces?)\\b(\\s*(?:by )?weight)?");

    private final RecipeBox box;
    private final House house;

    PanReadings(RecipeBox box, House house) {
        this.box = box;
        this.house = house;
    }

    /**
     * One reading.
     *
     * @param words how its ounces are taken
     * @param open how many of its lines are not counted in; empty where all are
     * @param href the Pan with it
     */
    record Landing(String words, String firmness, String open, boolean likely, String href) {}

    /** A reading of bare ounces: of oils as volumes or weights, of wax as weights or as heaps of pellets. */
    private record Way(boolean oilByVolume, boolean waxByVolume, String words) {

        /** The same where nothing but the wax is in doubt. */
        String waxWords() {
            return waxByVolume ? "wax by the fluid ounce, as pellets" : "wax by weight";
        }
    }

    private static final List<Way> WAYS = List.of(
            new Way(true, false, "oil by the fluid ounce, wax by weight"),
            new Way(false, false, "all of it by weight"),
            new Way(true, true, "all of it by the fluid ounce, wax as pellets"));

    /** The readings there are, the likely one first; none where nothing of it is melted. */
    List<Landing> of(Recipe recipe) {
        Set<String> seen = new HashSet<>();
        List<Landing> landings = new ArrayList<>();
        for (Way way : WAYS) {
            String text = recipe.lines().stream().map(line -> as(line, way)).collect(Collectors.joining("\n"));
            Recipe read = box.read(text, house);
            if (read.firmness().isPresent() && seen.add(text)) {
                landings.add(landing(read, oilIsAsked(recipe) ? way.words() : way.waxWords(), way));
            }
        }
        return landings.size() == 1
                ? List.of(new Landing(
                        "as it is written",
                        landings.get(0).firmness(),
                        landings.get(0).open(),
                        true,
                        landings.get(0).href()))
                : landings;
    }

    private static String as(RecipeLine line, Way way) {
        if (line instanceof RecipeLine.Asked asked) {
            return asked.instead().stream()
                    .map(RecipeLine.Instead::line)
                    .filter(one -> one.toLowerCase(Locale.ROOT).contains("fl oz") == way.oilByVolume())
                    .findFirst()
                    .orElse(asked.written());
        }
        if (line instanceof Clear clear && clear.thing().role() == Thing.Role.WAX && way.waxByVolume()) {
            return ouncesAsVolumes(clear.written());
        }
        return line.written();
    }

    /** The line with the first ounce that says neither as one of a volume. */
    private static String ouncesAsVolumes(String line) {
        Matcher ounce = OUNCE.matcher(line);
        while (ounce.find()) {
            if (ounce.group(1) == null && ounce.group(3) == null) {
                return line.substring(0, ounce.start(2)) + "fl oz" + line.substring(ounce.end(2));
            }
        }
        return line;
    }

    /** Tells whether it is asked if an oil's ounces are weights or volumes. */
    private static boolean oilIsAsked(Recipe recipe) {
        return recipe.lines().stream()
                .filter(RecipeLine.Asked.class::isInstance)
                .map(RecipeLine.Asked.class::cast)
                .anyMatch(asked -> asked.instead().stream()
                        .anyMatch(one -> one.line().toLowerCase(Locale.ROOT).contains("fl oz")));
    }

    private Landing landing(Recipe read, String words, Way way) {
        Firmness firmness = read.firmness().orElseThrow();
        return new Landing(
                words,
                "Firmness %s, %s"
                        .formatted(
                                Decimals.upTo(firmness.value(), 1),
                                firmness.band().word()),
                read.open() == 0
                        ? ""
                        : read.open() + (read.open() == 1 ? " line is" : " lines are") + " still to be asked about",
                way.oilByVolume() && !way.waxByVolume(),
                href(read, firmness));
    }

    private static List<Clear> clear(Recipe read) {
        return read.lines().stream()
                .filter(Clear.class::isInstance)
                .map(Clear.class::cast)
                .toList();
    }

    private static String href(Recipe read, Firmness firmness) {
        List<Clear> lines = clear(read);
        Optional<Clear> oil = lines.stream()
                .filter(line -> line.thing().role() == Thing.Role.OIL)
                .findFirst();
        Optional<Clear> wax = lines.stream()
                .filter(line -> line.thing().role() == Thing.Role.WAX)
                .findFirst();
        double melt = lines.stream()
                .filter(line -> line.thing().role().melts())
                .mapToDouble(line -> line.mass().grams())
                .sum();
        List<PanForm.Row> with = lines.stream()
                .filter(line -> line.thing().role().melts())
                .filter(line -> oil.filter(line::equals).isEmpty()
                        && wax.filter(line::equals).isEmpty())
                .map(PanReadings::row)
                .toList();
        List<PanForm.Row> add = lines.stream()
                .filter(line -> !line.thing().role().melts() && line.thing().role() != Thing.Role.HERB)
                .map(PanReadings::row)
                .toList();
        String kind = kind(firmness.value(), wax.isPresent());
        return new PanForm(
                        null,
                        Decimals.upTo(melt, 1) + " g",
                        null,
                        kind,
                        kind,
                        oil.map(line -> PanForm.KIND + line.thing().key()).orElse(null),
                        wax.map(line -> PanForm.KIND + line.thing().key()).orElse(null),
                        wax.map(line -> Decimals.upTo(line.mass().grams(), 1) + " g")
                                .orElse(null),
                        null,
                        null,
                        null,
                        null,
                        null,
                        with,
                        add,
                        null)
                .address();
    }

    private static PanForm.Row row(Clear line) {
        return new PanForm.Row(
                PanForm.KIND + line.thing().key(), Decimals.upTo(line.mass().grams(), 2) + " g");
    }

    /** The kind whose firmness is nearest. */
    private static String kind(double firmness, boolean wax) {
        if (!wax) {
            return firmness > 0 ? "whipped-butter" : "massage-blend";
        }
        return firmness < 10
                ? "soft-ointment"
                : firmness < 17
                        ? "salve"
                        : firmness < 21
                                ? "firm-salve"
                                : firmness < 28 ? "lip-balm" : firmness < 37 ? "soft-bar" : "lotion-bar";
    }
}
