package app.velvetcrock.bench;

import app.velvetcrock.core.charge.OilShares;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Tending;
import app.velvetcrock.sentence.WishForm;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The parts of the Bench's sentence that have several blanks of their own. */
public final class SentencePart {

    private SentencePart() {}

    /** One more herb of a blend. */
    public record HerbRow(@Nullable String herb, @Nullable String amount) {

        static final HerbRow NONE = new HerbRow("", "");

        public boolean isBlank() {
            return BenchForm.isBlank(herb) && BenchForm.isBlank(amount);
        }
    }

    /** Another oil of a mix, and how much of it. */
    public record OilRow(@Nullable String carrier, @Nullable String share) {

        static final OilRow NONE = new OilRow("", "");

        boolean isBlank() {
            return BenchForm.isBlank(carrier) && BenchForm.isBlank(share);
        }
    }

    /**
     * What the oil is mixed with.
     *
     * @param first how much of the first oil; empty for what the others leave
     */
    public record Mix(@Nullable String first, @Nullable List<OilRow> more) {

        static final Mix NONE = new Mix("", List.of());

        private static final int MOST_MORE = OilShares.MOST - 1;

        boolean isBlank() {
            return BenchForm.isBlank(first) && others().isEmpty();
        }

        /** Its oils that are said. */
        List<OilRow> others() {
            return more == null
                    ? List.of()
                    : more.stream()
                            .filter(row -> row != null && !row.isBlank())
                            .limit(MOST_MORE)
                            .toList();
        }

        /** As many rows as there may be. */
        public List<OilRow> rows() {
            List<OilRow> rows = new ArrayList<>(others());
            while (rows.size() < MOST_MORE) {
                rows.add(OilRow.NONE);
            }
            return rows;
        }

        Mix filled() {
            return new Mix(BenchForm.or(first, ""), others());
        }
    }

    /**
     * The spirit of a way that takes one.
     *
     * @param perGram grams to a gram of herb
     * @param thin the strength it is thinned to; empty for as it is
     */
    public record SpiritForm(@Nullable String lot, @Nullable String perGram, @Nullable String thin) {

        static final SpiritForm NONE = new SpiritForm("", "", "");
    }

    /**
     * When it is needed, and which of its steps are held back.
     *
     * @param by a day as people say it
     * @param at the time of that day
     * @param hold moments before which each step is not to begin, by its place
     */
    public record Time(@Nullable String by, @Nullable String at, @Nullable List<String> hold) {

        static final Time NONE = new Time("", "", List.of());

        /** A day alone means its morning. */
        Time filled() {
            return new Time(BenchForm.or(by, ""), BenchForm.isBlank(at) ? Pace.MORNING.toString() : at, hold);
        }

        public String held(int step) {
            return hold == null || step >= hold.size() || hold.get(step) == null ? "" : hold.get(step);
        }
    }

    /**
     * What is wanted of it, from which herb and oil are worked out.
     *
     * @param amount oil, or a number of containers
     * @param container which; empty for oil
     * @param firmness of what is in them, on the scale; empty for what felt right
     * @param kind of thing made; empty for a salve
     * @param wish whose first half this is; absent where it was begun here
     */
    public record Want(
            @Nullable String amount,
            @Nullable String container,
            @Nullable String firmness,
            @Nullable String kind,
            @Nullable WishForm wish) {

        static final Want NONE = new Want("", "", "", "", null);

        static Want of(@Nullable WishForm wish) {
            return new Want("", "", "", "", wish);
        }

        /** The wish it is a half of. */
        Optional<WishForm> wished() {
            return Optional.ofNullable(wish).filter(one -> !one.isEmpty());
        }

        Want filled() {
            return new Want(
                    BenchForm.or(amount, ""),
                    BenchForm.or(container, ""),
                    BenchForm.or(firmness, ""),
                    BenchForm.isBlank(kind) ? WantSentence.USUAL : BenchForm.or(kind, ""),
                    wish);
        }
    }

    /** Numbers of a way: its first and second stage, and how often it is tended. */
    public record Numbers(
            @Nullable String band,
            @Nullable String ceiling,
            @Nullable String thenBand,
            @Nullable String thenCeiling,
            @Nullable String shake,
            @Nullable String look,
            @Nullable String read) {

        static final Numbers NONE = new Numbers("", "", "", "", "", "", "");

        /** The numbers in which a way differs from the one it was made of, as they are typed. */
        public static Numbers differing(Method way, Method shipped, House house) {
            Stage first = way.stages().get(0);
            Stage asFirst = shipped.stages().get(0);
            boolean two = way.stages().size() > 1;
            Stage second = two ? way.stages().get(1) : first;
            Stage asSecond = two ? shipped.stages().get(1) : first;
            return new Numbers(
                    band(first, asFirst, house),
                    ceiling(first, asFirst, house),
                    band(second, asSecond, house),
                    ceiling(second, asSecond, house),
                    rhythm(way, shipped, Tending.Kind.SHAKE),
                    rhythm(way, shipped, Tending.Kind.LOOK),
                    rhythm(way, shipped, Tending.Kind.READ));
        }

        private static String band(Stage own, Stage shipped, House house) {
            return own.band().equals(shipped.band())
                    ? ""
                    : house.temperatures(own.band().low(), own.band().high());
        }

        private static String ceiling(Stage own, Stage shipped, House house) {
            return own.ceiling()
                    .filter(ceiling -> !own.ceiling().equals(shipped.ceiling()))
                    .map(house::temperature)
                    .orElse("");
        }

        private static String rhythm(Method way, Method shipped, Tending.Kind kind) {
            for (int i = 0; i < way.stages().size(); i++) {
                Stage as = shipped.stages().get(i);
                Optional<Tending> own = way.stages().get(i).tending(kind).filter(tending -> !as.tendings()
                        .contains(tending));
                if (own.isPresent()) {
                    return NumbersSentence.words(own.get());
                }
            }
            return "";
        }

        public boolean isTyped() {
            return !(BenchForm.isBlank(band)
                    && BenchForm.isBlank(ceiling)
                    && BenchForm.isBlank(thenBand)
                    && BenchForm.isBlank(thenCeiling)
                    && BenchForm.isBlank(shake)
                    && BenchForm.isBlank(look)
                    && BenchForm.isBlank(read));
        }
    }
}
