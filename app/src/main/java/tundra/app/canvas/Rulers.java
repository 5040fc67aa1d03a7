package tundra.app.canvas;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.Cursor;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.RulerLine;

/** Rulers along two edges of the view, and the guide lines that are dragged out of them; dragged back, a line goes. */
final class Rulers {
    static final double WIDE = 18;
    private static final double NEAR = 4;
    private static final double[] STEPS = {1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000};
    private final Studio studio;
    private RulerLine dragged;
    private int index;
    private Object merge;
    private Point pointer;

    Rulers(Studio studio) {
        this.studio = studio;
    }

    /** Takes hold of a line, or of a new one when pressed on a ruler; says whether it did. */
    boolean press(Point view, Viewport v, boolean linesToo) {
        boolean left = view.x() < WIDE, top = view.y() < WIDE;
        merge = new Object();
        if (left != top) {
            index = studio.board().lines().size();
            dragged = new RulerLine(left, 0);
            return true;
        }
        if (!linesToo || left) {
            return false;
        }
        index = at(view, v);
        dragged = index < 0 ? null : studio.board().lines().get(index);
        return dragged != null;
    }

    private int at(Point view, Viewport v) {
        List<RulerLine> lines = studio.board().lines();
        for (int i = lines.size() - 1; i >= 0; i--) {
            RulerLine l = lines.get(i);
            double d = l.upright() ? v.toView(new Point(l.at(), 0)).x() - view.x() : v.toView(new Point(0, l.at())).y() - view.y();
            if (Math.abs(d) <= NEAR) {
                return i;
            }
        }
        return -1;
    }

    boolean dragging() {
        return dragged != null;
    }

    Cursor cursor(Point view, Viewport v, boolean linesToo) {
        if (view.x() < WIDE || view.y() < WIDE) {
            return view.x() < WIDE ? Cursor.H_RESIZE : Cursor.V_RESIZE;
        }
        int i = linesToo ? at(view, v) : -1;
        return i < 0 ? null : studio.board().lines().get(i).upright() ? Cursor.H_RESIZE : Cursor.V_RESIZE;
    }

    void drag(Point view, Viewport v) {
        Point at = v.toCanvas(view);
        boolean gone = dragged.upright() ? view.x() < WIDE : view.y() < WIDE;
        var next = new RulerLine(dragged.upright(), Math.rint(dragged.upright() ? at.x() : at.y()));
        pointer = view;
        studio.cancel(merge);
        var lines = new ArrayList<>(studio.board().lines());
        if (index < lines.size()) {
            lines.remove(index);
        }
        if (!gone) {
            lines.add(Math.min(index, lines.size()), next);
        }
        studio.edit(gone ? "Take away ruler line" : "Place ruler line", merge, b -> b.withLines(lines));
    }

    void release() {
        dragged = null;
    }

    boolean cancel() {
        if (dragged == null) {
            return false;
        }
        studio.cancel(merge);
        dragged = null;
        return true;
    }

    void move(Point view) {
        pointer = view;
    }

    void lines(SkiaGraphics g, Viewport v, double w, double h) {
        g.setStroke(Palette.of(studio.dark()).fitting().deriveColor(0, 1, 1, 0.8));
        g.setLineWidth(1);
        for (RulerLine l : studio.board().lines()) {
            Point p = v.toView(new Point(l.at(), l.at()));
            if (l.upright()) {
                g.strokeLine(Math.floor(p.x()) + 0.5, 0, Math.floor(p.x()) + 0.5, h);
            } else {
                g.strokeLine(0, Math.floor(p.y()) + 0.5, w, Math.floor(p.y()) + 0.5);
            }
        }
    }

    void draw(SkiaGraphics g, Viewport v, double w, double h) {
        Palette c = Palette.of(studio.dark());
        g.setFill(c.panel());
        g.fillRect(0, 0, w, WIDE);
        g.fillRect(0, 0, WIDE, h);
        g.setStroke(c.line());
        g.setLineWidth(1);
        g.strokeLine(0, WIDE - 0.5, w, WIDE - 0.5);
        g.strokeLine(WIDE - 0.5, 0, WIDE - 0.5, h);
        double step = STEPS[STEPS.length - 1];
        for (double s : STEPS) {
            if (s * v.zoom() >= 52) {
                step = s;
                break;
            }
        }
        g.setFont(Font.font("JetBrains Mono", 9));
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.TOP);
        axis(g, v, w, step, true, c);
        axis(g, v, h, step, false, c);
        g.setFill(c.panel());
        g.fillRect(0, 0, WIDE - 1, WIDE - 1);
        if (pointer != null) {
            g.setStroke(c.fitting());
            g.strokeLine(Math.floor(pointer.x()) + 0.5, 0, Math.floor(pointer.x()) + 0.5, WIDE);
            g.strokeLine(0, Math.floor(pointer.y()) + 0.5, WIDE, Math.floor(pointer.y()) + 0.5);
        }
    }

    private static void axis(SkiaGraphics g, Viewport v, double length, double step, boolean level, Palette c) {
        Point from = v.toCanvas(Point.ZERO), to = v.toCanvas(new Point(length, length));
        double a = level ? from.x() : from.y(), b = level ? to.x() : to.y();
        double small = step / 5;
        for (double at = Math.floor(a / small) * small; at <= b; at += small) {
            Point p = v.toView(new Point(at, at));
            double x = Math.floor(level ? p.x() : p.y()) + 0.5;
            boolean whole = Math.abs(at / step - Math.rint(at / step)) < 1e-6;
            g.setStroke(whole ? c.ink3() : c.line());
            double from1 = whole ? 0 : WIDE - 6;
            if (level) {
                g.strokeLine(x, from1, x, WIDE - 1);
            } else {
                g.strokeLine(from1, x, WIDE - 1, x);
            }
            if (whole) {
                g.setFill(c.ink2());
                String words = Numbers.plain(Math.rint(at / step) * step, 0);
                if (level) {
                    g.fillText(words, x + 3, 2);
                } else {
                    g.save();
                    g.translate(2, x - 3);
                    g.rotate(-90);
                    g.fillText(words, 0, 0);
                    g.restore();
                }
            }
        }
    }
}
