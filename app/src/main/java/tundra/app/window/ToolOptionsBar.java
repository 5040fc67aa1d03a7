package tundra.app.window;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;
import java.util.function.DoubleSupplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import tundra.app.builtin.Workshop;
import tundra.app.color.PaintField;
import tundra.app.studio.Desk;
import tundra.app.tool.ToolKind;
import tundra.app.tool.ToolSettings;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.LightLabel;
import tundra.app.widget.NumberField;
import tundra.app.widget.Overflow;
import tundra.core.edit.TimeText;
import tundra.core.geometry.Numbers;
import tundra.core.model.Color;
import tundra.core.model.Element;
import tundra.core.model.Paint;

/** Along the canvas's top: the tool in hand with its settings and what it does, where one is, and how large the canvas is seen. */
final class ToolOptionsBar extends HBox {
    /** In px. */
    private static final double LEGIBLE = 60;
    private final Workshop w;
    private final Overflow tool = new Overflow(8, "The rest of the tool's settings");
    private final List<Node> settings = new ArrayList<>();
    private final LightLabel note = new LightLabel("", "quiet");
    private final HBox place = new HBox(4);
    /** At which time the canvas is shown. */
    private final HBox time = new HBox();
    private final LightLabel zoom = new LightLabel("", "mono", "quiet"), size = new LightLabel("", "mono", "quiet");
    private ToolKind shown;
    private boolean kept;
    private String placed = "";

    ToolOptionsBar(Workshop w) {
        super(10);
        this.w = w;
        setId("tool-options");
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("tool-options");
        setMinWidth(0);
        place.setAlignment(Pos.CENTER_LEFT);
        place.setMinWidth(Region.USE_PREF_SIZE);
        note.setId("tool-note");
        // shortened where the window is narrow
        note.setMinWidth(0);
        note.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(note, Priority.ALWAYS);
        zoom.setMinWidth(Region.USE_PREF_SIZE);
        size.setMinWidth(Region.USE_PREF_SIZE);
        // a few letters of it say nothing
        note.widthProperty().addListener((o, was, is) -> note.setVisible(is.doubleValue() >= LEGIBLE));
        widthProperty().addListener(o -> sized());
        time.setId("seen-at");
        time.setAlignment(Pos.CENTER);
        time.getStyleClass().addAll("segments", "seen-at");
        time.setMinWidth(Region.USE_PREF_SIZE);
        for (boolean resting : new boolean[] {false, true}) {
            var b = new LightButton(resting ? "resting values" : "");
            b.setId(resting ? "seen-rest" : "seen-playhead");
            b.setOnAction(() -> w.studio.picture().setAtRest(resting));
            Buttons.tip(b, resting ? "Shows everything without what its keys do; what is changed is how it rests"
                    : "Shows the canvas at the playhead");
            time.getChildren().add(b);
        }
        getChildren().addAll(tool, note, place, time, zoom, size);
        w.studio.listen(what -> refresh());
        refresh();
    }

    /** Tells how large the canvas is seen. */
    void zoomed() {
        zoom.setText(Math.round(w.canvas.viewport().zoom() * 100) + "%");
        size.setText(Numbers.plain(w.studio.board().size().x(), 0) + "×" + Numbers.plain(w.studio.board().size().y(), 0));
        sized();
    }

    /** The canvas's size is told where there is room; it stands in the details too. */
    private void sized() {
        double needed = getInsets().getLeft() + getInsets().getRight();
        for (Node n : getChildren()) {
            needed += n == size ? n.prefWidth(-1) + getSpacing() : n.isManaged() ? n.minWidth(-1) + getSpacing() : 0;
        }
        size.setManaged(needed <= getWidth());
        size.setVisible(size.isManaged());
    }

