package tundra.web;

import java.util.List;
import java.util.function.DoubleFunction;
import tundra.core.geometry.Numbers;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.motion.Track;

/** Opacity. Where an easing leaves 0 to 1, engines differ in when they clamp it: there it is cut into pieces that stay within. */
final class OpacityChannel implements Channel {
    /** Weighs an opacity of 1 against a pixel, so that baked opacities keep within a hundred-thousandth. */
    private static final double WEIGHT = 1600;

    @Override
    public List<Property<?>> of() {
        return List.of(Properties.OPACITY);
    }

    @Override
    public void rest(PageElement e, StyleSheet css) {
        if (e.rest(Properties.OPACITY) != 1) {
            css.put(e.box().outer(), "opacity", Channels.plain(e.rest(Properties.OPACITY)));
        }
    }

    @Override
    public void keys(PageElement e, Tracks out) {
        Track<Double> track = out.of(e, Properties.OPACITY);
        if (track == null) {
            return;
        }
        DoubleFunction<Double> at = t -> track.at(t, Properties.OPACITY.type()::lerp);
        if (Baker.leaves(track, at, v -> v < -1e-9 || v > 1 + 1e-9)) {
            out.baked(e.box().outer(), "opacity", t -> new double[] {Numbers.clamp(at.apply(t), 0, 1) * WEIGHT}, Tracks.times(track),
                    v -> Channels.plain(v[0] / WEIGHT));
        } else {
            out.eased(e.box().outer(), "opacity", track, (a, b, p) -> Channels.plain(a + (b - a) * p));
        }
    }
}
