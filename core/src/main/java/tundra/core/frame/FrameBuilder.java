package tundra.core.frame;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Effect;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Span;
import tundra.core.model.Tie;
import tundra.core.model.Values;
import tundra.core.motion.MotionPath;

/**
 * The evaluator: a board at a {@link Moment} becomes a {@link Frame}. Where a time is asked for instead, it counts from when the board was
 * opened. Immutable but for its store of unchanging nodes; one thread at a time.
 */
public final class FrameBuilder {
    private final Board board;
    /** The board's, the same ones for as long as the builder lives: a version that was left may let go of its own and make them again. */
    private final List<Element> elements;
    private final TextMeasurer measure;
    private final AnimatedValues poses;
    private final StillNodes still;
    private final Map<Element, Painted> painted = new IdentityHashMap<>();
    private final boolean guides;
    private final MotifFrames motifs;
    private String asWritten;
    private FrameBuilder above;
    private FrameNode over;

    /** What visitors see: without the guide elements. */
    public FrameBuilder(Board board, TextMeasurer measure) {
        this(board, measure, null, false);
    }

    /**
     * Takes over the unchanging nodes of the builder of an earlier version of the board; {@code previous} may be null.
     *
     * @param guides whether guide elements are shown, as while drawing
     */
    public FrameBuilder(Board board, TextMeasurer measure, FrameBuilder previous, boolean guides) {
        this(board, measure, previous, guides, previous != null ? previous.motifs
                : new MotifFrames(List.of(), List.of(), measure, null, (b, layout) -> b));
    }

    /** @param motifs that the board's instances show */
    public FrameBuilder(Board board, TextMeasurer measure, FrameBuilder previous, boolean guides, MotifFrames motifs) {
        this.motifs = motifs;
        this.guides = guides;
        this.board = board;
        this.measure = measure;
        this.poses = new AnimatedValues(board, previous == null ? null : previous.poses);
        elements = List.copyOf(board.elements());
        still = StillNodes.of(elements, poses, motifs, previous == null ? null : previous.still);
    }

    public Board board() {
        return board;
    }

    /** How many nodes of what never changes are held, with those of versions before. */
    int held() {
        return still.size();
    }

    public MotifFrames motifs() {
        return motifs;
    }

    /** The same builder with other motifs, which look the same as far as this board shows them. */
    FrameBuilder with(MotifFrames others) {
        return others == motifs ? this : new FrameBuilder(board, measure, this, guides, others);
    }

    /** Whether the timelines show an element at a moment. What holds it may still be hidden then. */
    public boolean shown(String id, Moment m) {
        return poses.shown(board.find(id), m);
    }

    /** The stretch of time that decides at a moment whether an element is seen; null when none does. */
    public Span span(String id, Moment m) {
        return poses.span(id, m);
    }

    /** The motion path of an element on a timeline, measured as far as it was walked; null when its position has no keys there. */
    public MotionPath path(String timeline, String id) {
        return poses.path(timeline, id);
    }

    /** What a visitor sees so many µs after the board was opened. */
    public Frame at(long time) {
        return at(Moment.opened(board, time));
    }

    public Frame at(Moment m) {
        List<FrameNode> all = nodes(elements, m);
        if (above != null) {
            all = new ArrayList<>(all);
            all.add(over(m));
        }
        return new Frame(board.size(), poses.at(Board.CANVAS, board.canvas(), m).get(Properties.BACKGROUND), all);
    }

    /** With what another board shows over all of this one, out of reach; null for nothing. */
    public FrameBuilder under(FrameBuilder over) {
        above = over;
        return this;
    }

    /** What lies over all, as one node that is no element of this board; the same one while nothing of it changes. */
    private FrameNode over(Moment m) {
        List<FrameNode> now = above.at(Moment.opened(above.board, m.since())).nodes();
        if (over == null || !sameInstances(over.children(), now)) {
            over = new FrameNode(null, true, Affine.IDENTITY, 1, above.board.size(), List.of(), now,
                    List.of(Outline.rectangle(new Rect(0, 0, above.board.size().x(), above.board.size().y()), 0)), "over all scenes");
        }
        return over;
    }

