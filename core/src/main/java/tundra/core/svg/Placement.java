package tundra.core.svg;

import tundra.core.geometry.Affine;

/** A map taken apart into a turn and a scale along the turned axes; a slant can't be kept. */
record Placement(double rotation, double scaleX, double scaleY) {
    static Placement of(Affine m, Report report) {
        double sx = Math.hypot(m.a(), m.b()), sy = sx == 0 ? 0 : m.determinant() / sx;
        double slant = sx == 0 ? 0 : (m.a() * m.c() + m.b() * m.d()) / sx;
        if (Math.abs(slant) > 0.02 * Math.max(1e-9, Math.abs(sy))) {
            report.lost("A slant of a picture or text was left out");
        }
        return new Placement(Math.toDegrees(Math.atan2(m.b(), m.a())), sx, sy);
    }
}
