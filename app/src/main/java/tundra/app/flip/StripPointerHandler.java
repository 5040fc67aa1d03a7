package tundra.app.flip;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javafx.scene.Cursor;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import tundra.app.studio.OpenBook;
import tundra.app.studio.Studio;
import tundra.core.edit.Drawings;
import tundra.core.model.Drawing;
import tundra.core.model.Flipbook;

/**
 * What the pointer does on the strip: chooses drawings, holds them longer by their right edge, puts them elsewhere, moves them in
 * time with Alt, and drags the ends of the onion skin.
 */
final class StripPointerHandler {
    private static final double EDGE = 5;
    private static final double START = 4;
    private final Studio studio;
    private final OpenBook open;
    private final StripCanvas strip;
    private final Runnable blank;
    private Gesture gesture;
    private int insert = -1;

    private sealed interface Gesture {
        /** @param alone the drawing that a release without a drag chooses alone; -1 for none */
        record Press(double x, int index, int alone) implements Gesture {}

        record Hold(int index, double from, int frames, Object merge) implements Gesture {}

        record Order(Set<String> ids) implements Gesture {}

        record Shift(Set<String> ids, double from, Object merge) implements Gesture {}

        record Back() implements Gesture {}

        record Ahead() implements Gesture {}

        record Scrub() implements Gesture {}
    }

    StripPointerHandler(Studio studio, StripCanvas strip, Runnable blank) {
        this.studio = studio;
        this.open = studio.book();
        this.strip = strip;
        this.blank = blank;
    }

    boolean busy() {
        return gesture != null;
    }

    int insert() {
        return insert;
    }

    private StripLayout at() {
        return strip.at();
    }

    /** The drawing whose right edge is at a place; -1 for none. */
    private int edge(Flipbook b, MouseEvent e) {
        if (e.getY() > StripLayout.TOP + StripLayout.CELL) {
            return -1;
        }
        for (int i = 0; i < b.drawings().size(); i++) {
            Drawing d = b.drawings().get(i);
            // of a narrow cell at least half is left to take it by
            double reach = Math.min(EDGE, (at().x(d.end()) - at().x(d.start())) / 4);
            if (Math.abs(at().x(d.end()) - 3 - e.getX()) <= reach) {
                return i;
            }
        }
        return -1;
    }

    Cursor cursor(MouseEvent e) {
        Flipbook b = open.book();
        if (b == null) {
            return Cursor.DEFAULT;
        }
        return edge(b, e) >= 0 || range(b, e) != null ? Cursor.H_RESIZE : Cursor.DEFAULT;
    }

    private Gesture range(Flipbook b, MouseEvent e) {
        RangeEnds ends = RangeEnds.of(b, open, at());
        if (ends == null || e.getY() < StripLayout.TOP + StripLayout.CELL + 1) {
            return null;
        }
        double toBack = Math.abs(e.getX() - ends.back()), toAhead = Math.abs(e.getX() - ends.ahead());
        if (Math.min(toBack, toAhead) > 9) {
            return null;
        }
        return toBack < toAhead || toBack == toAhead && e.getX() < ends.from() ? new Gesture.Back() : new Gesture.Ahead();
    }

    void press(MouseEvent e) {
        Flipbook b = open.book();
        if (b == null || e.getButton() == MouseButton.MIDDLE) {
            return;
        }
        strip.requestFocus();
        insert = -1;
        Gesture range = range(b, e);
        if (range != null) {
            gesture = range;
            return;
        }
        if (e.getY() > StripLayout.TOP + StripLayout.CELL) {
            gesture = new Gesture.Scrub();
            scrub(e);
            return;
        }
        int edge = e.getButton() == MouseButton.PRIMARY ? edge(b, e) : -1;
        if (edge >= 0) {
            gesture = new Gesture.Hold(edge, e.getX(), b.drawings().get(edge).frames(), new Object());
            return;
        }
        int i = at().index(b, e.getX());
        if (i < 0) {
            nothing(b, e);
            return;
        }
        choose(b, i, e);
    }

    private void nothing(Flipbook b, MouseEvent e) {
        double end = at().x(b.end());
        if (e.getX() >= end && e.getX() < end + StripCanvas.BLANK) {
            blank.run();
        } else if (e.getX() < end) {
            open.choose(List.of());
            open.go(Math.max(0, at().frameAt(e.getX())));
        }
    }

    private void choose(Flipbook b, int i, MouseEvent e) {
        String id = b.drawings().get(i).id();
        int alone = -1;
        if (e.isShiftDown() && open.current() >= 0) {
            int a = Math.min(i, open.current()), z = Math.max(i, open.current());
            open.choose(b.drawings().subList(a, z + 1).stream().map(Drawing::id).toList());
        } else if (e.isShortcutDown()) {
            var next = new LinkedHashSet<>(open.meant());
            if (!next.remove(id)) {
                next.add(id);
            }
            open.choose(next);
        } else if (open.chosen(id) && open.meant().size() > 1) {
            alone = i;
        } else {
            open.goTo(i);
        }
        gesture = e.getButton() == MouseButton.PRIMARY ? new Gesture.Press(e.getX(), i, alone) : null;
    }

