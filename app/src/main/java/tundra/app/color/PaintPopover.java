package tundra.app.color;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.BiConsumer;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;
import javafx.util.StringConverter;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightComboBox;
import tundra.app.widget.Popovers;
import tundra.app.widget.WholeDrags;
import tundra.app.widget.WholeWords;
import tundra.app.widget.Words;
import tundra.core.model.Color;
import tundra.core.model.ColorsUsed;
import tundra.core.model.Gradient;
import tundra.core.model.Paint;
import tundra.core.model.Swatch;

/** Everything that can be chosen for a paint: its kind, stops, colour, the colours of the piece and the swatches of the shelf. */
final class PaintPopover {
    private enum Kind {
        NONE, SOLID, LINEAR, RADIAL
    }

    private static final int USED = 16;
    private final Studio studio;
    private final BiConsumer<Paint, Object> onChange;
    private final Runnable onGradient;
    private final Popup popup = new Popup();
    private final VBox box = new VBox(10);
    private final VBox gradientPart = new VBox(6);
    private final FlowPane shelf = new FlowPane(5, 5);
    private final ColorPicker picker = new ColorPicker(this::picked);
    private final StopBar stops = new StopBar((g, merge) -> take(g, merge), () -> picked());
    private final ComboBox<Gradient.Spread> spread = new LightComboBox<>();
    private Paint paint;
    private Color last;

    PaintPopover(Studio studio, String name, boolean gradients, Paint paint, BiConsumer<Paint, Object> onChange, Runnable onGradient) {
        this.studio = studio;
        this.onChange = onChange;
        this.onGradient = onGradient;
        this.paint = paint;
        last = paint.main().visible() ? paint.main() : Color.parse("#5F8FA3");
        Popovers.closing(popup);
        var title = Words.section(name);
        box.getStyleClass().addAll("root-colors", "popover");
        box.setId("paint-popover");
        box.setPrefWidth(274);
        box.getChildren().addAll(title, kinds(gradients), gradientPart, picker, used(), shelfPart());
        gradientPart.getChildren().addAll(stops, spreadRow());
        popup.getContent().add(box);
        WholeDrags.in(box);
        WholeWords.in(box);
        refresh();
    }

    void show(Node at) {
        box.getStylesheets().setAll(at.getScene().getStylesheets());
        Bounds b = at.localToScreen(at.getBoundsInLocal());
        var window = at.getScene().getWindow();
        popup.show(at, Math.max(window.getX(), b.getMinX() - 300),
                Math.max(window.getY() + 40, Math.min(b.getMinY() - 60, window.getY() + window.getHeight() - 560)));
    }

    private Node kinds(boolean gradients) {
        var row = new HBox();
        row.getStyleClass().addAll("segments", "paint-kinds");
        var group = new ToggleGroup();
        for (Kind k : Kind.values()) {
            if (gradients || k.ordinal() < 2) {
                var b = new ToggleButton(k.name().charAt(0) + k.name().substring(1).toLowerCase(Locale.ROOT));
                b.setId("paint-" + k);
                b.setToggleGroup(group);
                b.setSelected(k == kind());
                b.setMaxWidth(Double.MAX_VALUE);
                HBox.setHgrow(b, Priority.ALWAYS);
                b.setOnAction(e -> {
                    b.setSelected(true);
                    turnInto(k);
                });
                row.getChildren().add(b);
            }
        }
        return row;
    }

    private Kind kind() {
        return switch (paint) {
            case Color c -> c.visible() ? Kind.SOLID : Kind.NONE;
            case Gradient g -> g.kind() == Gradient.Kind.LINEAR ? Kind.LINEAR : Kind.RADIAL;
        };
    }

