package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Mark;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Ids;
import tundra.core.model.Marker;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** Adds, takes away, orders and groups elements. */
public final class Arrange {
    private Arrange() {}

    /** The element on top of all, with a free name. */
    public static Board add(Board board, Element e) {
        var all = new ArrayList<>(board.elements());
        all.add(e.withName(Names.free(board, e.name())));
        return board.withElements(all);
    }

    /**
     * Adds an element that is placed in canvas coordinates on top of a group's children; of all when {@code group} is null or
     * isn't seen. In a group that is scaled unevenly and turned it takes the scale along its own axes.
     */
    public static Board add(Board board, String group, Element e, Frame seen) {
        Frame.Placed into = group == null ? null : seen.find(group);
        if (into == null || !into.toCanvas().invertible() || board.find(group) == null) {
            return add(board, e);
        }
        Affine m = into.toCanvas().inverse();
        Element named = e.withName(Names.free(board, e.name()));
        Board b = board.mapElement(group, g -> {
            var all = new ArrayList<>(g.children());
            all.add(named);
            return g.withChildren(all);
        });
        return Placing.carried(b, e.id(), m);
    }

    /** Puts an element beneath the lowest of its siblings that has a stroke over an area of the canvas. */
    public static Board beneathStrokes(Board board, String id, Frame seen, Rect area) {
        List<String> path = board.path(id);
        List<Element> all = path.size() < 2 ? board.elements() : board.find(path.get(path.size() - 2)).children();
        for (int i = 0; i < all.size(); i++) {
            Frame.Placed p = seen.find(all.get(i).id());
            if (!all.get(i).id().equals(id) && p != null && p.bounds().intersects(area) && stroked(p.node())) {
                return reorder(board, id, i);
            }
        }
        return board;
    }

    private static boolean stroked(FrameNode n) {
        return n.marks().stream().anyMatch(m -> m instanceof Mark.Stroke) || n.children().stream().anyMatch(Arrange::stroked);
    }

    /** Takes elements away, with their keys and the reactions to them. */
    public static Board delete(Board board, Collection<String> ids) {
        return tidy(board.withElements(Tree.without(board.elements(), Set.copyOf(ids))));
    }

    /** Without a timeline, and without what its sentences name of it; reactions that did nothing else go with them. Main stays. */
    public static Board deleteTimeline(Board board, String id) {
        if (board.main().id().equals(id)) {
            return board;
        }
        return Reactions.tidied(board.withTimelines(board.timelines().stream().filter(t -> !t.id().equals(id)).toList()));
    }

    /** With a copy of a timeline behind it, which starts only when it is told to; the copy's id is {@code copy}. */
    public static Board duplicateTimeline(Board board, String id, String copy) {
        var names = new HashSet<String>();
        board.timelines().forEach(t -> names.add(t.name()));
        var all = new ArrayList<Timeline>();
        for (Timeline t : board.timelines()) {
            all.add(t);
            if (t.id().equals(id)) {
                all.add(t.withId(copy).withName(Names.free(names, t.name())).withStarts(false)
                        .withMarkers(t.markers().stream().map(m -> new Marker(Ids.next(), m.name(), m.time())).toList())
                        .withSounds(t.sounds().stream().map(s -> s.withId(Ids.next())).toList()));
            }
        }
        return board.withTimelines(all);
    }

    /** Without keys of, and reactions to, elements that are gone. */
    private static Board tidy(Board board) {
        Set<String> owners = Tree.owners(board.elements());
        Board b = board.withTimelines(board.timelines().stream().map(t -> t.of(id -> owners.contains(id) || id.equals(Board.CANVAS))).toList());
        return Reactions.tidied(b);
    }

    /** Moves an element among its siblings; {@code index} counts from the back, after it was taken out. */
    public static Board reorder(Board board, String id, int index) {
        List<String> path = board.path(id);
        if (path.isEmpty()) {
            return board;
        }
        if (path.size() == 1) {
            return board.withElements(moved(board.elements(), id, index));
        }
        return board.mapElement(path.get(path.size() - 2), g -> g.withChildren(moved(g.children(), id, index)));
    }

    /**
     * Moves an element, with its keys, into another group — or out of all of them with a null {@code parent} — where it stays as
     * it is seen. Between groups that are scaled unevenly and turned it takes the scale along its own axes.
     *
     * @param index among the new siblings, counted from the back without the element itself
     */
    public static Board into(Board board, String id, String parent, int index, Frame seen) {
        List<String> path = board.path(id);
        if (path.isEmpty() || parent != null && (parent.equals(id) || board.path(parent).contains(id))) {
            return board;
        }
        String from = path.size() > 1 ? path.get(path.size() - 2) : null;
        if (Objects.equals(from, parent)) {
            return reorder(board, id, index);
        }
        Element e = board.find(id);
        Board out = board.withElements(Tree.remove(board.elements(), id));
        out = parent == null ? out.withElements(inserted(out.elements(), e, index))
                : out.mapElement(parent, g -> g.withChildren(inserted(g.children(), e, index)));
        Affine m = toCanvas(seen, parent).inverse().times(toCanvas(seen, from));
        return Placing.carried(out, id, m);
    }

    private static Affine toCanvas(Frame seen, String group) {
        Frame.Placed p = group == null ? null : seen.find(group);
        return p == null ? Affine.IDENTITY : p.toCanvas();
    }

    private static List<Element> inserted(List<Element> siblings, Element e, int index) {
        var out = new ArrayList<>(siblings);
        out.add(Math.max(0, Math.min(out.size(), index)), e);
        return out;
    }

