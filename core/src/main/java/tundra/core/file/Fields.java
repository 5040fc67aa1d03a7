package tundra.core.file;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.geometry.Point;
import tundra.core.model.Limits;

/** Reads the fields of one JSON object, says where a wrong one stands, and keeps what nobody asked for. */
final class Fields {
    private final JsonNode node;
    private final String where;
    private final Set<String> asked = new HashSet<>();

    Fields(JsonNode node, String where) throws FileProblem {
        this.node = node;
        this.where = where;
        if (node == null || !node.isObject()) {
            throw new FileProblem(where + " should be an object");
        }
    }

    FileProblem problem(String field, String should) {
        return new FileProblem("“" + field + "” of " + where + " " + should);
    }

    private JsonNode there(JsonNode n, String field) throws FileProblem {
        if (n == null) {
            throw problem(field, "is missing");
        }
        return n;
    }

    boolean has(String field) {
        return node.has(field);
    }

    JsonNode raw(String field) {
        asked.add(field);
        return node.get(field);
    }

    String text(String field) throws FileProblem {
        JsonNode n = there(raw(field), field);
        if (!n.isString() || n.stringValue().length() > Limits.TEXT_CHARS) {
            throw problem(field, "should be a text of at most " + Limits.TEXT_CHARS + " characters");
        }
        return n.stringValue();
    }

    boolean flag(String field) throws FileProblem {
        JsonNode n = raw(field);
        if (n != null && !n.isBoolean()) {
            throw problem(field, "should be true or false");
        }
        return n != null && n.booleanValue();
    }

    double number(String field, double min, double max) throws FileProblem {
        return number(raw(field), field, min, max);
    }

    private double number(JsonNode n, String field, double min, double max) throws FileProblem {
        if (!there(n, field).isNumber() || !(n.doubleValue() >= min && n.doubleValue() <= max)) {
            throw problem(field, "should be a number from " + min + " to " + max);
        }
        return n.doubleValue();
    }

    long whole(String field, long min, long max) throws FileProblem {
        JsonNode n = there(raw(field), field);
        if (!n.isIntegralNumber() || !n.canConvertToLong() || n.longValue() < min || n.longValue() > max) {
            throw problem(field, "should be a whole number from " + min + " to " + max);
        }
        return n.longValue();
    }

    double[] numbers(String field, int count, double min, double max) throws FileProblem {
        return numbers(raw(field), field, count, min, max);
    }

    double[] numbers(JsonNode n, String field, int count, double min, double max) throws FileProblem {
        if (!there(n, field).isArray() || n.size() != count) {
            throw problem(field, "should be a list of " + count + " numbers");
        }
        double[] out = new double[count];
        for (int i = 0; i < count; i++) {
            out[i] = number(n.get(i), field, min, max);
        }
        return out;
    }

    Point pair(String field, double min, double max) throws FileProblem {
        double[] v = numbers(field, 2, min, max);
        return new Point(v[0], v[1]);
    }

    List<JsonNode> list(String field) throws FileProblem {
        JsonNode n = there(raw(field), field);
        if (!n.isArray()) {
            throw problem(field, "should be a list");
        }
        return new ArrayList<>(n.values());
    }

    Fields object(String field) throws FileProblem {
        return new Fields(there(raw(field), field), "“" + field + "” of " + where);
    }

    /** The names of the fields that are there. */
    List<String> names() {
        return List.copyOf(node.propertyNames());
    }

    String where() {
        return where;
    }

    /** Stores what nobody asked for, as JSON text, under a place. */
    void keepUnknown(String place, Map<String, String> unknown) {
        ObjectNode rest = Json.MAPPER.createObjectNode();
        for (var e : node.properties()) {
            if (!asked.contains(e.getKey())) {
                rest.set(e.getKey(), e.getValue());
            }
        }
        if (!rest.isEmpty()) {
            unknown.put(place, rest.toString());
        }
    }
}
