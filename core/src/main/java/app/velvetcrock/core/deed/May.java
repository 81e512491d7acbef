package app.velvetcrock.core.deed;

import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Entry;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.course.Log;
import app.velvetcrock.core.course.ProbeSpan;
import app.velvetcrock.core.course.TaskKey;
import app.velvetcrock.core.keeping.MoistFood;
import app.velvetcrock.core.kitchen.Wording;
import app.velvetcrock.core.look.Clarity;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.core.look.Held;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;

/** Says whether a deed may be done to a batch as it stands; what a lot holds and what a condition holds back is asked elsewhere. */
public final class May implements Deed.Visitor<Optional<Refusal>> {

    private final Standing standing;
    private final Times times;

    private May(Standing standing, Times times) {
        this.standing = standing;
        this.times = times;
    }

    /** A batch as it stands; {@code overridden}: it was made against the rule of water, knowingly. */
    public record Standing(int number, Course course, Log log, boolean overridden) {

        public Standing(int number, Course course, Log log) {
            this(number, course, log, false);
        }
    }

    /** When a deed was done, when it is said, and how moments and amounts are written there. */
    public record Times(Instant at, Instant now, Wording say) {}

    /** [E] What is said of the last minutes is still being done; what lies before them has happened. */
    private static final Duration STILL_DOING = Duration.ofMinutes(5);

    /**
     * Tells whether a deed had happened when it is said. Only what is yet to happen is held back; what already happened can always be
     * written down.
     */
    public static boolean hasHappened(Instant at, Instant now) {
        return at.isBefore(now.minus(STILL_DOING));
    }

    /** Why a deed may not be done; empty where it may. */
    public static Optional<Refusal> be(Deed deed, Standing standing, Times times) {
        if (standing.log().isAhead()) {
            return ahead();
        }
        May may = new May(standing, times);
        return deed.accept(may).or(may::inTime);
    }

    /** Tells whether a moment is one that cannot have been; the clocks of two machines may differ by a few minutes. */
    public static boolean isToCome(Instant at, Instant now) {
        return at.isAfter(now.plus(STILL_DOING));
    }

    /** When a deed counts as done: never later than now. */
    public static Instant atLatest(Instant at, Instant now) {
        return at.isAfter(now) ? now : at;
    }

    /** Nothing that was done lies later than now. */
    public static Optional<Refusal> past(Times times) {
        return isToCome(times.at(), times.now())
                ? Optional.of(new Refusal(
                        "when",
                        "Understood %s; what was done lies before now."
                                .formatted(times.say().moment(times.at())),
                        "a time before now, or leave it empty"))
                : Optional.empty();
    }

    /** Why a vessel may not be charged; empty where it may. */
    public static Optional<Refusal> start(Deed.Start deed, Times times) {
        if (deed.byHand() && deed.plan().plan().request().circumstances().use() == Use.FOOD) {
            return refused("What is eaten is never charged by the handful, nor in an oil that was.");
        }
        return deed.plan().plan().canStart()
                ? past(times)
                : refused("This plan cannot be started as it stands: see what it says on the Bench.");
    }

    /** Whoever cannot read a log does not know what may be done. */
    public static Optional<Refusal> ahead() {
        return refused(
                "A newer release has written here what this one cannot read. Nothing was written; it can be once this one "
                        + "is up to date too.");
    }

    @Override
    public Optional<Refusal> start(Deed.Start deed) {
        return refused("Batch %d stands already.".formatted(standing.number()));
    }

    @Override
    public Optional<Refusal> tend(Deed.Tend deed) {
        return deed.task().stage().equals(TaskKey.AFTER) ? inTime() : inTimeAndStanding();
    }

    @Override
    public Optional<Refusal> look(Deed.LookAt deed) {
        return inTimeAndStanding();
    }

    @Override
    public Optional<Refusal> read(Deed.Read deed) {
        return inTimeAndStanding();
    }

    @Override
    public Optional<Refusal> turn(Deed.Turn deed) {
        return standing.course().heat().isPresent()
                ? inTimeAndStanding()
                : refused("Nothing of this batch is on the heat.");
    }

