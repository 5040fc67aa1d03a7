package tundra.web;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Gradient;
import tundra.core.model.GradientBlend;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** A gradient that blends between two keys, as changes of its SVG attributes. */
final class GradientChannels {
    private GradientChannels() {}

    /**
     * @param id of the gradient; its stops are numbered after it
     * @param box that the gradient lies in; null where the player stretches it with the element's size
     */
    static void blend(Tracks to, String id, Key<Paint> a, Key<Paint> b, GradientBlend.Pair pair, Point box) {
        Point in = box == null ? new Point(1, 1) : box;
        var track = new Track<>(List.of(new Key<>(a.time(), pair.from(), a.easing()), new Key<>(b.time(), pair.to(), b.easing())));
        to.eased(id, box == null ? Mixes.part("map", 0) : "@gradientTransform", track, (x, y, p) -> matrix(x.toBox(in), y.toBox(in), p));
        if (pair.from().kind() == Gradient.Kind.RADIAL && !pair.from().focus().equals(pair.to().focus())) {
            to.eased(id, "@fx", track, (x, y, p) -> Numbers.plain(x.focus().lerp(y.focus(), p).x(), 5));
            to.eased(id, "@fy", track, (x, y, p) -> Numbers.plain(x.focus().lerp(y.focus(), p).y(), 5));
        }
        for (int i = 0; i < pair.from().stops().size(); i++) {
            int n = i;
            Gradient.Stop s = pair.from().stops().get(i), t = pair.to().stops().get(i);
            if (s.at() != t.at()) {
                to.eased(id + "-" + i, "@offset", track,
                        (x, y, p) -> Numbers.plain(x.stops().get(n).at() + (y.stops().get(n).at() - x.stops().get(n).at()) * p, 6));
            }
            if (!s.color().equals(t.color())) {
                to.eased(id + "-" + i, "@stop-color", track, (x, y, p) -> rgb(x.stops().get(n).color(), y.stops().get(n).color(), p));
                if (s.color().alpha() != t.color().alpha()) {
                    to.eased(id + "-" + i, "@stop-opacity", track,
                            (x, y, p) -> Numbers.plain(mix(x.stops().get(n).color().alpha(), y.stops().get(n).color().alpha(), p) / 255, 5));
                }
            }
        }
    }

    /** The element's size as a part of its gradients' maps. */
    static void stretched(PageElement e, Tracks out) {
        Point rest = e.box().size();
        Track<Point> size = out.of(e, Properties.SIZE);
        maps(e).forEach((id, map) -> {
            out.mixes().rest(id, "map", matrix(map, map, 0), rest.x(), rest.y());
            out.eased(id, Mixes.part("map", 1), size, (a, b, p) -> Numbers.plain(Math.max(0, a.lerp(b, p).x()), 4));
            out.eased(id, Mixes.part("map", 2), size, (a, b, p) -> Numbers.plain(Math.max(0, a.lerp(b, p).y()), 4));
        });
    }

    /** The maps of an element's gradients in a box of one by one, by their names. */
    static Map<String, Affine> maps(PageElement e) {
        var maps = new LinkedHashMap<String, Affine>();
        PaintText.gradients(e.board(), e.element()).forEach((id, g) -> maps.put(id, g.toBox(new Point(1, 1))));
        PaintText.blends(e.board(), e.element()).forEach((id, pair) -> maps.put(id, pair.from().toBox(new Point(1, 1))));
        return maps;
    }

    private static String matrix(Affine a, Affine b, double p) {
        double[] x = {a.a(), a.b(), a.c(), a.d(), a.e(), a.f()}, y = {b.a(), b.b(), b.c(), b.d(), b.e(), b.f()};
        var s = new StringBuilder("matrix(");
        for (int i = 0; i < 6; i++) {
            s.append(i == 0 ? "" : " ").append(Numbers.plain(mix(x[i], y[i], p), 6));
        }
        return s.append(')').toString();
    }

    private static String rgb(Color a, Color b, double p) {
        return "rgb(" + Numbers.plain(mix(a.red(), b.red(), p), 3) + "," + Numbers.plain(mix(a.green(), b.green(), p), 3) + ","
                + Numbers.plain(mix(a.blue(), b.blue(), p), 3) + ")";
    }

    private static double mix(double a, double b, double p) {
        return a + (b - a) * p;
    }
}
