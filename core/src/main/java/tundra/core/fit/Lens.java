package tundra.core.fit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import tundra.core.edit.Resting;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Differs;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Layout;
import tundra.core.model.Limits;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** A board as it is in one of its layouts: a plain board, of which whoever evaluates, paints and edits knows nothing of layouts. */
public final class Lens {
    /** A span that hides nothing: an element that is always seen in a layout, though not in the base. */
    static final Span ALWAYS = new Span(0, Limits.TIME);

    private Lens() {}

    /** The base alone. */
    public static Board base(Board b) {
        return b.layouts().isEmpty() ? b : b.withLayouts(List.of());
    }

    /** The board in a layout; the base where there is none of that id. What doesn't differ are the same instances. */
    public static Board get(Board base, String layout) {
        Layout l = layout == null ? null : base.layout(layout);
        Board b = base(base);
        if (l == null) {
            return b;
        }
        Differs d = l.differs();
        b = b.withSize(l.size());
        if (d.values().containsKey(Board.CANVAS)) {
            b = b.withCanvas(over(b.canvas(), d.values().get(Board.CANVAS), p -> true));
        }
        var touched = new HashSet<String>();
        Tree.each(b.elements(), e -> {
            if (d.values().containsKey(e.id()) || d.words().containsKey(e.id()) || d.order().containsKey(e.id()) || e.effects().stream()
                    .anyMatch(x -> d.values().containsKey(x.id()))) {
                touched.add(e.id());
            }
        });
        b = touched.isEmpty() ? b : b.mapElements(touched, e -> element(e, d));
        if (d.order().containsKey("")) {
            b = b.withElements(ordered(b.elements(), d.order().get("")));
        }
        return reactions(timelines(b, d), d);
    }

    private static Element element(Element e, Differs d) {
        Element out = e;
        Values v = d.values().get(e.id());
        if (v != null) {
            out = out.withRest(over(out.rest(), v, p -> p.appliesTo(e) && p != Properties.OUTLINE));
            if (v.has(Properties.OUTLINE) && out.content() instanceof Content.Path p) {
                out = out.withContent(new Content.Path(v.get(Properties.OUTLINE), p.box(), p.evenOdd()));
            }
        }
        if (d.words().get(e.id()) instanceof String words && out.content() instanceof Content.Text t) {
            out = out.withContent(t.withText(words));
        }
        if (out.effects().stream().anyMatch(x -> d.values().containsKey(x.id()))) {
            out = out.withEffects(out.effects().stream().map(x -> d.values().get(x.id()) instanceof Values own
                    ? x.withRest(over(x.rest(), own, p -> p.appliesTo(x))) : x).toList());
        }
        return d.order().get(e.id()) instanceof List<String> order && out.content() instanceof Content.Parent g && !(g instanceof Flipbook)
                ? out.withContent(g.withChildren(ordered(g.children(), order))) : out;
    }

    private static Values over(Values of, Values differ, Function<Property<?>, Boolean> fits) {
        Values out = of;
        for (Property<?> p : Properties.ALL) {
            out = differ.has(p) && fits.apply(p) ? with(out, p, differ) : out;
        }
        return out;
    }

    private static <T> Values with(Values v, Property<T> p, Values from) {
        return v.with(p, from.get(p));
    }

    /** Those that are named in their order, each where one of them stood; others, such as later ones, stay where they are. */
    static List<Element> ordered(List<Element> all, List<String> order) {
        var byId = new LinkedHashMap<String, Element>();
        all.forEach(e -> byId.put(e.id(), e));
        var named = order.stream().filter(byId::containsKey).map(byId::get).iterator();
        Set<String> meant = Set.copyOf(order);
        return all.stream().map(e -> meant.contains(e.id()) ? named.next() : e).toList();
    }

