package app.velvetcrock.batch;

import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.look.Condition;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Opens a batch's conditions of too much heat when its readings come to that, and withdraws them when they do no longer. */
@Component
public class HeatWatch {

    private final BatchLog log;
    private final Conditions conditions;
    private final Clock clock;

    HeatWatch(BatchLog log, Conditions conditions, Clock clock) {
        this.log = log;
        this.conditions = conditions;
        this.clock = clock;
    }

    /** Judges a batch after a line of its log was written or taken back. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void keepHeat(UUID batch, UUID line) {
        BatchSheet sheet = log.sheet(batch);
        Course course = sheet.course();
        if (!course.method().isHeated()) {
            return;
        }
        Finding finding = Finding.by(
                line,
                course.heat()
                        .flatMap(heat -> heat.latest())
                        .map(reading -> reading.at())
                        .orElse(clock.instant()));
        conditions.keep(Condition.OVERHEATED, course.isOverheated(), sheet.subject(), finding);
        conditions.keep(Condition.SCORCHED, course.isScorched(), sheet.subject(), finding);
    }
}
