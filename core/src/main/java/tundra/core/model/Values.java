package tundra.core.model;

import java.util.Arrays;
import java.util.Objects;

/** Resting values: an immutable map from property to value. What is not set has the property's standard value. */
public final class Values {
    public static final Values NONE = new Values(new Object[0]);
    private final Object[] slots;

    private Values(Object[] slots) {
        this.slots = slots;
    }

    public <T> T get(Property<T> p) {
        Object v = p.index() < slots.length ? slots[p.index()] : null;
        return v == null ? p.standard() : p.cast(v);
    }

    public boolean has(Property<?> p) {
        return p.index() < slots.length && slots[p.index()] != null;
    }

    public <T> Values with(Property<T> p, T value) {
        Object[] next = Arrays.copyOf(slots, Math.max(slots.length, p.index() + 1));
        next[p.index()] = p.clamped(value);
        return new Values(next);
    }

    /** With a value if it isn't there already. */
    <T> Values keeping(Property<T> p, T value) {
        T v = p.clamped(value);
        return has(p) && get(p).equals(v) ? this : with(p, v);
    }

    /** With the standard value of a property. */
    public Values without(Property<?> p) {
        if (!has(p)) {
            return this;
        }
        Object[] next = slots.clone();
        next[p.index()] = null;
        return new Values(next);
    }

    /** These values with the first {@code n} of others laid over them; the values are clamped. */
    public Values overlay(Property<?>[] properties, Object[] values, int n) {
        Object[] next = Arrays.copyOf(slots, Math.max(slots.length, Properties.ALL.size()));
        for (int i = 0; i < n; i++) {
            next[properties[i].index()] = clamped(properties[i], values[i]);
        }
        return new Values(next);
    }

    private static <T> T clamped(Property<T> p, Object value) {
        return p.clamped(p.cast(value));
    }

    @Override
    public boolean equals(Object o) {
        return this == o || o instanceof Values v && same(v);
    }

    private boolean same(Values v) {
        for (int i = 0; i < Math.max(slots.length, v.slots.length); i++) {
            if (!Objects.equals(slot(i), v.slot(i))) {
                return false;
            }
        }
        return true;
    }

    private Object slot(int i) {
        return i < slots.length ? slots[i] : null;
    }

    @Override
    public int hashCode() {
        int h = 1;
        for (int i = 0; i < Properties.ALL.size(); i++) {
            h = 31 * h + Objects.hashCode(slot(i));
        }
        return h;
    }

    @Override
    public String toString() {
        var s = new StringBuilder("{");
        Properties.ALL.stream().filter(this::has).forEach(p -> s.append(p).append('=').append(slots[p.index()]).append(' '));
        return s.append('}').toString();
    }
}
