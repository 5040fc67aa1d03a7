package tundra.core.edit;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import java.util.function.LongFunction;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameNode;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Ids;
import tundra.core.model.Limits;
import tundra.core.model.Marker;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** Motifs: made, placed, exchanged, copied and taken away. */
public final class Motifs {
    /** Flipbooks whose rounds meet only after this are left as long as their scene, in µs. */
    private static final long LONGEST_ROUND = 60_000_000;
    /** Times at which a whole move is looked at, at most. */
    private static final int SAMPLES = 120, FEWEST = 16;
    /** How many parts are looked at in all of them together: what is made of very many is looked at less often. */
    private static final int LOOKED_AT = 20_000;
    /** What reaches out of a box by less is no move, in px. */
    private static final double WIDER = 0.5;

    private Motifs() {}

    /** A marker in any motif; null when there is none. */
    public static Marker marker(Project p, String id) {
        return p.motifs().stream().map(m -> Sentences.marker(m.board(), id)).filter(Objects::nonNull).findFirst().orElse(null);
    }

    /** A project, a motif in it and an instance of it. */
    public record Made(Project project, String motif, String instance) {}

    /** The instances on a board, at any depth. */
    public static List<Element> instances(Board b, Predicate<String> of) {
        var out = new ArrayList<Element>();
        Tree.each(b.elements(), e -> {
            if (e.content() instanceof Content.Instance i && of.test(i.motif())) {
                out.add(e);
            }
        });
        return out;
    }

    /** Whether a scene or motif shows a motif, by whatever way. */
    public static boolean holds(Project p, String place, String motif) {
        return holds(p, place, motif, new HashSet<>());
    }

    private static boolean holds(Project p, String place, String motif, Set<String> asked) {
        Place in = p.place(place);
        if (in == null || !asked.add(place)) {
            return false;
        }
        return instances(in.board(), x -> true).stream().map(e -> ((Content.Instance) e.content()).motif()).distinct()
                .anyMatch(x -> x.equals(motif) || holds(p, x, motif, asked));
    }

    /** Whether a motif can be placed somewhere: not in itself, nor in what it shows. */
    public static boolean fits(Project p, String place, String motif) {
        return p.motif(motif) != null && !place.equals(motif) && !holds(p, motif, place);
    }

    /** How often a motif is placed, and where: the names of the scenes and motifs. */
    public record Uses(int count, List<String> where) {}

    public static Uses uses(Project p, String motif) {
        int n = 0;
        var where = new ArrayList<String>();
        for (Place in : p.places()) {
            int here = instances(in.board(), motif::equals).size();
            n += here;
            if (here > 0) {
                where.add(in.name());
            }
        }
        return new Uses(n, where);
    }

    /** How often each motif is placed, by its id, in one walk over the piece. */
    public static Map<String, Integer> counts(Project p) {
        var out = new HashMap<String, Integer>();
        for (Place in : p.places()) {
            Tree.each(in.board().elements(), e -> {
                if (e.content() instanceof Content.Instance i) {
                    out.merge(i.motif(), 1, Integer::sum);
                }
            });
        }
        return out;
    }

    /** A motif and all that it shows, by whatever way: what its picture is made of. */
    public static List<Motif> within(Project p, String motif) {
        var out = new LinkedHashSet<Motif>();
        within(p, motif, out);
        return List.copyOf(out);
    }

    private static void within(Project p, String motif, Set<Motif> out) {
        if (p.motif(motif) instanceof Motif m && out.add(m)) {
            instances(m.board(), x -> true).stream().map(e -> ((Content.Instance) e.content()).motif()).distinct().forEach(x -> within(p, x, out));
        }
    }

    private static String name(Project p, String wanted) {
        var taken = new HashSet<String>();
        p.motifs().forEach(m -> taken.add(m.name()));
        return Names.free(taken, wanted);
    }

