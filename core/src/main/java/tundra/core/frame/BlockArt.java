package tundra.core.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import tundra.core.block.FieldLayout;
import tundra.core.block.Gallery;
import tundra.core.block.MapView;
import tundra.core.block.PageLayout;
import tundra.core.block.Placement;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.BlockKind;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.PieceValue;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;

/** The pictures of blocks: one entry for each kind, in the box of the block. The page's markup goes by the same numbers. */
final class BlockArt {
    /** Of captions, and how far they stand from their item. */
    static final double CAPTION_LINE = 1.3, CAPTION_GAP = 6;
    /** Behind captions that lie over their items. */
    static final Color CAPTION_GROUND = Color.parse("#FFFFFFCC");

    /** What a block can know of what is around it. */
    record Around(Board board, List<PieceValue> values, TextMeasurer measure, Moment moment) {
        /** Null for none. */
        PieceValue value(String id) {
            return values.stream().filter(v -> v.id().equals(id)).findFirst().orElse(null);
        }
    }

    private interface Art {
        void paint(Content.Block b, Around around, BlockBrush to);
    }

    private static final Map<BlockKind, Art> TABLE = Map.ofEntries(
            Map.entry(Blocks.DOTS, BlockArt::dots), Map.entry(Blocks.VIDEO, BlockArt::video), Map.entry(Blocks.SOUND, BlockArt::sound),
            Map.entry(Blocks.PAGE, BlockArt::page),
            Map.entry(Blocks.MAP_BLOCK, BlockArt::map), Map.entry(Blocks.CALL, (b, a, to) -> button(b, b.text(Blocks.WORDS).isEmpty()
            ? b.text(Blocks.PHONE) : b.text(Blocks.WORDS), to)),
            Map.entry(Blocks.MAIL_LINK, (b, a, to) -> button(b, b.text(Blocks.WORDS).isEmpty() ? b.text(Blocks.MAIL) : b.text(Blocks.WORDS), to)),
            Map.entry(Blocks.TEXT_FIELD, BlockArt::field), Map.entry(Blocks.TICK, BlockArt::tick), Map.entry(Blocks.CHOICE, BlockArt::choice),
            Map.entry(Blocks.SLIDER, BlockArt::slider),
            Map.entry(Blocks.PROGRESS, BlockArt::progress), Map.entry(Blocks.COUNTDOWN, BlockArt::countdown));

    private BlockArt() {}

    /** What a block shows of itself; the items of galleries come from {@link #items}. */
    static List<FrameNode> of(Content.Block b, Around around) {
        Art art = TABLE.get(b.kind());
        var brush = new BlockBrush(around.measure);
        if (art != null) {
            art.paint(b, around, brush);
        }
        return brush.done();
    }

    /** The time that the picture of a block goes by, in µs; 0 where it goes by none. */
    static long time(Content.Block b, Board board, Moment m) {
        if (m == null || board.timelines().isEmpty()) {
            return 0;
        }
        return b.kind() == Blocks.VIDEO && b.text(Blocks.TIME_BY).equals("the timeline's") ? m.timeOf(board.main().id())
                : b.kind() == Blocks.PROGRESS && board.timeline(b.text(Blocks.OF_TIMELINE)) instanceof Timeline t ? m.timeOf(t.id()) : 0;
    }

    /** The area that a block is taken by, painted with nothing. */
    static List<Mark> ground(Content.Block b) {
        return List.of(new Mark.Fill(new Form.Box(b.box(), 0), Color.NONE, b.box()));
    }

