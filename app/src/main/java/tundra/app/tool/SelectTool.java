package tundra.app.tool;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import tundra.app.canvas.Viewport;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.widget.Palette;
import tundra.core.edit.Resizing;
import tundra.core.edit.Snapping;
import tundra.core.frame.Frame;
import tundra.core.frame.HitTest;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** Selects, moves, resizes and turns elements, and drags the keys of a shown motion path. */
public final class SelectTool implements Tool {
    private static final double START = 3;
    private final Studio studio;
    private final Runnable editWords;
    private final PathKeys pathKeys;
    private Gesture gesture;
    private Point hover;
    private Cursor cursor = Cursor.DEFAULT;
    private List<Snapping.Line> lines = List.of();

    /** What the pointer is doing between press and release; a press that never moves may drop an element from the selection. */
    private sealed interface Gesture {
        /** Nothing yet: it becomes a move once the pointer has gone far enough. */
        record Press(Pointer at, boolean moves, String drops) implements Gesture {}

        record Move(Point from, Map<String, Point> positions, Rect bounds, Object merge) implements Gesture {}

        record Resize(String id, Point from, Affine toParent, Resizing resizing, Object merge) implements Gesture {}

        record Turn(String id, Point centre, double pointer, double rotation, Object merge) implements Gesture {}

        record Marquee(Point from, Point to, boolean add) implements Gesture {}

        record Key(PathKeys.Grip grip, Point from, Object merge) implements Gesture {}
    }

    public SelectTool(Studio studio, Runnable editWords) {
        this.studio = studio;
        this.editWords = editWords;
        this.pathKeys = new PathKeys(studio);
    }

    @Override
    public void press(Pointer p) {
        Frame frame = studio.frame();
        Element one = studio.selected();
        Frame.Placed placed = one == null || one.locked() ? null : frame.find(one.id());
        if (studio.desk() == Desk.ANIMATE && pathKeys.at(p) instanceof PathKeys.Grip grip) {
            pathKeys.choose(grip);
            gesture = new Gesture.Key(grip, p.at(), new Object());
            return;
        }
        if (placed != null) {
            if (Handles.knob(placed, p.viewport()).distance(p.view()) <= Handles.REACH) {
                Values v = studio.builder().valuesAt(one.id(), studio.playhead());
                Point centre = placed.toCanvas().apply(v.get(Properties.PIVOT).times(placed.node().box()));
                gesture = new Gesture.Turn(one.id(), centre, angle(centre, p.at()), v.get(Properties.ROTATION), new Object());
                return;
            }
            Handles.Handle h = Handles.at(placed, p.viewport(), p.view());
            if (h != null) {
                Values v = studio.builder().valuesAt(one.id(), studio.playhead());
                Affine parent = placed.toCanvas().times(placed.node().toParent().inverse());
                gesture = new Gesture.Resize(one.id(), p.at(), parent,
                        new Resizing(one.content(), v, placed.node().box(), h.place()), new Object());
                return;
            }
        }
        pressElement(p, frame);
    }

    private void pressElement(Pointer p, Frame frame) {
        var under = HitTest.under(frame, p.at(), 3 / p.viewport().zoom());
        if (under.isEmpty()) {
            if (!p.shift()) {
                studio.select(List.of());
            }
            gesture = new Gesture.Marquee(p.at(), p.at(), p.shift());
            return;
        }
        String id = p.clicks() > 1 ? under.getFirst().getLast() : pick(under);
        if (p.clicks() > 1 && studio.board().find(id).content() instanceof Content.Text) {
            studio.select(List.of(id));
            gesture = null;
            editWords.run();
            return;
        }
        if (p.shift()) {
            if (studio.selection().contains(id)) {
                gesture = new Gesture.Press(p, true, id);
                return;
            }
            var next = new LinkedHashSet<>(studio.selection());
            next.add(id);
            studio.select(next);
        } else if (!studio.selection().contains(id)) {
            studio.select(List.of(id));
        }
        gesture = new Gesture.Press(p, studio.selection().contains(id), null);
    }

