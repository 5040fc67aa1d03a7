package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Set;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scatter.Channel;
import tundra.core.model.Scatter.Range;
import tundra.core.model.Scatter;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Track;

/** Many instances placed by lot in one group that remembers how. What was moved by hand keeps its place when the rest is rolled again. */
public final class Scattering {
    private Scattering() {}

    /** The board and the scatter on it; no scatter where none of the elements is an instance. */
    public record Made(Board board, String scatter) {}

    /** Puts copies of instances, in turn, over an area of the canvas in place of themselves. */
    public static Made make(Project p, Board b, Collection<String> ids, int count, Point at, Point area, long seed) {
        List<Element> of = b.elements().stream().filter(e -> ids.contains(e.id()) && e.content() instanceof Content.Instance).toList();
        if (of.isEmpty()) {
            return new Made(b, null);
        }
        var ranges = new EnumMap<Channel, Range>(Channel.class);
        ranges.put(Channel.X, new Range(0, area.x(), seed));
        ranges.put(Channel.Y, new Range(0, area.y(), seed + 1));
        ranges.put(Channel.SCALE, new Range(0.6, 1.1, seed + 2));
        ranges.put(Channel.ROTATION, new Range(0, 0, seed + 3));
        ranges.put(Channel.PHASE, new Range(0, 1, seed + 4));
        ranges.put(Channel.OPACITY, new Range(1, 1, seed + 5));
        var scatter = new Scatter(count, ranges);
        List<Element> children = filled(p, of, List.of(), scatter);
        var group = new Element(Names.free(b, "Scatter"), new Content.Group(children, area, null, scatter), Values.NONE.with(Properties.POSITION,
                at));
        var all = new ArrayList<Element>();
        boolean put = false;
        for (Element e : b.elements()) {
            if (!of.contains(e)) {
                all.add(e);
            } else if (!put) {
                all.add(group);
                put = true;
            }
        }
        Board out = b.withElements(all);
        for (Element e : of) {
            for (Timeline t : out.timelines()) {
                out = out.mapTimeline(t.id(), x -> x.of(id -> !id.equals(e.id())));
            }
        }
        return new Made(out, group.id());
    }

    /** As many children as the numbers say: those that are there, then copies of them in turn. */
    private static List<Element> filled(Project p, List<Element> sources, List<Element> there, Scatter s) {
        var out = new ArrayList<>(there.subList(0, Math.min(there.size(), s.count())));
        while (out.size() < s.count()) {
            Element from = sources.get(out.size() % sources.size());
            int i = out.size();
            Element e = from.withId(Ids.next()).withName(from.name() + " " + (i + 1)).withEffects(Effects.renewed(from.effects(), new HashMap<>()));
            for (Channel c : Channel.values()) {
                e = set(p, e, c, s.range(c).at(i));
            }
            out.add(e);
        }
        return out;
    }

    /** With other numbers: what changed of them is drawn anew, but for instances that have been given another value by hand. */
    public static Board change(Project p, Board b, String scatter, Scatter to) {
        Element e = b.find(scatter);
        if (e == null || !(e.content() instanceof Content.Group g) || g.scatter() == null) {
            return b;
        }
        var moved = new ArrayList<Element>();
        for (int i = 0; i < Math.min(to.count(), g.children().size()); i++) {
            Element c = g.children().get(i);
            for (Channel ch : Channel.values()) {
                Range was = g.scatter().range(ch), now = to.range(ch);
                if (!was.equals(now) && same(value(p, c, ch), valued(p, c, ch, was.at(i)))) {
                    c = set(p, c, ch, now.at(i));
                }
            }
            moved.add(c);
        }
        List<Element> children = filled(p, g.children().isEmpty() ? List.of() : g.children(), moved, to);
        Board out = carried(b, g.children(), moved).mapElement(scatter, x -> x.withContent(new Content.Group(children, g.box(), g.clip(), to)));
        if (to.count() < g.children().size()) {
            Set<String> gone = Tree.owners(g.children().subList(to.count(), g.children().size()));
            out = out.withTimelines(out.timelines().stream().map(t -> t.of(id -> !gone.contains(id))).toList());
        }
        return out;
    }

