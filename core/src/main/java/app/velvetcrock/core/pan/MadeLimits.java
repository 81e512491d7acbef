package app.velvetcrock.core.pan;

import app.velvetcrock.core.making.Ceilings;
import app.velvetcrock.core.making.Drops;
import app.velvetcrock.core.making.Kind;
import app.velvetcrock.core.materia.SupplyKind;
import app.velvetcrock.core.materia.SupplyType;
import app.velvetcrock.core.measure.Mass;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/**
 * What really was made, judged: how long it keeps, and why it may be neither given away nor sold. Asked anew at every line of its log, of
 * what was weighed in, corrected, stirred in or left out, never of what was planned.
 */
public final class MadeLimits {

    /** [E] Honey and tincture together, up to this share of the mass, keep for months; more is as any water (craft: keeping). */
    private static final double MOST_CARRIED = 0.05;

    private static final int WATERY_DAYS = 7;
    /** What is so of the oil, and stays so whatever goes in besides. */
    private static final Set<String> OF_THE_OIL = Set.of(KeptBack.BY_HAND, KeptBack.OVERRIDDEN);

    private static final double SLACK = 1e-9;
    private static final String HONEY = "honey";

    private final Function<String, Optional<SupplyKind>> supplies;

    /** {@code supplies}: what is stirred in, by its key, with the household's own ceilings. */
    public MadeLimits(Function<String, Optional<SupplyKind>> supplies) {
        this.supplies = supplies;
    }

    /** Why it may be neither given away nor sold, as it follows a colon; absent where it may. */
    public Optional<String> over(MakingCourse course, LocalDate today) {
        return kind(course)
                .map(kind -> KeptBack.why(
                                made(course, kind),
                                new KeptBack.Standing(
                                        course.isWatery() || isTooMuchCarried(course),
                                        keeps(course, today).date().isBefore(today),
                                        Optional.empty()))
                        .or(() -> course.plan().over().filter(OF_THE_OIL::contains)))
                .orElse(course.plan().over());
    }

    private static Optional<Kind> kind(MakingCourse course) {
        return Kind.shipped().stream()
                .filter(one -> one.key().equals(course.plan().made().kind()))
                .findFirst();
    }

    private KeptBack.Made made(MakingCourse course, Kind kind) {
        List<SupplyKind> stirred = new ArrayList<>();
        List<Drops> drops = new ArrayList<>();
        double rest = course.formula().total().grams();
        for (MakingPlan.Stirred one : course.stirred()) {
            Mass mass = one.addition().mass();
            Optional<SupplyKind> what = supplies.apply(one.addition().key());
            what.ifPresent(stirred::add);
            if (what.filter(of -> of.type() == SupplyType.ESSENTIAL_OIL).isPresent()) {
                drops.add(Drops.from(what.get(), mass, Drops.USUAL));
            } else {
                rest += mass.grams();
            }
        }
        return new KeptBack.Made(
                kind,
                course.plan().use(),
                course.formula(),
                stirred,
                Ceilings.of(drops, Mass.ofGrams(rest), course.plan().use(), kind.noEssentialOil()));
    }

    /** Honey and tincture are a larger share where less was weighed in than planned. */
    private boolean isTooMuchCarried(MakingCourse course) {
        double whole = course.formula().total().grams()
                + course.stirred().stream()
                        .mapToDouble(one -> one.addition().mass().grams())
                        .sum();
        double carried = course.stirred().stream()
                .filter(one -> supplies.apply(one.addition().key())
                        .filter(kind -> kind.key().equals(HONEY) || kind.hasStrength())
                        .isPresent())
                .mapToDouble(one -> one.addition().mass().grams())
                .sum();
        return carried > MOST_CARRIED * whole + SLACK * whole;
    }

    /**
     * How long it keeps, by what is really in it.
     *
     * @param made the day it was made
     */
    public MadeKeeping.Limit keeps(MakingCourse course, LocalDate made) {
        MadeKeeping.Limit by = course.keeps();
        LocalDate days = made.plusDays(WATERY_DAYS);
        return isTooMuchCarried(course) && days.isBefore(by.date())
                ? new MadeKeeping.Limit(
                        days,
                        "limited by honey and tincture, more than 5 % of it: 7 days in the refrigerator",
                        Optional.empty(),
                        true)
                : by;
    }
}
