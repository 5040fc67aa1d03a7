package tundra.app.outline;

import java.util.Comparator;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.ListCell;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.shape.Rectangle;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.Translated;
import tundra.core.edit.Names;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Paint;
import tundra.core.model.Properties;

/** A row of the outline. */
final class OutlineCell extends ListCell<OutlinePanel.Row> {
    private final OutlinePanel panel;

    OutlineCell(OutlinePanel panel) {
        this.panel = panel;
        setOnMouseEntered(e -> panel.studio().presence().pointAt(getItem() == null || isEmpty() ? null : getItem().element().id()));
        setOnMouseExited(e -> panel.studio().presence().pointAt(null));
    }

    @Override
    protected void updateItem(OutlinePanel.Row row, boolean empty) {
        super.updateItem(row, empty);
        getStyleClass().removeAll("picked", "dim");
        mark();
        setGraphic(null);
        setPrefWidth(0);
        if (empty || row == null) {
            return;
        }
        Element e = row.element();
        Studio studio = panel.studio();
        if (studio.selection().contains(e.id())) {
            getStyleClass().add("picked");
        }
        if (e.hidden()) {
            getStyleClass().add("dim");
        }
        var line = new HBox(5);
        line.setAlignment(Pos.CENTER_LEFT);
        line.setPadding(new Insets(0, 0, 0, row.depth() * 14));
        if (e.content() instanceof Content.Parent && !(e.content() instanceof Content.Block b && !b.kind().gallery())) {
            var fold = new LightButton(panel.isOpen(e) ? "▾" : "▸");
            fold.getStyleClass().addAll("flat", "fold");
            fold.setAccessibleText(panel.isOpen(e) ? "Fold " + e.name() : "Unfold " + e.name());
            fold.setOnAction(() -> panel.fold(e));
            line.getChildren().add(fold);
        }
        line.getChildren().addAll(swatch(e), panel.renames(e) ? nameField(e) : name(e));
        var kind = new LightLabel(e.content().word(), "quiet", "small", "kind");
        kind.setMinWidth(0);
        line.getChildren().addAll(kind, toggle(e.locked() ? Icon.LOCK : Icon.UNLOCK, e.locked(), (e.locked() ? "Unlock " : "Lock ") + e.name(),
                () -> studio.edit((e.locked() ? "Unlock " : "Lock ") + e.name(), b -> b.mapElement(e.id(), x -> x.withLocked(!e.locked())))),
                toggle(e.hidden() ? Icon.EYE_OFF : Icon.EYE, e.hidden(), (e.hidden() ? "Show " : "Hide ") + e.name(),
                        () -> studio.edit((e.hidden() ? "Show " : "Hide ") + e.name(), b -> b.mapElement(e.id(), x -> x.withHidden(!e.hidden())))));
        setGraphic(line);
    }

    /** Shows whether what is dragged would go here. */
    void mark() {
        getStyleClass().removeAll("drop-above", "drop-below", "drop-into");
        String at = getItem() == null || isEmpty() ? null : panel.dropOn(getItem().element());
        if (at != null) {
            getStyleClass().add("drop-" + at);
        }
    }

    private static LightLabel name(Element e) {
        var name = Translated.own(new LightLabel("", "element-name"));
        name.setText(e.called());
        name.setMinWidth(30);
        name.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(name, Priority.ALWAYS);
        return name;
    }

    private TextField nameField(Element e) {
        var field = new TextField(e.name());
        field.setId("rename");
        HBox.setHgrow(field, Priority.ALWAYS);
        Runnable take = () -> {
            String wanted = field.getText();
            panel.renamed();
            panel.studio().edit("Rename " + e.name(), b -> Names.rename(b, e.id(), wanted));
        };
        field.setOnAction(x -> take.run());
        field.setOnKeyPressed(k -> {
            if (k.getCode() == KeyCode.ESCAPE) {
                panel.renamed();
                k.consume();
            }
        });
        Platform.runLater(() -> {
            field.requestFocus();
            field.selectAll();
            field.focusedProperty().addListener((o, was, is) -> {
                // a row that is only made anew has another field, which goes on
                if (!is && field.getScene() != null && panel.renames(e)) {
                    take.run();
                }
            });
        });
        return field;
    }

    private static LightButton toggle(Icon icon, boolean on, String words, Runnable run) {
        var b = new LightButton("");
        b.setMark(icon.node(14), LightLabel.Place.BEFORE);
        b.getStyleClass().addAll("flat", "row-toggle");
        if (on) {
            b.getStyleClass().add("on");
        }
        b.setAccessibleText(words);
        Buttons.tip(b, words);
        b.setOnAction(run);
        return b;
    }

    private static Rectangle swatch(Element e) {
        var r = new Rectangle(13, 13);
        r.setArcWidth(6);
        r.setArcHeight(6);
        r.getStyleClass().add("swatch");
        Color c = color(e);
        r.setFill(javafx.scene.paint.Color.rgb(c.red(), c.green(), c.blue(), Math.max(0.25, c.alpha() / 255.0)));
        return r;
    }

    private static double area(Element e) {
        var size = e.content() instanceof Content.Parent g ? g.box() : e.rest().get(Properties.SIZE);
        return size.x() * size.y();
    }

    /** The colour that an element is known by: its fill or stroke, a group's largest child's. */
    static Color color(Element e) {
        Paint fill = e.rest().get(Properties.FILL), stroke = e.rest().get(Properties.STROKE);
        if (fill.visible()) {
            return fill.main();
        }
        if (stroke.visible()) {
            return stroke.main();
        }
        return e.children().stream().max(Comparator.comparingDouble(OutlineCell::area)).map(OutlineCell::color)
                .orElse(Color.parse("#DCE8ED"));
    }
}
