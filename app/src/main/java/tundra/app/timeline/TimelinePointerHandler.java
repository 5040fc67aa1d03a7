package tundra.app.timeline;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.LongUnaryOperator;
import java.util.function.UnaryOperator;
import javafx.scene.Cursor;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.core.edit.KeyClip;
import tundra.core.edit.KeyValues;
import tundra.core.edit.Keys;
import tundra.core.edit.Markers;
import tundra.core.edit.Motifs;
import tundra.core.edit.Spans;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.Flipbook;
import tundra.core.model.Marker;
import tundra.core.model.Property;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.motion.MotionPath;

/** What the pointer does in the timeline. Each gesture is one step of undo and can be given up. */
final class TimelinePointerHandler {
    /** What goes less than this to a side goes straight up or down, in px. */
    private static final double SIDEWAYS = 3;
    final Studio studio;
    final TimelineCanvas view;
    final TimelineHits hits = new TimelineHits(this);
    private final RulerPresses ruler = new RulerPresses(this);
    TimelineDrag drag;
    private Set<String> selected;

    /** What was selected by a press on a name here; null when it was something else. */
    Set<String> selected() {
        return selected;
    }

    void select(String element) {
        String of = holder(element);
        selected = Set.of(of);
        studio.select(List.of(of));
    }

    /** The element that a row belongs to, also where it is a row of one of its effects. */
    private String holder(String owner) {
        Element e = studio.board().holder(owner);
        return e == null ? owner : e.id();
    }

    TimelinePointerHandler(Studio studio, TimelineCanvas view) {
        this.studio = studio;
        this.view = view;
    }

    TimeSnap snap(Set<Keys.Ref> moving) {
        return new TimeSnap(studio, moving, view.rows);
    }

    Rect marquee() {
        return drag instanceof TimelineDrag.Marquee m ? m.area() : null;
    }

    // --- what lies under the pointer ---

    static boolean near(double x, double y, MouseEvent e) {
        return Math.hypot(x - e.getX(), y - e.getY()) <= TimelineHits.REACH;
    }

    Span seen(String element) {
        Span s = studio.timeline().shown().get(element);
        return s == null ? new Span(0, studio.timeline().duration()) : s;
    }

    // --- press ---

    void press(MouseEvent e) {
        if (e.getButton() != MouseButton.PRIMARY) {
            return;
        }
        view.requestFocus();
        TimeRows.Row row = view.rowAt(e.getY());
        if (e.getY() <= TimelineCanvas.RULER && e.getX() > TimelineCanvas.HEAD) {
            ruler.pressRuler(e);
        } else if (row != null && row.property() != null && e.getX() < TimelineCanvas.HEAD && view.topOf(row) + row.height() - e.getY() < 4) {
            drag = new TimelineDrag.Height(row);
        } else if (e.getX() <= TimelineCanvas.HEAD) {
            ruler.pressHead(e, row);
        } else if (hits.gripAt(e) instanceof LanePainter.Grip g) {
            drag = new TimelineDrag.Ease(g, values(row, g.part()), new Object());
        } else if (hits.beadAt(e) instanceof LanePainter.Bead b) {
            pressBead(e, b, row);
        } else if (hits.trimAt(e, row) instanceof Integer side) {
            studio.select(List.of(row.element()));
            drag = new TimelineDrag.Trim(row.element(), seen(row.element()), side, e.getX(), snap(Set.of()), new Object());
        } else {
            pressSpace(e, row);
        }
    }

    private void pressBead(MouseEvent e, LanePainter.Bead b, TimeRows.Row row) {
        if (e.isShiftDown()) {
            var next = new LinkedHashSet<>(studio.time().keys());
            if (!next.remove(b.ref())) {
                next.add(b.ref());
            }
            studio.time().selectKeys(next);
        } else if (!studio.time().keys().contains(b.ref())) {
            studio.time().selectKeys(List.of(b.ref()));
        }
        boolean editor = row != null && row.editor();
        drag = new TimelineDrag.Move(e.getX(), e.getY(), Set.copyOf(studio.time().keys()), b, editor ? values(row, b.part()) : null,
                snap(studio.time().keys()), new Object(), false);
    }