    /** Those that are hidden are no items. */
    static List<FrameNode> items(Content.Block b, List<FrameNode> items, UnaryOperator<String> called, TextMeasurer measure) {
        var g = Gallery.of(b, items.size());
        double w = b.number(Blocks.ITEM_WIDTH), h = b.number(Blocks.ITEM_HEIGHT);
        Point cell = new Point(w, h);
        var out = new ArrayList<FrameNode>();
        for (int i : g.order(g.position())) {
            Placement p = g.place(i, g.position());
            if (!g.seen(p)) {
                continue;
            }
            var brush = new BlockBrush(measure);
            brush.clipped(List.of(items.get(i)), Outline.rectangle(new Rect(0, 0, w, h), 0), cell);
            caption(b, called.apply(items.get(i).id()), brush);
            out.add(new FrameNode(null, false, Affine.placed(new Point(p.x(), p.y()), p.rotation(), new Point(p.scale(), p.scale()), Point.ZERO,
                    cell.times(0.5)), p.opacity(), cell, List.of(), brush.done(), List.of()));
        }
        return out;
    }

    private static void caption(Content.Block b, String words, BlockBrush to) {
        String where = b.text(Blocks.CAPTIONS);
        double w = b.number(Blocks.ITEM_WIDTH), h = b.number(Blocks.ITEM_HEIGHT), letters = b.number(Blocks.LETTERS), line = letters * CAPTION_LINE;
        if (where.equals("none") || words.isEmpty()) {
            return;
        }
        boolean over = where.equals("over");
        double top = over ? h - line - CAPTION_GAP : h + CAPTION_GAP;
        if (over) {
            to.rect(new Rect(0, h - line - 2 * CAPTION_GAP, w, line + 2 * CAPTION_GAP), 0, CAPTION_GROUND, null, 0);
        }
        to.text(words, b.text(Blocks.FONT), 400, letters, CAPTION_LINE, BlockBrush.color(b, Blocks.INK), new Point(0, top), w, Content.Align.CENTRE);
    }

    private static void dots(Content.Block b, Around a, BlockBrush to) {
        Content.Block of = Blocks.of(a.board.find(b.text(Blocks.OF_GALLERY)));
        int n = of == null ? 3 : (int) of.children().stream().filter(c -> !c.hidden() && !c.guide()).count(), first = of == null ? 0
                : Gallery.of(of, n).first();
        double d = b.number(Blocks.DOT), step = d + b.number(Blocks.SPACING), left = (b.box().x() - (n - 1) * step - d) / 2;
        for (int i = 0; i < n; i++) {
            to.circle(new Point(left + i * step + d / 2, b.box().y() / 2), d / 2, BlockBrush.color(b, i == first ? Blocks.ACCENT : Blocks.LINE));
        }
    }

    private static void video(Content.Block b, Around a, BlockBrush to) {
        String hash = b.text(Blocks.VIDEO_FILE);
        Point box = b.box();
        if (hash.isEmpty()) {
            empty(b, to);
            return;
        }
        long from = (Long) b.get(Blocks.FROM), still = Math.max(from, (Long) b.get(Blocks.POSTER_AT));
        Timeline main = a.board.timelines().isEmpty() ? null : a.board.main();
        boolean goes = b.text(Blocks.TIME_BY).equals("the timeline's") && main != null && a.moment != null;
        long at = goes ? from + a.moment.timeOf(main.id()) : still, end = (Long) b.get(Blocks.TO);
        var film = new Mark.Film(hash, end > 0 ? Math.min(at, end) : at, box, b.text(Blocks.FITS));
        to.clipped(List.of(new FrameNode(null, false, Affine.IDENTITY, 1, box, List.of(film), List.of(), List.of())),
                Outline.rectangle(new Rect(0, 0, box.x(), box.y()), b.number(Blocks.RADIUS_OF_CORNERS)), box);
    }

    /** What has nothing to show yet. */
    private static void empty(Content.Block b, BlockBrush to) {
        Point box = b.box();
        to.rect(new Rect(0, 0, box.x(), box.y()), 8, Color.parse("#1D292614"), null, 0);
        play(new Point(box.x() / 2, box.y() / 2), Math.min(28, Math.min(box.x(), box.y()) / 4), Color.parse("#1D292666"), box, to);
    }

    private static void play(Point middle, double r, Color c, Point box, BlockBrush to) {
        to.fill(Outline.polygon(middle.x() - r * 0.7, middle.y() - r, middle.x() + r, middle.y(), middle.x() - r * 0.7, middle.y() + r), c, box);
    }

