package tundra.core.frame;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BiFunction;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Content;
import tundra.core.model.Layout;
import tundra.core.model.Motif;
import tundra.core.model.PieceValue;
import tundra.core.model.Tree;

/**
 * What boards show of their piece: pictures of motifs, each made once for a moment, however often it is shown then, and the values that stand
 * in texts. One thread at a time.
 */
public final class MotifFrames {
    /** Of one motif so many moments are kept. */
    private static final int KEPT = 256;
    private final Map<String, Board> boards = new HashMap<>();
    private final Map<String, FrameBuilder> builders = new HashMap<>();
    private final Map<String, Map<Moment, List<FrameNode>>> frames = new HashMap<>();
    /** Of each motif whether anything in it goes by a clock of its own, and so by how long ago the scene was opened. */
    private final Map<String, Boolean> ownClocks = new HashMap<>();
    private final TextMeasurer measure;
    private final List<Motif> motifs;
    private final List<PieceValue> values;
    private final BiFunction<Board, String, Board> layouts;
    /** By how much motifs in layouts are drawn larger than they are, by what is shown. */
    private final Map<String, Double> scales = new HashMap<>();

    /**
     * @param previous of an earlier version of the project, whose pictures of what stayed the same are taken over; null for none
     * @param layouts gives a board in a layout, by its id
     */
    public MotifFrames(List<Motif> motifs, List<PieceValue> values, TextMeasurer measure, MotifFrames previous, BiFunction<Board, String,
            Board> layouts) {
        this.layouts = layouts;
        this.motifs = motifs;
        this.values = values;
        this.measure = measure;
        motifs.forEach(m -> boards.put(m.id(), m.board()));
        if (previous != null && previous.measure == measure && previous.values == values) {
            boards.forEach((id, b) -> {
                FrameBuilder old = previous.builders.get(id);
                if (old != null && same(previous, id, new HashSet<>())) {
                    builders.put(id, old.with(this));
                    frames.put(id, previous.frames.getOrDefault(id, new LinkedHashMap<>()));
                }
            });
        }
    }

    /** Whether a motif and all that it shows are as they were. */
    private boolean same(MotifFrames previous, String id, Set<String> asked) {
        Board now = boards.get(id);
        if (now == null || previous.boards.get(id) != now) {
            return false;
        }
        boolean[] all = {true};
        if (asked.add(id)) {
            Tree.each(now.elements(), e -> {
                if (e.content() instanceof Content.Instance i) {
                    all[0] &= same(previous, i.motif(), asked);
                }
            });
        }
        return all[0];
    }

    /** The motifs that these are pictures of. */
    public List<Motif> of() {
        return motifs;
    }

    /** The values of the piece. */
    public List<PieceValue> values() {
        return values;
    }

    /** The board of a motif; null when there is none of that id. */
    public Board board(String motif) {
        return boards.get(motif);
    }

    /**
     * What an instance shows: a name for its motif, or for the layout of it that is for the instance's own width. That is drawn as wide as the
     * instance.
     *
     * @param width of the instance in its parent, in px
     */
    String shown(Content.Instance i, double width) {
        Board b = boards.get(i.motif());
        Layout l = b.layouts().isEmpty() ? null : b.layouts().stream().filter(x -> x.holds(width)).findFirst().orElse(null);
        if (l == null) {
            return i.motif();
        }
        String name = i.motif() + " " + l.id();
        boards.computeIfAbsent(name, n -> layouts.apply(b, l.id()));
        scales.put(name, b.size().x() / l.size().x());
        return name;
    }

    /** What drives the time of an instance. */
    Clock clock(Content.Instance i) {
        return motifs.stream().filter(m -> m.id().equals(i.motif())).findFirst().map(m -> m.clock(i)).orElse(i.clock());
    }

    /** What a motif shows, from back to front; nothing when there is none of that id. */
    List<FrameNode> at(String motif, Moment m) {
        Board b = boards.get(motif);
        if (b == null) {
            return List.of();
        }
        var known = frames.computeIfAbsent(motif, k -> new LinkedHashMap<>());
        // the same moment comes again with each turn of the motif, however long ago its scene was opened
        Moment at = m.since() == 0 || ownClocks(motif, b) ? m : new Moment(m.standings(), 0, m.insides());
        List<FrameNode> nodes = known.get(at);
        if (nodes == null) {
            nodes = builders.computeIfAbsent(motif, k -> new FrameBuilder(b, measure, null, false, this)).at(at).nodes();
            double k = scales.getOrDefault(motif, 1.0);
            nodes = k == 1 ? nodes : nodes.stream().map(n -> n.scaled(k)).toList();
            if (known.size() >= KEPT) {
                known.remove(known.keySet().iterator().next());
            }
            known.put(at, nodes);
        }
        return nodes;
    }

    private boolean ownClocks(String name, Board b) {
        Boolean known = ownClocks.get(name);
        if (known == null) {
            var any = new boolean[1];
            Tree.each(b.elements(), e -> {
                if (e.content() instanceof Content.Instance i && boards.get(i.motif()) instanceof Board inner) {
                    Clock c = clock(i);
                    any[0] |= c.own() && c.repeat() != Clock.Repeat.HOLD || !inner.layouts().isEmpty() || ownClocks(i.motif(), inner);
                }
            });
            known = any[0];
            ownClocks.put(name, known);
        }
        return known;
    }
}
