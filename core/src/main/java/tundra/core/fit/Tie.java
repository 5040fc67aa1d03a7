package tundra.core.fit;

import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

/**
 * How a box follows its parent along one axis. Both its begin and its length are linear in the parent's length {@code W}:
 * {@code a + b·(W − W₀)}, which is the same in CSS {@code calc()}.
 *
 * @param nearIn whether the distance before it, or of its middle, goes with the parent's length
 * @param lengthIn whether its own length does
 * @param farIn whether the distance behind it does
 */
public record Tie(Side side, boolean nearIn, boolean lengthIn, boolean farIn) {
    /** What a box holds on to. */
    public enum Side { NEAR, MIDDLE, FAR, BOTH }

    /** By how much a box's begin and length grow for each px that its parent grows. */
    public record Growth(double begin, double length) {
        public static final Growth NONE = new Growth(0, 0);
    }

    public static Tie across(Values v) {
        return new Tie(side(v, Properties.TIE_X), share(v, Properties.LEFT_IN), share(v, Properties.WIDTH_IN), share(v, Properties.RIGHT_IN));
    }

    public static Tie down(Values v) {
        return new Tie(side(v, Properties.TIE_Y), share(v, Properties.TOP_IN), share(v, Properties.HEIGHT_IN), share(v, Properties.BOTTOM_IN));
    }

    private static Side side(Values v, Property<String> p) {
        return Side.values()[(int) p.type().parts(v.get(p))[0]];
    }

    private static boolean share(Values v, Property<String> p) {
        return v.get(p).equals("%");
    }

    /**
     * @param parent the length of the parent as drawn, above 0
     * @param begin where the box begins as drawn
     * @param length of the box as drawn
     */
    public Growth growth(double parent, double begin, double length) {
        double end = begin + length, size = lengthIn ? length / parent : 0;
        return switch (side) {
            case NEAR -> new Growth(nearIn ? begin / parent : 0, size);
            case FAR -> new Growth((farIn ? end / parent : 1) - size, size);
            case MIDDLE -> new Growth((nearIn ? (begin + length / 2) / parent : 0.5) - size / 2, size);
            case BOTH -> {
                double near = nearIn ? begin / parent : 0, far = farIn ? end / parent : 1;
                yield new Growth(near, far - near);
            }
        };
    }
}
