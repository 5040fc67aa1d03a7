package tundra.app.tool;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.shape.FillRule;
import tundra.app.job.Work;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.draw.RegionNet;
import tundra.core.edit.Arrange;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameNode;
import tundra.core.frame.HitTest;
import tundra.core.frame.Mark;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Inside;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/**
 * Fills the region that strokes enclose around a click with a new shape beneath them. The net of the drawing is kept and made off the interface
 * thread.
 */
public final class RegionTool implements Tool {
    /** How far two boxes of the same region may lie apart, in px. */
    private static final double SAME = 1;
    private final Studio studio;
    private final Paints paints;
    private final ToolOptions options;
    private final Runnable redraw;
    private final Consumer<String> tell;
    private final Executor worker = Work.line("regions");
    private CompletableFuture<RegionNet> net;
    private Frame of;
    private double gap;
    private Outline hover;

    /**
     * @param redraw asks for the overlay to be drawn anew
     * @param tell says a sentence to the user
     */
    public RegionTool(Studio studio, Paints paints, ToolOptions options, Runnable redraw, Consumer<String> tell) {
        this.studio = studio;
        this.paints = paints;
        this.options = options;
        this.redraw = redraw;
        this.tell = tell;
    }

    private CompletableFuture<RegionNet> net() {
        Frame now = studio.picture().frame();
        if (net == null || of != now || gap != options.gap) {
            of = now;
            gap = options.gap;
            double g = gap;
            net = CompletableFuture.supplyAsync(() -> new RegionNet(strokes(now), g), worker);
            net.exceptionally(e -> {
                Work.trouble("regions", e);
                return null;
            });
        }
        return net;
    }

    /** The centre lines of what is seen and not locked, in canvas coordinates. */
    private static List<Outline> strokes(Frame frame) {
        var out = new ArrayList<Outline>();
        frame.nodes().forEach(n -> collect(n, Affine.IDENTITY, out));
        return out;
    }

    private static void collect(FrameNode n, Affine outer, List<Outline> out) {
        if (n.locked()) {
            return;
        }
        Affine m = outer.times(n.toParent());
        for (Mark mark : n.marks()) {
            if (mark instanceof Mark.Stroke s) {
                out.add(s.form().outline().through(m));
            }
        }
        n.children().forEach(c -> collect(c, m, out));
    }

    @Override
    public void settings(ToolSettings row) {
        row.fill("Colour");
        row.number("Bridges gaps up to", "px", 1, () -> options.gap, v -> options.gap = Math.max(0, Math.min(200, v)));
    }

    @Override
    public void press(Pointer p) {
        Frame at = studio.picture().frame();
        net().thenApplyAsync(n -> n.at(p.at()), worker).thenAccept(region -> Platform.runLater(() -> {
            if (region == null) {
                tell.accept("Strokes don't enclose this place. A larger gap in the tool's options bridges openings.");
            } else if (studio.picture().frame() == at) {
                fill(region, p.at());
            }
        }));
    }

    private void fill(Outline region, Point at) {
        Paint paint = paints.fill.visible() ? paints.fill : paints.stroke;
        Element filled = filled(region, at);
        if (filled != null) {
            studio.edit("Recolour " + filled.name(), b -> studio.target().set(b, filled.id(), Properties.FILL, paint));
            return;
        }
        Element e = DrawnShapes.path("Fill", region, Values.NONE.with(Properties.FILL, paint));
        if (e != null) {
            Frame seen = studio.picture().frame();
            studio.edit("Fill region", b -> Arrange.beneathStrokes(studio.add(b, e), e.id(), seen, region.bounds()));
            hover = null;
        }
    }

    /** What fills the region already: an area without a stroke that is as large; null for none. */
    private Element filled(Outline region, Point at) {
        Rect wanted = region.bounds();
        for (List<String> path : HitTest.under(studio.picture().frame(), at, 0)) {
            Element e = studio.board().find(path.getLast());
            Rect box = studio.picture().frame().find(path.getLast()).bounds();
            double off = Math.max(box.topLeft().distance(wanted.topLeft()), box.bottomRight().distance(wanted.bottomRight()));
            if (e.content() instanceof Content.Path && !studio.target().valueAt(e.id(), Properties.STROKE).visible() && off <= SAME) {
                return e;
            }
        }
        return null;
    }

    @Override
    public void move(Pointer p) {
        net().thenApplyAsync(n -> n.at(p.at()), worker).thenAccept(region -> Platform.runLater(() -> {
            hover = region;
            redraw.run();
        }));
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        if (hover == null) {
            return;
        }
        g.setFill(Palette.of(studio.dark()).space().deriveColor(0, 1, 1, 0.22));
        g.beginPath();
        for (Contour c : hover.contours()) {
            boolean first = true;
            for (Point p : Inside.flatten(c)) {
                Point at = v.toView(p);
                if (first) {
                    g.moveTo(at.x(), at.y());
                } else {
                    g.lineTo(at.x(), at.y());
                }
                first = false;
            }
            g.closePath();
        }
        g.setFillRule(FillRule.EVEN_ODD);
        g.fill();
    }
}