    /** All values of an element (or {@link Board#CANVAS}) at a moment; null when there is no such element. */
    public Values valuesAt(String id, Moment m) {
        Values rest = board.rest(id);
        return rest == null ? null : poses.at(id, rest, m);
    }

    public Values valuesAt(String id, long time) {
        return valuesAt(id, Moment.opened(board, time));
    }

    public <T> T valueAt(String id, Property<T> p, Moment m) {
        return valuesAt(id, m).get(p);
    }

    public <T> T valueAt(String id, Property<T> p, long time) {
        return valueAt(id, p, Moment.opened(board, time));
    }

    /** The box of an element at a moment. */
    public Point boxAt(Element e, long time) {
        return boxAt(e, Moment.opened(board, time));
    }

    public Point boxAt(Element e, Moment m) {
        Values v = valuesAt(e.id(), m);
        return ElementPaint.box(resolved(e, v), v, layout(e, v, m));
    }

    /** Shows one text as it is written, with the names of its values, as while it is typed; null for none. */
    public void showAsWritten(String element) {
        asWritten = element;
    }

    private Content resolved(Element e, Values v) {
        Content c = ElementPaint.resolved(e.content(), v);
        return e.id().equals(asWritten) ? c : ValueWords.shown(c, motifs.values());
    }

    private List<FrameNode> nodes(List<Element> elements, Moment m) {
        var out = new ArrayList<FrameNode>(elements.size());
        for (Element e : elements) {
            if (!e.hidden() && (guides || !e.guide()) && poses.shown(e, m)) {
                out.add(still.moves(e) ? node(e, m) : kept(e, m));
            }
        }
        return out;
    }

    private FrameNode kept(Element e, Moment m) {
        FrameNode n = still.get(e);
        if (n == null) {
            n = node(e, m);
            still.put(e, n);
        }
        return n;
    }

    private FrameNode node(Element e, Moment m) {
        Values v = poses.at(e.id(), e.rest(), m);
        List<FrameNode> children = e.content() instanceof Content.Instance i && motifs.board(i.motif()) != null ? instance(e, i, m)
                : e.content() instanceof Content.Block b ? block(e, (Content.Block) b.with(v), m) : carried(e, v, nodes(seen(e, m), m));
        StillNodes.Last before = still.last(e);
        Look look = look(e, v, children, m);
        if (before != null && before.values().equals(v) && sameInstances(before.node().children(), children) && before.node().look().equals(look)) {
            return before.node();
        }
        FrameNode n = make(e, v, children, look, m);
        if (poses.animated(e.id()) || !children.isEmpty()) {
            still.put(e, new StillNodes.Last(v, n));
        }
        return n;
    }

    /** What an instance shows: its motif, in the layout that is for its own width. */
    private List<FrameNode> instance(Element e, Content.Instance i, Moment m) {
        String shown = motifs.shown(i, Math.abs(e.rest().get(Properties.SCALE).x()) * i.box().x());
        return motifs.at(shown, m.inside(board, e.id(), motifs.clock(i), motifs.board(shown)));
    }

    /** What a block was painted from last. */
    private record Painted(Content.Block block, List<FrameNode> items, long time, List<FrameNode> nodes) {}

    /** What a block shows: its own picture, or the items of a gallery; the same nodes while nothing of it changes. */
    private List<FrameNode> block(Element e, Content.Block b, Moment m) {
        List<FrameNode> items = b.kind().gallery() ? nodes(e.children().stream().filter(c -> !c.guide()).toList(), m) : List.of();
        long time = BlockArt.time(b, board, m);
        Painted before = painted.get(e);
        if (before != null && before.time == time && before.block.equals(b) && sameInstances(before.items, items)) {
            return before.nodes;
        }
        List<FrameNode> nodes = b.kind().gallery() ? BlockArt.items(b, items, captions(e, b)::get, measure)
                : BlockArt.of(b, new BlockArt.Around(board, motifs.values(), measure, m));
        painted.put(e, new Painted(b, items, time, nodes));
        return nodes;
    }

