package app.velvetcrock.core.book;

import app.velvetcrock.core.keeping.Bottle;
import app.velvetcrock.core.keeping.Keeping;
import app.velvetcrock.core.keeping.Treatment;
import app.velvetcrock.core.planning.Finish;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.core.planning.Planner.Terms;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/** Why one oil keeps longer than another from its straining: what each thing that differs has to do with it, by the sum of keeping. */
public final class WhyKept {

    /** What months of 28 and of 31 days make: bottles and caps are counted in months, and the two were not charged on one day. */
    static final String CALENDAR = "months are not alike";

    private static final double A_MOMENT = 1e-6;

    private WhyKept() {}

    /**
     * A difference and what it comes of.
     *
     * @param first the first's outcome, in {@code unit}, and {@code second} the other's
     * @param shares of what differs, the largest first; they add up to second − first
     */
    public record Difference(String unit, double first, double second, List<Shares.Share> shares) {
        public Difference {
            shares = List.copyOf(shares);
        }

        public double whole() {
            return second - first;
        }
    }

    /** How one oil was made and finished. */
    public record Oil(PlanRequest request, Finish finish) {}

    /** A thing the sum goes by: what it is, how it is taken over from the other. */
    private record Factor(String name, Function<Terms, Object> is, Swap swap) {}

    private interface Swap {
        Terms with(Terms all, Terms from);
    }

    private static final List<Factor> FACTORS = List.of(
            new Factor("the oil's bottle", WhyKept::bottle, (all, from) -> all.of(shifted(from, all.poured()))),
            new Factor(
                    "how long it stood",
                    WhyKept::stood,
                    (all, from) -> all.strained(all.poured().plusDays(stood(from)))),
            new Factor(
                    "its heat",
                    terms -> terms.treatment().hottest(),
                    (all, from) -> all.treated(treatment(all.treatment(), from.treatment(), Part.HEAT))),
            new Factor(
                    "light",
                    terms -> terms.treatment().inLight(),
                    (all, from) -> all.treated(treatment(all.treatment(), from.treatment(), Part.LIGHT))),
            new Factor(
                    "its herb",
                    WhyKept::herb,
                    (all, from) -> all.treated(treatment(all.treatment(), from.treatment(), Part.HERB))),
            new Factor(
                    "what it is for",
                    terms -> terms.treatment().food(),
                    (all, from) -> all.treated(treatment(all.treatment(), from.treatment(), Part.FOOD))),
            new Factor(
                    "what befell it",
                    terms -> terms.treatment().after(),
                    (all, from) -> all.treated(treatment(all.treatment(), from.treatment(), Part.AFTER))),
            new Factor("where it is kept", Terms::storage, (all, from) -> all.kept(from.storage())));

    private enum Part {
        HEAT,
        LIGHT,
        HERB,
        FOOD,
        AFTER
    }

    /** Days from straining; absent for food of anything moist, whose four days nothing else decides, and where nothing differs. */
    public static Optional<Difference> of(Oil one, Oil other) {
        if (one.request().isMoistFood() || other.request().isMoistFood()) {
            return Optional.empty();
        }
        Terms first = Planner.terms(one.request(), one.finish());
        Terms second = Planner.terms(other.request(), other.finish());
        List<Factor> differ = FACTORS.stream()
                .filter(factor ->
                        !Objects.equals(factor.is().apply(first), factor.is().apply(second)))
                .toList();
        double[] ends = {days(first), days(second)};
        if (differ.isEmpty() || ends[0] == ends[1]) {
            return Optional.empty();
        }
        List<Shares.Share> shares =
                new ArrayList<>(Shares.of(differ.stream().map(Factor::name).toList(), mixture -> {
                    Terms mixed = first;
                    for (int i = 0; i < differ.size(); i++) {
                        if ((mixture & 1 << i) != 0) {
                            mixed = differ.get(i).swap().with(mixed, second);
                        }
                    }
                    return days(mixed);
                }));
        double known = shares.stream().mapToDouble(Shares.Share::amount).sum();
        shares.add(new Shares.Share(CALENDAR, Math.round(ends[1] - ends[0] - known)));
        shares.removeIf(share -> Math.abs(share.amount()) < A_MOMENT);
        shares.sort((a, b) -> Double.compare(Math.abs(b.amount()), Math.abs(a.amount())));
        return Optional.of(new Difference("days", ends[0], ends[1], shares));
    }

    private static double days(Terms terms) {
        // Dried food and moist herb do not meet in a mixture of what was; food then counts as its own dried herb.
        Terms may = terms.treatment().food() && !terms.treatment().moisture().isDried()
                ? terms.treated(treatment(terms.treatment(), skin(terms.treatment()), Part.FOOD))
                : terms;
        return ChronoUnit.DAYS.between(
                may.strained(),
                Keeping.of(may.bottle(), may.poured(), may.strained(), may.treatment(), may.storage())
                        .date());
    }

    private static Treatment skin(Treatment of) {
        return new Treatment(of.hottest(), of.inLight(), of.moisture(), of.cut(), of.resinousBud(), false, of.after());
    }

    /** By how it stood to the day it was poured, so that a spring and an autumn compare. */
    private static Object bottle(Terms terms) {
        Bottle then = shifted(terms, LocalDate.EPOCH);
        return List.of(then.monthsOpened(), then.opened(), then.bestBefore());
    }

    private static Bottle shifted(Terms from, LocalDate poured) {
        long by = ChronoUnit.DAYS.between(from.poured(), poured);
        Bottle bottle = from.bottle();
        return new Bottle(
                bottle.name(),
                bottle.monthsOpened(),
                bottle.opened().map(day -> day.plusDays(by)),
                bottle.bestBefore().map(day -> day.plusDays(by)));
    }

    private static long stood(Terms terms) {
        return ChronoUnit.DAYS.between(terms.poured(), terms.strained());
    }

    private static Object herb(Terms terms) {
        Treatment of = terms.treatment();
        return List.of(of.moisture(), of.cut(), of.resinousBud());
    }

    private static Treatment treatment(Treatment all, Treatment from, Part part) {
        return new Treatment(
                part == Part.HEAT ? from.hottest() : all.hottest(),
                part == Part.LIGHT ? from.inLight() : all.inLight(),
                part == Part.HERB ? from.moisture() : all.moisture(),
                part == Part.HERB ? from.cut() : all.cut(),
                part == Part.HERB ? from.resinousBud() : all.resinousBud(),
                part == Part.FOOD ? from.food() : all.food(),
                part == Part.AFTER ? from.after() : all.after());
    }
}