    private void turnInto(Kind k) {
        List<Gradient.Stop> now = paint instanceof Gradient g ? g.stops()
                : Gradient.shaded(last);
        take(switch (k) {
            case NONE -> last.withAlpha(0);
            case SOLID -> last;
            case LINEAR -> Gradient.linear(now);
            case RADIAL -> Gradient.radial(now);
        }, null);
        refresh();
        if (k == Kind.LINEAR || k == Kind.RADIAL) {
            onGradient.run();
        }
    }

    private Node spreadRow() {
        spread.getItems().setAll(Gradient.Spread.values());
        spread.setAccessibleText("Outside the ends");
        spread.setConverter(new StringConverter<>() {
            @Override
            public String toString(Gradient.Spread s) {
                return s == null ? "" : switch (s) {
                    case PAD -> "ends go on";
                    case REPEAT -> "starts again";
                    case REFLECT -> "runs back and forth";
                };
            }

            @Override
            public Gradient.Spread fromString(String s) {
                return Gradient.Spread.PAD;
            }
        });
        spread.setOnAction(e -> {
            if (paint instanceof Gradient g && spread.getValue() != null && g.spread() != spread.getValue()) {
                take(g.withSpread(spread.getValue()), null);
            }
        });
        HBox.setHgrow(spread, Priority.ALWAYS);
        spread.setMaxWidth(Double.MAX_VALUE);
        var turn = new Button("Turn round");
        turn.setOnAction(e -> {
            if (paint instanceof Gradient g) {
                take(g.reversed(), null);
                refresh();
            }
        });
        return new HBox(6, spread, turn);
    }

    private void picked(Color c, Object merge) {
        last = c.visible() ? c : last;
        if (paint instanceof Gradient) {
            stops.setChosenColor(c, merge);
        } else {
            take(c, merge);
        }
    }

    private void picked() {
        picker.show(stops.chosenColor());
    }

    private void take(Paint p, Object merge) {
        paint = p;
        onChange.accept(p, merge);
    }

    private void refresh() {
        boolean gradient = paint instanceof Gradient;
        gradientPart.setVisible(gradient);
        gradientPart.setManaged(gradient);
        if (paint instanceof Gradient g) {
            stops.show(g);
            spread.setValue(g.spread());
            picked();
        } else {
            picker.show(paint.visible() ? (Color) paint : last);
        }
    }

    private Node used() {
        var row = new FlowPane(5, 5);
        ColorsUsed.of(studio.project(), USED).forEach(c -> row.getChildren().add(chip(c, c.hex())));
        var title = new Label("In this piece");
        title.getStyleClass().addAll("quiet", "small");
        return new VBox(4, title, row);
    }

    private Node shelfPart() {
        var title = new Label("Swatches");
        title.getStyleClass().addAll("quiet", "small");
        var gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        var keep = new Button("Keep this colour");
        keep.getStyleClass().addAll("flat", "small");
        keep.setId("keep-swatch");
        keep.setOnAction(e -> {
            Color c = paint instanceof Gradient ? stops.chosenColor() : last;
            studio.editProject("Keep swatch " + c.hex(), null, p -> {
                var all = new ArrayList<>(p.swatches());
                all.add(new Swatch(c.hex(), c));
                return p.withSwatches(all);
            });
            fillShelf();
        });
        var head = new HBox(title, gap, keep);
        head.setAlignment(Pos.CENTER_LEFT);
        fillShelf();
        return new VBox(4, head, shelf);
    }

    private void fillShelf() {
        shelf.getChildren().clear();
        studio.project().swatches().forEach(s -> shelf.getChildren().add(chip(s.color(), s.name())));
    }

    private Button chip(Color c, String name) {
        var sample = new Canvas(20, 20);
        Swatches.paint(sample, c, 0);
        var b = new Button(null, sample);
        b.getStyleClass().add("swatch-button");
        b.setAccessibleText(name);
        Buttons.tip(b, name);
        b.setOnAction(e -> {
            picker.show(c);
            picked(c, null);
            if (!(paint instanceof Gradient)) {
                refresh();
            }
        });
        return b;
    }
}
