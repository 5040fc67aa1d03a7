package tundra.app.tool;

import java.util.List;
import javafx.scene.Cursor;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.edit.Snapping;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.FontSource;
import tundra.core.model.Properties;

/**
 * Places a text with a click, or with a drag one whose lines wrap at that width, and lets its words be typed at once. Alt drags
 * from the middle, Ctrl does not snap.
 */
public final class TextTool implements Tool {
    private static final double SIZE = 32;
    private static final double LEAST = 12;
    private final Studio studio;
    private final ToolBox tools;
    private final Paints paints;
    private final Runnable editWords;
    private Point start;
    private Rect area;
    private Snapping.Snap snap = Snapping.Snap.NONE;

    public TextTool(Studio studio, ToolBox tools, Paints paints, Runnable editWords) {
        this.studio = studio;
        this.tools = tools;
        this.paints = paints;
        this.editWords = editWords;
    }

    @Override
    public void press(Pointer p) {
        studio.select(List.of());
        start = snapped(p);
        area = null;
    }

    private Point snapped(Pointer p) {
        snap = SnapLines.at(studio, p);
        return SnapLines.whole(p).plus(snap.by());
    }

    @Override
    public void drag(Pointer p) {
        if (start != null) {
            Point way = snapped(p).minus(start);
            Rect r = p.alt() ? Rect.of(start.minus(way), start.plus(way)) : Rect.of(start, start.plus(way));
            area = r.width() < LEAST ? null : r;
        }
    }

    @Override
    public void release(Pointer p) {
        if (start == null) {
            return;
        }
        var words = new Content.Text("Text", FontSource.STANDARD, 600, SIZE, Content.Align.LEFT, 1.25);
        Point at = area != null ? new Point(area.x(), area.y()) : new Point(start.x(), Math.round(start.y() - SIZE * 0.7));
        var e = new Element("Text", area != null ? words.withWrap(area.width()) : words,
                paints.text().with(Properties.POSITION, at).with(Properties.PIVOT, Point.ZERO));
        cancel();
        DrawnShapes.add(studio, "Add Text", null, e);
        tools.drawn();
        editWords.run();
    }

    @Override
    public boolean cancel() {
        boolean any = start != null;
        start = null;
        area = null;
        snap = Snapping.Snap.NONE;
        return any;
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        SnapLines.draw(g, v, snap, studio.dark());
        if (area != null) {
            Point a = v.toView(new Point(area.x(), area.y())), b = v.toView(new Point(area.right(), area.bottom()));
            g.setStroke(Palette.of(studio.dark()).space());
            g.setLineWidth(1);
            g.strokeRect(Math.floor(a.x()) + 0.5, Math.floor(a.y()) + 0.5, b.x() - a.x(), b.y() - a.y());
        }
    }

    @Override
    public Cursor cursor() {
        return Cursor.TEXT;
    }
}
