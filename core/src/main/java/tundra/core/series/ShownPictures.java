package tundra.core.series;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tundra.core.fit.Frames;
import tundra.core.fit.Layouts;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.frame.Moment;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Layout;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;

/** How large the pictures of a piece are shown at most, in CSS px, and the piece with pictures that are no larger than a fine screen needs. */
public final class ShownPictures {
    /** Device pixels of a CSS px on fine screens. */
    public static final int FINE = 2;
    /** Moments of a timeline that are looked at. */
    private static final int MOMENTS = 24;
    private final Map<String, Point> sizes = new HashMap<>();

    private ShownPictures() {}

    /**
     * The largest size of each picture that any scene shows in any layout, by its hash. Pictures that a visitor makes larger by a pinch are not
     * thought of.
     */
    public static Map<String, Point> sizes(Project p, TextMeasurer measure) {
        var out = new ShownPictures();
        for (Scene s : p.scenes()) {
            out.board(p, s.board(), measure);
            for (Layout l : s.board().layouts()) {
                out.board(p, Layouts.seen(s.board(), l, null, measure), measure);
            }
        }
        return out.sizes;
    }

    private void board(Project p, Board b, TextMeasurer measure) {
        FrameBuilder builder = Frames.of(p, b, measure);
        for (int i = 0; i <= MOMENTS; i++) {
            frame(builder.at(Moment.opened(b, b.main().duration() * i / MOMENTS)));
        }
        for (Timeline t : b.timelines()) {
            for (int i = 0; i <= MOMENTS && !t.starts(); i++) {
                frame(builder.at(Moment.opened(b, b.main().duration()).with(t.id(), t.duration() * i / MOMENTS)));
            }
        }
    }

    private void frame(Frame f) {
        nodes(f.nodes(), Affine.IDENTITY);
    }

    private void nodes(List<FrameNode> in, Affine outer) {
        for (FrameNode n : in) {
            Affine m = outer.times(n.toParent());
            for (Mark x : n.marks()) {
                if (x instanceof Mark.Image i) {
                    double across = Math.hypot(m.a(), m.b()) * i.size().x(), down = Math.hypot(m.c(), m.d()) * i.size().y();
                    sizes.merge(i.asset(), new Point(across, down), (a, c) -> new Point(Math.max(a.x(), c.x()), Math.max(a.y(), c.y())));
                }
            }
            nodes(n.children(), m);
        }
    }

    /** The piece with pictures in as many pixels as a fine screen shows of them, where that makes them smaller; the file of none grows. */
    public static Project smaller(Project p, TextMeasurer measure, SeriesPainter painter) {
        Map<String, Point> sizes = sizes(p, measure);
        var assets = new LinkedHashMap<>(p.assets());
        assets.replaceAll((hash, a) -> {
            Point s = sizes.get(hash);
            if (a.kind() != Asset.Kind.PICTURE || s == null || a.mediaType().equals("image/gif")) {
                return a;
            }
            double share = Math.min(1, Math.max(FINE * s.x() / a.width(), FINE * s.y() / a.height()));
            Asset small = painter.smaller(a, Math.max(1, (int) Math.ceil(a.width() * share)), Math.max(1, (int) Math.ceil(a.height() * share)));
            return small == null ? a : small;
        });
        return p.withAssets(assets);
    }
}
