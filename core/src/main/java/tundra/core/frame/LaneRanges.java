package tundra.core.frame;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.DoubleFunction;
import tundra.core.motion.Track;

/** The least and the greatest values of tracks, so that a lane stands the same whatever part of it is in view; each is worked out once. */
public final class LaneRanges {
    private static final int KEPT = 1000, PROBES = 200;

    /** @param min the least of each part */
    record Range(double[] min, double[] max) {}

    /** A track by its instance. */
    private record Same(Track<?> track) {
        @Override
        public boolean equals(Object o) {
            return o instanceof Same s && s.track == track;
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(track);
        }
    }

    private final Map<Same, Range> known = new LinkedHashMap<>(64, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Same, Range> eldest) {
            return size() > KEPT;
        }
    };

    /** @param sample the values of the parts at a time in µs */
    Range of(Track<?> track, int parts, DoubleFunction<double[]> sample) {
        return known.computeIfAbsent(new Same(track), k -> probed(track, parts, sample));
    }

    private static Range probed(Track<?> track, int parts, DoubleFunction<double[]> sample) {
        double[] min = new double[parts], max = new double[parts];
        Arrays.fill(min, Double.POSITIVE_INFINITY);
        Arrays.fill(max, Double.NEGATIVE_INFINITY);
        long first = track.keys().getFirst().time(), last = track.keys().getLast().time();
        int probes = track.keys().size() == 1 ? 1 : PROBES;
        for (int i = 0; i < probes; i++) {
            double[] v = sample.apply(first + (last - first) * (i / Math.max(1.0, probes - 1)));
            for (int k = 0; k < parts; k++) {
                min[k] = Math.min(min[k], v[k]);
                max[k] = Math.max(max[k], v[k]);
            }
        }
        return new Range(min, max);
    }
}
