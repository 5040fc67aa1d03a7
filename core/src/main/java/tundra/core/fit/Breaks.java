package tundra.core.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.ElementPaint;
import tundra.core.frame.Moment;
import tundra.core.frame.TextLayout;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Tree;
import tundra.core.work.Progress;

/** The widths at which a board is no longer right: where one of its layouts could begin. */
public final class Breaks {
    /** A place to tap should be as large along both sides, in px (WCAG 2.2, target size). */
    public static final double LEAST = 24;
    /** What reaches out or over by less is seen by nobody, in px. */
    private static final double SEEN = 0.5;
    /** Widths are looked at in steps of so many px, and between two of them each px that matters. */
    private static final int STEP = 16;

    /** What goes wrong. */
    public enum Kind {
        /** A line is wider than its text's wrap width, or a clipped group hides a part of it. */
        CUT,
        /** A place to tap is smaller than {@link Breaks#LEAST}. */
        SMALL,
        /** It leaves the canvas. */
        OUTSIDE,
        /** Two that are read or tapped lie over each other. */
        OVERLAP
    }

    /** @param other what it overlaps; null for the other kinds */
    public record Problem(Kind kind, String element, String other) {}

    /** @param width the one nearest to the drawn width at which there is the problem */
    public record Break(int width, Problem problem) {}

    /** What a problem says of a board's elements, as half a sentence. */
    public static String words(Board b, Problem p) {
        String who = "“" + b.find(p.element()).called() + "” ";
        return switch (p.kind()) {
            case CUT -> who + "is cut off";
            case SMALL -> who + "is too small to tap";
            case OUTSIDE -> who + "leaves the canvas";
            case OVERLAP -> who + "overlaps “" + b.find(p.other()).called() + "”";
        };
    }

    private final Board board;
    private final Set<String> tapped;
    private final TextMeasurer measure;
    private final long time;
    private final Map<Integer, Set<Problem>> known = new HashMap<>();
    private final List<String> read = new ArrayList<>();

    private Breaks(Board board, Set<String> tapped, TextMeasurer measure, long time) {
        this.board = board;
        this.tapped = tapped;
        this.measure = measure;
        this.time = time;
        Tree.each(board.elements(), e -> {
            if (e.content() instanceof Content.Text || tapped.contains(e.id())) {
                read.add(e.id());
            }
        });
    }

    /**
     * What begins to go wrong as a board gets narrower or wider than it is drawn, the nearest first. What is wrong as it is drawn is meant so.
     *
     * @param board in one of its layouts, at its own size
     * @param from the least width that is looked at, in px
     * @param to the greatest
     * @param tapped the ids of what can be tapped
     * @param time after the board was opened, in µs
     */
    public static List<Break> of(Board board, int from, int to, Set<String> tapped, TextMeasurer measure, long time, Progress progress) {
        var b = new Breaks(board, tapped, measure, time);
        int drawn = (int) Math.round(board.size().x());
        var out = new ArrayList<Break>();
        b.begun(drawn, from, -STEP, out, progress);
        b.begun(drawn, to, STEP, out, progress);
        out.sort(Comparator.comparingInt((Break x) -> Math.abs(x.width() - drawn)).thenComparing(x -> x.problem().kind()));
        return out;
    }

    private void begun(int drawn, int end, int step, List<Break> out, Progress progress) {
        Set<Problem> met = new LinkedHashSet<>(at(drawn));
        for (int was = drawn; step < 0 ? was > end : was < end;) {
            int now = step < 0 ? Math.max(end, was + step) : Math.min(end, was + step);
            progress.check();
            for (Problem p : at(now)) {
                if (met.add(p)) {
                    out.add(new Break(first(p, was, now), p));
                }
            }
            was = now;
        }
    }

    /** The width next to {@code without} at which there is a problem. */
    private int first(Problem p, int without, int with) {
        int free = without, wrong = with;
        while (Math.abs(wrong - free) > 1) {
            int middle = (free + wrong) / 2;
            if (at(middle).contains(p)) {
                wrong = middle;
            } else {
                free = middle;
            }
        }
        return wrong;
    }

    private Set<Problem> at(int width) {
        return known.computeIfAbsent(width, w -> problems(Room.of(board, new Point(w, board.size().y()), measure, time)));
    }

    private Set<Problem> problems(Board b) {
        Frame f = new FrameBuilder(b, measure).at(Moment.opened(b, time));
        Map<String, Frame.Placed> placed = f.index();
        var out = new LinkedHashSet<Problem>();
        Rect canvas = new Rect(0, 0, b.size().x(), b.size().y());
        placed.forEach((id, at) -> {
            List<String> path = b.path(id);
            if (path.isEmpty() || at.node().marks().isEmpty() || !seen(placed, path)) {
                return;
            }
            if (beyond(at.bounds(), canvas)) {
                out.add(new Problem(Kind.OUTSIDE, path.getFirst(), null));
            }
        });
        var areas = new ArrayList<Map.Entry<String, Rect>>();
        for (String id : read) {
            Frame.Placed at = placed.get(id);
            List<String> path = b.path(id);
            if (at == null || !seen(placed, path)) {
                continue;
            }
            Rect area = at.bounds();
            areas.add(Map.entry(id, area));
            if (tapped.contains(id) && (area.width() < LEAST || area.height() < LEAST)) {
                out.add(new Problem(Kind.SMALL, id, null));
            }
            if (b.find(id).content() instanceof Content.Text && cut(b, placed, path)) {
                out.add(new Problem(Kind.CUT, id, null));
            }
        }
        for (int i = 0; i < areas.size(); i++) {
            for (int j = 0; j < i; j++) {
                String one = areas.get(i).getKey(), other = areas.get(j).getKey();
                if (over(areas.get(i).getValue(), areas.get(j).getValue()) && !b.path(one).contains(other) && !b.path(other).contains(one)) {
                    out.add(new Problem(Kind.OVERLAP, one, other));
                }
            }
        }
        return out;
    }

    private static boolean seen(Map<String, Frame.Placed> placed, List<String> path) {
        return path.stream().allMatch(x -> placed.get(x) != null && placed.get(x).node().opacity() > 0.01);
    }

    private static boolean over(Rect a, Rect b) {
        return Math.min(a.right(), b.right()) - Math.max(a.x(), b.x()) > SEEN && Math.min(a.bottom(), b.bottom()) - Math.max(a.y(), b.y()) > SEEN;
    }

    private static boolean beyond(Rect r, Rect in) {
        return r.x() < in.x() - SEEN || r.y() < in.y() - SEEN || r.right() > in.right() + SEEN || r.bottom() > in.bottom() + SEEN;
    }

    private boolean cut(Board b, Map<String, Frame.Placed> placed, List<String> path) {
        Element e = b.find(path.getLast());
        var t = (Content.Text) ElementPaint.resolved((Content.Text) e.content(), e.rest());
        if (t.wrap() > 0 && TextLayout.of(t, measure).box().x() > t.wrap() + SEEN) {
            return true;
        }
        Rect area = placed.get(e.id()).bounds();
        return path.subList(0, path.size() - 1).stream().anyMatch(g -> b.find(g).rest().get(Properties.OVERFLOW).equals("clipped")
                && beyond(area, placed.get(g).bounds()));
    }
}
