package tundra.app.files;

import tundra.core.fit.Frames;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.render.Fonts;
import tundra.render.Still;

/** Small pictures by which a piece is known again: its first scene, a quarter of the way through. */
public final class PieceFace {
    private PieceFace() {}

    /** @param wide the longer side at most, in px @return a PNG */
    public static byte[] png(Project p, double wide) {
        Board b = p.scenes().getFirst().board();
        Point size = b.size();
        double scale = Math.min(1, wide / Math.max(1, Math.max(size.x(), size.y())));
        return Still.png(p, Frames.of(p, b, Fonts.of(p.assets())).at(Moment.opened(b, b.main().duration() / 4)), (int) Math.max(1, Math.round(size.x() * scale)), (int) Math.max(1, Math.round(size.y() * scale)));
    }
}
