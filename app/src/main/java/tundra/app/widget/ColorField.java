package tundra.app.widget;

import java.util.List;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.TilePane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Rectangle;
import javafx.stage.Popup;
import tundra.core.model.Color;

/** A colour: a swatch that opens a choice, the hex value and the alpha. */
public final class ColorField extends HBox {
    private static final List<String> SWATCHES = List.of("#1D2926", "#2E5D73", "#5F8FA3", "#DCE8ED", "#FFFFFF", "#5FD3A8", "#E9B44C", "#C8503A",
            "#8A5BD0", "#0A1638", "#23566B", "#A9C6D0", "#F3F7FA", "#FFE39A", "#8C332A", "#6B4A33");
    private final Button swatch = new Button();
    private final Rectangle paint = new Rectangle(18, 18);
    private final TextField hex = new TextField();
    private final NumberField alpha;
    private final String name;
    private Color color = Color.NONE;
    private BiConsumer<Color, Object> onChange = (c, merge) -> { };

    public ColorField(String name) {
        this.name = name;
        alpha = new NumberField(name + " opacity", "%", 0);
        setSpacing(6);
        setAlignment(Pos.CENTER_LEFT);
        paint.setArcWidth(8);
        paint.setArcHeight(8);
        paint.getStyleClass().add("swatch");
        swatch.setGraphic(paint);
        swatch.getStyleClass().add("swatch-button");
        swatch.setAccessibleText(name + ": choose a colour");
        swatch.setOnAction(e -> choose());
        hex.setAccessibleText(name + " as hex");
        hex.getStyleClass().add("mono");
        hex.setPrefColumnCount(7);
        setHgrow(hex, Priority.ALWAYS);
        alpha.setPrefWidth(62);
        alpha.setMinWidth(62);
        getChildren().addAll(swatch, hex, alpha);
        hex.setOnAction(e -> commit());
        hex.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                commit();
            }
        });
        alpha.onChange((v, merge) -> change(color.withAlpha((int) Math.round(Math.max(0, Math.min(100, v)) * 2.55)), merge));
    }

    /** Gets each new colour, and an object that is the same for all colours of one scrub. */
    public ColorField onChange(BiConsumer<Color, Object> change) {
        onChange = change;
        return this;
    }

    public TextField hex() {
        return hex;
    }

    public void show(Color c) {
        color = c;
        paint.setFill(javafx.scene.paint.Color.rgb(c.red(), c.green(), c.blue(), c.alpha() / 255.0));
        if (!hex.isFocused()) {
            hex.setText(c.visible() ? c.withAlpha(255).hex().substring(1) : "none");
        }
        alpha.show(Math.round(c.alpha() / 2.55));
    }

    private void commit() {
        String text = hex.getText().strip();
        if (text.equalsIgnoreCase("none")) {
            change(color.withAlpha(0), null);
            return;
        }
        try {
            Color c = Color.parse(text);
            change(text.replace("#", "").length() > 6 ? c : c.withAlpha(color.visible() ? color.alpha() : 255), null);
        } catch (IllegalArgumentException e) {
            hex.setText(color.visible() ? color.withAlpha(255).hex().substring(1) : "none");
        }
    }

    private void change(Color c, Object merge) {
        if (!c.equals(color)) {
            show(c);
            onChange.accept(c, merge);
        }
    }

    private void choose() {
        var popup = new Popup();
        popup.setAutoHide(true);
        var grid = new TilePane(6, 6);
        grid.setPrefColumns(8);
        for (String s : SWATCHES) {
            var r = new Rectangle(22, 22, javafx.scene.paint.Color.web(s));
            r.setArcWidth(10);
            r.setArcHeight(10);
            r.getStyleClass().add("swatch");
            var b = new Button(null, r);
            b.getStyleClass().add("swatch-button");
            b.setAccessibleText(s);
            b.setOnAction(e -> {
                popup.hide();
                change(Color.parse(s).withAlpha(color.visible() ? color.alpha() : 255), null);
            });
            grid.getChildren().add(b);
        }
        var none = new Button("No colour");
        none.setOnAction(e -> {
            popup.hide();
            change(color.withAlpha(0), null);
        });
        var title = new Label(name);
        title.getStyleClass().add("section");
        var box = new VBox(8, title, grid, none);
        box.getStyleClass().addAll("root-colors", "popover");
        box.getStylesheets().setAll(getScene().getStylesheets());
        popup.getContent().add(box);
        var at = swatch.localToScreen(0, swatch.getHeight() + 4);
        popup.show(swatch, at.getX() - 160, at.getY());
    }
}
