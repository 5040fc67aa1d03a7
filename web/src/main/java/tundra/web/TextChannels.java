package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import tundra.core.frame.Marks;
import tundra.core.frame.TextLayout;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Numbers;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.motion.Track;

/** The keyed letter spacing of a text; where lines are centred or set to the right, they start elsewhere as they grow. */
final class TextChannels {
    /** Letters that are spaced neither join nor change with their neighbours, in every browser. */
    static final String APART = "\"liga\" 0,\"clig\" 0,\"calt\" 0,\"dlig\" 0,\"hlig\" 0";

    private TextChannels() {}

    static List<PageTrack> of(Timeline timeline, Element e, Boxed box, TextMeasurer measure) {
        Track<Double> track = timeline.track(e.id(), Properties.LETTER_SPACING);
        if (track == null || !(Marks.resolved(e.content(), e.rest()) instanceof Content.Text t)) {
            return List.of();
        }
        String target = box.shape();
        var out = new ArrayList<PageTrack>();
        DoubleFunction<TextLayout> at = time -> TextLayout.of(t.withSpacing(track.at(time, Properties.LETTER_SPACING.type()::lerp)), t.spacing(), false, measure);
        List<Double> times = Channels.times(track);
        // the box grows with the lines, and the pivot lies in it
        out.add(Channels.baked(timeline, box.inner(), "width", time -> new double[] {at.apply(time).box().x()}, times, v -> Baker.px(v[0])));
        out.add(Channels.eased(timeline, target, "letterSpacing", track, (a, b, p) -> Baker.px(a + (b - a) * p)));
        out.add(new PageTrack(target, "!fontFeatureSettings", List.of(new PageTrack.PageKey(0, APART, "step-end"))));
        if (t.align() != Content.Align.LEFT) {
            int lines = at.apply(0).lines().size();
            for (int i = 0; i < lines; i++) {
                int n = i;
                out.add(Channels.baked(timeline, target + "-" + i, "@x", time -> new double[] {at.apply(time).lines().get(n).x()}, times, v -> Numbers.plain(v[0], 4)));
            }
        }
        return out;
    }
}
