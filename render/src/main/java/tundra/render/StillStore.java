package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.Surface;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Set;
import tundra.core.frame.Form;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Rect;

/**
 * Paints frame after frame for a moving picture: runs of neighbouring top-level nodes that stay the same instances are kept as
 * images of the view, large groups that move as a whole as images of their own, so that only what changes is painted anew.
 */
public final class StillStore implements AutoCloseable {
    /** How many pixels of a kept image take as long to lay down as one mark takes to paint. */
    private static final int PIXELS_A_MARK = 16_000;
    private final Painter painter;
    private final MovingGroups moving;
    private final OnionImages ghosts;
    private List<Kept> kept = new ArrayList<>();
    private Set<Same> before = Set.of();
    private View view;

    /** What the kept images depend on, besides the nodes. */
    private record View(double scale, double x, double y, int width, int height) {
        boolean same(View o) {
            return o != null && scale == o.scale && x == o.x && y == o.y && width == o.width && height == o.height;
        }
    }

    /** A run of nodes, and its picture at (x, y) of the surface. */
    private record Kept(List<FrameNode> nodes, Image image, int x, int y) {
        boolean same(List<FrameNode> others) {
            if (others.size() != nodes.size()) {
                return false;
            }
            for (int i = 0; i < others.size(); i++) {
                if (others.get(i) != nodes.get(i)) {
                    return false;
                }
            }
            return true;
        }

        void close() {
            image.close();
        }
    }

    /** A node by identity. */
    private record Same(FrameNode node) {
        @Override
        public boolean equals(Object o) {
            return o instanceof Same s && s.node == node;
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(node);
        }
    }

    public StillStore(Painter painter) {
        this.painter = painter;
        this.moving = new MovingGroups(painter);
        this.ghosts = new OnionImages(painter);
    }

    /**
     * Paints onto a surface of {@code width}×{@code height} pixels with the canvas scaled and its corner at (x, y).
     *
     * @param inMotion whether the next frame follows at once: then groups that move may be a little softer
     */
    public void paint(Canvas canvas, Frame frame, double scale, double x, double y, int width, int height, boolean inMotion) {
        painter.picture(frame.nodes(), () -> painted(canvas, frame, scale, x, y, width, height, inMotion));
    }

    private void painted(Canvas canvas, Frame frame, double scale, double x, double y, int width, int height, boolean inMotion) {
        var now = new View(scale, x, y, width, height);
        if (!now.same(view)) {
            forget();
            view = now;
        }
        canvas.save();
        canvas.translate((float) x, (float) y).scale((float) scale, (float) scale);
        painter.background(canvas, frame);
        ghosts.prepare(frame.nodes().stream().filter(n -> !before.contains(new Same(n))).toList(), toView(), width, height);
        painter.use(ghosts);
        var next = new ArrayList<Kept>();
        var run = new ArrayList<FrameNode>();
        for (FrameNode n : frame.nodes()) {
            boolean blends = n.look().passes() || !n.look().blend().equals("normal");
            if (before.contains(new Same(n)) && !blends) {
                run.add(n);
            } else {
                flush(canvas, run, next);
                if (!inMotion || blends || !n.look().filters().isEmpty() || !moving.paint(canvas, n, toView())) {
                    painter.nodes(canvas, List.of(n), scale);
                }
            }
        }
        flush(canvas, run, next);
        painter.use((OnionImages) null);
        canvas.restore();
        Set<Kept> still = Collections.newSetFromMap(new IdentityHashMap<>());
        still.addAll(next);
        kept.stream().filter(k -> !still.contains(k)).forEach(Kept::close);
        kept = next;
        var seen = new HashSet<Same>();
        frame.nodes().forEach(n -> seen.add(new Same(n)));
        before = seen;
    }

    private void flush(Canvas canvas, List<FrameNode> run, List<Kept> next) {
        if (run.isEmpty()) {
            return;
        }
        Kept k = kept.stream().filter(x -> x.same(run)).findFirst().orElse(null);
        if (k == null) {
            Area area = area(run);
            if (area == null) {
                run.clear();
                return;
            }
            if (!area.worth()) {
                painter.nodes(canvas, run, view.scale);
                run.clear();
                return;
            }
            k = keep(List.copyOf(run), area);
        }
        next.add(k);
        canvas.save();
        canvas.resetMatrix();
        canvas.drawImage(k.image, k.x, k.y);
        canvas.restore();
        run.clear();
    }

    /** Where a run lies in the view, and how many marks it has there. */
    private record Area(int x0, int y0, int x1, int y1, int marks) {
        /** Whether laying down its image is quicker than painting it. */
        boolean worth() {
            return (long) marks * PIXELS_A_MARK > (long) (x1 - x0) * (y1 - y0);
        }
    }

    /** Null where nothing of it is in view. */
    private Area area(List<FrameNode> nodes) {
        Affine toView = toView();
        Rect seen = new Rect(0, 0, view.width, view.height), all = null;
        int marks = 0;
        for (FrameNode n : nodes) {
            Rect r = n.reach() == null ? null : toView.bounds(n.toParent().bounds(n.reach())).grow(2);
            if (r != null && r.intersects(seen)) {
                all = r.union(all);
                marks += marks(n);
            }
        }
        return all == null ? null : new Area((int) Math.max(0, Math.floor(all.x())), (int) Math.max(0, Math.floor(all.y())),
                (int) Math.min(view.width, Math.ceil(all.right())),
                (int) Math.min(view.height, Math.ceil(all.bottom())), marks);
    }

    /** What filters, layers and texts take is more than a plain mark. */
    private static int marks(FrameNode n) {
        int out = n.marks().size();
        for (Mark m : n.marks()) {
            out += m instanceof Mark.Fill f && f.form() instanceof Form.Box ? 0 : m instanceof Mark.Fill f && f.form() instanceof Form.Oval ? 1 : 8;
        }
        for (FrameNode c : n.children()) {
            out += marks(c);
        }
        boolean layer = !n.look().filters().isEmpty() || n.look().isolated() || n.opacity() < 1 && !n.children().isEmpty();
        return layer ? 20 * (1 + out) : out;
    }

    private Kept keep(List<FrameNode> nodes, Area a) {
        try (Surface s = Surface.makeRasterN32Premul(a.x1 - a.x0, a.y1 - a.y0)) {
            Canvas c = s.getCanvas();
            c.translate((float) (view.x - a.x0), (float) (view.y - a.y0)).scale((float) view.scale, (float) view.scale);
            ghosts.corner(a.x0, a.y0);
            painter.nodes(c, nodes, view.scale);
            ghosts.corner(0, 0);
            return new Kept(nodes, s.makeImageSnapshot(), a.x0, a.y0);
        }
    }

    private Affine toView() {
        return new Affine(view.scale, 0, 0, view.scale, view.x, view.y);
    }

    /** Drops what is kept, for another project or when a picture changed. */
    public void forget() {
        kept.forEach(Kept::close);
        kept = new ArrayList<>();
        before = Set.of();
        moving.close();
        ghosts.close();
    }

    @Override
    public void close() {
        forget();
    }
}
