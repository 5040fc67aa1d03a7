package tundra.core.block;

import tundra.core.geometry.Point;

/**
 * Web Mercator (EPSG:3857) in px: at zoom z the world is {@code 256 · 2^z} px wide and as high, its left upper corner at 180° west and
 * 85.0511° north.
 */
public final class Mercator {
    /** Where the square world ends, in degrees. */
    public static final double MOST = 85.05112877980659;

    private Mercator() {}

    /** @param at degrees, longitude and latitude */
    public static Point px(Point at, double zoom) {
        double world = 256 * Math.pow(2, zoom), s = Math.sin(Math.toRadians(Math.max(-MOST, Math.min(MOST, at.y()))));
        return new Point((at.x() + 180) / 360 * world, (0.5 - Math.log((1 + s) / (1 - s)) / (4 * Math.PI)) * world);
    }

    /** The degrees of a place in px. */
    public static Point degrees(Point px, double zoom) {
        double world = 256 * Math.pow(2, zoom);
        return new Point(px.x() / world * 360 - 180, Math.toDegrees(Math.atan(Math.sinh(Math.PI * (1 - 2 * px.y() / world)))));
    }
}
