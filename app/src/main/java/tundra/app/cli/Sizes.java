package tundra.app.cli;

import java.util.Locale;
import tundra.core.geometry.Point;
import tundra.core.model.Limits;

/** Reads sizes such as 1280x720. */
final class Sizes {
    private Sizes() {}

    static Point parse(String text) {
        String[] parts = text.toLowerCase(Locale.ROOT).split("x");
        try {
            int w = Integer.parseInt(parts[0].strip()), h = Integer.parseInt(parts[1].strip());
            if (parts.length == 2 && w >= 1 && h >= 1 && w <= Limits.SIDE && h <= Limits.SIDE) {
                return new Point(w, h);
            }
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
            // told below
        }
        throw new IllegalArgumentException("“" + text + "” is not a size such as 1280x720, with sides from 1 to " + Limits.SIDE + ".");
    }
}