    private static void sound(Content.Block b, Around a, BlockBrush to) {
        if (!b.is(Blocks.CONTROLS)) {
            return;
        }
        Point box = b.box();
        to.rect(new Rect(0, 0, box.x(), box.y()), box.y() / 2, Color.parse("#F1F3F4"), null, 0);
        play(new Point(box.y() / 2, box.y() / 2), box.y() / 7, Color.BLACK, box, to);
        to.rect(new Rect(box.y(), box.y() / 2 - 2, Math.max(1, box.x() - 2 * box.y()), 4), 2, Color.parse("#0000003D"), null, 0);
    }

    private static void page(Content.Block b, Around a, BlockBrush to) {
        Point box = b.box();
        double letters = b.number(Blocks.LETTERS), line = letters * FieldLayout.LINE;
        to.rect(new Rect(0, 0, box.x(), box.y()), 0, BlockBrush.color(b, Blocks.GROUND), null, 0);
        if (!b.text(Blocks.FOLDER).isEmpty()) {
            return;
        }
        if (b.is(Blocks.ASKS_FIRST) || b.text(Blocks.ADDRESS).isEmpty()) {
            PageLayout l = PageLayout.of(b);
            to.text(l.words(), b.text(Blocks.FONT), 400, letters, FieldLayout.LINE, BlockBrush.color(b, Blocks.INK), new Point(0, l.top()), box.x(),
                    Content.Align.CENTRE);
            if (!b.text(Blocks.ADDRESS).isEmpty()) {
                Rect r = l.button();
                to.rect(r, PageLayout.CORNERS, BlockBrush.color(b, Blocks.ACCENT), null, 0);
                to.text(PageLayout.SHOW, b.text(Blocks.FONT), 400, letters, FieldLayout.LINE, BlockBrush.color(b, Blocks.GROUND),
                        new Point(r.x(), r.y() + (r.height() - line) / 2), r.width(), Content.Align.CENTRE);
            }
        }
    }

    private static void map(Content.Block b, Around a, BlockBrush to) {
        Point box = b.box();
        var inside = new BlockBrush(a.measure);
        inside.rect(new Rect(0, 0, box.x(), box.y()), 0, BlockBrush.color(b, Blocks.LAND), null, 0);
        for (MapView.Shape s : MapView.shapes(b)) {
            if (s.fill() != null) {
                inside.fill(s.outline(), s.fill(), box);
            }
            if (s.stroke() != null) {
                inside.stroke(s.outline(), s.stroke(), s.width(), s.dash(), box);
            }
        }
        double letters = b.number(Blocks.LETTERS);
        for (MapView.Pin p : MapView.pins(b)) {
            inside.circle(p.at(), MapView.PIN, Color.WHITE);
            inside.circle(p.at(), MapView.PIN - MapView.PIN_LINE, BlockBrush.color(b, Blocks.PLACES));
            if (b.is(Blocks.LABELS)) {
                inside.text(p.name(), b.text(Blocks.FONT), 400, letters, FieldLayout.LINE, BlockBrush.color(b, Blocks.INK),
                        p.at().plus(new Point(MapView.PIN + 4, -letters * FieldLayout.LINE / 2)), 0, Content.Align.LEFT);
            }
        }
        for (boolean in : b.is(Blocks.ZOOMS) ? new boolean[] {true, false} : new boolean[0]) {
            Rect r = MapView.zoomButton(b, in);
            inside.rect(r, MapView.CORNERS, Color.WHITE, null, 0);
            inside.stroke(MapView.sign(in).through(Affine.translate(r.x(), r.y())), BlockBrush.color(b, Blocks.INK), 2, 0, box);
        }
        if (b.is(Blocks.SEARCHES)) {
            Rect r = MapView.searchField(b);
            inside.rect(r, MapView.CORNERS, Color.WHITE, null, 0);
            inside.text(MapView.SEARCH, b.text(Blocks.FONT), 400, letters, FieldLayout.LINE, Color.parse("#757575"),
                    new Point(r.x() + FieldLayout.PAD, r.y() + (r.height() - letters * FieldLayout.LINE) / 2), 0, Content.Align.LEFT);
        }
        to.clipped(inside.done(), Outline.rectangle(new Rect(0, 0, box.x(), box.y()), b.number(Blocks.RADIUS_OF_CORNERS)), box);
    }

