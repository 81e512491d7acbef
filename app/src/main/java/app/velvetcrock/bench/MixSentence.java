package app.velvetcrock.bench;

import app.velvetcrock.core.bench.Bottled;
import app.velvetcrock.core.charge.BlendAmounts;
import app.velvetcrock.core.charge.OilShares;
import app.velvetcrock.core.charge.OilWish;
import app.velvetcrock.core.kitchen.Expect;
import app.velvetcrock.core.kitchen.KnownDensity;
import app.velvetcrock.core.kitchen.ShareReader;
import app.velvetcrock.core.measure.Density;
import app.velvetcrock.core.measure.Volume;
import app.velvetcrock.core.planning.Carriers;
import app.velvetcrock.web.Fields;
import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reads how much of each oil of a mix goes in: a share, parts, or an amount. */
final class MixSentence {

    private static final Pattern PARTS = Pattern.compile("(.+?) ?parts?( by weight)?");
    private static final Pattern SHARE = Pattern.compile("(.+?)( by weight)?");
    private static final double LEAST_SHARE = 0.01;
    private static final double MOST_PARTS = 1000;
    private static final double MOST_MILLILITRES = 50_000;

    private final Fields fields;
    private final BenchSentence sentence;

    MixSentence(Fields fields, BenchSentence sentence) {
        this.fields = fields;
        this.sentence = sentence;
    }

    /**
     * What is poured, clear.
     *
     * @param all how much in all, where the oils were said as amounts
     */
    record Read(List<Bottled> bottles, Carriers carriers, Optional<Volume> all) {}

    /**
     * Reads a mix; absent when something is not clear.
     *
     * @param oil what is said of all of it
     */
    Optional<Read> read(SentencePart.Mix mix, @Nullable String oil, List<Bottled> bottles) {
        if (bottles.size() == 1) {
            return Optional.of(new Read(bottles, Carriers.of(bottles.get(0).carrier()), Optional.empty()));
        }
        List<OilShares.Oil> oils = new ArrayList<>();
        said("mix.first", mix.first(), bottles.get(0).density())
                .ifPresent(
                        said -> oils.add(new OilShares.Oil(said, bottles.get(0).density())));
        for (int i = 1; i < bottles.size(); i++) {
            Density density = bottles.get(i).density();
            said("mix.more[%d].share".formatted(i - 1), mix.others().get(i - 1).share(), density)
                    .ifPresent(said -> oils.add(new OilShares.Oil(said, density)));
        }
        if (!fields.isClear() || oils.size() < bottles.size()) {
            return Optional.empty();
        }
        try {
            OilShares shares =
                    OilShares.of(oils, inAll(oils, oil, bottles.get(0).density()));
            List<Carriers.Part> parts = new ArrayList<>();
            for (int i = 0; i < bottles.size(); i++) {
                parts.add(new Carriers.Part(
                        bottles.get(i).carrier(), shares.shares().get(i)));
            }
            Carriers carriers = new Carriers(parts);
            fields.echo("mix.first", carriers.words() + ", by volume");
            return Optional.of(new Read(
                    bottles,
                    carriers,
                    oils.stream().anyMatch(o -> o.said() instanceof OilShares.Said.Amount)
                            ? shares.all()
                            : Optional.empty()));
        } catch (BlendAmounts.UnclearException unclear) {
            String why = String.valueOf(unclear.getMessage());
            fields.trouble(
                    unclear.row() < 0
                            ? "oil"
                            : unclear.row() == 0 ? "mix.first" : "mix.more[%d].share".formatted(unclear.row() - 1),
                    why.substring(0, 1).toUpperCase(Locale.ROOT) + why.substring(1) + ".",
                    unclear.row() < 0
                            ? "300 mL, or shares such as half"
                            : "half, 30 %, 1 part or 100 mL, the same for all");
            return Optional.empty();
        }
    }

    /** How much oil in all, where oils of it are said as amounts and so is the whole. */
    private Optional<Volume> inAll(List<OilShares.Oil> oils, @Nullable String oil, Density density) {
        boolean amounts = oils.stream().anyMatch(one -> one.said() instanceof OilShares.Said.Amount);
        return amounts && !BenchForm.isBlank(oil)
                ? sentence.oil(density, oil)
                        .filter(OilWish.Exactly.class::isInstance)
                        .map(wish -> ((OilWish.Exactly) wish).oil())
                : Optional.empty();
    }

    private Optional<OilShares.Said> said(String field, @Nullable String typed, Density density) {
        if (fields.isTooLong(field, typed, Fields.LONGEST_AMOUNT)) {
            return Optional.empty();
        }
        String text = typed == null ? "" : typed.strip().toLowerCase(Locale.ROOT);
        if (text.isEmpty()) {
            if (field.equals("mix.first")) {
                return Optional.of(new OilShares.Said.Rest());
            }
            fields.trouble(field, "How much of this oil is not said.", "half, 30 %, 1 part or 100 mL");
            return Optional.empty();
        }
        Matcher parts = PARTS.matcher(text);
        Matcher share = SHARE.matcher(text);
        if (parts.matches()) {
            return number(field, typed, parts.group(1), MOST_PARTS)
                    .map(number -> new OilShares.Said.Parts(number, parts.group(2) != null));
        }
        if (share.matches() && ShareReader.read(share.group(1)).isPresent()) {
            return number(field, typed, share.group(1), 1 - LEAST_SHARE)
                    .map(number -> new OilShares.Said.Share(number, share.group(2) != null));
        }
        return fields.massOf(field, typed, Expect.LIQUID, KnownDensity.ofOil(density))
                .map(read -> density.volumeOf(read.mass()))
                .filter(volume -> {
                    boolean sensible = volume.millilitres() > 0 && volume.millilitres() <= MOST_MILLILITRES;
                    if (!sensible) {
                        fields.trouble(
                                field, "That is more than any jar takes, or nothing.", "half, 30 %, 1 part or 100 mL");
                    }
                    return sensible;
                })
                .map(OilShares.Said.Amount::new);
    }

    private Optional<Double> number(String field, @Nullable String typed, String number, double most) {
        Optional<Double> read = ShareReader.read(number).filter(value -> value >= LEAST_SHARE && value <= most);
        if (read.isEmpty()) {
            fields.trouble(
                    field,
                    "“%s”: that is no share of the oil; it lies above nothing and below all of it.".formatted(typed),
                    "half, 30 %, 1 part or 100 mL");
        }
        return read;
    }
}
