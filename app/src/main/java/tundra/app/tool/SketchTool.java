package tundra.app.tool;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.draw.Freehand;
import tundra.core.draw.StrokeOutline;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/**
 * Draws by hand: the pencil leaves a line, the brush the filled outline of its stroke. Shift keeps the direction of the start,
 * Alt leaves the line as the hand drew it, without smoothing.
 */
public final class SketchTool implements Tool {
    private static final double CLOSES = 8;
    /** How the brush's tip lies. */
    private static final double TIP = -40;
    private final Studio studio;
    private final Paints paints;
    private final ToolOptions options;
    private final boolean brush;
    private final List<Point> points = new ArrayList<>();

    public SketchTool(Studio studio, Paints paints, ToolOptions options, boolean brush) {
        this.studio = studio;
        this.paints = paints;
        this.options = options;
        this.brush = brush;
    }

    @Override
    public void settings(ToolSettings row) {
        if (brush) {
            row.fill("Colour");
            row.number("Size", "px", 1, () -> options.brushSize, v -> options.brushSize = Math.max(0.5, Math.min(500, v)));
            row.slider("Roundness", 1, () -> options.roundness, v -> options.roundness = v);
        } else {
            row.stroke();
        }
        row.slider("Smoothing", 1, () -> options.smoothing, v -> options.smoothing = v);
    }

    @Override
    public void press(Pointer p) {
        points.clear();
        points.add(p.at());
    }

    @Override
    public void drag(Pointer p) {
        if (points.isEmpty()) {
            return;
        }
        if (p.shift()) {
            points.subList(1, points.size()).clear();
            points.add(DrawnShapes.stepped(points.getFirst(), p.at(), 45));
        } else if (points.getLast().distance(p.at()) * p.viewport().zoom() >= 1) {
            points.add(p.at());
        }
    }

    @Override
    public void release(Pointer p) {
        if (points.size() > 1) {
            double smoothing = p.alt() ? 0 : options.smoothing;
            Outline line = Freehand.line(points, smoothing, brush ? 0 : CLOSES / p.viewport().zoom());
            studio.select(List.of());
            DrawnShapes.add(studio, brush ? "Paint stroke" : "Draw freehand", null, brush ? stroke(line) : pencil(line));
            studio.select(List.of());
        } else if (brush && points.size() == 1) {
            Point at = points.getFirst();
            DrawnShapes.add(studio, "Paint dot", null, stroke(Outline.of(false, Node.corner(at.x(), at.y()),
                    Node.corner(at.x() + 0.01, at.y()))));
            studio.select(List.of());
        }
        points.clear();
    }

    private Element pencil(Outline line) {
        Values look = paints.open().with(Properties.STROKE_ENDS, "round").with(Properties.STROKE_JOINS, "round");
        return DrawnShapes.path("Line", line, look);
    }

    private Element stroke(Outline line) {
        return DrawnShapes.path("Brush stroke", StrokeOutline.swept(line, options.brushSize, options.roundness, TIP),
                Values.NONE.with(Properties.FILL, paints.fill.visible() ? paints.fill : paints.stroke));
    }

    @Override
    public boolean cancel() {
        boolean any = !points.isEmpty();
        points.clear();
        return any;
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        if (points.size() < 2) {
            return;
        }
        g.setStroke(Palette.of(studio.dark()).space().deriveColor(0, 1, 1, brush ? 0.45 : 1));
        g.setLineWidth(brush ? Math.max(1, options.brushSize * v.zoom() * (1 + options.roundness) / 2) : 1.6);
        g.setLineCap(StrokeLineCap.ROUND);
        g.setLineJoin(StrokeLineJoin.ROUND);
        g.beginPath();
        for (int i = 0; i < points.size(); i++) {
            Point at = v.toView(points.get(i));
            if (i == 0) {
                g.moveTo(at.x(), at.y());
            } else {
                g.lineTo(at.x(), at.y());
            }
        }
        g.stroke();
    }
}
