package tundra.app.studio;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import tundra.core.edit.Arrange;
import tundra.core.edit.Drawings;
import tundra.core.flip.OnionLayers;
import tundra.core.flip.OnionSkin;
import tundra.core.flip.LoopTurns;
import tundra.core.frame.Frame;
import tundra.core.model.Board;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;

/** The flipbook that is worked on: the one that is selected, or that holds what is selected or entered. */
public final class OpenBook {
    private final Studio studio;
    private OnionSkin skin = OnionSkin.STANDARD;
    private final OnionLayers ghosts = new OnionLayers();
    private boolean keepArea;
    private Set<String> drawings = Set.of();
    private int peek;
    private Board knownBoard;
    private Object knownPlace;
    private String known;
    private String lastOpen;

    OpenBook(Studio studio) {
        this.studio = studio;
    }

    /** Its id; null when none is worked on. */
    public String id() {
        Object place = List.of(studio.selection(), String.valueOf(studio.groups().inside()));
        if (knownBoard != studio.board() || !place.equals(knownPlace)) {
            knownBoard = studio.board();
            knownPlace = place;
            known = find();
            lastOpen = known == null ? lastOpen : known;
        }
        return known;
    }

    private String find() {
        var of = new LinkedHashSet<String>();
        for (String id : studio.selection()) {
            of.add(bookAround(id));
        }
        if (of.isEmpty() && studio.groups().inside() != null) {
            of.add(bookAround(studio.groups().inside()));
        }
        return of.size() == 1 ? of.iterator().next() : null;
    }

    /** The innermost flipbook that is an element or holds it; null when there is none. */
    private String bookAround(String id) {
        List<String> path = studio.board().path(id);
        for (String step : path.reversed()) {
            if (studio.board().find(step).content() instanceof Flipbook) {
                return step;
            }
        }
        return null;
    }

    /** The flipbook that was worked on last, while it is in this scene; null for none. */
    public Element last() {
        id();
        Element e = lastOpen == null ? null : studio.board().find(lastOpen);
        return e != null && e.content() instanceof Flipbook ? e : null;
    }

    public boolean is() {
        return id() != null;
    }

    public Element element() {
        return id() == null ? null : studio.board().find(id());
    }

    /** Null when none is worked on. */
    public Flipbook book() {
        Element e = element();
        return e == null ? null : (Flipbook) e.content();
    }

    /** The frame of it that the playhead is at. */
    public long frame() {
        Flipbook b = book();
        return b == null ? 0 : b.frameAt(studio.picture().mainTime());
    }

    /** The playhead's frame as it counts on the strip: in a loop that of its first turn. */
    public long frameInBook() {
        Flipbook b = book();
        long f = frame();
        return b != null && b.ending() == Flipbook.Ending.LOOP && f >= b.end() && b.end() > b.start() ? b.start()
                + (f - b.start()) % (b.end() - b.start()) : f;
    }

    /** The place of the drawing at the playhead; -1 for none. */
    public int current() {
        Flipbook b = book();
        return b == null ? -1 : b.indexAt(frame());
    }

    /** The drawing at the playhead; null for none. */
    public Drawing drawing() {
        int i = current();
        return i < 0 ? null : book().drawings().get(i);
    }

    // --- which drawings are meant ---

    /** The drawings chosen on the strip that are still there; the current one when none is. */
    public Set<String> meant() {
        var left = new LinkedHashSet<String>();
        if (is()) {
            book().drawings().stream().map(Drawing::id).filter(drawings::contains).forEach(left::add);
        }
        if (left.isEmpty() && drawing() != null) {
            left.add(drawing().id());
        }
        return left;
    }

    /** Several drawings when several are chosen, else all of them. */
    public Set<String> run() {
        Set<String> some = meant();
        if (some.size() > 1 || !is()) {
            return some;
        }
        var all = new LinkedHashSet<String>();
        book().drawings().forEach(d -> all.add(d.id()));
        return all;
    }

    public boolean chosen(String drawing) {
        return drawings.contains(drawing);
    }

    public void choose(Collection<String> ids) {
        drawings = Set.copyOf(ids);
        studio.changed(Aspect.SELECTION);
    }

    /** Whether drawings rather than elements are what a command means. */
    public boolean drawingsMeant() {
        return studio.desk() == Desk.DRAW && is() && !drawings.isEmpty() && studio.selection().isEmpty() && !meant().isEmpty();
    }

    /** Goes to a frame of the flipbook and into the drawing there; a loop stays in the turn that it is in, if it is seen there. */
    public void go(long frame) {
        String id = id();
        if (id != null) {
            studio.time().seek(timeOf(frame));
            studio.select(List.of());
            studio.groups().enter(id);
        }
    }

    /** When a frame of the strip is seen, in µs: in the turn of a loop that is nearest to the playhead. */
    public long timeOf(long frame) {
        List<String> path = studio.board().path(id());
        return LoopTurns.timeOf(book(), frame, studio.picture().mainTime(), studio.timeline().duration(),
                time -> path.stream().allMatch(e -> studio.picture().builder().shown(e, studio.picture().momentAt(time))));
    }

    /** Goes to a drawing and chooses it alone. */
    public void goTo(int index) {
        Flipbook b = book();
        if (b != null && index >= 0 && index < b.drawings().size()) {
            choose(List.of(b.drawings().get(index).id()));
            go(b.drawings().get(index).start());
        }
    }

