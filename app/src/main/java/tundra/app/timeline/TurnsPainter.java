package tundra.app.timeline;

import javafx.scene.paint.Color;
import tundra.app.language.Language;
import tundra.app.paint.SkiaGraphics;
import tundra.app.widget.Palette;
import tundra.core.frame.Turns;
import tundra.core.geometry.Numbers;
import tundra.core.model.Clock;

/** What an instance of a motif plays, as blocks in its row: blue by its own clock, green in step with the timeline; what is never seen is hatched. */
final class TurnsPainter {
    private static final double ROUND = 6, HATCH = 7;

    private TurnsPainter() {}

    /** @param most the right edge of the view */
    static void draw(SkiaGraphics g, Turns t, Clock c, TimeScale scale, double top, double tall, double left, double most, Palette colors) {
        Color ink = c.own() ? colors.interaction() : colors.space();
        int n = 0;
        for (Turns.Turn turn : t.turns()) {
            n++;
            double a = scale.x(turn.from()), b = scale.x(turn.to()) - 1.5;
            if (b < left - 4 || a > most) {
                continue;
            }
            g.setFill(ink.deriveColor(0, 1, 1, 0.18));
            double from = Math.max(left - 10, a), to = Math.min(most + 10, b);
            g.fillRoundRect(from, top, Math.max(1, to - from), tall, ROUND, ROUND);
            if (n == 1 && c.phase() != 0) {
                g.setFill(ink);
                g.fillRect(Math.max(left, a), top, 3, tall);
            }
            String words = n == 1 && c.repeat() == Clock.Repeat.HOLD ? "one frame" : n == 1 && c.phase() != 0 ? "from "
                    + Numbers.plain(c.phase() / 1e6, 2) + " s" : "turn " + n;
            if (to - from > 48) {
                g.setFill(ink);
                g.fillText(Language.of(words), Math.max(left + 8, a + 8), top + tall / 2);
            }
        }
        if (t.never() != null) {
            never(g, scale.x(t.never().from()), Math.min(scale.x(t.never().to()), most), top, tall, colors);
        }
    }

    private static void never(SkiaGraphics g, double a, double b, double top, double tall, Palette colors) {
        g.setStroke(colors.ink3());
        g.setLineWidth(1);
        for (double x = a; x < b; x += HATCH) {
            double high = Math.min(tall, b - x);
            g.strokeLine(x, top + tall, x + high, top + tall - high);
        }
        if (b - a > 70) {
            g.setFill(colors.ink2());
            g.fillText(Language.of("never seen"), a + 8, top + tall / 2);
        }
    }
}
