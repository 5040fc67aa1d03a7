package tundra.web;

import java.util.List;
import tundra.core.fit.Fit;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Properties;

/**
 * A scene larger or smaller to one side, which tells how what is on it goes with that side.
 *
 * @param variable of CSS: how many px the scene is larger, or smaller, than drawn
 * @param step by how many px it is compiled so, above 0
 */
record Grown(String variable, int step, boolean down, boolean smaller) {
    /** Wider, narrower, taller, shorter; the player's {@code STEPS} are the same. */
    static final List<Grown> ALL = List.of(new Grown("--w", 200, false, false), new Grown("--n", 40, false, true),
            new Grown("--h", 200, true, false), new Grown("--m", 40, true, true));

    /** Those that a scene is looked at by: its height counts of its own only where it is the window's. */
    static List<Grown> of(Board b) {
        return b.canvas().get(Properties.SCENE_HEIGHT).equals("the window's") && b.size().y() > ALL.get(3).step() ? ALL : ALL.subList(0, 2);
    }

    /** A board so, but for the size of letters, which has bounds and is said by {@link Markup}; where its height goes with its width, that too. */
    Board apply(Board b) {
        double px = smaller ? -step : step;
        Point size = b.size();
        boolean whole = b.canvas().get(Properties.SCENE_HEIGHT).equals("with the width");
        Point to = down ? new Point(size.x(), size.y() + px) : new Point(size.x() + px, whole ? size.y() * (size.x() + px) / size.x() : size.y());
        return Fit.withoutWords(b, to);
    }
}
