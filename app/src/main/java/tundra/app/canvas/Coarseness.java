package tundra.app.canvas;

/**
 * How coarse a picture is painted so that it answers the hand: 1 is every pixel, 2 every second along each side, 4 every fourth. Goes
 * by the quicker of the last two paintings, so that a single slow one changes nothing.
 */
final class Coarseness {
    /** A picture should come within this many seconds. */
    private static final double WITHIN = 0.09;
    private static final int MOST = 4;
    private double last;
    private double before;

    /** The least that keeps a picture of so many pixels in time, or the most there is. */
    int of(int pixels) {
        double expected = Math.min(last, before) * pixels;
        int c = 1;
        while (c < MOST && expected / (c * c) > WITHIN) {
            c *= 2;
        }
        return c;
    }

    /** @param pixels that were painted */
    void took(double seconds, int pixels) {
        before = last;
        last = seconds / pixels;
    }
}
