package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tundra.core.geometry.Point;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Ids;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;

/**
 * Edits of a flipbook's drawings in time. What comes after a drawing that grows, shrinks, comes or goes moves along, with the
 * empty frames between; drawings are named by the ids of their art.
 */
public final class Drawings {
    private Drawings() {}

    /** The first free number as a name: «Drawing 7» after six. */
    public static String name(Flipbook book) {
        Set<String> taken = new HashSet<>();
        book.drawings().forEach(d -> taken.add(d.art().name()));
        int n = book.drawings().size() + 1;
        while (taken.contains("Drawing " + n)) {
            n++;
        }
        return "Drawing " + n;
    }

    /**
     * With new drawings put in at a place of the list, at the end of the one before it; the later ones move on by all their frames.
     *
     * @param added in their order; only the distances of their starts count
     */
    public static Flipbook insert(Flipbook book, int index, List<Drawing> added) {
        if (added.isEmpty()) {
            return book;
        }
        int at = index > 0 ? book.drawings().get(index - 1).end() : book.start();
        int from = added.getFirst().start(), length = added.getLast().end() - from;
        var out = new ArrayList<Drawing>();
        book.drawings().forEach(d -> out.add(d.start() >= at ? d.at(d.start() + length) : d));
        added.forEach(d -> out.add(d.at(at + d.start() - from)));
        return book.withDrawings(out);
    }

    /** With a drawing put on a frame that shows none; it is held until the next one, at most for {@code frames}. */
    public static Flipbook fill(Flipbook book, int frame, int frames, Element art) {
        int next = book.drawings().stream().mapToInt(Drawing::start).filter(s -> s > frame).min().orElse(Integer.MAX_VALUE);
        var out = new ArrayList<>(book.drawings());
        out.add(new Drawing(art, frame, Math.max(1, Math.min(frames, next - frame))));
        return book.withDrawings(out);
    }

    /** Held for another number of frames, at least one. */
    public static Flipbook hold(Flipbook book, int index, int frames) {
        Drawing old = book.drawings().get(index);
        int n = Math.max(1, frames);
        return ripple(book, index, old.held(n), n - old.frames());
    }

    private static Flipbook ripple(Flipbook book, int index, Drawing changed, int by) {
        var out = new ArrayList<Drawing>();
        for (int i = 0; i < book.drawings().size(); i++) {
            Drawing d = book.drawings().get(i);
            out.add(i < index ? d : i == index ? changed : d.at(d.start() + by));
        }
        return book.withDrawings(out);
    }

    /** Cut in two at a frame within a drawing; the second half is a copy. The same book when the frame is none within one. */
    public static Flipbook split(Flipbook book, int frame) {
        for (Drawing d : book.drawings()) {
            if (frame > d.start() && frame < d.end()) {
                var out = new ArrayList<>(book.drawings());
                out.set(out.indexOf(d), d.held(frame - d.start()));
                out.add(new Drawing(renewed(d.art()).withName(name(book)), frame, d.end() - frame));
                return book.withDrawings(out);
            }
        }
        return book;
    }

    /** Without some drawings; the later ones close up. */
    public static Flipbook delete(Flipbook book, Collection<String> ids) {
        var out = new ArrayList<Drawing>();
        int gone = 0;
        for (Drawing d : book.drawings()) {
            if (ids.contains(d.id())) {
                gone += d.frames();
            } else {
                out.add(d.at(d.start() - gone));
            }
        }
        return book.withDrawings(out);
    }

    /** Without some drawings; their frames stay empty. */
    public static Flipbook clear(Flipbook book, Collection<String> ids) {
        return book.withDrawings(book.drawings().stream().filter(d -> !ids.contains(d.id())).toList());
    }

    /**
     * Moved in time by a number of frames. Later, they push what they meet; earlier, they come no further than the drawing
     * before each of them, or frame 0.
     */
    public static Flipbook shift(Flipbook book, Collection<String> ids, int by) {
        var list = new ArrayList<>(book.drawings());
        if (by < 0) {
            int room = -by;
            for (int i = 0; i < list.size(); i++) {
                if (ids.contains(list.get(i).id()) && (i == 0 || !ids.contains(list.get(i - 1).id()))) {
                    room = Math.min(room, list.get(i).start() - (i == 0 ? 0 : list.get(i - 1).end()));
                }
            }
            int back = room;
            list.replaceAll(d -> ids.contains(d.id()) ? d.at(d.start() - back) : d);
        } else {
            int free = 0;
            for (int i = 0; i < list.size(); i++) {
                Drawing d = list.get(i);
                list.set(i, d.at(Math.max(free, d.start() + (ids.contains(d.id()) ? by : 0))));
                free = list.get(i).end();
            }
        }
        return book.withDrawings(list);
    }

