package app.velvetcrock.pan;

import app.velvetcrock.catalogue.OwnCeilings;
import app.velvetcrock.core.making.Ceilings;
import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.pan.MadeKeeping;
import app.velvetcrock.core.pan.MakingCourse;
import app.velvetcrock.core.pan.MakingPlan;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** How long a making keeps, and why it may be neither given away nor sold: what was left out holds nothing back. */
@Component
public class PanLimits {

    private final Materia materia;
    private final OwnCeilings ceilings;

    PanLimits(Materia materia, OwnCeilings ceilings) {
        this.materia = materia;
        this.ceilings = ceilings;
    }

    /** How long it keeps that is made today. */
    static MadeKeeping keeping(PanReading.Read read, Mass whole, LocalDate today) {
        List<MadeKeeping.Ends> ends = new ArrayList<>();
        Stream.concat(Stream.of(read.oil()), read.others().stream())
                .forEach(one -> ends(one, Optional.empty()).ifPresent(ends::add));
        for (int i = 0; i < read.stirred().size(); i++) {
            ends(read.stirred().get(i).thing(), Optional.of(i)).ifPresent(ends::add);
        }
        if (read.kind().key().equals("compress-pads")) {
            ends.add(new MadeKeeping.Ends(
                    "30 days such pads keep in the refrigerator", today.plusDays(30), Optional.empty()));
        }
        return MadeKeeping.of(
                today,
                ends,
                read.stirred().stream()
                        .map(one -> new MadeKeeping.Brings(
                                one.thing().supply().orElseThrow(),
                                one.addition().mass().grams() / whole.grams(),
                                one.thing().own().strength()))
                        .toList());
    }

    private static Optional<MadeKeeping.Ends> ends(PanThing thing, Optional<Integer> addition) {
        return thing.ends().map(date -> new MadeKeeping.Ends(thing.common().toLowerCase(Locale.ROOT), date, addition));
    }

    /**
     * The reason, as it follows a colon; absent where it may be given and sold. It is as it was planned, unless that was for what was
     * left out since.
     */
    public Optional<String> over(MakingCourse course, LocalDate today) {
        MakingPlan plan = course.plan();
        if (!course.isLeftOut() || plan.over().isEmpty()) {
            return plan.over();
        }
        return Kind.shipped().stream()
                .filter(one -> one.key().equals(plan.made().kind()))
                .findFirst()
                .filter(kind ->
                        why(course, kind, plan.additions(), watery(plan)).equals(plan.over()))
                .map(kind -> why(
                        course,
                        kind,
                        course.stirred(),
                        new KeptBack.Standing(
                                course.isWatery(), course.keeps().date().isBefore(today), Optional.empty())))
                .orElse(plan.over());
    }

    private static KeptBack.Standing watery(MakingPlan plan) {
        return new KeptBack.Standing(
                plan.limits().stream().anyMatch(MadeKeeping.Limit::watery), false, Optional.empty());
    }

    private Optional<String> why(
            MakingCourse course, Kind kind, List<MakingPlan.Stirred> within, KeptBack.Standing standing) {
        List<SupplyKind> stirred = new ArrayList<>();
        List<Drops> drops = new ArrayList<>();
        double rest = course.formula().total().grams();
        for (MakingPlan.Stirred one : within) {
            Mass mass = one.addition().mass();
            Optional<SupplyKind> what = materia.supply(one.addition().key()).map(ceilings::corrected);
            what.ifPresent(stirred::add);
            if (what.filter(of -> of.type() == SupplyType.ESSENTIAL_OIL).isPresent()) {
                drops.add(Drops.from(what.get(), mass, Drops.USUAL));
            } else {
                rest += mass.grams();
            }
        }
        return KeptBack.why(
                kind,
                course.plan().use(),
                course.formula(),
                stirred,
                Ceilings.of(drops, Mass.ofGrams(rest), course.plan().use(), kind.noEssentialOil()),
                standing);
    }
}