    private static void button(Content.Block b, String words, BlockBrush to) {
        Point box = b.box();
        double line = b.number(Blocks.LETTERS) * FieldLayout.LINE;
        to.rect(new Rect(0, 0, box.x(), box.y()), b.number(Blocks.RADIUS_OF_CORNERS), BlockBrush.color(b, Blocks.GROUND), null, 0);
        to.text(words, b.text(Blocks.FONT), (int) b.number(Blocks.WEIGHT), b.number(Blocks.LETTERS), FieldLayout.LINE,
                BlockBrush.color(b, Blocks.INK), new Point(0, (box.y() - line) / 2), box.x(), Content.Align.CENTRE);
    }

    private static void label(Content.Block b, FieldLayout l, BlockBrush to) {
        if (l.label() != null) {
            words(b, b.text(Blocks.LABEL) + (b.is(Blocks.NEEDED) ? " *" : ""), Blocks.INK, new Point(l.label().x(), l.label().y()), to);
        }
    }

    private static void words(Content.Block b, String words, Slot ink, Point at, BlockBrush to) {
        to.text(words, b.text(Blocks.FONT), 400, b.number(Blocks.LETTERS), FieldLayout.line(b) / b.number(Blocks.LETTERS), BlockBrush.color(b, ink),
                at, 0, Content.Align.LEFT);
    }

    private static void box(Content.Block b, Rect r, BlockBrush to) {
        to.rect(r, b.number(Blocks.RADIUS_OF_CORNERS), BlockBrush.color(b, Blocks.GROUND), BlockBrush.color(b, Blocks.LINE), 1);
    }

    private static void field(Content.Block b, Around a, BlockBrush to) {
        FieldLayout l = FieldLayout.of(b);
        label(b, l, to);
        box(b, l.input(), to);
        PieceValue v = a.value(b.text(Blocks.OF_VALUE));
        boolean filled = v != null && !v.start().isEmpty();
        double top = b.text(Blocks.KIND).equals("several lines") ? l.input().y() + FieldLayout.PAD
                : FieldLayout.middle(l.input(), FieldLayout.line(b));
        words(b, filled ? v.start() : b.text(Blocks.HINT), filled ? Blocks.INK : Blocks.LINE, new Point(FieldLayout.PAD, top), to);
    }

    private static void tick(Content.Block b, Around a, BlockBrush to) {
        FieldLayout l = FieldLayout.of(b);
        PieceValue v = a.value(b.text(Blocks.OF_VALUE));
        boolean on = v != null && v.start().matches("(?i)yes|true|on|1");
        Rect r = l.input();
        double radius = Math.min(4, b.number(Blocks.RADIUS_OF_CORNERS));
        to.rect(r, radius, BlockBrush.color(b, on ? Blocks.ACCENT : Blocks.GROUND), BlockBrush.color(b, on ? Blocks.ACCENT : Blocks.LINE), 1);
        if (on) {
            to.stroke(FieldLayout.mark(r), BlockBrush.color(b, Blocks.GROUND), 2, 0, b.box());
        }
        label(b, l, to);
    }

