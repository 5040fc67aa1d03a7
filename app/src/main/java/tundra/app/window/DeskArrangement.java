package tundra.app.window;

import java.util.Locale;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;
import javafx.geometry.Insets;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.SplitPane;
import javafx.scene.input.KeyCombination;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import tundra.app.studio.Desk;
import tundra.app.widget.Lazy;

/** Which panels stand where on each desk, how wide they are and which are folded away. */
final class DeskArrangement {
    /** The width of the shelf beside the canvas, and the largest of any panel, in px. */
    static final double SHELF = 96, LARGEST = 560;
    private final MainWindow window;
    private final VBox adapting = new VBox();
    final DeferredPanels furnishing = new DeferredPanels();
    private BorderPane drawDesk;
    /** Whether only the canvas is shown. */
    private boolean alone;
    private BorderPane animateUpper;

    DeskArrangement(MainWindow window) {
        this.window = window;
    }

    /** Whether only the canvas is shown. */
    boolean isAlone() {
        return alone;
    }

    void arrange() {
        // while a desk is made keys go to the window itself: JavaFX would hand them to the first thing that takes any, the menu
        if (window.layers.getScene() != null) {
            window.layers.requestFocus();
        }
        window.root.setCenter(null);
        window.root.setCenter(switch (window.studio.desk()) {
            case DRAW -> drawPane();
            case ANIMATE -> animatePane();
            case INTERACT -> interactPane();
            case ADAPT -> adaptPane();
            case PUBLISH -> publishPane();
        });
        if (!window.tries.trying && window.studio.desk() != Desk.PUBLISH) {
            if (window.tryView.isMade()) {
                window.tryView.get().stop();
            }
            focusCanvas();
        }
    }

    /** Gives the keyboard to the canvas as soon as it is in the window: a split pane takes its content in only at its next layout. */
    private void focusCanvas() {
        if (window.w.canvas.getScene() != null) {
            Platform.runLater(window.w.canvas::requestFocus);
            return;
        }
        window.w.canvas.sceneProperty().addListener(new ChangeListener<>() {
            @Override
            public void changed(ObservableValue<? extends Scene> of, Scene before, Scene now) {
                of.removeListener(this);
                if (!window.overlays.asking()) {
                    Platform.runLater(window.w.canvas::requestFocus);
                }
            }
        });
    }

    /** The canvas with the tools at its left edge and what the tool in hand can be told along its top. */
    private BorderPane canvasPane() {
        ToolCard card = window.tools.get();
        var pane = new StackPane(window.w.canvas, card, window.rail, window.hints);
        StackPane.setAlignment(window.hints, Pos.BOTTOM_CENTER);
        StackPane.setMargin(window.hints, new Insets(0, 0, 22, 0));
        StackPane.setAlignment(window.rail, Pos.CENTER_RIGHT);
        pane.setMinSize(100, 100);
        furnishing.keepAsPicture(card);
        StackPane.setAlignment(card, Pos.TOP_LEFT);
        StackPane.setMargin(card, new Insets(ToolCard.MARGIN));
        pane.heightProperty().addListener((o, was, is) -> {
            card.fitTo(is.doubleValue());
            window.w.canvas.keepFree(card.taken());
        });
        window.w.canvas.keepFree(card.taken());
        var with = new BorderPane(pane);
        with.setTop(new VBox(window.layouts.get(), window.way.get(), window.toolOptions.get()));
        return with;
    }

    private Node drawPane() {
        var upper = new BorderPane(canvasPane());
        upper.setLeft(side(window.left, "left", 224));
        var pane = new BorderPane(upper);
        pane.setRight(side(window.w.details, "right", 284));
        drawDesk = pane;
        showStrip();
        return pane;
    }

    /** The strip of drawings stays when the flipbook is left, with the way back into it. */
    void showStrip() {
        if (drawDesk != null && window.studio.desk() == Desk.DRAW) {
            boolean wanted = window.studio.book().is() || window.studio.book().last() != null;
            if (wanted != (drawDesk.getBottom() != null)) {
                drawDesk.setBottom(wanted ? window.drawings.get() : null);
            }
        }
    }

    /**
     * The place of a panel beside the canvas, with an edge that changes its width; each desk remembers it. The first picture of the
     * window doesn't wait for what goes in there.
     */
    private Pane side(Lazy<? extends Region> panel, String name, double width) {
        var place = new StackPane();
        String key = window.studio.desk().name().toLowerCase(Locale.ROOT) + "." + name;
        double least = Math.min(width, 200);
        width(place, Math.max(least, Math.min(LARGEST, window.w.settings.size(key, width))));
        if (!furnishing.done()) {
            place.getStyleClass().add("root-colors");
        }
        var edge = new SideEdge(name.equals("left"), place::getWidth, wanted -> width(place, Math.max(least, Math.min(LARGEST, wanted))),
                () -> window.w.settings.setSize(key, place.getPrefWidth()));
        edge.setId("edge-" + name);
        StackPane.setAlignment(edge, name.equals("left") ? Pos.CENTER_RIGHT : Pos.CENTER_LEFT);
        furnishing.add(() -> place.getChildren().addAll(panel.get(), edge));
        boolean folded = folded(name);
        place.setVisible(!folded);
        place.setManaged(!folded);
        return place;
    }

