package tundra.app.interact;

import java.util.List;
import javafx.scene.paint.Color;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Overlay;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.check.TouchAreas;
import tundra.core.frame.Frame;
import tundra.core.frame.Moment;
import tundra.core.frame.Pickable;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.model.Tree;

/** Colours what catches the pointer, and hatches what of it is covered. */
public final class TouchOverlay implements Overlay {
    private static final double APART = 8;
    private final Studio studio;
    private boolean on;
    private Project of;
    private Board board;
    private Moment at;
    private List<TouchAreas.Area> areas = List.of();

    public TouchOverlay(Studio studio) {
        this.studio = studio;
    }

    public boolean on() {
        return on;
    }

    public void setOn(boolean o) {
        on = o;
    }

    /** Those of the open board at the playhead. */
    List<TouchAreas.Area> areas() {
        Project p = studio.project();
        Board b = studio.board();
        Moment m = studio.picture().moment();
        if (p != of || b != board || !m.equals(at)) {
            of = p;
            board = b;
            at = m;
            areas = TouchAreas.of(p, b, studio.picture().fonts(), m);
        }
        return areas;
    }

    /** How many are covered by more than half, in words. */
    String words() {
        var covered = areas().stream().filter(a -> a.hidden() >= 0.5).toList();
        if (covered.isEmpty()) {
            return "Covered: none";
        }
        TouchAreas.Area first = covered.getFirst();
        String by = first.covered().keySet().iterator().next();
        String words = studio.board().find(first.element()).name() + " is covered by " + (studio.board().find(by) == null ? "something"
                : studio.board().find(by).name()) + ": " + Math.round(100 * first.hidden()) + " %";
        return covered.size() == 1 ? words : words + ", and " + (covered.size() - 1) + " more";
    }

    /** What is there to be touched and shows nothing, also before anything reacts to it. */
    private void bare(SkiaGraphics g, Viewport v, Color ink) {
        g.setStroke(ink);
        g.setLineWidth(1.5);
        g.setLineDashes(4, 3);
        Tree.each(studio.board().elements(), e -> {
            if (Pickable.isArea(e) && studio.picture().placed(e.id()) instanceof Frame.Placed p) {
                List<Point> c = p.corners().stream().map(v::toView).toList();
                g.strokePolygon(c.stream().mapToDouble(Point::x).toArray(), c.stream().mapToDouble(Point::y).toArray(), c.size());
            }
        });
        g.setLineDashes();
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        if (!on || studio.time().playing()) {
            return;
        }
        Color ink = Palette.of(studio.dark()).interaction();
        bare(g, v, ink);
        for (TouchAreas.Area a : areas()) {
            Point from = v.toView(a.bounds().topLeft());
            double w = a.bounds().width() * v.zoom(), h = a.bounds().height() * v.zoom();
            g.setFill(ink.deriveColor(0, 1, 1, 0.28));
            g.fillRect(from.x(), from.y(), w, h);
            g.setStroke(ink);
            g.setLineWidth(1.5);
            g.strokeRect(from.x(), from.y(), w, h);
            if (a.hidden() > 0.02) {
                g.save();
                g.beginPath();
                g.rect(from.x(), from.y(), w, h);
                g.clip();
                g.setStroke(Palette.of(studio.dark()).time());
                for (double x = -h; x < w; x += APART) {
                    g.strokeLine(from.x() + x, from.y() + h, from.x() + x + h, from.y());
                }
                g.restore();
            }
        }
    }
}