    private LanePainter.Scale values(TimeRows.Row row, int part) {
        MotionPath path = studio.picture().builder().path(studio.timeline().id(), row.element());
        return LanePainter.scaleOf(studio.timeline(), row, row.property(), path, view.painter.ranges, part, view.topOf(row));
    }

    private void pressSpace(MouseEvent e, TimeRows.Row row) {
        if (row != null && row.property() != null && e.getClickCount() == 2) {
            addKey(row, row.property(), (long) view.scale.time(e.getX()));
            return;
        }
        if (row != null && row.property() == null && e.getClickCount() == 2 && studio.board().find(row.element()) instanceof Element book
                && book.content() instanceof Flipbook f) {
            // to the drawing that was meant
            studio.select(List.of(book.id()));
            studio.setDesk(Desk.DRAW);
            studio.time().seek((long) view.scale.time(e.getX()));
            studio.book().goTo(f.indexAt(f.frameAt(studio.picture().mainTime())));
            return;
        }
        if (row != null && row.sound() != null) {
            studio.time().select(row.sound().id());
            drag = new TimelineDrag.MoveSound(row.sound(), e.getX(), snap(Set.of()), new Object());
            return;
        }
        if (row != null && row.property() == null && studio.board().find(row.element()) instanceof Element e2
                && e2.content() instanceof Content.Instance i) {
            studio.select(List.of(row.element()));
            if (e.getClickCount() == 2) {
                studio.navigation().openInPlace(row.element());
            } else if (i.clock().repeat() != Clock.Repeat.HOLD) {
                drag = new TimelineDrag.Phase(row.element(), i.clock(), e.getX(), new Object());
            }
            return;
        }
        if (row != null && row.property() == null && !row.element().equals(Board.CANVAS)) {
            studio.select(List.of(row.element()));
            var refs = KeyClip.all(studio.timeline(), inside(row.element()));
            var times = refs.stream().mapToLong(Keys.Ref::time).summaryStatistics();
            if (!refs.isEmpty() && e.getX() >= view.scale.x(times.getMin()) && e.getX() <= view.scale.x(times.getMax()) && !e.isShiftDown()) {
                // the summary is a handle for all that it sums up
                drag = new TimelineDrag.Move(e.getX(), e.getY(), Set.copyOf(refs), null, null, snap(Set.copyOf(refs)), new Object(), false);
                return;
            }
        }
        drag = new TimelineDrag.Marquee(e.getX(), e.getY(), null, e.isShiftDown());
    }

    private <T> void addKey(TimeRows.Row row, Property<T> p, long at) {
        long time = studio.project().snap(at);
        studio.edit("Add " + p.label().toLowerCase(Locale.ROOT) + " key of " + row.name(),
                b -> Keys.addAt(b, studio.timeline().id(), row.element(), p, time));
        studio.time().selectKeys(List.of(new Keys.Ref(row.element(), p, time)));
    }

    /** Chooses what a menu is opened on. */
    void choose(double x, double y) {
        TimeRows.Row row = view.rowAt(y);
        Marker m = hits.markerAt(x, y);
        if (m != null) {
            studio.time().select(m.id());
            return;
        }
        if (row != null && row.sound() != null) {
            studio.time().select(row.sound().id());
            return;
        }
        studio.time().select(null);
        var bead = view.painter.beads.stream().filter(b -> Math.hypot(b.x() - x, b.y() - y) <= TimelineHits.REACH).findFirst().orElse(null);
        if (bead != null && !studio.time().keys().contains(bead.ref())) {
            studio.time().selectKeys(List.of(bead.ref()));
        } else if (bead == null && row != null && row.sound() == null && !row.element().equals(Board.CANVAS)) {
            studio.select(List.of(holder(row.element())));
        }
    }

    // --- drag ---

