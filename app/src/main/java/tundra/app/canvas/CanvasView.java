package tundra.app.canvas;

import java.io.File;
import java.util.ArrayDeque;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.animation.AnimationTimer;
import javafx.scene.AccessibleAttribute;
import javafx.scene.image.ImageView;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;
import tundra.app.paint.SkiaCanvas;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Aspect;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.tool.Pointer;
import tundra.app.tool.ToolBox;
import tundra.app.view.Overlay;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.edit.SpokenWords;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;
import tundra.core.model.Properties;
import tundra.core.model.Scene;

/** The canvas in the middle of the window: the picture, what the tools draw over it, and the pointer's way to them. */
public final class CanvasView extends Pane {
    final Studio studio;
    final ToolBox tools;
    private final ImageView image = new ImageView();
    private final SkiaCanvas overlay = new SkiaCanvas();
    private Consumer<Throwable> onProblem = e -> { };
    private final RenderLoop loop = new RenderLoop(image, e -> onProblem.accept(e));
    private final AnimationTimer pulse;
    Viewport viewport = new Viewport(1, Point.ZERO);
    final Rulers rulers;
    private boolean rulersShown;
    Consumer<MouseEvent> onMenu = e -> { };
    private Runnable onView = () -> { };
    /** Around the fitted canvas, in px. */
    private static final double GAP = 14;
    private double free;
    private boolean fitted = true;
    private boolean dirty = true;
    private boolean overlayDirty = true;
    boolean pointerSeen;
    Point panFrom;
    BiConsumer<List<File>, Point> onDrop = (files, at) -> { };
    BiConsumer<String, Point> onMotif = (motif, at) -> { };
    BiConsumer<String, Point> onBlock = (kind, at) -> { };
    private Function<Desk, List<Overlay>> overlays = d -> List.of();
    private final CanvasPointer pointer = new CanvasPointer(this);

    public CanvasView(Studio studio, ToolBox tools) {
        this.studio = studio;
        this.tools = tools;
        this.rulers = new Rulers(studio);
        setId("canvas");
        setFocusTraversable(true);
        setAccessibleText("Canvas");
        setMinSize(120, 120);
        getChildren().addAll(image, overlay);
        overlay.setMouseTransparent(true);
        var clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        widthProperty().addListener(o -> resized());
        heightProperty().addListener(o -> resized());
        studio.listen(this::changed);
        studio.eachFrame(this::redraw);
        addEventHandler(MouseEvent.ANY, pointer::mouse);
        addEventHandler(ScrollEvent.SCROLL, pointer::scroll);
        setOnDragOver(pointer::over);
        setOnDragDropped(pointer::drop);
        pulse = new AnimationTimer() {
            @Override
            public void handle(long now) {
                settling = Math.max(0, settling - 1);
                refresh();
            }
        };
        sceneProperty().addListener(o -> {
            if (getScene() != null) {
                pulse.start();
            }
        });
    }

    public Viewport viewport() {
        return viewport;
    }

    /** What to draw over the picture on each desk. */
    public void overlays(Function<Desk, List<Overlay>> source) {
        overlays = source;
    }

    /** Takes files that were dropped, and where on the canvas. */
    public void onDrop(BiConsumer<List<File>, Point> drop) {
        onDrop = drop;
    }

    /** Takes a kind of block that was dropped, and where on the canvas. */
    public void onBlock(BiConsumer<String, Point> drop) {
        onBlock = drop;
    }

    /** Takes a motif that was dropped, and where on the canvas. */
    public void onMotif(BiConsumer<String, Point> drop) {
        onMotif = drop;
    }

    /** Shows a menu where the right button was let go. */
    public void onMenu(Consumer<MouseEvent> menu) {
        onMenu = menu;
    }

    /** Hears why the picture could not be painted. */
    public void onProblem(Consumer<Throwable> told) {
        onProblem = told;
    }

    /** Runs whenever the part that is seen may have changed. */
    public void onView(Runnable run) {
        onView = run;
    }

    public boolean rulers() {
        return rulersShown;
    }

    public void setRulers(boolean on) {
        rulersShown = on;
        redrawOverlay();
    }

    /** Gives up a ruler line that is being dragged; says whether there was one. */
    public boolean cancel() {
        return rulers.cancel();
    }