    private static List<Element> moved(List<Element> siblings, String id, int index) {
        var out = new ArrayList<>(siblings);
        Element e = out.stream().filter(x -> x.id().equals(id)).findFirst().orElseThrow();
        out.remove(e);
        out.add(Math.max(0, Math.min(out.size(), index)), e);
        return out.equals(siblings) ? siblings : out;
    }

    /** Moves elements one place to the front (+1) or to the back (-1), or all the way (±1000000); among themselves they keep their order. */
    public static Board step(Board board, Collection<String> ids, int by) {
        var parents = new LinkedHashSet<String>();
        ids.forEach(id -> parents.add(parent(board, id)));
        Board b = board;
        for (String parent : parents) {
            b = parent == null ? b.withElements(stepped(b.elements(), ids, by))
                    : b.mapElement(parent, g -> g.withChildren(stepped(g.children(), ids, by)));
        }
        return b;
    }

    private static List<Element> stepped(List<Element> siblings, Collection<String> ids, int by) {
        var out = new ArrayList<>(siblings);
        if (Math.abs(by) > 1) {
            out.sort(Comparator.comparing(e -> ids.contains(e.id()) == by > 0));
        } else {
            // who has none to step over but others that step stays
            for (int n = 1; n < out.size(); n++) {
                int i = by > 0 ? out.size() - 1 - n : n;
                if (ids.contains(out.get(i).id()) && !ids.contains(out.get(i + by).id())) {
                    Collections.swap(out, i, i + by);
                }
            }
        }
        return out.equals(siblings) ? siblings : out;
    }

    private static String parent(Board board, String id) {
        List<String> path = board.path(id);
        return path.size() < 2 ? null : path.get(path.size() - 2);
    }

    /** The board and what should be selected on it. */
    public record Grouped(Board board, List<String> ids) {}

    /**
     * Puts elements in a new group, in the place of the topmost; its box is the union of theirs as seen. From several groups they
     * come into the innermost that holds them all.
     */
    public static Grouped group(Board board, Collection<String> ids, Frame seen) {
        List<String> members = Tree.topmost(board.elements(), Set.copyOf(ids)).stream().map(Element::id).toList();
        String around = around(board, members);
        if (members.isEmpty() || around != null && board.find(around).content() instanceof Flipbook) {
            return new Grouped(board, List.copyOf(ids));
        }
        Board b = board;
        for (String id : members) {
            if (!Objects.equals(parent(b, id), around)) {
                b = into(b, id, around, Integer.MAX_VALUE, seen);
            }
        }
        Affine toLevel = toCanvas(seen, around).inverse();
        Rect box = null;
        for (String id : members) {
            Frame.Placed p = seen.find(id);
            box = p == null ? box : Rect.around(p.corners().stream().map(toLevel::apply).toList()).union(box);
        }
        Rect all = box == null ? new Rect(0, 0, 1, 1) : box;
        for (String id : members) {
            b = Placing.shift(b, id, all.topLeft().times(-1));
        }
        var group = new Element(Names.free(board, "Group"), new Content.Group(List.of(), new Point(all.width(), all.height())),
                Values.NONE.with(Properties.POSITION, all.centre()));
        Board done = around == null ? b.withElements(gathered(b.elements(), members, group))
                : b.mapElement(around, g -> g.withChildren(gathered(g.children(), members, group)));
        return new Grouped(done, List.of(group.id()));
    }

    /** The innermost group that holds all of some elements; null for the canvas. */
    private static String around(Board board, List<String> ids) {
        List<String> common = null;
        for (String id : ids) {
            List<String> path = board.path(id), above = path.subList(0, path.size() - 1);
            int n = 0;
            while (common != null && n < Math.min(common.size(), above.size()) && common.get(n).equals(above.get(n))) {
                n++;
            }
            common = common == null ? above : common.subList(0, n);
        }
        return common == null || common.isEmpty() ? null : common.getLast();
    }

    private static List<Element> gathered(List<Element> siblings, List<String> members, Element group) {
        Set<String> meant = Set.copyOf(members);
        List<Element> in = siblings.stream().filter(e -> meant.contains(e.id())).toList();
        var out = new ArrayList<Element>();
        for (Element e : siblings) {
            if (!meant.contains(e.id())) {
                out.add(e);
            } else if (e == in.getLast()) {
                out.add(group.withChildren(in));
            }
        }
        return out;
    }

    /**
     * Takes groups apart, with the children where they are seen. A group's own keys end with it. A group scaled unevenly
     * whose children are turned cannot be kept exactly: the children take its scale along their own axes.
     */
    public static Grouped ungroup(Board board, Collection<String> ids, Frame seen) {
        Board b = board;
        var out = new ArrayList<String>();
        var apart = new HashSet<String>();
        for (String id : ids) {
            Element g = b.find(id);
            Frame.Placed placed = g == null ? null : seen.find(id);
            List<String> path = b.path(id);
            boolean drawing = path.size() > 1 && b.find(path.get(path.size() - 2)).content() instanceof Flipbook;
            if (placed == null || drawing || !(g.content() instanceof Content.Group)) {
                out.add(id);
                continue;
            }
            Affine m = placed.node().toParent();
            for (Element c : g.children()) {
                b = Placing.carried(b, c.id(), m);
                out.add(c.id());
            }
            apart.add(id);
        }
        return new Grouped(apart.isEmpty() ? b : tidy(b.withElements(Tree.opened(b.elements(), apart))), out);
    }
}
