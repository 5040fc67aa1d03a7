package tundra.app.tool;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Set;
import tundra.app.studio.Studio;
import tundra.core.edit.ResizingSeveral;
import tundra.core.edit.TurningSeveral;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

/** What several selected elements are together. */
public final class Selected {
    private Selected() {}

    /** The box around them on the canvas; null when fewer than two can be changed. */
    static Rect bounds(Studio studio) {
        Rect all = null;
        int n = 0;
        for (String id : studio.selection().size() < 2 ? Set.<String>of() : studio.selection()) {
            Frame.Placed placed = free(studio, id);
            if (placed != null) {
                all = placed.bounds().union(all);
                n++;
            }
        }
        return n < 2 ? null : all;
    }

    static ResizingSeveral resizing(Studio studio, Rect bounds, Point handle) {
        return new ResizingSeveral(bounds, handle, parts(studio));
    }

    /** All of them, to be turned and scaled around what the options say. */
    public static TurningSeveral turning(Studio studio, ToolOptions options) {
        var parts = parts(studio);
        Point centre = switch (options.turnAround) {
            case MIDDLE -> bounds(studio) == null ? null : bounds(studio).centre();
            case LAST -> parts.isEmpty() ? null : parts.getLast().parent().apply(parts.getLast().start().get(Properties.POSITION));
            case EACH -> null;
        };
        return new TurningSeveral(centre, parts);
    }

    /** Sets what a drag of several changes, each from the value that it had. */
    public static ResizingSeveral.Setter dragging(Studio studio, List<ResizingSeveral.Part> parts) {
        var starts = new HashMap<String, Values>();
        parts.forEach(p -> starts.put(p.id(), p.start()));
        return new ResizingSeveral.Setter() {
            @Override
            public <T> Board set(Board b, String id, Property<T> p, T value) {
                Values start = starts.get(id);
                return studio.target().drag(b, id, p, start == null ? value : start.get(p), value);
            }
        };
    }

    private static List<ResizingSeveral.Part> parts(Studio studio) {
        var parts = new ArrayList<ResizingSeveral.Part>();
        for (String id : studio.selection()) {
            Frame.Placed placed = free(studio, id);
            if (placed != null) {
                parts.add(new ResizingSeveral.Part(id, studio.board().find(id).content(), studio.picture().valuesOf(id),
                        placed.node().box(), placed.toCanvas().times(placed.node().toParent().inverse())));
            }
        }
        return parts;
    }

    private static Frame.Placed free(Studio studio, String id) {
        Frame.Placed placed = studio.picture().placed(id);
        return placed == null || placed.node().locked() ? null : placed;
    }
}
