package tundra.core.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import tundra.core.geometry.Point;

/**
 * The inside of a scene: a canvas with elements from back to front, timelines, reactions, ruler lines, what visitors can drag, and its further
 * layouts. The first timeline is Main.
 */
public record Board(Point size, Values canvas, List<Element> elements, List<Timeline> timelines, List<Reaction> reactions,
        List<RulerLine> lines, List<Dragging> drags, List<Layout> layouts) {
    /** Stands for the canvas where an element's id is asked for. */
    public static final String CANVAS = "canvas";

    public Board {
        elements = Elements.of(elements);
        timelines = List.copyOf(timelines);
        reactions = List.copyOf(reactions);
        lines = List.copyOf(lines);
        drags = List.copyOf(drags);
        layouts = List.copyOf(layouts);
    }

    /** One that is the same at every width. */
    public Board(Point size, Values canvas, List<Element> elements, List<Timeline> timelines, List<Reaction> reactions, List<RulerLine> lines,
            List<Dragging> drags) {
        this(size, canvas, elements, timelines, reactions, lines, drags, List.of());
    }

    /** One on which nothing can be dragged. */
    public Board(Point size, Values canvas, List<Element> elements, List<Timeline> timelines, List<Reaction> reactions, List<RulerLine> lines) {
        this(size, canvas, elements, timelines, reactions, lines, List.of());
    }

    public Board(Point size, Values canvas, List<Element> elements, List<Timeline> timelines, List<Reaction> reactions) {
        this(size, canvas, elements, timelines, reactions, List.of());
    }

    public Timeline main() {
        return timelines.getFirst();
    }

    public Timeline timeline(String id) {
        for (Timeline t : timelines) {
            if (t.id().equals(id)) {
                return t;
            }
        }
        return null;
    }

    /** The element of an id, at any depth; null when there is none. */
    public Element find(String id) {
        return ((Elements) elements).find(id);
    }

    /** The ids from the outermost group down to an element itself; empty when there is none. */
    public List<String> path(String id) {
        return ((Elements) elements).path(id);
    }

    public Board withElements(List<Element> e) {
        return new Board(size, canvas, e, timelines, reactions, lines, drags, layouts);
    }

    public Board withCanvas(Values v) {
        return new Board(size, v, elements, timelines, reactions, lines, drags, layouts);
    }

    public Board withReactions(List<Reaction> r) {
        return new Board(size, canvas, elements, timelines, r, lines, drags, layouts);
    }

    public Board withTimelines(List<Timeline> t) {
        return new Board(size, canvas, elements, t, reactions, lines, drags, layouts);
    }

    public Board withLines(List<RulerLine> l) {
        return new Board(size, canvas, elements, timelines, reactions, l, drags, layouts);
    }

    public Board withDrags(List<Dragging> d) {
        return new Board(size, canvas, elements, timelines, reactions, lines, d, layouts);
    }

    public Board withLayouts(List<Layout> l) {
        return new Board(size, canvas, elements, timelines, reactions, lines, drags, l);
    }

    /** The layout of an id; null for the base. */
    public Layout layout(String id) {
        return layouts.stream().filter(l -> l.id().equals(id)).findFirst().orElse(null);
    }

    public Board mapLayout(String id, UnaryOperator<Layout> change) {
        return withLayouts(layouts.stream().map(l -> l.id().equals(id) ? change.apply(l) : l).toList());
    }

    public Board withSize(Point s) {
        return new Board(s, canvas, elements, timelines, reactions, lines, drags, layouts);
    }

    public Board mapElement(String id, UnaryOperator<Element> change) {
        return with(((Elements) elements).map(id, change));
    }

    /** With several elements changed, each by itself. */
    public Board mapElements(Set<String> ids, UnaryOperator<Element> change) {
        return with(((Elements) elements).map(ids, change));
    }

    /** Lets go of what can be made again once another version, null for none, took this one's place. */
    void release(Board next) {
        ((Elements) elements).release(next == null ? null : (Elements) next.elements);
    }

    private Board with(Elements e) {
        return e == elements ? this : withElements(e);
    }

    public Board mapTimeline(String id, UnaryOperator<Timeline> change) {
        for (int i = 0; i < timelines.size(); i++) {
            Timeline was = timelines.get(i);
            if (was.id().equals(id)) {
                Timeline now = change.apply(was);
                if (now == was) {
                    return this;
                }
                var out = new ArrayList<>(timelines);
                out.set(i, now);
                return withTimelines(out);
            }
        }
        return this;
    }

    public Board mapReaction(String id, UnaryOperator<Reaction> change) {
        var out = new ArrayList<>(reactions);
        out.replaceAll(r -> r.id().equals(id) ? change.apply(r) : r);
        return withReactions(out);
    }

    /** The resting values of an element or of the canvas; null when there is no such element. */
    public Values rest(String id) {
        if (id.equals(CANVAS)) {
            return canvas;
        }
        Owner o = owner(id);
        return o == null ? null : o.rest();
    }

    /** The canvas, an element or an effect by its id; null when there is none. */
    public Owner owner(String id) {
        if (id.equals(CANVAS)) {
            return new Canvas(canvas);
        }
        Element e = find(id);
        return e != null ? e : Tree.effect(elements, id);
    }

    /** The element that has an effect, or is the element itself; null for the canvas and for what isn't there. */
    public Element holder(String owner) {
        Element e = find(owner);
        return e != null ? e : Tree.withEffect(elements, owner);
    }

    private Board withEffect(String id, UnaryOperator<Values> change) {
        Element holder = Tree.withEffect(elements, id);
        return holder == null ? this : mapElement(holder.id(), e -> e.withEffects(e.effects().stream()
                .map(x -> x.id().equals(id) ? x.withRest(change.apply(x.rest())) : x).toList()));
    }

    public Board withRest(String id, UnaryOperator<Values> change) {
        return id.equals(CANVAS) ? withCanvas(change.apply(canvas))
                : find(id) == null ? withEffect(id, change) : mapElement(id, e -> e.withRest(change.apply(e.rest())));
    }
}
