package tundra.core.model;

import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;

/**
 * What stands in the slots of an event or an action, in the order of the sentence: ids and texts as strings, lists of ids, times as longs, numbers as
 * doubles.
 */
public record Slots(Map<Slot, Object> values) {
    /** What stands in slots of these types is the id of something else. */
    private static final Set<Slot.Type> NAMING = EnumSet.of(Slot.Type.ELEMENT, Slot.Type.ELEMENTS, Slot.Type.PLAYER, Slot.Type.TIMELINE,
            Slot.Type.MARKER, Slot.Type.MOTIF_MARKER,
            Slot.Type.LAYOUT, Slot.Type.SCENE, Slot.Type.VALUE, Slot.Type.SCRIPT, Slot.Type.SOUND,
            Slot.Type.PICTURE, Slot.Type.VIDEO, Slot.Type.FILE);

    public Slots {
        values = Collections.unmodifiableMap(new LinkedHashMap<>(values));
    }

    /** The slots filled in turn; those that are left over with what stands in them at first. */
    public static Slots of(List<Slot> slots, Object... values) {
        if (values.length > slots.size() || slots.subList(values.length, slots.size()).stream().anyMatch(s -> s.standard() == null)) {
            throw new IllegalArgumentException("as many values as slots");
        }
        var out = new LinkedHashMap<Slot, Object>();
        for (int i = 0; i < slots.size(); i++) {
            out.put(slots.get(i), i < values.length ? values[i] : slots.get(i).standard());
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

    /** Whether any slot that names something names this. */
    public boolean names(String id) {
        return values.values().stream().anyMatch(v -> v.equals(id) || v instanceof List<?> l && l.contains(id));
    }

    /** With the ids in slots of some types changed, like {@link #mapIds(BiFunction)}. */
    public Slots mapIds(Set<Slot.Type> types, UnaryOperator<String> change) {
        return mapIds((slot, id) -> types.contains(slot.type()) ? change.apply(id) : id);
    }

    /**
     * With the ids in all slots that name something changed; those that become null are left out of lists. Null where nothing is left in a
     * slot. {@link Slot#EVERYTHING} and {@link Slot#INSTANCE} stay, and so does {@link Slot#DRAWN}.
     */
    public Slots mapIds(BiFunction<Slot, String, String> change) {
        var out = new LinkedHashMap<Slot, Object>();
        for (var e : values.entrySet()) {
            Object v = e.getValue();
            Slot slot = e.getKey();
            if (NAMING.contains(slot.type())) {
                v = v instanceof List<?> l ? l.stream().map(x -> mapped(slot, (String) x, change)).filter(Objects::nonNull).distinct().toList()
                        : mapped(slot, (String) v, change);
            }
            if (v == null || v.equals(List.of())) {
                return null;
            }
            out.put(e.getKey(), v);
        }
        return new Slots(out);
    }

    private static String mapped(Slot slot, String id, BiFunction<Slot, String, String> change) {
        return id.equals(Slot.EVERYTHING) || id.equals(Slot.INSTANCE) || slot.type() == Slot.Type.LAYOUT && id.equals(Slot.DRAWN) ? id
                : change.apply(slot, id);
    }

    /** With ids changed where there are any; where nothing stands any more the slot is empty. */
    public Slots mapSettings(BiFunction<Slot, String, String> change) {
        var out = new LinkedHashMap<>(values);
        out.replaceAll((slot, v) -> slot.type() == Slot.Type.CAPTIONS ? captions((Map<?, ?>) v, id -> change.apply(slot, id))
                : !NAMING.contains(slot.type()) || v.equals("") ? v : Objects.requireNonNullElse(mapped(slot, (String) v, change), ""));
        return out.equals(values) ? this : new Slots(out);
    }

    private static Map<String, String> captions(Map<?, ?> all, UnaryOperator<String> change) {
        var out = new LinkedHashMap<String, String>();
        all.forEach((id, words) -> {
            String to = change.apply((String) id);
            if (to != null) {
                out.put(to, (String) words);
            }
        });
        return out;
    }

    /** Without an id in lists; null where it stands alone. */
    public Slots without(String id) {
        var out = new LinkedHashMap<>(values);
        out.replaceAll((s, v) -> v instanceof List<?> l ? l.stream().filter(x -> !x.equals(id)).toList() : v);
        return out.values().stream().anyMatch(v -> v.equals(id) || v.equals(List.of())) ? null : new Slots(out);
    }
}
