package tundra.app.document;

import tundra.core.fit.Frames;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.render.Fonts;
import tundra.render.Still;

/** Small pictures by which a piece, or a place in it, is known again: a quarter of the way through. */
public final class PieceFace {
    private PieceFace() {}

    /** Of its first scene. @param wide the longer side at most, in px @return a PNG */
    public static byte[] png(Project p, double wide) {
        return png(p, p.scenes().getFirst().board(), new Point(wide, wide));
    }

    /** Of one of its boards. @param room what it fits into, in px; no larger than it is drawn @return a PNG */
    public static byte[] png(Project p, Board b, Point room) {
        Point size = b.size();
        double scale = Math.min(1, Math.min(room.x() / Math.max(1, size.x()), room.y() / Math.max(1, size.y())));
        return Still.png(p, Frames.of(p, b, Fonts.of(p.assets())).at(Moment.opened(b, b.main().duration() / 4)),
                (int) Math.max(1, Math.round(size.x() * scale)), (int) Math.max(1, Math.round(size.y() * scale)));
    }

    /** The same; null where it can't be painted, which keeps nobody from saving. */
    static byte[] orNone(Project p, double wide) {
        try {
            return png(p, wide);
        } catch (RuntimeException e) {
            return null;
        }
    }
}
