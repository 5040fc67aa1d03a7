package tundra.app.flip;

import io.github.humbleui.skija.Image;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executor;
import javafx.application.Platform;
import tundra.app.job.Work;
import tundra.app.paint.SkiaGraphics;
import tundra.core.frame.FrameNode;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
import tundra.core.model.Element;
import tundra.render.Thumbnail;

/** Small pictures of drawings, painted on a thread of its own and kept for as long as the drawings stay as they are. */
final class Thumbs {
    private static final int MOST = 600;
    private static final Executor THREAD = Work.line("thumbnails");
    private final Map<Element, Made> made = new IdentityHashMap<>();
    private final Set<Key> under = new HashSet<>();
    private final Map<Element, Rect> painted = new IdentityHashMap<>();
    private final Runnable redraw;
    private final Thumbnail.Maker maker = new Thumbnail.Maker();

    /** What a picture shows: an area at a scale. */
    record Show(Rect area, double scale) {}

    private record Made(Show show, Image image) {}

    private record Key(int art, Show show) {}

    /** @param redraw runs on the interface thread when a picture came */
    Thumbs(Runnable redraw) {
        this.redraw = redraw;
    }

    /** What a drawing paints, in its flipbook's coordinates. */
    Rect painted(Element art, FrameNode node) {
        if (painted.size() > MOST * 4) {
            painted.clear();
        }
        return painted.computeIfAbsent(art, a -> node.inked() == null ? null : node.toParent().bounds(node.inked()));
    }

    /** The picture of a drawing: the newest there is, until one of just this arrives; null before the first. */
    Image of(Element art, FrameNode node, Show show, Map<String, Asset> assets) {
        Made m = made.get(art);
        if (m == null || !m.show.equals(show)) {
            ask(art, node, show, assets);
        }
        return m == null ? null : m.image;
    }

    private void ask(Element art, FrameNode node, Show show, Map<String, Asset> assets) {
        var key = new Key(System.identityHashCode(art), show);
        if (!under.add(key)) {
            return;
        }
        THREAD.execute(() -> {
            Thumbnail t = maker.paint(node, show.area, show.scale, assets);
            Platform.runLater(() -> {
                under.remove(key);
                if (made.size() > MOST) {
                    made.clear();
                }
                made.put(art, new Made(show, SkiaGraphics.image(t.argb(), t.width(), t.height())));
                redraw.run();
            });
        });
    }

    /** Whether every picture asked for is there. */
    boolean settled() {
        return under.isEmpty();
    }

}