    private static Project with(Project p, Motif m) {
        var all = new ArrayList<>(p.motifs());
        all.add(m);
        return p.withMotifs(all);
    }

    /** A new motif with an empty canvas and a Main timeline as long as that of a place. */
    public static Made empty(Project p, String wanted, Point size, long duration) {
        var board = new Board(size, Values.NONE, List.of(), List.of(new Timeline(Timeline.MAIN, duration).withLoop(true)), List.of());
        var m = new Motif(Ids.next(), name(p, wanted), board);
        return new Made(with(p, m), m.id(), null);
    }

    /** Says what keeps a motif from being made of elements: moves that nothing could start within it. Null for nothing. */
    public static String hindrance(Project p, String place, Collection<String> ids) {
        Board b = p.place(place).board();
        var inside = new HashSet<String>();
        ids.forEach(id -> inside.addAll(Tree.owners(List.of(b.find(id)))));
        for (Timeline t : b.timelines()) {
            boolean waits = t != b.main() && !t.starts() || t.scroll() != null;
            String moved = !waits ? null : t.tracks().keySet().stream().filter(inside::contains).findFirst().orElse(null);
            if (moved != null) {
                return "“" + b.holder(moved).name() + "” moves on " + t.name() + ", which " + (t.scroll() != null ? "goes by scrolling"
                        : "does not start by itself")
                        + "; within a motif nothing could move it. Nothing was changed: leave it out, or have " + t.name()
                        + " start by itself first.";
            }
        }
        return null;
    }

    /**
     * Makes a motif of elements, with their keys, and puts an instance in their place: in step with the timeline that they were keyed on, so
     * that nothing moves. What reactions, drags and scrolling name of them is the instance from then on.
     *
     * @param seen the place as it is shown
     */
    public static Made make(Project p, String place, Collection<String> ids, String wanted, Frame seen) {
        return make(p, place, ids, wanted, seen, null);
    }

    /** @param over the place as it is shown at a time of its Main, in µs: the motif is as large as its whole move; null for as large as it is now */
    public static Made make(Project p, String place, Collection<String> ids, String wanted, Frame seen, LongFunction<Frame> over) {
        Board before = p.place(place).board();
        Arrange.Grouped grouped = Arrange.group(before, ids, seen);
        if (over != null && grouped.ids().size() == 1 && before.find(grouped.ids().getFirst()) == null) {
            grouped = new Arrange.Grouped(widened(grouped.board(), grouped.ids().getFirst(), before, p.frameRate(), over), grouped.ids());
        }
        Element group = grouped.ids().size() == 1 ? grouped.board().find(grouped.ids().getFirst()) : null;
        if (group == null || !(group.content() instanceof Content.Group g) || before.find(group.id()) != null) {
            return new Made(p, null, null);
        }
        Set<String> inside = Tree.owners(g.children());
        var timelines = new ArrayList<Timeline>();
        for (Timeline t : grouped.board().timelines()) {
            Timeline own = t.of(inside::contains).withMarkers(List.of()).withSounds(List.of()).withRange(null).withId(Ids.next());
            if (t == grouped.board().main() || !own.tracks().isEmpty() || !own.shown().isEmpty()) {
                // it is driven by the instance's clock, whatever starts the timeline around it
                timelines.add(t == grouped.board().main() ? own.withStarts(true) : own);
            }
        }
        Board inner = inRounds(new Board(g.box(), Values.NONE, g.children(), timelines, List.of()));
        var motif = new Motif(Ids.next(), name(p, wanted), inner);
        Element instance = group.withName(free(before, inside, motif.name()))
                .withContent(new Content.Instance(motif.id(), g.box(), Clock.PARENT.withRepeat(repeat(motif))));
        Board board = grouped.board().mapElement(group.id(), e -> instance);
        board = Reactions.named(board.withTimelines(board.timelines().stream().map(t -> t.of(id -> !inside.contains(id))).toList()),
                id -> inside.contains(id) ? instance.id() : id);
        Board now = board;
        return new Made(with(p, motif).mapBoard(place, b -> now), motif.id(), instance.id());
    }

