package tundra.app.tool;

import java.util.function.Function;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;

/** Takes a colour from the picture: for the fill of what is selected and of what is drawn next; with Alt for the stroke. */
public final class PickTool implements Tool {
    private final Studio studio;
    private final ToolBox tools;
    private final Paints paints;
    private final Function<Point, Color> seen;
    private Color hover;
    private Point at;

    /** @param seen the colour of the picture at a place of the canvas; null outside of it */
    public PickTool(Studio studio, ToolBox tools, Paints paints, Function<Point, Color> seen) {
        this.studio = studio;
        this.tools = tools;
        this.paints = paints;
        this.seen = seen;
    }

    @Override
    public void press(Pointer p) {
        Color c = seen.apply(p.at());
        if (c == null) {
            return;
        }
        Property<Paint> target = p.alt() ? Properties.STROKE : Properties.FILL;
        if (p.alt()) {
            paints.stroke = c;
        } else {
            paints.fill = c;
        }
        studio.edit("Pick colour " + c.hex(), b -> {
            Board out = b;
            for (String id : studio.selection()) {
                Element e = b.find(id);
                if (e != null && target.appliesTo(e) && !(e.content() instanceof Content.Group)) {
                    out = studio.target().set(out, id, target, c);
                }
            }
            return out;
        });
        if (!p.shift()) {
            tools.drawn();
        }
    }

    @Override
    public void move(Pointer p) {
        hover = seen.apply(p.at());
        at = p.view();
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        if (hover != null && at != null) {
            g.setFill(javafx.scene.paint.Color.rgb(hover.red(), hover.green(), hover.blue()));
            g.fillRoundRect(at.x() + 14, at.y() - 34, 30, 24, 8, 8);
            g.setStroke(javafx.scene.paint.Color.WHITE);
            g.setLineWidth(2);
            g.strokeRoundRect(at.x() + 14, at.y() - 34, 30, 24, 8, 8);
        }
    }
}
