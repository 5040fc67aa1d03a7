package tundra.app.interact;

import javafx.geometry.Pos;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import tundra.core.edit.Sentences;

/** One of the choices of a list: a sentence whose nouns are greyed, with a note at its end. */
final class ChoiceCell extends ListCell<Picker.Choice> {
    @Override
    protected void updateItem(Picker.Choice c, boolean empty) {
        super.updateItem(c, empty);
        setText(null);
        setTooltip(null);
        if (empty || c == null) {
            setGraphic(null);
            setAccessibleText(null);
            return;
        }
        var row = new HBox(5);
        row.setAlignment(Pos.CENTER_LEFT);
        for (Sentences.Phrase p : c.phrases()) {
            var l = new Label(p.words());
            l.setMinWidth(p.noun() ? 12 : Region.USE_PREF_SIZE);
            l.getStyleClass().add(p.noun() ? "picker-noun" : "picker-words");
            row.getChildren().add(l);
        }
        if (!c.note().isEmpty()) {
            var gap = new Region();
            HBox.setHgrow(gap, Priority.ALWAYS);
            var note = new Label(c.note());
            note.setMinWidth(Region.USE_PREF_SIZE);
            note.getStyleClass().addAll("quiet", "small");
            row.getChildren().addAll(gap, note);
        }
        // never wider than the list: what is shortened is told by the tip
        row.setPrefWidth(0);
        row.setMaxWidth(Double.MAX_VALUE);
        setGraphic(row);
        setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        setAccessibleText(c.text());
        setTooltip(new Tooltip(c.text()));
    }
}
