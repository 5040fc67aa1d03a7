package tundra.app.tool;

import java.util.List;
import tundra.app.studio.Studio;
import tundra.core.edit.EditScope;
import tundra.core.edit.Keys;
import tundra.core.edit.Paths;
import tundra.core.edit.TimeText;
import tundra.core.frame.Frame;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.motion.Key;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;
import tundra.core.motion.WholeWay;

/** The keys of a motion path on the canvas: found under the pointer, added on the path, dragged with their handles. */
public final class PathKeys {
    private static final double REACH = 8;
    private static final double LINE = 5;
    private final Studio studio;

    public PathKeys(Studio studio) {
        this.studio = studio;
    }

    /** Which part of a path is held; NEW is a place between the keys. */
    public enum Part {
        KEY, IN, OUT, NEW
    }

    /** A key that is held, with the handles that were seen when it was taken. */
    public record Grip(Keys.Ref ref, Part part, Key<Point> start, String timeline) {}

    /** The position keys of an element; null for none. */
    public Track<Point> track(Element e) {
        Timeline t = e == null ? null : studio.time().moving(e.id(), Properties.POSITION);
        return t == null ? null : t.track(e.id(), Properties.POSITION);
    }

    /** From the coordinates of an element's parent to the canvas. */
    public Affine toCanvas(Element e) {
        List<String> path = studio.board().path(e.id());
        Frame.Placed parent = path.size() < 2 ? null : studio.picture().frame().find(path.get(path.size() - 2));
        return parent == null ? Affine.IDENTITY : parent.toCanvas();
    }

    Grip at(Pointer p) {
        Element e = studio.selected();
        Track<Point> track = track(e);
        if (track == null || track.keys().size() < 2) {
            return null;
        }
        Affine m = toCanvas(e);
        String timeline = studio.time().moving(e.id(), Properties.POSITION).id();
        var path = new MotionPath(track);
        for (Key<Point> k : path.keys()) {
            var ref = new Keys.Ref(e.id(), Properties.POSITION, k.time());
            if (studio.time().keys().contains(ref)) {
                for (Part part : List.of(Part.IN, Part.OUT)) {
                    Point h = part == Part.IN ? k.in() : k.out();
                    if (!h.equals(Point.ZERO) && near(p, m.apply(k.value().plus(h)), REACH)) {
                        return new Grip(ref, part, k, timeline);
                    }
                }
            }
        }
        Key<Point> k = bead(p, e, path, m);
        if (k != null) {
            var ref = new Keys.Ref(e.id(), Properties.POSITION, k.time());
            // with Alt a handle is pulled out of the key
            return new Grip(ref, p.alt() && studio.time().keys().contains(ref) ? Part.OUT : Part.KEY, k, timeline);
        }
        return between(p, e, track, path, m, timeline);
    }

    /**
     * The key under the pointer: the one at the playhead before others, of those the nearest. One that lies where the element itself is
     * taken hold of does not count while the playhead stands elsewhere or edits go elsewhere, since a press there means the element.
     */
    private Key<Point> bead(Pointer p, Element e, MotionPath path, Affine m) {
        Frame.Placed placed = studio.picture().frame().find(e.id());
        Point pivot = placed == null ? null : p.viewport().toView(placed.toCanvas().apply(studio.target().valueAt(e.id(), Properties.PIVOT)
                .times(placed.node().box())));
        Key<Point> best = null;
        double least = REACH;
        for (Key<Point> k : path.keys()) {
            Point at = p.viewport().toView(m.apply(k.value()));
            double d = at.distance(p.view());
            // keys of a way with one easing stand where they are passed, which is seldom on a frame
            boolean here = studio.target().scope() == EditScope.KEY && Math.abs(k.time() - studio.time().playhead()) <= (WholeWay.is(path.track())
                    ? studio.project().frameTime(1) / 2 : 0);
            if (here && d <= REACH) {
                return k;
            }
            boolean under = pivot != null && pivot.distance(at) <= REACH;
            if (!under && d <= least) {
                least = d;
                best = k;
            }
        }
        return best;
    }

