package tundra.app.flip;

import io.github.humbleui.skija.Image;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import tundra.app.language.Language;
import tundra.app.paint.SkiaGraphics;
import tundra.app.studio.OpenBook;
import tundra.app.studio.Studio;
import tundra.app.widget.Palette;
import tundra.core.flip.OnionSkin;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.geometry.Rect;
import tundra.core.model.Drawing;
import tundra.core.model.Flipbook;

/** Draws the strip: a cell for each drawing as wide as it is held, and below them what the onion skin shows. */
final class StripPainter {
    private static final Font SMALL = Font.font("JetBrains Mono", 10.5);
    private static final Font WORDS = Font.font("Figtree", 12);
    private final Studio studio;
    private final Thumbs thumbs;
    private Flipbook shownBook;
    private Thumbs.Show shown;

    StripPainter(Studio studio, Thumbs thumbs) {
        this.studio = studio;
        this.thumbs = thumbs;
    }

    /**
     * @param insert the place among the drawings where dragged ones would go; -1 for none
     */
    void draw(SkiaGraphics g, StripLayout at, double width, int insert) {
        OpenBook open = studio.book();
        // while none is worked on, the one that could be
        Flipbook book = open.is() ? open.book() : open.last() == null ? null : (Flipbook) open.last().content();
        Palette c = Palette.of(studio.dark());
        if (book == null) {
            return;
        }
        Thumbs.Show show = show(book);
        List<Drawing> all = book.drawings();
        int first = Math.max(0, at.frameAt(0)), now = open.current();
        for (int i = 0; i < all.size(); i++) {
            Drawing d = all.get(i);
            double x0 = at.x(d.start()), x1 = at.x(d.end());
            if (x1 < -4) {
                continue;
            }
            if (x0 > width + 4) {
                break;
            }
            gap(g, c, at, i == 0 ? 0 : all.get(i - 1).end(), d.start(), width);
            cell(g, c, d, i, x0, x1 - x0 - 4, i == now, open.chosen(d.id()), show);
        }
        blank(g, c, at.x(book.end()));
        if (open.is()) {
            ranges(g, c, at, book, open, width);
            playhead(g, c, at, open);
        }
        if (insert >= 0) {
            double x = at.x(insert < all.size() ? all.get(insert).start() : book.end()) - 2;
            g.setStroke(c.time());
            g.setLineWidth(3);
            g.strokeLine(x, StripLayout.TOP - 2, x, StripLayout.TOP + StripLayout.CELL + 2);
        }
    }

    /** One area and scale for all thumbnails, so that they can be compared. */
    private Thumbs.Show show(Flipbook book) {
        if (book == shownBook) {
            return shown;
        }
        FrameBuilder builder = studio.picture().builder();
        Rect all = null;
        for (Drawing d : book.drawings()) {
            Rect r = thumbs.painted(d.art(), builder.drawing(d, studio.time().playhead()));
            all = r == null ? all : r.union(all);
        }
        Rect area = all == null ? new Rect(0, 0, Math.max(1, book.box().x()), Math.max(1, book.box().y())) : all;
        // in steps, so that one more px of a drawing doesn't ask for all of them anew
        double scale = Math.min((StripLayout.CELL - 18) / Math.max(1, area.height()), 200 / Math.max(1, area.width()));
        double step = Math.pow(2, Math.floor(Math.log(scale) / Math.log(2) * 8) / 8);
        double grid = 8 / step;
        double x = Math.floor(area.x() / grid) * grid, y = Math.floor(area.y() / grid) * grid;
        shownBook = book;
        shown = new Thumbs.Show(new Rect(x, y, Math.ceil((area.right() - x) / grid) * grid, Math.ceil((area.bottom() - y) / grid) * grid), step);
        return shown;
    }

