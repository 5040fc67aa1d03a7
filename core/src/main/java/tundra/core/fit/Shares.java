package tundra.core.fit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Set;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
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
        var all = new ArrayList<>(ids.size() < 2 ? List.<Element>of() : together(b.elements(), Set.copyOf(ids)));
        if (all.isEmpty()) {
            return b;
        }
        all.sort(Comparator.comparingDouble(Shares::begin));
        double begin = begin(all.getFirst()), end = all.stream().mapToDouble(e -> begin(e) + width(e)).max().orElse(begin);
        double widths = all.stream().mapToDouble(Shares::width).sum(), gap = Math.max(0, (end - begin - widths) / (all.size() - 1));
        double width = (end - begin - gap * (all.size() - 1)) / all.size();
        var at = new HashMap<String, Double>();
        for (int i = 0; i < all.size(); i++) {
            at.put(all.get(i).id(), begin + i * (width + gap));
        }
        return b.mapElements(at.keySet(), e -> e.withRest(put(e.rest(), at.get(e.id()), width)));
    }

    private static Values put(Values v, double at, double width) {
        Point size = v.get(Properties.SIZE), place = v.get(Properties.POSITION);
        return v.with(Properties.SIZE, new Point(width, size.y())).with(Properties.POSITION, new Point(at + v.get(Properties.PIVOT).x() * width, place.y()))
                .with(Properties.TIE_X, "left").with(Properties.LEFT_IN, "%").with(Properties.WIDTH_IN, "%");
    }

    private static double begin(Element e) {
        return e.rest().get(Properties.POSITION).x() - e.rest().get(Properties.PIVOT).x() * width(e);
    }

    private static double width(Element e) {
        return e.rest().get(Properties.SIZE).x();
    }
}
