package tundra.app.studio;

import java.nio.file.Path;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import tundra.core.edit.Kept;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Layout;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;

/**
 * The open project and what is being done with it. Views show it and change it through its methods; they hear of changes once a
 * pulse. Interface thread only.
 */
public final class Studio {
    final Changes changes = new Changes();
    final OpenDocument document = new OpenDocument();
    final OpenPlace open = new OpenPlace();
    final Selection chosen = new Selection();
    private final OpenTimeline time = new OpenTimeline(this);
    private final BoardPicture picture = new BoardPicture(this);
    private final TriedBoard tried = new TriedBoard(this);
    final LayoutShown layout = new LayoutShown();
    final OpenBook book = new OpenBook(this);
    private final UndoHistory history = new UndoHistory(this);
    private final EditTarget target = new EditTarget(this);
    private final EnteredGroups groups = new EnteredGroups(this);
    private final Presence presence = new Presence(this);
    private final Navigation navigation = new Navigation(this);
    private final WorkedLayout layouts = new WorkedLayout(this);
    private final PageScroll scroll = new PageScroll(this);
    private Consumer<String> onRefused = words -> { };
    private Desk desk = Desk.DRAW;
    private PathsShown pathsShown = PathsShown.SELECTED;
    private boolean dark;

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

    /** The timeline that is chosen, and its playhead. */
    public OpenTimeline time() {
        return time;
    }

    /** What is open as it is seen at the playhead. */
    public BoardPicture picture() {
        return picture;
    }

    /** What is only tried, and seen in place of what is open. */
    public TriedBoard tried() {
        return tried;
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
        document.take(project, from, unsaved);
        picture.clear();
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

    /** Stands for the piece that is open, whatever version it is at: another one once another is opened. */
    public Object document() {
        return document.identity();
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
        picture.reframe();
        changed(Aspect.FILE);
    }

    /** What is open: a scene or a motif. */
    public Place place() {
        return open.place(project());
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
        picture.reframe();
        changed(Aspect.SCENE, Aspect.TIMELINE, Aspect.SELECTION, Aspect.PLAYHEAD);
    }

    /** The timeline that is chosen. */
    public Timeline timeline() {
        return time.on(board());
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
        tried.leave();
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
        Board shown = tried.shown() ? board() : null;
        Board was = kept().place(open.id()).board();
        Project before = kept();
        String refusal = document.change(name, merge, change);
        chosen.remember(before, kept() != before, merge);
        Place there = kept().place(open.id());
        if (shown != null && there != null && there.board() == was) {
            document.preview(kept().mapBoard(open.id(), b -> shown));
        }
        settle();
        if (refusal != null) {
            onRefused.accept(refusal);
        }
        return refusal == null;
    }

    /** Does a drag's step anew for its next event: what it did before is taken back, and nobody hears of that. */
    public void again(String name, Object merge, UnaryOperator<Board> change) {
        tried.leave();
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
        tried.leave();
        document.cancel(merge);
        settle();
    }

    /** After the project became another version: what is gone can't stay selected. */
    void settle() {
        if (!open.settle(project())) {
            changed(Aspect.SCENE);
        }
        if (layout.isAnother(layout())) {
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
        picture.reframe();
        book.follow();
        changed(Aspect.DOCUMENT);
    }

    /** The flipbook that is worked on. */
    public OpenBook book() {
        return book;
    }

    /** A board with a new element, placed in canvas coordinates, where drawing goes now. */
    public Board add(Board b, Element e) {
        return book.add(b, e, picture.frame());
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
            picture.reframe();
            changed(Aspect.SELECTION);
        }
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
            picture.reframe();
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
