package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import tundra.core.frame.Frame;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;

/** Brings elements into line, spreads them evenly and makes them equally large. Whole moves shift, with all their keys. */
public final class Align {
    private Align() {}

    /** Which lines of the boxes meet. */
    public enum Edge {
        LEFT, CENTRE, RIGHT, TOP, MIDDLE, BOTTOM;

        boolean level() {
            return ordinal() < 3;
        }

        double of(Rect r) {
            return switch (this) {
                case LEFT -> r.x();
                case CENTRE -> r.centre().x();
                case RIGHT -> r.right();
                case TOP -> r.y();
                case MIDDLE -> r.centre().y();
                case BOTTOM -> r.bottom();
            };
        }
    }

    private record Placed(String id, Rect box) {}

    private static List<Placed> placed(Board board, Collection<String> ids, Frame seen) {
        var out = new ArrayList<Placed>();
        for (String id : ids) {
            Frame.Placed p = seen.find(id);
            Element e = board.find(id);
            if (p != null && e != null && !e.locked()) {
                out.add(new Placed(id, p.bounds()));
            }
        }
        return out;
    }

    /** The box around elements as they are seen; null when none is. */
    public static Rect around(Board board, Collection<String> ids, Frame seen) {
        return placed(board, ids, seen).stream().map(Placed::box).reduce(null, (a, b) -> b.union(a), (a, b) -> a);
    }

    /** Moves elements so that their edges meet that of a box. */
    public static Board to(Board board, Collection<String> ids, Frame seen, Edge edge, Rect target) {
        Board b = board;
        for (Placed p : placed(board, ids, seen)) {
            double d = edge.of(target) - edge.of(p.box());
            b = shift(b, p.id(), edge.level() ? new Point(d, 0) : new Point(0, d), seen);
        }
        return b;
    }

    /** Makes the gaps between neighbours equal; the outermost stay. Needs three. */
    public static Board distribute(Board board, Collection<String> ids, Frame seen, boolean level) {
        var all = placed(board, ids, seen);
        if (all.size() < 3) {
            return board;
        }
        all.sort(Comparator.comparingDouble(p -> level ? p.box().centre().x() : p.box().centre().y()));
        double from = low(all.getFirst().box(), level), to = low(all.getLast().box(), level) + length(all.getLast().box(), level);
        double taken = all.stream().mapToDouble(p -> length(p.box(), level)).sum();
        double gap = (to - from - taken) / (all.size() - 1);
        double at = from;
        Board b = board;
        for (Placed p : all) {
            double d = at - low(p.box(), level);
            b = shift(b, p.id(), level ? new Point(d, 0) : new Point(0, d), seen);
            at += length(p.box(), level) + gap;
        }
        return b;
    }

    private static double low(Rect r, boolean level) {
        return level ? r.x() : r.y();
    }

    private static double length(Rect r, boolean level) {
        return level ? r.width() : r.height();
    }

    /** Makes elements as wide, as high or both as a box on the canvas; those without a size of their own are scaled. */
    public static Board matchSize(Board board, Collection<String> ids, Frame seen, boolean width, boolean height, Rect target) {
        Board b = board;
        for (Placed p : placed(board, ids, seen)) {
            double kx = width && p.box().width() > 0 ? target.width() / p.box().width() : 1;
            double ky = height && p.box().height() > 0 ? target.height() / p.box().height() : 1;
            Point k = new Point(kx, ky);
            boolean sized = Resizing.sized(board.find(p.id()).content());
            var property = sized ? Properties.SIZE : Properties.SCALE;
            b = b.withRest(p.id(), v -> v.with(property, v.get(property).times(k)));
            for (Timeline t : board.timelines()) {
                b = b.mapTimeline(t.id(), x -> x.mapKeys(p.id(), property, key -> key.with(key.value().times(k))));
            }
        }
        return b;
    }

    private static Board shift(Board b, String id, Point by, Frame seen) {
        List<String> path = b.path(id);
        Frame.Placed parent = path.size() < 2 ? null : seen.find(path.get(path.size() - 2));
        Affine m = parent == null ? Affine.IDENTITY : parent.toCanvas().inverse();
        return Placing.shift(b, id, m.applyOffset(by));
    }
}
