package tundra.core.model;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;

/** Elements within elements. What does not change is shared, not copied. */
public final class Tree {
    private Tree() {}

    public static Element find(List<Element> in, String id) {
        for (Element e : in) {
            if (e.id().equals(id)) {
                return e;
            }
            Element inner = find(e.children(), id);
            if (inner != null) {
                return inner;
            }
        }
        return null;
    }

    /** The ids from the outermost group down to the element itself; empty when there is none. */
    public static List<String> path(List<Element> in, String id) {
        for (Element e : in) {
            if (e.id().equals(id)) {
                return List.of(id);
            }
            List<String> inner = path(e.children(), id);
            if (!inner.isEmpty()) {
                var out = new ArrayList<String>();
                out.add(e.id());
                out.addAll(inner);
                return out;
            }
        }
        return List.of();
    }

    public static List<Element> map(List<Element> in, String id, UnaryOperator<Element> change) {
        return replace(in, id, e -> List.of(change.apply(e)));
    }

    public static List<Element> remove(List<Element> in, String id) {
        return replace(in, id, e -> List.of());
    }

    /** With the element of an id replaced by any number of others in its place; the same list when it isn't there. */
    public static List<Element> replace(List<Element> in, String id, java.util.function.Function<Element, List<Element>> by) {
        for (int i = 0; i < in.size(); i++) {
            Element e = in.get(i);
            List<Element> put;
            if (e.id().equals(id)) {
                put = by.apply(e);
            } else {
                List<Element> children = e.children(), inner = replace(children, id, by);
                if (inner == children || inner.equals(children)) {
                    continue;
                }
                put = List.of(e.withChildren(inner));
            }
            var out = new ArrayList<>(in);
            out.remove(i);
            out.addAll(i, put);
            return out;
        }
        return in;
    }

    public static void each(List<Element> in, Consumer<Element> visit) {
        for (Element e : in) {
            visit.accept(e);
            each(e.children(), visit);
        }
    }

    public static Set<String> ids(List<Element> in) {
        var out = new LinkedHashSet<String>();
        each(in, e -> out.add(e.id()));
        return out;
    }
}