    void drag(MouseEvent e) {
        double time = view.scale.time(e.getX());
        boolean free = e.isShortcutDown();
        switch (drag) {
            case TimelineDrag.Scrub s -> studio.time().seek((long) time);
            case TimelineDrag.Move m -> move(m, e, free);
            case TimelineDrag.Stretch s -> stretch(s, s.snap().at(time, view.scale, free), free);
            case TimelineDrag.Ease g -> ease(g, time, e.getY());
            case TimelineDrag.Marquee m -> {
                var area = new Rect(Math.min(m.x(), e.getX()), Math.min(m.y(), e.getY()), Math.abs(e.getX() - m.x()), Math.abs(e.getY() - m.y()));
                drag = new TimelineDrag.Marquee(m.x(), m.y(), area, m.add());
                view.redraw();
            }
            case TimelineDrag.Trim t -> trim(t, e, free);
            case TimelineDrag.MoveCue m -> {
                long at = Math.max(0, Math.min(studio.timeline().duration(), m.snap().at(time, view.scale, free)));
                studio.again("Move cue", m.merge(),
                        b -> b.mapReaction(m.reaction(), r -> r.withWhen(new Event(r.when().kind(), r.when().slots().with(Events.TIME, at)))));
            }
            case TimelineDrag.MoveMarker m -> {
                long at = m.snap().at(time, view.scale, free);
                again(m.merge(), "Move marker " + m.marker().name(), t -> Markers.move(t, m.marker().id(), at));
            }
            case TimelineDrag.Range r -> {
                long at = r.snap().at(time, view.scale, free);
                if (at != r.fixed()) {
                    again(r.merge(), "Set the part that plays again", t -> t.withRange(new Span(Math.min(at, r.fixed()), Math.max(at, r.fixed()))));
                }
            }
            case TimelineDrag.MoveSound m -> {
                long at = m.snap().at(m.sound().start() + (e.getX() - m.x()) / view.scale.perSecond() * 1e6, view.scale, free);
                again(m.merge(), "Move sound", t -> t.withSounds(t.sounds().stream().map(x -> x.id().equals(m.sound().id()) ? x.withStart(at) : x)
                        .toList()));
            }
            case TimelineDrag.Phase f -> {
                long by = Math.round((e.getX() - f.x()) / view.scale.perSecond() * 1e6 * f.clock().speed());
                long phase = free ? f.clock().phase() - by : studio.project().snap(f.clock().phase() - by);
                studio.again("Change phase", f.merge(), b -> Motifs.clocks(b, List.of(f.element()), c -> c.withPhase(phase)));
            }
            case TimelineDrag.Height h -> {
                view.rows.setHeight(h.row().element(), h.row().property(), e.getY() - view.topOf(h.row()));
                view.redraw();
            }
            case TimelineDrag.Head h -> { }
            case null -> { }
        }
    }

    /** One step of undo, done anew for each event of its drag. */
    private void again(Object merge, String name, UnaryOperator<Timeline> change) {
        studio.again(name, merge, b -> b.mapTimeline(studio.timeline().id(), change));
    }

    private void move(TimelineDrag.Move m, MouseEvent e, boolean free) {
        if (!m.moved() && Math.hypot(e.getX() - m.x(), e.getY() - m.y()) < 3) {
            return;
        }
        drag = new TimelineDrag.Move(m.x(), m.y(), m.refs(), m.held(), m.values(), m.snap(), m.merge(), true);
        var times = m.refs().stream().mapToLong(Keys.Ref::time).summaryStatistics();
        long lead = m.held() != null ? m.held().ref().time() : times.getMin();
        long wanted = m.snap().at(lead + (e.getX() - m.x()) / view.scale.perSecond() * 1e6, view.scale, free) - lead;
        boolean upright = m.values() != null && e.isShiftDown() && Math.abs(e.getY() - m.y()) > Math.abs(e.getX() - m.x());
        // what is dragged straight up or down keeps its time, also one that stands between two frames
        boolean sideways = Math.abs(e.getX() - m.x()) >= SIDEWAYS;
        long by = upright || !sideways ? 0 : Math.max(-times.getMin(), Math.min(studio.timeline().duration() - times.getMax(), wanted));
        String timeline = studio.timeline().id(), name = m.refs().size() == 1 ? "Move key" : "Move " + m.refs().size() + " keys";
        double rise = m.values() == null || e.isShiftDown() && !upright ? 0 : m.values().value(e.getY()) - m.values().value(m.y());
        studio.again(name, m.merge(), b -> {
            Board out = rise == 0 ? b : KeyValues.shift(b, timeline, m.refs(), m.held().ref(), m.held().part(), rise, !free);
            return Keys.retime(out, timeline, m.refs(), k -> k + by);
        });
        studio.time().selectKeys(Keys.moved(m.refs(), k -> k + by));
    }

