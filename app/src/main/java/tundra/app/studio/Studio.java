package tundra.app.studio;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import tundra.core.edit.EditScope;
import tundra.core.edit.History;
import tundra.core.edit.Keys;
import tundra.core.edit.PropertyEdit;
import tundra.core.edit.Rested;
import tundra.core.edit.SplitPosition;
import tundra.core.file.Savable;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.frame.MotifFrames;
import tundra.core.frame.Unseen;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Marker;
import tundra.core.model.Motif;
import tundra.core.model.Place;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.TreePaths;
import tundra.core.model.Values;
import tundra.render.Fonts;

/**
 * The open project and what is being done with it. Views show it and change it through its methods; they hear of changes once a
 * pulse. Interface thread only.
 */
public final class Studio {
    private History history;
    /** What is shown in place of the project without being part of it; null for nothing. */
    private Project preview;
    /** What was chosen when a version of the project was left. */
    private final java.util.Map<Project, Chosen> chosen = new java.util.IdentityHashMap<>();
    private Object remembered;
    private java.util.function.Consumer<String> onRefused = words -> { };
    private Project saved;
    private Path file;
    private final OpenPlace open = new OpenPlace();
    private Project placeOf;
    private Place placeNow;
    private String timelineId;
    private Set<String> selection = Set.of();
    private Set<Keys.Ref> keys = Set.of();
    private String inside;
    private String left;
    private String timed;
    private String pointed;
    private Set<String> solo = Set.of();
    private long playhead;
    private EditScope scope = EditScope.KEY;
    private PropertyEdit.FirstKey firstKey = PropertyEdit.FirstKey.FROM_START;
    private Desk desk = Desk.DRAW;
    private PathsShown pathsShown = PathsShown.SELECTED;
    private boolean dark;
    private boolean playing;
    private boolean resting;
    private Board restedOf;
    private Board rested;
    private String pointedElement;
    private FrameBuilder builder;
    private final ValuesNow now = new ValuesNow();
    private Fonts measured;
    private Frame frame;
    private Frame indexed;
    private java.util.Map<String, Frame.Placed> index;
    private Board pathsOf;
    private TreePaths paths;
    /** While it plays, views other than the moving ones hear of the playhead each so many frames. */
    private static final int TOLD_EVERY = 6;
    private final List<Consumer<Set<Aspect>>> listeners = new ArrayList<>();
    private final List<Runnable> frameListeners = new ArrayList<>();
    private int untold;
    private final EnumSet<Aspect> pending = EnumSet.noneOf(Aspect.class);
    private final OpenBook book = new OpenBook(this);

    public Studio(Project project) {
        this(project, false);
    }

    /** @param dark whether the window is dark */
    public Studio(Project project, boolean dark) {
        this.dark = dark;
        take(project, null);
    }

    // --- telling ---

    /** Hears what changed, once for all changes of a pulse. */
    public void listen(Consumer<Set<Aspect>> listener) {
        listeners.add(listener);
    }

    /** Hears at once of each frame while it plays. Whoever listens otherwise hears of the playhead only a few times a second then. */
    public void eachFrame(Runnable listener) {
        frameListeners.add(listener);
    }

    /** No longer tells a listener anything. */
    public void unlisten(Consumer<Set<Aspect>> listener) {
        listeners.remove(listener);
    }

    public void changed(Aspect... aspects) {
        if (pending.isEmpty()) {
            Platform.runLater(this::tell);
        }
        pending.addAll(List.of(aspects));
    }

    private void tell() {
        var now = EnumSet.copyOf(pending);
        pending.clear();
        List.copyOf(listeners).forEach(l -> l.accept(now));
    }

    // --- the project ---

    /** Takes another project; its file is null when it has none yet. */
    public void open(Project project, Path from) {
        take(project, from);
        changed(Aspect.values());
    }

    private void take(Project project, Path from) {
        history = new History(project);
        chosen.clear();
        preview = null;
        saved = from == null ? null : project;
        file = from;
        builder = null;
        selection = Set.of();
        keys = Set.of();
        inside = null;
        timed = null;
        left = null;
        solo = Set.of();
        playhead = 0;
        open.show(project.scenes().getFirst().id());
        timelineId = board().main().id();
    }

    /** The project as it is shown, with what is only tried. */
    public Project project() {
        return preview != null ? preview : history.project();
    }

    /** The project without what is only tried: what is saved and published. */
    public Project kept() {
        return history.project();
    }

