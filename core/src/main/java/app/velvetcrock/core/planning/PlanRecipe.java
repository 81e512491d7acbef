package app.velvetcrock.core.planning;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.HerbPortion;
import app.velvetcrock.core.charge.Vessel;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.materia.Cut;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.Moisture;
import app.velvetcrock.core.materia.Part;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.core.strain.Retention;
import app.velvetcrock.core.strain.YieldForecast;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * A plan kept to be made again: what and how much, by what way, without lots, jars and dates.
 *
 * @param oils one, or up to four of a mix
 * @param oilMillilitres all of it together, above 0
 * @param spiritPerGram grams of spirit to a gram of herb; 0 for a way without
 * @param spiritPercent its strength; 0 for a way without
 * @param notes what was to be changed next time, the newest first
 */
public record PlanRecipe(
        String title,
        List<Herb> herbs,
        List<Oil> oils,
        double oilMillilitres,
        Method method,
        List<Integer> lengths,
        Use use,
        Pressing pressing,
        Storage storage,
        double spiritPerGram,
        double spiritPercent,
        List<String> notes) {

    public static final double LEAST_FACTOR = 0.1;
    public static final double MOST_FACTOR = 50;
    private static final double HUNDREDTHS = 100;

    public PlanRecipe {
        herbs = List.copyOf(herbs);
        oils = List.copyOf(oils);
        lengths = List.copyOf(lengths);
        notes = List.copyOf(notes);
        if (oils.isEmpty() || oils.size() > Carriers.MOST) {
            throw new IllegalArgumentException(
                    "a recipe has one to %d oils; this has %d".formatted(Carriers.MOST, oils.size()));
        }
        if (herbs.isEmpty() || lengths.size() != method.stages().size()) {
            throw new IllegalArgumentException(
                    "a recipe has a herb and a length for every stage; this has %d herbs and %d lengths for %d stages"
                            .formatted(
                                    herbs.size(),
                                    lengths.size(),
                                    method.stages().size()));
        }
    }

    /** One herb of it: its key in the catalogue, and its names for whoever does not have it. */
    public record Herb(
            String key, String name, String botanical, Part part, Cut cut, Moisture moisture, double grams) {}

    /**
     * One oil of it: its key in the catalogue, and its name for whoever does not have it.
     *
     * @param share of the volume, above 0 and at most 1
     */
    public record Oil(String key, String name, double share) {}

    /** What of a plan is kept. */
    public static PlanRecipe of(String title, BatchPlan plan, List<String> notes) {
        PlanRequest request = plan.request();
        PlanRequest.Circumstances how = request.circumstances();
        boolean spirit = plan.moistening().isPresent();
        return new PlanRecipe(
                title,
                request.herbs().stream()
                        .map(herb -> new Herb(
                                herb.kind().key(),
                                herb.kind().common(),
                                herb.kind().botanical(),
                                herb.texture().part(),
                                herb.cut(),
                                herb.moisture(),
                                herb.mass().grams()))
                        .toList(),
                request.carriers().parts().stream()
                        .map(part -> new Oil(
                                part.carrier().kind().key(),
                                part.carrier().kind().common(),
                                part.share()))
                        .toList(),
                plan.charge().oil().millilitres(),
                how.method(),
                how.lengths(),
                how.use(),
                how.pressing(),
                how.storage(),
                spirit ? how.dosing().perGram() : 0,
                spirit ? plan.moistening().orElseThrow().strength().percent() : 0,
                notes);
    }

    /** The same for so many times as much; times and temperatures stay. */
    public PlanRecipe times(double factor) {
        if (!(factor >= LEAST_FACTOR && factor <= MOST_FACTOR)) {
            throw new IllegalArgumentException(
                    "factor is %s; it must be between %s and %s".formatted(factor, LEAST_FACTOR, MOST_FACTOR));
        }
        return new PlanRecipe(
                title,
                herbs.stream()
                        .map(herb -> new Herb(
                                herb.key,
                                herb.name,
                                herb.botanical,
                                herb.part,
                                herb.cut,
                                herb.moisture,
                                herb.grams * factor))
                        .toList(),
                oils,
                oilMillilitres * factor,
                method,
                lengths,
                use,
                pressing,
                storage,
                spiritPerGram,
                spiritPercent,
                notes);
    }

    /** What its herbs keep together, no more nine times in ten, by the shipped estimates. */
    public Volume keepsAtMost(Materia materia) {
        return Volume.ofMillilitres(herbs.stream()
                .mapToDouble(herb -> herb.grams()
                        * Wanted.atMost(
                                Retention.shipped(materia.texture(herb.part(), herb.cut()), herb.moisture(), pressing)))
                .sum());
    }

    /**
     * How many times this gives so much oil, enough nine times in ten: f = (wanted + film)/(oil − kept).
     *
     * @param kept what all its herb keeps, no more nine times in ten
     * @throws IllegalArgumentException where its herb may keep nearly all its oil
     */
    public double gives(Volume wanted, Volume kept) {
        double left = oilMillilitres - kept.millilitres();
        if (left < oilMillilitres / HUNDREDTHS) {
            throw new IllegalArgumentException("the herb may keep nearly all of its oil");
        }
        return (wanted.millilitres() + YieldForecast.FILM.millilitres()) / left;
    }

    /** How many times this fills a jar to its air, since oil and the herb's own volume grow together; rounded down to a hundredth. */
    public double fills(Vessel jar) {
        double herb = herbs.stream()
                .mapToDouble(one -> HerbPortion.displacement(Mass.ofGrams(one.grams), one.moisture)
                        .millilitres())
                .sum();
        double whole = jar.capacity().millilitres() * (1 - method.headspace()) / (oilMillilitres + herb);
        return Math.max(LEAST_FACTOR, Math.min(MOST_FACTOR, Math.floor(whole * HUNDREDTHS) / HUNDREDTHS));
    }

    public double grams() {
        return herbs.stream().mapToDouble(Herb::grams).sum();
    }

    public double ratio() {
        return oilMillilitres / grams();
    }

    /** Grams of spirit it takes; 0 for a way without. */
    public double spiritGrams() {
        return spiritPerGram * grams();
    }

    /** How long each stage takes, in words: "8 hours", "60 minutes, then 14 days". */
    public String time() {
        List<String> words = new ArrayList<>();
        for (int i = 0; i < lengths.size(); i++) {
            words.add(method.stages().get(i).pace().words(lengths.get(i)));
        }
        return String.join(", then ", words);
    }

    /** One line in which two recipes differ. */
    public record Difference(String what, String here, String there) {}

    /** Compares with another: only what differs. Amounts are compared as proportions, since one may only be larger. */
    public List<Difference> differences(PlanRecipe other) {
        List<Difference> found = new ArrayList<>();
        add(found, "herbs", proportions(), other.proportions());
        add(found, "herb as", states(), other.states());
        add(found, "oil", oilWords(), other.oilWords());
        add(found, "grams : mL", ratioWords(), other.ratioWords());
        add(found, "way", method.name(), other.method.name());
        add(found, "time", time(), other.time());
        add(found, "heat", heat(), other.heat());
        add(found, "spirit", spiritWords(), other.spiritWords());
        add(found, "pressed", pressing.word(), other.pressing.word());
        add(found, "kept", storage.word(), other.storage.word());
        add(found, "for", use.word(), other.use.word());
        return found;
    }

    private static void add(List<Difference> found, String what, String here, String there) {
        if (!Objects.equals(here, there)) {
            found.add(new Difference(what, here, there));
        }
    }

    private String proportions() {
        return mixed(
                herbs.stream().map(herb -> herb.name).toList(),
                herbs.stream().map(herb -> herb.grams).toList());
    }

    private String oilWords() {
        return mixed(
                oils.stream().map(oil -> oil.name).toList(),
                oils.stream().map(oil -> oil.share).toList());
    }

    /** One thing by its name alone, several with their share of the whole. */
    private static String mixed(List<String> names, List<Double> shares) {
        List<Integer> hundredths = Decimals.hundredths(shares);
        return names.size() == 1
                ? names.get(0)
                : IntStream.range(0, names.size())
                        .mapToObj(i -> "%s %d %%".formatted(names.get(i), hundredths.get(i)))
                        .collect(Collectors.joining(", "));
    }

    private String states() {
        return String.join(
                ", ",
                herbs.stream()
                        .map(herb -> "%s %s, %s".formatted(herb.moisture.word(), herb.part.word(), herb.cut.word()))
                        .toList());
    }

    private String ratioWords() {
        return String.format(Locale.ROOT, "1 : %.1f", ratio());
    }

    private String heat() {
        return String.join(
                ", then ",
                method.stages().stream()
                        .map(stage -> String.format(
                                Locale.ROOT,
                                "%.0f to %.0f °C",
                                stage.band().low().celsius(),
                                stage.band().high().celsius()))
                        .toList());
    }

    private String spiritWords() {
        return spiritPerGram == 0
                ? "none"
                : String.format(Locale.ROOT, "%.2f g a gram of %.0f %%", spiritPerGram, spiritPercent);
    }
}
