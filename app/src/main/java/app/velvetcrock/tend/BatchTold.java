package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.condition.Told;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.HeatCourse;
import app.velvetcrock.core.heat.HeatForecast;
import app.velvetcrock.core.heat.HeatTrace;
import app.velvetcrock.core.measure.Decimals;
import app.velvetcrock.core.measure.Temperature;
import app.velvetcrock.core.measure.TimeSpan;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.core.spirit.Moistening;
import app.velvetcrock.core.spirit.SpiritFire;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stock.Costs;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A batch's page, worded before it is drawn.
 *
 * @param isHeld whether something is wrong with it that leaves nothing but an answer
 * @param strain what straining it is called now; empty where it cannot be strained
 * @param strainMark how the button to it looks: the main one once it is due
 * @param strains when it is to be strained, at the end of what leads; null where that is not said
 * @param spirit what the vapour of its spirit does; null where none is left in it
 * @param food the rule it is under as food; null for no food of anything moist
 * @param mark why it is made against the rule of water; null where it is not
 * @param byHand it was charged by the handful
 * @param lukewarm how long wet herb stood where germs grow; null where not for too long
 * @param overheated how hot it was; null where it was not too hot
 * @param heat null where nothing is heated, or it does not stand
 * @param stage its stage as the form for changing the plan asks for it
 * @param ruin the cause of what is wrong with it, for throwing it out; empty where nothing is
 */
