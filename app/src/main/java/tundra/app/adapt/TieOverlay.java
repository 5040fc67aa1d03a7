package tundra.app.adapt;

import javafx.geometry.VPos;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Overlay;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.fit.Ties;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Tree;

/** Draws the distances at which what is selected is tied to its parent. */
public final class TieOverlay implements Overlay {
    private static final double HALF = 20;
    private final Studio studio;

    public TieOverlay(Studio studio) {
        this.studio = studio;
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        if (studio.time().playing() || studio.selected() == null
                || !(studio.picture().placed(studio.selected().id()) instanceof Frame.Placed placed)) {
            return;
        }
        String id = studio.selected().id();
        var path = Tree.path(studio.board().elements(), id);
        Rect box = placed.bounds(), around = path.size() > 1 && studio.picture().placed(path.get(path.size() - 2)) instanceof Frame.Placed p
                ? p.bounds()
                : new Rect(0, 0, studio.board().size().x(), studio.board().size().y());
        Palette c = Palette.of(studio.dark());
        g.setFont(Font.font("JetBrains Mono", 10));
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        for (Ties.Edge edge : Ties.Edge.values()) {
            var d = Ties.distance(studio.board(), id, edge);
            if (!d.tied()) {
                continue;
            }
            Point middle = box.centre();
            Point a = v.toView(switch (edge) {
                case LEFT -> new Point(around.x(), middle.y());
                case RIGHT -> new Point(around.right(), middle.y());
                case TOP -> new Point(middle.x(), around.y());
                case BOTTOM -> new Point(middle.x(), around.bottom());
            });
            Point b = v.toView(switch (edge) {
                case LEFT -> new Point(box.x(), middle.y());
                case RIGHT -> new Point(box.right(), middle.y());
                case TOP -> new Point(middle.x(), box.y());
                case BOTTOM -> new Point(middle.x(), box.bottom());
            });
            g.setStroke(c.fitting());
            g.setLineWidth(1.5);
            g.setLineDashes(d.inShare() ? new double[] {4, 3} : new double[0]);
            g.strokeLine(a.x(), a.y(), b.x(), b.y());
            g.setLineDashes();
            Point at = a.plus(b).times(0.5);
            g.setFill(c.fitting());
            g.fillRoundRect(at.x() - HALF - 4, at.y() - 8, 2 * HALF + 8, 16, 16, 16);
            g.setFill(c.field());
            g.fillText(d.words(), at.x(), at.y() + 0.5);
        }
    }
}
