package tundra.web;

import java.util.List;
import java.util.function.DoubleFunction;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/** How an element is turned: by its rotation, and by its way where it faces it. */
final class TurnChannel implements Channel {
    /** Weighs a degree against a pixel, so that baked turns keep within a thousandth of a degree. */
    private static final double TURN = 20;

    @Override
    public List<Property<?>> of() {
        return List.of(Properties.ROTATION, Properties.FACE_PATH, Properties.FRONT, Properties.POSITION);
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        if (e.rest(Properties.ROTATION) != 0) {
            css.put(e.box().outer(), "rotate", CssText.deg(e.rest(Properties.ROTATION)));
        }
    }

    private static boolean faces(PageElement e) {
        return e.rest(Properties.FACE_PATH).equals("yes");
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        Track<Double> own = out.of(e, Properties.ROTATION);
        Track<Point> places = out.of(e, Properties.POSITION);
        Track<String> faces = out.of(e, Properties.FACE_PATH);
        Track<Double> fronts = out.of(e, Properties.FRONT);
        String target = e.box().outer();
        if ((e.keyed(Properties.FACE_PATH) || faces(e)) && e.keyed(Properties.POSITION)
                && e.apart(Properties.ROTATION, Properties.POSITION, Properties.FACE_PATH, Properties.FRONT)) {
            parts(e, out);
            return;
        }
        if (places == null || faces == null && !faces(e)) {
            out.eased(target, "rotate", own, (a, b, p) -> CssText.deg(a + (b - a) * p));
            return;
        }
        var path = new MotionPath(places);
        DoubleFunction<double[]> turn = t -> {
            double r = own == null ? e.rest(Properties.ROTATION) : own.at(t, Properties.ROTATION.type()::lerp);
            boolean on = faces == null || faces.at(t, Properties.FACE_PATH.type()::lerp).equals("yes");
            double front = fronts == null ? e.rest(Properties.FRONT) : fronts.at(t, Properties.FRONT.type()::lerp);
            return new double[] {(on ? r + path.direction(t) - front : r) * TURN};
        };
        out.baked(target, "rotate", turn, Tracks.all(Tracks.times(own), Tracks.times(places), Tracks.times(faces), Tracks.times(fronts)),
                v -> CssText.deg(v[0] / TURN));
    }

    /** The parts of a turn that are keyed here, where others are keyed elsewhere. */
    private static void parts(PageElement e, Tracks out) {
        String target = e.box().outer();
        out.mixes().rest(target, "turn", e.rest(Properties.ROTATION), faces(e) ? 1 : 0, null, e.rest(Properties.FRONT));
        out.number(target, Mixes.part("turn", 0), out.of(e, Properties.ROTATION));
        out.held(target, Mixes.part("turn", 1), out.of(e, Properties.FACE_PATH), v -> v.equals("yes") ? "1" : "0");
        Track<Point> places = out.of(e, Properties.POSITION);
        if (places != null) {
            var path = new MotionPath(places);
            out.baked(target, Mixes.part("turn", 2), t -> new double[] {path.direction(t) * TURN}, Tracks.times(places),
                    v -> Numbers.plain(v[0] / TURN, 5));
        }
        out.number(target, Mixes.part("turn", 3), out.of(e, Properties.FRONT));
    }
}
