package tundra.app.timeline;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javafx.geometry.VPos;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.studio.Aspect;
import tundra.app.studio.Studio;
import tundra.app.widget.Palette;
import tundra.core.edit.Keys;
import tundra.core.edit.TimeText;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Property;
import tundra.core.model.Timeline;

/** Ruler and lanes of the chosen timeline, drawn by hand: only the rows in view cost anything. */
public final class TimelineCanvas extends Pane {
    static final double HEAD = 300;
    static final double RULER = 38;
    private static final double MARGIN = 14;
    private final Studio studio;
    private final Canvas canvas = new Canvas();
    private final TimeRows rows = new TimeRows();
    private final List<LanePainter.Bead> beads = new ArrayList<>();
    private TimeScale scale = new TimeScale(HEAD + MARGIN, 0, 100);
    private boolean fitted = true;
    private double scrollY;
    private boolean queued;
    private Drag drag;

    /** What the pointer is doing. */
    private sealed interface Drag {
        record Scrub() implements Drag {}

        record MoveKeys(double from, Set<Keys.Ref> refs, Object merge, long by) implements Drag {}

        record Marquee(double x, double y, Rect area, boolean add) implements Drag {}
    }

    public TimelineCanvas(Studio studio) {
        this.studio = studio;
        setId("timeline");
        setFocusTraversable(true);
        setAccessibleText("Timeline");
        getChildren().add(canvas);
        setMinHeight(120);
        var clip = new javafx.scene.shape.Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        widthProperty().addListener(o -> redraw());
        heightProperty().addListener(o -> redraw());
        studio.listen(this::changed);
        studio.selection().forEach(rows::unfold);
        addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
        addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
        addEventHandler(MouseEvent.MOUSE_RELEASED, this::release);
        addEventHandler(MouseEvent.MOUSE_MOVED, e -> setCursor(beadAt(e) != null ? Cursor.HAND : e.getY() < RULER && e.getX() > HEAD
                ? Cursor.H_RESIZE : Cursor.DEFAULT));
        addEventHandler(ScrollEvent.SCROLL, this::scroll);
    }

    private void changed(Set<Aspect> what) {
        if (what.contains(Aspect.TIMELINE) || what.contains(Aspect.SCENE)) {
            fitted = true;
            scrollY = 0;
        }
        if (what.contains(Aspect.SELECTION)) {
            studio.selection().forEach(rows::unfold);
        }
        redraw();
    }

    /** Shows the whole of the timeline. */
    public void fit() {
        fitted = true;
        redraw();
    }

    private void redraw() {
        if (!queued) {
            queued = true;
            javafx.application.Platform.runLater(() -> {
                queued = false;
                if (getScene() != null) {
                    draw();
                }
            });
        }
    }

    // --- drawing ---

    private void draw() {
        double w = getWidth(), h = getHeight();
        if (w < HEAD + 40 || h < RULER + 10) {
            return;
        }
        if (canvas.getWidth() != w || canvas.getHeight() != h) {
            canvas.setWidth(w);
            canvas.setHeight(h);
        }
        Timeline t = studio.timeline();
        if (fitted) {
            scale = TimeScale.fit(HEAD + MARGIN, w - HEAD - 2 * MARGIN - 4, t.duration());
        }
        rows.build(studio.board(), t);
        scrollY = Numbers.clamp(scrollY, 0, Math.max(0, rows.height() - (h - RULER) + 20));
        Palette colors = Palette.of(studio.dark());
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.setTextBaseline(VPos.CENTER);
        g.setFill(colors.panel());
        g.fillRect(0, 0, w, h);
        beads.clear();
        g.save();
        g.beginPath();
        g.rect(0, RULER, w, h - RULER);
        g.clip();
        for (TimeRows.Row r : rows.all()) {
            double y = RULER + r.y() - scrollY;
            if (y + r.height() > RULER && y < h) {
                row(g, t, r, y, w, colors);
            }
        }
        beads.forEach(b -> LanePainter.bead(g, b, studio.keys().contains(b.ref()), b.ref().time() == studio.playhead(), colors));
        g.restore();
        ruler(g, t, w, colors);
        playhead(g, h, w, colors);
        g.setStroke(colors.line());
        g.setLineWidth(1);
        g.strokeLine(HEAD + 0.5, 0, HEAD + 0.5, h);
        g.strokeLine(0, RULER + 0.5, w, RULER + 0.5);
        if (drag instanceof Drag.Marquee m && m.area() != null) {
            g.setStroke(colors.time());
            g.setFill(colors.time().deriveColor(0, 1, 1, 0.12));
            g.fillRect(m.area().x(), m.area().y(), m.area().width(), m.area().height());
            g.strokeRect(m.area().x(), m.area().y(), m.area().width(), m.area().height());
        }
    }