    @Override
    public Optional<Refusal> probe(Deed.Probe deed) {
        boolean isIn = ProbeSpan.of(standing.log()).stream()
                .anyMatch(span -> span.until().isEmpty() && span.probe().equals(deed.probe()));
        return deed.in() == isIn
                ? refused(isIn ? deed.name() + " is in it already." : deed.name() + " is not in it.")
                : inTimeAndStanding();
    }

    @Override
    public Optional<Refusal> topUp(Deed.TopUp deed) {
        return inTimeAndStanding();
    }

    @Override
    public Optional<Refusal> note(Deed.Note deed) {
        return inTime();
    }

    @Override
    public Optional<Refusal> find(Deed.Find deed) {
        return inTime();
    }

    @Override
    public Optional<Refusal> answer(Deed.Answer deed) {
        return answering(deed.what(), deed.dealtWith()).or(this::inTime);
    }

    /** What ends a charge is answered by throwing it out alone, unless it was never so. */
    public static Optional<Refusal> answering(Condition what, boolean dealtWith) {
        return dealtWith && what.isEnd()
                ? refused("%s%s is not dealt with but by throwing it out, unless it was never so: %s"
                        .formatted(
                                what.word().substring(0, 1).toUpperCase(Locale.ROOT),
                                what.word().substring(1),
                                what.advice()))
                : Optional.empty();
    }

    @Override
    public Optional<Refusal> changePlan(Deed.ChangePlan deed) {
        return state() == Course.State.STANDING
                ? Optional.empty()
                : refused(
                        "Batch %d does not stand any more, so its plan stays as it was.".formatted(standing.number()));
    }

    @Override
    public Optional<Refusal> strain(Deed.Strain deed) {
        return standing.log()
                .last(Line.Strained.class)
                .map(done -> Refusal.of("Batch %d was strained already: %s came out. Nothing was written twice."
                        .formatted(standing.number(), times.say().volume(done.out()))))
                .or(() -> state() == Course.State.STANDING
                        ? sinceToppedUp()
                        : refused("Batch %d does not stand any more, so there is nothing to strain."
                                .formatted(standing.number())));
    }

    /** What came back held all that went in. */
    private Optional<Refusal> sinceToppedUp() {
        return standing.log().entries().stream()
                .filter(entry -> entry.line() instanceof Line.ToppedUp)
                .map(Entry::happenedAt)
                .max(Comparator.naturalOrder())
                .flatMap(last -> between("the last topping up", last, times));
    }

    @Override
    public Optional<Refusal> settle(Deed.Settle deed) {
        return strained("Batch %d is not strained, so nothing has settled.");
    }

    @Override
    public Optional<Refusal> bottle(Deed.Bottle deed) {
        return strained("Batch %d is not strained, so there is nothing to bottle.")
                .or(this::clouded);
    }

    /**
     * Powder goes into no bottle: what was seen in it is settled and decanted, or filtered, first (craft: what you see). Water is a
     * condition, which holds it back by itself.
     */
    private Optional<Refusal> clouded() {
        return standing.log()
                .last(Line.Strained.class)
                .filter(strained -> strained.seen().clarity() == Clarity.CLOUDY
                        && strained.seen().water().millilitres() <= 0
                        && !hasHappened(times.at(), times.now())
                        && !standing.course().moistFood()
                        && standing.log().last(Line.Settled.class).isEmpty())
                .map(strained -> Refusal.of(
                        ("Water or powder was seen in batch %d when it was strained. Let it settle, decant or filter it, and write "
                                        + "down what is left; then bottle. If it was bottled already, say when.")
                                .formatted(standing.number())));
    }

    @Override
    public Optional<Refusal> sniff(Deed.Sniff deed) {
        return strained("Batch %d is not strained, so no oil of it can be smelled.");
    }

