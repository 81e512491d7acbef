package app.velvetcrock.tend;

import app.velvetcrock.batch.BatchLog;
import app.velvetcrock.batch.BatchSheet;
import app.velvetcrock.batch.Deeds;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.course.Line;
import app.velvetcrock.core.deed.Deed;
import app.velvetcrock.core.deed.Doing;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.plans.PlanRevisions;
import app.velvetcrock.plans.PlanShape;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Changes the plan of a standing batch: how long its stage lasts, when it is strained. The plan before is kept, and so is the reason. */
@Component
class PlanChanging implements Deeds.Hands {

    private final BatchLog log;
    private final PlanRevisions revisions;
    private final Planner planner;
    private final PlanShape shape;

    PlanChanging(BatchLog log, PlanRevisions revisions, Planner planner, PlanShape shape) {
        this.log = log;
        this.revisions = revisions;
        this.planner = planner;
        this.shape = shape;
    }

    @Override
    public void takeUp(Deeds.Work work) {
        work.on(Deed.ChangePlan.class, this::change);
    }

    private UUID change(BatchSheet sheet, Doing<Deed.ChangePlan> doing) {
        Deed.ChangePlan deed = doing.deed();
        Course course = sheet.course();
        List<Integer> lengths = new ArrayList<>(course.lengths());
        deed.length().ifPresent(length -> lengths.set(course.method().stages().indexOf(course.stage()), length));
        Map<String, Instant> holds = new HashMap<>(sheet.frozen().holds());
        deed.strainFrom().ifPresent(at -> holds.put(PlanSteps.STRAIN, at));
        PlanRequest request = sheet.plan().request();
        FrozenPlan revised = sheet.frozen()
                .revised(planner.plan(request.with(request.circumstances().lasting(lengths))), holds);
        revisions.add(sheet.id(), shape.write(revised), deed.reason());
        Line line = new Line.PlanChanged(
                course.stage().name(),
                course.stage().pace(),
                course.length(),
                deed.length(),
                deed.strainFrom(),
                deed.reason());
        return log.write(sheet.id(), line, doing);
    }
}
