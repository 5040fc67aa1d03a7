package tundra.core.flip;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tundra.core.frame.Form;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.frame.StrokeStyle;
import tundra.core.model.Color;
import tundra.core.model.Paint;

/**
 * Drawings as they shine through, kept for as long as they stay as they are: the same instance comes back, so that a painter can
 * keep its picture. One thread at a time.
 */
public final class OnionLayers {
    private static final int MOST = 64;
    /** As thin as the screen can draw it, whatever the zoom. */
    private static final StrokeStyle LINE = new StrokeStyle(0, "round", "round", List.of(), 0);
    private final Map<Key, FrameNode> made = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, FrameNode> eldest) {
            return size() > MOST;
        }
    };

    /** A drawing by identity, and how it is shown. */
    private record Key(FrameNode drawing, Color tint, boolean outlines) {
        @Override
        public boolean equals(Object o) {
            return o instanceof Key k && k.drawing == drawing && k.tint.equals(tint) && k.outlines == outlines;
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(drawing) * 31 + tint.hashCode();
        }
    }

    /**
     * A drawing in a tint: locked, without names, so that nothing picks it.
     */
    FrameNode of(FrameNode drawing, Color tint, boolean outlines) {
        return made.computeIfAbsent(new Key(drawing, tint, outlines), k -> ghost(drawing, tint, outlines));
    }

    private static FrameNode ghost(FrameNode n, Color tint, boolean outlines) {
        var marks = new ArrayList<Mark>(n.marks().size());
        Form last = null;
        for (Mark m : n.marks()) {
            // an area and its stroke are one thing
            if (!(m instanceof Mark.Stroke s && s.form() == last)) {
                marks.add(outlines ? line(m, tint) : tinted(m, tint));
            }
            last = m instanceof Mark.Fill f ? f.form() : null;
        }
        return new FrameNode("", true, n.toParent(), outlines ? 1 : n.opacity(), n.box(), marks,
                n.children().stream().map(c -> ghost(c, tint, outlines)).toList(), n.clips(), n.motif(), n.look());
    }

    private static Mark line(Mark mark, Color tint) {
        return switch (mark) {
            case Mark.Fill f -> new Mark.Stroke(f.form(), tint, f.box(), LINE);
            case Mark.Stroke s -> new Mark.Stroke(s.form(), tint, s.box(), LINE);
            default -> tinted(mark, tint);
        };
    }

    private static Mark tinted(Mark mark, Color tint) {
        return switch (mark) {
            case Mark.Fill f -> new Mark.Fill(f.form(), mixed(f.paint(), tint), f.box());
            case Mark.Stroke s -> new Mark.Stroke(s.form(), tint, s.box(), LINE);
            case Mark.Glyphs g -> new Mark.Glyphs(g.text(), g.layout(), tint);
            case Mark.Film f -> f;
            case Mark.Image i -> new Mark.Image(i.asset(), i.size(), tint);
        };
    }

    /** Two thirds tint, so that light and dark parts can still be told apart. */
    private static Color mixed(Paint p, Color tint) {
        Color c = p.main();
        return c.lerp(tint.withAlpha(c.alpha()), 0.66);
    }
}