    private void stretch(TimelineDrag.Stretch s, long to, boolean free) {
        double factor = (double) (to - s.around()) / (s.held() - s.around());
        if (Math.abs(factor) < 1e-3) {
            return;
        }
        LongUnaryOperator stretched = Keys.stretch(studio.timeline(), s.around(), factor, free ? k -> k : studio.project()::snap);
        LongUnaryOperator times = k -> k == s.held() ? to : stretched.applyAsLong(k);
        studio.again("Stretch " + s.refs().size() + " keys", s.merge(), b -> Keys.retime(b, studio.timeline().id(), s.refs(), times));
        studio.time().selectKeys(Keys.moved(s.refs(), times));
    }

    private void ease(TimelineDrag.Ease g, double time, double y) {
        double value = g.values().value(y);
        studio.again("Change easing", g.merge(),
                b -> KeyValues.pull(b, studio.timeline().id(), g.grip().ref(), g.grip().part(), g.grip().second(), time, value));
    }

    private void trim(TimelineDrag.Trim d, MouseEvent e, boolean free) {
        double by = (e.getX() - d.x()) / view.scale.perSecond() * 1e6;
        long least = studio.project().frameTime(1);
        long at = d.snap().at((d.side() > 0 ? d.start().to() : d.start().from()) + by, view.scale, free);
        String name = studio.board().find(d.element()).name();
        again(d.merge(), d.side() == 0 ? "Slide when " + name + " is seen" : "Trim when " + name + " is seen",
                t -> switch (Integer.signum(d.side())) {
            case -1 -> Spans.trimStart(t, d.element(), d.start(), at, least);
            case 0 -> Spans.slide(t, d.element(), d.start(), at);
            default -> Spans.trimEnd(t, d.element(), d.start(), at, least);
        });
    }

    void release(MouseEvent e) {
        if (drag instanceof TimelineDrag.Marquee m) {
            if (m.area() == null || m.area().width() + m.area().height() < 4) {
                if (!m.add()) {
                    studio.time().selectKeys(List.of());
                }
            } else {
                var found = new LinkedHashSet<>(m.add() ? studio.time().keys() : Set.<Keys.Ref>of());
                view.painter.beads.stream().filter(b -> m.area().contains(new Point(b.x(), b.y()))).forEach(b -> found.add(b.ref()));
                studio.time().selectKeys(found);
            }
        } else if (drag instanceof TimelineDrag.Head h && h.at().contains(new Point(e.getX(), e.getY()))) {
            h.done().run();
        } else if (drag instanceof TimelineDrag.Move m && !m.moved() && m.held() == null) {
            studio.time().selectKeys(m.refs());
        }
        drag = null;
        view.redraw();
    }

    /** Gives up what is under way; says whether there was something. */
    boolean cancel() {
        boolean any = drag != null;
        switch (drag) {
            case TimelineDrag.Move m -> {
                studio.cancel(m.merge());
                studio.time().selectKeys(m.refs());
            }
            case TimelineDrag.Stretch s -> {
                studio.cancel(s.merge());
                studio.time().selectKeys(s.refs());
            }
            case TimelineDrag.Ease g -> studio.cancel(g.merge());
            case TimelineDrag.Trim t -> studio.cancel(t.merge());
            case TimelineDrag.MoveCue m -> studio.cancel(m.merge());
            case TimelineDrag.MoveMarker m -> studio.cancel(m.merge());
            case TimelineDrag.Range r -> studio.cancel(r.merge());
            case TimelineDrag.MoveSound m -> studio.cancel(m.merge());
            case TimelineDrag.Phase f -> studio.cancel(f.merge());
            case TimelineDrag.Scrub s -> { }
            case TimelineDrag.Marquee m -> { }
            case TimelineDrag.Height h -> { }
            case TimelineDrag.Head h -> { }
            case null -> { }
        }
        drag = null;
        view.redraw();
        return any;
    }

    /** What the pointer looks like where it is. */
    Cursor cursor(MouseEvent e) {
        return hits.cursor(e);
    }

    /** An element and all that lies in it; none where it is gone. */
    List<String> inside(String element) {
        Element e = studio.board().find(element);
        return e == null ? List.of() : List.copyOf(Tree.ids(List.of(e)));
    }
}
