package tundra.app.timeline;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Effect;
import tundra.core.model.Element;
import tundra.core.model.PlacedSound;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;

/** The rows of the timeline: each element with what it is called, below it a lane for each keyed property, and the sounds last. */
final class TimeRows {
    static final double ELEMENT = 30;
    static final double LANE = 34;
    static final double TALL = 46;
    /** A lane of at least this height is a curve editor. */
    static final double EDITOR = 90;
    private static final double OPENED = 150;
    private final Set<String> open = new HashSet<>();
    private final Map<String, Double> heights = new HashMap<>();
    private boolean onlyKeyed;
    private List<Row> rows = List.of();
    private Board board;

    /** A row; the property is null for the element's own row, the sound for all but the rows of sounds. */
    record Row(String element, String name, Property<?> property, PlacedSound sound, int depth, double y, double height, boolean locked,
            boolean group) {
        boolean editor() {
            return property != null && height >= EDITOR;
        }
    }

    void toggle(String element) {
        if (!open.remove(element)) {
            open.add(element);
        }
    }

    /** Whether only what has keys has a row. */
    boolean onlyKeyed() {
        return onlyKeyed;
    }

    void setOnlyKeyed(boolean on) {
        onlyKeyed = on;
    }

    void foldAll() {
        open.clear();
    }

    void unfold(String element) {
        open.add(element);
    }

    boolean unfolded(String element) {
        return open.contains(element);
    }

    private static String key(String element, Property<?> p) {
        return element + " " + p.key();
    }

    /** Makes a lane a curve editor, or low again. */
    void grow(String element, Property<?> p) {
        if (heights.remove(key(element, p)) == null) {
            heights.put(key(element, p), OPENED);
        }
    }

    void setHeight(String element, Property<?> p, double height) {
        heights.put(key(element, p), Math.max(24, Math.min(600, height)));
    }

    private double height(String element, Property<?> p) {
        return heights.getOrDefault(key(element, p), p == Properties.POSITION ? TALL : LANE);
    }

    /** @param sounds names the sounds by their assets */
    void build(Board board, Timeline t, Map<String, String> sounds) {
        this.board = board;
        var out = new ArrayList<Row>();
        double y = 0;
        if (!t.tracksOf(Board.CANVAS).isEmpty()) {
            y = lanes(out, t, Board.CANVAS, "Canvas", 0, y, false, false);
        }
        for (Element e : board.elements().reversed()) {
            if (!onlyKeyed || moves(t, e)) {
                y = element(out, t, e, 0, y);
            }
        }
        for (PlacedSound s : t.sounds()) {
            out.add(new Row(s.id(), sounds.getOrDefault(s.asset(), "Sound"), null, s, 0, y, LANE, false, false));
            y += LANE;
        }
        rows = out;
    }

    private double element(List<Row> out, Timeline t, Element e, int depth, double y) {
        double next = lanes(out, t, e.id(), e.called(), depth, y, e.locked(), e.children().stream().anyMatch(c -> moves(t, c)));
        if (open.contains(e.id())) {
            for (Element c : e.children().reversed().stream().filter(c -> moves(t, c)).toList()) {
                next = element(out, t, c, depth + 1, next);
            }
        }
        return next;
    }

    /** Whether an element or one within it has keys: a group's still children would only make the list long. */
    private static boolean moves(Timeline t, Element e) {
        return e.content() instanceof Content.Instance || !t.tracksOf(e.id()).isEmpty() || e.effects().stream()
                .anyMatch(x -> !t.tracksOf(x.id()).isEmpty())
                || t.shown().containsKey(e.id()) || e.children().stream().anyMatch(c -> moves(t, c));
    }

    /** The lanes of an element's effects that have keys, under the effects' names. */
    private double effects(List<Row> out, Timeline t, String id, int depth, double y, boolean locked) {
        double next = y;
        Element e = board.find(id);
        for (Effect x : e == null ? List.<Effect>of() : e.effects()) {
            for (Property<?> p : t.tracksOf(x.id()).keySet()) {
                String name = p.label().equals(x.kind().label) ? p.label() : x.kind().label + " · " + p.label();
                double h = height(x.id(), p);
                out.add(new Row(x.id(), name, p, null, depth, next, h, locked, false));
                next += h;
            }
        }
        return next;
    }

    private double lanes(List<Row> out, Timeline t, String id, String name, int depth, double y, boolean locked, boolean group) {
        out.add(new Row(id, name, null, null, depth, y, ELEMENT, locked, group));
        double next = y + ELEMENT;
        if (open.contains(id)) {
            for (Property<?> p : t.tracksOf(id).keySet()) {
                double h = height(id, p);
                out.add(new Row(id, p.label(), p, null, depth, next, h, locked, false));
                next += h;
            }
            next = effects(out, t, id, depth, next, locked);
        }
        return next;
    }

    List<Row> all() {
        return rows;
    }

    /** The rows that a stretch of heights touches: found by halving, since there may be hundreds. */
    List<Row> between(double top, double bottom) {
        int lo = 0, hi = rows.size();
        while (lo < hi) {
            int m = (lo + hi) >>> 1;
            if (rows.get(m).y + rows.get(m).height <= top) {
                lo = m + 1;
            } else {
                hi = m;
            }
        }
        int end = lo;
        while (end < rows.size() && rows.get(end).y < bottom) {
            end++;
        }
        return rows.subList(lo, end);
    }

    double height() {
        return rows.isEmpty() ? 0 : rows.getLast().y + rows.getLast().height;
    }

    Row at(double y) {
        List<Row> found = between(y, y + 0.5);
        return found.isEmpty() || y < 0 ? null : found.getFirst();
    }
}
