package tundra.core.model;

import java.util.EnumMap;
import java.util.Map;

/**
 * The numbers from which the instances of a scatter were placed: for each channel a range and a seed, so that each can be rolled again alone.
 *
 * @param count of instances, 1 to 10,000
 */
public record Scatter(int count, Map<Channel, Range> ranges) {
    public static final int MOST = 10_000;

    /** What is drawn by lot, and in which unit: px in the scatter's box, factors, degrees, shares of the motif's length, opacity. */
    public enum Channel {
        X("x"), Y("y"), SCALE("Scale"), ROTATION("Rotation"), PHASE("Phase"), OPACITY("Opacity");

        public final String label;

        Channel(String label) {
            this.label = label;
        }
    }

    /** From one number to another, by a seed. */
    public record Range(double from, double to, long seed) {
        /** The number of an instance, by its place; the same whatever the others are. */
        public double at(int i) {
            return from + (to - from) * fraction(seed, i);
        }

        /** Another lot for a channel; channels that began with neighbouring seeds never come to the same one by being rolled. */
        public Range rolled(Channel c) {
            return withSeed(Math.floorMod(seed * 7919 + 104_729L * (c.ordinal() + 1), 1_000_000));
        }

        public Range withSeed(long s) {
            return new Range(from, to, s);
        }

        /** Even over 0 to 1: the finalizer of SplitMix64 (Steele, Lea, Flood 2014) over seed and place. */
        private static double fraction(long seed, int i) {
            long z = seed * 0x9E3779B97F4A7C15L + (i + 1) * 0xD1B54A32D192ED03L;
            z = (z ^ z >>> 30) * 0xBF58476D1CE4E5B9L;
            z = (z ^ z >>> 27) * 0x94D049BB133111EBL;
            return ((z ^ z >>> 31) >>> 11) * 0x1.0p-53;
        }
    }

    public Scatter {
        count = Math.max(1, Math.min(MOST, count));
        ranges = Map.copyOf(new EnumMap<>(ranges));
    }

    public Range range(Channel c) {
        return ranges.get(c);
    }

    public Scatter withCount(int n) {
        return new Scatter(n, ranges);
    }

    public Scatter with(Channel c, Range r) {
        var next = new EnumMap<>(ranges);
        next.put(c, r);
        return new Scatter(count, next);
    }
}
