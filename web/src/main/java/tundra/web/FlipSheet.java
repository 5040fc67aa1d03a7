package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.flip.SheetGrid;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.Property;

/**
 * A flipbook whose drawings are one picture each, all of one size in one place: one sheet behind a window, moved by whole cells.
 *
 * @param cells for each drawing the place of its picture on the sheet
 * @param at the upper left corner of the picture in the flipbook
 * @param size of the picture there
 */
record FlipSheet(String path, List<Asset> pictures, List<Integer> cells, SheetGrid grid, Point at, Point size) {
    /** Sheets no larger than every device can show. */
    private static final int MOST = 4096;
    /** What of a picture the sheet goes by, whatever it is. */
    private static final List<Property<?>> LYING = List.of(Properties.POSITION, Properties.SIZE, Properties.PIVOT);

    /** Null when the drawings are anything else. */
    static FlipSheet of(Board board, Element e, Flipbook f, Map<String, Asset> shelf, Set<String> reactive) {
        var pictures = new ArrayList<Asset>();
        var cells = new ArrayList<Integer>();
        Point at = null, size = null;
        for (Drawing d : f.drawings()) {
            Element p = d.art().children().size() == 1 ? d.art().children().getFirst() : null;
            if (p == null || !(p.content() instanceof Content.Picture picture) || !plain(board, d.art(), reactive) || !plain(board, p, reactive)) {
                return null;
            }
            Asset a = shelf.get(picture.asset());
            Point inner = p.rest().get(Properties.SIZE), corner = corner(p, inner).plus(corner(d.art(), ((Content.Group) d.art().content()).box()));
            if (at != null && (at.distance(corner) > 1e-6 || size.distance(inner) > 1e-6 || a.width() != pictures.getFirst().width()
                    || a.height() != pictures.getFirst().height())) {
                return null;
            }
            at = corner;
            size = inner;
            if (!pictures.contains(a)) {
                pictures.add(a);
            }
            cells.add(pictures.indexOf(a));
        }
        if (pictures.size() < 2) {
            return null;
        }
        int w = pictures.getFirst().width(), h = pictures.getFirst().height(), n = pictures.size();
        int columns = (int) Math.max(1, Math.min(n, Math.round(Math.sqrt((double) n * h / w))));
        var grid = new SheetGrid(columns, (n + columns - 1) / columns, 1, 2);
        // much smaller than its pixels a browser would mix neighbours into each other
        boolean small = size.x() < 0.5 * w || size.y() < 0.5 * h || columns * (w + 2) > MOST || grid.rows() * (h + 2) > MOST;
        return small ? null : new FlipSheet("pictures/sheet-" + e.id() + (pictures.stream().allMatch(a -> a.mediaType().equals("image/webp"))
                ? ".webp" : ".png"), pictures, cells, grid, at, size);
    }

    private static Point corner(Element e, Point box) {
        return e.rest().get(Properties.POSITION).minus(e.rest().get(Properties.PIVOT).times(box));
    }

    /** Stands upright in its own size, is seen as it is, and nothing moves or taps it. */
    private static boolean plain(Board board, Element e, Set<String> reactive) {
        return !e.hidden() && !e.guide() && !reactive.contains(e.id()) && !(e.content() instanceof Content.Group g && g.clip() != null)
                && Properties.of(e).stream().allMatch(p -> LYING.contains(p) || e.rest().get(p).equals(p.standard()))
                && board.timelines().stream().allMatch(t -> t.tracksOf(e.id()).isEmpty() && !t.shown().containsKey(e.id()));
    }

    static String target(Element e) {
        return PageId.of(e.id()) + "-f";
    }

    /** How far the sheet is moved to show a drawing's cell. */
    Point shift(int drawing) {
        int c = cells.get(drawing) % grid.columns(), r = cells.get(drawing) / grid.columns();
        int w = pictures.getFirst().width(), h = pictures.getFirst().height();
        return new Point(-(1 + c * (w + 2.0)) * size.x() / w, -(1 + r * (h + 2.0)) * size.y() / h);
    }

    String markup(Element e, StyleSheet css) {
        int w = pictures.getFirst().width(), h = pictures.getFirst().height();
        double kx = size.x() / w, ky = size.y() / h;
        int first = Math.max(0, ((Flipbook) e.content()).indexAt(0));
        String window = target(e) + "-w", picture = target(e) + "-p";
        css.put(window, "overflow", "hidden");
        css.put(window, "left", CssText.px(at.x()));
        css.put(window, "top", CssText.px(at.y()));
        css.put(window, "width", CssText.px(size.x()));
        css.put(window, "height", CssText.px(size.y()));
        css.put(target(e), "translate", CssText.pair(shift(first), 4, "px"));
        css.put(picture, "width", CssText.px(grid.columns() * (w + 2) * kx));
        css.put(picture, "height", CssText.px(grid.rows() * (h + 2) * ky));
        return "<div class=\"" + window + "\"><div class=\"" + target(e) + "\"><img class=\"" + picture + "\" src=\"" + path
                + "\" alt=\"\" decoding=\"sync\" draggable=\"false\"></div></div>";
    }
}
