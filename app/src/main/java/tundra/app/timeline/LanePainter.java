package tundra.app.timeline;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import tundra.app.widget.Palette;
import tundra.core.edit.Keys;
import tundra.core.frame.LaneCurve;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Draws a lane: the value as a curve, or as a band of colour, with the keys as beads on it. */
final class LanePainter {
    private static final double PAD = 9;

    private LanePainter() {}

    /** A key's bead. */
    record Bead(Keys.Ref ref, double x, double y) {}

    static <T> List<Bead> draw(GraphicsContext g, Timeline t, TimeRows.Row row, Property<T> p, TimeScale scale, double top, double right,
            boolean selected, Palette colors) {
        Track<T> track = t.track(row.element(), p);
        int step = 2;
        int count = (int) Math.max(2, (right - scale.left()) / step + 2);
        LaneCurve curve = LaneCurve.of(t, row.element(), p, scale.time(scale.left() - 14), step / scale.perSecond() * 1e6, count);
        if (p.standard() instanceof tundra.core.model.Paint) {
            band(g, curve, scale, top, row.height(), step, count);
        } else {
            for (int part = curve.parts().length - 1; part >= 0; part--) {
                Color ink = part == 0 ? (selected ? colors.space() : colors.ink2()) : colors.ink3();
                g.setStroke(ink);
                g.setLineWidth(part == 0 ? 1.5 : 1);
                g.beginPath();
                for (int i = 0; i < count; i++) {
                    double x = scale.left() - 14 + i * step, y = height(curve, part, curve.parts()[part][i], top, row.height());
                    if (i == 0) {
                        g.moveTo(x, y);
                    } else {
                        g.lineTo(x, y);
                    }
                }
                g.stroke();
            }
        }
        var beads = new ArrayList<Bead>();
        for (Key<T> k : track.keys()) {
            double y = p.standard() instanceof tundra.core.model.Paint ? top + row.height() / 2
                    : height(curve, 0, p.type().parts(k.value())[0], top, row.height());
            beads.add(new Bead(new Keys.Ref(row.element(), p, k.time()), scale.x(k.time()), y));
        }
        return beads;
    }

    private static double height(LaneCurve c, int part, double value, double top, double h) {
        return top + h - PAD - c.height(part, value) * (h - 2 * PAD);
    }

    private static void band(GraphicsContext g, LaneCurve c, TimeScale scale, double top, double h, int step, int count) {
        for (int i = 0; i < count; i++) {
            g.setFill(Color.rgb((int) c.parts()[0][i], (int) c.parts()[1][i], (int) c.parts()[2][i], c.parts()[3][i] / 255));
            g.fillRect(scale.left() - 14 + i * step, top + h / 2 - 5, step + 0.5, 10);
        }
    }

    static void bead(GraphicsContext g, Bead b, boolean chosen, boolean here, Palette colors) {
        g.setFill(chosen || here ? colors.time() : colors.field());
        g.setStroke(colors.time());
        g.setLineWidth(chosen ? 2.5 : 1.6);
        double r = chosen ? 5.2 : 4.6;
        g.fillOval(b.x - r, b.y - r, 2 * r, 2 * r);
        if (chosen) {
            g.setStroke(colors.ink1());
        }
        g.strokeOval(b.x - r, b.y - r, 2 * r, 2 * r);
    }
}
