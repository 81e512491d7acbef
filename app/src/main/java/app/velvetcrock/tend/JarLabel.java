package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.core.caution.Caution;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.charge.Charge;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlannedHerb;
import app.velvetcrock.core.rounds.Coming;
import app.velvetcrock.core.spirit.SpiritFire;
import app.velvetcrock.stillroom.House;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The label for a charged jar.
 *
 * @param alarm what is wrong with it; null where nothing is
 * @param until when it is strained, or how it is heated
 * @param more lines that only some have: a first infusion, food, the mark
 */
public record JarLabel(
        @Nullable String alarm,
        String title,
        List<Herb> herbs,
        String carrier,
        String ratio,
        String amounts,
        String charged,
        String untilHead,
        @Nullable Coming until,
        String number,
        List<More> more,
        String cautions) {

    /** A herb of it, with its share where there are several. */
    public record Herb(String share, String botanical, String state) {}

    /** One more line: its first words stand out. */
    public record More(String strong, String words) {}

    static JarLabel of(BatchSheet sheet, House house) {
        BatchPlan plan = sheet.plan();
        PlanRequest request = plan.request();
        Charge charge = sheet.course().charge();
        boolean stands = sheet.course().state() == Course.State.STANDING;
        boolean heated = sheet.course().heat().isPresent();
        return new JarLabel(
                sheet.condition()
                        .map(told -> "! %s: keep back".formatted(told.word()))
                        .orElse(null),
                request.herbNames(),
                request.herbs().stream().map(herb -> herb(herb, plan, house)).toList(),
                request.carriers().words(),
                ", %s (g : mL)".formatted(house.ratio(charge.ratio())),
                "%s herb, %s oil".formatted(house.mass(charge.herbs().mass()), house.volume(charge.oil())),
                house.date(request.circumstances().start()),
                heated
                        ? "%s, %s%s"
                                .formatted(
                                        request.circumstances().method().name(),
                                        sheet.course()
                                                .stage()
                                                .pace()
                                                .words(sheet.course().length()),
                                        stands ? ", strain" : "")
                        : "strain",
                sheet.strains(at -> house.date(house.dayOf(at)))
                        .or(() -> heated ? Optional.empty() : Optional.of(planned(sheet, house)))
                        .orElse(null),
                "Batch %d, %s".formatted(sheet.number(), house.settings().name()),
                more(sheet, house),
                plan.cautions().stream()
                        .filter(Caution::onLabel)
                        .map(caution -> caution.head() + ".")
                        .collect(Collectors.joining(" ")));
    }

    /** The day it was to be strained by its plan, of one that does not stand any more. */
    private static Coming planned(BatchSheet sheet, House house) {
        LocalDate day = sheet.course().strainOn();
        return new Coming(house.date(day), day.toString(), "");
    }

    private static Herb herb(PlannedHerb herb, BatchPlan plan, House house) {
        String share = plan.request().herbs().size() > 1
                ? house.percent(herb.mass().grams()
                                / plan.charge().herbs().mass().grams()) + " "
                : "";
        return new Herb(
                share,
                herb.kind().botanical(),
                ", %s %s, %s"
                        .formatted(
                                herb.moisture().word(),
                                herb.texture().part().word(),
                                herb.cut().word()));
    }

    private static List<More> more(BatchSheet sheet, House house) {
        List<More> more = new ArrayList<>();
        BatchPlan plan = sheet.plan();
        plan.request()
                .carrier()
                .first()
                .ifPresent(first -> more.add(new More("", "Infused a second time: " + first.name())));
        if (sheet.course().spirit()) {
            more.add(new More(SpiritFire.WORDS, ""));
        }
        if (plan.isMoistFood()) {
            more.add(new More(
                    "Food. Refrigerator within 2 hours, 4 °C (39 °F) or colder. Use or freeze by %s."
                            .formatted(house.date(sheet.keepUntil(house))),
                    ""));
        } else if (plan.request().circumstances().use() == Use.FOOD) {
            more.add(new More(
                    "Food, of dried herb: three months at most, in the refrigerator once it is strained.", ""));
        }
        if (sheet.log().isByHand()) {
            more.add(new More("By the handful: not for food, not for sale.", ""));
        }
        plan.mark().ifPresent(why -> more.add(new More("Made against the rule of water:", " " + why)));
        return more;
    }
}