public record BatchTold(
        String head,
        String lead,
        @Nullable Coming strains,
        boolean isStanding,
        boolean isStrained,
        boolean isHeld,
        String strain,
        String strainMark,
        @Nullable String alarm,
        @Nullable String spirit,
        @Nullable String food,
        @Nullable String mark,
        boolean standsOut,
        @Nullable String overheated,
        boolean byHand,
        @Nullable String lukewarm,
        @Nullable Heat heat,
        String ribbon,
        List<Fact> wentIn,
        List<StepAhead> ahead,
        String stage,
        String usualLength,
        String noOil,
        boolean isWrong,
        String ruin) {

    private static final double MINUTES = 60;

    /** The heat it has had: credited of wanted, how the rest of the time was spent, when it is done, where it goes and when. */
    public record Heat(
            String credited, String rest, String comes, @Nullable Coming done, String going, @Nullable Coming there) {}

    /**
     * A fact of what went in and came back.
     *
     * @param lines what it says, a line for each herb
     * @param strong what stands first and stands out; empty for none
     * @param origin what is said beside it: the plan where it differs, what the figure lacks
     */
    public record Fact(String head, @Nullable String id, String strong, List<String> lines, String origin) {

        Fact(String head, String line) {
            this(head, null, "", List.of(line), "");
        }

        Fact(String head, String line, String origin) {
            this(head, null, "", List.of(line), origin);
        }
    }

    static BatchTold of(BatchSheet sheet, Optional<Costs.Cost> cost, House house) {
        Course course = sheet.course();
        BatchPlan plan = sheet.plan();
        boolean standing = course.state() == Course.State.STANDING;
        boolean held = sheet.condition().filter(told -> told.kind().isEnd()).isPresent();
        Stage stage = course.stage();
        return new BatchTold(
                "Batch %d: %s".formatted(sheet.number(), sheet.name()),
                lead(sheet, house),
                standing ? sheet.strains(at -> house.day(house.dayOf(at))).orElse(null) : null,
                standing,
                course.state() == Course.State.STRAINED,
                held,
                standing && !held ? course.isDue() ? "Strain and measure" : "Strain it early" : "",
                course.isDue() ? "do" : "quiet",
                standing ? sheet.heatAlarm(house).orElse(null) : null,
                course.spirit() ? SpiritFire.WORDS : null,
                plan.isMoistFood()
                        ? "Food: at 4 °C (39 °F) or colder within 2 hours, used or frozen by "
                                + house.date(sheet.keepUntil(house))
                        : null,
                plan.mark().orElse(null),
                course.standsOut(),
                course.heat().map(heat -> overheated(heat, house)).orElse(null),
                sheet.log().isByHand(),
                lukewarm(course, house),
                standing ? course.heat().map(heat -> heat(heat, sheet, house)).orElse(null) : null,
                "%s over time: %d entries; each stands in the log below"
                        .formatted(sheet.name(), sheet.log().entries().size()),
                facts(sheet, cost, house),
                StepAhead.of(sheet, house),
                "%s: how long (%s to %s)"
                        .formatted(stage.name(), stage.least(), stage.pace().words(stage.most())),
                stage.pace().words(course.length()),
                "No %s is left in the Stores to top up with."
                        .formatted(plan.request().carrier().kind().common()),
                sheet.condition().isPresent(),
                sheet.condition()
                        .map(Told::kind)
                        .map(kind -> kind.ruin().name())
                        .orElse(""));
    }

    private static String lead(BatchSheet sheet, House house) {
        Course course = sheet.course();
        String way = sheet.plan().request().circumstances().method().name();
        return switch (course.state()) {
            case STANDING -> "%s, %s; %s"
                    .formatted(
                            way,
                            course.heat().isPresent() ? sheet.tagWord() : course.standWord(),
                            course.overdueDays() > 0 ? "its time was over on" : "to be strained on");
            case STRAINED -> "%s; strained on %s%s"
                    .formatted(
                            way,
                            course.strainedOn().map(house::date).orElse(""),
                            course.heat().isPresent() ? "" : " after " + house.days(course.day()));
            case POURED -> "Poured.";
            case DISCARDED -> "Thrown out. " + sheet.lesson();
            case NEVER_STARTED -> "Taken back: nothing stands in a jar, and the stock is where it was.";
        };
    }

    private static @Nullable String overheated(HeatCourse heat, House house) {
        return heat.trace().isOverheated()
                ? "%s minutes above the ceiling, %s at the most. Look and sniff."
                        .formatted(
                                Decimals.upTo(heat.trace().aboveCeiling().minutes(), 0),
                                heat.trace().peak().map(house::temperature).orElse(""))
                : null;
    }

    private static @Nullable String lukewarm(Course course, House house) {
        double minutes = course.traces().stream()
                .flatMap(trace -> trace.lukewarm().stream())
                .mapToDouble(TimeSpan::minutes)
                .sum();
        return minutes >= HeatTrace.LUKEWARM_MINUTES
                ? "Wet herb has been between %s and %s for %s hours in all, where germs grow. Keep it above, or in the refrigerator."
                        .formatted(
                                house.temperature(HeatTrace.LUKEWARM_LOW),
                                house.temperature(HeatTrace.LUKEWARM_HIGH),
                                Decimals.upTo(minutes / MINUTES, 1))
                : null;
    }

    private static Heat heat(HeatCourse heat, BatchSheet sheet, House house) {
        TimeSpan unwatched = heat.trace().unwatched();
        return new Heat(
                "%s of %s heat-hours"
                        .formatted(
                                hours(heat.trace().credited()),
                                Decimals.upTo(heat.wanted().minutes() / MINUTES, 0)),
                ", %s h in the band%s"
                        .formatted(
                                hours(heat.trace().inBand()),
                                unwatched.minutes() > 0 ? ", %s h not watched".formatted(hours(unwatched)) : ""),
                sheet.foresight()
                                .heatDone()
                                .filter(task ->
                                        task.due().isBefore(sheet.course().now()))
                                .isPresent()
                        ? "; it was to come off about "
                        : "; done about ",
                sheet.foresight()
                        .heatDone()
                        .map(task -> sheet.coming(task, house::dayAndTime))
                        .orElse(null),
                goingTo(heat, house),
                heat.lidFrom().map(at -> Coming.of(at, house::dayAndTime)).orElse(null));
    }

    /** Where the curve leads: on the heat to its end, off it past the temperature a lid may go on at. */
    private static String goingTo(HeatCourse heat, House house) {
        return heat.on()
                ? heat.forecast()
                        .flatMap(HeatForecast::end)
                        .map(end -> "; on this course it comes to about " + house.temperature(rounded(end)))
                        .orElse("")
                : heat.lidFrom()
                        .map(at -> "; down to %s about ".formatted(house.temperature(HeatCourse.FOR_THE_LID)))
                        .orElse("");
    }

    private static Temperature rounded(Temperature end) {
        return Temperature.ofCelsius(Math.round(end.celsius()));
    }

    private static String hours(TimeSpan span) {
        return "%.1f".formatted(span.minutes() / MINUTES);
    }

    private static List<Fact> facts(BatchSheet sheet, Optional<Costs.Cost> cost, House house) {
        BatchPlan plan = sheet.plan();
        PlanRequest request = plan.request();
        Charge charge = sheet.course().charge();
        List<Fact> facts = new ArrayList<>();
        facts.add(herbs(sheet, house));
        facts.add(new Fact(
                "Oil",
                house.volume(charge.oil()) + " " + request.carriers().words(),
                charge.oil().equals(plan.charge().oil())
                        ? ""
                        : " planned " + house.volume(plan.charge().oil())));
        request.carrier()
                .first()
                .ifPresent(first -> facts.add(new Fact(
                        "Infused before",
                        first.name()
                                + plan.doubleRatio()
                                        .map(both -> "; both together " + house.ratio(both))
                                        .orElse(""))));
        plan.moistening().ifPresent(spirit -> facts.add(spirit(spirit, house)));
        facts.add(new Fact("Grams : mL", house.ratio(charge.ratio())));
        facts.add(new Fact(
                request.vessel().open() ? "Pot" : "Jar", request.vessel().name()));
        facts.add(new Fact("Charged", house.moment(sheet.course().chargedAt())));
        facts.add(new Fact("For", request.circumstances().use().word()));
        cost.ifPresent(sum -> facts.add(new Fact(
                "Cost",
                "batch-cost",
                "",
                List.of(house.money(sum.minor())),
                sum.unpriced().isEmpty()
                        ? ""
                        : " without %s, whose price is not known".formatted(String.join(", ", sum.unpriced())))));
        facts.add(new Fact(
                "Expected back",
                "%s (%s), %s"
                        .formatted(
                                house.about(sheet.forecast().expected()),
                                house.range(
                                        sheet.forecast().low(), sheet.forecast().high()),
                                sheet.forecast().basis())));
        sheet.strained().ifPresent(gave -> {
            facts.add(new Fact(
                    "Came back",
                    null,
                    house.volume(gave.out()),
                    List.of(", " + gave.pressing().word()),
                    ""));
            facts.add(new Fact(
                    "Use by",
                    house.date(gave.keepUntil().date()) + ", "
                            + gave.keepUntil().limitedBy().words()));
        });
        return facts;
    }

    private static Fact herbs(BatchSheet sheet, House house) {
        List<PlannedHerb> herbs = sheet.plan().request().herbs();
        Charge charge = sheet.course().charge();
        List<String> lines = new ArrayList<>();
        if (herbs.size() > 1) {
            lines.add(house.mass(charge.herbs().mass()) + " in all");
        }
        for (int i = 0; i < herbs.size(); i++) {
            PlannedHerb herb = herbs.get(i);
            lines.add("%s %s (%s), %s, %s"
                    .formatted(
                            house.mass(charge.herbs().portions().get(i).mass()),
                            herb.kind().common(),
                            herb.kind().botanical(),
                            herb.moisture().word(),
                            herb.cut().word()));
        }
        boolean asPlanned =
                charge.herbs().mass().equals(sheet.plan().charge().herbs().mass());
        return new Fact(
                "Herb",
                null,
                "",
                lines,
                asPlanned
                        ? ""
                        : " planned " + house.mass(sheet.plan().charge().herbs().mass()));
    }

    private static Fact spirit(Moistening spirit, House house) {
        return new Fact(
                "Spirit",
                "%s of %s"
                        .formatted(
                                house.mass(spirit.spirit()), spirit.strength().words()));
    }
}