    /** With a group as large as what it holds ever needs on Main. */
    private static Board widened(Board b, String group, Board before, int rate, LongFunction<Frame> over) {
        Element g = b.find(group);
        List<String> path = b.path(group);
        String around = path.size() > 1 ? path.get(path.size() - 2) : null;
        Point box = ((Content.Group) g.content()).box(), corner = g.rest().get(Properties.POSITION).minus(box.times(0.5));
        Rect now = new Rect(0, 0, box.x(), box.y()), all = now;
        long length = before.main().duration();
        int most = Math.clamp(LOOKED_AT / Math.max(1, g.children().size()), FEWEST, SAMPLES);
        int samples = (int) Math.clamp(length * rate / 1_000_000, 1, most);
        Set<String> inside = new HashSet<>();
        g.children().forEach(e -> inside.add(e.id()));
        // what stands still is the same node from frame to frame
        var last = new HashMap<String, FrameNode>();
        for (int i = 0; i <= samples; i++) {
            for (Frame.Placed at : over.apply(length * i / samples).level(around)) {
                FrameNode node = at.node();
                if (inside.contains(node.id()) && last.put(node.id(), node) != node) {
                    Point size = node.box();
                    all = all.union(Rect.around(node.toParent().corners(new Rect(0, 0, size.x(), size.y())).stream().map(c -> c.minus(corner))
                            .toList()));
                }
            }
        }
        boolean wider = all.x() < -WIDER || all.y() < -WIDER || all.right() > box.x() + WIDER || all.bottom() > box.y() + WIDER;
        double x = Math.floor(all.x()), y = Math.floor(all.y());
        // by whole px, so that what lay on the pixels still does
        Rect whole = new Rect(x, y, Math.ceil(all.right() - x), Math.ceil(all.bottom() - y));
        return wider && whole.width() <= Limits.SIDE && whole.height() <= Limits.SIDE ? GroupBox.set(b, group, whole) : b;
    }

    /** What a new instance does after its motif's end, from wherever it is placed: as the motif's Main says. */
    private static Clock.Repeat repeat(Motif m) {
        return m.board().main().loop() ? Clock.Repeat.LOOP : Clock.Repeat.ONCE;
    }

    /** Where nothing moves but flipbooks that start over, Main is as long as one round of all of them, and starts over too. */
    private static Board inRounds(Board b) {
        Timeline main = b.main();
        var books = new ArrayList<Flipbook>();
        boolean[] other = {b.timelines().stream().anyMatch(t -> !t.tracks().isEmpty() || !t.shown().isEmpty())};
        Tree.each(b.elements(), e -> {
            switch (e.content()) {
                case Flipbook f -> books.add(f);
                case Content.Instance i -> other[0] = true;
                default -> {
                }
            }
        });
        if (other[0] || books.isEmpty() || books.stream().anyMatch(f -> f.ending() != Flipbook.Ending.LOOP || f.start() != 0 || f.end() == 0)) {
            return b;
        }
        int rate = books.getFirst().rate();
        long round = 1;
        for (Flipbook f : books) {
            round = round / BigInteger.valueOf(round).gcd(BigInteger.valueOf(f.end())).longValue() * f.end();
            if (f.rate() != rate || books.getFirst().timeOf(round) > LONGEST_ROUND) {
                return b;
            }
        }
        long length = books.getFirst().timeOf(round);
        return b.mapTimeline(main.id(), t -> t.withDuration(length).withLoop(true));
    }

    /** A name that nothing has which stays on a board. */
    private static String free(Board b, Set<String> gone, String wanted) {
        var taken = new HashSet<String>();
        Tree.each(b.elements(), e -> {
            if (!gone.contains(e.id())) {
                taken.add(e.name());
            }
        });
        return Names.free(taken, wanted);
    }

