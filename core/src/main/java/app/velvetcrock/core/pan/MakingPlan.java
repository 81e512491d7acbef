package app.velvetcrock.core.pan;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.making.Container;
import app.velvetcrock.core.making.Formula;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;

/**
 * A making as it was planned: frozen when it is begun.
 *
 * @param rules version of the rules it was worked out by
 * @param firmness F it is to come to
 * @param weighed what goes in, part by part, each from its lot
 * @param into what it is to be poured into; absent where that is said at pouring
 * @param count of them
 * @param use whom it is for
 * @param keepsUntil with what limits it
 * @param over why it may not be given away or sold; absent where it may
 * @param limits how long each thing in it lets it be kept, the shortest first; none where only the date was kept
 * @param within what was stirred into it before, where it is melted again
 * @param cautions heads of those its label carries
 */
public record MakingPlan(
        int rules,
        Made made,
        double firmness,
        List<Weighed> weighed,
        List<Stirred> additions,
        Optional<Into> into,
        Use use,
        Temperature room,
        LocalDate keepsUntil,
        String limitedBy,
        Optional<String> over,
        List<String> cautions,
        List<MadeKeeping.Limit> limits,
        List<Addition> within) {

    /** The rules of making as they are now. */
    public static final int RULES = 1;

    public MakingPlan {
        weighed = List.copyOf(weighed);
        additions = List.copyOf(additions);
        cautions = List.copyOf(cautions);
        limits = List.copyOf(limits);
        within = List.copyOf(within);
    }

    /** The same with what each thing in it lets it be kept, and with what was in it already. */
    public MakingPlan with(List<MadeKeeping.Limit> each, List<Addition> before) {
        return new MakingPlan(
                rules,
                made,
                firmness,
                weighed,
                additions,
                into,
                use,
                room,
                keepsUntil,
                limitedBy,
                over,
                cautions,
                each,
                before);
    }

    /** A plan of which only the date it keeps until is known, with nothing in it but what is planned. */
    public MakingPlan(
            int rules,
            Made made,
            double firmness,
            List<Weighed> weighed,
            List<Stirred> additions,
            Optional<Into> into,
            Use use,
            Temperature room,
            LocalDate keepsUntil,
            String limitedBy,
            Optional<String> over,
            List<String> cautions) {
        this(
                rules,
                made,
                firmness,
                weighed,
                additions,
                into,
                use,
                room,
                keepsUntil,
                limitedBy,
                over,
                cautions,
                List.of(),
                List.of());
    }

    /**
     * What is made.
     *
     * @param kind its key
     * @param name as the household calls it: "Yarrow salve"
     */
    public record Made(String kind, String word, String name, boolean whipped, boolean wax) {}

    /** A part of the melt and the lot it is taken from; absent where there is none, so that nothing is taken. */
    public record Weighed(Formula.Part part, Optional<UUID> lot) {}

    /** An addition and the lot it is taken from. */
    public record Stirred(Addition addition, Optional<UUID> lot) {}

    /** The place of an addition in their order: told by that number, or by its key where it is the first of it. */
    public Optional<Integer> placeOf(String which) {
        return IntStream.range(0, additions.size())
                .filter(at -> which.equals(String.valueOf(at))
                        || additions.get(at).addition().key().equals(which))
                .boxed()
                .findFirst();
    }

    /**
     * The same taken from lots, where it has none yet.
     *
     * @param lots by the key of what is in them
     */
    public MakingPlan outOf(Map<String, UUID> lots) {
        return new MakingPlan(
                rules,
                made,
                firmness,
                outOf(weighed, lots),
                additions.stream()
                        .map(one -> new Stirred(
                                one.addition(),
                                one.lot()
                                        .or(() -> Optional.ofNullable(
                                                lots.get(one.addition().key())))))
                        .toList(),
                into,
                use,
                room,
                keepsUntil,
                limitedBy,
                over,
                cautions,
                limits,
                within);
    }

    /** What is weighed in, taken from lots where it has none yet. */
    public static List<Weighed> outOf(List<Weighed> weighed, Map<String, UUID> lots) {
        return weighed.stream()
                .map(one -> new Weighed(
                        one.part(),
                        one.lot()
                                .or(() -> Optional.ofNullable(
                                        lots.get(one.part().stuff().key())))))
                .toList();
    }

    /** How much goes in of what has no lot yet, by its key, in the order it goes in. */
    public Map<String, Mass> fromNowhere(List<Weighed> really) {
        Map<String, Mass> nowhere = new LinkedHashMap<>();
        really.stream()
                .filter(one -> one.lot().isEmpty())
                .forEach(one ->
                        nowhere.merge(one.part().stuff().key(), one.part().mass(), Mass::plus));
        additions.stream()
                .filter(one -> one.lot().isEmpty())
                .forEach(one ->
                        nowhere.merge(one.addition().key(), one.addition().mass(), Mass::plus));
        return nowhere;
    }

    /** So many containers of one lot. */
    public record Into(Container container, int count, Optional<UUID> lot) {}

    /** The lot a part of the melt is taken from, the first of them. */
    public Optional<UUID> lotOf(Formula.Stuff stuff) {
        return weighed.stream()
                .filter(one -> one.part().stuff().key().equals(stuff.key()))
                .flatMap(one -> one.lot().stream())
                .findFirst();
    }

    public Formula formula() {
        Formula formula = new Formula(List.of());
        for (Weighed one : weighed) {
            formula = formula.with(one.part());
        }
        return formula;
    }
}