    /** Shows another board without changing the project; null ends that, and so does the next change. */
    public void preview(Board board) {
        preview = board == null ? null : kept().mapBoard(open.id(), b -> board);
        settle();
    }

    private void dropPreview() {
        if (preview != null) {
            preview(null);
        }
    }

    public boolean previewing() {
        return preview != null;
    }

    public Path file() {
        return file;
    }

    /** Whether something would be lost by closing. A fresh, untouched project is nothing to lose. */
    public boolean unsaved() {
        return saved == null ? history.undoName() != null : saved != kept();
    }

    public void savedAs(Path to, Project what) {
        file = to;
        saved = what;
        changed(Aspect.FILE);
    }

    /** What is open: a scene or a motif. */
    public Place place() {
        Project p = project();
        if (placeOf != p || placeNow == null || !placeNow.id().equals(open.id())) {
            placeOf = p;
            placeNow = p.place(open.id());
        }
        return placeNow;
    }

    /** The scene that is open, or that the open motif was opened from. */
    public Scene scene() {
        return open.scene(project());
    }

    /** How one came to what is open. */
    public OpenPlace open() {
        return open;
    }

    public Board board() {
        return place().board();
    }

    /** Where each element of the scene stands. */
    public TreePaths paths() {
        if (pathsOf != board()) {
            pathsOf = board();
            paths = new TreePaths(pathsOf.elements());
        }
        return paths;
    }

    /** Shows a scene, or a motif by itself. */
    public void showPlace(String id) {
        if (project().place(id) != null && !(id.equals(open.id()) && open.way().isEmpty())) {
            if (project().scene(id) != null) {
                open.show(id);
            } else {
                open.into(id, new OpenPlace.Step(place().id(), null, playhead, timelineId));
            }
            opened(board().main().id(), 0, List.of());
        }
    }

    /** Opens the motif of an instance where it stands. */
    public void openInPlace(String instance) {
        Element e = board().find(instance);
        if (e != null && e.content() instanceof Content.Instance i && project().motif(i.motif()) instanceof Motif m) {
            long local = moment().inside(board(), instance, i.clock(), m.board()).timeOf(m.board().main().id());
            open.into(i.motif(), new OpenPlace.Step(open.id(), instance, playhead, timelineId));
            opened(m.board().main().id(), project().snap(local), List.of());
        }
    }

    /** Back to one of the places passed, with the instance that was opened there selected. */
    public void backTo(int step) {
        OpenPlace.Step to = open.back(step);
        opened(to.timeline(), to.playhead(), to.instance() == null ? List.of() : List.of(to.instance()));
    }

    /** One place up; says whether there was one. */
    public boolean goUp() {
        if (open.way().isEmpty()) {
            return false;
        }
        backTo(open.way().size() - 1);
        return true;
    }

    private void opened(String timeline, long time, List<String> selected) {
        timelineId = board().timeline(timeline) == null ? board().main().id() : timeline;
        selection = new LinkedHashSet<>(selected);
        keys = Set.of();
        inside = null;
        left = null;
        solo = Set.of();
        playhead = Math.min(time, timeline().duration());
        frame = null;
        changed(Aspect.SCENE, Aspect.TIMELINE, Aspect.SELECTION, Aspect.PLAYHEAD);
    }

    public Timeline timeline() {
        return board().timeline(timelineId);
    }

    public void showTimeline(String id) {
        if (board().timeline(id) != null && !id.equals(timelineId)) {
            timelineId = id;
            keys = Set.of();
            playhead = Math.min(playhead, timeline().duration());
            changed(Aspect.TIMELINE, Aspect.PLAYHEAD, Aspect.SELECTION);
        }
    }

    /** The timeline that moves a property now: of those with keys for it the one started last; the chosen one when there is none. */
    public Timeline timelineOf(String element, Property<?> p) {
        for (Moment.Standing s : moment().standings().reversed()) {
            Timeline t = board().timeline(s.timeline());
            if (t.track(element, p) != null || p == Properties.POSITION && SplitPosition.is(t, element)) {
                return t;
            }
        }
        return timeline();
    }

    // --- changes ---

    public void edit(String name, UnaryOperator<Board> change) {
        edit(name, null, change);
    }

    /** Gets the sentence of an edit that was not done since no file could hold its result. */
    public void onRefused(java.util.function.Consumer<String> told) {
        onRefused = told;
    }

