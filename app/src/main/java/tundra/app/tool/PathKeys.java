package tundra.app.tool;

import java.util.List;
import tundra.app.studio.Studio;
import tundra.core.edit.Keys;
import tundra.core.frame.Frame;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** The keys of the selected element's motion path on the canvas: found under the pointer, dragged with their handles. */
public final class PathKeys {
    private static final double REACH = 8;
    private final Studio studio;

    public PathKeys(Studio studio) {
        this.studio = studio;
    }

    /** Which part of a key is held. */
    public enum Part {
        KEY, IN, OUT
    }

    /** A key that is held, as it was when it was taken. */
    public record Grip(Keys.Ref ref, Part part, Key<Point> start, String timeline) {}

    /** The position keys that are shown; null for none. */
    public Track<Point> track() {
        Element e = studio.selected();
        Timeline t = e == null ? null : studio.timelineOf(e.id(), Properties.POSITION);
        return t == null ? null : t.track(e.id(), Properties.POSITION);
    }

    /** From the coordinates of the element's parent to the canvas. */
    public Affine toCanvas() {
        Element e = studio.selected();
        List<String> path = Tree.path(studio.board().elements(), e.id());
        Frame.Placed parent = path.size() < 2 ? null : studio.frame().find(path.get(path.size() - 2));
        return parent == null ? Affine.IDENTITY : parent.toCanvas();
    }

    Grip at(Pointer p) {
        Track<Point> track = track();
        if (track == null || track.keys().size() < 2) {
            return null;
        }
        Element e = studio.selected();
        Affine m = toCanvas();
        String timeline = studio.timelineOf(e.id(), Properties.POSITION).id();
        for (Key<Point> k : track.keys()) {
            var ref = new Keys.Ref(e.id(), Properties.POSITION, k.time());
            if (studio.keys().contains(ref)) {
                for (Part part : List.of(Part.IN, Part.OUT)) {
                    Point h = part == Part.IN ? k.in() : k.out();
                    if (!h.equals(Point.ZERO) && near(p, m.apply(k.value().plus(h)))) {
                        return new Grip(ref, part, k, timeline);
                    }
                }
            }
            if (near(p, m.apply(k.value()))) {
                return new Grip(ref, Part.KEY, k, timeline);
            }
        }
        return null;
    }

    private static boolean near(Pointer p, Point canvas) {
        return p.viewport().toView(canvas).distance(p.view()) <= REACH;
    }

    /** Selects a key and goes to its time. */
    void choose(Grip g) {
        studio.showTimeline(g.timeline());
        studio.selectKeys(List.of(g.ref()));
        studio.seek(g.ref().time());
    }

    void drag(Grip g, Point by, Object merge) {
        Point local = toCanvas().inverse().applyOffset(by);
        Key<Point> k = g.start();
        studio.cancel(merge);
        String name = studio.board().find(g.ref().element()).name();
        studio.edit(g.part() == Part.KEY ? "Move key of " + name : "Bend path of " + name, merge, b -> moved(b, g, k, local));
    }

    private static Board moved(Board b, Grip g, Key<Point> k, Point by) {
        if (g.part() == Part.KEY) {
            return b.mapTimeline(g.timeline(), t -> t.mapKeys(g.ref().element(), Properties.POSITION,
                    x -> x.time() == k.time() ? x.with(k.value().plus(by)) : x));
        }
        boolean in = g.part() == Part.IN;
        Point held = (in ? k.in() : k.out()).plus(by), other = in ? k.out() : k.in();
        // the far handle stays in line and keeps its length
        Point far = other.equals(Point.ZERO) || held.length() < 1e-6 ? other : held.times(-other.length() / held.length());
        return Keys.handles(b, g.timeline(), g.ref(), in ? held : far, in ? far : held);
    }
}
