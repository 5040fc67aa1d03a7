package tundra.core.edit;

import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Changes of a pivot by a number, in whatever scope: the art stays where it stands at the playhead and at every key of its position. */
public final class Pivots {
    private Pivots() {}

    /**
     * An element that faces a path keeps its way instead, since every turn of the path would move the art differently.
     *
     * @param pivot in fractions of the box
     * @param of how the pivot is changed
     * @param position how the position is changed
     * @param before shows the board as it is
     */
    public static Board set(Board board, String id, Point pivot, PropertyEdit of, PropertyEdit position, FrameBuilder before) {
        boolean keyed = board.timeline(of.timeline()).track(id, Properties.PIVOT) != null;
        Board changed = keyed ? of.set(board, id, Properties.PIVOT, pivot) : Resting.with(board, id, Properties.PIVOT, pivot);
        boolean moves = board.timelines().stream().anyMatch(t -> t.track(id, Properties.POSITION) != null || SplitPosition.is(t, id));
        if (moves && (board.rest(id).get(Properties.FACE_PATH).equals("yes") || board.timelines().stream()
                .anyMatch(t -> t.track(id, Properties.FACE_PATH) != null))) {
            return changed;
        }
        Board out = changed;
        for (Timeline t : board.timelines()) {
            out = out.mapTimeline(t.id(), x -> x
                    .mapKeys(id, Properties.POSITION, k -> k.with(k.value().plus(off(board, changed, id, of, before, t, k.time()))))
                    .mapKeys(id, Properties.POSITION_X, k -> k.with(k.value() + off(board, changed, id, of, before, t, k.time()).x()))
                    .mapKeys(id, Properties.POSITION_Y, k -> k.with(k.value() + off(board, changed, id, of, before, t, k.time()).y())));
        }
        Timeline on = board.timeline(position.timeline());
        Point off = off(board, changed, id, of, before, on, position.time());
        if (keyed && of.scope() == EditScope.KEY) {
            Point wanted = PropertyEdit.valueAt(board, on, id, Properties.POSITION, position.time()).plus(off);
            boolean there = PropertyEdit.valueAt(out, out.timeline(on.id()), id, Properties.POSITION, position.time()).distance(wanted) < 1e-6;
            return there ? out : position.set(out, id, Properties.POSITION, wanted);
        }
        return Resting.with(out, id, Properties.POSITION, Resting.of(out, id, Properties.POSITION).plus(off));
    }

    /** How far the art has to be moved at a time so that it stands as it did. */
    private static Point off(Board board, Board changed, String id, PropertyEdit of, FrameBuilder before, Timeline t, long time) {
        Moment m = Moment.editing(board, t.id(), time);
        Values v = before.valuesAt(id, m);
        Element e = board.find(id);
        Point box = before.boxAt(e, m);
        Point now = PropertyEdit.valueAt(changed, changed.timeline(of.timeline()), id, Properties.PIVOT, time);
        return FrameBuilder.placed(v, box).applyOffset(now.minus(v.get(Properties.PIVOT)).times(box));
    }
}