    /** Whether the panels of a side are folded away on this desk. */
    boolean folded(String side) {
        return alone || window.w.settings.size(window.studio.desk().name().toLowerCase(Locale.ROOT) + ".folded." + side, 0) > 0;
    }

    /** Folds the panels of a side away, or out again; each desk remembers it. */
    void fold(String side) {
        window.w.settings.setSize(window.studio.desk().name().toLowerCase(Locale.ROOT) + ".folded." + side, folded(side) ? 0 : 1);
        arrange();
    }

    /** The canvas over the whole screen, and nothing else; or all of the window again. */
    void toggleAlone() {
        alone = !alone;
        window.root.setTop(alone ? null : window.topBar);
        window.root.setLeft(alone ? null : window.deskRail);
        if (window.stage != null) {
            window.stage.setFullScreenExitKeyCombination(KeyCombination.NO_MATCH);
            window.stage.setFullScreenExitHint("");
            window.stage.setFullScreen(alone);
        }
        arrange();
    }

    private static void width(Region r, double width) {
        r.setMinWidth(width);
        r.setPrefWidth(width);
        r.setMaxWidth(width);
    }

    private Node animatePane() {
        BorderPane middle = canvasPane();
        middle.setBottom(window.strip.get());
        var upper = new BorderPane(middle);
        upper.setRight(side(window.w.details, "right", 290));
        animateUpper = upper;
        showShelf();
        var split = new SplitPane(upper, window.timeline.get());
        split.setOrientation(Orientation.VERTICAL);
        split.setDividerPositions(window.w.settings.size("animate.divider", 0.6));
        split.getDividers().getFirst().positionProperty().addListener((o, was, is) -> {
            // only where it was put by hand: the window's own layout moves it too
            if (split.isHover()) {
                window.w.settings.setSize("animate.divider", is.doubleValue());
            }
        });
        return split;
    }

    /** The shelf stands beside the canvas once there is something on it. */
    void showShelf() {
        if (animateUpper != null && window.studio.desk() == Desk.ANIMATE) {
            boolean wanted = !window.studio.project().assets().isEmpty() || !window.studio.project().motifs().isEmpty() || !window.studio.project()
                    .swatches().isEmpty();
            if (wanted != (animateUpper.getLeft() != null)) {
                animateUpper.setLeft(wanted ? side(window.shelf, "left", SHELF) : null);
            }
        }
    }

    private Node interactPane() {
        var middle = new BorderPane(window.tries.trying ? window.tryView.get() : canvasPane());
        window.log.get().setPrefHeight(190);
        window.log.get().setMaxWidth(Double.MAX_VALUE);
        var bottom = new HBox(window.scripts.get(), window.log.get());
        HBox.setHgrow(window.scripts.get(), Priority.ALWAYS);
        window.scripts.get().setMinWidth(0);
        window.scripts.get().setPrefHeight(230);
        window.log.get().setPrefWidth(270);
        window.log.get().setMinWidth(0);
        middle.setBottom(new VBox(window.touchBar.get(), bottom));
        var pane = new BorderPane(middle);
        window.reactions.get().setPrefWidth(480);
        window.reactions.get().setMinWidth(360);
        pane.setRight(window.reactions.get());
        return pane;
    }

    private Node adaptPane() {
        BorderPane middle = canvasPane();
        var upper = new BorderPane(middle);
        middle.setRight(window.beside.get());
        upper.setTop(window.widths.get());
        upper.setBottom(window.differs.get());
        var pane = new BorderPane(upper);
        pane.setRight(side(new Lazy<>(() -> {
            // the details are those of every desk
            VBox.setVgrow(window.w.details.get(), Priority.ALWAYS);
            adapting.getChildren().setAll(window.layout.get(), window.breaks.get(), window.w.details.get());
            return adapting;
        }), "right", 284));
        return pane;
    }

    private Node publishPane() {
        width(window.publish.get(), 262);
        window.log.get().setPrefWidth(260);
        window.publishSide.get().show(window.log.get());
        width(window.publishSide.get(), 276);
        var pane = new BorderPane(window.tryView.get());
        pane.setLeft(window.publish.get());
        pane.setRight(window.publishSide.get());
        window.tryView.get().showLeave(false);
        window.tryView.get().run();
        return pane;
    }
}
