package tundra.app.widget;

import javafx.application.Platform;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Popup;

/** Boxes over the window that something in it opened. */
public final class Popovers {
    private Popovers() {}

    /** Has one close with a press beside it, and with Escape whatever in it has the keyboard: a field gives up first what was typed. */
    public static Popup closing(Popup popup) {
        popup.setAutoHide(true);
        popup.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                Platform.runLater(popup::hide);
            }
        });
        return popup;
    }
}
