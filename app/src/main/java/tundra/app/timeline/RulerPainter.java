package tundra.app.timeline;

import javafx.scene.text.TextAlignment;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.Studio;
import tundra.app.widget.Palette;
import tundra.core.edit.Keys;
import tundra.core.geometry.Numbers;
import tundra.core.model.Marker;
import tundra.core.model.PlacedSound;
import tundra.core.model.Span;
import tundra.core.model.Timeline;

/**
 * Draws the ruler (what reaches to its left lies beneath the buttons): markers and the part that plays again above, ticks, and the sounds' waves
 * below.
 */
final class RulerPainter {
    /** The height of the band with the markers. */
    static final double BAND = 17;
    static final double HEIGHT = 50;
    private final Studio studio;
    private final SoundWaves waves;

    RulerPainter(Studio studio, SoundWaves waves) {
        this.studio = studio;
        this.waves = waves;
    }

    void draw(SkiaGraphics g, TimeScale scale, double w, Palette colors) {
        Timeline t = studio.timeline();
        g.setFill(colors.panel());
        g.fillRect(TimelinePainter.HEAD, 0, w - TimelinePainter.HEAD, HEIGHT);
        double end = scale.x(t.duration());
        g.setFill(colors.bar());
        g.fillRect(end, 0, Math.max(0, w - end), HEIGHT);
        range(g, t, scale, colors);
        for (PlacedSound s : t.sounds()) {
            // below the numbers, so that none is struck through
            waves.draw(g, studio.project(), s, t.duration(), scale, HEIGHT - 4, 4, colors.interaction().deriveColor(0, 1, 1, 0.35));
        }
        ticks(g, t, scale, w, colors);
        CueTags.draw(g, studio, scale, colors);
        t.markers().forEach(m -> marker(g, m, m.equals(studio.time().marker()), scale, colors));
        stretched(g, scale, colors);
    }

    private static void range(SkiaGraphics g, Timeline t, TimeScale scale, Palette colors) {
        Span r = t.range();
        if (r != null) {
            double a = scale.x(r.from()), b = scale.x(r.to());
            g.setFill(colors.timeSoft());
            g.fillRect(a, 0, b - a, HEIGHT);
            g.setFill(colors.time());
            g.fillRect(a, 0, b - a, 3);
            g.fillRoundRect(a - 2, 0, 5, BAND, 3, 3);
            g.fillRoundRect(b - 3, 0, 5, BAND, 3, 3);
        }
    }

    private static void marker(SkiaGraphics g, Marker m, boolean chosen, TimeScale scale, Palette colors) {
        double x = scale.x(m.time()), w = width(m);
        g.setFill(colors.fitting().deriveColor(0, 1, 1, chosen ? 0.42 : 0.16));
        g.fillPolygon(new double[] {x, x + w, x + w - 5, x + w, x}, new double[] {1, 1, 8, 15, 15}, 5);
        g.setFill(colors.fitting());
        g.fillRect(x, 1, 2, HEIGHT);
        g.setFont(TimelinePainter.text(11, false));
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(m.name(), x + 7, 8.5);
    }

    static double width(Marker m) {
        return 20 + m.name().length() * 5.8;
    }

    /** The bar over several chosen keys, whose ends stretch them. */
    private void stretched(SkiaGraphics g, TimeScale scale, Palette colors) {
        long[] span = span(studio);
        if (span != null) {
            double a = scale.x(span[0]), b = scale.x(span[1]);
            g.setFill(colors.time().deriveColor(0, 1, 1, 0.35));
            g.fillRect(a, HEIGHT - 5, b - a, 4);
            g.setFill(colors.time());
            g.fillRoundRect(a - 4, HEIGHT - 9, 8, 9, 4, 4);
            g.fillRoundRect(b - 4, HEIGHT - 9, 8, 9, 4, 4);
        }
    }

    /** From when to when the chosen keys reach; null unless they stand at several times. */
    static long[] span(Studio studio) {
        long lo = Long.MAX_VALUE, hi = Long.MIN_VALUE;
        for (Keys.Ref r : studio.time().keys()) {
            lo = Math.min(lo, r.time());
            hi = Math.max(hi, r.time());
        }
        return hi > lo ? new long[] {lo, hi} : null;
    }

    private static void ticks(SkiaGraphics g, Timeline t, TimeScale scale, double w, Palette colors) {
        double step = stepFor(scale.perSecond());
        g.setFont(TimelinePainter.mono(11));
        g.setTextAlign(TextAlignment.LEFT);
        g.setLineWidth(1);
        for (long i = (long) Math.floor(scale.time(TimelinePainter.HEAD) / 1e6 / step * 5); scale.x(i * step / 5 * 1e6) < w; i++) {
            if (i < 0 || i * step / 5 * 1e6 > t.duration() + 1) {
                continue;
            }
            double x = Math.floor(scale.x(i * step / 5 * 1e6)) + 0.5;
            boolean major = i % 5 == 0;
            g.setStroke(major ? colors.ink3() : colors.line());
            g.strokeLine(x, HEIGHT - (major ? 16 : 7), x, HEIGHT);
            if (major) {
                g.setFill(colors.ink2());
                String words = Numbers.plain(i / 5 * step, 3) + "s";
                // the last one stands before its tick where it would be cut
                boolean room = x + 6 + words.length() * 6.8 < w;
                g.setTextAlign(room ? TextAlignment.LEFT : TextAlignment.RIGHT);
                g.fillText(words, room ? x + 4 : x - 4, HEIGHT - 14);
            }
        }
    }

    private static double stepFor(double perSecond) {
        for (double s : new double[] {0.1, 0.2, 0.5, 1, 2, 5, 10, 30, 60, 300}) {
            if (s * perSecond >= 60) {
                return s;
            }
        }
        return 600;
    }
}
