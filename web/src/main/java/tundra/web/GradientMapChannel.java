package tundra.web;

import java.util.List;
import tundra.core.model.Properties;
import tundra.core.model.Property;

/** How an element's size stretches its gradients where the browser can't do it. */
final class GradientMapChannel implements Channel {
    @Override
    public List<Property<?>> of() {
        return List.of(Properties.FILL, Properties.STROKE, Properties.SIZE);
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {}

    @Override
    public void keys(PageElement e, Tracks out) {
        if (PaintText.byPlayer(e.board(), e.element(), e.box().size())) {
            GradientChannels.stretched(e, out);
        }
    }
}