    /** Changes the scene's board. Changes with the same merge object become one step of undo. */
    public void edit(String name, Object merge, UnaryOperator<Board> change) {
        dropPreview();
        Board before = board(), after = change.apply(before);
        String refusal = after == before ? null : Savable.refusal(before, after);
        if (refusal != null) {
            onRefused.accept(refusal);
            return;
        }
        if (after != before && !after.equals(before)) {
            editProject(name, merge, p -> p.mapBoard(open.id(), b -> after));
        }
    }

    public void editProject(String name, Object merge, UnaryOperator<Project> change) {
        Board tried = preview == null ? null : board();
        Board was = kept().place(open.id()).board();
        preview = null;
        Project before = kept();
        history.add(name, change.apply(before), merge);
        // what is tried stays as long as the board beneath it does
        remember(before, merge);
        Place there = kept().place(open.id());
        if (tried != null && there != null && there.board() == was) {
            preview = kept().mapBoard(open.id(), b -> tried);
        }
        settle();
    }

    /** Sets what is to be seen at the playhead, where the edit scope says. */
    public <T> void set(String name, Object merge, String element, Property<T> p, T value) {
        edit(name, merge, b -> set(b, element, p, value));
    }

    public <T> Board set(Board b, String element, Property<T> p, T value) {
        return propertyEdit(element, p).set(b, element, p, value);
    }

    /** How a property of an element is changed now: outside of the Animate desk a change is for the whole move. */
    public PropertyEdit propertyEdit(String element, Property<?> p) {
        String on = timelineOf(element, p).id();
        // what belongs to the whole way is keyed only by its own button
        boolean whole = (p == Properties.FACE_PATH || p == Properties.FRONT) && board().timeline(on).track(element, p) == null;
        return new PropertyEdit(on, playhead, atRest() ? EditScope.REST : desk != Desk.ANIMATE || whole ? EditScope.WHOLE_MOVE : scope, firstKey);
    }

    public <T> T valueAt(String element, Property<T> p) {
        return valuesOf(element).get(p);
    }

    /** A board after a drag that leads from the value that was seen to another one. */
    public <T> Board drag(Board b, String element, Property<T> p, T from, T to) {
        return propertyEdit(element, p).drag(b, element, p, from, to);
    }

    /** Takes the newest change back, or what is only tried. */
    public boolean undo() {
        if (previewing()) {
            preview(null);
            return true;
        }
        return travel(history::undo);
    }

    public boolean redo() {
        preview = null;
        return travel(history::redo);
    }

    /** What is chosen: elements, keys, and the group that is entered. */
    private record Chosen(Set<String> elements, Set<Keys.Ref> keys, String inside) {}

    /** Remembers what was chosen when a version was changed, so that it is chosen again when that version comes back. */
    private void remember(Project before, Object merge) {
        if (kept() != before && (merge == null || merge != remembered)) {
            chosen.put(before, new Chosen(selection, keys, inside));
        }
        remembered = merge;
    }

    private boolean travel(java.util.function.BooleanSupplier step) {
        Project before = kept();
        var now = new Chosen(selection, keys, inside);
        boolean did = step.getAsBoolean();
        showWhereItChanged(before);
        settle();
        if (did) {
            chosen.put(before, now);
            Chosen then = chosen.get(kept());
            if (then != null) {
                selection = then.elements;
                keys = then.keys;
                inside = then.inside;
                changed(Aspect.SELECTION);
                settle();
            }
        }
        return did;
    }

    /** What was taken back or done again is seen: its scene is shown, unless the one that is shown changed as well. */
    private void showWhereItChanged(Project before) {
        Place shown = kept().place(open.id()), was = before.place(open.id());
        if (shown == null || was == null || shown.board() != was.board()) {
            return;
        }
        for (Place p : kept().places()) {
            Place then = before.place(p.id());
            // a motif shows as well what happens in the scene around it
            if ((then == null || then.board() != p.board()) && open.way().stream().noneMatch(s -> s.place().equals(p.id()))) {
                showPlace(p.id());
                return;
            }
        }
    }

    public String undoName() {
        return previewing() ? "what is tried" : history.undoName();
    }

    public String redoName() {
        return history.redoName();
    }

    /** Does a drag's step anew for its next event: what it did before is taken back, and nobody hears of that. */
    public void again(String name, Object merge, UnaryOperator<Board> change) {
        dropPreview();
        Project before = project();
        history.cancel(merge);
        Project from = project();
        edit(name, merge, change);
        if (project() == from && from != before) {
            settle();
        }
    }

