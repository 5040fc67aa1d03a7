package tundra.core.motion;

/**
 * An easing cut in two, so that a key put into its interval changes nothing of the speed.
 *
 * @param before leads to the cut
 * @param after leads on from it
 */
public record SplitEasing(Easing before, Easing after) {

    /** Cut at a progress between 0 and 1. Steps that the cut would divide, and easings that stand still on one side of it, stay on both. */
    public static SplitEasing at(Easing easing, double p) {
        double value = easing.at(p);
        if (p <= 0 || p >= 1) {
            return new SplitEasing(easing, easing);
        }
        return switch (easing) {
            case Easing.Linear l -> new SplitEasing(l, l);
            case Easing.Hold h -> new SplitEasing(h, h);
            case StepsEasing s -> steps(s, p);
            case CubicEasing c when Math.abs(value) > 1e-6 && Math.abs(1 - value) > 1e-6 -> cubic(c, p);
            case PartEasing part -> parts(part.of(), part.from(), part.from() + p * (part.to() - part.from()), part.to());
            default -> parts(easing, 0, p, 1);
        };
    }

    private static SplitEasing parts(Easing of, double from, double cut, double to) {
        return new SplitEasing(part(of, from, cut), part(of, cut, to));
    }

    /** A stretch that leads nowhere has no easing that could show it. */
    private static Easing part(Easing of, double from, double to) {
        return to - from < 1e-9 || Math.abs(of.at(to) - of.at(from)) < 1e-9 ? Easing.LINEAR : new PartEasing(of, from, to);
    }

    private static SplitEasing steps(StepsEasing s, double p) {
        int first = (int) Math.rint(p * s.count());
        boolean between = Math.abs(p * s.count() - first) < 1e-6 && first > 0 && first < s.count();
        boolean even = s.jump() == StepsEasing.Jump.START || s.jump() == StepsEasing.Jump.END;
        return between && even ? new SplitEasing(new StepsEasing(first, s.jump()), new StepsEasing(s.count() - first, s.jump()))
                : new SplitEasing(s, s);
    }

    /** De Casteljau's construction on the curve of progress and value; each half is brought to the unit square. */
    private static SplitEasing cubic(CubicEasing c, double p) {
        double lo = 0, hi = 1;
        while (hi - lo > 1e-14) {
            double m = (lo + hi) / 2;
            if (number(c.x1(), c.x2(), m) < p) {
                lo = m;
            } else {
                hi = m;
            }
        }
        double t = (lo + hi) / 2;
        double[] x = halves(c.x1(), c.x2(), t), y = halves(c.y1(), c.y2(), t);
        double mx = x[2], my = y[2];
        return new SplitEasing(new CubicEasing(within(x[0] / mx), y[0] / my, within(x[1] / mx), y[1] / my),
                new CubicEasing(within((x[3] - mx) / (1 - mx)), (y[3] - my) / (1 - my), within((x[4] - mx) / (1 - mx)), (y[4] - my) / (1 - my)));
    }

    private static double within(double v) {
        return Math.max(0, Math.min(1, v));
    }

    private static double number(double a, double b, double t) {
        return halves(a, b, t)[2];
    }

    /** The control numbers of the two halves of the Bézier curve 0, a, b, 1: two of the first, the cut, two of the second. */
    private static double[] halves(double a, double b, double t) {
        double p01 = a * t, p12 = a + (b - a) * t, p23 = b + (1 - b) * t;
        double q0 = p01 + (p12 - p01) * t, q1 = p12 + (p23 - p12) * t;
        return new double[] {p01, q0, q0 + (q1 - q0) * t, q1, p23};
    }
}
