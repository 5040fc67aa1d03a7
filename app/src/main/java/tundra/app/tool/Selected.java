package tundra.app.tool;

import java.util.ArrayList;
import tundra.app.studio.Studio;
import tundra.core.edit.ResizingSeveral;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** What several selected elements are together. */
final class Selected {
    private Selected() {}

    /** The box around them on the canvas; null when fewer than two can be changed. */
    static Rect bounds(Studio studio) {
        Rect all = null;
        int n = 0;
        for (String id : studio.selection().size() < 2 ? java.util.Set.<String>of() : studio.selection()) {
            Frame.Placed placed = free(studio, id);
            if (placed != null) {
                all = placed.bounds().union(all);
                n++;
            }
        }
        return n < 2 ? null : all;
    }

    static ResizingSeveral resizing(Studio studio, Rect bounds, Point handle) {
        var parts = new ArrayList<ResizingSeveral.Part>();
        for (String id : studio.selection()) {
            Frame.Placed placed = free(studio, id);
            if (placed != null) {
                parts.add(new ResizingSeveral.Part(id, studio.board().find(id).content(), studio.builder().valuesAt(id, studio.playhead()),
                        placed.node().box(), placed.toCanvas().times(placed.node().toParent().inverse())));
            }
        }
        return new ResizingSeveral(bounds, handle, parts);
    }

    private static Frame.Placed free(Studio studio, String id) {
        Frame.Placed placed = studio.placed(id);
        return placed == null || placed.node().locked() ? null : placed;
    }
}
