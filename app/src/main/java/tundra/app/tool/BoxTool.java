package tundra.app.tool;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Supplier;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.core.edit.Draggings;
import tundra.core.edit.Snapping;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Values;

/** Draws a rectangle, an ellipse or a polygon by dragging. Shift makes the sides equal, Alt draws from the centre, Ctrl does not snap. */
public final class BoxTool implements Tool {
    private final Studio studio;
    private final ToolBox tools;
    private final Supplier<Content> content;
    private final Supplier<String> naming;
    private final Supplier<Values> look;
    private final Consumer<ToolSettings> settings;
    private String name;
    private Point start;
    private Object drag;
    private Snapping.Snap snap = Snapping.Snap.NONE;

    /** @param look what a new one looks like */
    private BoxTool(Studio studio, ToolBox tools, Supplier<Values> look, Supplier<Content> content, Supplier<String> naming,
            Consumer<ToolSettings> settings) {
        this.studio = studio;
        this.tools = tools;
        this.look = look;
        this.content = content;
        this.naming = naming;
        this.settings = settings;
    }

    /** Shapes of one kind. */
    public static BoxTool of(Studio studio, ToolBox tools, Paints paints, Supplier<Content> content, String name) {
        return new BoxTool(studio, tools, paints::closed, content, () -> name, row -> row.fill("Fill"));
    }

    /** Areas that nobody sees and that catch the pointer. */
    public static BoxTool touch(Studio studio, ToolBox tools) {
        return new BoxTool(studio, tools, Draggings::touch, Content.Rectangle::new, () -> "Touch area", row -> { });
    }

    /** A polygon or a star. */
    public static BoxTool polygon(Studio studio, ToolBox tools, Paints paints, ToolOptions o) {
        return new BoxTool(studio, tools, paints::closed, () -> new Content.Polygon(o.points, o.inner), o::polygonName, row -> {
            row.fill("Fill");
            row.number("Points", "", 0, () -> o.points, v -> o.points = (int) Math.max(3, Math.min(100, Math.round(v))));
            row.number("Inner radius", "%", 0, () -> o.inner * 100, v -> o.inner = Math.max(0, Math.min(1, v / 100)));
        });
    }

    @Override
    public void settings(ToolSettings row) {
        settings.accept(row);
    }

    @Override
    public void press(Pointer p) {
        studio.select(List.of());
        snap = SnapLines.at(studio, p);
        start = SnapLines.whole(p).plus(snap.by());
        name = naming.get();
        drag = new Object();
    }

    @Override
    public void drag(Pointer p) {
        if (start == null) {
            return;
        }
        snap = SnapLines.corner(studio, start, p);
        Point way = SnapLines.whole(p).plus(snap.by()).minus(start);
        if (p.shift()) {
            double side = Math.max(Math.abs(way.x()), Math.abs(way.y()));
            way = new Point(Math.copySign(side, way.x()), Math.copySign(side, way.y()));
        }
        Rect r = p.alt() ? Rect.of(start.minus(way), start.plus(way)) : Rect.of(start, start.plus(way));
        studio.cancel(drag);
        if (r.width() < 1 || r.height() < 1) {
            return;
        }
        var e = new Element(name, content.get(), look.get().with(Properties.POSITION, r.centre())
                .with(Properties.SIZE, new Point(r.width(), r.height())));
        DrawnShapes.add(studio, "Draw " + name, drag, e);
    }

    @Override
    public void release(Pointer p) {
        boolean drawn = start != null && studio.selected() != null && studio.history().undoName() != null && studio.history().undoName()
                .equals("Draw " + name);
        start = null;
        snap = Snapping.Snap.NONE;
        if (drawn) {
            tools.drawn();
        }
    }

    @Override
    public boolean drawAt(Point middle, double size) {
        if (start != null) {
            return false;
        }
        String called = naming.get();
        DrawnShapes.add(studio, "Draw " + called, null, new Element(called, content.get(), look.get()
                .with(Properties.POSITION, DrawnShapes.tenth(middle)).with(Properties.SIZE, new Point(Math.rint(1.5 * size), Math.rint(size)))));
        tools.drawn();
        return true;
    }

    @Override
    public boolean cancel() {
        if (start == null) {
            return false;
        }
        studio.cancel(drag);
        start = null;
        snap = Snapping.Snap.NONE;
        return true;
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        SnapLines.draw(g, v, snap, studio.dark());
    }
}
