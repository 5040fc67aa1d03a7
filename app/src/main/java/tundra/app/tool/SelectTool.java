package tundra.app.tool;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Cursor;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Desk;
import tundra.app.studio.PathsShown;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.edit.Placing;
import tundra.core.edit.Resizing;
import tundra.core.edit.ResizingSeveral;
import tundra.core.edit.Snapping;
import tundra.core.edit.TurningSeveral;
import tundra.core.frame.Frame;
import tundra.core.frame.HitTest;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Selects, moves, resizes and turns elements, and drags the keys of a shown motion path. */
public final class SelectTool implements Tool {
    private static final double START = 3;
    final Studio studio;
    final TextEditing typing;
    private final ElementChoice choice;
    private final HandleDrags handles = new HandleDrags(this);
    final ToolOptions options;
    private final PathKeys pathKeys;
    private final Consumer<String> onHover;
    private Gesture gesture;
    private Point hover;
    private Cursor cursor = Cursor.DEFAULT;
    private Snapping.Snap snap = Snapping.Snap.NONE;

    /** What the pointer is doing between press and release; a press that never moves may change the selection. */
    sealed interface Gesture {
        /** Nothing yet: it becomes a move once the pointer has gone far enough. */
        record Press(Pointer at, boolean moves, Collection<String> selects) implements Gesture {}

        record Move(Point from, Map<String, Point> positions, Rect bounds, Snapping snapping, Object merge) implements Gesture {}

        record Pivot(String id, Affine toParent, Affine toCanvas, Point box, Object merge) implements Gesture {}

        record Resize(String id, Point from, Affine toParent, Resizing resizing, Object merge) implements Gesture {}

        /** Sets the bounds of a group by a handle. */
        record Bounds(String id, Point handle, Point box, Affine toCanvas, Object merge) implements Gesture {}

        record Turn(String id, Point centre, double pointer, double rotation, Object merge) implements Gesture {}

        record Marquee(Point from, Point to, boolean add) implements Gesture {}

        record TurnSeveral(Point centre, double pointer, TurningSeveral turning, Object merge) implements Gesture {}

        record Several(Point from, ResizingSeveral resizing, Object merge) implements Gesture {}

        /** Selects letters of the text that is being typed. */
        record Typing() implements Gesture {}

        record Key(PathKeys.Grip grip, Point from, Board made, Object merge) implements Gesture {}
    }

    /** @param onHover hears which element lies under the pointer where that decides which motion path is shown; null for none */
    public SelectTool(Studio studio, TextEditing typing, ToolOptions options, Consumer<String> onHover) {
        this.onHover = onHover;
        this.studio = studio;
        this.options = options;
        this.typing = typing;
        choice = new ElementChoice(studio, typing);
        this.pathKeys = new PathKeys(studio);
    }

    @Override
    public void press(Pointer p) {
        if (typing.press(p)) {
            gesture = new Gesture.Typing();
            return;
        }
        Frame frame = studio.picture().frame();
        gesture = onHandle(p, frame);
        if (gesture == null && studio.desk() == Desk.ANIMATE && pathKeys.at(p) instanceof PathKeys.Grip grip) {
            var merge = new Object();
            boolean made = grip.part() == PathKeys.Part.NEW;
            PathKeys.Grip held = pathKeys.choose(grip, merge);
            gesture = new Gesture.Key(held, p.at(), made ? studio.board() : null, merge);
        }
        if (gesture == null) {
            pressElement(p);
        }
    }

    /** What a handle of the selection does that lies under the pointer; null for none. */
    private Gesture onHandle(Pointer p, Frame frame) {
        Element one = studio.selected();
        Frame.Placed placed = one == null || one.locked() ? null : frame.find(one.id());
        if (placed != null) {
            return onHandle(p, one, placed);
        }
        Rect around = Selected.bounds(studio);
        Handles.Handle h = around == null ? null : Handles.at(Handles.of(around, p.viewport()), p.view());
        if (around != null && Handles.knob(around, p.viewport()).distance(p.view()) <= Handles.REACH) {
            return handles.turnSeveral(p, around);
        }
        return h == null ? null : new Gesture.Several(p.at(), Selected.resizing(studio, around, h.place()), new Object());
    }