    private static Font text(double size, boolean strong) {
        return Font.font(strong ? "Figtree SemiBold" : "Figtree", size);
    }

    private static Font mono(double size) {
        return Font.font("JetBrains Mono", size);
    }

    private void row(GraphicsContext g, Timeline t, TimeRows.Row r, double y, double w, Palette colors) {
        boolean selected = studio.selection().contains(r.element());
        boolean own = r.property() == null;
        if (selected) {
            g.setFill(own ? colors.spaceSoft() : colors.spaceSoft().deriveColor(0, 1, 1, 0.25));
            g.fillRect(0, y, w, r.height());
        }
        g.setStroke(colors.line().deriveColor(0, 1, 1, 0.6));
        g.setLineWidth(1);
        g.strokeLine(0, Math.floor(y + r.height()) - 0.5, w, Math.floor(y + r.height()) - 0.5);
        if (own) {
            g.save();
            bar(g, t, r, y, w, selected, colors);
            g.restore();
            head(g, t, r, y, selected, colors);
        } else {
            lane(g, t, r, r.property(), y, w, selected, colors);
        }
    }

    private void head(GraphicsContext g, Timeline t, TimeRows.Row r, double y, boolean selected, Palette colors) {
        cover(g, y, r, selected, selected ? colors.spaceSoft() : colors.panel());
        double x = 12 + r.depth() * 14, mid = y + r.height() / 2;
        boolean folds = r.group() || !t.tracksOf(r.element()).isEmpty();
        if (folds) {
            g.setFill(colors.ink2());
            boolean open = rows.unfolded(r.element());
            double[] px = open ? new double[] {x - 4, x + 4, x} : new double[] {x - 3, x + 3, x - 3};
            double[] py = open ? new double[] {mid - 2.5, mid - 2.5, mid + 3.5} : new double[] {mid - 4, mid, mid + 4};
            g.fillPolygon(px, py, 3);
        }
        g.setFont(text(12.5, true));
        g.setFill(colors.ink1());
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(shortened(r.name(), 24 - r.depth() * 2), x + 14, mid);
        if (r.locked()) {
            g.setFont(text(11, false));
            g.setFill(colors.ink2());
            g.setTextAlign(TextAlignment.RIGHT);
            g.fillText("locked", HEAD - 10, mid);
        }
    }

    private static String shortened(String s, int most) {
        return s.length() <= most ? s : s.substring(0, most - 1) + "…";
    }

    private void cover(GraphicsContext g, double y, TimeRows.Row r, boolean selected, javafx.scene.paint.Color c) {
        g.setFill(Palette.of(studio.dark()).panel());
        g.fillRect(0, y, HEAD, r.height() - 1);
        if (selected) {
            g.setFill(c);
            g.fillRect(0, y, HEAD, r.height() - 1);
        }
    }

