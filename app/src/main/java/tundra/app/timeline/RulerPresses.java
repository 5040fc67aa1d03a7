package tundra.app.timeline;

import java.util.Set;
import javafx.scene.input.MouseEvent;
import tundra.app.studio.Desk;
import tundra.core.edit.KeyClip;
import tundra.core.edit.Reactions;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Marker;
import tundra.core.model.Reaction;
import tundra.core.model.Span;

/** Presses on the ruler and on the heads of rows. */
final class RulerPresses {
    private final TimelinePointerHandler pointer;

    RulerPresses(TimelinePointerHandler pointer) {
        this.pointer = pointer;
    }

    void pressRuler(MouseEvent e) {
        long end = pointer.hits.stretchEnd(e);
        Marker m = pointer.hits.markerAt(e.getX(), e.getY());
        Span range = pointer.studio.timeline().range();
        if (end >= 0) {
            long[] span = RulerPainter.span(pointer.studio);
            pointer.drag = new TimelineDrag.Stretch(pointer.studio.time().keys(), end == span[0] ? span[1] : span[0], end,
                    pointer.snap(pointer.studio.time().keys()), new Object());
        } else if (m != null && e.getClickCount() == 2) {
            pointer.view.nameMarker(m.id());
        } else if (m != null) {
            pointer.studio.time().seek(m.time());
            pointer.studio.time().select(m.id());
            pointer.drag = new TimelineDrag.MoveMarker(m, pointer.snap(Set.of()), new Object());
        } else if (CueTags.at(pointer.studio, pointer.view.scale, e.getX(), e.getY()) instanceof Reaction cue) {
            if (e.getClickCount() == 2) {
                pointer.studio.setDesk(Desk.INTERACT);
            } else {
                pointer.studio.time().seek(CueTags.time(cue));
                pointer.drag = new TimelineDrag.MoveCue(cue.id(), pointer.snap(Set.of()), new Object());
            }
        } else if (e.getY() <= RulerPainter.BAND && e.getClickCount() == 2) {
            long at = pointer.studio.project().snap((long) pointer.view.scale.time(e.getX()));
            pointer.studio.edit("Add cue", b -> Reactions.cue(b, pointer.studio.timeline().id(),
                    Math.max(0, Math.min(pointer.studio.timeline().duration(), at))));
        } else if (e.getY() <= RulerPainter.BAND && range != null && Math.abs(e.getX() - pointer.view.scale.x(range.from())) < 6) {
            pointer.drag = new TimelineDrag.Range(range.to(), pointer.snap(Set.of()), new Object());
        } else if (e.getY() <= RulerPainter.BAND && range != null && Math.abs(e.getX() - pointer.view.scale.x(range.to())) < 6) {
            pointer.drag = new TimelineDrag.Range(range.from(), pointer.snap(Set.of()), new Object());
        } else if (e.getY() <= RulerPainter.BAND && e.isShiftDown()) {
            pointer.drag = new TimelineDrag.Range(pointer.studio.project().snap((long) pointer.view.scale.time(e.getX())),
                    pointer.snap(Set.of()), new Object());
        } else {
            pointer.drag = new TimelineDrag.Scrub();
            pointer.studio.time().seek((long) pointer.view.scale.time(e.getX()));
        }
    }

    void pressHead(MouseEvent e, TimeRows.Row row) {
        if (row == null) {
            return;
        }
        if (row.sound() != null) {
            pointer.studio.time().select(row.sound().id());
            return;
        }
        double top = pointer.view.topOf(row), fold = 24 + row.depth() * 14, grow = 36 + row.depth() * 14, ring = TimelineCanvas.HEAD - 26;
        if (row.property() == null && e.getX() < fold) {
            pointer.drag = new TimelineDrag.Head(new Rect(0, top, fold, row.height()), () -> pointer.view.rows.toggle(row.element()));
        } else if (row.property() != null && (e.getX() < grow || e.getClickCount() == 2)) {
            pointer.drag = new TimelineDrag.Head(new Rect(0, top, TimelineCanvas.HEAD, row.height()),
                    () -> pointer.view.rows.grow(row.element(), row.property()));
        } else if (row.property() != null && e.getX() > ring) {
            pointer.drag = new TimelineDrag.Head(new Rect(ring, top, TimelineCanvas.HEAD - ring, row.height()),
                    () -> TimelineCanvas.toggleKey(pointer.studio, row.element(), row.property()));
        } else if (!row.element().equals(Board.CANVAS)) {
            pointer.select(row.element());
            if (row.property() == null && e.getClickCount() == 2) {
                pointer.studio.time().selectKeys(KeyClip.all(pointer.studio.timeline(), pointer.inside(row.element())));
            }
        }
    }
}
