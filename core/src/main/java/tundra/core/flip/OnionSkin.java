package tundra.core.flip;

import java.util.ArrayList;
import java.util.List;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.model.Color;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;

/**
 * Faint drawings around the current one, for the eye only: locked, so that nothing selects them, and never in what is published.
 *
 * @param back how many drawings before the current one are shown
 * @param ahead how many after it
 * @param strength how strong the nearest ones are, 0 to 1; those further off are fainter
 * @param outlines whether only lines are shown instead of tinted fills
 * @param pinned the id of a drawing that is always shown; null for none
 */
public record OnionSkin(boolean on, int back, int ahead, Color backTint, Color aheadTint, double strength, boolean outlines, String pinned) {
    public static final OnionSkin STANDARD = new OnionSkin(true, 2, 1, Color.parse("#2F78A3"), Color.parse("#C96F1F"), 0.9, true, null);
    private static final Color PINNED = Color.parse("#8A4F9E");

    public OnionSkin {
        back = Math.max(0, Math.min(100, back));
        ahead = Math.max(0, Math.min(100, ahead));
        strength = Math.max(0.05, Math.min(1, strength));
    }

    public OnionSkin withOn(boolean o) {
        return new OnionSkin(o, back, ahead, backTint, aheadTint, strength, outlines, pinned);
    }

    public OnionSkin withRange(int b, int a) {
        return new OnionSkin(on, b, a, backTint, aheadTint, strength, outlines, pinned);
    }

    public OnionSkin withTints(Color b, Color a) {
        return new OnionSkin(on, back, ahead, b, a, strength, outlines, pinned);
    }

    public OnionSkin withStrength(double s) {
        return new OnionSkin(on, back, ahead, backTint, aheadTint, s, outlines, pinned);
    }

    public OnionSkin withOutlines(boolean o) {
        return new OnionSkin(on, back, ahead, backTint, aheadTint, strength, o, pinned);
    }

    public OnionSkin withPinned(String id) {
        return new OnionSkin(on, back, ahead, backTint, aheadTint, strength, outlines, id);
    }

    /** A drawing to be shown, and how. */
    public record Ghost(int index, Color tint, double strength) {}

    /** Which drawings are shown around a frame, the faintest first. A loop goes on around its ends. */
    public List<Ghost> around(Flipbook book, long frame) {
        var out = new ArrayList<Ghost>();
        int n = book.drawings().size();
        int now = book.indexAt(frame);
        // where no drawing is shown, the last one before counts as half a step away
        int before = now >= 0 ? now - 1 : lastBefore(book, frame), after = now >= 0 ? now + 1 : lastBefore(book, frame) + 1;
        boolean loop = book.ending() == Flipbook.Ending.LOOP;
        int pin = pinned == null ? -1 : book.indexOf(pinned);
        for (int k = Math.max(back, ahead); k >= 1; k--) {
            double s = strength * Math.pow(0.75, k - 1);
            add(out, before - (k - 1), k <= back, backTint, s, n, now, loop, pin);
            add(out, after + (k - 1), k <= ahead, aheadTint, s, n, now, loop, pin);
        }
        if (pin >= 0 && pin != now) {
            out.add(new Ghost(pin, PINNED, strength));
        }
        return out;
    }

    private static void add(List<Ghost> out, int index, boolean wanted, Color tint, double strength, int n, int now, boolean loop, int pin) {
        int i = loop && n > 0 ? Math.floorMod(index, n) : index;
        if (wanted && i >= 0 && i < n && i != now && i != pin && out.stream().noneMatch(g -> g.index == i)) {
            out.add(new Ghost(i, tint, strength));
        }
    }

    private static int lastBefore(Flipbook book, long frame) {
        int i = -1;
        while (i + 1 < book.drawings().size() && book.drawings().get(i + 1).start() <= frame) {
            i++;
        }
        return i;
    }

    /**
     * A frame with the onion skin of a flipbook beneath its current drawing.
     *
     * @param m the moment of the frame
     * @param kept made before, to be used again
     */
    public Frame over(Frame frame, FrameBuilder builder, String flipbook, Moment m, OnionLayers kept) {
        List<String> path = builder.board().path(flipbook);
        Element e = builder.board().find(flipbook);
        if (!on || e == null || !(e.content() instanceof Flipbook book)) {
            return frame;
        }
        if (frame.find(flipbook) == null) {
            return frame;
        }
        var ghosts = new ArrayList<FrameNode>();
        for (Ghost g : around(book, book.frameAt(m.timeOf(builder.board().main().id())))) {
            Drawing d = book.drawings().get(g.index);
            if (!d.art().hidden()) {
                ghosts.add(kept.of(builder.drawing(d, m), g.tint, outlines).withOpacity(g.strength));
            }
        }
        return ghosts.isEmpty() ? frame : new Frame(frame.size(), frame.background(), with(frame.nodes(), path, ghosts));
    }

    private static List<FrameNode> with(List<FrameNode> nodes, List<String> path, List<FrameNode> ghosts) {
        return nodes.stream().map(n -> {
            if (n.id() == null) {
                // what a gallery puts around its items
                return n.children().isEmpty() ? n : n.withChildren(with(n.children(), path, ghosts));
            }
            if (!path.getFirst().equals(n.id())) {
                return n;
            }
            if (path.size() > 1) {
                return n.withChildren(with(n.children(), path.subList(1, path.size()), ghosts));
            }
            var children = new ArrayList<>(ghosts);
            children.addAll(n.children());
            return n.withChildren(children);
        }).toList();
    }
}
