package tundra.app.window;

import java.util.function.Consumer;
import javafx.geometry.Point2D;
import tundra.app.command.CommandIds;
import tundra.app.studio.Desk;
import tundra.app.widget.NameField;
import tundra.core.edit.Names;
import tundra.core.fit.Layouts;
import tundra.core.frame.Frame;
import tundra.core.geometry.Point;
import tundra.core.model.Element;
import tundra.core.model.Layout;

/** Has names typed where what is named stands. */
final class Naming {
    /** Of a name that is typed on the canvas, in px. */
    static final double NAME_WIDTH = 170, NAME_HEIGHT = 28;
    private final MainWindow window;

    Naming(MainWindow window) {
        this.window = window;
    }

    /** Has a name typed where one is: in the outline, on the ruler for a marker, else where the element stands on the canvas. */
    void rename() {
        if (window.studio.time().marker() != null) {
            window.w.commands.run(CommandIds.MARKER_RENAME);
            return;
        }
        Element e = window.studio.selected();
        if (window.studio.desk() == Desk.DRAW) {
            window.outline.get().rename(e.id());
            return;
        }
        nameOnCanvas(e, name -> window.studio.edit("Rename " + e.name(), b -> Names.rename(b, e.id(), name)));
    }

    /** Has the name of the layout that is worked on typed above its canvas. */
    void renameLayout() {
        Layout l = window.studio.layout();
        Point2D at = window.layers.sceneToLocal(window.w.canvas.localToScene(Math.max(0, window.w.canvas.getWidth() / 2 - NAME_WIDTH / 2), 8));
        NameField.open(window.layers, at.getX(), at.getY(), NAME_WIDTH, l.name(), name -> window.studio.editBase("Rename layout " + l.name(), null,
                b -> Layouts.rename(b, l.id(), name)));
    }

    /** Has a name typed where an element stands on the canvas. */
    void nameOnCanvas(Element e, Consumer<String> take) {
        Frame.Placed there = window.studio.picture().placed(e.id());
        Point corner = window.w.canvas.viewport().toView((there == null ? window.studio.presence().unseenAt(e) : there).bounds().topLeft());
        Point2D at = window.layers.sceneToLocal(window.w.canvas.localToScene(Math.clamp(corner.x(), 0,
                Math.max(0, window.w.canvas.getWidth() - NAME_WIDTH)),
                Math.clamp(corner.y() - NAME_HEIGHT, 0, Math.max(0, window.w.canvas.getHeight() - NAME_HEIGHT))));
        NameField.open(window.layers, at.getX(), at.getY(), NAME_WIDTH, e.name(), take);
    }
}
