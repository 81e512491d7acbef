package app.velvetcrock.batch;

import app.velvetcrock.condition.Conditions;
import app.velvetcrock.condition.Finding;
import app.velvetcrock.core.caution.Use;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.look.Condition;
import app.velvetcrock.readings.ProbedHeat;
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
    private final ProbedHeat probed;
    private final Clock clock;

    HeatWatch(BatchLog log, Conditions conditions, ProbedHeat probed, Clock clock) {
        this.log = log;
        this.conditions = conditions;
        this.probed = probed;
        this.clock = clock;
    }

    /** Judges a batch after readings of the probe in it came. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void keepHeat(BatchSheet sheet) {
        sheet.log().entries().stream()
                .filter(entry -> entry.line() instanceof Line.Probe probe && probe.in())
                .reduce((first, last) -> last)
                .ifPresent(put -> keepHeat(sheet.id(), put.id()));
    }

    /** Judges a batch after a line of its log was written or taken back. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void keepHeat(UUID batch, UUID line) {
        BatchSheet before = log.sheet(batch);
        if (!before.course().method().isHeated()) {
            return;
        }
        BatchSheet sheet = probed.settle(before.probed()) ? log.sheet(batch) : before;
        Course course = sheet.course();
        Finding finding = Finding.by(
                line,
                course.heat()
                        .flatMap(heat -> heat.latest())
                        .map(reading -> reading.at())
                        .orElse(clock.instant()));
        boolean food = sheet.plan().request().circumstances().use() == Use.FOOD;
        conditions.keep(Condition.OVERHEATED, course.isOverheated(), sheet.subject(), food, finding);
        conditions.keep(Condition.SCORCHED, course.isScorched(), sheet.subject(), food, finding);
    }
}
