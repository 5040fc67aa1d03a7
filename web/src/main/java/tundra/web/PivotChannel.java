package tundra.web;

import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.model.Properties;
import tundra.core.model.Property;

/** The pivot: where its box never changes the place that CSS transforms it around, otherwise a shift of the inner box. */
final class PivotChannel implements Channel {
    @Override
    public List<Property<?>> of() {
        return List.of(Properties.PIVOT);
    }

    @Override
    public boolean movesBox() {
        return true;
    }

    private static String shift(Point pivot) {
        return CssText.pair(pivot.times(-100), 5, "%");
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        if (e.box().inner() == null) {
            css.put(e.box().outer(), "transform-origin", CssText.pair(e.rest(Properties.PIVOT).times(e.box().size()), 4, "px"));
        } else {
            css.put(e.box().inner(), "translate", shift(e.rest(Properties.PIVOT)));
        }
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        out.eased(e.box().inner(), "translate", out.of(e, Properties.PIVOT), (a, b, p) -> shift(a.lerp(b, p)));
    }
}
