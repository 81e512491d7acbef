package app.velvetcrock.bench;

import app.velvetcrock.core.charge.OilShares;
import app.velvetcrock.core.method.Pace;
import java.util.ArrayList;
import java.util.List;
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
     * @param firmness of the salve in them, on the scale
     */
    public record Want(@Nullable String amount, @Nullable String container, @Nullable String firmness) {

        static final Want NONE = new Want("", "", "");

        Want filled() {
            return new Want(BenchForm.or(amount, ""), BenchForm.or(container, ""), BenchForm.or(firmness, ""));
        }
    }
}
