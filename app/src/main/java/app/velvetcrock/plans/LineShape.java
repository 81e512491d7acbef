package app.velvetcrock.plans;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * The published shape of what a line says (docs/formats/log.schema.json), with its version, and the way from every version there
 * was to the latest. The core's records may change behind it; what they no longer fit is mended here, never by a rewrite of
 * what is stored.
 */
public final class LineShape {

    static final int VERSION = 1;

    private static final String NUMBER = "version";

    /** What a line stores that says all it says by its kind, its task or its words. */
    public static final String EMPTY = "{\"%s\":%d}".formatted(NUMBER, VERSION);

    private LineShape() {}

    /** It is of a version that this release does not know. */
    public static final class Newer extends RuntimeException {

        private static final long serialVersionUID = 1;
    }

    /** A value in its published shape. */
    public static String of(Object value, Json json) {
        ObjectNode shape = JsonNodeFactory.instance.objectNode();
        shape.put(NUMBER, VERSION);
        shape.setAll((ObjectNode) json.tree(value));
        return json.write(shape);
    }

    /**
     * A stored value in the latest version.
     *
     * @throws Newer where it is of a later one
     */
    public static ObjectNode latest(String stored, Json json) {
        // Once a line that says all by its kind stored an empty list.
        ObjectNode shape =
                json.parse(stored) instanceof ObjectNode object ? object : JsonNodeFactory.instance.objectNode();
        JsonNode number = shape.remove(NUMBER);
        // Before there was a version, what was stored was the same, without its number.
        int version = number == null ? VERSION : number.asInt();
        if (version > VERSION) {
            throw new Newer();
        }
        return shape;
    }
}
