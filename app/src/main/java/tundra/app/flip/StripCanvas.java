package tundra.app.flip;

import java.io.File;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import javafx.application.Platform;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;
import tundra.app.paint.SkiaCanvas;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;

/** The drawings of the flipbook that is worked on, side by side. */
public final class StripCanvas extends Pane {
    static final double BLANK = 70;
    private static final double LEFT = 12;
    private final Studio studio;
    private final SkiaCanvas canvas = new SkiaCanvas();
    private final Thumbs thumbs = new Thumbs(this::redraw);
    private final StripPainter painter;
    private final StripPointerHandler hand;
    private StripLayout layout = new StripLayout(LEFT, 0, 64);
    private String shown;
    private boolean queued;
    /** The current drawing as it was drawn last. */
    private int drawn = -1;

    StripCanvas(Studio studio, Runnable blank) {
        this.studio = studio;
        painter = new StripPainter(studio, thumbs);
        hand = new StripPointerHandler(studio, this, blank);
        setId("strip");
        setFocusTraversable(true);
        setAccessibleText("Drawings");
        setMinHeight(StripLayout.HEIGHT);
        setPrefHeight(StripLayout.HEIGHT);
        getChildren().add(canvas);
        var clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        widthProperty().addListener(o -> redraw());
        sceneProperty().addListener(o -> redraw());
        addEventHandler(MouseEvent.MOUSE_PRESSED, hand::press);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, hand::drag);
        addEventHandler(MouseEvent.MOUSE_RELEASED, hand::release);
        addEventHandler(MouseEvent.MOUSE_MOVED, e -> setCursor(hand.cursor(e)));
        addEventHandler(ScrollEvent.SCROLL, this::scroll);
        studio.listen(this::changed);
        studio.eachFrame(this::frame);
    }

    /** Takes files that were dropped between the drawings, and before which one. */
    public void onDrop(BiConsumer<List<File>, Integer> drop) {
        setOnDragOver(e -> {
            if (e.getDragboard().hasFiles() && studio.book().is()) {
                e.acceptTransferModes(TransferMode.COPY);
                hand.aim(e.getX());
                e.consume();
            }
        });
        setOnDragExited(e -> hand.aim(-1));
        setOnDragDropped(e -> {
            if (e.getDragboard().hasFiles() && studio.book().is()) {
                int at = hand.place(studio.book().book(), e.getX());
                hand.aim(-1);
                drop.accept(e.getDragboard().getFiles(), at);
                e.setDropCompleted(true);
                e.consume();
            }
        });
    }

    private void frame() {
        if (studio.book().is() && studio.book().current() != drawn) {
            changed(Set.of(Aspect.PLAYHEAD));
        }
    }

    private void changed(Set<Aspect> what) {
        if (studio.time().onlyGoesOn(what) && studio.book().current() == drawn) {
            return;
        }
        Flipbook b = studio.book().book();
        if (b == null) {
            return;
        }
        Drawing d = studio.book().drawing();
        if (what.contains(Aspect.PLAYHEAD) && d != null && !hand.busy()) {
            layout = layout.showing(d.start(), d.end(), getWidth());
        }
        redraw();
    }

    StripLayout at() {
        return layout;
    }

    /** Where a frame begins, in px of the strip. */
    public double x(double frame) {
        return layout.x(frame);
    }

    /** Gives up a drag; says whether there was one. */
    public boolean cancel() {
        return hand.cancel();
    }

    /** Whether every small picture is there. */
    public boolean settled() {
        return thumbs.settled() && !queued;
    }

    private void scroll(ScrollEvent e) {
        if (e.isShortcutDown()) {
            layout = layout.zoomed(Math.exp(e.getDeltaY() / 300), e.getX());
        } else {
            double by = e.getDeltaX() != 0 ? -e.getDeltaX() : -e.getDeltaY();
            layout = layout.scrolled(by);
            Flipbook b = studio.book().book();
            double most = b == null ? 0 : Math.max(0, b.end() * layout.perFrame() + BLANK + 2 * LEFT - getWidth());
            if (layout.scroll() > most) {
                layout = layout.scrolled(most - layout.scroll());
            }
        }
        redraw();
        e.consume();
    }

    void redraw() {
        if (!queued) {
            queued = true;
            Platform.runLater(() -> {
                queued = false;
                if (getScene() != null && getWidth() > 0) {
                    draw();
                }
            });
        }
    }

    private void draw() {
        drawn = studio.book().current();
        canvas.setSize(getWidth(), StripLayout.HEIGHT);
        Element book = studio.book().is() ? studio.book().element() : studio.book().last();
        if (book != null && !book.id().equals(shown)) {
            shown = book.id();
            // all of it if that leaves cells wide enough to tell the drawings
            double fit = (getWidth() - 2 * LEFT - BLANK) / Math.max(1, ((Flipbook) book.content()).end());
            layout = new StripLayout(LEFT, 0, Math.max(24, Math.min(64, fit)));
        }
        canvas.paint(g -> painter.draw(g, layout, getWidth(), hand.insert()));
    }
}
