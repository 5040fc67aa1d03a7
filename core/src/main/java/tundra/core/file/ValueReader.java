package tundra.core.file;

import java.util.ArrayList;
import java.util.Locale;
import tools.jackson.databind.JsonNode;
import tundra.core.model.Color;
import tundra.core.model.Gradient;
import tundra.core.model.Limits;
import tundra.core.model.Owner;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.ValueType;
import tundra.core.model.Values;

/** Reads property values, each within its property's range. */
final class ValueReader {
    private ValueReader() {}

    /** The properties that such an owner has, of an object. */
    static Values values(Fields f, Owner owner) throws FileProblem {
        Values v = Values.NONE;
        for (Property<?> p : Properties.of(owner)) {
            if (f.has(p.key())) {
                v = with(v, p, f.raw(p.key()), f);
            }
        }
        return v;
    }

    /** What a layout changes of an owner: also a path's outline. */
    static Values overrides(Fields f, Owner owner) throws FileProblem {
        Values v = values(f, owner);
        return f.has(Properties.OUTLINE.key()) && Properties.OUTLINE.appliesTo(owner) ? with(v, Properties.OUTLINE, f.raw(Properties.OUTLINE.key()),
                f) : v;
    }

    private static <T> Values with(Values v, Property<T> p, JsonNode n, Fields f) throws FileProblem {
        return v.with(p, value(p, n, f, p.key()));
    }

    static Color color(JsonNode n, Fields f, String field) throws FileProblem {
        try {
            if (n != null && n.isString()) {
                return Color.parse(n.stringValue());
            }
        } catch (IllegalArgumentException e) {
            throw f.problem(field, "should be a colour such as #1C6A5E");
        }
        throw f.problem(field, "should be a colour such as #1C6A5E");
    }

    private static Paint paint(JsonNode n, Fields f, String field) throws FileProblem {
        if (n == null || !n.isObject()) {
            return color(n, f, field);
        }
        var g = new Fields(n, "“" + field + "” of " + f.where());
        var stops = new ArrayList<Gradient.Stop>();
        for (JsonNode s : g.list("stops")) {
            var stop = new Fields(s, "a stop of " + g.where());
            stops.add(new Gradient.Stop(stop.number("at", 0, 1), color(stop.raw("color"), stop, "color")));
        }
        if (stops.isEmpty() || stops.size() > Gradient.MAX_STOPS) {
            throw g.problem("stops", "should hold 1 to " + Gradient.MAX_STOPS + " stops");
        }
        return new Gradient(word(Gradient.Kind.class, g, "gradient"), g.pair("start", -Limits.LENGTH, Limits.LENGTH),
                g.pair("end", -Limits.LENGTH, Limits.LENGTH), g.pair("side", -Limits.LENGTH, Limits.LENGTH), g.pair("focus", -1, 1),
                word(Gradient.Spread.class, g, "spread"), stops);
    }

    static <E extends Enum<E>> E word(Class<E> type, Fields f, String field) throws FileProblem {
        String word = f.text(field);
        for (E e : type.getEnumConstants()) {
            if (e.name().toLowerCase(Locale.ROOT).equals(word)) {
                return e;
            }
        }
        throw f.problem(field, "is a word that Tundra doesn't know (" + word + ")");
    }

    static <T> T value(Property<T> p, JsonNode n, Fields f, String field) throws FileProblem {
        if (p.type() instanceof ValueType.ColorType) {
            return p.cast(color(n, f, field));
        }
        if (p.type() instanceof ValueType.PaintType) {
            return p.cast(paint(n, f, field));
        }
        if (p.type() instanceof ValueType.ChoiceType c) {
            if (n == null || !n.isString() || !c.options().contains(n.stringValue())) {
                throw f.problem(field, "should be one of " + String.join(", ", c.options()));
            }
            return p.cast(n.stringValue());
        }
        if (p.type() instanceof ValueType.OutlineType) {
            return p.cast(OutlineReader.read(n, f, field));
        }
        return numbers(p, n, f, field, p.min(), p.max());
    }

    /** By how much a property changes: as far as it goes, to either side. */
    static <T> T change(Property<T> p, JsonNode n, Fields f, String field) throws FileProblem {
        if (p.type() instanceof ValueType.ColorType || p.type() instanceof ValueType.PaintType || p.type() instanceof ValueType.ChoiceType
                || p.type() instanceof ValueType.OutlineType) {
            return value(p, n, f, field);
        }
        return numbers(p, n, f, field, -p.furthest(), p.furthest());
    }

    private static <T> T numbers(Property<T> p, JsonNode n, Fields f, String field, double min, double max) throws FileProblem {
        int count = p.parts().size();
        double[] parts = count == 1
                ? f.numbers(Json.MAPPER.createArrayNode().add(n == null ? Json.MAPPER.nullNode() : n), field, 1, min, max)
                : f.numbers(n, field, count, min, max);
        return p.type().of(parts);
    }
}
