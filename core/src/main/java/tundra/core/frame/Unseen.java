package tundra.core.frame;

import java.util.List;
import tundra.core.geometry.Numbers;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Span;

/** Why an element can't be seen at a moment. */
public final class Unseen {
    /** Below this opacity nothing is seen of it. */
    private static final double FAINT = 0.02;

    private Unseen() {}

    /** One line that says why; null when it can be seen as far as this goes. */
    public static String why(Board board, FrameBuilder builder, Frame frame, String id, Moment m) {
        List<String> path = board.path(id);
        for (String step : path) {
            Element e = board.find(step);
            String name = step.equals(id) ? e.name() + " is " : "its group " + e.name() + " is ";
            if (e.hidden()) {
                return name + "hidden";
            }
            if (!builder.shown(step, m)) {
                Span s = builder.span(step, m);
                if (s == null || !builder.valueAt(step, Properties.SHOWN, m).equals("yes")) {
                    return name + "not shown here";
                }
                return name + "seen only from " + seconds(s.from()) + " to " + seconds(s.to());
            }
            double opacity = builder.valueAt(step, Properties.OPACITY, m);
            if (opacity < FAINT) {
                return name + "faded to " + Numbers.plain(opacity * 100, 0) + " % here";
            }
        }
        return frame.find(id) == null ? board.find(id).name() + " is not seen here" : null;
    }

    private static String seconds(long time) {
        return Numbers.plain(time / 1e6, 2) + " s";
    }
}
