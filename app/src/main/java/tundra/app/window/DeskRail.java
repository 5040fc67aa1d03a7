package tundra.app.window;

import java.util.EnumMap;
import java.util.Map;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import tundra.app.command.CommandIds;
import tundra.app.builtin.Workshop;
import tundra.app.studio.Desk;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightLabel;
import tundra.app.widget.Icon;
import tundra.app.widget.LightButton;

/** The desks down the left, in the order of the work. */
final class DeskRail extends VBox {
    private final Map<Desk, LightButton> buttons = new EnumMap<>(Desk.class);

    DeskRail(Workshop w) {
        getStyleClass().add("rail");
        for (Desk d : Desk.values()) {
            var b = new LightButton(d.label);
            b.setId("desk-" + d);
            b.setMark(Icon.valueOf(d.name()).node(24), LightLabel.Place.ABOVE);
            b.setMaxWidth(Double.MAX_VALUE);
            b.getStyleClass().setAll("rail-button");
            Buttons.tip(b, w.commands.get(CommandIds.DESK + d).tip());
            b.setOnAction(() -> w.studio.setDesk(d));
            buttons.put(d, b);
            getChildren().add(b);
        }
        var gap = new Region();
        VBox.setVgrow(gap, Priority.ALWAYS);
        LightButton checks = Buttons.text(w.commands.get(CommandIds.CHECKS), "Checks");
        checks.setMark(Icon.CHECKS.node(24), LightLabel.Place.ABOVE);
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