    private Gesture onHandle(Pointer p, Element one, Frame.Placed placed) {
        if (Handles.knob(placed, p.viewport()).distance(p.view()) <= Handles.REACH) {
            Values v = studio.picture().valuesOf(one.id());
            Point centre = placed.toCanvas().apply(v.get(Properties.PIVOT).times(placed.node().box()));
            return new Gesture.Turn(one.id(), centre, HandleDrags.angle(centre, p.at()), v.get(Properties.ROTATION), new Object());
        }
        if (onPivot(p, one, placed)) {
            return new Gesture.Pivot(one.id(), placed.node().toParent(), placed.toCanvas(), placed.node().box(), new Object());
        }
        Handles.Handle h = Handles.at(Handles.of(placed, p.viewport()), p.view());
        if (h == null) {
            return null;
        }
        if (options.bounds && one.content() instanceof Content.Parent) {
            return new Gesture.Bounds(one.id(), h.place(), placed.node().box(), placed.toCanvas(), new Object());
        }
        Values v = studio.picture().valuesOf(one.id());
        Affine parent = placed.toCanvas().times(placed.node().toParent().inverse());
        return new Gesture.Resize(one.id(), p.at(), parent, new Resizing(one.content(), v, placed.node().box(), h.place()), new Object());
    }

    /** In the middle of the art, and where a motion path runs through the pivot, a press means the art or the path, unless Ctrl is held. */
    private boolean onPivot(Pointer p, Element one, Frame.Placed placed) {
        Point fraction = studio.target().valueAt(one.id(), Properties.PIVOT);
        boolean near = p.viewport().toView(placed.toCanvas().apply(fraction.times(placed.node().box()))).distance(p.view()) <= Handles.REACH;
        boolean path = studio.desk() == Desk.ANIMATE && pathKeys.track(one) != null;
        return near && (p.ctrl() || !path && fraction.distance(new Point(0.5, 0.5)) > 0.02);
    }

    private void pressElement(Pointer p) {
        var under = Picking.under(studio, p.at(), 3 / p.viewport().zoom());
        if (studio.groups().inside() != null && under.stream().noneMatch(path -> path.contains(studio.groups().inside()))) {
            if (studio.book().is() && p.clicks() < 2) {
                // what lies around a drawing is out of reach while it is drawn; a double click leaves
                under = List.of();
            } else if (!under.isEmpty()) {
                studio.groups().enter(null);
            }
        }
        if (under.isEmpty()) {
            if (!p.shift()) {
                studio.select(List.of());
            }
            gesture = new Gesture.Marquee(p.at(), p.at(), p.shift());
            return;
        }
        if (p.clicks() > 1 && choice.goIn(under)) {
            gesture = null;
            return;
        }
        String id = p.alt() ? choice.beneath(under) : choice.pick(under);
        if (p.shift()) {
            if (studio.selection().contains(id)) {
                var rest = new LinkedHashSet<>(studio.selection());
                rest.remove(id);
                gesture = new Gesture.Press(p, true, rest);
                return;
            }
            var next = new LinkedHashSet<>(studio.selection());
            next.add(id);
            studio.select(next);
        } else if (!studio.selection().contains(id)) {
            studio.select(List.of(id));
        }
        // of several, the one that is pressed stays when the press never moves
        boolean one = !p.shift() && studio.selection().size() > 1;
        gesture = new Gesture.Press(p, studio.selection().contains(id), one ? List.of(id) : studio.selection());
    }

    @Override
    public void drag(Pointer p) {
        if (gesture instanceof Gesture.Press press && press.moves() && press.at().view().distance(p.view()) >= START) {
            gesture = startMove(press.at().at());
        }
        switch (gesture) {
            case Gesture.Move m -> move(m, p);
            case Gesture.Resize r -> handles.resize(r, p);
            case Gesture.Several v -> handles.resize(v, p);
            case Gesture.Turn t -> handles.turn(t, p);
            case Gesture.TurnSeveral t -> handles.turn(t, p);
            case Gesture.Bounds b -> handles.bounds(b, p);
            case Gesture.Pivot v -> pivot(v, p);
            case Gesture.Marquee m -> gesture = new Gesture.Marquee(m.from(), p.at(), m.add());
            case Gesture.Key k -> dragKey(k, p);
            case Gesture.Typing y -> typing.drag(p);
            case Gesture.Press press -> { }
            case null -> { }
        }
    }