    /** The topmost element's outermost group; what is selected inside a group stays in hand. */
    private String pick(List<List<String>> under) {
        for (String id : under.getFirst()) {
            if (studio.selection().contains(id)) {
                return id;
            }
        }
        return under.getFirst().getFirst();
    }

    private static double angle(Point centre, Point at) {
        return Math.toDegrees(Math.atan2(at.y() - centre.y(), at.x() - centre.x()));
    }

    @Override
    public void drag(Pointer p) {
        if (gesture instanceof Gesture.Press press && press.moves() && press.at().view().distance(p.view()) >= START) {
            gesture = startMove(press.at().at());
        }
        switch (gesture) {
            case Gesture.Move m -> move(m, p);
            case Gesture.Resize r -> resize(r, p);
            case Gesture.Turn t -> turn(t, p);
            case Gesture.Marquee m -> gesture = new Gesture.Marquee(m.from(), p.at(), m.add());
            case Gesture.Key k -> pathKeys.drag(k.grip(), p.at().minus(k.from()), k.merge());
            case Gesture.Press press -> { }
            case null -> { }
        }
    }

    private Gesture startMove(Point from) {
        var positions = new LinkedHashMap<String, Point>();
        Rect bounds = null;
        for (String id : studio.selection()) {
            Frame.Placed placed = studio.frame().find(id);
            if (placed != null && !studio.board().find(id).locked()) {
                positions.put(id, studio.valueAt(id, Properties.POSITION));
                bounds = placed.bounds().union(bounds);
            }
        }
        return positions.isEmpty() ? null : new Gesture.Move(from, positions, bounds, new Object());
    }

    private void move(Gesture.Move m, Pointer p) {
        Point way = p.at().minus(m.from());
        if (p.shift()) {
            way = Math.abs(way.x()) > Math.abs(way.y()) ? new Point(way.x(), 0) : new Point(0, way.y());
        }
        lines = List.of();
        if (!p.ctrl()) {
            way = new Point(Math.rint(way.x()), Math.rint(way.y()));
            Rect b = m.bounds();
            var snap = Snapping.of(new Rect(b.x() + way.x(), b.y() + way.y(), b.width(), b.height()), studio.board().size(),
                    6 / p.viewport().zoom());
            boolean x = !p.shift() || way.x() != 0, y = !p.shift() || way.y() != 0;
            way = way.plus(new Point(x ? snap.by().x() : 0, y ? snap.by().y() : 0));
            lines = snap.lines().stream().filter(l -> l.vertical() ? x : y).toList();
        }
        Point by = way;
        String name = m.positions().size() == 1 ? "Move " + studio.board().find(m.positions().keySet().iterator().next()).name()
                : "Move " + m.positions().size() + " elements";
        studio.cancel(m.merge());
        studio.edit(name, m.merge(), b -> {
            Board next = b;
            for (var e : m.positions().entrySet()) {
                next = studio.set(next, e.getKey(), Properties.POSITION, e.getValue().plus(local(e.getKey(), by)));
            }
            return next;
        });
    }

    /** An offset of the canvas in the coordinates of an element's parent. */
    private Point local(String id, Point by) {
        List<String> path = Tree.path(studio.board().elements(), id);
        if (path.size() < 2) {
            return by;
        }
        Frame.Placed parent = studio.frame().find(path.get(path.size() - 2));
        return parent == null ? by : parent.toCanvas().inverse().applyOffset(by);
    }

    private void resize(Gesture.Resize r, Pointer p) {
        Point at = p.ctrl() ? p.at() : new Point(Math.rint(p.at().x()), Math.rint(p.at().y()));
        Point from = p.ctrl() ? r.from() : new Point(Math.rint(r.from().x()), Math.rint(r.from().y()));
        Point by = r.toParent().inverse().applyOffset(at.minus(from));
        var result = r.resizing().drag(by, p.shift(), p.alt());
        studio.cancel(r.merge());
        studio.edit("Resize " + studio.board().find(r.id()).name(), r.merge(), b -> studio.set(
                studio.set(b, r.id(), result.sizing(), result.sized()), r.id(), Properties.POSITION, result.position()));
    }

