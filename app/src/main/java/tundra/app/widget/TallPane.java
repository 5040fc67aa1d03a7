package tundra.app.widget;

import javafx.beans.value.ChangeListener;
import javafx.geometry.Bounds;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollBar;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;

/**
 * A panel that may become taller than its place and can be scrolled then. Most often it fits, and neither bar nor clip is made; the
 * content is never moved to another parent, so what hangs on it or is typed in it stays.
 */
public class TallPane extends Region {
    private static final double BAR_WIDTH = 8, WHEEL_STEP = 40;
    private Region content;
    private ScrollBar bar;
    private final ChangeListener<Node> follow = (o, was, is) -> reveal(is);

    protected final void setContent(Region content) {
        this.content = content;
        getChildren().setAll(content);
    }

    @Override
    protected void layoutChildren() {
        double x = snappedLeftInset(), y = snappedTopInset();
        double width = getWidth() - x - snappedRightInset(), height = getHeight() - y - snappedBottomInset();
        double tall = snapSizeY(content.prefHeight(width));
        if (bar == null && height > 0 && tall > height) {
            makeBar();
        }
        double over = Math.max(0, tall - height);
        if (bar != null) {
            bar.setVisible(over > 0);
            bar.setMax(over);
            bar.setVisibleAmount(tall > 0 ? over * height / tall : 0);
            bar.setBlockIncrement(height * 0.8);
            bar.setValue(Math.min(bar.getValue(), over));
            bar.resizeRelocate(x + width - BAR_WIDTH, y, BAR_WIDTH, height);
        }
        content.resizeRelocate(x, y - (bar == null ? 0 : snapPositionY(bar.getValue())), width, Math.max(tall, height));
    }

    private void makeBar() {
        bar = new ScrollBar();
        bar.getStyleClass().add("panel-bar");
        bar.setOrientation(Orientation.VERTICAL);
        bar.setUnitIncrement(WHEEL_STEP);
        bar.setManaged(false);
        bar.valueProperty().addListener(o -> requestLayout());
        getChildren().add(bar);
        var clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        addEventHandler(ScrollEvent.SCROLL, e -> {
            if (bar.getMax() > 0) {
                scrollTo(bar.getValue() - e.getDeltaY());
                e.consume();
            }
        });
        sceneProperty().addListener((o, was, is) -> followFocus(was, is));
        followFocus(null, getScene());
    }

    private void followFocus(Scene was, Scene is) {
        if (was != null) {
            was.focusOwnerProperty().removeListener(follow);
        }
        if (is != null) {
            is.focusOwnerProperty().addListener(follow);
        }
    }

    /** Scrolls so far that a node of the content is seen. */
    public void reveal(Node node) {
        if (bar == null) {
            return;
        }
        for (Node n = node; n != null; n = n.getParent()) {
            if (n == content) {
                Bounds at = sceneToLocal(node.localToScene(node.getBoundsInLocal()));
                if (at.getMinY() < 0) {
                    scrollTo(bar.getValue() + at.getMinY() - BAR_WIDTH);
                } else if (at.getMaxY() > getHeight()) {
                    scrollTo(bar.getValue() + at.getMaxY() - getHeight() + BAR_WIDTH);
                }
            }
        }
    }

    private void scrollTo(double value) {
        bar.setValue(Math.clamp(value, 0, bar.getMax()));
    }
}
