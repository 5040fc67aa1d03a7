package tundra.app.widget;

import javafx.css.PseudoClass;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/**
 * A button with words, a mark or both, for the places that have many. It is pressed by the mouse, Space and Enter. Whether it is
 * selected is for its owner to say. Dialogs have JavaFX's buttons, which know Enter and Escape from anywhere.
 */
public final class LightButton extends LightLabel {
    private static final PseudoClass SELECTED = PseudoClass.getPseudoClass("selected");
    private Runnable action = () -> { };
    private boolean selected;
    /** Space went down here. */
    private boolean held;

    public LightButton(String words) {
        super(words, "button");
        centre();
        setAccessibleRole(AccessibleRole.BUTTON);
        setFocusTraversable(true);
        setCursor(Cursor.HAND);
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::mouse);
        addEventHandler(MouseEvent.MOUSE_RELEASED, this::mouse);
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        addEventHandler(KeyEvent.KEY_RELEASED, this::key);
    }

    public void setOnAction(Runnable action) {
        this.action = action;
    }

    public void setSelected(boolean selected) {
        setAccessibleRole(AccessibleRole.TOGGLE_BUTTON);
        if (selected != this.selected) {
            this.selected = selected;
            pseudoClassStateChanged(SELECTED, selected);
            notifyAccessibleAttributeChanged(AccessibleAttribute.SELECTED);
        }
    }

    public boolean isSelected() {
        return selected;
    }

    public void fire() {
        if (!isDisabled()) {
            action.run();
        }
    }

    private void mouse(MouseEvent e) {
        if (e.getButton() != MouseButton.PRIMARY) {
            return;
        }
        e.consume();
        if (e.getEventType() == MouseEvent.MOUSE_PRESSED) {
            requestFocus();
        } else if (contains(e.getX(), e.getY())) {
            fire();
        }
    }

    private void key(KeyEvent e) {
        boolean pressed = e.getEventType() == KeyEvent.KEY_PRESSED;
        if (e.getCode() != KeyCode.SPACE && (e.getCode() != KeyCode.ENTER || !pressed) || e.isShortcutDown() || e.isAltDown()) {
            return;
        }
        e.consume();
        boolean now = e.getCode() == KeyCode.ENTER || held && !pressed;
        held = e.getCode() == KeyCode.SPACE && pressed;
        if (now) {
            fire();
        }
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        return attribute == AccessibleAttribute.SELECTED ? (Object) selected : super.queryAccessibleAttribute(attribute, parameters);
    }

    @Override
    public void executeAccessibleAction(AccessibleAction action, Object... parameters) {
        if (action == AccessibleAction.FIRE) {
            fire();
        } else {
            super.executeAccessibleAction(action, parameters);
        }
    }
}
