package tundra.app.details;

import javafx.scene.control.CheckBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.app.tool.ToolOptions;
import tundra.app.widget.Buttons;
import tundra.app.widget.NumberField;
import tundra.app.widget.LightButton;
import tundra.app.widget.Words;
import tundra.core.edit.GroupBox;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Content;
import tundra.core.model.Element;

/** The bounds that a group turns, scales and is aligned by; what lies in it stays where it is. */
final class BoundsSection extends VBox {
    private final Studio studio;
    private final String id;
    private final NumberField width = new NumberField("Width of the bounds", "w", 1);
    private final NumberField height = new NumberField("Height of the bounds", "h", 1);

    BoundsSection(Studio studio, Commands commands, ToolOptions options, Element e) {
        super(6);
        this.studio = studio;
        id = e.id();
        var title = Words.section("Bounds");
        width.setId("field-bounds-w");
        height.setId("field-bounds-h");
        width.onChange((v, merge) -> set(merge, v, box().y()));
        height.onChange((v, merge) -> set(merge, box().x(), v));
        HBox.setHgrow(width, Priority.ALWAYS);
        HBox.setHgrow(height, Priority.ALWAYS);
        var onCanvas = new CheckBox("Handles set the bounds");
        onCanvas.setId("bounds-on-canvas");
        onCanvas.setSelected(options.bounds);
        onCanvas.setOnAction(x -> options.bounds = onCanvas.isSelected());
        LightButton fit = Buttons.text(commands.get(CommandIds.FIT_BOUNDS), "Fit to content");
        getChildren().addAll(title, new HBox(6, width, height), onCanvas, fit);
        refresh();
    }

    private Point box() {
        return studio.board().find(id) instanceof Element e && e.content() instanceof Content.Parent g ? g.box() : new Point(1, 1);
    }

    /** Around the middle that it has. */
    private void set(Object merge, double w, double h) {
        Point now = box();
        studio.edit("Set bounds of " + studio.board().find(id).name(), merge,
                b -> GroupBox.set(b, id, new Rect((now.x() - w) / 2, (now.y() - h) / 2, w, h)));
    }

    void refresh() {
        width.show(Math.round(box().x() * 100) / 100.0);
        height.show(Math.round(box().y() * 100) / 100.0);
    }
}
