package tundra.core.fit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
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
        return ids.size() > 1 && ids.stream().allMatch(id -> b.find(id) instanceof Element e && Properties.SIZE.appliesTo(e))
                && ids.stream().map(id -> b.path(id).subList(0, b.path(id).size() - 1)).distinct().count() == 1;
    }

    /**
     * Elements side by side from where the first begins to where the last ends, all as wide and as far apart, and in proportion to their parent
     * from then on. Those that can't share stay as they are.
     */
    public static Board across(Board b, Collection<String> ids) {
        if (!can(b, ids)) {
            return b;
        }
        var all = new ArrayList<Element>(ids.stream().map(b::find).toList());
        all.sort(Comparator.comparingDouble(Shares::begin));
        double begin = begin(all.getFirst()), end = all.stream().mapToDouble(e -> begin(e) + width(e)).max().orElse(begin);
        double widths = all.stream().mapToDouble(Shares::width).sum(), gap = Math.max(0, (end - begin - widths) / (all.size() - 1));
        double width = (end - begin - gap * (all.size() - 1)) / all.size();
        Board out = b;
        for (int i = 0; i < all.size(); i++) {
            double at = begin + i * (width + gap);
            out = out.withRest(all.get(i).id(), v -> put(v, at, width));
        }
        return out;
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
