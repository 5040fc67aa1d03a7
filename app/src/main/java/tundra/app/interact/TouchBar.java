package tundra.app.interact;

import javafx.geometry.Pos;
import javafx.scene.layout.HBox;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Studio;
import tundra.app.widget.Buttons;
import tundra.app.widget.LightLabel;
import tundra.app.widget.LightButton;

/** Below the canvas: shows what catches the pointer, and says what of it is covered. */
public final class TouchBar extends HBox {
    public TouchBar(Studio studio, Commands commands, TouchOverlay touches) {
        super(8);
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("touch-bar");
        LightButton show = Buttons.text(commands.get(CommandIds.TOUCH_AREAS), "Show touch areas");
        LightButton add = Buttons.text(commands.get(CommandIds.TOUCH_NEW), "New touch area");
        var covered = new LightLabel("", "quiet", "small");
        covered.setId("covered");
        covered.setMinWidth(0);
        getChildren().addAll(show, add, covered);
        Runnable refresh = () -> {
            show.setSelected(touches.on());
            show.setText(touches.on() ? "Hide touch areas" : "Show touch areas");
            covered.setText(touches.on() && !studio.time().playing() ? touches.words() : "");
        };
        studio.listen(what -> refresh.run());
        refresh.run();
    }
}
