package tundra.core.frame;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import tundra.core.geometry.Point;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/** A property's value along time as numbers, for drawing it: one run of samples for each of its parts. */
public record LaneCurve(double[][] parts, double[] min, double[] max) {
    private static final int KEPT = 1000;
    private static final Map<Same, double[][]> RANGES = Collections.synchronizedMap(new LinkedHashMap<>(64, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Same, double[][]> eldest) {
            return size() > KEPT;
        }
    });

    /**
     * Samples {@code count} values from time {@code from}, one each {@code step} µs. The range is that of the whole track.
     *
     * @param walked the element's motion path as {@link FrameBuilder#path} keeps it, which saves measuring it anew
     */
    public static <T> LaneCurve of(Timeline timeline, String element, Property<T> p, MotionPath walked, double from, double step, int count) {
        Track<T> track = timeline.track(element, p);
        MotionPath path = p == Properties.POSITION ? walked : null;
        int n = p.parts().size();
        double[][] parts = new double[n][count];
        for (int i = 0; i < count; i++) {
            double[] v = sample(track, path, p, Math.max(0, Math.min(timeline.duration(), from + i * step)));
            for (int k = 0; k < n; k++) {
                parts[k][i] = v[k];
            }
        }
        double[][] range = range(track, path, p);
        return new LaneCurve(parts, range[0], range[1]);
    }

    /** The least and the greatest of each part over the whole track, so that it does not depend on what is in view. */
    private static <T> double[][] range(Track<T> track, MotionPath path, Property<T> p) {
        double[][] known = RANGES.get(new Same(track));
        if (known != null) {
            return known;
        }
        int n = p.parts().size();
        double[] min = new double[n], max = new double[n];
        Arrays.fill(min, Double.POSITIVE_INFINITY);
        Arrays.fill(max, Double.NEGATIVE_INFINITY);
        long first = track.keys().getFirst().time(), last = track.keys().getLast().time();
        int probes = track.keys().size() == 1 ? 1 : 200;
        for (int i = 0; i < probes; i++) {
            double[] v = sample(track, path, p, first + (last - first) * (i / Math.max(1.0, probes - 1)));
            for (int k = 0; k < n; k++) {
                min[k] = Math.min(min[k], v[k]);
                max[k] = Math.max(max[k], v[k]);
            }
        }
        double[][] range = {min, max};
        RANGES.put(new Same(track), range);
        return range;
    }

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

    private static <T> double[] sample(Track<T> track, MotionPath path, Property<T> p, double time) {
        if (path != null) {
            Point at = path.at(time);
            return new double[] {at.x(), at.y()};
        }
        return p.type().parts(p.clamped(track.at(time, p.type()::lerp)));
    }

    /** A value of a part as a height: 0 at the least, 1 at the greatest, 0.5 when it never changes. */
    public double height(int part, double value) {
        double span = max[part] - min[part];
        return span < 1e-9 ? 0.5 : (value - min[part]) / span;
    }
}
