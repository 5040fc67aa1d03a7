package tundra.core.frame;

import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/** A board on which everything can be found that stands somewhere, whether it is seen or not. */
public final class Pickable {
    private Pickable() {}

    /** With nothing hidden, faded or out of its time, and with touch areas filled. */
    public static Board board(Board b) {
        var ids = Tree.ids(b.elements());
        Board open = b.mapElements(ids, e -> {
            Element shown = e.withHidden(false).with(Properties.OPACITY, 1.0).with(Properties.SHOWN, "yes");
            return isArea(e) ? shown.with(Properties.FILL, Color.BLACK) : shown;
        });
        return open.withTimelines(open.timelines().stream().map(t -> {
            Timeline out = t;
            for (String id : t.shown().keySet()) {
                out = out.withShown(id, null);
            }
            for (String id : ids) {
                if (!t.tracksOf(id).isEmpty()) {
                    out = out.with(id, Properties.OPACITY, null).with(id, Properties.SHOWN, null);
                }
            }
            return out;
        }).toList());
    }

    /** Whether an element shows nothing and is there to be touched. */
    public static boolean isArea(Element e) {
        return e.content() instanceof Content.Shape && e.rest().get(Properties.TOUCH).equals("its whole box") && !e.rest().get(Properties.FILL)
                .visible()
                && !(e.rest().get(Properties.STROKE).visible() && e.rest().get(Properties.STROKE_WIDTH) > 0);
    }
}
