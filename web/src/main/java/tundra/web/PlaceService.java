package tundra.web;

import java.util.Locale;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Stands in for a service that knows places, while a page is tried: made-up ones around where the demo's map lies, as GeoJSON. */
final class PlaceService {
    private static final JsonMapper JSON = new JsonMapper();
    private static final Object[][] PLACES = {{"Fellmark town hall", 21.352, 70.452}, {"Fellmark market", 21.349, 70.4515},
            {"Sledmaker's yard", 21.338, 70.449}, {"Northern lights hut", 21.371, 70.458}, {"Ferry to Outer Fell", 21.333, 70.446},
            {"Weather school", 21.356, 70.4545}, {"Tarn bakery", 21.344, 70.4535}, {"Lighthouse of the Sound", 21.389, 70.4442}};

    private PlaceService() {}

    /** Those whose names hold what was asked for. */
    static byte[] find(String asked) {
        ObjectNode root = JSON.createObjectNode().put("type", "FeatureCollection");
        ArrayNode features = root.putArray("features");
        String q = asked.strip().toLowerCase(Locale.ROOT);
        for (Object[] p : PLACES) {
            if (!q.isEmpty() && ((String) p[0]).toLowerCase(Locale.ROOT).contains(q)) {
                ObjectNode f = features.addObject().put("type", "Feature");
                f.putObject("properties").put("name", (String) p[0]).put("kind", "place");
                f.putObject("geometry").put("type", "Point").putArray("coordinates").add((Double) p[1]).add((Double) p[2]);
            }
        }
        return JSON.writeValueAsBytes(root);
    }
}
