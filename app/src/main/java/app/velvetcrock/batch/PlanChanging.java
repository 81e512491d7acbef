package app.velvetcrock.batch;

import app.velvetcrock.batch.BatchEntry.Kind;
import app.velvetcrock.batch.BatchLog.Draft;
import app.velvetcrock.core.course.Course;
import app.velvetcrock.core.planning.PlanRequest;
import app.velvetcrock.core.planning.PlanSteps;
import app.velvetcrock.core.planning.Planner;
import app.velvetcrock.stillroom.House;
import app.velvetcrock.stillroom.Households;
import app.velvetcrock.web.Refused;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Changes the plan of a standing batch: how long its stage lasts, when it is strained. The plan before is kept, and so is the reason. */
@Service
class PlanChanging {

    private final BatchLog log;
    private final PlanRevisions revisions;
    private final Planner planner;
    private final Households households;
    private final Json json;
    private final Clock clock;

    PlanChanging(
            BatchLog log, PlanRevisions revisions, Planner planner, Households households, Json json, Clock clock) {
        this.log = log;
        this.revisions = revisions;
        this.planner = planner;
        this.households = households;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What is to be otherwise.
     *
     * @param length of the stage it is in, in its pace; absent for as it is
     * @param strainFrom a moment before which it is not to be strained; absent for none
     */
    record Change(Optional<Integer> length, Optional<Instant> strainFrom, String reason) {}

    @Transactional
    public void change(UUID id, Change change, UUID key) {
        BatchSheet sheet = log.locked(id);
        Course course = sheet.course();
        if (course.state() != Course.State.STANDING) {
            throw new Refused(
                    "Batch %d does not stand any more, so its plan stays as it was.".formatted(sheet.number()));
        }
        List<Integer> lengths = new ArrayList<>(course.lengths());
        change.length().ifPresent(length -> lengths.set(course.method().stages().indexOf(course.stage()), length));
        Map<String, Instant> holds = new HashMap<>(sheet.frozen().holds());
        change.strainFrom().ifPresent(at -> holds.put(PlanSteps.STRAIN, at));
        PlanRequest request = sheet.plan().request();
        FrozenPlan revised = new FrozenPlan(
                planner.plan(request.with(request.circumstances().lasting(lengths))),
                sheet.frozen().herbLots(),
                sheet.frozen().carrierLot(),
                sheet.frozen().spiritLot(),
                holds);
        revisions.add(id, json.write(revised), change.reason());
        log.write(id, Draft.of(Kind.NOTED, clock.instant(), words(course, change), List.of()), key);
    }

    private String words(Course course, Change change) {
        House house = households.current();
        List<String> words = new ArrayList<>();
        change.length()
                .ifPresent(length -> words.add("%s for %s instead of %s"
                        .formatted(
                                course.stage().name(),
                                course.stage().pace().words(length),
                                course.stage().pace().words(course.length()))));
        change.strainFrom().ifPresent(at -> words.add("not strained before " + house.moment(at)));
        return "Plan changed: %s, because %s".formatted(String.join(", ", words), change.reason());
    }
}