    @Override
    public Optional<Refusal> draw(Deed.Draw deed) {
        if (deed.what() != Held.DRAW && standing.course().moistFood()) {
            return refused("Food oil of moist herb is never given away or sold: %s.".formatted(MoistFood.RULE));
        }
        return (deed.what() == Held.SELL ? neverSold() : Optional.<Refusal>empty()).or(this::afterStraining);
    }

    /** What is never sold, whatever was said to it since (craft: what a label says). */
    private Optional<Refusal> neverSold() {
        if (standing.log().isByHand()) {
            return refused("It was charged by the handful: how much of what is in it nobody knows, so it is not sold.");
        }
        if (standing.overridden()) {
            return refused("It was made against the rule of water, so it is never sold.");
        }
        return standing.course().isScorched()
                ? refused("It was hot enough to scorch, so it is never sold.")
                : Optional.empty();
    }

    @Override
    public Optional<Refusal> throwOut(Deed.ThrowOut deed) {
        return deed.lot().isPresent() ? inTime() : inTimeAndStanding();
    }

    @Override
    public Optional<Refusal> correct(Deed.Correct deed) {
        Optional<Line> before = standing.log().entries().stream()
                .filter(entry -> entry.id().equals(deed.entry()))
                .map(entry -> entry.line())
                .findFirst();
        if (before.isEmpty()) {
            return refused("That line does not hold any more, so there is nothing to correct.");
        }
        return canCorrect(before.get()) && before.get().getClass() == deed.now().getClass()
                ? inTime()
                : refused("That line moved stock or dates: take it back and write it anew.");
    }

    /** Tells whether a line moves neither stock nor dates, so that another may stand in its place. */
    public static boolean canCorrect(Line line) {
        return line instanceof Line.Looked
                || line instanceof Line.Heat
                || line instanceof Line.Tended
                || line instanceof Line.Turned
                || line instanceof Line.Noted
                || line instanceof Line.Lesson
                || (line instanceof Line.Corrected corrected && canCorrect(corrected.now()));
    }

    @Override
    public Optional<Refusal> takeBack(Deed.TakeBack deed) {
        boolean holds =
                standing.log().entries().stream().anyMatch(entry -> entry.id().equals(deed.entry()));
        return !holds || standing.log().canTakeBack(deed.entry())
                ? Optional.empty()
                : refused("That line cannot be taken back now. Something later rests on it: take that back first.");
    }

    private Optional<Refusal> inTimeAndStanding() {
        return state() == Course.State.STANDING
                ? inTime()
                : refused("Batch %d does not stand any more: %s. Nothing was written."
                        .formatted(standing.number(), word(state())));
    }

    private Optional<Refusal> inTime() {
        return when(standing.course(), times);
    }

    /** Nothing happens to a batch before herb and oil met, nor later than now. */
    public static Optional<Refusal> when(Course course, Times times) {
        return between("the charging", course.chargedAt(), times);
    }

    private static Optional<Refusal> between(String event, Instant first, Times times) {
        return times.at().isBefore(first) || isToCome(times.at(), times.now())
                ? Optional.of(new Refusal(
                        "when",
                        "Understood %s; it lies between %s, %s, and now."
                                .formatted(
                                        times.say().moment(times.at()),
                                        event,
                                        times.say().moment(first)),
                        "a time in between, or leave it empty for now"))
                : Optional.empty();
    }

    private Optional<Refusal> strained(String otherwise) {
        return state() == Course.State.STRAINED ? afterStraining() : refused(otherwise.formatted(standing.number()));
    }

    /** Nothing happens to an oil before there is one. */
    private Optional<Refusal> afterStraining() {
        return standing.log()
                .firstAt(Line.Strained.class)
                .flatMap(strained -> between("the straining", strained, times));
    }

    private Course.State state() {
        return standing.course().state();
    }

    private static Optional<Refusal> refused(String wrong) {
        return Optional.of(Refusal.of(wrong));
    }

    private static String word(Course.State state) {
        return switch (state) {
            case STRAINED -> "it was strained";
            case POURED -> "it was poured";
            case DISCARDED -> "it was thrown out";
            case NEVER_STARTED, STANDING -> "its start was taken back";
        };
    }
}
