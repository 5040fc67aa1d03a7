package tundra.app.tool;

import java.util.List;
import java.util.Set;
import javafx.scene.paint.Color;
import tundra.app.paint.SkiaGraphics;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.draw.NodeEdit;
import tundra.core.draw.NodeEdit.Ref;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Inside;
import tundra.core.geometry.Node;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** The nodes, handles and outlines that the tool shows over the canvas. */
final class NodesPainter {
    private static final double LINE_STEP = 1.5;
    private final NodesTool tool;

    NodesPainter(NodesTool tool) {
        this.tool = tool;
    }

    void draw(SkiaGraphics g, Viewport v) {
        Palette colors = Palette.of(tool.studio.dark());
        for (NodesTool.Shown s : tool.shown()) {
            line(g, v, s, colors.space());
            Set<Ref> of = tool.chosenOf(s);
            for (Ref r : tool.hits.withHandles(s)) {
                Node n = NodeEdit.node(s.outline(), r);
                Point at = v.toView(s.toCanvas().apply(n.at()));
                for (Point h : List.of(n.in(), n.out())) {
                    if (!h.equals(Point.ZERO)) {
                        Point tip = v.toView(s.toCanvas().apply(n.at().plus(h)));
                        HandleMarks.arm(g, at, tip, colors.space());
                        HandleMarks.round(g, tip, 3.2, colors.space(), Color.WHITE);
                    }
                }
            }
            for (int c = 0; c < s.outline().contours().size(); c++) {
                var nodes = s.outline().contours().get(c).nodes();
                Point drawn = null;
                for (int i = 0; i < nodes.size(); i++) {
                    Point at = v.toView(s.toCanvas().apply(nodes.get(i).at()));
                    boolean on = of.contains(new Ref(c, i));
                    // closer together they could not be told apart
                    if (!on && drawn != null && drawn.distance(at) < NodesTool.APART) {
                        continue;
                    }
                    drawn = at;
                    if (nodes.get(i).smooth()) {
                        HandleMarks.round(g, at, 3.8, on ? colors.space() : Color.WHITE, colors.space());
                    } else {
                        HandleMarks.square(g, at, colors.space(), on);
                    }
                }
            }
        }
        if (tool.hover instanceof NodesTool.Over.OnLine l && tool.gesture == null) {
            HandleMarks.round(g, v.toView(l.shown().toCanvas().apply(NodeEdit.point(l.shown().outline(), l.at()))), 3, colors.spaceSoft(),
                    colors.space());
        }
        if (tool.gesture instanceof NodesTool.Gesture.Marquee m) {
            Rect r = Rect.of(v.toView(m.from()), v.toView(m.to()));
            g.setFill(colors.space().deriveColor(0, 1, 1, 0.12));
            g.fillRect(r.x(), r.y(), r.width(), r.height());
            g.setStroke(colors.space());
            g.setLineWidth(1);
            g.strokeRect(Math.floor(r.x()) + 0.5, Math.floor(r.y()) + 0.5, Math.round(r.width()), Math.round(r.height()));
        }
    }

    private static void line(SkiaGraphics g, Viewport v, NodesTool.Shown s, Color ink) {
        g.setStroke(ink);
        g.setLineWidth(1.2);
        g.beginPath();
        for (Contour c : s.outline().contours()) {
            Point drawn = null;
            List<Point> points = Inside.flatten(c.through(s.toCanvas()));
            for (int i = 0; i < points.size(); i++) {
                Point at = v.toView(points.get(i));
                if (drawn == null) {
                    g.moveTo(at.x(), at.y());
                } else if (i < points.size() - 1 && drawn.distance(at) < LINE_STEP) {
                    continue;
                } else {
                    g.lineTo(at.x(), at.y());
                }
                drawn = at;
            }
            if (c.closed()) {
                g.closePath();
            }
        }
        g.stroke();
    }
}
