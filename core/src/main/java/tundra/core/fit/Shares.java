package tundra.core.fit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

/** Equal parts of their parent's width, kept as ties. */
public final class Shares {
    private Shares() {}

    /** What can share a width: at least two with a size, in one parent. */
    public static boolean can(Board b, Collection<String> ids) {
        return ids.size() > 1 && !together(b.elements(), Set.copyOf(ids)).isEmpty();
    }

    /** All of some elements, from the one list that holds them; none where they lie apart, or some have no size. */
    private static List<Element> together(List<Element> in, Set<String> ids) {
        var out = new ArrayList<Element>();
        for (Element e : in) {
            if (ids.contains(e.id()) && Properties.SIZE.appliesTo(e)) {
                out.add(e);
            }
        }
        if (out.size() == ids.size()) {
            return out;
        }
        for (Element e : in) {
            List<Element> inside = together(e.children(), ids);
            if (!inside.isEmpty()) {
                return inside;
            }
        }
        return List.of();
    }

    /**
     * Elements side by side from where the first begins to where the last ends, all as wide and as far apart, and in proportion to their parent
     * from then on. Those that can't share stay as they are.
     */
    public static Board across(Board b, Collection<String> ids) {
        List<Element> of = ids.size() < 2 ? List.of() : together(b.elements(), Set.copyOf(ids));
        if (of.isEmpty()) {
            return b;
        }
        List<Part> all = of.stream().map(Part::of).sorted(Comparator.comparingDouble(Part::begin)).toList();
        double begin = all.getFirst().begin, end = all.stream().mapToDouble(e -> e.begin + e.width).max().orElse(begin);
        double widths = all.stream().mapToDouble(Part::width).sum(), gap = Math.max(0, (end - begin - widths) / (all.size() - 1));
        double width = (end - begin - gap * (all.size() - 1)) / all.size();
        var at = new HashMap<String, Double>();
        for (int i = 0; i < all.size(); i++) {
            at.put(all.get(i).id, begin + i * (width + gap));
        }
        return b.withElements(put(b.elements(), at, width));
    }

    /** All at once: they are many of one list. */
    private static List<Element> put(List<Element> in, Map<String, Double> at, double width) {
        var out = new ArrayList<Element>(in.size());
        boolean same = true;
        for (Element e : in) {
            Element now = at.containsKey(e.id()) ? e.withRest(put(e.rest(), at.get(e.id()), width)) : e;
            List<Element> inside = put(now.children(), at, width);
            now = inside == now.children() ? now : now.withChildren(inside);
            same &= now == e;
            out.add(now);
        }
        return same ? in : out;
    }

    private static final Property<?>[] SET = {Properties.SIZE, Properties.POSITION, Properties.TIE_X, Properties.LEFT_IN, Properties.WIDTH_IN};

    private static Values put(Values v, double at, double width) {
        Point size = v.get(Properties.SIZE), place = v.get(Properties.POSITION);
        return v.overlay(SET, new Object[] {new Point(width, size.y()), new Point(at + v.get(Properties.PIVOT).x() * width, place.y()), "left", "%",
                "%"}, SET.length);
    }

    /** Where an element begins and how wide it is, as drawn. */
    private record Part(String id, double begin, double width) {
        static Part of(Element e) {
            Values v = e.rest();
            double width = v.get(Properties.SIZE).x();
            return new Part(e.id(), v.get(Properties.POSITION).x() - v.get(Properties.PIVOT).x() * width, width);
        }
    }
}
