package tundra.app.timeline;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.scene.AccessibleAttribute;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;
import tundra.app.paint.SkiaCanvas;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;
import tundra.app.widget.Menus;
import tundra.app.widget.NameField;
import tundra.app.widget.Palette;
import tundra.core.edit.Keys;
import tundra.core.edit.Markers;
import tundra.core.edit.SpokenWords;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Marker;
import tundra.core.model.Property;
import tundra.core.model.Timeline;

/** Ruler and lanes of the chosen timeline, drawn by hand: only the rows in view cost anything. */
public final class TimelineCanvas extends Pane {
    static final double HEAD = TimelinePainter.HEAD;
    static final double RULER = RulerPainter.HEIGHT;
    private static final double MARGIN = 14;
    private final Studio studio;
    private final SkiaCanvas canvas = new SkiaCanvas();
    private final PlayheadMark playhead = new PlayheadMark();
    final TimeRows rows = new TimeRows();
    private final SoundWaves waves = new SoundWaves(this::redraw);
    final TimelinePainter painter;
    private final RulerPainter ruler;
    private final TimelinePointerHandler hand;
    TimeScale scale = new TimeScale(HEAD + MARGIN, 0, 100);
    private boolean fitted = true;
    private boolean follow = true;
    /** Whether the row of what was selected elsewhere is to be brought into sight. */
    private boolean reveal;
    private double scrollY;
    private boolean queued;
    private long drawn;

