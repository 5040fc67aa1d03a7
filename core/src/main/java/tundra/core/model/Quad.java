package tundra.core.model;

/** Four numbers: for red, green, blue and opacity. */
public record Quad(double r, double g, double b, double a) {
    public static final Quad ONE = new Quad(1, 1, 1, 1), ZERO = new Quad(0, 0, 0, 0);

    public Quad lerp(Quad to, double p) {
        return new Quad(r + (to.r - r) * p, g + (to.g - g) * p, b + (to.b - b) * p, a + (to.a - a) * p);
    }
}
