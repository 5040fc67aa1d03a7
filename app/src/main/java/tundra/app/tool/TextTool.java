package tundra.app.tool;

import java.util.List;
import javafx.scene.Cursor;
import tundra.app.studio.Studio;
import tundra.core.edit.Arrange;
import tundra.core.geometry.Point;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.FontSource;
import tundra.core.model.Properties;

/** Places a text with a click and lets its words be typed at once. */
public final class TextTool implements Tool {
    private final Studio studio;
    private final ToolBox tools;
    private final Paints paints;
    private final Runnable editWords;

    public TextTool(Studio studio, ToolBox tools, Paints paints, Runnable editWords) {
        this.studio = studio;
        this.tools = tools;
        this.paints = paints;
        this.editWords = editWords;
    }

    @Override
    public void press(Pointer p) {
        double size = 32;
        Point at = new Point(Math.round(p.at().x()), Math.round(p.at().y() - size * 0.7));
        var e = new Element("Text", new Content.Text("Text", FontSource.STANDARD, 600, size, Content.Align.LEFT, 1.25),
                paints.text().with(Properties.POSITION, at).with(Properties.PIVOT, Point.ZERO));
        studio.edit("Add Text", b -> Arrange.add(b, e));
        studio.select(List.of(e.id()));
        tools.take(ToolKind.SELECT);
        editWords.run();
    }

    @Override
    public Cursor cursor() {
        return Cursor.TEXT;
    }
}
