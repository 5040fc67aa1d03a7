package tundra.web;

import java.util.List;
import java.util.stream.Collectors;
import tundra.core.frame.Form;
import tundra.core.frame.StrokeStyle;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Track;

/** Strokes as CSS text. */
final class StrokeText {
    private StrokeText() {}

    /** Whether each contour has a stroke element of its own: when contours of different lengths are revealed. */
    static boolean split(Board board, Element e) {
        return partly(board, e) && e.content() instanceof Content.Path && contours(board, e) > 1;
    }

    /** Whether a stroke is ever revealed in parts. */
    static boolean partly(Board board, Element e) {
        Point reveal = e.rest().get(Properties.REVEAL);
        return reveal.x() > 0 || reveal.y() < 1 || Keyed.any(board, e.id(), Properties.REVEAL);
    }

    /** How many contours are stroked apart at most: the form that rests may have fewer than one that it changes into. */
    static int contours(Board board, Element e) {
        int most = ((Content.Path) e.content()).outline().contours().size();
        for (Timeline t : board.timelines()) {
            Track<Outline> track = t.track(e.id(), Properties.OUTLINE);
            for (int i = 0; track != null && i < track.keys().size(); i++) {
                most = Math.max(most, track.keys().get(i).value().contours().size());
            }
        }
        return most;
    }

    /** The pattern as {@code stroke-dasharray}. */
    static String dashes(StrokeStyle s) {
        return s.pattern().isEmpty() ? "none" : s.pattern().stream().map(CssText::px).collect(Collectors.joining(" "));
    }

    /** The style of a form of one contour; where nothing of it is revealed, a pattern whose only dash lies past its end. */
    static StrokeStyle hiddenOr(Form form, Values v) {
        var runs = StrokeStyle.runs(form, v);
        if (!runs.isEmpty()) {
            return runs.getFirst().style();
        }
        StrokeStyle all = StrokeStyle.runs(form, v.with(Properties.REVEAL, new Point(0, 1)).with(Properties.DASH, 0.0)).getFirst().style();
        double length = form.outline().segments().stream().mapToDouble(s -> s.length(0, 1)).sum();
        return new StrokeStyle(all.width(), all.ends(), all.joins(), List.of(0.0, 3 * length + 3), -2 * length - 2);
    }
}
