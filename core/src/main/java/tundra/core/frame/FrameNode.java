package tundra.core.frame;

import java.util.List;
import java.util.Objects;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;

/**
 * An element at one time. The same instance comes back for as long as nothing in it changes, so that a painter can keep its
 * picture.
 */
public final class FrameNode {
    private static final Rect UNKNOWN = new Rect(0, 0, 0, 0);
    private final String id;
    private final boolean locked;
    private final Affine toParent;
    private final double opacity;
    private final Point box;
    private final List<Mark> marks;
    private final List<FrameNode> children;
    private final List<Outline> clips;
    private final String motif;
    private final Look look;
    private Rect reach = UNKNOWN;

    /**
     * @param toParent from its box to its parent
     * @param box its width and height
     * @param clips what lies outside of any of them hides of the children
     */
    public FrameNode(String id, boolean locked, Affine toParent, double opacity, Point box, List<Mark> marks, List<FrameNode> children,
            List<Outline> clips) {
        this(id, locked, toParent, opacity, box, marks, children, clips, null);
    }

    /** @param motif the motif that its children belong to, whose elements are no elements of this board; null for anything but an instance */
    public FrameNode(String id, boolean locked, Affine toParent, double opacity, Point box, List<Mark> marks, List<FrameNode> children,
            List<Outline> clips,
            String motif) {
        this(id, locked, toParent, opacity, box, marks, children, clips, motif, Look.PLAIN);
    }

    /** @param look how it is laid over what lies behind it */
    public FrameNode(String id, boolean locked, Affine toParent, double opacity, Point box, List<Mark> marks, List<FrameNode> children,
            List<Outline> clips,
            String motif, Look look) {
        this.look = look;
        this.id = id;
        this.locked = locked;
        this.toParent = toParent;
        this.opacity = opacity;
        this.box = box;
        this.marks = marks;
        this.children = children;
        this.clips = clips;
        this.motif = motif;
    }

    /** The same in a parent that is so many times as large. */
    FrameNode scaled(double k) {
        return new FrameNode(id, locked, Affine.scale(k, k).times(toParent), opacity, box, marks, children, clips, motif, look);
    }

    /** The same elsewhere in its parent. */
    FrameNode moved(Point by) {
        return by.equals(Point.ZERO) ? this : new FrameNode(id, locked, Affine.translate(by.x(), by.y()).times(toParent), opacity, box, marks,
                children, clips, motif, look);
    }

    public String id() {
        return id;
    }

    public boolean locked() {
        return locked;
    }

    public Affine toParent() {
        return toParent;
    }

    public double opacity() {
        return opacity;
    }

    public Point box() {
        return box;
    }

    public List<Mark> marks() {
        return marks;
    }

    public List<FrameNode> children() {
        return children;
    }

    public List<Outline> clips() {
        return clips;
    }

    /** The motif that its children belong to; null for anything but an instance. */
    public String motif() {
        return motif;
    }

    public Look look() {
        return look;
    }

    /** The box around all that it paints before its filters; null for nothing. */
    public Rect content() {
        return around(true);
    }

    /** The same node placed otherwise. */
    public FrameNode withPlacement(Affine m) {
        var n = new FrameNode(id, locked, m, opacity, box, marks, children, clips, motif, look);
        n.reach = reach;
        return n;
    }

    public FrameNode withOpacity(double o) {
        return new FrameNode(id, locked, toParent, o, box, marks, children, clips, motif, look);
    }

    public FrameNode withChildren(List<FrameNode> c) {
        return new FrameNode(id, locked, toParent, opacity, box, marks, c, clips, motif, look);
    }

    /**
     * The box around all that it can paint on, strokes and what letters stick out included, cut by its clips, in its own coordinates; null for
     * nothing.
     */
    public Rect reach() {
        if (reach == UNKNOWN) {
            Rect own = around(true);
            reach = own == null || look.filters().isEmpty() ? own : own.grow(Filters.reach(look.filters()));
        }
        return reach;
    }

    /** The box around what is seen of it, letters by the boxes of their lines; null for nothing. */
    public Rect inked() {
        return around(false);
    }

    private Rect around(boolean overhang) {
        Rect all = null;
        for (Mark m : marks) {
            Rect r = m.reach();
            r = r != null && overhang && m instanceof Mark.Glyphs g ? r.grow(g.text().size() / 2) : r;
            all = r == null ? all : r.union(all);
        }
        Rect inside = null;
        for (FrameNode c : children) {
            Rect r = overhang ? c.reach() : c.inked();
            inside = r == null ? inside : c.toParent.bounds(r).union(inside);
        }
        for (Outline clip : clips) {
            Rect within = clip.bounds();
            inside = inside == null || within == null || !inside.intersects(within) ? null : inside.intersection(within);
        }
        return inside == null ? all : inside.union(all);
    }

    @Override
    public boolean equals(Object o) {
        return this == o || o instanceof FrameNode n && Objects.equals(id, n.id) && locked == n.locked && toParent.equals(n.toParent)
                && opacity == n.opacity
                && box.equals(n.box) && marks.equals(n.marks) && clips.equals(n.clips) && look.equals(n.look) && children.equals(n.children);
    }

    @Override
    public int hashCode() {
        return Objects.hash(id, toParent, opacity, marks, children);
    }

    @Override
    public String toString() {
        return "FrameNode[" + id + ", " + toParent + ", opacity " + opacity + ", " + marks + ", " + children + "]";
    }
}
