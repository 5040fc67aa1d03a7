package tundra.app.widget;

import javafx.collections.ListChangeListener;
import javafx.event.ActionEvent;
import javafx.geometry.HPos;
import javafx.geometry.VPos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Skin;
import javafx.scene.control.SkinBase;
import javafx.scene.control.skin.ComboBoxListViewSkin;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/**
 * A combo box that is not typed into and has its list only once it is used. JavaFX's own makes a list of cells for each box and measures them all,
 * which takes longer than all the rest of a panel. It looks the same and needs the list's own cells to have no other words than its converter gives.
 */
public final class LightComboBox<T> extends ComboBox<T> {
    /** Tells JavaFX how many rows to measure for the width of the list. */
    private static final String MEASURED_KEY = "comboBoxRowsToMeasureWidth";
    private static final int MEASURED = 40;

    public LightComboBox() {
        getProperties().put(MEASURED_KEY, MEASURED);
        addEventFilter(MouseEvent.MOUSE_PRESSED, e -> use());
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() != KeyCode.TAB && !e.getCode().isModifierKey()) {
                use();
            }
        });
    }

    @Override
    public void show() {
        use();
        super.show();
    }

    private void use() {
        if (getSkin() instanceof Face) {
            setSkin(new ComboBoxListViewSkin<>(this));
            applyCss();
            layout();
        }
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new Face<>(this);
    }

    /** What is chosen and an arrow. */
    private static final class Face<T> extends SkinBase<ComboBox<T>> {
        /** By how much a row of the list is wider than the same words in the box, in px: its padding and the list's edge. */
        private static final double ROW = 4;
        private final LightLabel chosen = new LightLabel("", "chosen");
        private final Region arrow = new Region();
        private final StackPane button = new StackPane(arrow);
        private final ListChangeListener<T> changed = c -> forget();
        /** The width of the widest row in px; negative while it is not known. */
        private double widest = -1;

        Face(ComboBox<T> box) {
            super(box);
            chosen.setMouseTransparent(true);
            arrow.getStyleClass().add("arrow");
            arrow.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
            button.getStyleClass().add("arrow-button");
            button.setMouseTransparent(true);
            getChildren().addAll(chosen, button);
            registerChangeListener(box.valueProperty(), o -> {
                say();
                // it is the toolkit's skins that tell of it
                box.fireEvent(new ActionEvent());
            });
            registerChangeListener(box.converterProperty(), o -> say());
            registerChangeListener(box.promptTextProperty(), o -> say());
            box.getItems().addListener(changed);
            say();
        }

        private void forget() {
            widest = -1;
            getSkinnable().requestLayout();
        }

        private void say() {
            ComboBox<T> box = getSkinnable();
            String prompt = box.getPromptText();
            chosen.setText(box.getValue() != null ? words(box.getValue()) : prompt == null ? "" : prompt);
        }

        private String words(T value) {
            String words = getSkinnable().getConverter().toString(value);
            return words == null ? "" : words;
        }

        private double arrowWidth() {
            return button.snappedLeftInset() + snapSizeX(arrow.prefWidth(-1)) + button.snappedRightInset();
        }

        @Override
        protected double computePrefWidth(double height, double top, double right, double bottom, double left) {
            if (widest < 0) {
                String now = chosen.getText();
                widest = chosen.prefWidth(-1);
                for (T item : getSkinnable().getItems().stream().limit(MEASURED).toList()) {
                    chosen.setText(words(item));
                    widest = Math.max(widest, chosen.prefWidth(-1));
                }
                chosen.setText(now);
            }
            return left + widest + ROW + arrowWidth() + right;
        }

        @Override
        protected double computeMinWidth(double height, double top, double right, double bottom, double left) {
            return left + arrowWidth() + right;
        }

        @Override
        protected double computePrefHeight(double width, double top, double right, double bottom, double left) {
            return top + chosen.prefHeight(-1) + bottom;
        }

        @Override
        protected double computeMaxWidth(double height, double top, double right, double bottom, double left) {
            return getSkinnable().prefWidth(height);
        }

        @Override
        protected double computeMaxHeight(double width, double top, double right, double bottom, double left) {
            return getSkinnable().prefHeight(width);
        }

        @Override
        protected void layoutChildren(double x, double y, double w, double h) {
            double arrowWidth = arrowWidth();
            chosen.resizeRelocate(x, y, w - arrowWidth, h);
            button.resize(arrowWidth, h);
            positionInArea(button, x + w - arrowWidth, y, arrowWidth, h, 0, HPos.CENTER, VPos.CENTER);
        }

        @Override
        public void dispose() {
            getSkinnable().getItems().removeListener(changed);
            getChildren().removeAll(chosen, button);
            super.dispose();
        }
    }
}