    /** A place on the line where a key can be added: beside the art of the element, which a press there means. */
    private Grip between(Pointer p, Element e, Track<Point> track, MotionPath path, Affine m, String timeline) {
        Frame.Placed placed = studio.picture().frame().find(e.id());
        Rect art = placed == null ? null : placed.bounds();
        if (art != null && art.contains(p.at())) {
            return null;
        }
        for (int i = 0; i + 1 < track.keys().size(); i++) {
            Cubic c = path.segment(i).through(m);
            for (int k = 1; k < 64; k++) {
                if (near(p, c.at(k / 64.0), LINE)) {
                    long at = timeAt(path, m, p, track.keys().get(i).time(), track.keys().get(i + 1).time());
                    return new Grip(new Keys.Ref(e.id(), Properties.POSITION, at), Part.NEW, null, timeline);
                }
            }
        }
        return null;
    }

    /** The frame within an interval at which the path is nearest to the pointer. */
    private long timeAt(MotionPath path, Affine m, Pointer p, long from, long to) {
        long best = (from + to) / 2;
        double least = Double.MAX_VALUE;
        long a = studio.project().frameAt(from), b = studio.project().frameAt(to);
        for (long f = a; f <= b; f++) {
            long t = studio.project().frameTime(f);
            double d = m.apply(path.at(t)).distance(p.at());
            if (t > from && t < to && d < least) {
                least = d;
                best = t;
            }
        }
        return best;
    }

    private static boolean near(Pointer p, Point canvas, double reach) {
        return p.viewport().toView(canvas).distance(p.view()) <= reach;
    }

    /** The place among the keys of the one that is dragged; -1 before a drag. */
    private int held = -1;

    /** What a drag of what lies under the pointer would do, where it isn't what the strip says anyway; null for nothing. */
    String words(Pointer p) {
        Grip g = at(p);
        if (g == null || g.part() == Part.KEY && g.ref().time() == studio.time().playhead()) {
            return null;
        }
        String name = studio.board().find(g.ref().element()).name(), at = TimeText.seconds(g.ref().time());
        return switch (g.part()) {
            case KEY -> "dragging this bead changes where " + name + " is at " + at;
            case NEW -> "pressing the line adds a key of " + name + " at " + at;
            default -> "dragging this handle bends the way of " + name;
        };
    }

    /** Selects a key and goes to its time; on the line between keys a new one is made first. Gives back what is held then. */
    Grip choose(Grip g, Object merge) {
        this.held = -1;
        studio.time().choose(g.timeline());
        Grip held = g;
        if (g.part() == Part.NEW) {
            Element e = studio.board().find(g.ref().element());
            studio.edit("Add key to path of " + e.name(), merge, b -> Keys.addAt(b, g.timeline(), e.id(), Properties.POSITION, g.ref().time()));
            Key<Point> made = track(e).keyAt(g.ref().time());
            held = new Grip(g.ref(), Part.KEY, made, g.timeline());
        }
        studio.time().selectKeys(List.of(g.ref()));
        studio.time().seek(g.ref().time());
        return held;
    }

    /** @param apart whether the two handles of a key move each on its own */
    void drag(Grip g, Board before, Point by, Point to, boolean apart, Object merge) {
        Element e = studio.board().find(g.ref().element());
        Affine m = toCanvas(e).inverse();
        Key<Point> k = g.start();
        Track<Point> was = (before == null ? studio.board() : before).timeline(g.timeline()).track(e.id(), Properties.POSITION);
        int index = held < 0 ? was.before(k.time()) : held;
        held = index;
        String name = (g.part() == Part.KEY ? "Move key of " : "Bend path of ") + e.name();
        studio.again(name, merge, b -> {
            Board from = before == null ? b : before;
            return g.part() == Part.KEY ? Paths.move(from, g.timeline(), e.id(), k.time(), k.value().plus(m.applyOffset(by)))
                    : handled(from, g, k, m.apply(to).minus(k.value()), apart);
        });
        follow(e, index, g);
    }

    /** A key of a way with one easing comes to another time where the way changes: it stays chosen. */
    private void follow(Element e, int index, Grip g) {
        Track<Point> now = track(e);
        if (WholeWay.is(now) && index >= 0 && index < now.keys().size()) {
            studio.time().selectKeys(List.of(new Keys.Ref(g.ref().element(), Properties.POSITION, now.keys().get(index).time())));
        }
    }

    private static Board handled(Board b, Grip g, Key<Point> k, Point held, boolean apart) {
        boolean in = g.part() == Part.IN;
        Point other = in ? k.out() : k.in();
        // joined, the far handle stays in line and keeps its length
        double length = other.equals(Point.ZERO) ? held.length() : other.length();
        Point far = apart || held.length() < 1e-6 ? other : held.times(-length / held.length());
        return Keys.handles(b, g.timeline(), g.ref(), in ? held : far, in ? far : held);
    }
}
