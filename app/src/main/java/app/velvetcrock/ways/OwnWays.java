package app.velvetcrock.ways;

import app.velvetcrock.core.larder.OfWay;
import app.velvetcrock.core.method.Method;
import app.velvetcrock.core.method.Stage;
import app.velvetcrock.plans.Json;
import app.velvetcrock.web.NotHere;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The household's own ways of infusing: kept, listed, put away. */
@Service
public class OwnWays {

    private final OwnWayRepository ways;
    private final Json json;
    private final Clock clock;

    OwnWays(OwnWayRepository ways, Json json, Clock clock) {
        this.ways = ways;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<OfWay> all() {
        return ways.all().stream()
                .map(way -> new OfWay(way.id, json.read(way.method, Method.class)))
                .toList();
    }

    /** Keeps a way as it is planned: its numbers, and these lengths as its usual ones. */
    @Transactional
    public OfWay keep(String name, Method planned, List<Integer> lengths) {
        UUID id = UUID.randomUUID();
        List<Stage> stages = new ArrayList<>();
        for (int i = 0; i < lengths.size(); i++) {
            Stage stage = planned.stages().get(i);
            stages.add(stage.lasting(stage.least(), lengths.get(i), stage.most()));
        }
        Method own = planned.variant(id.toString(), name, stages);
        ways.saveAndFlush(new OwnWay(id, name, json.write(own), clock.instant()));
        return new OfWay(id, own);
    }

    /** Puts a way away, or takes it out again; batches made by it keep it. */
    @Transactional
    public void remove(UUID id, boolean removed) {
        ways.findHere(id).orElseThrow(() -> new NotHere("that way")).removedAt = removed ? clock.instant() : null;
    }
}