    /** The colour of the picture at a place of the canvas; null where it isn't seen. */
    public Color colorAt(Point canvas) {
        Point at = viewport.toView(canvas);
        if (image.getImage() == null || canvas.x() < 0 || canvas.y() < 0 || canvas.x() >= studio.board().size().x()
                || canvas.y() >= studio.board().size().y()) {
            return null;
        }
        double out = image.getImage().getWidth() / Math.max(1, image.getFitWidth());
        int x = (int) (at.x() * out), y = (int) (at.y() * out);
        if (x < 0 || y < 0 || x >= image.getImage().getWidth() || y >= image.getImage().getHeight()) {
            return null;
        }
        int argb = image.getImage().getPixelReader().getArgb(x, y);
        return new Color(argb >> 16 & 255, argb >> 8 & 255, argb & 255, 255);
    }

    /** What the canvas was fitted to, besides the height. */
    private record Fit(double width, double free, Point size, Desk desk) {}

    private Fit fit;
    /** Pulses left in which another desk's panels may still take their room. */
    private int settling;

    public void fit() {
        fitted = true;
        fit = null;
        resized();
    }

    public void zoom(double factor) {
        zoom(factor, new Point(getWidth() / 2, getHeight() / 2));
    }

    public void zoom(double factor, Point at) {
        fitted = false;
        viewport = viewport.zoomed(factor, at);
        redraw();
    }

    /** Shows an area of the view as large as it fits. */
    public void zoomTo(Rect area) {
        fitted = false;
        Point middle = new Point(getWidth() / 2, getHeight() / 2);
        viewport = viewport.moved(middle.minus(area.centre()))
                .zoomed(Math.min(getWidth() / Math.max(1, area.width()), getHeight() / Math.max(1, area.height())), middle);
        redraw();
    }

    /** One canvas px for one px of the screen, with the canvas in the middle of what the tools leave free. */
    public void actualSize() {
        fitted = false;
        Point size = studio.board().size();
        viewport = new Viewport(1, new Point(Math.round(free + (getWidth() - free - size.x()) / 2), Math.round((getHeight() - size.y()) / 2)));
        redraw();
    }

    public void pan(Point by) {
        fitted = false;
        viewport = viewport.moved(by);
        redraw();
    }

    private void resized() {
        if (fitted && getWidth() > 0 && getHeight() > 0) {
            // what comes and goes below the canvas leaves it where it is as long as there is room
            var now = new Fit(getWidth(), free, studio.board().size(), studio.desk());
            double top = viewport.origin().y(), bottom = top + studio.board().size().y() * viewport.zoom();
            if (!now.equals(fit) || settling > 0 || top < GAP - 1 || bottom > getHeight() - GAP + 1) {
                viewport = Viewport.fit(studio.board().size(), fitArea());
                fit = now;
            }
        }
        redraw();
    }

    /** Leaves so much of the left free of the canvas when it is fitted, in px: the tools stand there. */
    public void keepFree(double left) {
        if (free != left) {
            free = left;
            resized();
        }
    }

    private Rect fitArea() {
        return new Rect(free + GAP, GAP, Math.max(50, getWidth() - free - 2 * GAP), Math.max(50, getHeight() - 2 * GAP));
    }

