package tundra.app.tool;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javafx.scene.Cursor;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.core.draw.NodeEdit;
import tundra.core.draw.NodeEdit.Ref;
import tundra.core.edit.Arrange;
import tundra.core.edit.EditScope;
import tundra.core.edit.Reshape;
import tundra.core.frame.ElementPaint;
import tundra.core.frame.Frame;
import tundra.core.frame.HitTest;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Morph;
import tundra.core.model.Properties;

/**
 * Reshapes the selected shapes by their nodes, several at once. Dragging a segment bends it, a double click on it adds a node;
 * Shift keeps direction or angle, Alt frees a handle from its partner, Ctrl mirrors it.
 */
public final class NodesTool implements Tool {
    private static final double START = 3;
    static final double APART = 9;
    final Studio studio;
    private final NodesPainter painter = new NodesPainter(this);
    final NodeHits hits = new NodeHits(this);
    private final Map<String, Set<Ref>> chosen = new LinkedHashMap<>();
    Gesture gesture;
    Over hover;

    /** A shape whose nodes are shown: its outline in its content's box, and the way from there to the canvas. */
    record Shown(Element element, Outline outline, Affine toCanvas) {
        String id() {
            return element.id();
        }
    }

    /** What lies under the pointer. */
    sealed interface Over {
        record OnNode(Shown shown, Ref ref) implements Over {}

        record OnHandle(Shown shown, Ref ref, boolean out) implements Over {}

        record OnLine(Shown shown, NodeEdit.OnSegment at) implements Over {}
    }

    sealed interface Gesture {
        record Press(Over over, Pointer at) implements Gesture {}

        record Move(Map<String, Shown> shown, Map<String, Set<Ref>> refs, Point from, Object merge) implements Gesture {}

        record Pull(Shown shown, Ref ref, boolean out, Object merge) implements Gesture {}

        record Bend(Shown shown, NodeEdit.OnSegment at, Point from, Object merge) implements Gesture {}

        record Marquee(Point from, Point to, boolean add) implements Gesture {}
    }

    public NodesTool(Studio studio) {
        this.studio = studio;
    }

    // --- what is shown ---

    List<Shown> shown() {
        var out = new ArrayList<Shown>();
        for (String id : studio.selection()) {
            Element e = studio.board().find(id);
            Frame.Placed placed = e == null || e.locked() ? null : studio.picture().frame().find(id);
            if (placed != null && e.content() instanceof Content.Shape s) {
                Outline o = s instanceof Content.Path p ? seen(e.id(), p) : ElementPaint.form(s, e.rest()).outline();
                Point box = s instanceof Content.Path p ? p.box() : e.rest().get(Properties.SIZE);
                Point size = placed.node().box();
                out.add(new Shown(e, o, placed.toCanvas().times(Affine.scale(box.x() == 0 ? 1 : size.x() / box.x(),
                        box.y() == 0 ? 1 : size.y() / box.y()))));
            }
        }
        return out;
    }

    /** The outline at the playhead. */
    private Outline seen(String id, Content.Path p) {
        return keyed(id) ? studio.target().valueAt(id, Properties.OUTLINE) : p.outline();
    }

    private boolean keyed(String id) {
        return studio.time().moving(id, Properties.OUTLINE).track(id, Properties.OUTLINE) != null;
    }

    Set<Ref> chosenOf(Shown s) {
        var refs = new TreeSet<>(chosen.getOrDefault(s.id(), Set.of()));
        refs.removeIf(r -> r.contour() >= s.outline().contours().size() || r.node() >= s.outline().contours().get(r.contour()).nodes().size());
        return refs;
    }

    // --- the pointer ---

    @Override
    public void press(Pointer p) {
        Over over = hits.at(p);
        if (over instanceof Over.OnLine line && p.clicks() > 1) {
            insert(line);
            gesture = null;
            return;
        }
        if (over instanceof Over.OnNode n) {
            choose(n, p);
        }
        if (over == null) {
            var under = HitTest.under(studio.picture().frame(), p.at(), 3 / p.viewport().zoom());
            if (!under.isEmpty() && !studio.selection().contains(under.getFirst().getLast())) {
                String id = under.getFirst().getLast();
                var ids = new LinkedHashSet<>(p.shift() ? studio.selection() : Set.<String>of());
                ids.add(id);
                studio.select(ids);
                chosen.clear();
                gesture = null;
                return;
            }
            gesture = new Gesture.Marquee(p.at(), p.at(), p.shift());
            return;
        }
        gesture = new Gesture.Press(over, p);
    }

