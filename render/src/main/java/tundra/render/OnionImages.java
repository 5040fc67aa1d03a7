package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Paint;
import io.github.humbleui.skija.Picture;
import io.github.humbleui.skija.PictureRecorder;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.geometry.Affine;

/**
 * Images of drawings that shine through, in the pixels of the view. A ghost stays the same while one draws on the frame, and for
 * a few steps while one steps on; new ones are painted side by side.
 */
final class OnionImages implements AutoCloseable {
    private final Painter painter;
    private Map<List<FrameNode>, Kept> kept = new IdentityHashMap<>();
    private Map<FrameNode, Kept> now = new IdentityHashMap<>();
    private int images;
    private int left;
    private int top;

    /** What a ghost shows at a place, and its picture at (x, y) of the view. */
    private record Kept(Affine at, Image image, int x, int y) {}

    /** A ghost that has no image yet. */
    private record Wanted(FrameNode ghost, Affine at, Picture recorded, int x, int y, int width, int height) {
        Kept made() {
            try (recorded; Surface s = Surface.makeRasterN32Premul(width, height)) {
                recorded.playback(s.getCanvas());
                return new Kept(at, s.makeImageSnapshot(), x, y);
            }
        }
    }

    OnionImages(Painter painter) {
        this.painter = painter;
    }

    /**
     * Sees to the images of all ghosts among the nodes, and drops those of others; where there are none the images stay,
     * for a frame in which something else moves, or nothing.
     *
     * @param nodes those that were not in the frame before
     */
    void prepare(List<FrameNode> nodes, Affine toView, int width, int height) {
        var next = new IdentityHashMap<List<FrameNode>, Kept>();
        var shown = new IdentityHashMap<FrameNode, Kept>();
        var wanted = new ArrayList<Wanted>();
        collect(nodes, toView, width, height, next, shown, wanted);
        if (next.isEmpty() && wanted.isEmpty()) {
            return;
        }
        images += wanted.size();
        List<Kept> made = wanted.parallelStream().map(Wanted::made).toList();
        for (int i = 0; i < made.size(); i++) {
            next.put(wanted.get(i).ghost.children(), made.get(i));
            shown.put(wanted.get(i).ghost, made.get(i));
        }
        kept.forEach((children, k) -> {
            if (next.get(children) != k) {
                k.image.close();
            }
        });
        kept = next;
        now = shown;
    }

    private void collect(List<FrameNode> nodes, Affine toView, int width, int height, Map<List<FrameNode>, Kept> next,
            Map<FrameNode, Kept> shown, List<Wanted> wanted) {
        for (FrameNode n : nodes) {
            Affine at = toView.times(n.toParent());
            if (!"".equals(n.id())) {
                collect(n.children(), at, width, height, next, shown, wanted);
                continue;
            }
            Kept k = kept.get(n.children());
            if (k != null && k.at.equals(at)) {
                next.put(n.children(), k);
                shown.put(n, k);
            } else if (!n.children().isEmpty()) {
                Wanted w = want(n, at, width, height);
                if (w != null) {
                    wanted.add(w);
                }
            }
        }
    }

    private Wanted want(FrameNode ghost, Affine at, int width, int height) {
        tundra.core.geometry.Rect ink = ghost.inked();
        if (ink == null) {
            return null;
        }
        tundra.core.geometry.Rect r = at.bounds(ink.grow(overhang(ghost))).grow(2);
        int x0 = (int) Math.max(0, Math.floor(r.x())), y0 = (int) Math.max(0, Math.floor(r.y()));
        int x1 = (int) Math.min(width, Math.ceil(r.right())), y1 = (int) Math.min(height, Math.ceil(r.bottom()));
        if (x1 <= x0 || y1 <= y0) {
            return null;
        }
        try (var recorder = new PictureRecorder()) {
            Canvas c = recorder.beginRecording(Rect.makeWH(x1 - x0, y1 - y0));
            c.translate(-x0, -y0).concat(Painter.matrix(at));
            painter.inside(c, ghost, 1, Math.sqrt(Math.abs(at.determinant())));
            return new Wanted(ghost, at, recorder.finishRecordingAsPicture(), x0, y0, x1 - x0, y1 - y0);
        }
    }

    /** How far letters may reach out of their boxes. */
    private static double overhang(FrameNode n) {
        double most = 0;
        for (Mark m : n.marks()) {
            most = m instanceof Mark.Glyphs g ? Math.max(most, g.text().size() / 2) : most;
        }
        for (FrameNode c : n.children()) {
            most = Math.max(most, overhang(c) * Math.sqrt(Math.abs(c.toParent().determinant())));
        }
        return most;
    }

    /** Says where in the view the corner of the surface lies that is painted on from now on. */
    void corner(int x, int y) {
        left = x;
        top = y;
    }

    /** How many images were made so far. */
    int images() {
        return images;
    }

    /** Paints a ghost from its image; false when it has none. */
    boolean paint(Canvas canvas, FrameNode n) {
        Kept k = "".equals(n.id()) ? now.get(n) : null;
        if (k == null) {
            return false;
        }
        canvas.save();
        canvas.resetMatrix();
        try (var faded = new Paint().setAlphaf((float) n.opacity())) {
            canvas.drawImage(k.image, k.x - left, k.y - top, faded);
        }
        canvas.restore();
        return true;
    }

    @Override
    public void close() {
        kept.values().forEach(k -> k.image.close());
        kept = new IdentityHashMap<>();
        now = new IdentityHashMap<>();
    }
}
