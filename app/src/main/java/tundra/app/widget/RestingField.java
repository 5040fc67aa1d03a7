package tundra.app.widget;

import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.geometry.VPos;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.text.Text;

/**
 * Words in a box that can be typed over, with a label before them. The words only stand there until the pointer or the keyboard
 * comes; then a text field takes their place, with all of it selected. A panel has many such fields and few are ever typed in, and
 * a text field takes several times as long to make as the words do.
 */
public class RestingField extends Region {
    /** Typing in a field came to its end, with Enter or Escape. */
    public static final EventType<Event> DONE = new EventType<>(Event.ANY, "FIELD_DONE");

    /** Space before the label and before the words, in px, and what a text field keeps between its edge and its words. */
    private static final double GAP = 8, FIELD_EDGE = 6;
    private static final double FIELD_HEIGHT = 22;
    private final Text label;
    private final Text resting = new Text();
    private final double wanted;
    private String words = "";
    private TextField field;

    /**
     * @param name what a screen reader says
     * @param label what stands before the words, or nothing
     * @param wanted the width that the words would like, in px
     */
    public RestingField(String name, String label, double wanted) {
        this.wanted = wanted;
        this.label = label.isEmpty() ? null : new Text(label);
        getStyleClass().add("resting-field");
        setAccessibleRole(AccessibleRole.TEXT_FIELD);
        setAccessibleText(name);
        setFocusTraversable(true);
        setCursor(Cursor.TEXT);
        if (this.label != null) {
            part(this.label, "number-label");
        }
        part(resting, "words");
        setOnMousePressed(this::pressed);
        // a change of the focus can't be answered with another one at once
        focusedProperty().addListener((o, was, is) -> {
            if (is) {
                Platform.runLater(this::enter);
            }
        });
    }

    private void part(Text t, String style) {
        t.getStyleClass().add(style);
        t.setTextOrigin(VPos.TOP);
        t.setMouseTransparent(true);
        t.setManaged(false);
        getChildren().add(t);
    }

    public final String text() {
        return field == null ? words : field.getText();
    }

    public final void setText(String text) {
        words = text;
        if (field != null) {
            field.setText(text);
        } else {
            requestLayout();
        }
    }

    /** Whether somebody types in it. */
    public final boolean isTyping() {
        return field != null && field.isFocused();
    }

    /** Takes what was typed: at Enter, and when the keyboard goes elsewhere. */
    protected void commit() {}

    /** Takes what was typed and ended with Enter, which can mean it also where it is what was there. */
    protected void entered() {
        commit();
    }

    /** Hears of each key before the text field does. */
    protected void key(KeyEvent e) {}

    /** Gives the keyboard back to what the window is about: whoever is around the field hears of it. */
    private void leave() {
        fireEvent(new Event(this, this, DONE));
    }

    protected void pressed(MouseEvent e) {
        enter();
        e.consume();
    }

    /** Where the label ends and the words begin. */
    protected final double wordsX() {
        return snappedLeftInset() + (label == null ? GAP - FIELD_EDGE : GAP + label.getLayoutBounds().getWidth());
    }

    protected final void enter() {
        if (field == null) {
            field = new TextField(words);
            field.setAccessibleText(getAccessibleText());
            field.setManaged(false);
            field.setOnAction(e -> {
                entered();
                leave();
            });
            field.focusedProperty().addListener((o, was, is) -> {
                if (is) {
                    Platform.runLater(field::selectAll);
                } else {
                    commit();
                }
            });
            field.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
                if (e.getCode() == KeyCode.ESCAPE) {
                    setText(words);
                    leave();
                    e.consume();
                } else {
                    key(e);
                }
            });
            getChildren().set(getChildren().indexOf(resting), field);
            setFocusTraversable(false);
        }
        field.requestFocus();
        field.selectAll();
    }

    @Override
    protected void layoutChildren() {
        double x = wordsX(), width = getWidth() - snappedRightInset() - x;
        if (label != null) {
            place(label, x - label.getLayoutBounds().getWidth());
        }
        if (field != null) {
            field.resizeRelocate(snapPositionX(x), snapPositionY((getHeight() - FIELD_HEIGHT) / 2), width, FIELD_HEIGHT);
        } else {
            Words.fit(resting, words, width - 2 * FIELD_EDGE + 1);
            place(resting, x + FIELD_EDGE);
        }
    }

    private void place(Text t, double x) {
        t.relocate(snapPositionX(x), snapPositionY((getHeight() - t.getLayoutBounds().getHeight()) / 2));
    }

    @Override
    protected double computePrefWidth(double height) {
        return wordsX() + wanted + snappedRightInset();
    }

    @Override
    protected double computeMinWidth(double height) {
        return wordsX() + 2 * FIELD_EDGE + GAP + snappedRightInset();
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        return attribute == AccessibleAttribute.TEXT ? text() : super.queryAccessibleAttribute(attribute, parameters);
    }
}
