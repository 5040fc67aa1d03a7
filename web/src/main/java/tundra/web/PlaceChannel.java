package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.motion.Easing;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/** Where an element stands: its position, whole or in two halves. A bent path becomes straight pieces. */
final class PlaceChannel implements Channel {
    @Override
    public List<Property<?>> of() {
        return List.of(Properties.POSITION, Properties.POSITION_X, Properties.POSITION_Y);
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        Point at = e.rest(Properties.POSITION).minus(e.box().shift());
        if (e.lets()) {
            // a transform would part what it holds from what lies behind it
            css.put(e.box().outer(), "left", CssText.px(at.x()));
            css.put(e.box().outer(), "top", CssText.px(at.y()));
        } else {
            css.put(e.box().outer(), "translate", CssText.pair(at, 4, "px"));
        }
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        Track<Point> track = out.of(e, Properties.POSITION);
        Track<Double> x = out.of(e, Properties.POSITION_X), y = out.of(e, Properties.POSITION_Y);
        String target = e.box().outer();
        Point shift = e.box().shift();
        if (e.apart(Properties.POSITION, Properties.POSITION_X, Properties.POSITION_Y)) {
            parts(e, out);
        } else if (x != null || y != null) {
            Point rest = e.rest(Properties.POSITION);
            out.baked(target, "translate", t -> new double[] {
                (x == null ? rest.x() : x.at(t, Properties.POSITION_X.type()::lerp)) - shift.x(),
                (y == null ? rest.y() : y.at(t, Properties.POSITION_Y.type()::lerp)) - shift.y()
            }, Tracks.all(Tracks.times(x), Tracks.times(y)), Baker.WAY, PlaceChannel::between);
        } else if (track != null) {
            var path = new MotionPath(track);
            boolean bent = track.shape().whole() != null || Stream.iterate(0, i -> i + 1).limit(track.keys().size() - 1L).anyMatch(path::curved);
            if (bent) {
                out.baked(target, "translate", t -> {
                    Point p = path.at(t).minus(shift);
                    return new double[] {p.x(), p.y()};
                }, cuts(track, path), Baker.WAY, PlaceChannel::between);
            } else {
                out.eased(target, "translate", track, (a, b, p) -> CssText.pair(a.lerp(b, p).minus(shift), 4, "px"));
            }
        }
    }

    /** A place on the way from key to key: to a hundredth of a px, well within how near the straight pieces are. */
    private static String between(double[] v) {
        return CssText.pair(new Point(v[0], v[1]), 2, "px");
    }

    /** The parts of a place that are keyed here, where others are keyed elsewhere. */
    private static void parts(PageElement e, Tracks out) {
        String target = e.box().outer();
        Point shift = e.box().shift(), rest = e.rest(Properties.POSITION).minus(shift);
        out.mixes().rest(target, "place", rest.x(), rest.y(), null, null);
        Track<Point> track = out.of(e, Properties.POSITION);
        if (track != null) {
            var path = new MotionPath(track);
            for (int i = 0; i < 2; i++) {
                int axis = i;
                out.baked(target, Mixes.part("place", i), t -> {
                    Point p = path.at(t).minus(shift);
                    return new double[] {axis == 0 ? p.x() : p.y()};
                }, cuts(track, path), v -> Numbers.plain(v[0], 4));
            }
        }
        out.eased(target, Mixes.part("place", 2), out.of(e, Properties.POSITION_X), (a, b, p) -> Numbers.plain(a + (b - a) * p - shift.x(), 5));
        out.eased(target, Mixes.part("place", 3), out.of(e, Properties.POSITION_Y), (a, b, p) -> Numbers.plain(a + (b - a) * p - shift.y(), 5));
    }

    /** When the pieces of a path meet. */
    private static List<Double> cuts(Track<Point> track, MotionPath path) {
        Easing whole = track.shape().whole();
        return whole == null ? Tracks.times(track)
                : Tracks.all(Tracks.times(new Track<>(List.of(track.keys().getFirst().with(whole), track.keys().getLast().at(last(track))))),
                passes(track, path));
    }

    private static long last(Track<?> track) {
        return Math.max(track.keys().getLast().time(), track.keys().getFirst().time() + 1);
    }

    /** When a path with one easing passes its corners: by steps of a 480th of a second, near enough for the pieces to meet. */
    private static List<Double> passes(Track<Point> track, MotionPath path) {
        var out = new ArrayList<Double>();
        double from = track.keys().getFirst().time(), to = track.keys().getLast().time();
        for (double t = from; t < to; t += Baker.FRAME / 4) {
            out.add(t);
        }
        return path.length() == 0 ? List.of() : out;
    }
}