    private static void choice(Content.Block b, Around a, BlockBrush to) {
        FieldLayout l = FieldLayout.of(b);
        label(b, l, to);
        List<String> all = FieldLayout.choices(b);
        PieceValue v = a.value(b.text(Blocks.OF_VALUE));
        int now = v == null ? -1 : all.indexOf(v.start());
        double line = FieldLayout.line(b);
        if (l.buttons().isEmpty()) {
            box(b, l.input(), to);
            words(b, all.get(Math.max(0, now)), Blocks.INK, new Point(FieldLayout.PAD, FieldLayout.middle(l.input(), line)), to);
            to.stroke(FieldLayout.arrow(l.input()), BlockBrush.color(b, Blocks.LINE), 1.5, 0, b.box());
            return;
        }
        for (int i = 0; i < l.buttons().size(); i++) {
            Rect r = l.buttons().get(i);
            to.rect(r, b.number(Blocks.RADIUS_OF_CORNERS), BlockBrush.color(b, i == now ? Blocks.ACCENT : Blocks.GROUND),
                    BlockBrush.color(b, i == now ? Blocks.ACCENT : Blocks.LINE), 1);
            to.text(all.get(i), b.text(Blocks.FONT), 400, b.number(Blocks.LETTERS), line / b.number(Blocks.LETTERS),
                    BlockBrush.color(b, i == now ? Blocks.GROUND : Blocks.INK), new Point(r.x(), FieldLayout.middle(r, line)), r.width(),
                    Content.Align.CENTRE);
        }
    }

    private static double share(Content.Block b, PieceValue v) {
        double least = b.number(Blocks.LEAST), most = b.number(Blocks.MOST);
        double now;
        try {
            now = v == null ? least : Double.parseDouble(v.start());
        } catch (NumberFormatException e) {
            now = least;
        }
        return most > least ? Numbers.clamp((now - least) / (most - least), 0, 1) : 0;
    }

    private static void slider(Content.Block b, Around a, BlockBrush to) {
        FieldLayout l = FieldLayout.of(b);
        label(b, l, to);
        double y = Math.round(l.input().y() + l.input().height() / 2), k = FieldLayout.THUMB, w = l.input().width(),
                x = k + share(b, a.value(b.text(Blocks.OF_VALUE))) * (w - 2 * k);
        to.rect(new Rect(0, y - FieldLayout.TRACK / 2, w, FieldLayout.TRACK), FieldLayout.TRACK / 2, BlockBrush.color(b, Blocks.LINE), null, 0);
        to.rect(new Rect(0, y - FieldLayout.TRACK / 2, x, FieldLayout.TRACK), FieldLayout.TRACK / 2, BlockBrush.color(b, Blocks.ACCENT), null, 0);
        to.circle(new Point(x, y), k, BlockBrush.color(b, Blocks.ACCENT));
    }

    private static void progress(Content.Block b, Around a, BlockBrush to) {
        Point box = b.box();
        Timeline t = a.board.timeline(b.text(Blocks.OF_TIMELINE));
        double share = t == null ? share(b, a.value(b.text(Blocks.OF_VALUE))) : a.moment == null ? 0
                : Numbers.clamp((double) a.moment.timeOf(t.id()) / t.duration(), 0, 1);
        double r = Math.min(b.number(Blocks.RADIUS_OF_CORNERS), Math.min(box.x(), box.y()) / 2);
        var inside = new BlockBrush(a.measure);
        inside.rect(new Rect(0, 0, box.x(), box.y()), 0, BlockBrush.color(b, Blocks.GROUND), null, 0);
        if (share > 0) {
            inside.rect(new Rect(0, 0, box.x() * share, box.y()), 0, BlockBrush.color(b, Blocks.ACCENT), null, 0);
        }
        to.clipped(inside.done(), Outline.rectangle(new Rect(0, 0, box.x(), box.y()), r), box);
    }

    /** With a time of its own making, since a picture has no now; without a date it is over. */
    private static void countdown(Content.Block b, Around a, BlockBrush to) {
        double line = b.number(Blocks.LETTERS) * FieldLayout.LINE;
        to.text(b.text(Blocks.UNTIL).isEmpty() ? b.text(Blocks.OVER_WORDS) : "12 d 08:30:00", b.text(Blocks.FONT), (int) b.number(Blocks.WEIGHT),
                b.number(Blocks.LETTERS), FieldLayout.LINE, BlockBrush.color(b, Blocks.INK), new Point(0, (b.box().y() - line) / 2), b.box().x(),
                Content.Align.CENTRE);
    }
}
