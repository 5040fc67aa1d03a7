package tundra.app.window;

import java.util.EnumMap;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tundra.app.studio.Desk;
import tundra.app.widget.Buttons;
import tundra.app.widget.Icon;

/** The desks down the left, in the order of the work. */
final class DeskRail extends VBox {
    private final Map<Desk, ToggleButton> buttons = new EnumMap<>(Desk.class);

    DeskRail(Workshop w) {
        getStyleClass().add("rail");
        for (Desk d : Desk.values()) {
            var b = new ToggleButton(d.label);
            b.setId("desk-" + d);
            b.setGraphic(Icon.valueOf(d.name()).node(24));
            b.setContentDisplay(ContentDisplay.TOP);
            b.setMaxWidth(Double.MAX_VALUE);
            b.getStyleClass().setAll("rail-button");
            Buttons.tip(b, w.commands.get("desk-" + d).tip());
            b.setOnAction(e -> {
                w.studio.setDesk(d);
                b.setSelected(true);
            });
            buttons.put(d, b);
            getChildren().add(b);
        }
        var gap = new Region();
        VBox.setVgrow(gap, Priority.ALWAYS);
        Button checks = Buttons.icon(w.commands.get("checks"), Icon.CHECKS, 24);
        checks.setText("Checks");
        checks.setContentDisplay(ContentDisplay.TOP);
        checks.setMaxWidth(Double.MAX_VALUE);
        checks.getStyleClass().setAll("rail-button");
        getChildren().addAll(gap, checks);
        w.studio.listen(what -> refresh(w));
        refresh(w);
    }

    private void refresh(Workshop w) {
        buttons.forEach((d, b) -> b.setSelected(d == w.studio.desk()));
    }
}
