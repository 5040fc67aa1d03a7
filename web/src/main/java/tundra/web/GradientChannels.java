package tundra.web;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Gradient;
import tundra.core.model.GradientBlend;
import tundra.core.model.Paint;
import tundra.core.model.Timeline;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** A gradient that blends between two keys, as changes of its SVG attributes. */
final class GradientChannels {
    private GradientChannels() {}

    /**
     * @param id of the gradient; its stops are numbered after it
     * @param box that the gradient lies in
     */
    static List<PageTrack> of(Timeline timeline, String id, Key<Paint> a, Key<Paint> b, GradientBlend.Pair pair, Point box) {
        var track = new Track<>(List.of(new Key<>(a.time(), pair.from(), a.easing()), new Key<>(b.time(), pair.to(), b.easing())));
        var out = new ArrayList<PageTrack>();
        out.add(Channels.eased(timeline, id, "@gradientTransform", track, (x, y, p) -> matrix(x.toBox(box), y.toBox(box), p)));
        if (pair.from().kind() == Gradient.Kind.RADIAL && !pair.from().focus().equals(pair.to().focus())) {
            out.add(Channels.eased(timeline, id, "@fx", track, (x, y, p) -> Numbers.plain(x.focus().lerp(y.focus(), p).x(), 5)));
            out.add(Channels.eased(timeline, id, "@fy", track, (x, y, p) -> Numbers.plain(x.focus().lerp(y.focus(), p).y(), 5)));
        }
        for (int i = 0; i < pair.from().stops().size(); i++) {
            int n = i;
            Gradient.Stop s = pair.from().stops().get(i), t = pair.to().stops().get(i);
            if (s.at() != t.at()) {
                out.add(Channels.eased(timeline, id + "-" + i, "@offset", track,
                        (x, y, p) -> Numbers.plain(x.stops().get(n).at() + (y.stops().get(n).at() - x.stops().get(n).at()) * p, 6)));
            }
            if (!s.color().equals(t.color())) {
                out.add(Channels.eased(timeline, id + "-" + i, "@stop-color", track, (x, y, p) -> rgb(x.stops().get(n).color(), y.stops().get(n).color(), p)));
                if (s.color().alpha() != t.color().alpha()) {
                    out.add(Channels.eased(timeline, id + "-" + i, "@stop-opacity", track,
                            (x, y, p) -> Numbers.plain(mix(x.stops().get(n).color().alpha(), y.stops().get(n).color().alpha(), p) / 255, 5)));
                }
            }
        }
        return out;
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
