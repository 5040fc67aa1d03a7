package tundra.core.model;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
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
    public static List<Element> replace(List<Element> in, String id, Function<Element, List<Element>> by) {
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

    /** Without the elements of some ids, at any depth; the same list when none is there. */
    public static List<Element> without(List<Element> in, Set<String> ids) {
        List<Element> out = new ArrayList<>(in.size());
        boolean other = false;
        for (Element e : in) {
            List<Element> children = e.children(), inner = ids.contains(e.id()) ? children : without(children, ids);
            other |= ids.contains(e.id()) || inner != children;
            if (!ids.contains(e.id())) {
                out.add(inner == children ? e : e.withChildren(inner));
            }
        }
        return other ? out : in;
    }

    /** With elements replaced by others in their places, by their ids. */
    public static List<Element> replaced(List<Element> in, Map<String, List<Element>> by) {
        var out = new ArrayList<Element>(in.size());
        boolean other = false;
        for (Element e : in) {
            List<Element> put = by.get(e.id());
            if (put != null) {
                out.addAll(put);
                other = true;
                continue;
            }
            List<Element> children = e.children(), inner = replaced(children, by);
            out.add(inner == children ? e : e.withChildren(inner));
            other |= inner != children;
        }
        return other ? out : in;
    }

    /** With groups replaced by what they hold. */
    public static List<Element> opened(List<Element> in, Set<String> groups) {
        var out = new ArrayList<Element>(in.size());
        boolean other = false;
        for (Element e : in) {
            List<Element> children = e.children(), inner = opened(children, groups);
            if (groups.contains(e.id())) {
                out.addAll(inner);
                other = true;
            } else {
                out.add(inner == children ? e : e.withChildren(inner));
                other |= inner != children;
            }
        }
        return other ? out : in;
    }

    /** Of the elements of some ids those that lie in none of the others, from back to front. */
    public static List<Element> topmost(List<Element> in, Set<String> ids) {
        var out = new ArrayList<Element>();
        for (Element e : in) {
            if (ids.contains(e.id())) {
                out.add(e);
            } else {
                out.addAll(topmost(e.children(), ids));
            }
        }
        return out;
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

    /** The ids of all that has values: elements and their effects. */
    public static Set<String> owners(List<Element> in) {
        var out = new LinkedHashSet<String>();
        each(in, e -> {
            out.add(e.id());
            e.effects().forEach(x -> out.add(x.id()));
        });
        return out;
    }

    /** The element that has an effect; null when there is none. */
    static Element withEffect(List<Element> in, String id) {
        for (Element e : in) {
            for (Effect x : e.effects()) {
                if (x.id().equals(id)) {
                    return e;
                }
            }
            Element inner = withEffect(e.children(), id);
            if (inner != null) {
                return inner;
            }
        }
        return null;
    }

    static Effect effect(List<Element> in, String id) {
        Element e = withEffect(in, id);
        return e == null ? null : e.effects().stream().filter(x -> x.id().equals(id)).findFirst().orElse(null);
    }
}
