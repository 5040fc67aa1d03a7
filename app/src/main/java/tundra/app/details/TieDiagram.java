package tundra.app.details;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightButton;
import tundra.app.widget.Palette;
import tundra.core.fit.Ties;
import tundra.core.model.Element;
import tundra.core.model.Property;
import tundra.core.model.Values;

/** What is selected in its parent: a press on a side ties it there or frees it, one on a distance has it in px or in %. */
final class TieDiagram extends HBox {
    private static final double WIDE = 118, HIGH = 88, INX = 34, INY = 28, HOLD = 22;
    private final Studio studio;
    private final List<String> ids;
    private final Canvas canvas = new Canvas(WIDE, HIGH);
    private final Map<Ties.Edge, ToggleButton> sides = new EnumMap<>(Ties.Edge.class);
    private final Map<Ties.Edge, LightButton> words = new EnumMap<>(Ties.Edge.class);

    TieDiagram(Studio studio, List<String> ids) {
        super(10);
        this.studio = studio;
        this.ids = ids;
        setId("tie-diagram");
        setAlignment(Pos.CENTER_LEFT);
        var board = new Pane(canvas);
        board.setMinSize(WIDE, HIGH);
        board.setMaxSize(WIDE, HIGH);
        var list = new VBox(1);
        for (Ties.Edge e : Ties.Edge.values()) {
            var side = new ToggleButton();
            side.setId("tie-" + e.word);
            side.getStyleClass().add("tie-side");
            side.setAccessibleText("Tied at the " + e.word);
            Buttons.tip(side, "Tie it at the " + e.word + ", or free it there");
            double x = e == Ties.Edge.LEFT ? INX / 2 : e == Ties.Edge.RIGHT ? WIDE - INX / 2 : WIDE / 2, y = e == Ties.Edge.TOP ? INY / 2
                    : e == Ties.Edge.BOTTOM ? HIGH - INY / 2 : HIGH / 2;
            side.setMinSize(HOLD, HOLD);
            side.setMaxSize(HOLD, HOLD);
            side.relocate(x - HOLD / 2, y - HOLD / 2);
            side.setOnAction(a -> put("Tie", e.tie, v -> Ties.toggled(v, e)));
            sides.put(e, side);
            board.getChildren().add(side);
            var word = new LightButton("");
            word.setId("tie-unit-" + e.word);
            word.getStyleClass().add("tie-word");
            Buttons.tip(word, "The distance at the " + e.word + ": kept in px, or in % of the parent");
            word.setOnAction(() -> put("Tie in another unit", e.unit, v -> Ties.otherUnit(v, e)));
            words.put(e, word);
            list.getChildren().add(word);
        }
        getChildren().addAll(board, list);
        refresh();
    }

    /** The first says what becomes of all of them. */
    private void put(String name, Property<String> p, Function<Values, String> to) {
        String value = to.apply(studio.board().find(ids.getFirst()).rest());
        studio.edit(name, b -> {
            var out = b;
            for (String id : ids) {
                out = studio.target().set(out, id, p, value);
            }
            return out;
        });
    }

    void refresh() {
        Element e = studio.board().find(ids.getFirst());
        if (e == null) {
            return;
        }
        Palette c = Palette.of(studio.dark());
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, WIDE, HIGH);
        g.setFill(c.field());
        g.fillRoundRect(0.5, 0.5, WIDE - 1, HIGH - 1, 8, 8);
        g.setStroke(c.line());
        g.setLineWidth(1);
        g.strokeRoundRect(0.5, 0.5, WIDE - 1, HIGH - 1, 8, 8);
        for (Ties.Edge edge : Ties.Edge.values()) {
            var d = Ties.distance(studio.board(), e.id(), edge);
            sides.get(edge).setSelected(d.tied());
            boolean middle = e.rest().get(edge.tie).equals("middle"), says = d.tied() || middle && edge.near();
            words.get(edge).setText(middle && edge.near() ? (edge.across() ? "middle across, " : "middle down, ") + (d.inShare() ? "in %" : "in px")
                    : edge.word + " " + d.words());
            words.get(edge).setDisable(!says);
            g.setStroke(d.tied() ? c.fitting() : c.line());
            g.setLineWidth(d.tied() ? 3 : 1.5);
            if (d.tied() && d.inShare()) {
                g.setLineDashes(4, 3);
            }
            switch (edge) {
                case LEFT -> g.strokeLine(2, HIGH / 2, INX, HIGH / 2);
                case RIGHT -> g.strokeLine(WIDE - INX, HIGH / 2, WIDE - 2, HIGH / 2);
                case TOP -> g.strokeLine(WIDE / 2, 2, WIDE / 2, INY);
                case BOTTOM -> g.strokeLine(WIDE / 2, HIGH - INY, WIDE / 2, HIGH - 2);
            }
            g.setLineDashes();
        }
        g.setFill(c.spaceSoft());
        g.fillRoundRect(INX, INY, WIDE - 2 * INX, HIGH - 2 * INY, 6, 6);
        g.setStroke(c.space());
        g.setLineWidth(1.5);
        g.strokeRoundRect(INX, INY, WIDE - 2 * INX, HIGH - 2 * INY, 6, 6);
    }
}
