package tundra.app.studio;

import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import tundra.core.edit.Kept;
import tundra.core.edit.Keys;
import tundra.core.edit.SplitPosition;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.frame.Parallax;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Marker;
import tundra.core.model.Place;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.render.Fonts;

/**
 * The open project and what is being done with it. Views show it and change it through its methods; they hear of changes once a
 * pulse. Interface thread only.
 */
public final class Studio {
    final Changes changes = new Changes();
    final OpenDocument document = new OpenDocument();
    final OpenPlace open = new OpenPlace();
    final Selection chosen = new Selection();
    final TimeShown time = new TimeShown();
    final BoardEvaluation seen = new BoardEvaluation();
    final ValuesNow now = new ValuesNow();
    final LayoutShown layout = new LayoutShown();
    /** The layout that was heard of last. */
    private String workedOn;
    final OpenBook book = new OpenBook(this);
    private final UndoHistory history = new UndoHistory(this);
    private final EditTarget target = new EditTarget(this);
    private final EnteredGroups groups = new EnteredGroups(this);
    private final Presence presence = new Presence(this);
    private final Navigation navigation = new Navigation(this);
    private final WorkedLayout layouts = new WorkedLayout(this);
    private final PageScroll scroll = new PageScroll(this);
    private Object opened;
    private Consumer<String> onRefused = words -> { };
    private Project placeOf;
    private Place placeNow;
    private Desk desk = Desk.DRAW;
    private PathsShown pathsShown = PathsShown.SELECTED;
    private boolean dark;
    private boolean resting;
    /** Whether what is tried is put aside for something that is done, and whether that left it for good. */
    boolean asideFor;
    boolean leftTried;

    public Studio(Project project) {
        this(project, false);
    }

    /** @param dark whether the window is dark */
    public Studio(Project project, boolean dark) {
        this.dark = dark;
        take(project, null, false);
    }

    /** Going back and forth among the versions of the piece. */
    public UndoHistory history() {
        return history;
    }

    /** Where a change of a property goes. */
    public EditTarget target() {
        return target;
    }

    /** The groups that are edited in place. */
    public EnteredGroups groups() {
        return groups;
    }

    /** What isn't seen at the playhead, and why. */
    public Presence presence() {
        return presence;
    }

    /** The way from place to place. */
    public Navigation navigation() {
        return navigation;
    }

    /** The layout that is worked on. */
    public WorkedLayout layouts() {
        return layouts;
    }

    /** How far the page is scrolled. */
    public PageScroll scroll() {
        return scroll;
    }

    // --- telling ---

    /** Hears what changed, once for all changes of a pulse. */
    public void listen(Consumer<Set<Aspect>> listener) {
        changes.listen(listener);
    }

    /** Hears at once of each frame while it plays. Whoever listens otherwise hears of the playhead only a few times a second then. */
    public void eachFrame(Runnable listener) {
        changes.eachFrame(listener);
    }

    /** No longer tells a listener anything. */
    public void unlisten(Consumer<Set<Aspect>> listener) {
        changes.unlisten(listener);
    }

    public void changed(Aspect... aspects) {
        changes.changed(aspects);
    }

    // --- the project ---

    /** Takes another project; its file is null when it has none yet. */
    public void open(Project project, Path from) {
        take(project, from, false);
        changed(Aspect.values());
    }

    /** Takes a project that is not what its file holds, such as one that a crash left behind. */
    public void openUnsaved(Project project, Path from) {
        take(project, from, true);
        changed(Aspect.values());
    }

    private void take(Project project, Path from, boolean unsaved) {
        opened = new Object();
        document.take(project, from, unsaved);
        seen.clear();
        chosen.clear();
        layout.clear();
        open.show(project.scenes().getFirst().id());
        time.show(board(), board().main().id(), 0);
    }

    /** The project as it is shown, with what is only tried. */
    public Project project() {
        return document.shown();
    }

    /** The project without what is only tried: what is saved and published. */
    public Project kept() {
        return document.kept();
    }

    /** Shows another board without changing the project; null ends that, and so does the next change. */
    public void preview(Board board) {
        document.preview(board == null ? null : kept().mapBoard(open.id(), b -> board));
        settle();
    }

    void dropPreview() {
        if (previewing()) {
            preview(null);
        }
    }

    /**
     * Does something with what is kept in sight: what is only tried is put aside, and comes back where nothing was changed and nothing else
     * is tried. So whatever is worked out meanwhile, before an edit as well as within it, is worked out of what is kept.
     */
    public void withKept(Runnable work) {
        if (!previewing() || asideFor) {
            work.run();
            return;
        }
        Board tried = board();
        Project before = kept();
        String there = open.id();
        asideFor = true;
        document.preview(null);
        seen.reframe();
        try {
            work.run();
        } finally {
            asideFor = false;
            if (kept() == before && !previewing() && there.equals(open.id()) && !leftTried) {
                document.preview(before.mapBoard(there, b -> tried));
            }
            leftTried = false;
            settle();
        }
    }