    private void turn(Gesture.Turn t, Pointer p) {
        double now = angle(t.centre(), p.at());
        double turned = t.rotation() + Math.IEEEremainder(now - t.pointer(), 360);
        double step = p.shift() ? 15 : p.ctrl() ? 0.1 : 1;
        double value = Numbers.round(Math.rint(turned / step) * step, 3);
        studio.cancel(t.merge());
        studio.set("Turn " + studio.board().find(t.id()).name(), t.merge(), t.id(), Properties.ROTATION, value);
    }

    @Override
    public void release(Pointer p) {
        if (gesture instanceof Gesture.Marquee m && m.from().distance(m.to()) * p.viewport().zoom() >= START) {
            var found = new LinkedHashSet<>(m.add() ? studio.selection() : List.<String>of());
            found.addAll(HitTest.meeting(studio.frame(), Rect.of(m.from(), m.to())));
            studio.select(found);
        } else if (gesture instanceof Gesture.Press press && press.drops() != null) {
            var left = new LinkedHashSet<>(studio.selection());
            left.remove(press.drops());
            studio.select(left);
        }
        gesture = null;
        lines = List.of();
    }

    @Override
    public boolean cancel() {
        boolean any = gesture != null;
        switch (gesture) {
            case Gesture.Move m -> studio.cancel(m.merge());
            case Gesture.Resize r -> studio.cancel(r.merge());
            case Gesture.Turn t -> studio.cancel(t.merge());
            case Gesture.Key k -> studio.cancel(k.merge());
            case Gesture.Marquee m -> { }
            case Gesture.Press press -> { }
            case null -> { }
        }
        gesture = null;
        lines = List.of();
        return any;
    }

    @Override
    public void move(Pointer p) {
        hover = p.at();
        Element one = studio.selected();
        Frame.Placed placed = one == null || one.locked() ? null : studio.frame().find(one.id());
        cursor = Cursor.DEFAULT;
        if (placed != null) {
            Handles.Handle h = Handles.at(placed, p.viewport(), p.view());
            if (Handles.knob(placed, p.viewport()).distance(p.view()) <= Handles.REACH) {
                cursor = Cursor.HAND;
            } else if (h != null) {
                cursor = resizeCursor(h, placed);
            }
        }
    }

    private static Cursor resizeCursor(Handles.Handle h, Frame.Placed placed) {
        Point way = placed.toCanvas().applyOffset(h.place().minus(new Point(0.5, 0.5)));
        int eighth = (int) Math.floorMod(Math.round(Math.toDegrees(Math.atan2(way.y(), way.x())) / 45), 4L);
        return List.of(Cursor.E_RESIZE, Cursor.SE_RESIZE, Cursor.S_RESIZE, Cursor.SW_RESIZE).get(eighth);
    }

    @Override
    public Cursor cursor() {
        return cursor;
    }

    @Override
    public void draw(GraphicsContext g, Viewport v) {
        SnapLines.draw(g, v, lines, studio.board().size(), studio.dark());
        if (gesture instanceof Gesture.Marquee m) {
            Point a = v.toView(m.from()), b = v.toView(m.to());
            Rect r = Rect.of(a, b);
            g.setFill(Palette.of(studio.dark()).space().deriveColor(0, 1, 1, 0.12));
            g.setStroke(Palette.of(studio.dark()).space());
            g.setLineWidth(1);
            g.fillRect(r.x(), r.y(), r.width(), r.height());
            g.strokeRect(Math.floor(r.x()) + 0.5, Math.floor(r.y()) + 0.5, Math.round(r.width()), Math.round(r.height()));
        } else if (gesture == null && hover != null && studio.selection().isEmpty()) {
            var under = new ArrayList<>(HitTest.under(studio.frame(), hover, 3 / v.zoom()));
            if (!under.isEmpty() && studio.frame().find(under.getFirst().getFirst()) instanceof Frame.Placed placed) {
                SelectionOverlay.outline(g, v, placed, Palette.of(studio.dark()).space().deriveColor(0, 1, 1, 0.6), 1);
            }
        }
    }
}
