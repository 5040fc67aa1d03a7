package tundra.web;

import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;

/** Numbers as CSS text. */
final class CssText {
    private CssText() {}

    static String px(double v) {
        return Numbers.plain(v, 4) + "px";
    }

    static String deg(double v) {
        return Numbers.plain(v, 5) + "deg";
    }

    static String pair(Point p, int decimals, String unit) {
        return Numbers.plain(p.x(), decimals) + unit + " " + Numbers.plain(p.y(), decimals) + unit;
    }
}