    public boolean previewing() {
        return document.previewing();
    }

    /** Stands for the piece that is open, whatever version it is at: another one once another is opened. */
    public Object document() {
        return opened;
    }

    public Path file() {
        return document.file();
    }

    /** Whether something would be lost by closing. A fresh, untouched project is nothing to lose. */
    public boolean unsaved() {
        return document.unsaved();
    }

    /** A version was saved to a file, written as the same or, for a copy, as one of another id. */
    public void savedAs(Path to, Project what, Project written) {
        document.savedAs(to, what, written);
        seen.reframe();
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

    /** What is open as it is worked on: a scene in the layout that was chosen. */
    public Board board() {
        return layout.seen(place().board());
    }

    /** What is open as it is kept: the base with all of its layouts. */
    public Board base() {
        return kept().place(open.id()).board();
    }

    /** What is worked on at the size that it is drawn, without what is only tried. */
    public Board drawn() {
        return layout.seen(base());
    }

    /** The layout that is worked on; null for the scene as it is drawn. */
    public Layout layout() {
        return layout.of(base());
    }

    /** Changes the base of what is open with its layouts, whichever is worked on. */
    public boolean editBase(String name, Object merge, UnaryOperator<Board> change) {
        return editProject(name, merge, p -> p.mapBoard(open.id(), change));
    }

    void opened(String timeline, long time, List<String> selected) {
        this.time.show(board(), timeline, time);
        chosen.clear(selected);
        seen.reframe();
        changed(Aspect.SCENE, Aspect.TIMELINE, Aspect.SELECTION, Aspect.PLAYHEAD);
    }

    public Timeline timeline() {
        return time.timeline(board());
    }

    public void showTimeline(String id) {
        if (board().timeline(id) != null && !id.equals(time.timeline())) {
            time.show(board(), id, playhead());
            chosen.clearKeys();
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
    public void onRefused(Consumer<String> told) {
        onRefused = told;
    }

    /** Changes the scene's board. Changes with the same merge object become one step of undo. */
    public void edit(String name, Object merge, UnaryOperator<Board> change) {
        make(name, merge, k -> {
            Board before = k.board(), after = change.apply(before);
            return after == before || after.equals(before) ? k.<Void>nothing() : k.with(after, null);
        });
    }

    /** Changes what is open, and tells the change's news; null when nothing was changed. */
    public <N> N make(String name, Function<Kept, Kept.Edited<N>> change) {
        return make(name, null, change);
    }

    /**
     * What is only tried is dropped first, so that the change begins with what is kept. A version that may not be is refused, and nothing
     * happens but that its sentence is told.
     *
     * @return the change's news; null when nothing was changed
     */
    private <N> N make(String name, Object merge, Function<Kept, Kept.Edited<N>> change) {
        dropPreview();
        Project before = kept(), worked = layout.in(before, open.id());
        Kept.Edited<N> made = change.apply(new Kept(worked, open.id()));
        return made.project() != worked && editProject(made.name() == null ? name : made.name(), merge,
                p -> layout.back(before, open.id(), made.project())) ? made.news() : null;
    }

    /**
     * Changes more than what is open. What is tried stays as long as the board beneath it does. Says whether the version was taken; one that
     * may not be is refused with its sentence.
     */
    public boolean editProject(String name, Object merge, UnaryOperator<Project> change) {
        Board tried = previewing() ? board() : null;
        Board was = kept().place(open.id()).board();
        Project before = kept();
        String refusal = document.change(name, merge, change);
        chosen.remember(before, kept() != before, merge);
        Place there = kept().place(open.id());
        if (tried != null && there != null && there.board() == was) {
            document.preview(kept().mapBoard(open.id(), b -> tried));
        }
        settle();
        if (refusal != null) {
            onRefused.accept(refusal);
        }
        return refusal == null;
    }

    /** Does a drag's step anew for its next event: what it did before is taken back, and nobody hears of that. */
    public void again(String name, Object merge, UnaryOperator<Board> change) {
        dropPreview();
        Project before = project();
        document.cancel(merge);
        Project from = project();
        edit(name, merge, change);
        if (project() == from && from != before) {
            settle();
        }
    }

    /** Takes back a drag that was given up. */
    public void cancel(Object merge) {
        dropPreview();
        document.cancel(merge);
        settle();
    }

    /** After the project became another version: what is gone can't stay selected. */
    void settle() {
        if (!open.settle(project())) {
            changed(Aspect.SCENE);
        }
        String worked = layout() == null ? null : layout().id();
        if (!Objects.equals(worked, workedOn)) {
            workedOn = worked;
            changed(Aspect.SCENE, Aspect.TIMELINE, Aspect.PLAYHEAD, Aspect.SCOPE);
        }
        Board b = board();
        if (time.settle(b)) {
            changed(Aspect.TIMELINE);
        }
        if (chosen.lost(b)) {
            book.lost();
        }
        if (chosen.settle(b, timeline())) {
            changed(Aspect.SELECTION);
        }
        seen.reframe();
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
        return resting && desk == Desk.DRAW && !playing();
    }

    public void setAtRest(boolean on) {
        if (resting != on) {
            resting = on;
            seen.reframe();
            changed(Aspect.PLAYHEAD);
        }
    }

    /** The board that is seen: the real one, or one without keys. */
    Board seenBoard() {
        return atRest() ? seen.rested(board()) : board();
    }

    /** The evaluator of the board as it is now. */
    public FrameBuilder builder() {
        return seen.builder(project(), seenBoard());
    }

    /** Where the timelines stand: the opened scene at the playhead, with the chosen timeline on top. */
    public Moment moment() {
        return now.moment(board(), time.timeline(), playhead());
    }

    /** The same at another time of the playhead. */
    Moment momentAt(long time) {
        return Moment.editing(board(), this.time.timeline(), time);
    }

    /** All values of an element at the playhead; null when there is no such element. */
    public Values valuesOf(String element) {
        return now.of(builder(), moment(), element);
    }

    /** All values of elements at the playhead, for asking after many at once; until something changes. */
    Function<String, Values> valuesNow() {
        FrameBuilder b = builder();
        Moment m = moment();
        return id -> now.of(b, m, id);
    }

    /** Where Main, by which flipbooks go, stands at the playhead, in µs. */
    public long mainTime() {
        return moment().timeOf(board().main().id());
    }

    /** The board at the playhead. */
    public Frame frame() {
        FrameBuilder b = builder();
        return seen.frame() != null ? seen.frame()
                : seen.frame(open.within(project(), book.over(soloed(Parallax.scrolled(b.at(momentAt(book.seen())), seenBoard(), scroll.at())))));
    }

    /** Shows one text with the names of its values, as while it is typed; null for none. */
    public void showAsWritten(String element) {
        // the picture is made anew, so only where there are values
        if (seen.showAsWritten(project().values().isEmpty() ? null : element)) {
            seen.reframe();
            changed(Aspect.PLAYHEAD);
        }
    }

    /** Has the picture made anew: something that isn't in the document changed. */
    void reframe() {
        seen.reframe();
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
        return frame().find(id);
    }

    private Frame soloed(Frame f) {
        return groups().solo().isEmpty() ? f : new Frame(f.size(), f.background(), f.nodes().stream().filter(this::shownAlone).toList());
    }

    private boolean shownAlone(FrameNode n) {
        // parts that blocks paint of themselves have no id
        return n.id() != null && groups().solo().contains(n.id()) || n.children().stream().anyMatch(this::shownAlone);
    }

    // --- what is being done ---

    public Set<String> selection() {
        return chosen.elements();
    }

    /** The one selected element; null when there is none or several. */
    public Element selected() {
        return selection().size() == 1 ? board().find(selection().iterator().next()) : null;
    }

    /** Chooses elements; what is not on the board is left out. */
    public void select(Collection<String> ids) {
        Board b = board();
        if (chosen.choose(ids.stream().filter(id -> b.find(id) != null).toList())) {
            seen.reframe();
            changed(Aspect.SELECTION);
        }
    }

    /** Chooses a marker or a sound of the timeline in place of keys; null chooses none. */
    public void chooseInTime(String id) {
        if (chosen.chooseInTime(id)) {
            changed(Aspect.SELECTION);
        }
    }

    /** The marker that is chosen; null for none. */
    public Marker marker() {
        return timeline().markers().stream().filter(m -> m.id().equals(chosen.timed())).findFirst().orElse(null);
    }

    /** The placed sound that is chosen; null for none. */
    public PlacedSound sound() {
        return timeline().sounds().stream().filter(s -> s.id().equals(chosen.timed())).findFirst().orElse(null);
    }

    public Set<Keys.Ref> keys() {
        return chosen.keys();
    }

    public void selectKeys(Collection<Keys.Ref> refs) {
        if (chosen.chooseKeys(refs)) {
            changed(Aspect.SELECTION);
        }
    }

    public long playhead() {
        return time.playhead();
    }

    /** Moves the playhead, kept within the timeline, to the nearest frame. */
    public void seek(long time) {
        scroll.forget();
        if (this.time.seek(project(), board(), time)) {
            seen.reframe();
            if (playing()) {
                changes.frame();
            } else {
                changed(Aspect.PLAYHEAD);
                book.follow();
            }
        }
    }

    public boolean playing() {
        return time.playing();
    }

    void setPlaying(boolean on) {
        time.setPlaying(on);
        seen.reframe();
        if (!on) {
            book.follow();
        }
        changed(Aspect.PLAYING, Aspect.PLAYHEAD);
    }

    /** Whether a change is no more than time going on while it plays, which those who hear of each frame know already. */
    public boolean onlyTimeGoesOn(Set<Aspect> what) {
        return playing() && what.size() == 1 && what.contains(Aspect.PLAYHEAD);
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
            seen.reframe();
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

}
