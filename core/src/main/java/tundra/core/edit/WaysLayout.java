package tundra.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/**
 * Where the scenes of a piece and the ways between them lie when all of them are looked at.
 *
 * @param cards by scene
 * @param arrows one for each way between two scenes; several between the same two lie beside each other
 */
public record WaysLayout(Map<String, Rect> cards, List<Arrow> arrows) {
    private static final double APART = 22, GAP = 90, LABEL = 26;

    /** Ways from one scene to another. */
    public record Arrow(List<Ways.Way> ways, Cubic line) {}

    /** @param scenes their ids in order */
    public static WaysLayout of(List<String> scenes, Ways ways, double width, double height, double ratio) {
        int columns = Math.max(1, Math.min(scenes.size(), (int) Math.ceil(Math.sqrt(scenes.size() * width / Math.max(1, height) / ratio / 1.2)))),
                rows = (scenes.size() + columns - 1) / columns;
        double w = Math.max(80, Math.min(360, Math.min((width - GAP * (columns + 1)) / columns, (height - GAP * (rows + 1)) / rows * ratio))),
                h = w / ratio + LABEL;
        double left = (width - columns * w - (columns - 1) * GAP) / 2, top = (height - rows * h - (rows - 1) * GAP * 0.8) / 2;
        var cards = new HashMap<String, Rect>();
        for (int i = 0; i < scenes.size(); i++) {
            cards.put(scenes.get(i), new Rect(left + i % columns * (w + GAP), top + i / columns * (h + GAP * 0.8), w, h));
        }
        var between = new LinkedHashMap<List<String>, List<Ways.Way>>();
        ways.all().stream().filter(x -> x.to() != null && !x.to().equals(x.from()))
                .forEach(x -> between.computeIfAbsent(List.of(x.from(), x.to()), k -> new ArrayList<>()).add(x));
        var arrows = new ArrayList<Arrow>();
        between.forEach((pair, all) -> arrows.add(new Arrow(all, line(cards.get(pair.getFirst()), cards.get(pair.getLast())))));
        return new WaysLayout(cards, arrows);
    }

    /** From the side of one card to that of another, bent to the right of its way so that the way back lies beside it. */
    private static Cubic line(Rect from, Rect to) {
        Point a = from.centre(), b = to.centre(), d = b.minus(a);
        double length = Math.max(1, Math.hypot(d.x(), d.y()));
        Point side = new Point(-d.y() / length, d.x() / length).times(APART);
        Point begin = edge(from, a.plus(side), d), end = edge(to, b.plus(side), d.times(-1));
        Point bend = side.times(0.8 + length / 700);
        return new Cubic(begin, begin.lerp(end, 0.3).plus(bend), begin.lerp(end, 0.7).plus(bend), end);
    }

    /** Where a line from within a card leaves it. */
    private static Point edge(Rect r, Point from, Point way) {
        double x = way.x() > 0 ? (r.right() - from.x()) / way.x() : way.x() < 0 ? (r.x() - from.x()) / way.x() : Double.MAX_VALUE;
        double y = way.y() > 0 ? (r.bottom() - from.y()) / way.y() : way.y() < 0 ? (r.y() - from.y()) / way.y() : Double.MAX_VALUE;
        double k = Math.max(0, Math.min(x, y));
        return from.plus(way.times(k));
    }

    /** The arrow that lies within some px of a point; null for none. */
    public Arrow at(Point p, double within) {
        Arrow nearest = null;
        double least = within;
        for (Arrow a : arrows) {
            for (double t = 0; t <= 1; t += 0.02) {
                double d = a.line.at(t).minus(p).length();
                if (d < least) {
                    least = d;
                    nearest = a;
                }
            }
        }
        return nearest;
    }
}
