package tundra.app.tool;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.paint.Color;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;

/**
 * Draws a path: a click sets a corner, a drag pulls the handles of a smooth node, a click on the first node closes it, Enter or
 * a second click on the last node ends it, Escape gives it up. Shift keeps to steps of 45°.
 */
public final class PenTool implements Tool {
    private static final double NEAR = 7;
    private final Studio studio;
    private final ToolBox tools;
    private final Paints paints;
    private final List<Node> nodes = new ArrayList<>();
    private boolean pulling;
    private boolean closing;
    private Point hover;

    public PenTool(Studio studio, ToolBox tools, Paints paints) {
        this.studio = studio;
        this.tools = tools;
        this.paints = paints;
    }

    private Point place(Pointer p) {
        Point at = p.at();
        if (p.shift() && !nodes.isEmpty()) {
            at = DrawnShapes.stepped(nodes.getLast().at(), at, 45);
        }
        return DrawnShapes.tenth(at);
    }

    @Override
    public void settings(ToolSettings row) {
        row.stroke();
    }

    @Override
    public void press(Pointer p) {
        boolean again = !nodes.isEmpty() && p.viewport().toView(nodes.getLast().at()).distance(p.view()) <= NEAR / 2;
        if (p.clicks() > 1 || again) {
            finish();
            return;
        }
        if (nodes.size() > 1 && p.viewport().toView(nodes.getFirst().at()).distance(p.view()) <= NEAR) {
            closing = true;
        } else {
            Point at = place(p);
            nodes.add(Node.corner(at.x(), at.y()));
        }
        pulling = true;
    }

    @Override
    public void drag(Pointer p) {
        if (!pulling || nodes.isEmpty()) {
            return;
        }
        int i = closing ? 0 : nodes.size() - 1;
        Point out = p.at().minus(nodes.get(i).at());
        if (out.times(p.viewport().zoom()).length() > 3) {
            nodes.set(i, closing ? new Node(nodes.get(i).at(), out.times(-1), nodes.get(i).out(), true) : Node.smooth(nodes.get(i).at(), out));
        }
    }

    @Override
    public void release(Pointer p) {
        pulling = false;
        if (closing) {
            end(true);
        }
    }

    @Override
    public void move(Pointer p) {
        hover = nodes.isEmpty() ? null : place(p);
    }

    @Override
    public boolean cancel() {
        boolean any = !nodes.isEmpty();
        clear();
        return any;
    }

    @Override
    public boolean finish() {
        boolean any = !nodes.isEmpty();
        end(false);
        return any;
    }

    private void clear() {
        nodes.clear();
        pulling = false;
        closing = false;
        hover = null;
    }

    private void end(boolean closed) {
        var outline = new Outline(List.of(new Contour(nodes, closed)));
        boolean enough = nodes.size() > 1;
        clear();
        if (!enough) {
            return;
        }
        DrawnShapes.add(studio, "Draw Path", null, DrawnShapes.path("Path", outline, closed ? paints.closed() : paints.open()));
        tools.drawn();
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        if (nodes.isEmpty()) {
            return;
        }
        Palette colors = Palette.of(studio.dark());
        var shown = new ArrayList<>(nodes);
        if (hover != null && !pulling) {
            shown.add(Node.corner(hover.x(), hover.y()));
        }
        g.setStroke(colors.space());
        g.setLineWidth(1.5);
        g.beginPath();
        for (Cubic c : new Contour(shown, closing).segments()) {
            Point a = v.toView(c.p0()), h = v.toView(c.p1()), k = v.toView(c.p2()), b = v.toView(c.p3());
            g.moveTo(a.x(), a.y());
            g.bezierCurveTo(h.x(), h.y(), k.x(), k.y(), b.x(), b.y());
        }
        g.stroke();
        for (Node n : nodes) {
            Point at = v.toView(n.at());
            for (Point h : List.of(n.in(), n.out())) {
                if (!h.equals(Point.ZERO)) {
                    Point tip = v.toView(n.at().plus(h));
                    g.setLineWidth(1);
                    g.strokeLine(at.x(), at.y(), tip.x(), tip.y());
                    g.setFill(colors.space());
                    g.fillOval(tip.x() - 3, tip.y() - 3, 6, 6);
                }
            }
            g.setFill(Color.WHITE);
            g.fillRect(at.x() - 3.5, at.y() - 3.5, 7, 7);
            g.strokeRect(at.x() - 3.5, at.y() - 3.5, 7, 7);
        }
    }
}
