package tundra.core.model;

import tundra.core.geometry.Point;

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

    /** The box of an element as drawn; 0 along what isn't known, such as the height of a text. */
    public static Point box(Element e) {
        return switch (e.content()) {
            case Content.Text t -> new Point(t.wrap(), 0);
            case Content.Instance i -> i.box();
            case Content.Parent p -> p.box();
            default -> e.rest().get(Properties.SIZE);
        };
    }

    /**
     * How far an element is taken along for each px that its parent's own size grows, across and down, as while a group's size is keyed. It
     * keeps its own size then.
     *
     * @param parent the box of the parent as drawn
     */
    public static Point carried(Element e, Point parent) {
        Point box = box(e), at = e.rest().get(Properties.POSITION), pivot = e.rest().get(Properties.PIVOT);
        return new Point(across(e.rest()).carried(parent.x(), at.x() - pivot.x() * box.x(), box.x()), down(e.rest())
                .carried(parent.y(), at.y() - pivot.y() * box.y(), box.y()));
    }

    private double carried(double parent, double begin, double length) {
        return parent <= 0 ? 0 : new Tie(side == Side.BOTH ? Side.NEAR : side, nearIn, false, farIn).growth(parent, begin, length).begin();
    }
}
