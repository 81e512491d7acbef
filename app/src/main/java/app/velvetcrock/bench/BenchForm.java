package app.velvetcrock.bench;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.keeping.Storage;
import app.velvetcrock.core.kitchen.WhenReader;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.strain.Pressing;
import app.velvetcrock.sentence.WishForm;
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
 * @param mix what the oil is mixed with; of all of it {@code oil} says how much
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
        @Nullable List<SentencePart.HerbRow> more,
        @Nullable String total,
        @Nullable String carrier,
        SentencePart.@Nullable Mix mix,
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
        SentencePart.@Nullable Numbers numbers,
        SentencePart.@Nullable SpiritForm spirit,
        @Nullable String knowingly,
        @Nullable String called,
        SentencePart.@Nullable Time time,
        SentencePart.@Nullable Want want) {

    /** Stands for a jar where the charge is to be divided over several. */
    public static final String SPLIT = "split";

    /** Behind the key of a way: it was chosen by hand though it is refused for its water. */
    static final String INSISTS = "!";

    /** Herbs a blend may have besides the first. */
    static final int MOST_MORE = 11;

    private static final int LEAST_ROWS = 4;

    /** The rows of a blend, and one more that is still empty; the page adds the next when its last is filled. */
    public List<SentencePart.HerbRow> rows() {
        List<SentencePart.HerbRow> rows = new ArrayList<>(more == null ? List.of() : more);
        int shown = Math.min(MOST_MORE, Math.max(LEAST_ROWS, rows.size() + 1));
        while (rows.size() < shown) {
            rows.add(SentencePart.HerbRow.NONE);
        }
        return rows;
    }

    /** Tells whether more than its first herb is said. */
    public boolean isBlend() {
        return more != null && !more.isEmpty() || !isBlank(total);
    }

    /** Tells whether more than one oil is said. */
    public boolean isMix() {
        return mix != null && !mix.isBlank();
    }

    /** The same as the first half of a wish. */
    public BenchForm wished(WishForm wish) {
        return with(SentencePart.Want.of(wish));
    }

    /** The same divided over several jars. */
    public BenchForm divided() {
        return in(SPLIT);
    }

    private BenchForm in(String jar) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, mix, oil, jar, method, length, then, start, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    private BenchForm with(SentencePart.@Nullable Want want) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, mix, oil, jar, method, length, then, start, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The wish it is the first half of. */
    Optional<WishForm> wish() {
        return Optional.ofNullable(want).flatMap(SentencePart.Want::wished);
    }

    /** The same with its oil mixed with others. */
    public BenchForm mixed(SentencePart.Mix others) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, others, oil, jar, method, length, then, start, use,
                pressing, storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** Tells whether it came out otherwise on the scale. */
    public boolean isWeighed() {
        return !isBlank(weighed) || !isBlank(poured);
    }

    /** A plain charge of one herb in one oil, all else as usual. */
    public static BenchForm of(String herb, String amount, String carrier, String oil) {
        return new BenchForm(
                null, herb, amount, null, null, null, carrier, null, oil, null, null, null, null, null, null, null,
                null, null, null, null, null, null, null, null, null);
    }

    /** The same by another way. */
    public BenchForm by(String way) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, mix, oil, jar, way, length, then, start, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The same for herb and oil worked out from what is wanted; of a blend the whole is said. */
    BenchForm making(@Nullable String howMuch, String ofOil) {
        boolean blend = more != null && !more.isEmpty();
        return amounts(blend ? amount : howMuch, blend ? howMuch : total, ofOil).with((SentencePart.Want) null);
    }

    private BenchForm amounts(@Nullable String amount, @Nullable String total, @Nullable String oil) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, mix, oil, jar, method, length, then, start, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The same for so long, from a day. */
    public BenchForm lasting(String howLong, @Nullable String from) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, mix, oil, jar, method, howLong, then, from, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The same with so long a second stage. */
    public BenchForm then(@Nullable String howLong) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, mix, oil, jar, method, length, howLong, start, use,
                pressing, storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The same with other numbers of its way. */
    public BenchForm numbered(SentencePart.Numbers others) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, mix, oil, jar, method, length, then, start, use, pressing,
                storage, weighed, poured, others, spirit, knowingly, called, time, want);
    }

    /** The same for a use, pressed and kept so. */
    public BenchForm kept(Use forWhat, Pressing pressed, Storage where) {
        return kept(forWhat.name(), pressed.name(), where.name());
    }

    private BenchForm kept(String use, String pressing, String storage) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, mix, oil, jar, method, length, then, start, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The same with so much spirit to a gram of herb. */
    public BenchForm moistened(@Nullable String perGram) {
        return with(new SentencePart.SpiritForm("", perGram, ""));
    }

    private BenchForm with(SentencePart.SpiritForm spirit) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, mix, oil, jar, method, length, then, start, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The same needed by a day, as somebody says it. */
    public BenchForm neededBy(String day) {
        return at(new SentencePart.Time(day, null, null));
    }

    /** The address under which the Bench stands so, everything said. */
    public String address() {
        return BenchAddress.of(this, Map.of());
    }

    /** The same with nothing said of what a way brings along: its numbers and its times. */
    BenchForm asItsWay() {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, mix, oil, jar, method, null, null, start, use, pressing,
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
                mix,
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
        return time == null ? dated : dated.at(new SentencePart.Time(date(future, time.by()), time.at(), time.hold()));
    }

    private BenchForm at(SentencePart.Time other) {
        return new BenchForm(
                key, herb, amount, cut, more, total, carrier, mix, oil, jar, method, length, then, start, use, pressing,
                storage, weighed, poured, numbers, spirit, knowingly, called, other, want);
    }

    private static String date(WhenReader when, @Nullable String typed) {
        String text = or(typed, "");
        return when.day(text).map(Wording::written).orElse(text);
    }

    /** The same as a blend with these herbs besides. */
    public BenchForm with(List<SentencePart.HerbRow> others) {
        return new BenchForm(
                key, herb, amount, cut, others, total, carrier, mix, oil, jar, method, length, then, start, use,
                pressing, storage, weighed, poured, numbers, spirit, knowingly, called, time, want);
    }

    /** The form with what a newcomer would find filled in. */
    BenchForm withDefaults(Method way, String usualAmount, String today) {
        List<SentencePart.HerbRow> rows = more == null
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
                (mix == null ? SentencePart.Mix.NONE : mix).filled(),
                oil == null ? "" : oil,
                or(jar, ""),
                or(method, "").equals(way.key() + INSISTS) ? method : way.key(),
                or(length, way.first().pace().words(way.first().usual())),
                or(then, usualThen(way)),
                or(start, today),
                or(use, "ADULT_SKIN"),
                or(pressing, "HAND"),
                or(storage, "COOL_DARK"),
                or(weighed, ""),
                or(poured, ""),
                numbers == null ? SentencePart.Numbers.NONE : numbers,
                spirit == null ? SentencePart.SpiritForm.NONE : spirit,
                or(knowingly, ""),
                or(called, ""),
                (time == null ? SentencePart.Time.NONE : time).filled(),
                (want == null ? SentencePart.Want.NONE : want).filled());
    }

    /** What the second stage takes usually; empty where there is none. */
    private static String usualThen(Method way) {
        return way.stages().size() < 2
                ? ""
                : way.stages().get(1).pace().words(way.stages().get(1).usual());
    }

    static String or(@Nullable String value, String other) {
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
