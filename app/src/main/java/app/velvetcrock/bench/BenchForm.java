package app.velvetcrock.bench;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Pace;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.method.Tending;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.stillroom.House;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The Bench's sentence as typed; everything may be missing.
 *
 * @param cut how fine its herbs are to be taken; empty for as they are stored
 * @param more the other herbs of a blend
 * @param total how much herb in all; empty where each says its own
 * @param jar a jar, a pot, or {@link #SPLIT} for several jars; empty for a jar that fits
 * @param then how long the second stage is to last, of a way that has two
 * @param weighed what the herb really weighed, when it differs
 * @param poured what oil was really poured, when it differs
 * @param numbers numbers of the way that are to be others
 * @param knowingly why it is made against the rules of water
 * @param called the name the household gives a way of its own
 * @param time when it is needed
 * @param want what is wanted of it; empty where herb and oil are said
 */
public record BenchForm(
        @Nullable UUID key,
        @Nullable String herb,
        @Nullable String amount,
        @Nullable String cut,
        @Nullable List<HerbRow> more,
        @Nullable String total,
        @Nullable String carrier,
        @Nullable String oil,
        @Nullable String jar,
        @Nullable String method,
        @Nullable String length,
        @Nullable String then,
        @Nullable String start,
        @Nullable String use,
        @Nullable String pressing,
        @Nullable String storage,
        @Nullable String weighed,
        @Nullable String poured,
        @Nullable Numbers numbers,
        @Nullable SpiritForm spirit,
        @Nullable String knowingly,
        @Nullable String called,
        @Nullable Time time,
        @Nullable Want want) {

    /** Stands for a jar where the charge is to be divided over several. */
    public static final String SPLIT = "split";

    /** Herbs a blend may have besides the first. */
    static final int MOST_MORE = 4;

    /** The rows of a blend with those still empty. */
    public List<HerbRow> rows() {
        List<HerbRow> rows = new ArrayList<>(more == null ? List.of() : more);
        while (rows.size() < MOST_MORE) {
            rows.add(HerbRow.NONE);
        }
        return rows;
    }

    /** Tells whether more than its first herb is said. */
    public boolean isBlend() {
        return more != null && !more.isEmpty() || !isBlank(total);
    }

    /** Tells whether it came out otherwise on the scale. */
    public boolean isWeighed() {
        return !isBlank(weighed) || !isBlank(poured);
    }

    /** One more herb of a blend. */
    public record HerbRow(@Nullable String herb, @Nullable String amount) {

        static final HerbRow NONE = new HerbRow("", "");

        public boolean isBlank() {
            return BenchForm.isBlank(herb) && BenchForm.isBlank(amount);
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
            return new Time(or(by, ""), isBlank(at) ? Pace.MORNING.toString() : at, hold);
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
            return new Want(or(amount, ""), or(container, ""), or(firmness, ""));
        }
    }

    /** A plain charge of one herb in one oil, all else as usual. */
    public static BenchForm of(String herb, String amount, String carrier, String oil) {
        return new BenchForm(
                null, herb, amount, null, null, null, carrier, oil, null, null, null, null, null, null, null, null,
                null, null, null, null, null, null, null, null);
    }

    /** The same by another way. */
    public BenchForm by(String way) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, oil, jar, way, length, then, start, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The same for herb and oil worked out from what is wanted; of a blend the whole is said. */
    BenchForm making(String howMuch, String ofOil) {
        boolean blend = more != null && !more.isEmpty();
        return new BenchForm(
                key,
                herb,
                blend ? amount : howMuch,
                cut,
                more,
                blend ? howMuch : total,
                carrier,
                ofOil,
                jar,
                method,
                length,
                then,
                start,
                use,
                pressing,
                storage,
                weighed,
                poured,
                numbers,
                spirit,
                knowingly,
                called,
                time,
                null);
    }

    /** The same for so long, from a day. */
    public BenchForm lasting(String howLong, @Nullable String from) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, oil, jar, method, howLong, then, from, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The same with so long a second stage. */
    public BenchForm then(@Nullable String howLong) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, oil, jar, method, length, howLong, start, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The same with other numbers of its way. */
    public BenchForm numbered(Numbers others) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, oil, jar, method, length, then, start, use, pressing,
                storage, weighed, poured, others, spirit, knowingly, called, time, want);
    }

    /** The same for a use, pressed and kept so. */
    public BenchForm kept(Use forWhat, Pressing pressed, Storage where) {
        return new BenchForm(
                key,
                herb,
                amount,
                cut,
                more,
                total,
                carrier,
                oil,
                jar,
                method,
                length,
                then,
                start,
                forWhat.name(),
                pressed.name(),
                where.name(),
                weighed,
                poured,
                numbers,
                spirit,
                knowingly,
                called,
                time,
                want);
    }

    /** The same with so much spirit to a gram of herb. */
    public BenchForm moistened(@Nullable String perGram) {
        return new BenchForm(
                key,
                herb,
                amount,
                cut,
                more,
                total,
                carrier,
                oil,
                jar,
                method,
                length,
                then,
                start,
                use,
                pressing,
                storage,
                weighed,
                poured,
                numbers,
                new SpiritForm("", perGram, ""),
                knowingly,
                called,
                time,
                want);
    }

    /** The address under which the Bench stands so, everything said. */
    public String address() {
        return BenchAddress.of(this, Map.of());
    }

    /** The same with nothing said of what a way brings along: its numbers and its times. */
    BenchForm asItsWay() {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, oil, jar, method, null, null, start, use, pressing,
                storage, weighed, poured, null, spirit, knowingly, called, time, want);
    }

    /** The same with its days as dates, so that it means the same tomorrow. */
    BenchForm dated(WhenReader past, WhenReader future) {
        BenchForm dated = new BenchForm(
                key,
                herb,
                amount,
                cut,
                more,
                total,
                carrier,
                oil,
                jar,
                method,
                length,
                then,
                date(past, start),
                use,
                pressing,
                storage,
                weighed,
                poured,
                numbers,
                spirit,
                knowingly,
                called,
                time,
                want);
        return time == null ? dated : dated.at(new Time(date(future, time.by()), time.at(), time.hold()));
    }

    private BenchForm at(Time other) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, oil, jar, method, length, then, start, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, other, want);
    }

    private static String date(WhenReader when, @Nullable String typed) {
        String text = or(typed, "");
        return when.day(text).map(Wording::written).orElse(text);
    }

    /** The same as a blend with these herbs besides. */
    public BenchForm with(List<HerbRow> others) {
        return new BenchForm(
                key, herb, amount, cut, others, total, carrier, oil, jar, method, length, then, start, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The form with what a newcomer would find filled in. */
    BenchForm withDefaults(Method way, String usualAmount, String today) {
        List<HerbRow> rows = more == null
                ? List.of()
                : more.stream()
                        .filter(row -> row != null && !row.isBlank())
                        .limit(MOST_MORE)
                        .toList();
        return new BenchForm(
                key,
                or(herb, ""),
                or(amount, usualAmount),
                or(cut, ""),
                rows,
                or(total, ""),
                or(carrier, ""),
                oil == null ? "" : oil,
                or(jar, ""),
                way.key(),
                or(length, way.first().pace().words(way.first().usual())),
                or(then, usualThen(way)),
                or(start, today),
                or(use, "ADULT_SKIN"),
                or(pressing, "HAND"),
                or(storage, "COOL_DARK"),
                or(weighed, ""),
                or(poured, ""),
                numbers == null ? Numbers.NONE : numbers,
                spirit == null ? SpiritForm.NONE : spirit,
                or(knowingly, ""),
                or(called, ""),
                (time == null ? Time.NONE : time).filled(),
                (want == null ? Want.NONE : want).filled());
    }

    /** What the second stage takes usually; empty where there is none. */
    private static String usualThen(Method way) {
        return way.stages().size() < 2
                ? ""
                : way.stages().get(1).pace().words(way.stages().get(1).usual());
    }

    private static String or(@Nullable String value, String other) {
        return value == null ? other : value;
    }

    public static boolean isBlank(@Nullable String text) {
        return text == null || text.isBlank();
    }

    public static Optional<UUID> id(@Nullable String text) {
        try {
            return isBlank(text) ? Optional.empty() : Optional.of(UUID.fromString(text));
        } catch (IllegalArgumentException notAnId) {
            return Optional.empty();
        }
    }
}
