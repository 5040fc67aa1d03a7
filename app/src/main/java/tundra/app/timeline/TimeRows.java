package tundra.app.timeline;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Property;
import tundra.core.model.Timeline;

/** The rows of the timeline: each element with what it is called, and below it a lane for each keyed property. */
final class TimeRows {
    static final double ELEMENT = 30;
    static final double LANE = 34;
    static final double TALL = 46;
    private final Set<String> open = new HashSet<>();
    private List<Row> rows = List.of();

    /** A row; the property is null for the element's own row. */
    record Row(String element, String name, Property<?> property, int depth, double y, double height, boolean locked, boolean group) {}

    void toggle(String element) {
        if (!open.remove(element)) {
            open.add(element);
        }
    }

    void unfold(String element) {
        open.add(element);
    }

    boolean unfolded(String element) {
        return open.contains(element);
    }

    void build(Board board, Timeline t) {
        var out = new ArrayList<Row>();
        double y = 0;
        if (!t.tracksOf(Board.CANVAS).isEmpty()) {
            y = lanes(out, t, Board.CANVAS, "Canvas", 0, y, false, false);
        }
        for (Element e : board.elements().reversed()) {
            y = element(out, t, e, 0, y);
        }
        rows = out;
    }

    private double element(List<Row> out, Timeline t, Element e, int depth, double y) {
        double next = lanes(out, t, e.id(), e.name(), depth, y, e.locked(), e.children().stream().anyMatch(c -> moves(t, c)));
        if (open.contains(e.id())) {
            for (Element c : e.children().reversed().stream().filter(c -> moves(t, c)).toList()) {
                next = element(out, t, c, depth + 1, next);
            }
        }
        return next;
    }

    /** Whether an element or one within it has keys: a group's still children would only make the list long. */
    private static boolean moves(Timeline t, Element e) {
        return !t.tracksOf(e.id()).isEmpty() || e.children().stream().anyMatch(c -> moves(t, c));
    }

    private double lanes(List<Row> out, Timeline t, String id, String name, int depth, double y, boolean locked, boolean group) {
        out.add(new Row(id, name, null, depth, y, ELEMENT, locked, group));
        double next = y + ELEMENT;
        if (open.contains(id)) {
            for (Property<?> p : t.tracksOf(id).keySet()) {
                double h = p == tundra.core.model.Properties.POSITION ? TALL : LANE;
                out.add(new Row(id, p.label(), p, depth, next, h, locked, false));
                next += h;
            }
        }
        return next;
    }

    List<Row> all() {
        return rows;
    }

    double height() {
        return rows.isEmpty() ? 0 : rows.getLast().y + rows.getLast().height;
    }

    Row at(double y) {
        return rows.stream().filter(r -> y >= r.y && y < r.y + r.height).findFirst().orElse(null);
    }
}
