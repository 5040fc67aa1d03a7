package tundra.core.fit;

import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Tie;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** The four sides of an element that can be tied to those of its parent, one by one. */
public final class Ties {
    /** A side of an element, and the same one of its parent. */
    public enum Edge {
        LEFT("left", Properties.TIE_X, Properties.LEFT_IN), TOP("top", Properties.TIE_Y, Properties.TOP_IN),
        RIGHT("right", Properties.TIE_X, Properties.RIGHT_IN), BOTTOM("bottom", Properties.TIE_Y, Properties.BOTTOM_IN);

        public final String word;
        /** What an element holds on to along the axis of the side. */
        public final Property<String> tie;
        /** In what the distance at the side is. */
        public final Property<String> unit;

        Edge(String word, Property<String> tie, Property<String> unit) {
            this.word = word;
            this.tie = tie;
            this.unit = unit;
        }

        public boolean across() {
            return tie == Properties.TIE_X;
        }

        /** Whether it comes first along its axis; it says where the middle is as well. */
        public boolean near() {
            return this == LEFT || this == TOP;
        }
    }

    /**
     * Between a side of an element and that of its parent, as drawn.
     *
     * @param px below 0 where the element goes over
     * @param share of the parent's length
     * @param tied whether it is kept
     * @param inShare whether it is the share that is kept, and not the px
     */
    public record Distance(Edge edge, double px, double share, boolean tied, boolean inShare) {
        public String words() {
            return !tied ? "free" : inShare ? Numbers.plain(share * 100, 1) + " %" : Numbers.plain(px, 1) + " px";
        }
    }

    private Ties() {}

    public static boolean tied(Values v, Edge e) {
        String now = v.get(e.tie);
        return now.equals(e.word) || now.equals("both sides");
    }

    /** What the element holds on to along the axis when it is tied at one more side, or at one less; its middle where neither is left. */
    public static String toggled(Values v, Edge e) {
        Edge other = switch (e) {
            case LEFT -> Edge.RIGHT;
            case RIGHT -> Edge.LEFT;
            case TOP -> Edge.BOTTOM;
            case BOTTOM -> Edge.TOP;
        };
        boolean here = !tied(v, e), there = tied(v, other);
        return here && there ? "both sides" : here ? e.word : there ? other.word : "middle";
    }

    /** px for %, and % for px. */
    public static String otherUnit(Values v, Edge e) {
        return v.get(e.unit).equals("%") ? "px" : "%";
    }

    public static Distance distance(Board b, String element, Edge edge) {
        Element e = b.find(element);
        var path = Tree.path(b.elements(), element);
        Point parent = path.size() > 1 ? Tie.box(b.find(path.get(path.size() - 2))) : b.size(), box = Tie.box(e);
        Point at = e.rest().get(Properties.POSITION), pivot = e.rest().get(Properties.PIVOT);
        double whole = edge.across() ? parent.x() : parent.y(), length = edge.across() ? box.x() : box.y();
        double begin = edge.across() ? at.x() - pivot.x() * length : at.y() - pivot.y() * length;
        double px = edge.near() ? begin : whole - begin - length;
        return new Distance(edge, px, whole > 0 ? px / whole : 0, tied(e.rest(), edge), e.rest().get(edge.unit).equals("%"));
    }
}
