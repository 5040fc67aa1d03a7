package tundra.core.block;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Rect;
import tundra.core.model.Blocks;
import tundra.core.model.Content;

/**
 * Where the parts of a field lie in its box, in px; canvas and page go by it.
 *
 * @param label the line of the label; null where there is none
 * @param input what is filled in
 * @param buttons of a choice that is shown as buttons, one for each choice; empty for anything else
 */
public record FieldLayout(Rect label, Rect input, List<Rect> buttons) {
    public static final double LINE = 1.3, GAP = 6, PAD = 10, TICK = 20, TRACK = 4, THUMB = 9, ARROW = 5;

    public static FieldLayout of(Content.Block b) {
        double line = line(b), w = b.box().x(), h = b.box().y();
        boolean says = !b.text(Blocks.LABEL).isEmpty();
        if (b.kind() == Blocks.TICK) {
            return new FieldLayout(says ? new Rect(TICK + PAD, (h - line) / 2, Math.max(0, w - TICK - PAD), line) : null,
                    new Rect(0, Math.round((h - TICK) / 2), TICK, TICK), List.of());
        }
        double top = says ? line + GAP : 0;
        var input = new Rect(0, top, w, Math.max(1, h - top));
        var buttons = new ArrayList<Rect>();
        if (b.kind() == Blocks.CHOICE && b.text(Blocks.SHOWN_AS).equals("buttons")) {
            int n = choices(b).size();
            double each = (w - (n - 1) * GAP) / n;
            for (int i = 0; i < n; i++) {
                double left = Math.round(i * (each + GAP));
                buttons.add(new Rect(left, top, Math.max(1, Math.round((i + 1) * (each + GAP) - GAP) - left), input.height()));
            }
        }
        return new FieldLayout(says ? new Rect(0, 0, w, line) : null, input, buttons);
    }

    /** The height of a line of words, in whole px, as browsers lay out what is filled in. */
    public static double line(Content.Block b) {
        return Math.round(b.number(Blocks.LETTERS) * LINE);
    }

    /** Where a line of words begins that lies in the middle of a box. */
    public static double middle(Rect r, double line) {
        return r.y() + Math.floor((r.height() - line) / 2);
    }

    /** What can be chosen, one at least. */
    public static List<String> choices(Content.Block b) {
        List<String> all = b.text(Blocks.CHOICES).lines().map(String::strip).filter(s -> !s.isEmpty()).distinct().limit(200).toList();
        return all.isEmpty() ? List.of("") : all;
    }

    /** The hook of a tick. */
    public static Outline mark(Rect r) {
        return Outline.of(false, Node.corner(r.x() + 0.25 * r.width(), r.y() + 0.52 * r.height()), Node.corner(r.x() + 0.43 * r.width(),
                r.y() + 0.7 * r.height()), Node.corner(r.x() + 0.76 * r.width(), r.y() + 0.3 * r.height()));
    }

    /** Says that a list opens. */
    public static Outline arrow(Rect r) {
        double x = r.right() - PAD - ARROW, y = r.y() + r.height() / 2;
        return Outline.of(false, Node.corner(x - ARROW, y - ARROW / 2), Node.corner(x, y + ARROW / 2), Node.corner(x + ARROW, y - ARROW / 2));
    }
}