    private void dragKey(Gesture.Key k, Pointer p) {
        Point by = p.at().minus(k.from());
        if (by.times(p.viewport().zoom()).length() >= START || !by.equals(Point.ZERO) && k.made() == null) {
            pathKeys.drag(k.grip(), k.made(), by, p.at(), p.ctrl(), k.merge());
        }
    }

    private Gesture startMove(Point from) {
        var positions = new LinkedHashMap<String, Point>();
        Rect bounds = null;
        for (String id : studio.selection()) {
            Frame.Placed placed = studio.picture().frame().find(id);
            if (placed != null && !studio.board().find(id).locked()) {
                positions.put(id, studio.target().valueAt(id, Properties.POSITION));
                bounds = placed.bounds().union(bounds);
            }
        }
        return positions.isEmpty() ? null : new Gesture.Move(from, positions, bounds,
                Snapping.around(studio.picture().frame(), parent(positions.keySet().iterator().next()), positions.keySet(), studio.board().lines()),
                new Object());
    }

    private String parent(String id) {
        List<String> path = studio.board().path(id);
        return path.size() < 2 ? null : path.get(path.size() - 2);
    }

    private void move(Gesture.Move m, Pointer p) {
        Point way = p.at().minus(m.from());
        if (p.shift()) {
            way = Math.abs(way.x()) > Math.abs(way.y()) ? new Point(way.x(), 0) : new Point(0, way.y());
        }
        snap = Snapping.Snap.NONE;
        if (!p.ctrl()) {
            way = new Point(Math.rint(way.x()), Math.rint(way.y()));
            Rect b = m.bounds();
            snap = m.snapping().of(new Rect(b.x() + way.x(), b.y() + way.y(), b.width(), b.height()), 6 / p.viewport().zoom());
            boolean x = !p.shift() || way.x() != 0, y = !p.shift() || way.y() != 0;
            way = way.plus(new Point(x ? snap.by().x() : 0, y ? snap.by().y() : 0));
            snap = new Snapping.Snap(snap.by(), snap.lines().stream().filter(l -> l.vertical() ? x : y).toList(), x && y ? snap.gaps() : List.of());
        }
        Point by = way;
        String name = m.positions().size() == 1 ? "Move " + studio.board().find(m.positions().keySet().iterator().next()).name()
                : "Move " + m.positions().size() + " elements";
        studio.again(name, m.merge(), b -> {
            Board next = b;
            for (var e : m.positions().entrySet()) {
                next = studio.target().drag(next, e.getKey(), Properties.POSITION, e.getValue(), e.getValue().plus(local(e.getKey(), by)));
            }
            return next;
        });
    }

    /** An offset of the canvas in the coordinates of an element's parent. */
    private Point local(String id, Point by) {
        List<String> path = studio.board().path(id);
        if (path.size() < 2) {
            return by;
        }
        Frame.Placed parent = studio.picture().frame().find(path.get(path.size() - 2));
        return parent == null ? by : parent.toCanvas().inverse().applyOffset(by);
    }

    private void pivot(Gesture.Pivot v, Pointer p) {
        Point local = v.toCanvas().inverse().apply(p.at());
        Point at = new Point(v.box().x() == 0 ? 0.5 : local.x() / v.box().x(), v.box().y() == 0 ? 0.5 : local.y() / v.box().y());
        Point pivot = p.ctrl() ? at : new Point(HandleDrags.nearThird(at.x(), v.box().x()), HandleDrags.nearThird(at.y(), v.box().y()));
        studio.again("Move pivot of " + studio.board().find(v.id()).name(), v.merge(), b -> Placing.pivot(b, v.id(), pivot, v.toParent(), v.box()));
    }

    @Override
    public void release(Pointer p) {
        if (gesture instanceof Gesture.Marquee m && m.from().distance(m.to()) * p.viewport().zoom() >= START) {
            var found = new LinkedHashSet<>(m.add() ? studio.selection() : List.<String>of());
            found.addAll(HitTest.meeting(studio.picture().frame(), studio.groups().inside(), Rect.of(m.from(), m.to())));
            studio.select(found);
        } else if (gesture instanceof Gesture.Marquee m && !m.add() && studio.groups().inside() != null && !studio.book().is()) {
            // a press on nothing that marks nothing leaves the group
            studio.groups().enter(null);
        } else if (gesture instanceof Gesture.Press press) {
            studio.select(press.selects());
        }
        gesture = null;
        snap = Snapping.Snap.NONE;
    }

