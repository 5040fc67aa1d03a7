package tundra.core.frame;

import java.util.Arrays;
import tundra.core.geometry.Point;
import tundra.core.model.Color;

/** One step of what is done to a picture before it is laid over what lies behind it, in px of the element. */
public sealed interface Filter {
    /** Gaussian, by the standard deviation along x and y. */
    record Blur(Point deviation) implements Filter {}

    /**
     * Each colour becomes a sum of the others, not premultiplied and clamped to 0..1: SVG's feColorMatrix, 4 rows of 5 numbers for red, green,
     * blue and opacity.
     */
    record Matrix(double[] rows) implements Filter {
        @Override
        public boolean equals(Object o) {
            return o instanceof Matrix m && Arrays.equals(rows, m.rows);
        }

        @Override
        public int hashCode() {
            return Arrays.hashCode(rows);
        }
    }

    /** The shape in one colour, moved and blurred, beneath the picture. */
    record DropShadow(Point offset, double deviation, Color color) implements Filter {}

    /** What lies outside of the shape in one colour, moved and blurred, over the picture but only within it. */
    record InnerShadow(Point offset, double deviation, Color color) implements Filter {}

    /**
     * The shape drawn out in one direction, beneath the picture.
     *
     * @param way from the shape to its end
     * @param fade how much of its opacity it has lost at the end, 0 to 1
     */
    record LongShadow(Point way, double fade, Color color) implements Filter {
        /** It is drawn out in so many steps, each of which lays what there is once more beneath itself, twice as far away as the step before. */
        public static final int STAGES = 9;
        private static final double STEPS = Math.pow(2, STAGES) - 1;

        /** How far a step moves. */
        public Point step(int n) {
            return way.times(Math.pow(2, n) / STEPS);
        }

        /** What share of its opacity a step keeps: all steps together what the fade leaves, an 8-bit step at least. */
        public double kept(int n) {
            return Math.pow(Math.max(1 - fade, 1 / 255.0), Math.pow(2, n) / STEPS);
        }
    }

    /** How far paint can come out of the shape, in px. */
    default double reach() {
        return switch (this) {
            case Blur b -> 3 * Math.max(b.deviation.x(), b.deviation.y());
            case Matrix m -> 0;
            case DropShadow d -> 3 * d.deviation + Math.hypot(d.offset.x(), d.offset.y());
            case InnerShadow i -> 0;
            case LongShadow l -> Math.hypot(l.way.x(), l.way.y());
        };
    }
}
