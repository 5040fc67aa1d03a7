package tundra.core.motion;

/**
 * What holds for all of a motion path.
 *
 * @param bend how round it runs through the keys that have no handles of their own: 0 straight, 1 very round
 * @param closed whether the last key stands where the first does and the path flows through their join
 * @param whole one easing for the whole way, so that the keys between only shape it; null eases each interval by its own
 */
public record PathShape(double bend, boolean closed, Easing whole) {
    public static final PathShape PLAIN = new PathShape(0, false, null);

    public PathShape {
        bend = Double.isFinite(bend) ? Math.max(0, Math.min(1, bend)) : 0;
    }

    public PathShape withBend(double b) {
        return new PathShape(b, closed, whole);
    }

    public PathShape withClosed(boolean c) {
        return new PathShape(bend, c, whole);
    }

    public PathShape withWhole(Easing e) {
        return new PathShape(bend, closed, e);
    }
}
