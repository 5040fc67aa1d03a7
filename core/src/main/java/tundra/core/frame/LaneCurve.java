package tundra.core.frame;

import tundra.core.geometry.Point;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/** A property's value along time as numbers, for drawing it: one run of samples for each of its parts. */
public record LaneCurve(double[][] parts, double[] min, double[] max) {
    /**
     * Samples {@code count} values from time {@code from}, one each {@code step} µs. The range is that of the whole track.
     *
     * @param walked the element's motion path as {@link FrameBuilder#path} keeps it, which saves measuring it anew
     * @param ranges of tracks that were drawn before
     */
    public static <T> LaneCurve of(Timeline timeline, String element, Property<T> p, MotionPath walked, LaneRanges ranges, double from, double step,
            int count) {
        Track<T> track = timeline.track(element, p);
        MotionPath path = p == Properties.POSITION ? walked : null;
        Track.Blend<T> blend = p.type().blending();
        int n = p.parts().size();
        double[][] parts = new double[n][count];
        for (int i = 0; i < count; i++) {
            double[] v = sample(track, path, p, blend, Math.max(0, Math.min(timeline.duration(), from + i * step)));
            for (int k = 0; k < n; k++) {
                parts[k][i] = v[k];
            }
        }
        LaneRanges.Range range = ranges.of(track, n, time -> sample(track, path, p, blend, time));
        return new LaneCurve(parts, range.min(), range.max());
    }

    private static <T> double[] sample(Track<T> track, MotionPath path, Property<T> p, Track.Blend<T> blend, double time) {
        if (path != null) {
            Point at = path.at(time);
            return new double[] {at.x(), at.y()};
        }
        return p.type().parts(p.clamped(track.at(time, blend)));
    }

    /** A value of a part as a height: 0 at the least, 1 at the greatest, 0.5 when it never changes. */
    public double height(int part, double value) {
        double span = max[part] - min[part];
        return span < 1e-9 ? 0.5 : (value - min[part]) / span;
    }
}
