package tundra.app.details;

import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.tool.Selected;
import tundra.app.tool.ToolOptions;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.NamedRow;
import tundra.app.widget.NumberField;
import tundra.app.widget.Words;
import tundra.app.widget.WordsOf;
import tundra.core.edit.TurningSeveral;
import tundra.core.model.Board;

/** Turns and scales several elements together by a number: around their middle, the pivot of the last one, or each its own. */
final class TogetherSection extends VBox {
    private final Studio studio;
    private final ToolOptions options;
    private final NumberField turn = new NumberField("Turn all by", "°", 2);
    private final NumberField scale = new NumberField("Scale all to", "%", 1);

    TogetherSection(Studio studio, ToolOptions options) {
        super(6);
        this.studio = studio;
        this.options = options;
        turn.setId("field-turn-all");
        scale.setId("field-scale-all");
        var around = new LightComboBox<ToolOptions.TurnAround>();
        around.setId("turn-around");
        around.getItems().setAll(ToolOptions.TurnAround.values());
        around.setValue(options.turnAround);
        around.setAccessibleText("Around");
        around.setConverter(new WordsOf<>(x -> x.words));
        around.setOnAction(e -> options.turnAround = around.getValue());
        around.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(around, Priority.ALWAYS);
        turn.onChange((v, merge) -> change("Turn", merge, (several, b) -> several.turn(b, v, Selected.dragging(studio, several.parts()))));
        scale.onChange((v, merge) -> change("Scale", merge, (several, b) -> several.scale(b, v / 100, Selected.dragging(studio, several.parts()))));
        getChildren().addAll(Words.section("Together"), new NamedRow("Turn, scale", turn, scale), new NamedRow("Around", around));
        refresh();
    }

    private interface Change {
        Board of(TurningSeveral several, Board b);
    }

    private void change(String name, Object merge, Change change) {
        if (merge == null) {
            TurningSeveral several = Selected.turning(studio, options);
            studio.edit(name + " " + several.parts().size() + " elements", b -> change.of(several, b));
            refresh();
            return;
        }
        // each step of a scrub is worked out from where it began
        studio.cancel(merge);
        TurningSeveral several = Selected.turning(studio, options);
        studio.edit(name + " " + several.parts().size() + " elements", merge, b -> change.of(several, b));
        scrubbed = true;
    }

    private boolean scrubbed;

    /** What comes next starts from nothing turned and nothing scaled. */
    void refresh() {
        if (!scrubbed) {
            turn.show(0);
            scale.show(100);
        }
        scrubbed = false;
    }
}