    /** A new element that shows a motif around a point, with a clock of its own. */
    public static Element instance(Project p, String motif, Point at) {
        Motif m = p.motif(motif);
        return new Element(m.name(), new Content.Instance(motif, m.board().size(), Clock.OWN.withRepeat(repeat(m))),
                Values.NONE.with(Properties.POSITION, at));
    }

    /** Lets instances show another motif where they stand, with their keys. */
    public static Project swap(Project p, String place, Collection<String> ids, String motif) {
        Point size = p.motif(motif).board().size();
        return !fits(p, place, motif) ? p
                : p.mapBoard(place, b -> b.mapElements(new LinkedHashSet<>(ids), e -> e.content() instanceof Content.Instance i
                ? e.withContent(new Content.Instance(motif, size, i.clock())) : e));
    }

    /** A copy of a motif; instances go on showing the old one. */
    public static Made duplicate(Project p, String motif) {
        Motif m = p.motif(motif);
        var copy = new Motif(Ids.next(), name(p, m.name()), Renewed.of(m.board()), m.states(), m.pictures());
        return new Made(with(p, copy), copy.id(), null);
    }

    public static Project rename(Project p, String motif, String wanted) {
        if (wanted.isBlank()) {
            return p;
        }
        var taken = new HashSet<String>();
        p.motifs().stream().filter(m -> !m.id().equals(motif)).forEach(m -> taken.add(m.name()));
        return map(p, motif, m -> m.withName(Names.free(taken, wanted)));
    }

    public static Project map(Project p, String motif, UnaryOperator<Motif> change) {
        return p.withMotifs(p.motifs().stream().map(m -> m.id().equals(motif) ? change.apply(m) : m).toList());
    }

    /** Without a motif and all its instances. */
    public static Project delete(Project p, String motif) {
        return p.withMotifs(p.motifs().stream().filter(m -> !m.id().equals(motif)).toList()).mapBoards(b -> withoutInstances(b, motif::equals));
    }

    /** A board without the instances of some motifs. */
    public static Board withoutInstances(Board b, Predicate<String> of) {
        List<String> gone = instances(b, of).stream().map(Element::id).toList();
        return gone.isEmpty() ? b : Arrange.delete(b, gone);
    }

    /** With the clocks of instances changed. */
    public static Board clocks(Board b, Collection<String> ids, UnaryOperator<Clock> change) {
        return b.mapElements(new LinkedHashSet<>(ids), e -> e.content() instanceof Content.Instance i
                ? e.withContent(i.withClock(change.apply(i.clock()))) : e);
    }

    /** With the phases of instances, in their order from back to front, spread evenly over the length of what they show. */
    public static Board spread(Board b, Project p, Collection<String> ids) {
        List<Element> all = instances(b, x -> true).stream().filter(e -> ids.contains(e.id())).toList();
        Map<String, Long> phase = new HashMap<>();
        for (int i = 0; i < all.size(); i++) {
            Motif m = p.motif(((Content.Instance) all.get(i).content()).motif());
            phase.put(all.get(i).id(), m == null ? 0 : p.snap(m.board().main().duration() * i / all.size()));
        }
        return phased(b, phase);
    }

    /** With phases drawn by lot from a seed. */
    public static Board shuffle(Board b, Project p, Collection<String> ids, long seed) {
        var random = new Random(seed);
        Map<String, Long> phase = new HashMap<>();
        for (Element e : instances(b, x -> true)) {
            Motif m = p.motif(((Content.Instance) e.content()).motif());
            if (ids.contains(e.id()) && m != null) {
                phase.put(e.id(), p.snap((long) (random.nextDouble() * m.board().main().duration())));
            }
        }
        return phased(b, phase);
    }

    private static Board phased(Board b, Map<String, Long> phase) {
        return b.mapElements(phase.keySet(), e -> {
            var i = (Content.Instance) e.content();
            return e.withContent(i.withClock(i.clock().withPhase(phase.get(e.id()))));
        });
    }
}
