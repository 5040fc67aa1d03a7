package tundra.app.timeline;

import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.paint.SkiaGraphics;
import tundra.app.widget.Palette;
import tundra.core.model.Drawing;
import tundra.core.model.Flipbook;

/** Draws a flipbook's drawings on its row: a block for each as long as it is held, paler where a loop goes round again. */
final class BookPainter {
    private BookPainter() {}

    static void draw(SkiaGraphics g, Flipbook b, TimeScale scale, long duration, double y, double height, double width, Palette colors) {
        if (b.drawings().isEmpty()) {
            return;
        }
        int period = b.end() - b.start();
        boolean loops = b.ending() == Flipbook.Ending.LOOP;
        // closer together than this they are one bar
        double step = scale.x(b.timeOf(period)) - scale.x(0);
        for (long turn = 0; turn == 0 || loops; turn++) {
            double from = scale.x(b.timeOf(b.start() + turn * period));
            if (from > Math.min(width, scale.x(duration))) {
                break;
            }
            if (from + step < scale.left()) {
                continue;
            }
            Color fill = colors.time().deriveColor(0, 1, 1, turn == 0 ? 0.30 : 0.14);
            if (step / b.drawings().size() < 3) {
                g.setFill(fill);
                g.fillRoundRect(from, y, Math.min(step, scale.x(duration) - from) - 1, height, 4, 4);
            } else {
                blocks(g, b, scale, duration, turn * period, y, height, fill, turn == 0 ? colors.ink1() : colors.ink3());
            }
        }
        if (b.ending() == Flipbook.Ending.HOLD) {
            g.setFill(colors.time().deriveColor(0, 1, 1, 0.10));
            double a = scale.x(b.timeOf(b.end()));
            g.fillRect(a, y + height / 2 - 2, Math.max(0, scale.x(duration) - a), 4);
        }
    }

    private static void blocks(SkiaGraphics g, Flipbook b, TimeScale scale, long duration, long turn, double y, double height, Color fill,
            Color ink) {
        g.setFont(Font.font("JetBrains Mono", 10));
        g.setTextAlign(TextAlignment.LEFT);
        for (int i = 0; i < b.drawings().size(); i++) {
            Drawing d = b.drawings().get(i);
            long start = b.timeOf(d.start() + turn), end = Math.min(duration, b.timeOf(d.end() + turn));
            if (start >= duration) {
                return;
            }
            double x = scale.x(start), w = Math.max(1, scale.x(end) - x - 1);
            g.setFill(fill);
            g.fillRoundRect(x, y, w, height, 4, 4);
            String number = String.valueOf(i + 1);
            if (w > 5 + 6 * number.length()) {
                g.setFill(ink);
                g.fillText(number, x + 3, y + height / 2);
            }
        }
    }
}
