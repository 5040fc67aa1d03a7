package tundra.core.block;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.model.Blocks;
import tundra.core.model.Content;
import tundra.core.model.Slot;

/**
 * Where the items of a gallery lie while it stands between two of them. The player's {@code galleries.js} has the same lines.
 *
 * @param n items
 * @param box of the gallery in px
 */
public record Gallery(Content.Block of, int n, Point box) {
    /** Cards behind the top one of a stack that are seen. */
    private static final int BEHIND = 3;

    /** Of a block as it is. */
    public static Gallery of(Content.Block b, int items) {
        return new Gallery(b, items, b.box());
    }

    private double number(Slot s) {
        return of.number(s);
    }

    private boolean loops() {
        return of.kind() == Blocks.TURNTABLE || of.is(Blocks.LOOPS);
    }

    /** How many items on from where the gallery stands an item lies, the shorter way round where it loops: for n items in [-n/2, n/2). */
    public double away(int item, double position) {
        double d = item - position;
        return loops() && n > 0 ? d - n * Math.floor(d / n + 0.5) : d;
    }

    /**
     * @param item from 0
     * @param position which item the gallery stands at, from 0; between two while it moves
     */
    public Placement place(int item, double position) {
        double w = number(Blocks.ITEM_WIDTH), h = number(Blocks.ITEM_HEIGHT), d = away(item, position), near = Math.min(1, Math.abs(d)),
                offset = number(Blocks.OFFSET);
        double cx = box.x() / 2, cy = box.y() / 2;
        if (of.kind() == Blocks.STRIP) {
            boolean down = of.text(Blocks.ALONG).equals("down");
            double length = down ? h : w, room = down ? box.y() : box.x(), begin = of.text(Blocks.SNAP).equals("start") ? length / 2 : room / 2;
            double along = begin + d * (length + number(Blocks.SPACING)), across = (down ? cx : cy) + offset * near;
            return new Placement(down ? across : along, down ? along : across, 1 + (number(Blocks.NEIGHBOURS) / 100 - 1) * near, 0, 1, -Math.abs(d));
        }
        if (of.kind() == Blocks.STACK) {
            boolean thrown = of.text(Blocks.PILE).equals("thrown");
            double back = Math.max(0, Math.min(BEHIND, d)), gone = Math.max(0, Math.min(1, -d));
            double opacity = d >= BEHIND ? Math.max(0, BEHIND + 1 - d) : d <= -1 ? 0 : thrown ? 1 : 1 - gone;
            // what comes back lies over what it covers
            return new Placement(cx + back * offset - (thrown ? gone * (w + box.x()) / 2 : 0), cy - back * offset, 1 - 0.05 * back, thrown
                    ? -number(Blocks.TILT) * gone : 0, opacity, -d);
        }
        double turn = n == 0 ? 0 : 2 * Math.PI * d / n, r = number(Blocks.RADIUS), behind = 1 - Math.cos(turn),
                f = number(Blocks.DEPTH) / (number(Blocks.DEPTH) + r * behind);
        return new Placement(cx + r * Math.sin(turn) * f, cy - offset * behind / 2, f, 0, 1 - number(Blocks.FADE) / 100 * behind / 2, f);
    }

    /** Whether any of an item can be seen. */
    public boolean seen(Placement p) {
        double w = number(Blocks.ITEM_WIDTH) * p.scale() / 2, h = number(Blocks.ITEM_HEIGHT) * p.scale() / 2, reach = p.rotation() == 0 ? 0
                : Math.hypot(w, h);
        return p.opacity() > 0 && p.x() + Math.max(w, reach) > 0 && p.x() - Math.max(w, reach) < box.x() && p.y() + Math.max(h, reach) > 0
                && p.y() - Math.max(h, reach) < box.y();
    }

    /** The items from back to front, where it stands at a position. */
    public List<Integer> order(double position) {
        var all = new ArrayList<Integer>();
        for (int i = 0; i < n; i++) {
            all.add(i);
        }
        all.sort(Comparator.comparingDouble((Integer i) -> Math.round(place(i, position).front() * 1000)));
        return all;
    }

    /** The item that it stands at when it is opened, from 0. */
    public int first() {
        int near = (int) Math.round(position());
        return loops() && n > 0 ? Math.floorMod(near, n) : Math.max(0, Math.min(n - 1, near));
    }

    /** Where it stands when it is opened: an item from 0, or between two; a visitor who pulls it takes it beyond its ends by a part of an item. */
    public double position() {
        double p = number(Blocks.FIRST) - 1;
        return p <= -1 ? 0 : p >= n ? Math.max(0, n - 1) : p;
    }

    /** The furthest position that it can be taken to; a strip that begins with its first item doesn't go on beyond its last ones. */
    public double last() {
        if (n == 0 || loops()) {
            return Math.max(0, n - 1);
        }
        if (of.kind() != Blocks.STRIP || !of.text(Blocks.SNAP).equals("start")) {
            return n - 1;
        }
        boolean down = of.text(Blocks.ALONG).equals("down");
        double length = number(down ? Blocks.ITEM_HEIGHT : Blocks.ITEM_WIDTH), step = length + number(Blocks.SPACING), room = down ? box.y()
                : box.x();
        return step <= 0 ? n - 1 : Math.max(0, Math.min(n - 1, Math.ceil(((n - 1) * step + length - room) / step - 1e-9)));
    }
}
