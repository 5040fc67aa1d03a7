package tundra.app.tool;

import javafx.geometry.VPos;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.view.Viewport;
import tundra.app.widget.Palette;
import tundra.core.edit.Snapping;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/** Shows what a move snapped to: lines, and equal gaps with their length. */
final class SnapLines {
    /** How near in px of the screen counts. */
    private static final double NEAR = 6;

    private SnapLines() {}

    /** The pointer's place on the canvas in whole px. */
    static Point whole(Pointer p) {
        return new Point(Math.round(p.at().x()), Math.round(p.at().y()));
    }

    /** What the pointer's place snaps to; nothing with Ctrl. */
    static Snapping.Snap at(Studio studio, Pointer p) {
        Point at = whole(p);
        return p.ctrl() ? Snapping.Snap.NONE : Snapping.around(studio.picture().frame(), studio.groups().inside(), studio.selection(), studio.board()
                .lines())
                .of(new Rect(at.x(), at.y(), 0, 0), NEAR / p.viewport().zoom());
    }

    /** What the end of a drag that draws a box snaps to. */
    static Snapping.Snap corner(Studio studio, Point pressed, Pointer p) {
        return p.ctrl() ? Snapping.Snap.NONE : Snapping.around(studio.picture().frame(), studio.groups().inside(), studio.selection(), studio.board()
                .lines())
                .corner(pressed, whole(p), NEAR / p.viewport().zoom());
    }

    static void draw(SkiaGraphics g, Viewport v, Snapping.Snap snap, boolean dark) {
        Color ink = Palette.of(dark).fitting();
        g.setStroke(ink);
        g.setLineWidth(1);
        g.setLineDashes(4, 3);
        for (Snapping.Line l : snap.lines()) {
            Point a = v.toView(l.vertical() ? new Point(l.at(), l.from()) : new Point(l.from(), l.at()));
            Point b = v.toView(l.vertical() ? new Point(l.at(), l.to()) : new Point(l.to(), l.at()));
            g.strokeLine(crisp(a.x()), crisp(a.y()), crisp(b.x()), crisp(b.y()));
        }
        g.setLineDashes();
        g.setFont(Font.font("JetBrains Mono", 10.5));
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        for (Snapping.Gap gap : snap.gaps()) {
            gap(g, v, gap, ink);
        }
    }

    private static void gap(SkiaGraphics g, Viewport v, Snapping.Gap gap, Color ink) {
        Point a = v.toView(gap.level() ? new Point(gap.from(), gap.across()) : new Point(gap.across(), gap.from()));
        Point b = v.toView(gap.level() ? new Point(gap.to(), gap.across()) : new Point(gap.across(), gap.to()));
        g.setStroke(ink);
        g.strokeLine(crisp(a.x()), crisp(a.y()), crisp(b.x()), crisp(b.y()));
        double tx = gap.level() ? 0 : 4, ty = gap.level() ? 4 : 0;
        for (Point p : new Point[] {a, b}) {
            g.strokeLine(crisp(p.x() - tx), crisp(p.y() - ty), crisp(p.x() + tx), crisp(p.y() + ty));
        }
        String words = Numbers.plain(gap.length(), 1);
        double x = (a.x() + b.x()) / 2, y = (a.y() + b.y()) / 2, w = words.length() * 6.6 + 8;
        g.setFill(ink);
        g.fillRoundRect(x - w / 2 + (gap.level() ? 0 : w / 2 + 5), y - 8 - (gap.level() ? 12 : 0), w, 16, 6, 6);
        g.setFill(Color.WHITE);
        g.fillText(words, x + (gap.level() ? 0 : w / 2 + 5), y - (gap.level() ? 12 : 0));
    }

    private static double crisp(double v) {
        return Math.floor(v) + 0.5;
    }
}
