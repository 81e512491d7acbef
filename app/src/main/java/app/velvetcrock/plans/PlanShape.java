package app.velvetcrock.plans;

import app.velvetcrock.core.planning.BatchPlan;
import app.velvetcrock.core.planning.FrozenPlan;
import app.velvetcrock.core.planning.Take;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Stores plans in their published shape (docs/formats/plan.schema.json) and reads every shape that was ever stored. The
 * core's records may change behind it; what they no longer fit is mended here, never by a rewrite of what is stored.
 */
@Component
public class PlanShape {

    static final int VERSION = 1;

    private static final String INFUSION = "infusion";

    /** What of a plan stands at its head; all else was worked out from that. */
    private static final Set<String> ASKED = Set.of("rules", "request");

    private final Json json;

    PlanShape(Json json) {
        this.json = json;
    }

    public String write(FrozenPlan frozen) {
        ObjectNode plan = (ObjectNode) json.tree(frozen.plan());
        ObjectNode request = (ObjectNode) plan.get("request");
        ObjectNode shape = JsonNodeFactory.instance.objectNode();
        shape.put("version", VERSION);
        shape.put("kind", INFUSION);
        shape.set("rules", plan.get("rules"));
        shape.set("takes", json.tree(frozen.takes()));
        shape.set("holds", json.tree(frozen.holds()));
        shape.set("herbs", request.get("herbs"));
        ArrayNode carriers = JsonNodeFactory.instance.arrayNode();
        request.get("carriers").get("parts").forEach(part -> {
            ObjectNode carrier = part.get("carrier").deepCopy().asObject();
            carrier.set("share", part.get("share"));
            carriers.add(carrier);
        });
        shape.set("carriers", carriers);
        for (String part : List.of("oil", "vessel", "jarsInStock", "circumstances")) {
            shape.set(part, request.get(part));
        }
        shape.set("results", without(plan, ASKED));
        return json.write(shape);
    }

    FrozenPlan read(String written) {
        ObjectNode shape = UpcastPlan.toLatest((ObjectNode) json.parse(written), json);
        ObjectNode request = JsonNodeFactory.instance.objectNode();
        request.set("herbs", shape.get("herbs"));
        ArrayNode parts = JsonNodeFactory.instance.arrayNode();
        shape.get("carriers").forEach(stored -> {
            ObjectNode carrier = stored.deepCopy().asObject();
            JsonNode share = carrier.remove("share");
            ObjectNode part = parts.addObject();
            part.set("carrier", carrier);
            // Before there were mixes, one oil was all of it and had no share.
            part.put("share", share == null ? 1 : share.asDouble());
        });
        request.set("carriers", JsonNodeFactory.instance.objectNode().set("parts", parts));
        for (String part : List.of("oil", "vessel", "jarsInStock", "circumstances")) {
            request.set(part, shape.get(part));
        }
        ObjectNode plan = JsonNodeFactory.instance.objectNode();
        plan.set("rules", shape.get("rules"));
        plan.set("request", request);
        plan.setAll((ObjectNode) shape.get("results"));
        Map<String, Instant> holds = new HashMap<>();
        shape.get("holds")
                .properties()
                .forEach(hold -> holds.put(hold.getKey(), json.read(hold.getValue(), Instant.class)));
        return new FrozenPlan(
                json.read(plan, BatchPlan.class), List.of(json.read(shape.get("takes"), Take[].class)), holds);
    }

    static ObjectNode without(ObjectNode all, Set<String> names) {
        ObjectNode rest = all.deepCopy();
        rest.remove(names);
        return rest;
    }

    static ArrayNode only(JsonNode one) {
        return JsonNodeFactory.instance.arrayNode().add(one);
    }
}
