package tundra.core.frame;

import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

/**
 * Whether what a group holds blends with what lies behind the group. As in CSS it doesn't where the group is turned, scaled, faded, clipped,
 * filtered or moved by keys, since it is painted apart then; where it could it may still be told to blend only within.
 */
public final class Blending {
    private static final List<Property<?>> APART = List.of(Properties.POSITION, Properties.POSITION_X, Properties.POSITION_Y, Properties.ROTATION,
            Properties.SCALE,
            Properties.SKEW, Properties.PIVOT, Properties.OPACITY, Properties.BLEND, Properties.SIZE);

    private Blending() {}

    /** Whether an element lets what it holds blend with what lies behind it. */
    public static boolean passes(Board board, Element e) {
        Values v = e.rest();
        boolean holds = e.content() instanceof Content.Group g && g.clip() == null || e.content() instanceof Content.Instance;
        return holds && v.get(Properties.ISOLATE).equals("no") && v.get(Properties.BLEND).equals("normal") && v.get(Properties.OPACITY) == 1
                && v.get(Properties.ROTATION) == 0 && v.get(Properties.SCALE).equals(new Point(1, 1)) && v.get(Properties.SKEW).equals(Point.ZERO)
                && e.effects().isEmpty()
                && board.timelines().stream().allMatch(t -> APART.stream().allMatch(p -> t.track(e.id(), p) == null));
    }
}
