package app.velvetcrock.plans;

import app.velvetcrock.core.pan.MakingPlan;
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
        shape.remove(java.util.List.of("version", "kind"));
        return json.read(shape, MakingPlan.class);
    }
}
