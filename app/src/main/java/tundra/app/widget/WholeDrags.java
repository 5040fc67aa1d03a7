package tundra.app.widget;

import javafx.scene.Node;
import javafx.scene.input.MouseEvent;

/**
 * Makes a release count as the last step of its drag. The system may leave out moves of a quick hand, so that whoever follows the
 * pointer would stop short of the place where it was let go; here that place is told as one more move first.
 */
public final class WholeDrags {
    private double x;
    private double y;

    private WholeDrags() {}

    /** For all that lies in a part of the scene: the root of a window or of a popup. */
    public static void in(Node root) {
        var drags = new WholeDrags();
        root.addEventFilter(MouseEvent.MOUSE_PRESSED, drags::at);
        root.addEventFilter(MouseEvent.MOUSE_DRAGGED, drags::at);
        root.addEventFilter(MouseEvent.MOUSE_RELEASED, drags::released);
    }

    private void at(MouseEvent e) {
        x = e.getSceneX();
        y = e.getSceneY();
    }

    private void released(MouseEvent e) {
        if (e.getSceneX() != x || e.getSceneY() != y) {
            ((Node) e.getTarget()).fireEvent(e.copyFor(e.getSource(), e.getTarget(), MouseEvent.MOUSE_DRAGGED));
        }
    }
}
