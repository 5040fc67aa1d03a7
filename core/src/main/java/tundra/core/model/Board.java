package tundra.core.model;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import tundra.core.geometry.Point;

/** The inside of a scene: a canvas with elements from back to front, timelines and reactions. The first timeline is Main. */
public record Board(Point size, Values canvas, List<Element> elements, List<Timeline> timelines, List<Reaction> reactions) {
    /** Stands for the canvas where an element's id is asked for. */
    public static final String CANVAS = "canvas";

    public Board {
        elements = List.copyOf(elements);
        timelines = List.copyOf(timelines);
        reactions = List.copyOf(reactions);
    }

    public Timeline main() {
        return timelines.getFirst();
    }

    public Timeline timeline(String id) {
        return timelines.stream().filter(t -> t.id().equals(id)).findFirst().orElse(null);
    }

    /** The element of an id, at any depth; null when there is none. */
    public Element find(String id) {
        return Tree.find(elements, id);
    }

    public Board withElements(List<Element> e) {
        return new Board(size, canvas, e, timelines, reactions);
    }

    public Board withCanvas(Values v) {
        return new Board(size, v, elements, timelines, reactions);
    }

    public Board withReactions(List<Reaction> r) {
        return new Board(size, canvas, elements, timelines, r);
    }

    public Board withTimelines(List<Timeline> t) {
        return new Board(size, canvas, elements, t, reactions);
    }

    public Board mapElement(String id, UnaryOperator<Element> change) {
        return withElements(Tree.map(elements, id, change));
    }

    public Board mapTimeline(String id, UnaryOperator<Timeline> change) {
        var out = new ArrayList<>(timelines);
        out.replaceAll(t -> t.id().equals(id) ? change.apply(t) : t);
        return withTimelines(out);
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
        Element e = find(id);
        return e == null ? null : e.rest();
    }

    public Board withRest(String id, UnaryOperator<Values> change) {
        return id.equals(CANVAS) ? withCanvas(change.apply(canvas)) : mapElement(id, e -> e.withRest(change.apply(e.rest())));
    }
}