    private void cell(SkiaGraphics g, Palette c, Drawing d, int index, double x, double w, boolean now, boolean chosen, Thumbs.Show show) {
        double y = StripLayout.TOP, h = StripLayout.CELL;
        g.setFill(chosen && !now ? c.timeSoft() : c.field());
        g.fillRoundRect(x, y, w, h, 8, 8);
        FrameNode node = studio.picture().builder().drawing(d, studio.time().playhead());
        Image image = d.art().hidden() || d.art().children().isEmpty() ? null : thumbs.of(d.art(), node, show, studio.project().assets());
        if (image != null && w > 14) {
            double iw = image.getWidth(), ih = image.getHeight(), k = Math.min(1, (h - 16) / ih);
            // as much of its middle as the cell has room for
            double part = Math.min(iw, (w - 4) / k);
            g.drawImage(image, (iw - part) / 2, 0, part, ih, x + w / 2 - part * k / 2, y + 3, part * k, ih * k);
        }
        g.setStroke(now ? c.time() : chosen ? c.time().deriveColor(0, 1, 1, 0.6) : c.line());
        g.setLineWidth(now ? 2 : 1);
        double inset = now ? 1 : 0.5;
        g.strokeRoundRect(x + inset, y + inset, w - 2 * inset, h - 2 * inset, 8, 8);
        g.setFont(SMALL);
        g.setTextAlign(TextAlignment.LEFT);
        g.setTextBaseline(VPos.BASELINE);
        String number = String.valueOf(index + 1);
        if (w > 12) {
            g.setFill(now ? c.ink1() : c.ink2());
            g.fillText(number, x + 6, y + h - 5.5);
        }
        if (w > 40) {
            g.setFill(c.ink3());
            g.fillText("×" + d.frames(), x + 6 + 6.6 * number.length() + 6, y + h - 5.5);
        }
        if (d.id().equals(studio.book().skin().pinned())) {
            g.setFill(c.fitting());
            g.fillOval(x + w - 10, y + 5, 5, 5);
        }
        if (d.art().hidden() && w > 30) {
            g.setFill(c.ink3());
            g.fillText(Language.of("hidden"), x + 6, y + 14);
        }
    }

    /** Frames without a drawing. */
    private static void gap(SkiaGraphics g, Palette c, StripLayout at, int from, int to, double width) {
        if (to <= from) {
            return;
        }
        double x0 = Math.max(-10, at.x(from)), x1 = Math.min(width + 10, at.x(to) - 4);
        if (x1 <= x0) {
            return;
        }
        g.setStroke(c.line());
        g.setLineDashes(3, 3);
        g.setLineWidth(1);
        g.strokeRoundRect(x0 + 0.5, StripLayout.TOP + 8.5, x1 - x0 - 1, StripLayout.CELL - 17, 8, 8);
        g.setLineDashes();
    }

    private static void blank(SkiaGraphics g, Palette c, double x) {
        g.setStroke(c.ink3());
        g.setLineDashes(4, 3);
        g.setLineWidth(1);
        g.strokeRoundRect(x + 0.5, StripLayout.TOP + 0.5, StripCanvas.BLANK - 1, StripLayout.CELL - 1, 8, 8);
        g.setLineDashes();
        g.setFont(WORDS);
        g.setFill(c.ink2());
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        g.fillText(Language.of("blank"), x + StripCanvas.BLANK / 2, StripLayout.TOP + StripLayout.CELL / 2);
    }

    /** The stretches whose drawings shine through, each with an end to drag. */
    private static void ranges(SkiaGraphics g, Palette c, StripLayout at, Flipbook book, OpenBook open, double width) {
        double y = StripLayout.TOP + StripLayout.CELL + 7;
        g.setFill(c.line());
        g.fillRoundRect(at.left(), y, width - 2 * at.left(), 4, 4, 4);
        OnionSkin skin = open.skin();
        RangeEnds ends = RangeEnds.of(book, open, at);
        if (ends == null) {
            return;
        }
        double faint = skin.on() ? 1 : 0.35;
        bar(g, color(skin.backTint(), faint * 0.7), ends.back(), ends.from(), y);
        bar(g, color(skin.aheadTint(), faint * 0.7), ends.to(), ends.ahead(), y);
        knob(g, c, color(skin.backTint(), faint), ends.back(), y + 2);
        knob(g, c, color(skin.aheadTint(), faint), ends.ahead(), y + 2);
    }

    private static void bar(SkiaGraphics g, Color color, double from, double to, double y) {
        if (to > from) {
            g.setFill(color);
            g.fillRoundRect(from, y - 0.5, to - from, 5, 5, 5);
        }
    }

    private static void knob(SkiaGraphics g, Palette c, Color color, double x, double y) {
        g.setFill(c.field());
        g.setStroke(color);
        g.setLineWidth(2);
        g.fillOval(x - 4.5, y - 4.5, 9, 9);
        g.strokeOval(x - 4.5, y - 4.5, 9, 9);
    }

    static Color color(tundra.core.model.Color c, double alpha) {
        return Color.rgb(c.red(), c.green(), c.blue(), alpha);
    }

    private void playhead(SkiaGraphics g, Palette c, StripLayout at, OpenBook open) {
        double x = at.x(open.frameInBook()), w = Math.max(3, at.perFrame() - 4);
        g.setFill(c.time());
        g.fillRoundRect(x, StripLayout.TOP - 4, w, 2.5, 2.5, 2.5);
    }
}