    private void bar(GraphicsContext g, Timeline t, TimeRows.Row r, double y, double w, boolean selected, Palette colors) {
        var times = Keys.times(t, r.element());
        double mid = y + r.height() / 2;
        g.setFont(text(11, false));
        g.setTextAlign(TextAlignment.LEFT);
        if (times.isEmpty()) {
            g.setFill(colors.ink3());
            g.fillText("still", Math.max(HEAD + 8, scale.x(0) + 4), mid);
            return;
        }
        int count = t.tracksOf(r.element()).values().stream().mapToInt(k -> k.keys().size()).sum();
        int properties = t.tracksOf(r.element()).size();
        double a = scale.x(times.getFirst()), b = Math.max(a + 8, scale.x(times.getLast()));
        g.setFill(colors.space().deriveColor(0, 1, 1, selected ? 0.25 : 0.16));
        g.fillRoundRect(a, y + 6, b - a, r.height() - 13, 8, 8);
        g.setFill(colors.space());
        g.fillRect(a, y + 6, 3, r.height() - 13);
        g.setFill(colors.ink1());
        String words = (properties == 1 ? "1 property" : properties + " properties") + " · " + (count == 1 ? "1 key" : count + " keys");
        g.beginPath();
        g.rect(a, y, Math.max(140, b - a), r.height());
        g.clip();
        g.fillText(words, Math.max(HEAD + 8, a + 9), mid);
    }

    private <T> void lane(GraphicsContext g, Timeline t, TimeRows.Row r, Property<T> p, double y, double w, boolean selected, Palette colors) {
        beads.addAll(LanePainter.draw(g, t, r, p, scale, y, w, selected, colors));
        cover(g, y, r, selected, colors.spaceSoft().deriveColor(0, 1, 1, 0.35));
        double mid = y + r.height() / 2;
        g.setFont(text(12.5, false));
        g.setFill(colors.ink2());
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(p.label(), 34 + r.depth() * 14, mid);
        g.setFont(mono(11));
        g.setTextAlign(TextAlignment.RIGHT);
        g.fillText(shownValue(r.element(), p), HEAD - 28, mid);
        keyButton(g, HEAD - 15, mid, t.track(r.element(), p).keyAt(studio.playhead()) != null, colors);
    }

    private <T> String shownValue(String element, Property<T> p) {
        T v = studio.valueAt(element, p);
        if (v instanceof tundra.core.model.Color c) {
            return c.hex();
        }
        var s = new StringBuilder();
        for (double d : p.type().parts(v)) {
            s.append(s.isEmpty() ? "" : ", ").append(Numbers.plain(d * p.shown(), p.parts().size() > 1 ? 0 : 1));
        }
        return s + (p.unit().equals("px") ? "" : p.unit());
    }

    private static void keyButton(GraphicsContext g, double x, double y, boolean here, Palette colors) {
        g.setStroke(colors.time());
        g.setLineWidth(1.4);
        g.strokeOval(x - 5.5, y - 5.5, 11, 11);
        if (here) {
            g.setFill(colors.time());
            g.fillOval(x - 3, y - 3, 6, 6);
        }
    }

    private void ruler(GraphicsContext g, Timeline t, double w, Palette colors) {
        g.setFill(colors.panel());
        g.fillRect(HEAD, 0, w - HEAD, RULER);
        g.save();
        g.beginPath();
        g.rect(HEAD, 0, w - HEAD, RULER);
        g.clip();
        double end = scale.x(t.duration());
        g.setFill(colors.bar());
        g.fillRect(end, 0, Math.max(0, w - end), RULER);
        double step = stepFor(scale.perSecond());
        g.setFont(mono(11));
        g.setTextAlign(TextAlignment.LEFT);
        g.setLineWidth(1);
        for (long i = (long) Math.floor(scale.time(HEAD) / 1e6 / step * 5); scale.x(i * step / 5 * 1e6) < w; i++) {
            if (i < 0 || i * step / 5 * 1e6 > t.duration() + 1) {
                continue;
            }
            double x = Math.floor(scale.x(i * step / 5 * 1e6)) + 0.5;
            boolean major = i % 5 == 0;
            g.setStroke(major ? colors.ink3() : colors.line());
            g.strokeLine(x, RULER - (major ? 14 : 6), x, RULER);
            if (major) {
                g.setFill(colors.ink2());
                g.fillText(Numbers.plain(i / 5 * step, 3) + "s", x + 4, RULER - 11);
            }
        }
        g.restore();
    }

