package app.velvetcrock.plans;

import app.velvetcrock.core.measure.Mass;
import app.velvetcrock.core.spirit.Dosing;
import app.velvetcrock.core.spirit.Moistening;
import app.velvetcrock.core.spirit.Strength;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Brings a plan of an older shape to the latest, one version at a time. */
final class UpcastPlan {

    private UpcastPlan() {}

    static ObjectNode toLatest(ObjectNode stored, Json json) {
        ObjectNode shape = stored;
        if (!shape.has("version")) {
            shape = fromUnnumbered(shape, json);
        }
        int version = shape.get("version").asInt();
        if (version != PlanShape.VERSION) {
            throw new IllegalStateException(
                    "a plan of version %d; this release reads versions up to %d".formatted(version, PlanShape.VERSION));
        }
        return shape;
    }

    /** Before there was a version, a plan was the core's records as they were: {@code plan} with its {@code request}, and lots apart. */
    private static ObjectNode fromUnnumbered(ObjectNode old, Json json) {
        ObjectNode plan = (ObjectNode) old.get("plan");
        ObjectNode request = (ObjectNode) plan.get("request");
        ObjectNode shape = JsonNodeFactory.instance.objectNode();
        shape.put("version", 1);
        shape.put("kind", "infusion");
        shape.set("rules", plan.get("rules"));
        shape.set("takes", takes(old, plan, request, json));
        shape.set("holds", old.has("holds") ? old.get("holds") : JsonNodeFactory.instance.objectNode());
        shape.set("herbs", request.get("herbs"));
        shape.set("carriers", PlanShape.only(request.get("carrier")));
        for (String part : List.of("oil", "vessel", "jarsInStock", "circumstances")) {
            shape.set(part, request.get(part));
        }
        shape.set("results", PlanShape.without(plan, Set.of("rules", "request")));
        return shape;
    }

    private static ArrayNode takes(ObjectNode old, ObjectNode plan, ObjectNode request, Json json) {
        ArrayNode takes = JsonNodeFactory.instance.arrayNode();
        double grams = 0;
        for (int i = 0; i < old.get("herbLots").size(); i++) {
            JsonNode mass = request.get("herbs").get(i).get("mass");
            grams += mass.get("grams").asDouble();
            takes.add(take(old.get("herbLots").get(i), mass));
        }
        takes.add(take(old.get("carrierLot"), plan.get("oilMass")));
        JsonNode spirit = old.get("spiritLot");
        if (spirit != null && !spirit.isNull()) {
            JsonNode how = request.get("circumstances");
            Moistening moist = Moistening.of(
                    Mass.ofGrams(grams),
                    json.read(how.get("means").get("spirit"), Strength.class),
                    json.read(how.get("dosing"), Dosing.class));
            takes.add(take(spirit, json.tree(moist.fromBottle())));
        }
        return takes;
    }

    private static ObjectNode take(JsonNode lot, JsonNode mass) {
        ObjectNode take = JsonNodeFactory.instance.objectNode();
        take.set("lot", lot);
        take.set("mass", mass);
        return take;
    }
}
