package tundra.web;

import java.util.ArrayList;
import java.util.List;
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
    private TextChannels() {}

    static List<PageTrack> of(Timeline timeline, Element e, Boxed box, TextMeasurer measure) {
        Track<Double> track = timeline.track(e.id(), Properties.LETTER_SPACING);
        if (track == null || !(e.content() instanceof Content.Text t)) {
            return List.of();
        }
        String target = box.shape();
        var out = new ArrayList<PageTrack>();
        // the box grows with the lines, and the pivot lies in it
        out.add(Channels.baked(timeline, box.inner(), "width",
                time -> new double[] {TextLayout.of(t.withSpacing(track.at(time, Properties.LETTER_SPACING.type()::lerp)), measure).box().x()},
                Channels.times(track), v -> Baker.px(v[0])));
        out.add(Channels.eased(timeline, target, "letterSpacing", track, (a, b, p) -> Baker.px(a + (b - a) * p)));
        if (t.align() != Content.Align.LEFT) {
            int lines = TextLayout.of(t, measure).lines().size();
            for (int i = 0; i < lines; i++) {
                int n = i;
                out.add(Channels.baked(timeline, target + "-" + i, "@x",
                        time -> new double[] {line(t, track.at(time, Properties.LETTER_SPACING.type()::lerp), n, measure)}, Channels.times(track),
                        v -> Numbers.plain(v[0], 4)));
            }
        }
        return out;
    }

    private static double line(Content.Text t, double spacing, int line, TextMeasurer measure) {
        var lines = TextLayout.of(t.withSpacing(spacing), measure).lines();
        return lines.get(Math.min(line, lines.size() - 1)).x();
    }
}