    private static double stepFor(double perSecond) {
        for (double s : new double[] {0.1, 0.2, 0.5, 1, 2, 5, 10, 30, 60, 300}) {
            if (s * perSecond >= 60) {
                return s;
            }
        }
        return 600;
    }

    private void playhead(GraphicsContext g, double h, double w, Palette colors) {
        double x = Math.round(scale.x(studio.playhead()));
        if (x < HEAD - 1 || x > w) {
            return;
        }
        g.setStroke(colors.time());
        g.setLineWidth(2);
        g.strokeLine(x, 18, x, h);
        double left = Numbers.clamp(x - 28, HEAD + 2, w - 58);
        g.setFill(colors.time());
        g.fillRoundRect(left, 3, 56, 18, 8, 8);
        g.setFill(studio.dark() ? colors.field() : javafx.scene.paint.Color.WHITE);
        g.setFont(mono(11));
        g.setTextAlign(TextAlignment.CENTER);
        g.fillText(TimeText.clock(studio.playhead()), left + 28, 12.5);
    }

    // --- pointer ---

    private LanePainter.Bead beadAt(MouseEvent e) {
        return e.getX() < HEAD ? null : beads.stream().filter(b -> Math.hypot(b.x() - e.getX(), b.y() - e.getY()) <= 8)
                .min(java.util.Comparator.comparingDouble(b -> Math.hypot(b.x() - e.getX(), b.y() - e.getY()))).orElse(null);
    }

    private void press(MouseEvent e) {
        if (e.getButton() != MouseButton.PRIMARY) {
            return;
        }
        requestFocus();
        TimeRows.Row row = e.getY() > RULER ? rows.at(e.getY() - RULER + scrollY) : null;
        if (e.getY() <= RULER && e.getX() > HEAD) {
            drag = new Drag.Scrub();
            studio.seek((long) scale.time(e.getX()));
        } else if (e.getX() <= HEAD) {
            pressHead(e, row);
        } else if (beadAt(e) instanceof LanePainter.Bead b) {
            pressBead(e, b);
        } else {
            if (row != null && row.property() != null && e.getClickCount() == 2) {
                addKey(row, row.property(), (long) scale.time(e.getX()));
                return;
            }
            if (row != null && !row.element().equals(Board.CANVAS) && row.property() == null) {
                studio.select(List.of(row.element()));
            }
            drag = new Drag.Marquee(e.getX(), e.getY(), null, e.isShiftDown());
        }
    }

    private void pressHead(MouseEvent e, TimeRows.Row row) {
        if (row == null) {
            return;
        }
        if (row.property() == null && e.getX() < 24 + row.depth() * 14) {
            rows.toggle(row.element());
            redraw();
        } else if (row.property() != null && e.getX() > HEAD - 26) {
            toggleKey(studio, row.element(), row.property());
        } else if (!row.element().equals(Board.CANVAS)) {
            studio.select(List.of(row.element()));
        }
    }

    private void pressBead(MouseEvent e, LanePainter.Bead b) {
        if (e.isShiftDown()) {
            var next = new LinkedHashSet<>(studio.keys());
            if (!next.remove(b.ref())) {
                next.add(b.ref());
            }
            studio.selectKeys(next);
        } else if (!studio.keys().contains(b.ref())) {
            studio.selectKeys(List.of(b.ref()));
        }
        drag = new Drag.MoveKeys(e.getX(), studio.keys(), new Object(), 0);
    }

    private <T> void addKey(TimeRows.Row row, Property<T> p, long at) {
        long time = studio.project().snap(at);
        studio.edit("Add " + p.label().toLowerCase(java.util.Locale.ROOT) + " key of " + row.name(),
                b -> Keys.addAt(b, studio.timeline().id(), row.element(), p, time));
        studio.selectKeys(List.of(new Keys.Ref(row.element(), p, time)));
    }

