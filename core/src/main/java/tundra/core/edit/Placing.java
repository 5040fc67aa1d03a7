package tundra.core.edit;

import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;

/** Moves elements with all their keys. */
public final class Placing {
    private Placing() {}

    /** Moves an element's resting position and every position key by an offset in its parent. */
    public static Board shift(Board board, String id, Point by) {
        if (by.equals(Point.ZERO)) {
            return board;
        }
        return through(board, id, Affine.translate(by.x(), by.y()), 0, new Point(1, 1));
    }

    /** Carries an element's positions through a map, and turns and scales it with all keys. */
    static Board through(Board board, String id, Affine map, double turn, Point scale) {
        Board b = board.mapElement(id, e -> e
                .with(Properties.POSITION, map.apply(e.rest().get(Properties.POSITION)))
                .with(Properties.ROTATION, e.rest().get(Properties.ROTATION) + turn)
                .with(Properties.SCALE, e.rest().get(Properties.SCALE).times(scale)));
        for (Timeline t : board.timelines()) {
            if (SplitPosition.is(t, id)) {
                b = map.b() == 0 && map.c() == 0 ? b : SplitPosition.join(b, t.id(), id, time -> time);
            }
            b = b.mapTimeline(t.id(), x -> x
                    .mapKeys(id, Properties.POSITION_X, k -> k.with(map.a() * k.value() + map.e()))
                    .mapKeys(id, Properties.POSITION_Y, k -> k.with(map.d() * k.value() + map.f()))
                    .mapKeys(id, Properties.POSITION, k -> k.with(map.apply(k.value())).mapHandles(map::applyOffset))
                    .mapKeys(id, Properties.ROTATION, k -> k.with(k.value() + turn))
                    .mapKeys(id, Properties.SCALE, k -> k.with(k.value().times(scale))));
        }
        return b;
    }

    /** Mirrored left to right about an upright line of its parent, with its whole move. */
    public static Board mirrored(Board board, String id, double x) {
        Board b = through(board, id, new Affine(-1, 0, 0, 1, 2 * x, 0), 0, new Point(-1, 1));
        b = b.mapElement(id, e -> e.with(Properties.ROTATION, -e.rest().get(Properties.ROTATION)));
        for (Timeline t : board.timelines()) {
            b = b.mapTimeline(t.id(), z -> z.mapKeys(id, Properties.ROTATION, k -> k.with(-k.value())));
        }
        return b;
    }

    /**
     * Sets the pivot (fractions of the box) without moving the art as it is seen: the position, and every key of it, moves
     * along.
     *
     * @param toParent the element's placement as it is seen
     * @param box its box in px
     */
    public static Board pivot(Board board, String id, Point pivot, Affine toParent, Point box) {
        Point old = board.rest(id).get(Properties.PIVOT);
        Point by = toParent.applyOffset(pivot.minus(old).times(box));
        return shift(board.withRest(id, v -> v.with(Properties.PIVOT, pivot)), id, by);
    }
}