    private static Board timelines(Board b, Differs d) {
        Board out = b;
        for (Timeline t : b.timelines()) {
            Differs.OfTimeline x = d.timelines().get(t.id());
            if (x == null) {
                continue;
            }
            Timeline now = x.starts() == null ? t : t.withStarts(x.starts());
            for (Differs.Keyed k : x.gone()) {
                now = now.with(k.owner(), k.property(), null);
            }
            for (var e : x.tracks().entrySet()) {
                now = b.owner(e.getKey().owner()) == null ? now : track(now, e.getKey().owner(), e.getKey().property(), e.getValue());
            }
            for (var e : x.shown().entrySet()) {
                now = b.find(e.getKey()) == null ? now : now.withShown(e.getKey(), e.getValue().equals(ALWAYS) ? null : e.getValue());
            }
            Timeline done = now;
            out = out.mapTimeline(t.id(), y -> done);
            out = x.ended() ? ended(out, t.id()) : out;
        }
        return out;
    }

    @SuppressWarnings("unchecked")
    private static <T> Timeline track(Timeline t, String owner, Property<T> p, Track<?> track) {
        return t.with(owner, p, (Track<T>) track);
    }

    /** What a timeline moves rests where it ends, and the timeline waits. */
    private static Board ended(Board b, String timeline) {
        Board out = b;
        for (var of : b.timeline(timeline).tracks().entrySet()) {
            for (var track : of.getValue().entrySet()) {
                out = resting(out, of.getKey(), track.getKey(), track.getValue());
            }
        }
        return out.mapTimeline(timeline, t -> t.withStarts(false));
    }

    @SuppressWarnings("unchecked")
    private static <T> Board resting(Board b, String owner, Property<T> p, Track<?> track) {
        Key<T> last = (Key<T>) track.keys().getLast();
        return Resting.with(b, owner, p, last.value());
    }

    private static Board reactions(Board b, Differs d) {
        if (d.reactions().isEmpty() && d.off().isEmpty()) {
            return b;
        }
        var left = new LinkedHashMap<>(d.reactions());
        var out = new ArrayList<Reaction>();
        for (Reaction r : b.reactions()) {
            Reaction own = left.remove(r.id());
            if (own != null) {
                out.add(own);
            } else if (!d.off().contains(r.id())) {
                out.add(r);
            }
        }
        out.addAll(left.values());
        return b.withReactions(out);
    }

    /** Where a change goes that was made in a layout. */
    public enum Scope {
        /** To the base, and so to every layout that doesn't differ there. */
        EVERYWHERE,
        /** To the layout that it was made in. */
        ONLY_HERE
    }

    /**
     * The base after its board in a layout was changed. What was not changed stays as it is, in the base and in every layout. Elements and
     * timelines themselves are the base's; one that is made in a layout alone is shown there alone, and one that is deleted there isn't.
     *
     * @param layout null for the base itself
     * @param edited the board that {@link #get} gave, changed
     */
    public static Board put(Board base, String layout, Board edited, Scope scope) {
        Layout l = layout == null ? null : base.layout(layout);
        if (l == null) {
            return followed(base, edited.withLayouts(base.layouts()));
        }
        Board seen = get(base, layout);
        return edited == seen ? base : new Written(base, layout, seen, base(edited), scope).board();
    }

    /** A changed base, with what its layouts say of elements that went into other groups counted from there. */
    static Board followed(Board before, Board after) {
        if (after.layouts().isEmpty() || before.elements() == after.elements()) {
            return after;
        }
        Map<String, Point> moved = Moved.between(before, after);
        return moved.isEmpty() ? after : after.withLayouts(after.layouts().stream().map(x -> x.withDiffers(Moved.moved(x.differs(), moved)))
                .toList());
    }

    /** A version of a piece after its bases were changed, as {@link #put} makes it: layouts follow. */
    public static Project followed(Project before, Project after) {
        Project out = after;
        for (Place p : after.places()) {
            Place was = before.place(p.id());
            Board now = was == null || was == p ? p.board() : followed(was.board(), p.board());
            out = now == p.board() ? out : out.mapBoard(p.id(), b -> now);
        }
        return out;
    }
}
