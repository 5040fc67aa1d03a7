package tundra.core.fit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import tundra.core.edit.Names;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Differs;
import tundra.core.model.Ids;
import tundra.core.model.Layout;

/** Layouts: made, named, given ranges of widths, taken away. No two ranges overlap; the base is for every width that none is for. */
public final class Layouts {
    private Layouts() {}

    /** The layout for a width; null where the base is. */
    public static Layout at(Board b, double width) {
        return b.layouts().stream().filter(l -> l.holds(width)).findFirst().orElse(null);
    }

    /**
     * A plain board as it is in a layout, at a size.
     *
     * @param layout null for the base
     * @param size of its room; null for the layout's own
     */
    public static Board seen(Board b, Layout layout, Point size, TextMeasurer measure) {
        Board own = Lens.get(b, layout == null ? null : layout.id());
        return size == null ? own : Room.of(own, size, measure, 0);
    }

    /** A stretch of widths and what is for it: null for the base. */
    public record Range(Layout layout, int from, int to) {}

    /** All widths, from the narrowest on. */
    public static List<Range> ranges(Board b) {
        var out = new ArrayList<Range>();
        int at = 0;
        for (Layout l : b.layouts().stream().sorted(Comparator.comparingInt(Layout::from)).toList()) {
            if (l.from() > at) {
                out.add(new Range(null, at, l.from()));
            }
            out.add(new Range(l, l.from(), l.to()));
            at = l.to();
        }
        if (at < Layout.WIDEST) {
            out.add(new Range(null, at, Layout.WIDEST));
        }
        return out;
    }

    /**
     * With a layout for a range of widths, in which nothing differs yet but what differs in another one; those beside it give way, and one
     * that has no width left goes.
     *
     * @param like the layout that it begins as; null for the base
     */
    public static Board add(Board b, String wanted, int from, int to, Point size, String like) {
        Layout of = like == null ? null : b.layout(like);
        var taken = new HashSet<String>();
        b.layouts().forEach(l -> taken.add(l.name()));
        var made = new Layout(Ids.next(), Names.free(taken, wanted), from, to, size, of == null ? Differs.NOTHING : of.differs());
        return givenWay(b, made);
    }

    /** A layout for other widths; those beside it give way. */
    public static Board range(Board b, String id, int from, int to) {
        int least = Math.clamp(from, 0, Layout.WIDEST - 1);
        return givenWay(b.withLayouts(b.layouts().stream().filter(l -> !l.id().equals(id)).toList()), b.layout(id)
                .withRange(least, Math.clamp(to, least + 1, Layout.WIDEST)));
    }

    private static Board givenWay(Board b, Layout made) {
        var out = new ArrayList<Layout>();
        for (Layout l : b.layouts()) {
            if (l.to() <= made.from() || l.from() >= made.to()) {
                out.add(l);
            } else if (l.from() < made.from()) {
                out.add(l.withRange(l.from(), made.from()));
            } else if (l.to() > made.to()) {
                out.add(l.withRange(made.to(), l.to()));
            }
        }
        out.add(made);
        out.sort(Comparator.comparingInt(Layout::from));
        return b.withLayouts(out);
    }

    /** A breakpoint at another width: what ends there and what begins there meet at it from then on. */
    public static Board breakpoint(Board b, int was, int now) {
        var out = new ArrayList<Layout>();
        for (Layout l : b.layouts()) {
            int from = l.from() == was ? now : l.from(), to = l.to() == was ? now : l.to();
            if (from < 0 || from >= to || to > Layout.WIDEST) {
                return b;
            }
            out.add(l.withRange(from, to));
        }
        for (int i = 0; i + 1 < out.size(); i++) {
            if (out.get(i).to() > out.get(i + 1).from()) {
                return b;
            }
        }
        return b.withLayouts(out);
    }

    public static Board rename(Board b, String id, String wanted) {
        var taken = new HashSet<String>();
        b.layouts().stream().filter(l -> !l.id().equals(id)).forEach(l -> taken.add(l.name()));
        return wanted.isBlank() ? b : b.mapLayout(id, l -> l.withName(Names.free(taken, wanted.strip())));
    }

    /** Without a layout; the base is for its widths then. */
    public static Board delete(Board b, String id) {
        return b.withLayouts(b.layouts().stream().filter(l -> !l.id().equals(id)).toList());
    }

    /** With some of what differs in a layout as in the base again. */
    public static Board handBack(Board b, String layout, Collection<Override> what) {
        return b.mapLayout(layout, l -> {
            Differs d = l.differs();
            for (Override o : what) {
                d = Override.handedBack(d, o);
            }
            return l.withDiffers(d);
        });
    }

    /** Another layout has something as this one has it. */
    public static Board copy(Board b, String from, Override what, String to) {
        return b.mapLayout(to, l -> l.withDiffers(Override.copied(b.layout(from).differs(), what, l.differs())));
    }

    /** Whether a timeline stands at its end from the start in a layout, as an intro that is skipped there. */
    public static Board ended(Board b, String layout, String timeline, boolean on) {
        return b.mapLayout(layout, l -> l.withDiffers(l.differs().withTimeline(timeline, x -> x.withEnded(on))));
    }
}
