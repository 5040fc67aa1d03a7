package tundra.app.timeline;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.geometry.VPos;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.paint.Dots;
import tundra.app.paint.SkiaGraphics;
import tundra.app.widget.Palette;
import tundra.core.edit.Keys;
import tundra.core.frame.LaneCurve;
import tundra.core.frame.LaneRanges;
import tundra.core.geometry.Numbers;
import tundra.core.model.Paint;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.CubicEasing;
import tundra.core.motion.Key;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;

/** Draws a lane: the value as a curve, or as a band of colour, with the keys as beads on it. A tall lane shows every part's beads. */
final class LanePainter {
    /** From this height on a lane has room for the names of its curves. */
    private static final double NAMED = 30;
    private static final Font SMALL = Font.font("JetBrains Mono", 9.5);
    private static final double PAD = 9;
    private static final double TALL_PAD = 22;
    private static final int STEP = 2;

    private LanePainter() {}

    /** A key's bead on the curve of one of its numbers. */
    record Bead(Keys.Ref ref, int part, double x, double y) {}

    /** A handle of the easing that leads from a key on: its first or its second. */
    record Grip(Keys.Ref ref, int part, boolean second, double x, double y) {}

    /** Where the values of a lane stand: {@code top} px the greatest, {@code bottom} px the least. */
    record Scale(double top, double bottom, double min, double max) {
        double y(double value) {
            return max - min < 1e-9 ? (top + bottom) / 2 : bottom - (value - min) / (max - min) * (bottom - top);
        }

        double value(double y) {
            return min + (bottom - y) / (bottom - top) * (max - min);
        }
    }

    /** What was drawn and can be taken hold of; the scales are those of the parts. */
    record Drawn(List<Bead> beads, List<Grip> grips, List<Scale> scales) {}

    static <T> Drawn draw(SkiaGraphics g, Timeline t, TimeRows.Row row, Property<T> p, MotionPath walked, LaneRanges ranges, TimeScale scale,
            double top, double right, boolean selected, Set<Keys.Ref> chosen, Palette colors) {
        Track<T> track = t.track(row.element(), p);
        int count = (int) Math.max(2, (right - scale.left()) / STEP + 2);
        LaneCurve curve = LaneCurve.of(t, row.element(), p, walked, ranges, scale.time(scale.left() - 14), STEP / scale.perSecond() * 1e6, count);
        boolean band = p.standard() instanceof Paint;
        var scales = scales(curve, row, top);
        if (band) {
            band(g, curve, scale, top, row.height(), count);
        } else {
            if (row.editor()) {
                grid(g, scales.getFirst(), scale.left(), right, p, colors);
            }
            for (int part = curve.parts().length - 1; part >= 0; part--) {
                line(g, curve.parts()[part], scales.get(part), scale, count, part == 0 ? selected ? colors.space() : colors.ink2() : colors.ink3(),
                        part == 0 ? 1.5 : 1);
            }
            names(g, p, curve, scales, scale, row, colors);
        }
        var beads = new ArrayList<Bead>();
        var grips = new ArrayList<Grip>();
        // with one easing for the whole way a key only shapes it: its bead stands where the curve passes at its time
        MotionPath path = track.shape().whole() == null ? null : walked;
        double from = scale.time(scale.left() - 30), to = scale.time(right + 30);
        for (int i = Math.max(0, track.before((long) from)); i < track.keys().size() && track.keys().get(i).time() <= to; i++) {
            Key<T> k = track.keys().get(i);
            var ref = new Keys.Ref(row.element(), p, k.time());
            double[] parts = p.type().parts(path == null ? k.value() : p.cast(path.at(k.time())));
            for (int part = 0; part < (row.editor() && !band ? parts.length : 1); part++) {
                double y = band ? top + row.height() / 2 : scales.get(part).y(parts[part]);
                beads.add(new Bead(ref, part, scale.x(k.time()), y));
                if (row.editor() && !band && chosen.contains(ref) && i + 1 < track.keys().size()) {
                    grips(grips, ref, part, k, track.keys().get(i + 1), p, scales.get(part), scale);
                }
            }
        }
        return new Drawn(beads, grips, scales);
    }

    /** The scale of one of a lane's parts. */
    static <T> Scale scaleOf(Timeline t, TimeRows.Row row, Property<T> p, MotionPath walked, LaneRanges ranges, int part, double top) {
        return scales(LaneCurve.of(t, row.element(), p, walked, ranges, 0, 1, 1), row, top).get(part);
    }

    private static List<Scale> scales(LaneCurve curve, TimeRows.Row row, double top) {
        double pad = row.editor() ? TALL_PAD : PAD, high = top + pad, low = top + row.height() - pad;
        var out = new ArrayList<Scale>();
        for (int part = 0; part < curve.parts().length; part++) {
            // y grows downwards on the canvas, and so it does in its lane
            boolean down = row.property() == Properties.POSITION_Y || row.property() == Properties.POSITION && part == 1;
            out.add(new Scale(down ? low : high, down ? high : low, curve.min()[part], curve.max()[part]));
        }
        return out;
    }