    /** Only worked out when a screen reader asks. */
    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute what, Object... more) {
        return what == AccessibleAttribute.TEXT ? SpokenWords.canvas(studio.place().name(), studio.board(), studio.selection(),
                new SpokenWords.Seen() {
            @Override
            public Point position(String id) {
                return studio.target().valueAt(id, Properties.POSITION);
            }

            @Override
            public Point size(String id) {
                var placed = studio.picture().placed(id);
                return placed == null ? null : new Point(placed.bounds().width(), placed.bounds().height());
            }
        }) : super.queryAccessibleAttribute(what, more);
    }

    private void changed(Set<Aspect> what) {
        if (studio.time().onlyGoesOn(what)) {
            return;
        }
        if (isFocused()) {
            notifyAccessibleAttributeChanged(AccessibleAttribute.TEXT);
        }
        if (what.contains(Aspect.SCENE) || what.contains(Aspect.DESK)
                || what.contains(Aspect.DOCUMENT) && fitted) {
            if (what.contains(Aspect.SCENE)) {
                placed();
            }
            if (what.contains(Aspect.DESK)) {
                settling = 3;
            }
            resized();
        }
        redraw();
    }

    /** How each place on the way was seen when it was left. */
    private final ArrayDeque<Viewport> left = new ArrayDeque<>();

    private double barAbove;

    /** How high the bar is that comes above the canvas while a motif is open, in px. */
    public void setBarAbove(double height) {
        barAbove = height;
    }

    /** What is opened in place stays where it is seen, or comes into view; coming back up shows what was seen before. */
    private void placed() {
        var way = studio.open().way();
        if (way.size() > left.size() && way.getLast().instance() != null) {
            left.push(viewport);
            Affine m = studio.open().toAround(studio.project());
            double k = Math.sqrt(Math.abs(m.determinant()));
            Point middle = studio.board().size().times(0.5), seen = viewport.toView(m.apply(middle));
            // the way back comes above the canvas, which begins lower then
            seen = way.size() == 1 ? seen.minus(new Point(0, barAbove)) : seen;
            double zoom = Numbers.clamp(viewport.zoom() * k, Viewport.MIN, Viewport.MAX);
            viewport = new Viewport(zoom, seen.minus(middle.times(zoom))).showing(studio.board().size(), fitArea());
            fitted = false;
        } else if (way.size() < left.size()) {
            while (left.size() > way.size()) {
                viewport = left.pop();
            }
            fitted = false;
        } else {
            left.clear();
            fitted = true;
        }
    }

    /** Asks for the picture and the overlay to be drawn anew at the next pulse. */
    public void redraw() {
        dirty = true;
        overlayDirty = true;
    }

    public void redrawOverlay() {
        overlayDirty = true;
    }

    /** Whether everything asked for is on the screen. */
    public boolean settled() {
        return !dirty && !overlayDirty && loop.idle() && SkiaCanvas.settled();
    }

    public long painted() {
        return loop.painted();
    }

    private void refresh() {
        if (getScene() == null || getWidth() < 1 || getHeight() < 1) {
            return;
        }
        if (dirty) {
            dirty = false;
            onView.run();
            double out = getScene().getWindow() == null ? 1 : getScene().getWindow().getOutputScaleX();
            int w = (int) Math.ceil(getWidth() * out), h = (int) Math.ceil(getHeight() * out);
            image.setFitWidth(w / out);
            image.setFitHeight(h / out);
            var surround = Palette.of(studio.dark()).surround();
            int argb = 0xFF000000 | (int) Math.round(surround.getRed() * 255) << 16 | (int) Math.round(surround.getGreen() * 255) << 8
                    | (int) Math.round(surround.getBlue() * 255);
            loop.paint(new RenderLoop.Request(studio.picture().frame(), studio.project().assets(), viewport.zoom() * out,
                    viewport.origin().x() * out, viewport.origin().y() * out, w, h, argb, studio.time().playing(), studio.place() instanceof Scene));
        }
        if (overlayDirty) {
            overlayDirty = false;
            drawOverlay();
        }
    }

    private void drawOverlay() {
        if (overlay.width() == 0 && !pointerSeen && studio.presence().unseen() == null && studio.selection().isEmpty() && studio.board().reactions()
                .isEmpty()) {
            return;
        }
        overlay.setSize(getWidth(), getHeight());
        overlay.paint(this::overlay);
    }

    private void overlay(SkiaGraphics g) {
        if (studio.desk() == Desk.DRAW) {
            rulers.lines(g, viewport, getWidth(), getHeight());
        }
        for (Overlay o : overlays.apply(studio.desk())) {
            g.save();
            o.draw(g, viewport);
            g.restore();
        }
        if (showsRulers()) {
            rulers.draw(g, viewport, getWidth(), getHeight());
        }
    }

    boolean showsRulers() {
        return rulersShown && studio.desk() == Desk.DRAW;
    }

    // --- the pointer ---

    Pointer pointer(MouseEvent e) {
        var at = new Point(e.getX(), e.getY());
        return new Pointer(viewport.toCanvas(at), at, viewport, e.isShiftDown(), e.isAltDown(), e.isShortcutDown(), e.getClickCount());
    }

    public void close() {
        pulse.stop();
        loop.close();
    }
}
