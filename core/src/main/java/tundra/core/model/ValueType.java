package tundra.core.model;

import java.util.List;
import tundra.core.geometry.Moments;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.motion.Track;

/** A kind of value: how it blends, and the plain numbers it is made of. */
public sealed interface ValueType<T> {
    ValueType<Double> NUMBER = new NumberType();
    ValueType<Double> STEP = new StepType();
    ValueType<Point> PAIR = new PairType();
    ValueType<Quad> QUAD = new QuadType();
    ValueType<Color> COLOR = new ColorType();
    ValueType<Paint> PAINT = new PaintType();
    ValueType<Outline> OUTLINE = new OutlineType();

    T lerp(T a, T b, double p);

    /** Blends values again and again, as along a track; it may keep what it works out of two of them. One thread at a time. */
    default Track.Blend<T> blending() {
        return this::lerp;
    }

    /** The numbers of a value, in the order of {@link #of}. */
    double[] parts(T value);

    T of(double[] parts);

    /** {@code a} moved by the way from {@code from} to {@code to}: how a whole move shifts. */
    default T shifted(T a, T from, T to) {
        double[] x = parts(a), f = parts(from), t = parts(to);
        double[] out = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            out[i] = x[i] + t[i] - f[i];
        }
        return of(out);
    }

    Class<T> type();

    /** One number. */
    record NumberType() implements ValueType<Double> {
        @Override
        public Double lerp(Double a, Double b, double p) {
            return a + (b - a) * p;
        }

        @Override
        public double[] parts(Double v) {
            return new double[] {v};
        }

        @Override
        public Double of(double[] p) {
            return p[0];
        }

        @Override
        public Class<Double> type() {
            return Double.class;
        }
    }

    /** A whole number that can't blend; holds until the next key. */
    record StepType() implements ValueType<Double> {
        @Override
        public Double lerp(Double a, Double b, double p) {
            return p < 1 ? a : b;
        }

        @Override
        public double[] parts(Double v) {
            return new double[] {v};
        }

        @Override
        public Double of(double[] p) {
            return (double) Math.round(p[0]);
        }

        @Override
        public Class<Double> type() {
            return Double.class;
        }
    }

    /** Two numbers: a place, a size, a scale. */
    record PairType() implements ValueType<Point> {
        @Override
        public Point lerp(Point a, Point b, double p) {
            return a.lerp(b, p);
        }

        @Override
        public double[] parts(Point v) {
            return new double[] {v.x(), v.y()};
        }

        @Override
        public Point of(double[] p) {
            return new Point(p[0], p[1]);
        }

        @Override
        public Class<Point> type() {
            return Point.class;
        }
    }

    /** Four numbers. */
    record QuadType() implements ValueType<Quad> {
        @Override
        public Quad lerp(Quad a, Quad b, double p) {
            return a.lerp(b, p);
        }

        @Override
        public double[] parts(Quad v) {
            return new double[] {v.r(), v.g(), v.b(), v.a()};
        }

        @Override
        public Quad of(double[] p) {
            return new Quad(p[0], p[1], p[2], p[3]);
        }

        @Override
        public Class<Quad> type() {
            return Quad.class;
        }
    }

    /** A colour or a gradient. What can't blend, as a linear and a radial gradient, holds until the next key. */
    record PaintType() implements ValueType<Paint> {
        @Override
        public Paint lerp(Paint a, Paint b, double p) {
            return a instanceof Color x && b instanceof Color y ? COLOR.lerp(x, y, p) : GradientBlend.at(a, b, p);
        }

        @Override
        public double[] parts(Paint v) {
            return COLOR.parts(v.main());
        }

        @Override
        public Paint of(double[] p) {
            return COLOR.of(p);
        }

        @Override
        public Paint shifted(Paint a, Paint from, Paint to) {
            return a.equals(from) ? to : a;
        }

        @Override
        public Class<Paint> type() {
            return Paint.class;
        }
    }

    /** An outline; two blend node by node. Its number is the area that its nodes enclose, which lanes draw. */
    record OutlineType() implements ValueType<Outline> {
        @Override
        public Outline lerp(Outline a, Outline b, double p) {
            return Morph.at(a, b, p);
        }

        @Override
        public Track.Blend<Outline> blending() {
            return new Morph.Matching();
        }

        @Override
        public double[] parts(Outline v) {
            return new double[] {Moments.of(v).area()};
        }

        @Override
        public Outline of(double[] p) {
            throw new UnsupportedOperationException("an outline is not made of its area");
        }

        @Override
        public Outline shifted(Outline a, Outline from, Outline to) {
            return Morph.shifted(a, from, to);
        }

        @Override
        public Class<Outline> type() {
            return Outline.class;
        }
    }

    /** One of a few words; holds until the next key. Its number is its place in the list. */
    record ChoiceType(List<String> options) implements ValueType<String> {
        @Override
        public String lerp(String a, String b, double p) {
            return p < 1 ? a : b;
        }

        @Override
        public double[] parts(String v) {
            return new double[] {Math.max(0, options.indexOf(v))};
        }

        @Override
        public String of(double[] p) {
            return options.get((int) Math.max(0, Math.min(options.size() - 1, Math.round(p[0]))));
        }

        @Override
        public String shifted(String a, String from, String to) {
            return a.equals(from) ? to : a;
        }

        @Override
        public Class<String> type() {
            return String.class;
        }
    }

    /** A colour as red, green, blue, alpha, each 0..255. */
    record ColorType() implements ValueType<Color> {
        @Override
        public Color lerp(Color a, Color b, double p) {
            return a.lerp(b, p);
        }

        @Override
        public double[] parts(Color c) {
            return new double[] {c.red(), c.green(), c.blue(), c.alpha()};
        }

        @Override
        public Color of(double[] p) {
            return new Color(channel(p[0]), channel(p[1]), channel(p[2]), channel(p[3]));
        }

        private static int channel(double v) {
            return (int) Math.max(0, Math.min(255, Math.round(v)));
        }

        /** A colour does not shift; the whole move takes the new one. */
        @Override
        public Color shifted(Color a, Color from, Color to) {
            return a.equals(from) ? to : a;
        }

        @Override
        public Class<Color> type() {
            return Color.class;
        }
    }
}