    /** Takes back a drag that was given up. */
    public void cancel(Object merge) {
        dropPreview();
        history.cancel(merge);
        settle();
    }

    /** After the project became another version: what is gone can't stay selected. */
    private void settle() {
        if (!open.settle(project())) {
            changed(Aspect.SCENE);
        }
        Board b = board();
        if (b.timeline(timelineId) == null) {
            timelineId = b.main().id();
            changed(Aspect.TIMELINE);
        }
        if (inside != null && b.find(inside) == null) {
            inside = null;
            book.lost();
        }
        var left = new LinkedHashSet<>(selection);
        if (!left.isEmpty()) {
            left.retainAll(Tree.ids(b.elements()));
        }
        var leftKeys = new LinkedHashSet<>(keys);
        Timeline now = b.timeline(timelineId);
        leftKeys.removeIf(r -> {
            var track = now.track(r.element(), r.property());
            return track == null || track.keyAt(r.time()) == null;
        });
        if (!left.equals(selection) || !leftKeys.equals(keys)) {
            selection = left;
            keys = leftKeys;
            changed(Aspect.SELECTION);
        }
        playhead = Math.min(playhead, timeline().duration());
        frame = null;
        book.follow();
        changed(Aspect.DOCUMENT);
    }

    // --- the picture ---

    /** The fonts that this project's text can be set in. */
    public Fonts fonts() {
        return Fonts.of(project().assets());
    }

    /** Whether things are seen as they rest, without what their keys do: a way to draw what is faded in later. */
    public boolean atRest() {
        return resting && desk == Desk.DRAW && !playing;
    }

    public void setAtRest(boolean on) {
        if (resting != on) {
            resting = on;
            frame = null;
            changed(Aspect.PLAYHEAD);
        }
    }

    /** The board that is seen: the real one, or one without keys. */
    private Board seenBoard() {
        if (!atRest()) {
            return board();
        }
        if (restedOf != board()) {
            restedOf = board();
            rested = Rested.board(restedOf);
        }
        return rested;
    }

    /** The evaluator of the board as it is now. */
    public FrameBuilder builder() {
        Fonts fonts = fonts();
        Board seen = seenBoard();
        boolean otherMotifs = builder == null || builder.motifs().of() != project().motifs();
        if (builder == null || builder.board() != seen || fonts != measured || otherMotifs) {
            FrameBuilder old = fonts == measured ? builder : null;
            MotifFrames motifs = old != null && !otherMotifs ? old.motifs() : new MotifFrames(project().motifs(), fonts, old == null ? null : old.motifs());
            builder = new FrameBuilder(seen, fonts, old, true, motifs);
            measured = fonts;
            frame = null;
        }
        return builder;
    }

    /** Where the timelines stand: the opened scene at the playhead, with the chosen timeline on top. */
    public Moment moment() {
        return now.moment(board(), timelineId, playhead);
    }

    /** The same at another time of the playhead. */
    Moment momentAt(long time) {
        return Moment.editing(board(), timelineId, time);
    }

    /** All values of an element at the playhead; null when there is no such element. */
    public Values valuesOf(String element) {
        return now.of(builder(), moment(), element);
    }

    /** Where Main, by which flipbooks go, stands at the playhead, in µs. */
    public long mainTime() {
        return moment().timeOf(board().main().id());
    }

    /** The board at the playhead. */
    public Frame frame() {
        FrameBuilder b = builder();
        if (frame == null) {
            frame = open.within(project(), book.over(soloed(b.at(momentAt(book.seen())))));
        }
        return frame;
    }

    /** Has the picture made anew: something that isn't in the document changed. */
    void reframe() {
        frame = null;
    }

    /** The flipbook that is worked on. */
    public OpenBook book() {
        return book;
    }

    /** A board with a new element, placed in canvas coordinates, where drawing goes now. */
    public Board add(Board b, Element e) {
        return book.add(b, e, frame());
    }

    /** Where an element stands at the playhead; null when it isn't shown. For asking after many elements at once. */
    public Frame.Placed placed(String id) {
        Frame now = frame();
        if (indexed != now) {
            index = now.index();
            indexed = now;
        }
        return index.get(id);
    }

    private Frame soloed(Frame f) {
        return solo.isEmpty() ? f : new Frame(f.size(), f.background(), f.nodes().stream().filter(this::shownAlone).toList());
    }

