package tundra.core.file;

import tools.jackson.databind.JsonNode;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.ValueType;
import tundra.core.model.Values;

/** Reads property values, each within its property's range. */
final class ValueReader {
    private ValueReader() {}

    /** The known properties of an object; {@code content} null reads the canvas. */
    static Values values(Fields f, Content content) throws FileProblem {
        Values v = Values.NONE;
        for (Property<?> p : Properties.of(content)) {
            if (f.has(p.key())) {
                v = with(v, p, f.raw(p.key()), f);
            }
        }
        return v;
    }

    private static <T> Values with(Values v, Property<T> p, JsonNode n, Fields f) throws FileProblem {
        return v.with(p, value(p, n, f, p.key()));
    }

    static <T> T value(Property<T> p, JsonNode n, Fields f, String field) throws FileProblem {
        if (p.type() instanceof ValueType.ColorType) {
            try {
                if (n != null && n.isString()) {
                    return p.cast(Color.parse(n.stringValue()));
                }
            } catch (IllegalArgumentException e) {
                throw f.problem(field, "should be a colour such as #1C6A5E");
            }
            throw f.problem(field, "should be a colour such as #1C6A5E");
        }
        int count = p.parts().size();
        double[] parts = count == 1
                ? f.numbers(Json.MAPPER.createArrayNode().add(n == null ? Json.MAPPER.nullNode() : n), field, 1, p.min(), p.max())
                : f.numbers(n, field, count, p.min(), p.max());
        return p.type().of(parts);
    }
}
