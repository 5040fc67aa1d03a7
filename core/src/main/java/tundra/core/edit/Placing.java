package tundra.core.edit;

import java.util.List;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Moves elements with all their keys. */
public final class Placing {
    private static final Point UNSCALED = new Point(1, 1);

    private Placing() {}

    /** Moves an element's resting position and every position key by an offset in its parent. */
    public static Board shift(Board board, String id, Point by) {
        if (by.equals(Point.ZERO)) {
            return board;
        }
        return through(board, id, Affine.translate(by.x(), by.y()), 0, UNSCALED);
    }

    /** Carries an element's positions through a map, and turns and scales it with all keys. */
    static Board through(Board board, String id, Affine map, double turn, Point scale) {
        Board b = board.mapElement(id, e -> {
            Element moved = e.with(Properties.POSITION, map.apply(e.rest().get(Properties.POSITION)));
            Element turned = turn == 0 ? moved : moved.with(Properties.ROTATION, e.rest().get(Properties.ROTATION) + turn);
            return scale.equals(UNSCALED) ? turned : turned.with(Properties.SCALE, e.rest().get(Properties.SCALE).times(scale));
        });
        for (Timeline t : board.timelines()) {
            if (!t.tracks().containsKey(id)) {
                continue;
            }
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

    /**
     * An element taken from one parent to another without a change of what is seen: a turned one in a group that is stretched gets
     * a skew. Where its turn, scale or skew have keys, a stretch along other axes than its own can't be kept.
     */
    static Board carried(Board board, String id, Affine map) {
        double sx = Math.hypot(map.a(), map.b()), turn = Math.toDegrees(Math.atan2(map.b(), map.a()));
        Point scale = new Point(sx, sx == 0 ? 0 : map.determinant() / sx);
        Board b = through(board, id, map, turn, scale);
        Values was = board.rest(id), now = b.rest(id);
        Affine wanted = map.times(linear(was)), got = linear(now);
        boolean keyed = board.timelines().stream().anyMatch(t -> List.of(Properties.ROTATION, Properties.SCALE, Properties.SKEW).stream()
                .anyMatch(p -> t.track(id, p) != null));
        double length = Math.hypot(wanted.a(), wanted.b());
        if (keyed || same(wanted, got) || length < 1e-9 || Math.abs(wanted.determinant()) < 1e-9) {
            return b;
        }
        // N = R · S · skewX: the first column turns and scales, what the second has along it is the skew
        double along = (wanted.a() * wanted.c() + wanted.b() * wanted.d()) / length;
        return b.withRest(id, v -> v.with(Properties.ROTATION, Math.toDegrees(Math.atan2(wanted.b(), wanted.a())))
                .with(Properties.SCALE, new Point(length, wanted.determinant() / length))
                .with(Properties.SKEW, new Point(Math.toDegrees(Math.atan(along / length)), 0)));
    }

    private static Affine linear(Values v) {
        return Affine.turned(v.get(Properties.ROTATION), v.get(Properties.SCALE), v.get(Properties.SKEW));
    }

    private static boolean same(Affine a, Affine b) {
        return Math.abs(a.a() - b.a()) + Math.abs(a.b() - b.b()) + Math.abs(a.c() - b.c()) + Math.abs(a.d() - b.d()) < 1e-9;
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
     * along. An element that faces a path keeps its way instead, since every turn of the path would move the art differently.
     *
     * @param toParent the element's placement as it is seen
     * @param box its box in px
     */
    public static Board pivot(Board board, String id, Point pivot, Affine toParent, Point box) {
        Point old = board.rest(id).get(Properties.PIVOT);
        boolean faces = board.timelines().stream().anyMatch(t -> t.track(id, Properties.POSITION) != null)
                && (board.rest(id).get(Properties.FACE_PATH).equals("yes") || board.timelines().stream()
                .anyMatch(t -> t.track(id, Properties.FACE_PATH) != null));
        Point by = faces ? Point.ZERO : toParent.applyOffset(pivot.minus(old).times(box));
        return shift(board.withRest(id, v -> v.with(Properties.PIVOT, pivot)), id, by);
    }
}