    private static Map<String, String> captions(Element e, Content.Block b) {
        var words = (Map<?, ?>) b.get(Blocks.CAPTION_WORDS);
        var out = new HashMap<String, String>();
        e.children().forEach(c -> out.put(c.id(), words.get(c.id()) instanceof String own ? own : c.name()));
        return out;
    }

    /** What a group holds is taken along by its ties while the group has another size than at rest. */
    private static List<FrameNode> carried(Element e, Values v, List<FrameNode> children) {
        if (!(e.content() instanceof Content.Group g)) {
            return children;
        }
        Point rest = g.box(), by = v.get(Properties.SIZE).minus(rest);
        if (by.equals(Point.ZERO)) {
            return children;
        }
        var byId = new HashMap<String, Element>();
        e.children().forEach(c -> byId.put(c.id(), c));
        return children.stream().map(n -> n.moved(Tie.carried(byId.get(n.id()), rest).times(by))).toList();
    }

    /** The children that are there at a moment: of a flipbook's drawings one at most. */
    private List<Element> seen(Element e, Moment m) {
        if (!(e.content() instanceof Flipbook book)) {
            return e.children();
        }
        Drawing d = book.at(m.timeOf(board.main().id()));
        return d == null ? List.of() : List.of(d.art());
    }

    /** A drawing of a flipbook as it looks at a moment, wherever the flipbook itself stands then. */
    public FrameNode drawing(Drawing d, long time) {
        return drawing(d, Moment.opened(board, time));
    }

    public FrameNode drawing(Drawing d, Moment m) {
        return still.moves(d.art()) ? node(d.art(), m) : kept(d.art(), m);
    }

    private static boolean sameInstances(List<FrameNode> a, List<FrameNode> b) {
        if (a == b) {
            return true;
        }
        if (a.size() != b.size()) {
            return false;
        }
        for (int i = 0; i < a.size(); i++) {
            if (a.get(i) != b.get(i)) {
                return false;
            }
        }
        return true;
    }

    /** How a text is laid out at a moment; null for anything else. Where its letter spacing moves its letters never join. */
    private TextLayout layout(Element e, Values v, Moment m) {
        if (!(resolved(e, v) instanceof Content.Text t)) {
            return null;
        }
        boolean keyed = poses.keyed(e.id(), Properties.LETTER_SPACING, m);
        return TextLayout.of(t, (Content.Text) resolved(e, e.rest()), !keyed && t.spacing() == 0, measure);
    }

    private Look look(Element e, Values v, List<FrameNode> children, Moment m) {
        List<Filter> filters = List.of();
        if (!e.effects().isEmpty()) {
            filters = Filters.needed(e.effects().stream().filter(Effect::on).map(x -> Filters.of(x.kind(), poses.at(x.id(), x.rest(), m))).toList());
        }
        boolean inside = false;
        for (int i = 0; i < children.size() && !inside; i++) {
            inside = children.get(i).look().blends();
        }
        String blend = v.get(Properties.BLEND);
        if (!inside && filters.isEmpty() && blend.equals("normal")) {
            return Look.PLAIN;
        }
        boolean passes = inside && Blending.passes(board, e);
        return new Look(filters, blend, inside && !passes, passes);
    }

    private FrameNode make(Element e, Values v, List<FrameNode> children, Look look, Moment m) {
        Content content = resolved(e, v);
        TextLayout layout = layout(e, v, m);
        Point box = ElementPaint.box(content, v, layout);
        return new FrameNode(e.id(), e.locked(), placed(v, box), v.get(Properties.OPACITY), box,
                ElementPaint.of(content, v, layout), children, ElementPaint.clips(content, v), content instanceof Content.Instance i ? i.motif()
                : null, look);
    }

    /** From an element's box to its parent: translate, rotate, scale, skew around the pivot, which lands on the position. */
    public static Affine placed(Values v, Point box) {
        return Affine.placed(v.get(Properties.POSITION), v.get(Properties.ROTATION), v.get(Properties.SCALE), v.get(Properties.SKEW),
                v.get(Properties.PIVOT).times(box));
    }
}