    /** All instances where the numbers say, those that were moved by hand as well. */
    public static Board reset(Project p, Board b, String scatter) {
        Element e = b.find(scatter);
        if (e == null || !(e.content() instanceof Content.Group g) || g.scatter() == null) {
            return b;
        }
        var all = new ArrayList<Element>();
        for (int i = 0; i < g.children().size(); i++) {
            Element c = g.children().get(i);
            for (Channel ch : Channel.values()) {
                c = set(p, c, ch, g.scatter().range(ch).at(i));
            }
            all.add(c);
        }
        return carried(b, g.children(), all).mapElement(scatter, x -> x.withChildren(all));
    }

    /** Takes the keys of instances along with their resting values. */
    private static Board carried(Board b, List<Element> before, List<Element> after) {
        for (int i = 0; i < after.size(); i++) {
            Values was = before.get(i).rest(), now = after.get(i).rest();
            if (was != now) {
                for (Property<?> p : List.of(Properties.POSITION, Properties.SCALE, Properties.ROTATION, Properties.OPACITY)) {
                    b = carried(b, after.get(i).id(), p, was, now);
                }
                Point from = was.get(Properties.POSITION), to = now.get(Properties.POSITION);
                b = carried(b, after.get(i).id(), Properties.POSITION_X, from.x(), to.x());
                b = carried(b, after.get(i).id(), Properties.POSITION_Y, from.y(), to.y());
            }
        }
        return b;
    }

    private static <T> Board carried(Board b, String id, Property<T> p, Values was, Values now) {
        return carried(b, id, p, was.get(p), now.get(p));
    }

    private static <T> Board carried(Board b, String id, Property<T> p, T was, T now) {
        for (Timeline t : was.equals(now) ? List.<Timeline>of() : b.timelines()) {
            Track<T> track = t.track(id, p);
            if (track != null) {
                b = b.mapTimeline(t.id(), x -> x.with(id, p, track.map(k -> k.with(p.clamped(p.type().shifted(k.value(), was, now))))));
            }
        }
        return b;
    }

    /** Forgets the numbers: what is left is a plain group of instances. */
    public static Board settle(Board b, String scatter) {
        return b.mapElement(scatter, x -> x.content() instanceof Content.Group g ? x.withContent(new Content.Group(g.children(), g.box(), g.clip()))
                : x);
    }

    private static boolean same(double a, double b) {
        return Math.abs(a - b) < 1e-9;
    }

    private static double value(Project p, Element e, Channel c) {
        Values v = e.rest();
        return switch (c) {
            case X -> v.get(Properties.POSITION).x();
            case Y -> v.get(Properties.POSITION).y();
            case SCALE -> v.get(Properties.SCALE).x();
            case ROTATION -> v.get(Properties.ROTATION);
            case PHASE -> ((Content.Instance) e.content()).clock().phase();
            case OPACITY -> v.get(Properties.OPACITY);
        };
    }

    /** What the channel would hold for a drawn number. */
    private static double valued(Project p, Element e, Channel c, double drawn) {
        return value(p, set(p, e, c, drawn), c);
    }

    private static Element set(Project p, Element e, Channel c, double drawn) {
        Point at = e.rest().get(Properties.POSITION);
        return switch (c) {
            case X -> e.with(Properties.POSITION, new Point(drawn, at.y()));
            case Y -> e.with(Properties.POSITION, new Point(at.x(), drawn));
            case SCALE -> e.with(Properties.SCALE, new Point(drawn, drawn));
            case ROTATION -> e.with(Properties.ROTATION, drawn);
            case PHASE -> {
                var i = (Content.Instance) e.content();
                Motif m = p.motif(i.motif());
                yield m == null ? e : e.withContent(i.withClock(i.clock().withPhase(p.snap(Math.round(drawn * m.board().main().duration())))));
            }
            case OPACITY -> e.with(Properties.OPACITY, drawn);
        };
    }
}
