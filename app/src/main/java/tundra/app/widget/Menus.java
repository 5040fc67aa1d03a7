package tundra.app.widget;

import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/** Menus that the right button, or the keyboard's menu key, opens. */
public final class Menus {
    private Menus() {}

    /** Shows a menu at the pointer. */
    public static void on(Node node, Supplier<ContextMenu> menu) {
        on(node, e -> menu.get().show(node, e.getScreenX(), e.getScreenY()));
    }

    /**
     * Hears where a menu is wanted. Some systems ask for it when the button is pressed; it is opened when the button is let go, since a
     * window that comes between the two loses the keyboard at once and closes again.
     */
    public static void on(Node node, Consumer<ContextMenuEvent> wanted) {
        var press = new boolean[1];
        var asked = new ContextMenuEvent[1];
        node.addEventFilter(MouseEvent.MOUSE_PRESSED, e -> press[0] = e.getButton() == MouseButton.SECONDARY);
        node.addEventHandler(ContextMenuEvent.CONTEXT_MENU_REQUESTED, e -> {
            e.consume();
            if (press[0] && !e.isKeyboardTrigger()) {
                asked[0] = e;
            } else {
                wanted.accept(e);
            }
        });
        node.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> {
            ContextMenuEvent now = asked[0];
            press[0] = false;
            asked[0] = null;
            if (now != null && e.getButton() == MouseButton.SECONDARY) {
                wanted.accept(now);
            }
        });
    }
}
