package tundra.app.window;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;
import tundra.app.tool.ToolKind;
import tundra.app.widget.Buttons;
import tundra.app.widget.Caption;
import tundra.app.widget.Press;

/** The tools of a desk in a bar that floats over the canvas. */
final class ToolBar {
    private ToolBar() {}

    static Pane of(Workshop w, boolean upright, List<ToolKind> kinds) {
        Pane bar = upright ? new VBox(4) : new HBox(4);
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
