package tundra.app.tool;

import java.util.List;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.PathsShown;
import tundra.app.studio.Studio;
import tundra.app.view.Overlay;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.edit.Keys;
import tundra.core.edit.TimeText;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Cubic;
import tundra.core.geometry.Point;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Tree;
import tundra.core.motion.Key;
import tundra.core.motion.MotionPath;
import tundra.core.motion.PathTicks;
import tundra.core.motion.Track;

/** Draws the motion path of the selected element: the curve, ticks at equal times, keys with their times, an arrow ahead. */
public final class PathOverlay implements Overlay {
    private final Studio studio;
    private final PathKeys keys;
    private String hover;

    public PathOverlay(Studio studio) {
        this.studio = studio;
        this.keys = new PathKeys(studio);
    }

    @Override
    public void draw(SkiaGraphics g, Viewport v) {
        Palette colors = Palette.of(studio.dark());
        Element one = studio.selected();
        switch (studio.pathsShown()) {
            case ALL -> Tree.each(studio.board().elements(), e -> {
                if (e != one) {
                    quiet(g, v, e, colors);
                }
            });
            case POINTER -> {
                Element e = hover == null ? null : studio.board().find(hover);
                if (e != null && e != one) {
                    quiet(g, v, e, colors);
                }
            }
            case SELECTED -> { }
            case NONE -> {
                return;
            }
        }
        if (studio.pathsShown() == PathsShown.POINTER && one != null && !one.id().equals(hover)) {
            return;
        }
        whole(g, v, one, colors);
    }

    /** The element under the pointer; its path is the one shown when only that is wanted. */
    public void hover(String element) {
        hover = element;
    }

    /** Only the line, so that many paths don't crowd the canvas. */
    private void quiet(SkiaGraphics g, Viewport v, Element e, Palette colors) {
        Track<Point> track = keys.track(e);
        if (track != null && track.keys().size() > 1) {
            g.setGlobalAlpha(0.55);
            line(g, v, track, keys.toCanvas(e), colors);
            g.setGlobalAlpha(1);
        }
    }

    private void whole(SkiaGraphics g, Viewport v, Element e, Palette colors) {
        Track<Point> track = e == null ? null : keys.track(e);
        if (track == null || track.keys().size() < 2) {
            return;
        }
        Affine m = keys.toCanvas(e);
        line(g, v, track, m, colors);
        ticks(g, v, track, m, colors);
        handles(g, v, track, m, colors, e);
        Point labelled = null;
        for (Key<Point> k : track.keys()) {
            Point at = v.toView(m.apply(k.value()));
            boolean here = k.time() == studio.time().playhead();
            boolean chosen = studio.time().keys().contains(new Keys.Ref(e.id(), Properties.POSITION, k.time()));
            g.setFill(here || chosen ? colors.time() : Color.WHITE);
            g.setStroke(chosen && here ? Color.WHITE : colors.time());
            g.setLineWidth(2);
            g.fillRoundRect(at.x() - 5.5, at.y() - 5.5, 11, 11, 5, 5);
            g.strokeRoundRect(at.x() - 5.5, at.y() - 5.5, 11, 11, 5, 5);
            if (labelled == null || labelled.distance(at) > 34) {
                label(g, colors, TimeText.seconds(k.time()), at.plus(new Point(0, 21)));
                labelled = at;
            }
        }
    }

    private static void label(SkiaGraphics g, Palette colors, String text, Point at) {
        g.setFont(Font.font("JetBrains Mono", 11));
        double w = text.length() * 6.7 + 8;
        g.setFill(colors.panel().deriveColor(0, 1, 1, 0.85));
        g.fillRoundRect(at.x() - w / 2, at.y() - 10, w, 15, 6, 6);
        g.setFill(colors.ink1());
        g.setTextAlign(TextAlignment.CENTER);
        g.fillText(text, at.x(), at.y() + 2);
    }

    private static void line(SkiaGraphics g, Viewport v, Track<Point> track, Affine m, Palette colors) {
        var path = new MotionPath(track);
        for (int pass = 0; pass < 2; pass++) {
            g.setStroke(pass == 0 ? Color.color(1, 1, 1, 0.55) : colors.space());
            g.setLineWidth(pass == 0 ? 4 : 2);
            g.beginPath();
            for (int i = 0; i + 1 < track.keys().size(); i++) {
                Cubic c = path.segment(i).through(m);
                Point a = v.toView(c.p0()), h = v.toView(c.p1()), k = v.toView(c.p2()), b = v.toView(c.p3());
                g.moveTo(a.x(), a.y());
                g.bezierCurveTo(h.x(), h.y(), k.x(), k.y(), b.x(), b.y());
            }
            g.stroke();
        }
        int last = track.keys().size() - 2;
        Cubic c = path.segment(last).through(m);
        double angle = Math.toRadians(c.direction(1));
        Point tip = v.toView(c.p3()).plus(new Point(Math.cos(angle), Math.sin(angle)).times(16));
        g.setFill(colors.space());
        double[] x = new double[3], y = new double[3];
        for (int k = 0; k < 3; k++) {
            double a = angle + (k == 0 ? 0 : k == 1 ? 2.5 : -2.5);
            x[k] = tip.x() + 7 * Math.cos(a);
            y[k] = tip.y() + 7 * Math.sin(a);
        }
        g.fillPolygon(x, y, 3);
    }

    private void ticks(SkiaGraphics g, Viewport v, Track<Point> track, Affine m, Palette colors) {
        g.setStroke(colors.space());
        for (PathTicks.Tick t : PathTicks.of(track, studio.project().frameRate())) {
            Point at = v.toView(m.apply(t.at()));
            double a = Math.toRadians(t.direction() + Math.toDegrees(Math.atan2(m.b(), m.a())) + 90), half = t.second() ? 7 : 3;
            g.setLineWidth(t.second() ? 1.6 : 0.7);
            g.strokeLine(at.x() - half * Math.cos(a), at.y() - half * Math.sin(a), at.x() + half * Math.cos(a), at.y() + half * Math.sin(a));
        }
    }

    private void handles(SkiaGraphics g, Viewport v, Track<Point> track, Affine m, Palette colors, Element e) {
        for (Key<Point> k : new MotionPath(track).keys()) {
            if (!studio.time().keys().contains(new Keys.Ref(e.id(), Properties.POSITION, k.time()))) {
                continue;
            }
            Point at = v.toView(m.apply(k.value()));
            for (Point h : List.of(k.in(), k.out())) {
                if (!h.equals(Point.ZERO)) {
                    Point tip = v.toView(m.apply(k.value().plus(h)));
                    g.setStroke(colors.space());
                    g.setLineWidth(1);
                    g.strokeLine(at.x(), at.y(), tip.x(), tip.y());
                    g.setFill(Color.WHITE);
                    g.fillOval(tip.x() - 4, tip.y() - 4, 8, 8);
                    g.strokeOval(tip.x() - 4, tip.y() - 4, 8, 8);
                }
            }
        }
    }
}
