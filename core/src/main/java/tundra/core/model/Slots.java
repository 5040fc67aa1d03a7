package tundra.core.model;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;

/** What stands in the slots of an event or an action, in the order of the sentence: ids as strings, times as longs. */
public record Slots(Map<Slot, Object> values) {
    public Slots {
        values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
    }

    /** The slots filled in turn. */
    public static Slots of(List<Slot> slots, Object... values) {
        if (values.length != slots.size()) {
            throw new IllegalArgumentException("as many values as slots");
        }
        var out = new LinkedHashMap<Slot, Object>();
        for (int i = 0; i < values.length; i++) {
            out.put(slots.get(i), values[i]);
        }
        return new Slots(out);
    }

    public Object get(Slot s) {
        return values.get(s);
    }

    /** What stands in the first slot of a type; null when there is none. */
    public Object first(Slot.Type type) {
        return values.entrySet().stream().filter(e -> e.getKey().type() == type).map(Map.Entry::getValue).findFirst().orElse(null);
    }

    public Slots with(Slot s, Object value) {
        var out = new LinkedHashMap<>(values);
        out.put(s, value);
        return new Slots(out);
    }

    /** Whether a slot of a type holds a value. */
    public boolean names(Slot.Type type, Object value) {
        return values.entrySet().stream().anyMatch(e -> e.getKey().type() == type && e.getValue().equals(value));
    }

    /** With every value of a type changed; null where one of them became null. */
    public Slots map(Slot.Type type, UnaryOperator<Object> change) {
        var out = new LinkedHashMap<Slot, Object>();
        for (var e : values.entrySet()) {
            Object v = e.getKey().type() == type ? change.apply(e.getValue()) : e.getValue();
            if (v == null) {
                return null;
            }
            out.put(e.getKey(), v);
        }
        return new Slots(out);
    }
}
