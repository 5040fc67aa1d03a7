package tundra.core.model;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * Paints between two keys of which at least one is a gradient. Geometry, stops and colours blend number by number, as a browser
 * blends the attributes of SVG's gradients: colours with straight alpha.
 */
public final class GradientBlend {
    private GradientBlend() {}

    /** Two gradients of the same kind with as many stops. */
    public record Pair(Gradient from, Gradient to) {}

    /** Both ends of an interval as gradients that blend; null when they can't. A colour blends as a gradient of nothing but it. */
    public static Pair pair(Paint a, Paint b) {
        if (a instanceof Color && b instanceof Color) {
            return null;
        }
        Gradient x = a instanceof Gradient g ? g : of((Color) a, (Gradient) b), y = b instanceof Gradient g ? g : of((Color) b, (Gradient) a);
        if (x.kind() != y.kind() || x.spread() != y.spread()) {
            return null;
        }
        if (x.stops().size() == y.stops().size()) {
            return new Pair(x, y);
        }
        var at = new TreeSet<Double>();
        x.stops().forEach(s -> at.add(s.at()));
        y.stops().forEach(s -> at.add(s.at()));
        return new Pair(cut(x, at), cut(y, at));
    }

    private static Gradient of(Color c, Gradient form) {
        return form.withStops(form.stops().stream().map(s -> new Gradient.Stop(s.at(), c)).toList());
    }

    /** The same gradient with a stop at each of these places. */
    private static Gradient cut(Gradient g, TreeSet<Double> places) {
        var out = new ArrayList<Gradient.Stop>();
        places.forEach(p -> out.add(new Gradient.Stop(p, colorAt(g.stops(), p))));
        return g.withStops(out);
    }

    private static Color colorAt(List<Gradient.Stop> stops, double at) {
        Gradient.Stop before = stops.getFirst();
        for (Gradient.Stop s : stops) {
            if (s.at() >= at) {
                double span = s.at() - before.at();
                return span <= 0 ? s.color() : straight(before.color(), s.color(), (at - before.at()) / span);
            }
            before = s;
        }
        return before.color();
    }

    private static Color straight(Color a, Color b, double p) {
        return ValueType.COLOR.of(new double[] {a.red() + (b.red() - a.red()) * p, a.green() + (b.green() - a.green()) * p,
            a.blue() + (b.blue() - a.blue()) * p, a.alpha() + (b.alpha() - a.alpha()) * p});
    }

    /** The paint at a progress; the first paint until the end where the two can't blend. */
    public static Paint at(Paint a, Paint b, double p) {
        Pair pair = p <= 0 && p >= 0 ? null : pair(a, b);
        if (pair == null) {
            return p < 1 ? a : b;
        }
        Gradient x = pair.from, y = pair.to;
        var stops = new ArrayList<Gradient.Stop>();
        double least = 0;
        for (int i = 0; i < x.stops().size(); i++) {
            Gradient.Stop s = x.stops().get(i), t = y.stops().get(i);
            // stops never stand before the one ahead of them, as SVG has it
            least = Math.max(least, Math.min(1, s.at() + (t.at() - s.at()) * p));
            stops.add(new Gradient.Stop(least, straight(s.color(), t.color(), p)));
        }
        return new Gradient(x.kind(), x.start().lerp(y.start(), p), x.end().lerp(y.end(), p), x.side().lerp(y.side(), p),
                x.focus().lerp(y.focus(), p), x.spread(), stops);
    }
}