    /** Only worked out when a screen reader asks. */
    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute what, Object... more) {
        return what == AccessibleAttribute.TEXT ? SpokenWords.timeline(studio.timeline(), studio.time().playhead(), studio.time().keys().size())
                : super.queryAccessibleAttribute(what, more);
    }

    public TimelineCanvas(Studio studio) {
        this.studio = studio;
        painter = new TimelinePainter(studio, rows, waves);
        ruler = new RulerPainter(studio, waves);
        hand = new TimelinePointerHandler(studio, this);
        setId("timeline");
        setFocusTraversable(true);
        setAccessibleText("Timeline");
        getChildren().addAll(canvas, playhead);
        setMinHeight(120);
        var clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        widthProperty().addListener(o -> redraw());
        heightProperty().addListener(o -> redraw());
        // what changed while another desk was shown is drawn when this one is back
        sceneProperty().addListener(o -> redraw());
        studio.listen(this::changed);
        studio.eachFrame(this::frame);
        studio.selection().forEach(rows::unfold);
        addEventHandler(MouseEvent.MOUSE_PRESSED, hand::press);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, hand::drag);
        addEventHandler(MouseEvent.MOUSE_RELEASED, hand::release);
        addEventHandler(MouseEvent.MOUSE_MOVED, e -> setCursor(hand.cursor(e)));
        addEventHandler(ScrollEvent.SCROLL, this::scroll);
    }

    private void changed(Set<Aspect> what) {
        if (what.contains(Aspect.TIMELINE) || what.contains(Aspect.SCENE)) {
            fitted = true;
            scrollY = 0;
        }
        // rows that are pressed here stay where they are
        if (what.contains(Aspect.SELECTION) && !studio.selection().equals(hand.selected())) {
            studio.selection().forEach(rows::unfold);
            reveal = true;
        }
        if (!studio.time().onlyGoesOn(what)) {
            redraw();
        } else if (!queued && getScene() != null) {
            canvas.paintOver(g -> painter.values(g, RULER, scrollY, getHeight(), Palette.of(studio.dark())));
        }
    }

    private void frame() {
        if (follow) {
            keepPlayheadInView();
        }
        playhead();
    }

    private void playhead() {
        playhead.show(studio.time().playhead(), scale, getWidth(), getHeight(), Palette.of(studio.dark()), studio.dark());
    }

    /** While it plays the view turns over when the playhead leaves it. */
    private void keepPlayheadInView() {
        double x = scale.x(studio.time().playhead());
        if (!fitted && (x > getWidth() - MARGIN || x < scale.left())) {
            scale = new TimeScale(scale.left(), studio.time().playhead(), scale.perSecond());
            redraw();
        }
    }

    /** Whether the view follows the playhead while it plays. */
    public boolean follows() {
        return follow;
    }

    public void setFollows(boolean on) {
        follow = on;
    }

    /** Shows the whole of the timeline. */
    public void fit() {
        fitted = true;
        redraw();
    }

    /** Zooms around the playhead. */
    public void zoom(double factor) {
        fitted = false;
        scale = scale.zoomed(factor, Math.max(scale.left(), scale.x(studio.time().playhead())));
        redraw();
    }

    /** Makes the first lane of the selected element a curve editor, or low again. */
    public void growLane() {
        rows.all().stream().filter(r -> r.property() != null && studio.selection().contains(r.element())).findFirst()
                .ifPresent(r -> rows.grow(r.element(), r.property()));
        redraw();
    }

    void redraw() {
        if (!queued) {
            queued = true;
            Platform.runLater(() -> {
                queued = false;
                if (getScene() != null) {
                    draw();
                }
            });
        }
    }

    /** How often it was drawn. */
    public long drawn() {
        return drawn;
    }

    private void draw() {
        drawn++;
        double w = getWidth(), h = getHeight();
        if (w < HEAD + 40 || h < RULER + 10) {
            return;
        }
        canvas.setSize(w, h);
        Timeline t = studio.timeline();
        if (fitted) {
            scale = TimeScale.fit(HEAD + MARGIN, w - HEAD - 2 * MARGIN - 4, t.duration());
        }
        Map<String, String> sounds = new HashMap<>();
        t.sounds().forEach(s -> sounds.put(s.asset(), studio.project().assets().get(s.asset()).title()));
        rows.build(studio.board(), t, sounds);
        if (reveal) {
            reveal = false;
            rows.all().stream().filter(r -> r.property() == null && studio.selection().contains(r.element())).findFirst().ifPresent(r -> {
                double y = topOf(r);
                scrollY += y < RULER ? y - RULER : Math.max(0, y + r.height() - h);
            });
        }
        scrollY = Numbers.clamp(scrollY, 0, Math.max(0, rows.height() - (h - RULER) + 20));
        canvas.paint(g -> painted(g, w, h));
        playhead();
    }

    private void painted(SkiaGraphics g, double w, double h) {
        Palette colors = Palette.of(studio.dark());
        g.setFill(colors.panel());
        g.fillRect(0, 0, w, h);
        painter.rows(g, scale, RULER, scrollY, w, h, colors);
        ruler.draw(g, scale, w, colors);
        g.setStroke(colors.line());
        g.setLineWidth(1);
        g.strokeLine(HEAD + 0.5, 0, HEAD + 0.5, h);
        g.strokeLine(0, RULER + 0.5, w, RULER + 0.5);
        Rect area = hand.marquee();
        if (area != null) {
            g.setStroke(colors.time());
            g.setFill(colors.time().deriveColor(0, 1, 1, 0.12));
            g.fillRect(area.x(), area.y(), area.width(), area.height());
            g.strokeRect(area.x(), area.y(), area.width(), area.height());
        }
    }

    /** Shows rows of what has keys only, or of everything again. */
    public void toggleOnlyKeyed() {
        rows.setOnlyKeyed(!rows.onlyKeyed());
        redraw();
    }

    /** Folds every row. */
    public void foldAll() {
        rows.foldAll();
        scrollY = 0;
        redraw();
    }

    /** Lets the name of a marker be typed where it stands. */
    public void nameMarker(String id) {
        Marker m = studio.timeline().markers().stream().filter(x -> x.id().equals(id)).findFirst().orElse(null);
        if (m == null) {
            return;
        }
        studio.time().select(id);
        NameField.open(this, Math.max(HEAD + 2, Math.min(getWidth() - 132, scale.x(m.time()))), 0, 130, m.name(),
                name -> studio.edit("Rename marker " + m.name(),
                b -> b.mapTimeline(studio.timeline().id(), t -> Markers.rename(t, id, name))));
    }

    /** The row at a height of this view; null for the ruler and below the last one. */
    TimeRows.Row rowAt(double y) {
        return y > RULER ? rows.at(y - RULER + scrollY) : null;
    }

    /** Where a row begins in this view. */
    double topOf(TimeRows.Row r) {
        return RULER + r.y() - scrollY;
    }

    /** Sets a key of a property at the playhead, or takes it away when there is one. */
    public static void toggleKey(Studio studio, String element, Property<?> p) {
        Timeline t = studio.time().moving(element, p);
        long at = studio.time().playhead();
        studio.edit((Keys.isAt(t, element, p, at) ? "Delete " : "Add ") + p.label().toLowerCase(Locale.ROOT) + " key",
                b -> Keys.toggle(b, t.id(), element, p, at));
    }

    /** Gives up what the pointer is doing; says whether there was something. */
    public boolean cancel() {
        return hand.cancel();
    }

    /** Opens a menu of what can be done here. */
    public void onMenu(Consumer<ContextMenuEvent> menu) {
        Menus.on(this, e -> {
            hand.choose(e.getX(), e.getY());
            menu.accept(e);
        });
    }

    private void scroll(ScrollEvent e) {
        if (e.isShortcutDown()) {
            fitted = false;
            scale = scale.zoomed(Math.exp(e.getDeltaY() / 300), Math.max(scale.left(), e.getX()));
        } else if (e.isShiftDown() || Math.abs(e.getDeltaX()) > Math.abs(e.getDeltaY())) {
            fitted = false;
            scale = scale.scrolled(-(e.getDeltaX() != 0 ? e.getDeltaX() : e.getDeltaY()), studio.timeline().duration());
        } else {
            scrollY -= e.getDeltaY();
        }
        redraw();
        e.consume();
    }

    /** Where the bead of a key stands; null when it is not in view. */
    public Point place(String element, Property<?> p, long time) {
        return place(element, p, time, 0);
    }

    public Point place(String element, Property<?> p, long time, int part) {
        return painter.beads.stream().filter(b -> b.ref().element().equals(element) && b.ref().property() == p && b.ref().time() == time
                && b.part() == part)
                .map(b -> new Point(b.x(), b.y())).findFirst().orElse(null);
    }

    /** Where the first or second easing handle of a chosen key stands; null when it shows none. */
    public Point grip(String element, Property<?> p, long time, boolean second) {
        return painter.grips.stream().filter(b -> b.ref().equals(new Keys.Ref(element, p, time)) && b.second() == second)
                .map(b -> new Point(b.x(), b.y())).findFirst().orElse(null);
    }

    /** The middle of the row of an element, or of one of its lanes. */
    public double rowY(String element, Property<?> p) {
        return rows.all().stream().filter(r -> r.element().equals(element) && r.property() == p).map(r -> topOf(r) + r.height() / 2).findFirst()
                .orElse(-1.0);
    }

    public double xOf(long time) {
        return scale.x(time);
    }
}
