package app.velvetcrock.core.deed;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingCourse.At;
import app.velvetcrock.core.pan.MakingLine;
import app.velvetcrock.core.pan.MakingPlan;
import app.velvetcrock.core.pan.MakingStep;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Whether something may be done at the pan as it stands; the one place that says so. */
public final class MayAtThePan implements PanDeed.Visitor<Optional<Refusal>> {

    /** [E] A scale and a spoon are off by so much: half a hundredth, and a gram. */
    private static final double MORE = 1.005;

    private static final double A_GRAM = 1;

    private final Standing standing;
    private final May.Times times;

    private MayAtThePan(Standing standing, May.Times times) {
        this.standing = standing;
        this.times = times;
    }

    /**
     * A making as it stands.
     *
     * @param lines those that hold, in order of when they happened
     * @param begun the line that weighed it in, where that holds
     * @param there what is in the pan now, by the ledger
     */
    public record Standing(int number, MakingCourse course, List<At> lines, Optional<UUID> begun, Mass there) {

        public Standing {
            lines = List.copyOf(lines);
        }

        private MakingPlan plan() {
            return course.plan();
        }
    }

    /** Why a deed may not be done; empty where it may. */
    public static Optional<Refusal> be(PanDeed deed, Standing standing, May.Times times) {
        MayAtThePan may = new MayAtThePan(standing, times);
        return deed instanceof PanDeed.TakeBack back
                ? may.takeBack(back)
                : may.begun().or(() -> deed.accept(may));
    }

    /** Whether it may be weighed in: nothing is before it is done. */
    public static Optional<Refusal> begin(May.Times times) {
        return May.past(times);
    }

    private Optional<Refusal> begun() {
        if (standing.lines().isEmpty()) {
            return refused("Batch %d was never begun: its weighing in was taken back.".formatted(standing.number()));
        }
        Instant since = standing.lines().get(0).at();
        return May.past(times)
                .or(() -> times.at().isBefore(since)
                        ? Optional.of(new Refusal(
                                "when",
                                "At %s nothing was in the pan yet: it was weighed in at %s."
                                        .formatted(moment(times.at()), moment(since)),
                                "a later time, or take the weighing in back"))
                        : Optional.empty());
    }

    @Override
    public Optional<Refusal> did(PanDeed.Did deed) {
        return undone(deed.step());
    }

    @Override
    public Optional<Refusal> skip(PanDeed.Skip deed) {
        return deed.step() == MakingStep.STIR_IN ? open(deed.which()) : undone(deed.step());
    }

    @Override
    public Optional<Refusal> test(PanDeed.Test deed) {
        return inThePan();
    }

    @Override
    public Optional<Refusal> correct(PanDeed.Correct deed) {
        return standing.course().poured().isPresent()
                ? refused("It is poured already: remelt it to make it firmer or softer.")
                : Optional.empty();
    }

    @Override
    public Optional<Refusal> offHeat(PanDeed.OffHeat deed) {
        return inThePan();
    }

    @Override
    public Optional<Refusal> read(PanDeed.Read deed) {
        return cooling("temperature");
    }

    @Override
    public Optional<Refusal> haze(PanDeed.Haze deed) {
        return cooling("");
    }

    /** What went in before it was poured may be said afterwards: what was made is judged by it. */
    @Override
    public Optional<Refusal> stirIn(PanDeed.StirIn deed) {
        return open(deed.which())
                .or(() -> poured().filter(at -> !times.at().isBefore(at))
                        .map(at -> new Refusal(
                                "when",
                                "It was poured at %s: nothing is stirred into it after that.".formatted(moment(at)),
                                "when it went in, before that")))
                .or(() -> deed.anyway() ? Optional.empty() : tooHot(deed.which()));
    }

    /** What is poured was in the pan, then and all of it. */
    @Override
    public Optional<Refusal> pour(PanDeed.Pour deed) {
        if (deed.all().toMilligrams() <= 0) {
            return Optional.of(new Refusal("count", "Nothing was filled.", "how many, of which"));
        }
        if (deed.all().grams() > standing.there().grams() * MORE + A_GRAM) {
            return Optional.of(new Refusal(
                    "count",
                    standing.there().grams() < A_GRAM
                            ? "That would be %s, and nothing is left in the pan.".formatted(mass(deed.all()))
                            : "That would be %s, and only %s is in the pan."
                                    .formatted(mass(deed.all()), mass(standing.there())),
                    "fewer, or less in each"));
        }
        return standing.lines().stream()
                .filter(at -> at.line() instanceof MakingLine.Corrected
                        || at.line() instanceof MakingLine.Added
                        || at.line() instanceof MakingLine.Poured)
                .max(Comparator.comparing(At::at))
                .flatMap(last -> notBefore(
                        last.at(),
                        "after that, at %s: %s. What was poured held that already."
                                .formatted(moment(last.at()), last.line().words(times.say()))));
    }

