package app.velvetcrock.plans;

import app.velvetcrock.core.pan.MakingPlan;
import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Stores plans of makings in their published shape (docs/formats/making.schema.json). */
@Component
public class MakingShape {

    private static final int VERSION = 1;

    private final Json json;

    MakingShape(Json json) {
        this.json = json;
    }

    public String write(MakingPlan plan) {
        ObjectNode shape = JsonNodeFactory.instance.objectNode();
        shape.put("version", VERSION);
        shape.put("kind", "making");
        shape.setAll((ObjectNode) json.tree(plan));
        return json.write(shape);
    }

    public MakingPlan read(String written) {
        ObjectNode shape = (ObjectNode) json.parse(written);
        shape.remove(List.of("version", "kind"));
        // Plans that were frozen before these were kept hold none.
        for (String since : List.of("limits", "within")) {
            if (!shape.has(since)) {
                shape.putArray(since);
            }
        }
        return json.read(shape, MakingPlan.class);
    }
}