    private void choose(Over.OnNode n, Pointer p) {
        Set<Ref> of = chosen.computeIfAbsent(n.shown().id(), k -> new TreeSet<>());
        boolean has = of.contains(n.ref());
        if (p.shift()) {
            if (has) {
                of.remove(n.ref());
            } else {
                of.add(n.ref());
            }
        } else if (!has) {
            chosen.clear();
            chosen.put(n.shown().id(), new TreeSet<>(Set.of(n.ref())));
        }
    }

    @Override
    public void drag(Pointer p) {
        if (gesture instanceof Gesture.Press press && press.at().view().distance(p.view()) >= START) {
            gesture = begin(press);
        }
        switch (gesture) {
            case Gesture.Move m -> move(m, p);
            case Gesture.Pull l -> pull(l, p);
            case Gesture.Bend b -> bend(b, p);
            case Gesture.Marquee m -> gesture = new Gesture.Marquee(m.from(), p.at(), m.add());
            case Gesture.Press press -> { }
            case null -> { }
        }
    }

    private Gesture begin(Gesture.Press press) {
        return switch (press.over()) {
            case Over.OnNode n -> {
                var shown = new LinkedHashMap<String, Shown>();
                var refs = new LinkedHashMap<String, Set<Ref>>();
                for (Shown s : shown()) {
                    if (!chosenOf(s).isEmpty()) {
                        shown.put(s.id(), s);
                        refs.put(s.id(), chosenOf(s));
                    }
                }
                yield new Gesture.Move(shown, refs, press.at().at(), new Object());
            }
            case Over.OnHandle h -> new Gesture.Pull(h.shown(), h.ref(), h.out(), new Object());
            case Over.OnLine l -> new Gesture.Bend(l.shown(), l.at(), press.at().at(), new Object());
        };
    }

    private void move(Gesture.Move m, Pointer p) {
        Point way = p.at().minus(m.from());
        if (p.shift()) {
            way = Math.abs(way.x()) > Math.abs(way.y()) ? new Point(way.x(), 0) : new Point(0, way.y());
        }
        Point by = p.ctrl() ? way : DrawnShapes.tenth(way);
        studio.again("Move nodes", m.merge(), b -> {
            Board out = b;
            for (Shown s : m.shown().values()) {
                Point local = s.toCanvas().inverse().applyOffset(by);
                out = reshaped(out, s, NodeEdit.map(s.outline(), m.refs().get(s.id()), n -> new Node(n.at().plus(local), n.in(), n.out(),
                        n.smooth())));
            }
            return out;
        });
    }

    /** Where outlines have keys, and where a key is asked for, the form at the playhead changes; else the form itself. */
    private Board reshaped(Board b, Shown s, Outline outline) {
        if (keyed(s.id()) || studio.desk() == Desk.ANIMATE && studio.target().scope() == EditScope.KEY) {
            return studio.target().set(Reshape.toPath(b, s.id()), s.id(), Properties.OUTLINE, outline);
        }
        return Reshape.outline(Reshape.toPath(b, s.id()), s.id(), outline);
    }

    private void edit(String name, Object merge, Shown s, Outline outline) {
        studio.edit(name, merge, b -> reshaped(b, s, outline));
    }

    /** The first chosen node of a closed contour becomes the one that it begins with: morphs match nodes from there. */
    public void startNode() {
        for (Shown s : shown()) {
            var refs = chosenOf(s);
            if (!refs.isEmpty()) {
                Ref r = refs.iterator().next();
                edit("Begin outline at node", null, s, Morph.startingAt(s.outline(), r.contour(), r.node()));
                chosen.put(s.id(), new TreeSet<>(Set.of(new Ref(r.contour(), 0))));
                return;
            }
        }
    }

    private void pull(Gesture.Pull l, Pointer p) {
        Node n = NodeEdit.node(l.shown().outline(), l.ref());
        Point at = l.shown().toCanvas().apply(n.at());
        Point to = p.shift() ? DrawnShapes.stepped(at, p.at(), 15) : p.at();
        Point handle = l.shown().toCanvas().inverse().applyOffset(to.minus(at));
        Outline pulled = NodeEdit.map(l.shown().outline(), Set.of(l.ref()), x -> NodeEdit.pull(x, l.out(), handle, p.ctrl(), p.alt()));
        studio.again("Pull handle", l.merge(), s -> reshaped(s, l.shown(), pulled));
    }