    @Override
    public Optional<Refusal> turnOut(PanDeed.TurnOut deed) {
        return poured().isEmpty()
                ? refused("Nothing of it is poured yet: how it turned out shows when it has set.")
                : poured().flatMap(at -> notBefore(at, "it was poured at %s.".formatted(moment(at))));
    }

    @Override
    public Optional<Refusal> note(PanDeed.Note deed) {
        return Optional.empty();
    }

    @Override
    public Optional<Refusal> smell(PanDeed.Smell deed) {
        return poured().isEmpty()
                ? refused("Nothing of it is poured: it is smelled as it stands in the Cupboard.")
                : poured().flatMap(at -> notBefore(at, "it was poured at %s.".formatted(moment(at))));
    }

    @Override
    public Optional<Refusal> answer(PanDeed.Answer deed) {
        return May.answering(deed.said().what(), deed.said().dealtWith());
    }

    @Override
    public Optional<Refusal> takeBack(PanDeed.TakeBack deed) {
        return standing.begun().filter(deed.entry()::equals).isPresent()
                        && standing.lines().size() > 1
                ? refused("Take back what was done since first, the newest line before the older ones.")
                : Optional.empty();
    }

    /** When it was poured first; absent while it is not. */
    private Optional<Instant> poured() {
        return standing.lines().stream()
                .filter(at -> at.line() instanceof MakingLine.Poured)
                .map(At::at)
                .min(Comparator.naturalOrder());
    }

    /** Something was in the pan then: it was not poured yet, or some of it stayed. */
    private Optional<Refusal> inThePan() {
        return poured().filter(at -> !times.at().isBefore(at)).isPresent()
                        && standing.there().grams() < A_GRAM
                ? refused("All of it is poured: nothing is left in the pan.")
                : Optional.empty();
    }

    private Optional<Refusal> cooling(String field) {
        Optional<Instant> off = standing.course().off();
        return off.isEmpty()
                ? Optional.of(new Refusal(field, "It is on the heat still: say first that it is off.", ""))
                : off.flatMap(at -> notBefore(at, "it was taken off the heat at %s.".formatted(moment(at))));
    }

    private Optional<Refusal> notBefore(Instant first, String why) {
        return times.at().isBefore(first)
                ? Optional.of(new Refusal(
                        "when", "Understood %s; %s".formatted(moment(times.at()), why), "a time after that"))
                : Optional.empty();
    }

    /** Two at one pan both say it was done: once is enough. */
    private Optional<Refusal> undone(MakingStep step) {
        boolean done = standing.course().steps().stream()
                .anyMatch(one -> one.step() == step && one.state() == MakingCourse.Step.State.DONE);
        return done ? Optional.of(Refusal.already("“%s” is done already.".formatted(step.word()))) : Optional.empty();
    }

    /** A planned addition is neither in nor left out. */
    private Optional<Refusal> open(String which) {
        Optional<Integer> place = standing.plan().placeOf(which);
        if (place.isEmpty()) {
            return refused("Nothing like that was planned to be stirred in.");
        }
        return switch (standing.course().stateOf(place.get())) {
            case DONE -> Optional.of(Refusal.already("That is in already; nothing was taken twice."));
            case SKIPPED -> Optional.of(
                    Refusal.already("That was left out: take it back below, if it is in after all."));
            default -> Optional.empty();
        };
    }

    /** What the heat would spoil is asked about. */
    private Optional<Refusal> tooHot(String which) {
        int place = standing.plan().placeOf(which).orElseThrow();
        MakingCourse course = standing.course();
        return course.tooHotTill(place, times.at())
                .map(till -> new Refusal(
                        "anyway",
                        "By its curve it is about %s then, too hot for %s, which the heat spoils: it bears it from %s on."
                                .formatted(
                                        course.at(times.at())
                                                .map(at -> times.say()
                                                        .temperature(Temperature.ofCelsius(Math.round(at.celsius()))))
                                                .orElse("as warm as on the heat"),
                                        standing.plan()
                                                .additions()
                                                .get(place)
                                                .addition()
                                                .spoken(),
                                        times.say().time(till)),
                        ""));
    }

    private String mass(Mass mass) {
        return times.say().mass(mass);
    }

    private String moment(Instant at) {
        return times.say().moment(at);
    }

    private static Optional<Refusal> refused(String wrong) {
        return Optional.of(Refusal.of(wrong));
    }
}
