package tundra.app.adapt;

import javafx.geometry.VPos;
import javafx.scene.Cursor;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.language.Language;
import tundra.app.paint.SkiaCanvas;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.widget.Palette;
import tundra.core.fit.Layouts;
import tundra.core.geometry.Point;
import tundra.core.model.Layout;
import tundra.core.model.Scene;

/** The widths from the narrowest on: a stretch for each layout, which a press works on, and breakpoints that are dragged. */
public final class WidthRuler extends Region {
    private static final double HEIGHT = 54, LEFT = 16, GRIP = 7;
    /** Below the names, where a width is tried. */
    private static final double BELOW = 44;
    private static final int LEAST = 1600, MORE = 300, TICK = 100;
    private final Studio studio;
    private final SkiaCanvas canvas = new SkiaCanvas();
    private int grabbed = -1;
    private boolean trying;
    private Object merge;

    public WidthRuler(Studio studio) {
        this.studio = studio;
        setId("width-ruler");
        getStyleClass().add("width-ruler");
        getChildren().add(canvas);
        setMinHeight(HEIGHT);
        setPrefHeight(HEIGHT);
        setMaxHeight(HEIGHT);
        setMinWidth(0);
        setOnMouseMoved(e -> setCursor(breakpoint(e.getX()) >= 0 ? Cursor.H_RESIZE : Cursor.DEFAULT));
        setOnMousePressed(this::press);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(e -> grabbed = -1);
        studio.listen(what -> {
            if (studio.desk() == Desk.ADAPT && !studio.time().onlyGoesOn(what)) {
                paint();
            }
        });
    }

    @Override
    protected void layoutChildren() {
        canvas.setSize(getWidth(), getHeight());
        paint();
    }

    /** The width that is shown at the right end, in px. */
    private int end() {
        int most = (int) studio.base().size().x();
        for (Layout l : studio.base().layouts()) {
            most = Math.max(most, Math.max(l.from(), l.to() == Layout.WIDEST ? l.from() : l.to()));
        }
        return studio.place() instanceof Scene ? Math.max(LEAST, most + MORE) : 2 * most;
    }

    private double x(double width) {
        return LEFT + width / end() * (getWidth() - 2 * LEFT);
    }

    private int width(double x) {
        return (int) Math.round((x - LEFT) / (getWidth() - 2 * LEFT) * end());
    }

    /** The breakpoint at a place; -1 for none. */
    private int breakpoint(double x) {
        for (Layouts.Range r : Layouts.ranges(studio.base())) {
            if (r.from() > 0 && Math.abs(x(r.from()) - x) <= GRIP) {
                return r.from();
            }
        }
        return -1;
    }

    private void press(MouseEvent e) {
        grabbed = breakpoint(e.getX());
        merge = new Object();
        trying = grabbed < 0 && e.getY() > BELOW;
        if (trying) {
            tryAt(e.getX());
        } else if (grabbed < 0) {
            int at = Math.max(0, width(e.getX()));
            Layout l = Layouts.at(studio.base(), at);
            studio.layouts().setLayout(l == null ? null : l.id());
        }
    }

    private void drag(MouseEvent e) {
        if (trying) {
            tryAt(e.getX());
        }
        if (grabbed < 0) {
            return;
        }
        // whole tens, with Shift any px
        int wanted = e.isShiftDown() ? width(e.getX()) : Math.round(width(e.getX()) / 10f) * 10, was = grabbed;
        if (wanted != was) {
            studio.editBase("Move breakpoint", merge, b -> Layouts.breakpoint(b, was, wanted));
            grabbed = Layouts.ranges(studio.base()).stream().anyMatch(r -> r.from() == wanted) ? wanted : was;
        }
    }

    /** A width of a scene is tried at the height that its layout was drawn. */
    private void tryAt(double x) {
        int wide = Math.clamp(width(x), 1, end());
        Layout l = Layouts.at(studio.base(), wide);
        studio.layouts().tryAt(new Point(wide, (l == null ? studio.base().size() : l.size()).y()));
    }

    private void paint() {
        if (getWidth() <= 0) {
            return;
        }
        canvas.paint(this::painted);
    }

    private void painted(SkiaGraphics g) {
        Palette c = Palette.of(studio.dark());
        g.setFill(c.panel());
        g.fillRect(0, 0, getWidth(), getHeight());
        Layout here = studio.layout();
        g.setTextBaseline(VPos.CENTER);
        for (Layouts.Range r : Layouts.ranges(studio.base())) {
            double a = x(r.from()), b = x(Math.min(r.to(), end()));
            boolean on = here == null ? r.layout() == null : r.layout() != null && r.layout().id().equals(here.id());
            g.setFill(c.fitting().deriveColor(0, 1, 1, on ? 0.38 : 0.14));
            g.fillRoundRect(a + 1, 6, Math.max(1, b - a - 2), 20, 8, 8);
            g.setFill(c.ink1());
            g.setFont(Font.font("Figtree SemiBold", 11.5));
            g.setTextAlign(TextAlignment.LEFT);
            g.fillText(r.layout() == null ? Language.of("as drawn") : r.layout().name(), a + 9, 16, Math.max(1, b - a - 14));
        }
        g.setFont(Font.font("JetBrains Mono", 10));
        g.setStroke(c.line());
        g.setLineWidth(1);
        for (int w = 0; w <= end(); w += TICK) {
            double x = Math.rint(x(w)) + 0.5;
            g.strokeLine(x, 44, x, 54);
            if (w % (2 * TICK) == 0 && x + 30 < getWidth()) {
                g.setFill(c.ink2());
                g.setTextAlign(TextAlignment.LEFT);
                g.fillText(Integer.toString(w), x + 3, 49);
            }
        }
        for (Layouts.Range r : Layouts.ranges(studio.base())) {
            if (r.from() > 0) {
                double x = x(r.from());
                g.setFill(c.fitting());
                g.fillRect(x - 1, 2, 2, 44);
                g.fillRoundRect(x - 18, 28, 36, 15, 15, 15);
                g.setFill(c.field());
                g.setTextAlign(TextAlignment.CENTER);
                g.fillText(Integer.toString(r.from()), x, 35.5);
            }
        }
        double at = x(studio.board().size().x());
        g.setFill(c.time());
        g.fillPolygon(new double[] {at - 6, at + 6, at}, new double[] {HEIGHT, HEIGHT, HEIGHT - 9}, 3);
        g.fillRect(at - 1, 2, 2, HEIGHT - 2);
    }
}
