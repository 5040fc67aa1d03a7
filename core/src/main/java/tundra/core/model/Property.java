package tundra.core.model;

import java.util.List;
import java.util.function.Predicate;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Outline;
import tundra.core.motion.Track;

/**
 * One animatable property. The instances stand in {@link Properties}, the only table of them.
 *
 * @param index its place in the table
 * @param key its name in the file and in scripts
 * @param label its name in the interface
 * @param unit what the shown number counts, such as px, ° or %
 * @param shown how many shown units make one stored unit (100 for a fraction shown in %)
 * @param parts the labels of its numbers, in the order of the value type
 * @param min the least stored number
 * @param max the greatest stored number
 * @param owners which have it
 */
public record Property<T>(int index, String key, String label, ValueType<T> type, String unit, double shown, List<String> parts,
        double min, double max, T standard, Predicate<Owner> owners) {

    /** Whether such an owner has it. */
    public boolean appliesTo(Owner owner) {
        return owners.test(owner);
    }

    /** The value with every number brought into the range; not-a-number becomes the standard's. */
    public T clamped(T value) {
        if (value instanceof Paint || value instanceof Outline) {
            return value;
        }
        double[] v = type.parts(value), d = type.parts(standard);
        for (int i = 0; i < v.length; i++) {
            v[i] = Double.isFinite(v[i]) ? Numbers.clamp(v[i], min, max) : d[i];
        }
        return type.of(v);
    }

    /** How far its stored number can go from one value to another, or from none. */
    public double furthest() {
        return Math.max(max - min, Math.max(Math.abs(min), Math.abs(max)));
    }

    @SuppressWarnings("unchecked")
    public Track<T> castTrack(Track<?> track) {
        return (Track<T>) track;
    }

    @SuppressWarnings("unchecked")
    public T cast(Object value) {
        return (T) value;
    }

    @Override
    public boolean equals(Object o) {
        return this == o;
    }

    @Override
    public int hashCode() {
        return index;
    }

    @Override
    public String toString() {
        return key;
    }
}
