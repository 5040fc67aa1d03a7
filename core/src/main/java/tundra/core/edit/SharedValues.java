package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import tundra.core.model.Property;
import tundra.core.model.Values;

/** What several owners have in common: of each property the first one's value, and which of its numbers are not the same of all. */
public final class SharedValues {
    /** Numbers that are less than this apart are the same. */
    private static final double SAME = 1e-9;
    private final Map<Property<?>, Shared<?>> shared = new IdentityHashMap<>();

    private SharedValues() {}

    /** One property of the owners. */
    private static final class Shared<T> {
        final Property<T> property;
        final T first;
        final boolean[] mixed;
        boolean differs;

        Shared(Property<T> property, Values v) {
            this.property = property;
            first = v.get(property);
            mixed = new boolean[property.parts().size()];
        }

        /** Looks at another owner's; says whether what the next ones have can still matter. */
        boolean meets(Values v) {
            T value = v.get(property);
            if (value == first || value.equals(first)) {
                return true;
            }
            differs = true;
            boolean open = false;
            double[] a = mixed.length == 0 ? new double[0] : property.type().parts(first), b = mixed.length == 0 ? a : property.type().parts(value);
            for (int i = 0; i < mixed.length; i++) {
                mixed[i] |= Math.abs(a[i] - b[i]) > SAME;
                open |= !mixed[i];
            }
            return open;
        }
    }

    /**
     * Asks each owner once for all of its values.
     *
     * @param owners at least one
     * @param values the values of an owner
     */
    public static SharedValues of(Collection<Property<?>> properties, List<String> owners, Function<String, Values> values) {
        var out = new SharedValues();
        var open = new ArrayList<Shared<?>>();
        Values first = values.apply(owners.getFirst());
        for (Property<?> p : properties) {
            Shared<?> s = new Shared<>(p, first);
            out.shared.put(p, s);
            open.add(s);
        }
        for (String id : owners.subList(1, owners.size())) {
            if (open.isEmpty()) {
                break;
            }
            Values v = values.apply(id);
            if (v != first) {
                open.removeIf(s -> !s.meets(v));
            }
        }
        return out;
    }

    /** The value that the first of them has. */
    public <T> T first(Property<T> p) {
        return p.cast(shared.get(p).first);
    }

    /** Whether another one has another value. */
    public boolean mixed(Property<?> p) {
        return shared.get(p).differs;
    }

    /** Whether another one differs in one of a property's numbers. */
    public boolean mixed(Property<?> p, int part) {
        return shared.get(p).mixed[part];
    }
}
