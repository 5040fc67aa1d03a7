package tundra.core.frame;

import java.util.Collections;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Values;

/**
 * The nodes of what never changes on a board, by its elements, which elements that is not true of, and what those were made from last. Versions of a
 * board that follow each other share one,
 * so a new version costs no more than what it changed. One thread at a time.
 */
final class StillNodes {
    /** What is gone may stay until it is as much as what is there. */
    private static final int SPARE = 1000;
    private final Map<Element, FrameNode> nodes = new IdentityHashMap<>();
    private final Map<Element, Boolean> moving = new IdentityHashMap<>();
    private final Map<Element, Last> last = new IdentityHashMap<>();
    private AnimatedValues animated;
    private MotifFrames motifs;
    private int held;

    /** What an element was made from last, to give back the same node while nothing changes. */
    record Last(Values values, FrameNode node) {}

    private StillNodes() {}

    /** @param before those of the version before; null for none */
    static StillNodes of(List<Element> elements, AnimatedValues animated, MotifFrames motifs, StillNodes before) {
        StillNodes out = before == null ? new StillNodes() : before;
        if (out.animated == null || !out.animated.sameTimelines(animated) || out.motifs != motifs) {
            out.last.clear();
        }
        out.motifs = motifs;
        if (out.animated == null || !out.animated.sameElements(animated)) {
            out.moving.clear();
        }
        out.animated = animated;
        if (Math.max(out.nodes.size(), out.moving.size()) > 2 * out.held + SPARE) {
            out.forget(elements);
        }
        return out;
    }

    /** Lets go of what is no longer on the board. */
    private void forget(List<Element> elements) {
        Set<Element> there = Collections.newSetFromMap(new IdentityHashMap<>());
        collect(elements, there);
        nodes.keySet().retainAll(there);
        moving.keySet().retainAll(there);
        last.keySet().retainAll(there);
        held = there.size();
    }

    private static void collect(List<Element> in, Set<Element> to) {
        for (Element e : in) {
            to.add(e);
            collect(e.children(), to);
        }
    }

    /** Whether an element, or anything in it, looks different at different moments. */
    boolean moves(Element e) {
        Boolean known = moving.get(e);
        if (known != null) {
            return known;
        }
        boolean any = animated.animated(e.id()) || e.effects().stream().anyMatch(x -> animated.animated(x.id())) || e.content() instanceof Flipbook
                || e.content() instanceof Content.Instance
                || e.content() instanceof Content.Block;
        for (Element c : e.children()) {
            any |= moves(c);
        }
        moving.put(e, any);
        return any;
    }

    int size() {
        return nodes.size();
    }

    /** Null before the first time. */
    FrameNode get(Element e) {
        return nodes.get(e);
    }

    void put(Element e, FrameNode n) {
        nodes.put(e, n);
    }

    /** What an element that moves was made from last; null before the first time. */
    Last last(Element e) {
        return last.get(e);
    }

    void put(Element e, Last l) {
        last.put(e, l);
    }
}
