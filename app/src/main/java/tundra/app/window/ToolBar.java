package tundra.app.window;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import tundra.app.tool.ToolKind;
import tundra.app.widget.Buttons;
import tundra.app.widget.Caption;
import tundra.app.widget.Press;

/** The tools of a desk in a bar that floats over the canvas. */
final class ToolBar {
    /** In px; the side is what the style sheet makes of a tool. */
    private static final double SIDE = 32, GAP = 4;

    private ToolBar() {}

    /** All in one row where there is room, else in several. */
    private static Pane row(int tools) {
        var row = new FlowPane(GAP, GAP);
        row.setPrefWrapLength(tools * (SIDE + GAP) - GAP);
        row.setAlignment(Pos.CENTER);
        return row;
    }

    static Pane of(Workshop w, boolean upright, List<ToolKind> kinds) {
        Pane bar = upright ? new VBox(GAP) : row(kinds.size());
        bar.getStyleClass().add("tool-bar-float");
        bar.setMaxSize(javafx.scene.layout.Region.USE_PREF_SIZE, javafx.scene.layout.Region.USE_PREF_SIZE);
        Map<ToolKind, Press> buttons = new EnumMap<>(ToolKind.class);
        for (ToolKind k : kinds) {
            var b = new Press("");
            b.setId("tool-" + k);
            b.setMark(k.icon.node(18), Caption.Place.BEFORE);
            b.setAccessibleText(k.label);
            b.getStyleClass().setAll("tool-button");
            Buttons.tip(b, w.commands.get("tool-" + k).tip());
            b.setOnAction(() -> w.tools.take(k));
            buttons.put(k, b);
            bar.getChildren().add(b);
        }
        Runnable refresh = () -> buttons.forEach((k, b) -> b.setSelected(k == w.tools.kind()));
        w.studio.listen(what -> refresh.run());
        refresh.run();
        return bar;
    }
}
