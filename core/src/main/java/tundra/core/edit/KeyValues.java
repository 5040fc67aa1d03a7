package tundra.core.edit;

import java.util.Collection;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Outline;
import tundra.core.model.Board;
import tundra.core.model.Paint;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.CubicEasing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Changes of keys' numbers as a curve editor makes them. */
public final class KeyValues {
    private KeyValues() {}

    /**
     * Raises one number of a key, and of the chosen keys of the same track with it.
     *
     * @param part which of the value's numbers
     * @param whole whether shown numbers come to one decimal
     */
    public static Board shift(Board board, String timeline, Collection<Keys.Ref> refs, Keys.Ref held, int part, double by, boolean whole) {
        return board.mapTimeline(timeline, t -> shift(t, refs, held, held.property(), part, by, whole));
    }

    private static <T> Timeline shift(Timeline t, Collection<Keys.Ref> refs, Keys.Ref held, Property<T> p, int part, double by, boolean whole) {
        return t.mapKeys(held.element(), p, k -> {
            boolean mine = k.time() == held.time() || refs.contains(new Keys.Ref(held.element(), p, k.time()));
            if (!mine || numberless(p)) {
                return k;
            }
            double[] v = p.type().parts(k.value());
            v[part] = whole ? Numbers.round((v[part] + by) * p.shown(), 1) / p.shown() : v[part] + by;
            return k.with(p.clamped(p.type().of(v)));
        });
    }

    /** Outlines, paints and words have no number of their own to raise. */
    private static boolean numberless(Property<?> p) {
        return p.standard() instanceof Outline || p.standard() instanceof Paint || p.standard() instanceof String;
    }

    /**
     * Pulls a handle of the easing that leads from a key on to a time and a value; an easing of another kind becomes a cubic one.
     *
     * @param second whether it is the handle at the next key
     */
    public static Board pull(Board board, String timeline, Keys.Ref ref, int part, boolean second, double time, double value) {
        return board.mapTimeline(timeline, t -> pull(t, ref, ref.property(), part, second, time, value));
    }

    private static <T> Timeline pull(Timeline t, Keys.Ref ref, Property<T> p, int part, boolean second, double time, double value) {
        Track<T> track = t.track(ref.element(), p);
        int i = track == null ? -1 : track.before(ref.time());
        if (i < 0 || i + 1 >= track.keys().size()) {
            return t;
        }
        Key<T> a = track.keys().get(i), b = track.keys().get(i + 1);
        double from = p.type().parts(a.value())[part], rise = p.type().parts(b.value())[part] - from;
        if (rise == 0) {
            return t;
        }
        double x = Numbers.round(Numbers.clamp((time - a.time()) / (b.time() - a.time()), 0, 1), 3);
        double y = Numbers.round(Numbers.clamp((value - from) / rise, -4, 5), 3);
        CubicEasing c = a.easing() instanceof CubicEasing e ? e : new CubicEasing(1 / 3.0, 1 / 3.0, 2 / 3.0, 2 / 3.0);
        CubicEasing next = second ? new CubicEasing(c.x1(), c.y1(), x, y) : new CubicEasing(x, y, c.x2(), c.y2());
        return t.with(ref.element(), p, track.with(a.with(next)));
    }
}
