package tundra.core.file;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** From schema 1 to 2: the first versions kept the letter spacing with the words of a text; it is a resting value. */
final class SpacingAtRest implements Migration {
    @Override
    public void apply(ObjectNode project) {
        for (JsonNode scene : project.path("scenes")) {
            scene.path("elements").forEach(SpacingAtRest::element);
        }
    }

    private static void element(JsonNode e) {
        if (e instanceof ObjectNode o && o.path("type").asString("").equals("text") && o.path("spacing").isNumber()
                && o.path("rest") instanceof ObjectNode rest) {
            if (o.path("spacing").doubleValue() != 0) {
                rest.set("letterSpacing", o.get("spacing"));
            }
            o.remove("spacing");
        }
        e.path("children").forEach(SpacingAtRest::element);
        e.path("drawings").forEach(d -> element(d.path("art")));
    }
}