    /** Which curve is which, at the left end of each: a lane of several numbers is as tall as two. */
    private static void names(SkiaGraphics g, Property<?> p, LaneCurve curve, List<Scale> scales, TimeScale scale, TimeRows.Row row, Palette colors) {
        if (curve.parts().length < 2 || row.height() < NAMED) {
            return;
        }
        g.setFont(SMALL);
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.CENTER);
        double before = Double.NaN;
        for (int part = 0; part < curve.parts().length && part < p.parts().size(); part++) {
            Scale s = scales.get(part);
            double low = Math.min(s.top(), s.bottom()), high = Math.max(s.top(), s.bottom());
            double y = Numbers.clamp(s.y(curve.parts()[part][3]), low + 4, high - 4);
            // where both begin at one height they stand beside each other
            boolean beside = Math.abs(y - before) < 10;
            g.setFill(part == 0 ? colors.ink1() : colors.ink2());
            g.fillText(p.parts().get(part), scale.left() + 3 + (beside ? 12 : 0), y - 6);
            before = y;
        }
    }

    private static void line(SkiaGraphics g, double[] values, Scale s, TimeScale scale, int count, Color ink, double width) {
        g.setStroke(ink);
        g.setLineWidth(width);
        g.beginPath();
        double low = Math.min(s.top(), s.bottom()) - PAD, high = Math.max(s.top(), s.bottom()) + PAD;
        // a point only where the curve leaves the line that it set out on: most of a lane is straight
        double fromX = 0, fromY = 0, slope = Double.NaN, beforeX = 0, beforeY = 0;
        for (int i = 0; i < count; i++) {
            double x = scale.left() - 14 + i * STEP, y = Numbers.clamp(s.y(values[i]), low, high);
            if (i == 0) {
                g.moveTo(x, y);
                fromX = x;
                fromY = y;
            } else if (Double.isNaN(slope)) {
                slope = (y - fromY) / (x - fromX);
            } else if (Math.abs(fromY + slope * (x - fromX) - y) > 0.2) {
                g.lineTo(beforeX, beforeY);
                fromX = beforeX;
                fromY = beforeY;
                slope = (y - fromY) / (x - fromX);
            }
            beforeX = x;
            beforeY = y;
        }
        g.lineTo(beforeX, beforeY);
        g.stroke();
    }

    private static void grid(SkiaGraphics g, Scale s, double left, double right, Property<?> p, Palette colors) {
        g.setFont(Font.font("JetBrains Mono", 10));
        g.setTextAlign(TextAlignment.RIGHT);
        g.setLineWidth(1);
        for (double part : s.max() - s.min() < 1e-9 ? new double[] {0} : new double[] {0, 0.5, 1}) {
            double v = s.min() + (s.max() - s.min()) * part, y = Math.floor(s.y(v)) + 0.5;
            g.setStroke(colors.line());
            g.strokeLine(left - 14, y, right, y);
            g.setFill(colors.ink3());
            g.fillText(Numbers.plain(v * p.shown(), 1) + p.unit(), right - 8, y - 7);
        }
    }

    private static <T> void grips(List<Grip> out, Keys.Ref ref, int part, Key<T> a, Key<T> b, Property<T> p, Scale s, TimeScale scale) {
        double from = p.type().parts(a.value())[part], to = p.type().parts(b.value())[part];
        if (a.easing() instanceof CubicEasing c && Math.abs(to - from) > 1e-9) {
            double d = b.time() - a.time();
            out.add(new Grip(ref, part, false, scale.x(a.time() + c.x1() * d), s.y(from + c.y1() * (to - from))));
            out.add(new Grip(ref, part, true, scale.x(a.time() + c.x2() * d), s.y(from + c.y2() * (to - from))));
        }
    }

    static void grip(SkiaGraphics g, Grip h, List<Bead> beads, Palette colors) {
        g.setStroke(colors.ink3());
        g.setLineWidth(1);
        beads.stream().filter(b -> b.part() == h.part() && b.ref().element().equals(h.ref().element()) && b.ref().property() == h.ref().property())
                .filter(b -> h.second() ? b.ref().time() > h.ref().time() : b.ref().time() == h.ref().time()).findFirst()
                .ifPresent(b -> g.strokeLine(b.x(), b.y(), h.x(), h.y()));
        g.setFill(colors.field());
        g.setStroke(colors.ink1());
        g.fillRect(h.x() - 3.5, h.y() - 3.5, 7, 7);
        g.strokeRect(h.x() - 3.5, h.y() - 3.5, 7, 7);
    }

    private static void band(SkiaGraphics g, LaneCurve c, TimeScale scale, double top, double h, int count) {
        for (int i = 0; i < count; i++) {
            g.setFill(Color.rgb((int) c.parts()[0][i], (int) c.parts()[1][i], (int) c.parts()[2][i], c.parts()[3][i] / 255));
            g.fillRect(scale.left() - 14 + i * STEP, top + h / 2 - 5, STEP + 0.5, 10);
        }
    }

    /** @param own whether it is of the layout that is worked on */
    static void bead(SkiaGraphics g, Bead b, boolean chosen, boolean here, boolean own, Palette colors) {
        Color ink = own ? colors.fitting() : colors.time();
        Dots.round(g, b.x, b.y, chosen ? 5.2 : 4.6, chosen || here ? ink : colors.field(), chosen ? colors.ink1() : ink, chosen ? 2.5 : 1.6);
    }
}
