package tundra.app.tool;

import java.util.ArrayList;
import java.util.List;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/**
 * Draws straight lines: a drag draws one, clicks draw a row of them that Enter or a double click ends and a click on its start
 * closes. Shift keeps to steps of 15°, Alt draws a dragged line from its middle.
 */
public final class LineTool implements Tool {
    private static final double NEAR = 7;
    private static final double FAR = 4;
    private final Studio studio;
    private final ToolBox tools;
    private final Paints paints;
    private final List<Point> corners = new ArrayList<>();
    private Point pressed;
    private Point hover;
    private boolean dragged;
    private boolean middle;

    public LineTool(Studio studio, ToolBox tools, Paints paints) {
        this.studio = studio;
        this.tools = tools;
        this.paints = paints;
    }

    private Point place(Pointer p) {
        Point at = p.shift() && !corners.isEmpty() ? DrawnShapes.stepped(corners.getLast(), p.at(), 15) : p.at();
        return p.ctrl() ? at : DrawnShapes.tenth(at);
    }

    @Override
    public void settings(ToolSettings row) {
        row.stroke();
    }

    @Override
    public void press(Pointer p) {
        if (p.clicks() > 1) {
            finish();
            return;
        }
        if (corners.size() > 2 && p.viewport().toView(corners.getFirst()).distance(p.view()) <= NEAR) {
            end(true);
            return;
        }
        pressed = p.view();
        dragged = false;
        corners.add(place(p));
    }

    @Override
    public void drag(Pointer p) {
        if (pressed != null && corners.size() == 1 && pressed.distance(p.view()) >= FAR) {
            dragged = true;
        }
        middle = p.alt();
        hover = place(p);
    }

    @Override
    public void release(Pointer p) {
        if (pressed != null && dragged) {
            Point from = corners.getFirst(), to = place(p);
            corners.clear();
            corners.add(p.alt() ? from.minus(to.minus(from)) : from);
            corners.add(to);
            end(false);
        }
        pressed = null;
        dragged = false;
    }

    @Override
    public void move(Pointer p) {
        middle = false;
        hover = corners.isEmpty() ? null : place(p);
    }

    @Override
    public boolean drawAt(Point at, double size) {
        if (!corners.isEmpty()) {
            return false;
        }
        corners.add(DrawnShapes.tenth(at.minus(new Point(size, 0))));
        corners.add(DrawnShapes.tenth(at.plus(new Point(size, 0))));
        end(false);
        return true;
    }

    @Override
    public boolean cancel() {
        boolean any = !corners.isEmpty();
        corners.clear();
        pressed = null;
        hover = null;
        return any;
    }

    @Override
    public boolean finish() {
        boolean any = !corners.isEmpty();
        end(false);
        return any;
    }

    private void end(boolean closed) {
        var nodes = corners.stream().map(c -> Node.corner(c.x(), c.y())).toList();
        boolean one = nodes.size() == 2;
        cancel();
        if (nodes.size() > 1) {
            var outline = new Outline(List.of(new Contour(nodes, closed)));
            DrawnShapes.add(studio, one ? "Draw Line" : "Draw Polyline", null,
                    DrawnShapes.path(one ? "Line" : "Polyline", outline, closed ? paints.closed() : paints.open()));
            tools.drawn();
        }
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        if (corners.isEmpty()) {
            return;
        }
        g.setStroke(Palette.of(studio.dark()).space());
        g.setLineWidth(1.5);
        var shown = new ArrayList<>(corners);
        if (hover != null) {
            shown.add(hover);
            if (middle && shown.size() == 2) {
                shown.set(0, corners.getFirst().times(2).minus(hover));
            }
        }
        for (int i = 0; i + 1 < shown.size(); i++) {
            Point a = v.toView(shown.get(i)), b = v.toView(shown.get(i + 1));
            g.strokeLine(a.x(), a.y(), b.x(), b.y());
        }
        for (Point c : corners) {
            HandleMarks.square(g, v.toView(c), Palette.of(studio.dark()).space(), false);
        }
    }
}