    void drag(MouseEvent e) {
        Flipbook b = open.book();
        if (b == null) {
            return;
        }
        if (gesture instanceof Gesture.Press p && Math.abs(e.getX() - p.x) >= START) {
            Set<String> ids = open.meant().contains(b.drawings().get(p.index).id()) ? open.meant() : Set.of(b.drawings().get(p.index).id());
            gesture = e.isAltDown() ? new Gesture.Shift(ids, p.x, new Object()) : new Gesture.Order(ids);
        }
        switch (gesture) {
            case Gesture.Hold h -> {
                int n = Math.max(1, h.frames + (int) Math.rint((e.getX() - h.from) / at().perFrame()));
                studio.cancel(h.merge);
                if (n != h.frames) {
                    open.edit("Hold " + b.title(h.index) + " for " + n + (n == 1 ? " frame" : " frames"), h.merge, x -> Drawings.hold(x, h.index, n));
                }
            }
            case Gesture.Shift s -> {
                int by = (int) Math.rint((e.getX() - s.from) / at().perFrame());
                studio.cancel(s.merge);
                if (by != 0) {
                    open.edit(s.ids.size() == 1 ? "Move a drawing in time" : "Move " + s.ids.size() + " drawings in time", s.merge,
                            x -> Drawings.shift(x, s.ids, by));
                }
            }
            case Gesture.Order o -> insert = place(b, e.getX());
            case Gesture.Back r -> open.setSkin(open.skin().withRange(count(b, e.getX(), -1), open.skin().ahead()));
            case Gesture.Ahead r -> open.setSkin(open.skin().withRange(open.skin().back(), count(b, e.getX(), 1)));
            case Gesture.Scrub s -> scrub(e);
            case Gesture.Press p -> { }
            case null -> { }
        }
        strip.redraw();
    }

    private void scrub(MouseEvent e) {
        Flipbook b = open.book();
        studio.time().seek(open.timeOf(Math.max(0, at().frameAt(e.getX()))));
    }

    /** Shows where something that is carried over the strip would go; nothing below 0. */
    void aim(double x) {
        insert = x < 0 || open.book() == null ? -1 : place(open.book(), x);
        strip.redraw();
    }

    /** Before which drawing something dropped here would go. */
    int place(Flipbook b, double x) {
        int i = 0;
        while (i < b.drawings().size() && at().x(b.drawings().get(i).start() + b.drawings().get(i).frames() / 2.0) < x) {
            i++;
        }
        return i;
    }

    /** How many drawings lie between the current one and a place. */
    private int count(Flipbook b, double x, int way) {
        int now = Math.max(0, open.current()), n = 0;
        for (int i = now + way; i >= 0 && i < b.drawings().size(); i += way) {
            Drawing d = b.drawings().get(i);
            double middle = at().x(d.start() + d.frames() / 2.0);
            if (way < 0 ? middle > x : middle < x) {
                n++;
            }
        }
        return n;
    }

    void release(MouseEvent e) {
        if (e.getButton() == MouseButton.PRIMARY && gesture != null) {
            // a quick drag may be told of only where it ends
            drag(e);
        }
        Gesture g = gesture;
        gesture = null;
        Flipbook b = open.book();
        if (b != null && g instanceof Gesture.Order o && insert >= 0) {
            int before = (int) b.drawings().subList(0, insert).stream().filter(d -> !o.ids.contains(d.id())).count();
            String first = b.drawings().stream().map(Drawing::id).filter(o.ids::contains).findFirst().orElse(null);
            open.edit(o.ids.size() == 1 ? "Put a drawing elsewhere" : "Put " + o.ids.size() + " drawings elsewhere", null, x -> {
                Flipbook next = Drawings.reorder(x, o.ids, before);
                return new ArrayList<>(next.drawings()).equals(x.drawings()) ? x : next;
            });
            if (first != null) {
                open.go(open.book().drawings().get(open.book().indexOf(first)).start());
            }
        } else if (g instanceof Gesture.Press p && p.alone >= 0) {
            open.goTo(p.alone);
        }
        insert = -1;
        strip.redraw();
    }

    boolean cancel() {
        Gesture g = gesture;
        gesture = null;
        insert = -1;
        strip.redraw();
        switch (g) {
            case Gesture.Hold h -> studio.cancel(h.merge);
            case Gesture.Shift s -> studio.cancel(s.merge);
            case null, default -> { }
        }
        return g instanceof Gesture.Hold || g instanceof Gesture.Shift || g instanceof Gesture.Order;
    }
}
