package tundra.app.window;

import java.util.EnumMap;
import java.util.Map;
import javafx.geometry.Orientation;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import tundra.app.command.CommandIds;
import tundra.app.builtin.Workshop;
import tundra.app.tool.ToolKind;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightLabel;
import tundra.app.widget.LightButton;

/** The tools in one upright card at the canvas's left edge, on every desk that has a canvas; in several columns where the window is low. */
final class ToolCard extends FlowPane {
    /**
     * In px; the padding is the style sheet's. Multiples of four, so that they are whole px of the screen at a scale of 1.25, 1.5 and 1.75, too, and
     * nothing is rounded up.
     */
    private static final double SIDE = 32, GAP = 4, PADDING = 4;
    /** Between the card and the canvas's edges. */
    static final double MARGIN = 10;
    private final int tools = ToolKind.values().length;

    ToolCard(Workshop w) {
        super(Orientation.VERTICAL, GAP, GAP);
        setId("tools");
        getStyleClass().add("tool-card");
        Map<ToolKind, LightButton> buttons = new EnumMap<>(ToolKind.class);
        for (ToolKind k : ToolKind.values()) {
            var b = new LightButton("");
            b.setId("tool-" + k);
            b.setMark(k.icon.node(18), LightLabel.Place.BEFORE);
            b.setAccessibleText(k.label);
            b.getStyleClass().setAll("tool-button");
            b.setMinSize(SIDE, SIDE);
            b.setPrefSize(SIDE, SIDE);
            b.setMaxSize(SIDE, SIDE);
            Buttons.tip(b, w.commands.get(CommandIds.TOOL + k).tip() + (k.draws() ? "   · a double click keeps it in hand" : ""));
            b.setOnAction(() -> w.tools.take(k));
            b.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> {
                if (e.getClickCount() == 2) {
                    w.tools.keep(k);
                    e.consume();
                }
            });
            buttons.put(k, b);
            getChildren().add(b);
        }
        Runnable refresh = () -> buttons.forEach((k, b) -> b.setSelected(k == w.tools.kind()));
        w.studio.listen(what -> refresh.run());
        refresh.run();
        fitTo(1000);
    }

    private int rows(int columns) {
        return (tools + columns - 1) / columns;
    }

    private static double height(int rows) {
        return rows * (SIDE + GAP) - GAP + 2 * PADDING;
    }

    /** Takes as few columns as a height has room for, four at most. */
    void fitTo(double room) {
        int columns = 1;
        while (columns < 4 && height(rows(columns)) > room - 2 * MARGIN) {
            columns++;
        }
        int rows = rows(columns);
        setPrefWrapLength(height(rows) - 2 * PADDING);
        setPrefSize(columns * (SIDE + GAP) - GAP + 2 * PADDING, height(rows));
        setMinSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    }

    /** How much of the canvas's left it takes, in px. */
    double taken() {
        return getPrefWidth() + 2 * MARGIN;
    }
}
