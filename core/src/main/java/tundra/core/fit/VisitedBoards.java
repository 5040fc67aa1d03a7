package tundra.core.fit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import tundra.core.block.Mercator;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Point;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Makes boards as a visitor's page has changed them; motifs in which something was changed become motifs of their own. */
final class VisitedBoards {
    private final Set<String> showable;
    private final TextMeasurer measure;
    private Project project;

    /** @param showable what some sentence may bring to sight */
    VisitedBoards(Project project, Set<String> showable, TextMeasurer measure) {
        this.project = project;
        this.showable = showable;
        this.measure = measure;
    }

    /** With the motifs and values that the boards made so far need. */
    Project project() {
        return project;
    }

    /** @param moment where the board's timelines stand */
    Board board(Board b, BoardChanges c, Moment moment) {
        if (c.nothing()) {
            return b;
        }
        var ids = new HashSet<String>();
        Tree.each(b.elements(), e -> {
            boolean hides = c.hidden().contains(e.id());
            if (hides != e.hidden() && (hides || showable.contains(e.id()))) {
                ids.add(e.id());
            }
        });
        Board out = b.mapElements(ids, e -> e.withHidden(!e.hidden()));
        for (BoardChanges.Scripted x : c.scripted()) {
            out = out.find(x.element()) == null ? out : out.mapElement(x.element(), e -> e.withRest(scripted(e.rest(), x)));
        }
        for (Map.Entry<String, String> x : c.words().entrySet()) {
            Element e = out.find(x.getKey());
            out = e != null && e.content() instanceof Content.Text t ? out.mapElement(e.id(), y -> worded(y, t, x.getValue())) : out;
        }
        for (Map.Entry<String, BoardChanges.BlockState> x : c.blocks().entrySet()) {
            Content.Block block = Blocks.of(out.find(x.getKey()));
            if (block != null) {
                Content.Block now = block(x.getKey(), block, x.getValue());
                out = out.mapElement(x.getKey(), e -> e.withContent(now));
            }
        }
        out = set(out, c.sets(), moment);
        for (Map.Entry<String, BoardChanges> x : c.inside().entrySet()) {
            Element e = out.find(x.getKey());
            if (e != null && e.content() instanceof Content.Instance i && project.motif(i.motif()) instanceof Motif m && !x.getValue().nothing()) {
                Motif own = m.withId(m.id() + " " + project.motifs().size())
                        .withBoard(board(m.board(), x.getValue(), moment.insides().getOrDefault(e.id(), Moment.REST)));
                project = project.withMotifs(Stream.concat(project.motifs().stream(), Stream.of(own)).toList());
                out = out.mapElement(e.id(), y -> y.withContent(new Content.Instance(own.id(), i.box(), i.clock())));
            }
        }
        return out;
    }

    /** With other words in its first line and nothing in the others, which stay where they were. */
    private Element worded(Element e, Content.Text t, String words) {
        Point before = box(e);
        Element plain = e.withContent(t.withText(words)).withRest(e.rest().with(Properties.WRAP, 0.0));
        int lines = Math.max(1, (int) Math.round(before.y() / box(plain).y()));
        Element out = plain.withContent(t.withText(words + "\n".repeat(lines - 1)));
        double fixed = switch (t.with(e.rest()).align()) {
            case LEFT -> 0;
            case CENTRE -> 0.5;
            case RIGHT -> 1;
        };
        Point pivot = e.rest().get(Properties.PIVOT), after = box(out);
        return after.x() == 0 ? out : out.withRest(out.rest().with(Properties.PIVOT, new Point(fixed + (pivot.x() - fixed) * before.x() / after.x(),
                pivot.y())));
    }

    private Point box(Element text) {
        var b = new Board(Point.ZERO, Values.NONE, List.of(text), List.of(), List.of());
        return new FrameBuilder(b, measure, null, false, Frames.motifs(project, measure, null)).boxAt(text, Moment.REST);
    }

    private static Values scripted(Values rest, BoardChanges.Scripted x) {
        Values out = rest.with(Properties.POSITION, rest.get(Properties.POSITION).plus(x.by()));
        out = x.opacity() == null ? out : out.with(Properties.OPACITY, x.opacity());
        out = x.rotation() == null ? out : out.with(Properties.ROTATION, x.rotation());
        out = x.scale() == null ? out : out.with(Properties.SCALE, new Point(x.scale(), x.scale()));
        return x.fill() == null ? out : out.with(Properties.FILL, x.fill());
    }

    /** A block that begins where this one stands. */
    private Content.Block block(String id, Content.Block b, BoardChanges.BlockState s) {
        Content.Block out = b;
        if (s.item() != null) {
            out = out.with(Blocks.FIRST, s.item() + 1);
        }
        if (s.time() != null) {
            out = out.with(Blocks.POSTER_AT, s.time()).with(Blocks.TIME_BY, "its own");
        }
        if (s.middle() != null && s.zoom() != null) {
            Point middle = Mercator.degrees(s.middle(), s.zoom());
            out = out.with(Blocks.LONGITUDE, middle.x()).with(Blocks.LATITUDE, middle.y()).with(Blocks.ZOOM, s.zoom());
        }
        if (s.words() != null && b.kind() == Blocks.COUNTDOWN) {
            return out.with(Blocks.UNTIL, "").with(Blocks.OVER_WORDS, s.words());
        }
        if (s.words() != null) {
            var value = new PieceValue("visited " + id, id, PieceValue.Kind.TEXT, s.words(), false);
            var all = new ArrayList<>(project.values());
            all.removeIf(v -> v.id().equals(value.id()));
            all.add(value);
            project = project.withValues(all);
            return out.with(Blocks.OF_VALUE, value.id());
        }
        return out;
    }

    /** Each set property is what it is so far on its way from what is seen without it. */
    private Board set(Board b, List<BoardChanges.SetState> sets, Moment moment) {
        Board out = b;
        for (BoardChanges.SetState s : sets) {
            Timeline t = out.timeline(s.timeline());
            if (t == null) {
                continue;
            }
            Moment under = new Moment(moment.standings().stream().takeWhile(x -> !x.timeline().equals(t.id())).toList(), moment.since(),
                    moment.insides());
            var without = new FrameBuilder(out, measure);
            Timeline now = t;
            for (var of : t.tracks().entrySet()) {
                for (Property<?> p : of.getValue().keySet()) {
                    now = with(now, without, of.getKey(), p, s, under);
                }
            }
            Timeline changed = now;
            out = out.withTimelines(out.timelines().stream().map(x -> x == t ? changed : x).toList());
        }
        return out;
    }

    private static <T> Timeline with(Timeline t, FrameBuilder without, String id, Property<T> p, BoardChanges.SetState s, Moment under) {
        Track<T> way = t.track(id, p);
        T from = without.valueAt(id, p, under), first = way.keys().getFirst().value(), last = way.keys().getLast().value();
        T now = s.by() ? moved(p, from, first, last, s.share()) : s.share() == 0 ? from : p.type().lerp(from, last, s.share());
        return t.with(id, p, new Track<>(List.of(new Key<>(0, now, Easing.LINEAR))));
    }

    private static <T> T moved(Property<T> p, T from, T first, T last, double times) {
        double[] a = p.type().parts(from), b = p.type().parts(first), c = p.type().parts(last), out = new double[a.length];
        for (int i = 0; i < out.length; i++) {
            out[i] = a[i] + times * (c[i] - b[i]);
        }
        return p.type().of(out);
    }
}
