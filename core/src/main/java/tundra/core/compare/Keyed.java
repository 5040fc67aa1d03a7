package tundra.core.compare;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Arrays whose entries are known by something that is theirs: an id, the hash of a file, the time of a key. */
final class Keyed {
    private static final List<String> NAMES = List.of("id", "hash", "at");

    private Keyed() {}

    /** The entries by what they are known by, in their order; null where an array is one value, such as a point. */
    static Map<String, JsonNode> of(JsonNode array) {
        for (String name : NAMES) {
            var out = new LinkedHashMap<String, JsonNode>();
            boolean all = array.isArray();
            for (JsonNode x : array) {
                // the stops of a gradient have places too, and mean something together only
                all &= x.isObject() && x.has(name) && !x.has("color") && x.get(name).isValueNode() && out.put(x.get(name).asString(), x) == null;
            }
            if (all) {
                return out;
            }
        }
        return null;
    }
}