    private boolean shownAlone(FrameNode n) {
        return solo.contains(n.id()) || n.children().stream().anyMatch(this::shownAlone);
    }

    /** The elements that are shown alone while drawing; empty shows all. */
    public Set<String> solo() {
        return solo;
    }

    public void setSolo(Collection<String> ids) {
        solo = Set.copyOf(ids);
        frame = null;
        changed(Aspect.DOCUMENT);
    }

    // --- what is being done ---

    public Set<String> selection() {
        return selection;
    }

    /** The one selected element; null when there is none or several. */
    public Element selected() {
        return selection.size() == 1 ? board().find(selection.iterator().next()) : null;
    }

    public void select(Collection<String> ids) {
        var next = new LinkedHashSet<>(ids);
        if (!next.equals(selection) || timed != null) {
            selection = next;
            timed = null;
            frame = null;
            changed(Aspect.SELECTION);
        }
    }

    /** The group that is edited in place; null when it is the scene itself. */
    public String inside() {
        return inside;
    }

    /** Goes into a group, or with null out of all of them. Into a flipbook means into the drawing that it shows. */
    public void enter(String group) {
        String to = group;
        if (group != null && board().find(group) instanceof Element e && e.content() instanceof Flipbook b
                && b.at(mainTime()) instanceof Drawing d) {
            to = d.id();
        }
        if (!java.util.Objects.equals(to, inside)) {
            if (to == null) {
                List<String> path = paths().path(inside);
                left = path.isEmpty() ? null : path.getFirst();
            }
            inside = to;
            frame = null;
            changed(Aspect.SELECTION);
        }
    }

    /** Whether an element is a drawing of a flipbook. */
    public boolean isDrawing(String id) {
        List<String> path = paths().path(id);
        return path.size() > 1 && board().find(path.get(path.size() - 2)).content() instanceof Flipbook;
    }

    /** The group or flipbook that was left last, while it is there and nothing is entered; null for none. */
    public Element left() {
        return inside != null || left == null ? null : board().find(left);
    }

    /** Goes into what was left last. */
    public void goBackIn() {
        Element e = left();
        if (e != null) {
            select(List.of());
            enter(e.id());
        }
    }

    /** Where the pointer is in a list of elements; null for nowhere. */
    public void pointAt(String element) {
        if (!java.util.Objects.equals(element, pointedElement)) {
            pointedElement = element;
            changed(Aspect.SCOPE);
        }
    }

    /** The element that is pointed at in a list, else the one selected, when it is not seen at the playhead; null for none. */
    public Element unseen() {
        Element at = pointedElement == null ? null : board().find(pointedElement);
        Element e = at != null ? at : selected();
        return e == null || playing || desk == Desk.PUBLISH || Unseen.why(seenBoard(), builder(), frame(), e.id(), momentAt(seenAt())) == null ? null : e;
    }

    /** Why an element is not seen now, as one line. */
    public String whyUnseen(Element e) {
        return Unseen.why(seenBoard(), builder(), frame(), e.id(), momentAt(seenAt()));
    }

    /** Where an element that is not seen would stand. */
    public Frame.Placed unseenAt(Element e) {
        List<String> path = paths().path(e.id());
        Frame.Placed parent = path.size() < 2 ? null : placed(path.get(path.size() - 2));
        Moment at = momentAt(seenAt());
        tundra.core.geometry.Point box = builder().boxAt(e, at);
        var own = FrameBuilder.placed(builder().valuesAt(e.id(), at), box);
        var node = new FrameNode(e.id(), true, own, 1, box, List.of(), List.of(), List.of());
        return new Frame.Placed(node, parent == null ? own : parent.toCanvas().times(own));
    }

    private long seenAt() {
        return book.seen();
    }

    /** One group further out; says whether there was one to leave. The group, or the flipbook, that was left is selected. */
    public boolean leave() {
        if (inside == null) {
            return false;
        }
        List<String> path = paths().path(inside);
        int left = path.size() - 1;
        if (left > 0 && board().find(path.get(left - 1)).content() instanceof Flipbook) {
            left--;
        }
        String around = left > 0 ? path.get(left - 1) : null;
        this.left = path.isEmpty() ? null : path.get(left);
        inside = around;
        frame = null;
        changed(Aspect.SELECTION);
        select(path.isEmpty() ? List.of() : List.of(path.get(left)));
        return true;
    }

