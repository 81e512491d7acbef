package app.velvetcrock.melt;

import app.velvetcrock.catalogue.OwnCeilings;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.core.pan.MadeKeeping;
import app.velvetcrock.core.pan.MadeLimits;
import app.velvetcrock.core.pan.MakingCourse;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** How long a making keeps, and why it may be neither given away nor sold: by what really went in. */
@Component
public class PanLimits {

    private final MadeLimits limits;

    PanLimits(Materia materia, OwnCeilings ceilings) {
        this.limits = new MadeLimits(key -> materia.supply(key).map(ceilings::corrected));
    }

    /** Why what was really made may be neither given nor sold, as it follows a colon; absent where it may. */
    public Optional<String> over(MakingCourse course, LocalDate today) {
        return limits.over(course, today);
    }

    /** How long what was really made on a day keeps. */
    public MadeKeeping.Limit keeps(MakingCourse course, LocalDate made) {
        return limits.keeps(course, made);
    }
}
