package tundra.core.edit;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Output;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Slot;

/** What an output holds, in a line. */
public final class OutputWords {
    private OutputWords() {}

    /** Such as {@code MP4 · Arrival · 1600×800 · 24 fps}. */
    public static String of(Project p, Output o) {
        var out = new ArrayList<String>();
        Scene s = OutputEdits.scene(p, o);
        if (o.kind() == Outputs.PAGE) {
            return o.text(Outputs.PAGE_AS) + " · HTML, CSS, SVG, script";
        }
        if (o.kind() == Outputs.EMBED) {
            return o.text(Outputs.EMBED_AS).equals("element") ? "an element of its own · script and files" : "a page in a frame";
        }
        if (o.kind() == Outputs.EXCHANGE) {
            return "JSON · all scenes and motifs";
        }
        if (o.kind() == Outputs.FILM || o.kind() == Outputs.LOOP || o.kind() == Outputs.FRAMES) {
            out.add(Outputs.format(o));
        }
        if (o.kind() == Outputs.FRAMES) {
            out.add(switch (o.text(Outputs.WHICH)) {
                case "one moment" -> TimeText.seconds(o.time(Outputs.AT));
                case "each marker" -> "each marker";
                default -> o.number(Outputs.EVERY) == 1 ? "every frame" : "every " + Math.round(o.number(Outputs.EVERY)) + " frames";
            });
        }
        if (p.scenes().size() > 1) {
            out.add(s == null ? "all scenes" : s.name());
        }
        if (o.kind() == Outputs.FILM || o.kind() == Outputs.LOOP || o.kind() == Outputs.FRAMES) {
            Point size = size(p, o);
            out.add(Math.round(size.x()) + "×" + Math.round(size.y()));
        }
        if (o.kind() == Outputs.FILM || o.kind() == Outputs.LOOP) {
            double rate = o.number(Outputs.RATE);
            out.add(Numbers.plain(rate == 0 ? p.frameRate() : rate, 0) + " fps");
        }
        if (o.kind() == Outputs.SHEET) {
            out.add("PNG and JSON");
        }
        if (o.kind() == Outputs.SVG) {
            out.add("CSS keyframes, no script");
        }
        return String.join(" · ", out);
    }

    private static Point size(Project p, Output o) {
        Scene s = OutputEdits.scene(p, o);
        Scene of = s == null ? p.screens().getFirst() : s;
        Point drawn = o.settings().get(Outputs.LAYOUT) instanceof String l && !l.equals(Slot.DRAWN) && of.board().layout(l) != null ? of.board()
                .layout(l).size() : of.board().size();
        double w = o.number(Outputs.WIDTH), h = o.number(Outputs.HEIGHT), shape = drawn.x() / drawn.y();
        return w > 0 ? new Point(w, h > 0 ? h : w / shape) : h > 0 ? new Point(h * shape, h) : drawn;
    }

    /** Of several at once: what they are called, or how many there are. */
    public static String names(List<Output> all) {
        return all.size() == 1 ? all.getFirst().name() : all.size() + " outputs";
    }
}