    @Override
    public boolean cancel() {
        boolean any = gesture != null | typing.end();
        switch (gesture) {
            case Gesture.Move m -> studio.cancel(m.merge());
            case Gesture.Resize r -> studio.cancel(r.merge());
            case Gesture.Several v -> studio.cancel(v.merge());
            case Gesture.Turn t -> studio.cancel(t.merge());
            case Gesture.TurnSeveral t -> studio.cancel(t.merge());
            case Gesture.Bounds b -> studio.cancel(b.merge());
            case Gesture.Pivot v -> studio.cancel(v.merge());
            case Gesture.Key k -> studio.cancel(k.merge());
            case Gesture.Marquee m -> { }
            case Gesture.Typing y -> { }
            case Gesture.Press press -> { }
            case null -> { }
        }
        gesture = null;
        snap = Snapping.Snap.NONE;
        return any;
    }

    @Override
    public void move(Pointer p) {
        hover = p.at();
        if (studio.pathsShown() == PathsShown.POINTER) {
            var under = HitTest.under(studio.picture().frame(), p.at(), 3 / p.viewport().zoom());
            onHover.accept(under.isEmpty() ? null : choice.choices(under).getFirst());
        }
        studio.target().setPointed(studio.desk() == Desk.ANIMATE && onHandle(p, studio.picture().frame()) == null ? pathKeys.words(p) : null);
        Element one = studio.selected();
        Frame.Placed placed = one == null || one.locked() ? null : studio.picture().frame().find(one.id());
        cursor = Cursor.DEFAULT;
        Rect around = Selected.bounds(studio);
        Handles.Handle ofAll = around == null ? null : Handles.at(Handles.of(around, p.viewport()), p.view());
        if (around != null && Handles.knob(around, p.viewport()).distance(p.view()) <= Handles.REACH) {
            cursor = Cursor.HAND;
        } else if (ofAll != null) {
            cursor = resizeCursor(ofAll, Affine.IDENTITY);
        }
        if (placed != null) {
            Handles.Handle h = Handles.at(Handles.of(placed, p.viewport()), p.view());
            if (Handles.knob(placed, p.viewport()).distance(p.view()) <= Handles.REACH) {
                cursor = Cursor.HAND;
            } else if (h != null) {
                cursor = resizeCursor(h, placed.toCanvas());
            }
        }
    }

    private static Cursor resizeCursor(Handles.Handle h, Affine toCanvas) {
        Point way = toCanvas.applyOffset(h.place().minus(new Point(0.5, 0.5)));
        int eighth = (int) Math.floorMod(Math.round(Math.toDegrees(Math.atan2(way.y(), way.x())) / 45), 4L);
        return List.of(Cursor.E_RESIZE, Cursor.SE_RESIZE, Cursor.S_RESIZE, Cursor.SW_RESIZE).get(eighth);
    }

    @Override
    public Cursor cursor() {
        return cursor;
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        SnapLines.draw(g, v, snap, studio.dark());
        if (gesture instanceof Gesture.Marquee m) {
            Point a = v.toView(m.from()), b = v.toView(m.to());
            Rect r = Rect.of(a, b);
            g.setFill(Palette.of(studio.dark()).space().deriveColor(0, 1, 1, 0.12));
            g.setStroke(Palette.of(studio.dark()).space());
            g.setLineWidth(1);
            g.fillRect(r.x(), r.y(), r.width(), r.height());
            g.strokeRect(Math.floor(r.x()) + 0.5, Math.floor(r.y()) + 0.5, Math.round(r.width()), Math.round(r.height()));
        } else if (gesture == null && hover != null && studio.selection().isEmpty()) {
            var under = new ArrayList<>(HitTest.under(studio.picture().frame(), hover, 3 / v.zoom()));
            if (!under.isEmpty() && studio.picture().frame().find(under.getFirst().getFirst()) instanceof Frame.Placed placed) {
                SelectionOverlay.outline(g, v, placed, Palette.of(studio.dark()).space().deriveColor(0, 1, 1, 0.6), 1);
            }
        }
    }
}
