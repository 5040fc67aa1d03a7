package tundra.core.model;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;

/**
 * Colours along a line or around a centre. All points are fractions of the element's box, so that the gradient goes with it.
 *
 * @param start where offset 0 lies; the centre of a radial gradient
 * @param end where offset 1 lies
 * @param side the other axis: for a radial gradient the end of its second radius, for a linear one a point of the line of offset 0
 * @param focus where a radial gradient's offset 0 is seen, as x and y along its two axes (length below 1); zero for a linear one
 * @param spread what happens outside offsets 0 to 1
 * @param stops by rising offset, at least one
 */
public record Gradient(Kind kind, Point start, Point end, Point side, Point focus, Spread spread, List<Stop> stops) implements Paint {
    public static final int MAX_STOPS = 100;

    public enum Kind {
        LINEAR, RADIAL
    }

    /** SVG's spreadMethod. */
    public enum Spread {
        PAD, REPEAT, REFLECT
    }

    /** A colour at an offset from 0 to 1. */
    public record Stop(double at, Color color) {
        public Stop {
            at = Math.max(0, Math.min(1, at));
        }
    }

    public Gradient {
        stops = stops.stream().sorted(Comparator.comparingDouble(Stop::at)).toList();
        if (stops.isEmpty() || stops.size() > MAX_STOPS) {
            throw new IllegalArgumentException("a gradient has 1 to " + MAX_STOPS + " stops");
        }
        double far = focus.length();
        focus = far > 0.99 ? focus.times(0.99 / far) : focus;
    }

    /** Across the box from left to right. */
    /** Two stops to begin with: a colour, and a darker shade of it, or a lighter one where it is dark itself. */
    public static List<Stop> shaded(Color c) {
        boolean dark = (0.299 * c.red() + 0.587 * c.green() + 0.114 * c.blue()) < 96;
        Color other = (dark ? Color.WHITE : Color.BLACK).withAlpha(c.alpha());
        return List.of(new Stop(0, c), new Stop(1, c.lerp(other, 0.45)));
    }

    public static Gradient linear(List<Stop> stops) {
        return new Gradient(Kind.LINEAR, new Point(0, 0.5), new Point(1, 0.5), new Point(0, 1.5), Point.ZERO, Spread.PAD, stops);
    }

    /** From the centre to the edges of the box. */
    public static Gradient radial(List<Stop> stops) {
        return new Gradient(Kind.RADIAL, new Point(0.5, 0.5), new Point(1, 0.5), new Point(0.5, 1), Point.ZERO, Spread.PAD, stops);
    }

    public Gradient withStops(List<Stop> s) {
        return new Gradient(kind, start, end, side, focus, spread, s);
    }

    public Gradient withSpread(Spread s) {
        return new Gradient(kind, start, end, side, focus, s, stops);
    }

    public Gradient withFocus(Point f) {
        return new Gradient(kind, start, end, side, f, spread, stops);
    }

    /** The same stops the other way. */
    public Gradient reversed() {
        return withStops(stops.reversed().stream().map(s -> new Stop(1 - s.at(), s.color())).toList());
    }

    public Gradient placed(Point newStart, Point newEnd, Point newSide) {
        return new Gradient(kind, newStart, newEnd, newSide, focus, spread, stops);
    }

    /** Moves the end, and turns and scales the other axis with it as it looks in a box of a size in px. */
    public Gradient withEnd(Point newEnd, Point box) {
        Point a = end.minus(start).times(box), b = newEnd.minus(start).times(box), s = side.minus(start).times(box);
        double l = a.length();
        if (l < 1e-9 || b.length() < 1e-9 || box.x() == 0 || box.y() == 0) {
            return placed(start, newEnd, side);
        }
        // the quotient b / a as complex numbers turns and scales
        double re = (a.x() * b.x() + a.y() * b.y()) / (l * l), im = (a.x() * b.y() - a.y() * b.x()) / (l * l);
        Point turned = new Point(s.x() * re - s.y() * im, s.x() * im + s.y() * re);
        return placed(start, newEnd, start.plus(new Point(turned.x() / box.x(), turned.y() / box.y())));
    }

    /** Moves all of it. */
    public Gradient moved(Point newStart) {
        Point d = newStart.minus(start);
        return placed(newStart, end.plus(d), side.plus(d));
    }

    /** From the gradient's own space — along x from 0 to 1, or the unit circle — to a box of a size in px. */
    public Affine toBox(Point box) {
        Point o = start.times(box), x = end.times(box).minus(o), y = side.times(box).minus(o);
        return new Affine(x.x(), x.y(), y.x(), y.y(), o.x(), o.y());
    }

    /** This gradient with another geometry given by a map from its own space to a box; a box without a side is taken as 1 px. */
    public Gradient through(Affine toBox, Point box) {
        double w = box.x() == 0 ? 1 : box.x(), h = box.y() == 0 ? 1 : box.y();
        Point o = toBox.apply(Point.ZERO), x = toBox.apply(new Point(1, 0)), y = toBox.apply(new Point(0, 1));
        return placed(new Point(o.x() / w, o.y() / h), new Point(x.x() / w, x.y() / h), new Point(y.x() / w, y.y() / h));
    }

    /** The colour at an offset, blended without premultiplying, as SVG does. */
    public Color at(double offset) {
        Stop before = stops.getFirst();
        for (Stop s : stops) {
            if (s.at() >= offset) {
                if (s.at() == before.at()) {
                    return s.color();
                }
                double p = (offset - before.at()) / (s.at() - before.at());
                Color a = before.color(), b = s.color();
                return new Color(mix(a.red(), b.red(), p), mix(a.green(), b.green(), p), mix(a.blue(), b.blue(), p), mix(a.alpha(), b.alpha(), p));
            }
            before = s;
        }
        return before.color();
    }

    private static int mix(int a, int b, double p) {
        return (int) Math.round(a + (b - a) * p);
    }

    /** Adds a stop of the colour that is seen there. */
    public Gradient withStopAt(double offset) {
        var all = new ArrayList<>(stops);
        all.add(new Stop(offset, at(offset)));
        return withStops(all);
    }

    @Override
    public boolean visible() {
        return stops.stream().anyMatch(s -> s.color().visible());
    }

    @Override
    public Color main() {
        return at(0.5);
    }
}