    /**
     * Some drawings taken out and put in again, in their order, before the drawing that has a place among the rest. The frames
     * between drawings close up where they leave.
     *
     * @param place among the drawings that are not moved
     */
    public static Flipbook reorder(Flipbook book, Collection<String> ids, int place) {
        var moved = new ArrayList<Drawing>();
        int at = book.start();
        for (Drawing d : book.drawings()) {
            if (ids.contains(d.id())) {
                moved.add(d.at(at));
                at += d.frames();
            }
        }
        Flipbook rest = delete(book, ids);
        if (rest.drawings().isEmpty()) {
            return book;
        }
        return insert(rest, Math.max(0, Math.min(rest.drawings().size(), place)), moved);
    }

    /** Two neighbours made one: the first is held over both, and what lay between. */
    public static Flipbook merge(Flipbook book, int index) {
        Drawing a = book.drawings().get(index), b = book.drawings().get(index + 1);
        var out = new ArrayList<>(book.drawings());
        out.set(index, a.held(b.end() - a.start()));
        out.remove(index + 1);
        return book.withDrawings(out);
    }

    /** Copies of drawings with ids of their own, in the order of time. */
    public static List<Drawing> copies(Flipbook book, Collection<String> ids) {
        return book.drawings().stream().filter(d -> ids.contains(d.id())).map(d -> d.withArt(renewed(d.art()))).toList();
    }

    /** Copies that count another rate's frames, with the same seconds as near as whole frames come. */
    public static List<Drawing> atRate(List<Drawing> drawings, int from, int to) {
        return drawings.isEmpty() || from == to ? drawings
                : Exposures.scaled(new Flipbook(drawings, new Point(1, 1), from, Flipbook.Ending.HOLD), d -> true, (double) to / from).book()
                .drawings();
    }

    /** The same art with new ids. */
    public static Element renewed(Element e) {
        Element copy = e.withId(Ids.next());
        return e.children().isEmpty() ? copy : copy.withChildren(e.children().stream().map(Drawings::renewed).toList());
    }

    /**
     * A copy of a drawing put after it.
     *
     * @param again whether all that moved from the drawing before to this one moves on by as much
     */
    public static Flipbook copyToNext(Flipbook book, int index, boolean again) {
        Drawing d = book.drawings().get(index);
        Element art = renewed(d.art()).withName(name(book));
        if (again && index > 0) {
            art = further(book.drawings().get(index - 1).art(), d.art(), art);
        }
        return insert(book, index + 1, List.of(new Drawing(art, 0, d.frames())));
    }

    /** Moves a copy of {@code now} on by the way that led from {@code before} to it; parts belong together by name and kind. */
    private static Element further(Element before, Element now, Element copy) {
        Element out = copy;
        Values a = before.rest(), b = now.rest();
        for (Property<?> p : List.of(Properties.POSITION, Properties.ROTATION, Properties.SCALE, Properties.SIZE, Properties.SKEW)) {
            out = step(out, p, a, b);
        }
        var children = new ArrayList<Element>();
        for (int i = 0; i < now.children().size(); i++) {
            Element n = now.children().get(i), c = out.children().get(i);
            Element same = before.children().stream().filter(x -> x.name().equals(n.name()) && x.content().getClass() == n.content().getClass())
                    .findFirst().orElse(null);
            children.add(same == null ? c : further(same, n, c));
        }
        return children.isEmpty() ? out : out.withChildren(children);
    }

    private static <T> Element step(Element e, Property<T> p, Values before, Values now) {
        double[] a = p.type().parts(before.get(p)), b = p.type().parts(now.get(p));
        double[] next = new double[b.length];
        boolean moved = false;
        for (int i = 0; i < b.length; i++) {
            next[i] = 2 * b[i] - a[i];
            moved |= a[i] != b[i];
        }
        return moved ? e.with(p, p.type().of(next)) : e;
    }
}
