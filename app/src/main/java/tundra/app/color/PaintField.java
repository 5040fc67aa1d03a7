package tundra.app.color;

import java.util.Locale;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import tundra.app.studio.Studio;
import tundra.app.widget.LightLabel;
import tundra.app.widget.NumberField;
import tundra.app.widget.LightButton;
import tundra.app.widget.RestingField;
import tundra.core.model.Color;
import tundra.core.model.Gradient;
import tundra.core.model.Paint;

/** A paint: a swatch that opens all there is to choose; for one colour also the hex value and the alpha. */
public final class PaintField extends HBox {
    private static final double HEX_WIDTH = 60;
    private final Studio studio;
    private final String name;
    private final boolean gradients;
    private final LightButton swatch = new LightButton("");
    private final Canvas sample = new Canvas(20, 18);
    private final RestingField hex;
    /** What a gradient is; null until there was one. */
    private Label kind;
    private final NumberField alpha;
    private boolean mixed;
    private Paint paint = Color.NONE;
    private BiConsumer<Paint, Object> onChange = (c, merge) -> { };
    private Runnable onGradient = () -> { };

    /** @param gradients whether there is more to choose than one colour */
    public PaintField(Studio studio, String name, boolean gradients) {
        this.studio = studio;
        this.name = name;
        this.gradients = gradients;
        alpha = new NumberField(name + " opacity", "%", 0);
        setSpacing(6);
        setAlignment(Pos.CENTER_LEFT);
        swatch.setMark(sample, LightLabel.Place.BEFORE);
        swatch.getStyleClass().add("swatch-button");
        swatch.setAccessibleText(name + ": choose");
        swatch.setOnAction(() -> new PaintPopover(studio, name, gradients, paint, this::change, onGradient).show(swatch));
        hex = new RestingField(name + " as hex", "", HEX_WIDTH) {
            @Override
            protected void commit() {
                commitHex();
            }
        };
        // a colour is never cut
        hex.setMinWidth(HEX_WIDTH);
        hex.setMaxWidth(Double.MAX_VALUE);
        setHgrow(hex, Priority.ALWAYS);
        alpha.setPrefWidth(54);
        alpha.setMinWidth(54);
        getChildren().addAll(swatch, hex, alpha);
        alpha.onChange((v, merge) -> change(paint.main().withAlpha((int) Math.round(Math.max(0, Math.min(100, v)) * 2.55)), merge));
    }

    /** Gets each new paint, and an object that is the same for all paints of one drag. */
    public PaintField onChange(BiConsumer<Paint, Object> change) {
        onChange = change;
        return this;
    }

    /** Runs when a gradient was chosen, to be placed on the canvas. */
    public PaintField onGradient(Runnable run) {
        onGradient = run;
        return this;
    }

    public void show(Paint p) {
        paint = p;
        Swatches.paint(sample, p, 8);
        // the swatch stays where it is: the open popover hangs on it
        shown(hex, p instanceof Color);
        shown(alpha, p instanceof Color);
        if (kind != null) {
            shown(kind, p instanceof Gradient);
        }
        if (p instanceof Gradient g) {
            if (kind == null) {
                kind = new Label();
                kind.getStyleClass().add("quiet");
                kind.setMaxWidth(Double.MAX_VALUE);
                setHgrow(kind, Priority.ALWAYS);
                getChildren().add(kind);
            }
            kind.setText(g.kind().name().toLowerCase(Locale.ROOT) + ", " + g.stops().size() + " stops");
            return;
        }
        var c = (Color) p;
        if (!hex.isTyping()) {
            hex.setText(c.visible() ? c.withAlpha(255).hex().substring(1) : "none");
        }
        alpha.show(Math.round(c.alpha() / 2.55));
    }

    /** Says that several paints differ; a new one holds for all. */
    public void setMixed(boolean mixed) {
        if (mixed) {
            shown(hex, true);
            hex.setText("mixed");
            shown(alpha, false);
            if (kind != null) {
                shown(kind, false);
            }
        }
        this.mixed = mixed;
    }

    private static void shown(Node n, boolean on) {
        n.setVisible(on);
        n.setManaged(on);
    }

    private void commitHex() {
        Color color = paint instanceof Color c ? c : paint.main();
        if (paint instanceof Gradient && !mixed) {
            return;
        }
        String text = hex.text().strip();
        if (text.equals("mixed")) {
            return;
        }
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

    private void change(Paint p, Object merge) {
        if (mixed || !p.equals(paint)) {
            mixed = false;
            show(p);
            onChange.accept(p, merge);
        }
    }
}