    /** Chooses a marker or a sound of the timeline in place of keys; null chooses none. */
    public void chooseInTime(String id) {
        if (!java.util.Objects.equals(id, timed)) {
            keys = id == null ? keys : Set.of();
            timed = id;
            changed(Aspect.SELECTION);
        }
    }

    /** The marker that is chosen; null for none. */
    public Marker marker() {
        return timeline().markers().stream().filter(m -> m.id().equals(timed)).findFirst().orElse(null);
    }

    /** The placed sound that is chosen; null for none. */
    public PlacedSound sound() {
        return timeline().sounds().stream().filter(s -> s.id().equals(timed)).findFirst().orElse(null);
    }

    public Set<Keys.Ref> keys() {
        return keys;
    }

    public void selectKeys(Collection<Keys.Ref> refs) {
        var next = new LinkedHashSet<>(refs);
        if (!next.equals(keys) || !next.isEmpty() && timed != null) {
            keys = next;
            timed = next.isEmpty() ? timed : null;
            changed(Aspect.SELECTION);
        }
    }

    public long playhead() {
        return playhead;
    }

    /** Moves the playhead, kept within the timeline, to the nearest frame. */
    public void seek(long time) {
        long t = Math.min(timeline().duration(), project().snap(Math.max(0, Math.min(timeline().duration(), time))));
        if (t != playhead) {
            playhead = t;
            frame = null;
            if (playing) {
                frameListeners.forEach(Runnable::run);
                if (++untold % TOLD_EVERY == 0) {
                    changed(Aspect.PLAYHEAD);
                }
            } else {
                changed(Aspect.PLAYHEAD);
                book.follow();
            }
        }
    }

    public boolean playing() {
        return playing;
    }

    void setPlaying(boolean on) {
        playing = on;
        frame = null;
        if (!on) {
            book.follow();
        }
        changed(Aspect.PLAYING, Aspect.PLAYHEAD);
    }

    /** Whether a change is no more than time going on while it plays, which those who hear of each frame know already. */
    public boolean onlyTimeGoesOn(Set<Aspect> what) {
        return playing && what.size() == 1 && what.contains(Aspect.PLAYHEAD);
    }

    public EditScope scope() {
        return scope;
    }

    public void setScope(EditScope s) {
        scope = s;
        changed(Aspect.SCOPE);
    }

    /** What becomes of the time before the first key of a property. */
    public PropertyEdit.FirstKey firstKey() {
        return firstKey;
    }

    /** Whether a change of the selected element would set its first key, later than the start. */
    public boolean firstKeyAsked() {
        Element e = selected();
        return e != null && desk == Desk.ANIMATE && scope == EditScope.KEY && playhead > 0
                && timelineOf(e.id(), Properties.POSITION).track(e.id(), Properties.POSITION) == null && !SplitPosition.is(timeline(), e.id());
    }

    public void setFirstKey(PropertyEdit.FirstKey f) {
        firstKey = f;
        changed(Aspect.SCOPE);
    }

    /** Which motion paths are shown while animating. */
    public PathsShown pathsShown() {
        return pathsShown;
    }

    public void setPathsShown(PathsShown p) {
        pathsShown = p;
        changed(Aspect.SELECTION);
    }

    public Desk desk() {
        return desk;
    }

    public void setDesk(Desk d) {
        if (desk != d) {
            desk = d;
            frame = null;
            changed(Aspect.DESK, Aspect.SCOPE);
        }
    }

    public boolean dark() {
        return dark;
    }

    public void setDark(boolean d) {
        if (dark != d) {
            dark = d;
            changed(Aspect.THEME);
        }
    }

    /** Says what a drag of something that the pointer is over would do, where that is not the selection; null for nothing. */
    public void setPointed(String words) {
        if (!java.util.Objects.equals(words, pointed)) {
            pointed = words;
            changed(Aspect.SCOPE);
        }
    }

    /** What dragging the selection would do now, in words. */
    public String consequence() {
        if (pointed != null) {
            return pointed;
        }
        Element e = selected();
        if (e == null) {
            return selection.isEmpty() ? "select something to see what a change would do"
                    : "dragging changes " + selection.size() + " elements";
        }
        Timeline t = timelineOf(e.id(), Properties.POSITION);
        String words = propertyEdit(e.id(), Properties.POSITION).consequence(board(), e);
        return t == timeline() ? words : words + " on " + t.name();
    }
}