    private void bend(Gesture.Bend b, Pointer p) {
        Point by = b.shown().toCanvas().inverse().applyOffset(p.at().minus(b.from()));
        Outline bent = NodeEdit.bend(b.shown().outline(), b.at(), by);
        studio.again("Bend segment", b.merge(), s -> reshaped(s, b.shown(), bent));
    }

    private void insert(Over.OnLine line) {
        edit("Add node", null, line.shown(), NodeEdit.insert(line.shown().outline(), line.at()));
        chosen.clear();
        chosen.put(line.shown().id(), new TreeSet<>(Set.of(new Ref(line.at().contour(), line.at().segment() + 1))));
    }

    @Override
    public void release(Pointer p) {
        if (gesture instanceof Gesture.Marquee m) {
            if (!m.add()) {
                chosen.clear();
            }
            if (m.from().distance(m.to()) * p.viewport().zoom() < START) {
                if (!m.add() && HitTest.under(studio.picture().frame(), p.at(), 3 / p.viewport().zoom()).isEmpty()) {
                    studio.select(List.of());
                }
            } else {
                Rect r = Rect.of(m.from(), m.to());
                for (Shown s : shown()) {
                    chosen.computeIfAbsent(s.id(), k -> new TreeSet<>())
                            .addAll(NodeEdit.inside(s.outline(), x -> r.contains(s.toCanvas().apply(x))));
                }
            }
        }
        gesture = null;
    }

    @Override
    public void move(Pointer p) {
        hover = hits.at(p);
    }

    @Override
    public boolean cancel() {
        boolean any = gesture != null;
        switch (gesture) {
            case Gesture.Move m -> studio.cancel(m.merge());
            case Gesture.Pull l -> studio.cancel(l.merge());
            case Gesture.Bend b -> studio.cancel(b.merge());
            case Gesture.Marquee m -> { }
            case Gesture.Press press -> { }
            case null -> any = !chosen.values().stream().allMatch(Set::isEmpty);
        }
        if (gesture == null) {
            chosen.clear();
        }
        gesture = null;
        return any;
    }

    // --- commands ---

    /** Whether nodes are chosen. */
    @Override
    public boolean chose() {
        return shown().stream().anyMatch(s -> !chosenOf(s).isEmpty());
    }

    private interface Change {
        Outline of(Outline o, Set<Ref> refs);
    }

    private void each(String name, Change change) {
        var all = shown();
        studio.edit(name, b -> {
            Board out = b;
            for (Shown s : all) {
                Set<Ref> refs = chosenOf(s);
                if (!refs.isEmpty()) {
                    Outline o = change.of(s.outline(), refs);
                    out = o.contours().isEmpty() ? Arrange.delete(out, List.of(s.id())) : reshaped(out, s, o);
                }
            }
            return out;
        });
    }

    @Override
    public void delete() {
        each("Delete nodes", NodeEdit::delete);
        chosen.clear();
    }

    public void convert(NodeEdit.Kind kind) {
        each(switch (kind) {
            case CORNER -> "Make nodes corners";
            case SMOOTH -> "Make nodes smooth";
            case SYMMETRIC -> "Make nodes symmetric";
        }, (o, refs) -> NodeEdit.convert(o, refs, kind));
    }

    public void breakNodes() {
        each("Break path", NodeEdit::breakAt);
        chosen.clear();
    }

    /** Joins the two chosen ends of one path; with none or one chosen, closes it. */
    public void join() {
        each("Join ends", (o, refs) -> {
            var two = List.copyOf(refs);
            return two.size() == 2 ? NodeEdit.join(o, two.get(0), two.get(1)) : NodeEdit.withClosed(o, true);
        });
        chosen.clear();
    }

    @Override
    public void nudge(Point by) {
        each("Nudge nodes", (o, refs) -> NodeEdit.map(o, refs, n -> new Node(n.at().plus(by), n.in(), n.out(), n.smooth())));
    }

    @Override
    public boolean chooseAll() {
        if (studio.selection().isEmpty()) {
            return false;
        }
        shown().forEach(s -> chosen.put(s.id(), new TreeSet<>(NodeEdit.inside(s.outline(), x -> true))));
        return true;
    }

    // --- the picture ---

    @Override
    public Cursor cursor() {
        return hover instanceof Over.OnNode || hover instanceof Over.OnHandle ? Cursor.HAND
                : hover instanceof Over.OnLine ? Cursor.CROSSHAIR : Cursor.DEFAULT;
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        painter.draw(g, v);
    }
}