    /** The drawing before or after the one at the playhead; a loop goes on around its ends. */
    public int neighbour(int way) {
        Flipbook b = book();
        if (b == null || b.drawings().isEmpty()) {
            return -1;
        }
        int n = b.drawings().size(), now = current();
        if (now < 0) {
            int before = -1;
            while (before + 1 < n && b.drawings().get(before + 1).start() <= frame()) {
                before++;
            }
            now = way > 0 ? before : before + 1;
        }
        int next = now + way;
        return b.ending() == Flipbook.Ending.LOOP ? Math.floorMod(next, n) : next >= 0 && next < n ? next : -1;
    }

    // --- changes ---

    /** Changes the flipbook. */
    public void edit(String name, Object merge, UnaryOperator<Flipbook> change) {
        String id = id();
        if (id != null) {
            studio.edit(name, merge, b -> b.mapElement(id, e -> e.withContent(change.apply((Flipbook) e.content()))));
        }
    }

    /**
     * A board with a new element where drawing goes now: on the current drawing of the flipbook that is worked on, on a new drawing where
     * none is; else in the group that is edited, or on top of all.
     *
     * @param e placed in canvas coordinates
     */
    Board add(Board board, Element e, Frame seen) {
        if (!is() || studio.desk() != Desk.DRAW) {
            return Arrange.add(board, studio.groups().inside(), e, seen);
        }
        String id = id();
        // of the board that is given, which may have got a drawing since
        Drawing now = ((Flipbook) board.find(id).content()).at(studio.picture().mainTime());
        if (now != null && seen.find(now.id()) != null) {
            String inner = studio.groups().inside() != null && board.path(studio.groups().inside()).contains(now.id()) ? studio.groups().inside()
                    : now.id();
            return Arrange.add(board, inner, e, seen);
        }
        // in the flipbook it becomes a drawing of its own, which then goes to the frame, or onto the drawing that was just made there
        return Arrange.add(board, id, e, seen).mapElement(id, x -> {
            Flipbook all = (Flipbook) x.content();
            Element art = all.drawings().getLast().art();
            // a group became the drawing itself
            Element part = art.id().equals(e.id()) ? art : art.children().getFirst();
            Flipbook old = all.withDrawings(all.drawings().subList(0, all.drawings().size() - 1));
            return x.withContent(now == null ? filled(old, part) : onto(old, now, part));
        });
    }

    private Flipbook filled(Flipbook book, Element part) {
        int hold = book.drawings().isEmpty() ? 2 : book.drawings().getLast().frames();
        return Drawings.fill(book, (int) frame(), hold, Flipbook.blank(Drawings.name(book), book.box()).withChildren(List.of(part)));
    }

    private static Flipbook onto(Flipbook book, Drawing now, Element part) {
        var parts = new ArrayList<>(now.art().children());
        parts.add(part);
        return book.withDrawings(book.drawings().stream().map(d -> d.id().equals(now.id()) ? d.withArt(d.art().withChildren(parts)) : d).toList());
    }

    /** The drawing that was drawn on is gone: goes on with the flipbook, if that is still there. */
    void lost() {
        if (known != null && studio.board().find(known) instanceof Element e && e.content() instanceof Flipbook) {
            studio.groups().enter(known);
        }
    }

    /** After the playhead or the document moved on: goes into the drawing that is seen now. */
    void follow() {
        String inside = studio.groups().inside();
        String of = inside == null ? null : bookAround(inside);
        if (of == null) {
            return;
        }
        Flipbook b = (Flipbook) studio.board().find(of).content();
        Drawing now = b.at(studio.picture().mainTime());
        if (now != null && studio.board().path(inside).contains(now.id())) {
            return;
        }
        studio.groups().enter(of);
        var left = new ArrayList<>(studio.selection());
        left.removeIf(id -> {
            List<String> path = studio.board().path(id);
            return path.contains(of) && path.size() > 1 && !id.equals(of) && (now == null || !path.contains(now.id()));
        });
        studio.select(left);
    }

    // --- how it is seen ---

    public OnionSkin skin() {
        return skin;
    }

    public void setSkin(OnionSkin s) {
        skin = s;
        studio.picture().reframe();
        studio.changed(Aspect.SELECTION);
    }

    public boolean keepArea() {
        return keepArea;
    }

    public void setKeepArea(boolean on) {
        keepArea = on;
        studio.changed(Aspect.SELECTION);
    }

    /** Shows a neighbour of the current drawing for as long as a key is held: -1 the one before, 1 the next, 0 none. */
    public void peek(int way) {
        if (way != peek) {
            peek = way;
            studio.picture().reframe();
            studio.changed(Aspect.PLAYHEAD);
        }
    }

    public int peek() {
        return peek;
    }

    private boolean skins() {
        return skin.on() && studio.desk() == Desk.DRAW && !studio.time().playing() && is();
    }

    /** The time that is seen: the playhead's, or that of the neighbour that is looked at. */
    long seen() {
        int i = peek == 0 || studio.time().playing() ? -1 : neighbour(peek);
        return i < 0 ? studio.time().playhead() : timeOf(book().drawings().get(i).start());
    }

    /** A frame with the onion skin that belongs there. */
    Frame over(Frame f) {
        return skins() && peek == 0 ? skin.over(f, studio.picture().builder(), id(), studio.picture().moment(), ghosts) : f;
    }
}
