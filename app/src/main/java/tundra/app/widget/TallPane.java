package tundra.app.widget;

import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;

/** A panel that may become taller than its place. It scrolls once it has been; most often it fits, and nothing that scrolls is made. */
public class TallPane extends Region {
    private Region content;
    private ScrollPane scroll;

    protected final void setContent(Region content) {
        this.content = content;
        getChildren().setAll(content);
    }

    @Override
    protected void layoutChildren() {
        double x = snappedLeftInset(), y = snappedTopInset();
        double width = getWidth() - x - snappedRightInset(), height = getHeight() - y - snappedBottomInset();
        (scroll == null ? content : scroll).resizeRelocate(x, y, width, height);
        if (scroll == null && height > 0 && content.prefHeight(width) > height) {
            // children can't be changed while they are laid out
            Platform.runLater(this::beginScrolling);
        }
    }

    private void beginScrolling() {
        if (scroll != null) {
            return;
        }
        Node typedIn = getScene() == null ? null : getScene().getFocusOwner();
        scroll = new ScrollPane();
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        // the skin keeps a picture of all that scrolls, which is made anew for every number that changes
        scroll.skinProperty().addListener(o -> scroll.lookup(".viewport").setCache(false));
        getChildren().setAll(scroll);
        scroll.setContent(content);
        // now the content is in the window again
        scroll.applyCss();
        for (Node n = typedIn; n != null; n = n.getParent()) {
            if (n == content) {
                typedIn.requestFocus();
            }
        }
    }
}
