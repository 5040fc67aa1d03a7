package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.GradientBlend;
import tundra.core.model.Paint;
import tundra.core.model.Property;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/**
 * A fill or a stroke. Colours blend by themselves; between gradients a gradient of the interval's own is changed. A gradient that rests is an
 * attribute of the markup, since its name has to be told from others' on the page.
 */
record PaintChannel(Property<Paint> property, String css, Function<PageElement, List<String>> targets) implements Channel {
    @Override
    public List<Property<?>> of() {
        return List.of(property);
    }

    @Override
    public void rest(PageElement e, StyleSheet sheet) {
        if (e.rest(property) instanceof Color) {
            targets.apply(e).forEach(t -> sheet.put(t, css, PaintText.css(e.element(), property, e.rest(property))));
        }
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        Track<Paint> track = out.of(e, property);
        if (track != null) {
            targets.apply(e).forEach(t -> keys(e, t, track, out));
        }
    }

    private void keys(PageElement e, String target, Track<Paint> track, Tracks out) {
        var keys = new ArrayList<PageTrack.PageKey>();
        double d = out.timeline().duration();
        for (int i = 0; i < track.keys().size(); i++) {
            Key<Paint> k = track.keys().get(i);
            Key<Paint> next = i + 1 < track.keys().size() ? track.keys().get(i + 1) : null;
            var pair = next == null ? null : GradientBlend.pair(k.value(), next.value());
            if (pair != null) {
                String id = PaintText.blendId(e.element(), property, out.timeline(), i);
                if (i > 0 && track.keys().get(i - 1).value() instanceof Color && k.value() instanceof Color) {
                    // the blend of two colours ends with a colour
                    keys.add(new PageTrack.PageKey(k.time() / d, text(e, k.value()), "linear"));
                }
                keys.add(new PageTrack.PageKey(k.time() / d, "url(#" + id + ")", "step-end"));
                Point size = e.box().size();
                GradientChannels.blend(out, id, k, next, pair, PaintText.byShape(e.board(), e.element(), size) ? new Point(1, 1)
                        : PaintText.byPlayer(e.board(), e.element(), size) ? null : size);
            } else if (k.value() instanceof Color && (next == null || next.value() instanceof Color)) {
                keys.add(new PageTrack.PageKey(k.time() / d, text(e, k.value()), EasingPieces.single(k.easing())));
            } else {
                out.held(keys, track.keys(), i, v -> text(e, v));
            }
        }
        out.add(target, css, keys);
    }

    private String text(PageElement e, Paint v) {
        return PaintText.css(e.element(), property, v);
    }
}
