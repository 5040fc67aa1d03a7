package tundra.web;

import java.util.List;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.motion.Track;

/** The radius of a rectangle's corners. It never exceeds half of a side; SVG would clamp each axis on its own. */
final class CornerChannel implements Channel {
    @Override
    public List<Property<?>> of() {
        return List.of(Properties.CORNER_RADIUS);
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        Point size = e.box().size();
        double wanted = e.rest(Properties.CORNER_RADIUS), r = Math.min(wanted, Math.min(size.x(), size.y()) / 2);
        if (wanted > 0 && Fluid.is(e.board())) {
            // half of a side that goes with the scene may be the least anywhere
            String least = "min(" + CssText.px(wanted) + "," + CssText.px(size.x() / 2) + "," + CssText.px(size.y() / 2) + ")";
            css.put(e.box().shape(), "rx", least);
            css.put(e.box().shape(), "ry", least);
        } else if (r > 0) {
            css.put(e.box().shape(), "rx", CssText.px(r));
            css.put(e.box().shape(), "ry", CssText.px(r));
        }
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        Track<Double> radius = out.of(e, Properties.CORNER_RADIUS);
        Track<Point> size = out.of(e, Properties.SIZE);
        boolean ever = e.keyed(Properties.CORNER_RADIUS) || e.rest(Properties.CORNER_RADIUS) > 0;
        if (ever && e.apart(Properties.CORNER_RADIUS, Properties.SIZE)) {
            parts(e, radius, size, out);
            return;
        }
        if (radius == null && (size == null || e.rest(Properties.CORNER_RADIUS) == 0)) {
            return;
        }
        for (String property : List.of("rx", "ry")) {
            out.baked(e.box().shape(), property, t -> {
                Point s = size == null ? e.rest(Properties.SIZE) : size.at(t, Properties.SIZE.type()::lerp);
                double r = radius == null ? e.rest(Properties.CORNER_RADIUS) : radius.at(t, Properties.CORNER_RADIUS.type()::lerp);
                return new double[] {Math.max(0, Math.min(r, Math.min(s.x(), s.y()) / 2))};
            }, Tracks.all(Tracks.times(radius), Tracks.times(size)), v -> CssText.px(v[0]));
        }
    }

    /** The parts of a corner that are keyed here, where others are keyed elsewhere. */
    private static void parts(PageElement e, Track<Double> radius, Track<Point> size, Tracks out) {
        Point rest = e.rest(Properties.SIZE);
        String target = e.box().shape();
        out.mixes().rest(target, "corner", e.rest(Properties.CORNER_RADIUS), rest.x(), rest.y());
        out.number(target, Mixes.part("corner", 0), radius);
        out.eased(target, Mixes.part("corner", 1), size, (a, b, p) -> Numbers.plain(a.lerp(b, p).x(), 4));
        out.eased(target, Mixes.part("corner", 2), size, (a, b, p) -> Numbers.plain(a.lerp(b, p).y(), 4));
    }
}
