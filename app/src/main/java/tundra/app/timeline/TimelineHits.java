package tundra.app.timeline;

import java.util.Comparator;
import javafx.scene.Cursor;
import javafx.scene.input.MouseEvent;
import tundra.core.model.Board;
import tundra.core.model.Marker;
import tundra.core.model.Span;

/** What of the timeline lies where the pointer is, and which cursor says so. */
final class TimelineHits {
    static final double REACH = 8;
    private final TimelinePointerHandler pointer;

    TimelineHits(TimelinePointerHandler pointer) {
        this.pointer = pointer;
    }

    LanePainter.Bead beadAt(MouseEvent e) {
        return e.getX() < TimelineCanvas.HEAD || e.getY() < TimelineCanvas.RULER ? null : pointer.view.painter.beads.stream()
                .filter(b -> TimelinePointerHandler.near(b.x(), b.y(), e))
                .min(Comparator.comparingDouble(b -> Math.hypot(b.x() - e.getX(), b.y() - e.getY()))).orElse(null);
    }

    LanePainter.Grip gripAt(MouseEvent e) {
        return pointer.view.painter.grips.stream().filter(b -> TimelinePointerHandler.near(b.x(), b.y(), e)).findFirst().orElse(null);
    }

    /** Which end of the chosen keys' bar is held: its time; -1 for none. */
    long stretchEnd(MouseEvent e) {
        long[] span = RulerPainter.span(pointer.studio);
        if (span != null && e.getY() > TimelineCanvas.RULER - 11 && e.getY() <= TimelineCanvas.RULER) {
            for (long end : span) {
                if (Math.abs(pointer.view.scale.x(end) - e.getX()) <= 6) {
                    return end;
                }
            }
        }
        return -1;
    }

    Marker markerAt(double x, double y) {
        // the one that is drawn last lies on top
        return y > RulerPainter.BAND ? null : pointer.studio.timeline().markers().reversed().stream()
                .filter(m -> x >= pointer.view.scale.x(m.time()) - 3 && x <= pointer.view.scale.x(m.time()) + RulerPainter.width(m)).findFirst()
                .orElse(null);
    }

    /** The side of the visible range of a row that is held: -1, 0 for its body, 1; null for none of it. */
    Integer trimAt(MouseEvent e, TimeRows.Row r) {
        if (r == null || r.property() != null || r.sound() != null || r.element().equals(Board.CANVAS) || e.getX() < TimelineCanvas.HEAD) {
            return null;
        }
        Span s = pointer.seen(r.element());
        double a = pointer.view.scale.x(s.from()), b = pointer.view.scale.x(Math.min(s.to(), pointer.studio.timeline().duration()));
        if (Math.abs(e.getX() - a) <= 5) {
            return -1;
        }
        if (Math.abs(e.getX() - b) <= 5) {
            return 1;
        }
        boolean trimmed = pointer.studio.timeline().shown().containsKey(r.element());
        return trimmed && e.isAltDown() && e.getX() > a && e.getX() < b ? 0 : null;
    }

    Cursor cursor(MouseEvent e) {
        TimeRows.Row r = pointer.view.rowAt(e.getY());
        if (gripAt(e) != null || beadAt(e) != null) {
            return Cursor.HAND;
        }
        if (e.getY() < TimelineCanvas.RULER) {
            return e.getX() > TimelineCanvas.HEAD ? Cursor.H_RESIZE : Cursor.DEFAULT;
        }
        if (r != null && r.property() != null && e.getX() < TimelineCanvas.HEAD && pointer.view.topOf(r) + r.height() - e.getY() < 4) {
            return Cursor.V_RESIZE;
        }
        Integer side = trimAt(e, r);
        return side == null ? Cursor.DEFAULT : side == 0 ? Cursor.MOVE : Cursor.E_RESIZE;
    }
}
