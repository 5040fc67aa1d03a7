package tundra.app.details;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.scene.control.ComboBox;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextArea;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.LightLabel;
import tundra.app.widget.Words;
import tundra.core.edit.PieceValues;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.PieceValue;

/** The words of texts and their family; how they are set follows as rows of properties. */
final class TextSection extends VBox {
    private final Studio studio;
    private final List<String> ids;
    private final TextArea words = new TextArea();
    private final LightButton value = new LightButton("Show a value");
    private final ComboBox<String> family = new LightComboBox<>();
    private Object typing = new Object();
    private boolean showing;

    TextSection(Studio studio, List<String> ids) {
        this.studio = studio;
        this.ids = ids;
        setSpacing(6);
        var title = Words.section("Text");
        words.setId("field-text");
        words.setAccessibleText("Words");
        words.setPrefRowCount(2);
        words.setWrapText(true);
        words.textProperty().addListener((o, was, is) -> change(t -> t.withText(is), typing));
        words.focusedProperty().addListener((o, was, is) -> typing = new Object());
        value.setId("text-value");
        value.setMark(Buttons.opener(), LightLabel.Place.AFTER);
        Buttons.tip(value, "Lets the text show a value of the piece, such as a score: on the page it is what it is at that moment");
        Buttons.menu(value, this::values);
        family.setAccessibleText("Font family");
        family.setMaxWidth(Double.MAX_VALUE);
        family.setOnAction(x -> change(t -> t.withFace(family.getValue(), t.weight()), null));
        getChildren().addAll(title, words, value, family);
        refresh();
    }

    private List<MenuItem> values() {
        var out = new ArrayList<MenuItem>();
        for (PieceValue v : studio.project().values()) {
            var item = new MenuItem(v.name());
            item.setMnemonicParsing(false);
            item.setId("text-value-" + v.id());
            item.setOnAction(e -> words.insertText(caret(), PieceValues.shown(words.getText(), caret(), v)));
            out.add(item);
        }
        var fresh = new MenuItem("A new number");
        fresh.setId("text-value-new");
        fresh.setOnAction(e -> studio.editProject("Show a new value", null, p -> PieceValues.addShown(p, studio.place().id(), ids.getFirst(),
                caret(), "score")));
        out.add(fresh);
        return out;
    }

    /** Where the next words go: behind what is there, unless the caret was put somewhere. */
    private int caret() {
        return words.isFocused() || words.getCaretPosition() > 0 ? words.getCaretPosition() : words.getLength();
    }

    private List<Element> texts() {
        return ids.stream().map(studio.board()::find).filter(e -> e != null && e.content() instanceof Content.Text).toList();
    }

    private void change(UnaryOperator<Content.Text> change, Object merge) {
        List<Element> all = texts();
        if (!showing && all.stream().anyMatch(e -> !change.apply((Content.Text) e.content()).equals(e.content()))) {
            studio.edit("Change text of " + (all.size() == 1 ? all.getFirst().name() : all.size() + " texts"), merge, b -> {
                Board out = b;
                for (Element e : all) {
                    out = out.mapElement(e.id(), x -> x.withContent(change.apply((Content.Text) x.content())));
                }
                return out;
            });
        }
    }

    void refresh() {
        List<Element> all = texts();
        if (!all.isEmpty()) {
            var t = (Content.Text) all.getFirst().content();
            showing = true;
            // the words of several stay their own
            words.setVisible(all.size() == 1);
            words.setManaged(all.size() == 1);
            value.setVisible(all.size() == 1);
            value.setManaged(all.size() == 1);
            if (!words.getText().equals(t.text())) {
                words.setText(t.text());
            }
            if (!family.getItems().equals(studio.picture().fonts().families())) {
                family.getItems().setAll(studio.picture().fonts().families());
            }
            family.setValue(t.family());
            showing = false;
        }
    }
}