    /** Sets a key of a property at the playhead, or takes it away when there is one. */
    public static <T> void toggleKey(Studio studio, String element, Property<T> p) {
        Timeline t = studio.timelineOf(element, p);
        String what = p.label().toLowerCase(java.util.Locale.ROOT) + " key";
        var track = t.track(element, p);
        if (track != null && track.keyAt(studio.playhead()) != null) {
            studio.edit("Delete " + what, b -> Keys.delete(b, t.id(), List.of(new Keys.Ref(element, p, studio.playhead()))));
        } else {
            studio.edit("Add " + what, b -> Keys.addAt(b, t.id(), element, p, studio.playhead()));
        }
    }

    private void drag(MouseEvent e) {
        switch (drag) {
            case Drag.Scrub s -> studio.seek((long) scale.time(e.getX()));
            case Drag.MoveKeys m -> moveKeys(m, e.getX());
            case Drag.Marquee m -> {
                var area = new Rect(Math.min(m.x(), e.getX()), Math.min(m.y(), e.getY()), Math.abs(e.getX() - m.x()), Math.abs(e.getY() - m.y()));
                drag = new Drag.Marquee(m.x(), m.y(), area, m.add());
                redraw();
            }
            case null -> { }
        }
    }

    private void moveKeys(Drag.MoveKeys m, double x) {
        long first = m.refs().iterator().next().time();
        long by = studio.project().snap((long) (first + (x - m.from()) / scale.perSecond() * 1e6)) - first;
        if (by == m.by() || Math.abs(x - m.from()) < 3 && m.by() == 0) {
            return;
        }
        drag = new Drag.MoveKeys(m.from(), m.refs(), m.merge(), by);
        studio.cancel(m.merge());
        String name = m.refs().size() == 1 ? "Move key" : "Move " + m.refs().size() + " keys";
        Timeline t = studio.timeline();
        studio.edit(name, m.merge(), b -> Keys.shift(b, t.id(), m.refs(), by));
        long lo = m.refs().stream().mapToLong(Keys.Ref::time).min().orElse(0), hi = m.refs().stream().mapToLong(Keys.Ref::time).max().orElse(0);
        long did = Math.max(-lo, Math.min(t.duration() - hi, by));
        studio.selectKeys(m.refs().stream().map(r -> new Keys.Ref(r.element(), r.property(), r.time() + did)).toList());
    }

    private void release(MouseEvent e) {
        if (drag instanceof Drag.Marquee m) {
            if (m.area() == null || m.area().width() + m.area().height() < 4) {
                if (!m.add()) {
                    studio.selectKeys(List.of());
                }
            } else {
                var found = new LinkedHashSet<>(m.add() ? studio.keys() : Set.<Keys.Ref>of());
                beads.stream().filter(b -> m.area().contains(new tundra.core.geometry.Point(b.x(), b.y()))).forEach(b -> found.add(b.ref()));
                studio.selectKeys(found);
            }
        }
        drag = null;
        redraw();
    }

    /** Gives up a drag of keys; says whether there was one. */
    public boolean cancel() {
        boolean any = drag != null;
        if (drag instanceof Drag.MoveKeys m) {
            studio.cancel(m.merge());
            studio.selectKeys(m.refs());
        }
        drag = null;
        redraw();
        return any;
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

    /** Where a time stands, and the row of a property: for the tests' mouse. */
    public tundra.core.geometry.Point place(String element, Property<?> p, long time) {
        return beads.stream().filter(b -> b.ref().element().equals(element) && b.ref().property() == p && b.ref().time() == time)
                .map(b -> new tundra.core.geometry.Point(b.x(), b.y())).findFirst().orElse(null);
    }

    public double xOf(long time) {
        return scale.x(time);
    }
}
