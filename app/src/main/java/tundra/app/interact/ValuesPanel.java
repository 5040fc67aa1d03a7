package tundra.app.interact;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;
import tundra.app.publish.TryIt;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.NamedRow;
import tundra.app.widget.Popovers;
import tundra.app.widget.Words;
import tundra.app.widget.WordsOf;
import tundra.core.edit.PieceValues;
import tundra.core.edit.Reactions;
import tundra.core.model.PieceValue;

/** The values of the piece, each with what it is at first, or what it is now while the piece is tried. */
final class ValuesPanel extends VBox {
    private final Studio studio;
    private final FlowPane chips = new FlowPane(6, 6);
    private final Map<String, String> live = new HashMap<>();

    ValuesPanel(Studio studio, TryIt tryIt) {
        super(6);
        this.studio = studio;
        setId("values");
        getStyleClass().add("values");
        getChildren().addAll(Words.section("Values"), chips);
        tryIt.listen(() -> {
            if (tryIt.log().isEmpty()) {
                live.clear();
            } else {
                String text = tryIt.log().getLast().text();
                studio.project().values().stream().filter(v -> text.startsWith(v.name() + " = "))
                        .forEach(v -> live.put(v.id(), text.substring(v.name().length() + 3)));
            }
            build();
        });
        build();
    }

    void build() {
        var out = new ArrayList<Node>();
        List<PieceValue> all = studio.project().values();
        for (int i = 0; i < all.size(); i++) {
            PieceValue v = all.get(i);
            String now = live.get(v.id());
            var b = new Button(v.name() + " = " + (now != null ? now : v.start().isEmpty() ? "“”" : v.start()));
            b.setId("value-" + (i + 1));
            b.setMnemonicParsing(false);
            b.getStyleClass().addAll("value-chip", "mono");
            if (now != null) {
                b.getStyleClass().add("live");
            }
            b.setOnAction(e -> open(b, v));
            out.add(b);
        }
        var add = new Button("+");
        add.setId("value-add");
        add.getStyleClass().addAll("chip", "chip-more");
        add.setAccessibleText("New value");
        Buttons.tip(add, "A value keeps a number, a text, or yes or no while the page is open");
        add.setOnAction(e -> Picker.type(add, "", "What it is called, such as placed or score.", t -> t.isBlank() ? "It needs a name." : null,
                name -> studio.editProject("New value " + name.strip(), null, p -> PieceValues.add(p, name, PieceValue.Kind.NUMBER))));
        out.add(add);
        if (all.isEmpty()) {
            var none = new Label("None yet: count something, or remember what the visitor did.");
            none.getStyleClass().addAll("quiet", "small");
            out.add(none);
        }
        chips.setAlignment(Pos.CENTER_LEFT);
        chips.getChildren().setAll(out);
    }

    private void change(PieceValue v, String what, UnaryOperator<PieceValue> by) {
        studio.editProject(what, null, p -> PieceValues.map(p, v.id(), by));
    }

    private void open(Button at, PieceValue v) {
        var popup = new Popup();
        Popovers.closing(popup);
        var name = new TextField(v.name());
        name.setId("value-name");
        var kind = new LightComboBox<PieceValue.Kind>();
        kind.setId("value-kind");
        kind.getItems().setAll(PieceValue.Kind.values());
        kind.setConverter(new WordsOf<>(x -> x.words));
        kind.setValue(v.kind());
        var start = new TextField(v.start());
        start.setId("value-start");
        var kept = new CheckBox("kept for the next visit");
        kept.setId("value-kept");
        kept.setSelected(v.kept());
        Runnable take = () -> change(v, "Change value " + v.name(), x -> x.withName(name.getText()).withKind(kind.getValue())
                .withStart(start.getText()).withKept(kept.isSelected()));
        popup.setOnHidden(e -> take.run());
        name.setOnAction(e -> popup.hide());
        start.setOnAction(e -> popup.hide());
        var delete = new Button("Delete");
        delete.setId("value-delete");
        delete.getStyleClass().add("small");
        int named = Reactions.naming(studio.project(), v.id());
        int texts = PieceValues.showing(studio.project(), v.id());
        Buttons.tip(delete, (named == 0 ? "No reaction names it" : named + (named == 1 ? " reaction names it" : " reactions name it")
                + "; what does goes with it")
                + (texts == 0 ? "" : "; " + (texts == 1 ? "1 text keeps" : texts + " texts keep") + " what it is at first"));
        delete.setOnAction(e -> {
            popup.setOnHidden(null);
            popup.hide();
            studio.editProject("Delete value " + v.name(), null, p -> PieceValues.delete(p, v.id()));
        });
        var box = new VBox(8, new NamedRow("Name", name), new NamedRow("Holds", kind), new NamedRow("At first", start), kept, delete);
        box.getStyleClass().addAll("picker", "popover");
        box.getStyleClass().addAll(at.getScene().getRoot().getStyleClass());
        box.getStylesheets().setAll(at.getScene().getStylesheets());
        popup.getContent().setAll(box);
        Bounds b = at.localToScreen(at.getBoundsInLocal());
        popup.show(at, b.getMinX(), b.getMaxY() + 3);
        name.requestFocus();
    }
}