    private void refresh() {
        zoomed();
        places();
        boolean drawing = w.studio.desk() == Desk.DRAW;
        time.setVisible(drawing);
        time.setManaged(drawing);
        if (drawing) {
            ((LightButton) time.getChildren().get(0)).setText("at " + TimeText.seconds(w.studio.time().playhead()));
            ((LightButton) time.getChildren().get(0)).setSelected(!w.studio.picture().atRest());
            ((LightButton) time.getChildren().get(1)).setSelected(w.studio.picture().atRest());
        }
        note.setText(w.tools.kept() ? "kept in hand: draws one after the other · Escape puts it away" : hint());
        if (shown == w.tools.kind() && kept == w.tools.kept()) {
            return;
        }
        shown = w.tools.kind();
        kept = w.tools.kept();
        settings.clear();
        settings.add(new LightLabel(shown.label, "tool-name"));
        w.tools.active().settings(new Row());
        tool.setItems(settings);
    }

    private String hint() {
        Element unseen = w.studio.presence().unseen();
        return unseen != null ? w.studio.presence().whyUnseen(unseen) : w.tools.kind().hint;
    }

    /** Where one is: the groups that were entered with the way back, or the way back into the one that was left. */
    private void places() {
        var studio = w.studio;
        List<String> path = studio.groups().inside() == null ? List.of() : studio.board().path(studio.groups().inside());
        Element left = studio.groups().inside() == null ? studio.groups().left() : null;
        String now = path + (left == null ? "" : left.id());
        if (now.equals(placed)) {
            return;
        }
        placed = now;
        place.getChildren().clear();
        if (!path.isEmpty()) {
            place.getChildren().add(new LightLabel("in", "quiet"));
            for (String id : path) {
                if (!studio.groups().isDrawing(id)) {
                    place.getChildren().add(new LightLabel(studio.board().find(id).name(), "chip", "chip-space"));
                }
            }
            var out = new LightButton("Leave");
            out.setId("place-leave");
            out.getStyleClass().add("small-press");
            out.setOnAction(() -> studio.groups().leave());
            place.getChildren().add(out);
        } else if (left != null) {
            var back = new LightButton("Back into " + left.name());
            back.setId("place-back");
            back.getStyleClass().add("small-press");
            back.setOnAction(() -> studio.groups().goBackIn());
            place.getChildren().add(back);
        }
    }

    /** The settings of the tool in hand, after its name. */
    private final class Row implements ToolSettings {
        private void label(String words) {
            settings.add(new LightLabel(words, "quiet"));
        }

        @Override
        public void fill(String name) {
            paint(name, "option-fill", w.paints.fill, p -> w.paints.fill = p);
        }

        @Override
        public void stroke() {
            paint("Stroke", "option-stroke", w.paints.stroke.visible() ? w.paints.stroke : Color.parse("#1D2926"), p -> w.paints.stroke = p);
            number("Width", "px", 1, () -> w.paints.width, v -> w.paints.width = Math.max(0.1, Math.min(1000, v)));
        }

        private void paint(String name, String id, Paint now, Consumer<Paint> take) {
            label(name);
            var f = new PaintField(w.studio, name + " of what is drawn", true).onChange((p, merge) -> take.accept(p));
            f.setId(id);
            f.show(now);
            f.setMinWidth(176);
            f.setPrefWidth(176);
            settings.add(f);
        }

        @Override
        public void slider(String name, double max, DoubleSupplier now, DoubleConsumer take) {
            label(name);
            var s = new Slider(0, max, now.getAsDouble());
            s.setId("option-" + name.toLowerCase(Locale.ROOT));
            s.setAccessibleText(name);
            s.setPrefWidth(80);
            s.valueProperty().addListener((x, was, is) -> take.accept(is.doubleValue()));
            settings.add(s);
        }

        @Override
        public void number(String name, String unit, int decimals, DoubleSupplier now, DoubleConsumer take) {
            label(name);
            var f = new NumberField(name, unit, decimals);
            f.setId("option-" + name.toLowerCase(Locale.ROOT).replace(' ', '-'));
            f.setPrefWidth(78);
            f.onChange((v, merge) -> {
                take.accept(v);
                f.show(now.getAsDouble());
            });
            f.show(now.getAsDouble());
            settings.add(f);
        }
    }
}
