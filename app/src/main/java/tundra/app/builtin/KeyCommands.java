package tundra.app.builtin;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.LongUnaryOperator;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.studio.Aspect;
import tundra.app.studio.Desk;
import tundra.app.studio.PathsShown;
import tundra.app.studio.Studio;
import tundra.app.timeline.TimelineCanvas;
import tundra.app.timeline.TimelinePanel;
import tundra.core.edit.Arrange;
import tundra.core.edit.Facing;
import tundra.core.edit.KeyClip;
import tundra.core.edit.Keys;
import tundra.core.edit.Markers;
import tundra.core.edit.Names;
import tundra.core.edit.Paths;
import tundra.core.edit.Resting;
import tundra.core.edit.Spans;
import tundra.core.edit.SplitPosition;
import tundra.core.edit.TimeText;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Affine;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Ids;
import tundra.core.model.Marker;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.motion.PathShape;

/** Commands of keys, motion paths, markers and timelines. */
public final class KeyCommands {
    private final Workshop w;
    private final Studio s;
    private Object nudge;
    private long nudgedAt;

    private final Supplier<TimelinePanel> panel;
    private final Supplier<TimelineCanvas> lanes;

    private KeyCommands(Workshop w, Supplier<TimelinePanel> panel) {
        this.w = w;
        this.s = w.studio;
        this.panel = panel;
        this.lanes = () -> panel.get().lanes();
    }

    public static void add(Workshop w, Supplier<TimelinePanel> panel) {
        var k = new KeyCommands(w, panel);
        k.keys(w.commands);
        k.paths(w.commands);
        k.times(w.commands);
        k.view(w.commands);
    }

    private boolean chosen() {
        return !s.time().keys().isEmpty();
    }

    private void keys(Commands c) {
        c.add(CommandIds.KEYS_REVERSE, "Play keys backwards", "Alt+R", () -> s.time().keys().size() > 1, () -> {
            Set<Keys.Ref> refs = s.time().keys();
            long sum = refs.stream().mapToLong(Keys.Ref::time).min().orElse(0) + refs.stream().mapToLong(Keys.Ref::time).max().orElse(0);
            s.edit("Play " + refs.size() + " keys backwards", b -> Keys.reverse(b, s.timeline().id(), refs));
            s.time().selectKeys(Keys.moved(refs, t -> sum - t));
        });
        c.add(CommandIds.KEYS_ALL, "Select all keys of the selection", "Alt+A", () -> !s.selection().isEmpty(),
                () -> s.time().selectKeys(KeyClip.all(s.timeline(), s.selection())));
        c.add("keys-even", "Even speed between keys", null, () -> chosen() || moves(), () -> {
            Collection<Keys.Ref> refs = s.time().keys().isEmpty() ? KeyClip.all(s.timeline(), s.selection()) : s.time().keys();
            s.edit("Even speed", b -> Keys.even(b, s.timeline().id(), refs));
        });
        c.add("keys-back", "Move keys a frame back", "Alt+LEFT", this::chosen, () -> nudge(-1));
        c.add("keys-forward", "Move keys a frame forward", "Alt+RIGHT", this::chosen, () -> nudge(1));
        c.add(CommandIds.COPY_MOVE, "Copy the whole move", "Alt+C", this::moves, () -> w.copied.keys(KeyClip.whole(s.timeline(), s.selection())));
        c.add(CommandIds.PASTE_KEYS, "Paste keys at the playhead", null, () -> w.copied.keys() != null, () -> pasteKeys(true));
        c.add(CommandIds.PASTE_IN_PLACE, "Paste keys where they stood", "Shortcut+Shift+V", () -> w.copied.keys() != null, () -> pasteKeys(false));
        c.add(CommandIds.PASTE_AS_MOVE, "Use the copied shape as a motion path", null, () -> copiedPath() != null && s.selected() != null,
                this::pasteAsMove);
        c.add(CommandIds.PASTE_AS_SHAPE, "Draw the copied motion path", null, () -> w.copied.keys() != null, () -> pasteAsShape());
        c.add("key-all", "Key everything that can change here", "Shift+K", () -> s.selected() != null, () -> {
            Element e = s.selected();
            s.edit("Key all of " + e.name() + " here", b -> {
                var out = b;
                for (Property<?> p : s.timeline().tracksOf(e.id()).keySet()) {
                    out = Keys.addAt(out, s.timeline().id(), e.id(), p, s.time().playhead());
                }
                return out;
            });
        });
        c.add("key-outline", "Key the outline here", "Shift+O", () -> s.selected() != null && s.selected().content() instanceof Content.Path,
                () -> TimelineCanvas.toggleKey(s, s.selected().id(), Properties.OUTLINE));
        c.add("start-node", "Begin the outline at the chosen node", null, w.nodes::chose, this::startNode);
    }

    private boolean moves() {
        return s.selection().stream().anyMatch(id -> !s.timeline().tracksOf(id).isEmpty());
    }

    private void nudge(int frames) {
        Set<Keys.Ref> refs = s.time().keys();
        long now = System.nanoTime();
        // one step of undo for a run of presses
        nudge = nudge != null && now - nudgedAt < 800_000_000L ? nudge : new Object();
        nudgedAt = now;
        LongUnaryOperator times = Keys.byFrames(s.project(), frames);
        var at = refs.stream().mapToLong(r -> times.applyAsLong(r.time())).summaryStatistics();
        if (at.getMin() < 0 || at.getMax() > s.timeline().duration()) {
            return;
        }
        s.edit("Move " + (refs.size() == 1 ? "key" : refs.size() + " keys"), nudge, b -> Keys.retime(b, s.timeline().id(), refs, times));
        s.time().selectKeys(Keys.moved(refs, times));
    }

    /** Puts copied keys on elements at the playhead and tells which ones got them. */
    private void pasteKeys(boolean shifted) {
        KeyClip clip = w.copied.keys();
        var onto = clip.targets(s.board(), s.selection());
        if (onto.isEmpty()) {
            w.notices.news("The elements that these keys were copied from are not in this scene. Select " + (clip.moves().size() == 1 ? "an element"
                    : clip.moves().size() + " elements")
                    + " to take them.");
            return;
        }
        KeyClip.Pasted result = s.make("Paste keys", k -> {
            var pasted = clip.paste(k.board(), s.timeline().id(), onto, s.time().playhead(), shifted);
            return k.with(pasted.board(), pasted).named("Paste " + keys(pasted));
        });
        if (result == null) {
            return;
        }
        s.time().selectKeys(result.refs());
        String names = result.onto().stream().map(id -> id.equals(Board.CANVAS) ? "the canvas" : s.board().find(id).name())
                .collect(Collectors.joining(", "));
        w.notices.news("Pasted " + keys(result) + " onto " + names + ".");
    }

    private static String keys(KeyClip.Pasted p) {
        return p.refs().size() == 1 ? "key" : p.refs().size() + " keys";
    }

    private Element copiedPath() {
        var clip = w.copied.elements();
        return clip != null && clip.elements().size() == 1 && clip.elements().getFirst().content() instanceof Content.Path ? clip.elements()
                .getFirst() : null;
    }

    private void pasteAsMove() {
        Element shape = copiedPath(), e = s.selected();
        Frame.Placed parent = parent(e.id());
        Affine inParent = parent == null ? Affine.IDENTITY : parent.toCanvas().inverse();
        Affine placed = FrameBuilder.placed(shape.rest(), shape.rest().get(Properties.SIZE));
        // a move that is there already is led another way in the time that it has
        var old = s.timeline().track(e.id(), Properties.POSITION);
        boolean moves = old != null && old.keys().size() > 1;
        long from = moves ? old.keys().getFirst().time() : s.time().playhead();
        long duration = moves ? old.keys().getLast().time() - from
                : Math.max(s.project().frameTime(1), Math.min(2_000_000, s.timeline().duration() - s.time().playhead()));
        KeyClip clip = KeyClip.along((Content.Path) shape.content(), shape.rest().get(Properties.SIZE), inParent.times(placed), duration);
        KeyClip.Pasted result = s.make("Move " + e.name() + " along " + shape.name(), k -> {
            var pasted = clip.paste(k.board().mapTimeline(s.timeline().id(), t -> t.with(e.id(), Properties.POSITION, null)), s.timeline().id(),
                    Map.of(e.id(), 0),
                    from, false);
            return k.with(pasted.board(), pasted);
        });
        if (result != null) {
            s.time().selectKeys(result.refs());
        }
    }

    private Frame.Placed parent(String id) {
        var path = s.board().path(id);
        return path.size() < 2 ? null : s.picture().frame().find(path.get(path.size() - 2));
    }

    private void pasteAsShape() {
        Element shape = w.copied.keys().shape(Names.free(s.board(), "Way"), w.paints.open());
        if (shape == null) {
            w.notices.news("The copied keys have no position in them that could be drawn.");
            return;
        }
        s.edit("Draw the motion path", b -> Arrange.add(b, shape));
        s.select(List.of(shape.id()));
    }

    private void startNode() {
        w.nodes.startNode();
    }

    // --- motion paths ---

    private PathShape shape() {
        Element e = s.selected();
        return Paths.shape(s.board(), s.time().moving(e.id(), Properties.POSITION).id(), e.id());
    }

    private boolean path() {
        Element e = s.selected();
        return e != null && s.time().moving(e.id(), Properties.POSITION).track(e.id(), Properties.POSITION) != null;
    }

    private boolean travels() {
        return path() || s.selected() != null && SplitPosition.is(s.time().moving(s.selected().id(), Properties.POSITION), s.selected().id());
    }

    private void paths(Commands c) {
        c.add(CommandIds.PATH_CLOSE, () -> path() && shape().closed() ? "Open motion path" : "Close motion path", null, this::path, () -> {
            boolean close = !shape().closed();
            Element e = s.selected();
            String t = s.time().moving(e.id(), Properties.POSITION).id();
            long before = s.timeline().duration();
            s.edit((close ? "Close path of " : "Open path of ") + e.name(), b -> Paths.closed(b, t, e.id(), close, s.project().frameTime(1)));
            tellHome(e, t, close, before);
        });
        c.add(CommandIds.REST_AS_FIRST, "Rest as its first keys", null, () -> s.desk() == Desk.ANIMATE && !s.timeline().tracks().isEmpty(), () -> {
            String t = s.timeline().id();
            Set<String> meant = Tree.owners(s.selection().stream().map(s.board()::find).toList());
            s.edit("Rest as the first keys of " + s.timeline().name(), b -> Resting.asFirstKeys(b, t, id -> meant.isEmpty() || meant.contains(id)));
        });
        c.add(CommandIds.PATH_MIRROR, "Mirror where it goes left", null, this::travels, () -> {
            Element e = s.selected();
            String t = s.time().moving(e.id(), Properties.POSITION).id();
            boolean[] turned = new boolean[1];
            s.edit("Mirror " + e.name() + " where it goes left", b -> {
                Board out = Facing.mirrored(s.project(), b, t, e.id());
                turned[0] = out != b;
                return out;
            });
            if (!turned[0]) {
                w.notices.news(e.name() + " never goes against the side that it looks to: nothing was changed.");
            }
        });
        c.add(CommandIds.POSITION_SPLIT, "Split position into x and y", null, this::path, () -> {
            Element e = s.selected();
            String t = s.time().moving(e.id(), Properties.POSITION).id();
            s.edit("Split position of " + e.name(), b -> SplitPosition.split(b, t, e.id(), s.project()::snap));
        });
        c.add(CommandIds.POSITION_JOIN, "Join x and y into one position", null, () -> s.selected() != null && SplitPosition.is(s.timeline(),
                s.selected().id()), () -> {
            Element e = s.selected();
            s.edit("Join position of " + e.name(), b -> SplitPosition.join(b, s.timeline().id(), e.id(), s.project()::snap));
        });
        for (PathsShown p : PathsShown.values()) {
            c.add("paths-" + p, p.label, null, () -> s.desk() == Desk.ANIMATE && s.pathsShown() != p, () -> {
                s.setPathsShown(p);
                w.canvas.redrawOverlay();
            });
        }
    }

    /** The key that leads home is chosen, so that its time can be dragged. */
    private void tellHome(Element e, String timeline, boolean close, long before) {
        var track = s.board().timeline(timeline).track(e.id(), Properties.POSITION);
        if (close && track != null && track.keys().size() > 1) {
            long home = track.keys().getLast().time();
            s.time().choose(timeline);
            s.time().selectKeys(List.of(new Keys.Ref(e.id(), Properties.POSITION, home)));
            w.notices.news("The way home ends at " + TimeText.seconds(home) + ": drag its bead in the lane to give it more or less time."
                    + (s.timeline().duration() > before ? " " + s.timeline().name() + " is longer by that." : ""));
        }
    }

    // --- markers and timelines ---

    private void edit(String name, UnaryOperator<Timeline> change) {
        s.edit(name, b -> b.mapTimeline(s.timeline().id(), change));
    }

    private Marker here() {
        return Markers.at(s.timeline(), s.time().playhead());
    }

    private void times(Commands c) {
        c.add(CommandIds.MARKER, () -> here() == null ? "Set marker here" : "Rename marker " + here().name(), "M", () -> s.desk() == Desk.ANIMATE,
                this::marker);
        c.add(CommandIds.MARKER_RENAME, () -> s.time().marker() == null ? "Rename marker" : "Rename marker " + s.time().marker().name(), null,
                () -> s.time().marker() != null, () -> lanes.get().nameMarker(s.time().marker().id()));
        c.add(CommandIds.MARKER_DELETE, () -> target() == null ? "Delete marker here" : "Delete marker " + target().name(), "Shift+M",
                () -> target() != null, () -> {
            Marker m = target();
            s.edit("Delete marker " + m.name(), b -> b.mapTimeline(s.timeline().id(), t -> Markers.delete(t, m.id())));
        });
        c.add(CommandIds.RANGE, "Play only the chosen keys' time, again and again", "Alt+L", () -> s.time().keys().size() > 1, () -> {
            var times = s.time().keys().stream().mapToLong(Keys.Ref::time).summaryStatistics();
            if (times.getMax() > times.getMin()) {
                edit("Set the part that plays again", t -> t.withRange(new Span(times.getMin(), times.getMax())));
            }
        });
        c.add(CommandIds.RANGE_OFF, "Play all of the timeline", "Alt+Shift+L", () -> s.timeline().range() != null,
                () -> edit("Play all of it", t -> t.withRange(null)));
        c.add(CommandIds.SHOWN_FROM, "Seen from here on", "Alt+OPEN_BRACKET", () -> s.selected() != null, () -> seen(true));
        c.add(CommandIds.SHOWN_TO, "Seen until here", "Alt+CLOSE_BRACKET", () -> s.selected() != null, () -> seen(false));
        c.add(CommandIds.SHOWN_ALWAYS, "Seen all the time", null, () -> s.selected() != null && s.timeline().shown().containsKey(s.selected().id()),
                () -> edit("Show " + s.selected().name() + " all the time", t -> t.withShown(s.selected().id(), null)));
        c.add(CommandIds.NEW_TIMELINE, "New timeline", null, () -> true, this::newTimeline);
        c.add(CommandIds.RENAME_TIMELINE, "Rename timeline", null, () -> s.desk() == Desk.ANIMATE, () -> panel.get().nameTimeline());
        c.add(CommandIds.DUPLICATE_TIMELINE, () -> "Duplicate timeline " + s.timeline().name(), null, () -> true, () -> {
            String id = s.timeline().id(), copy = Ids.next();
            s.edit("Duplicate timeline " + s.timeline().name(), b -> Arrange.duplicateTimeline(b, id, copy));
            s.time().choose(copy);
            name();
        });
        c.add(CommandIds.DELETE_TIMELINE, () -> "Delete timeline " + s.timeline().name(), null, () -> s.board().timelines().size() > 1
                && s.timeline() != s.board().main(), () -> {
            String id = s.timeline().id();
            s.edit("Delete timeline " + s.timeline().name(), b -> Arrange.deleteTimeline(b, id));
        });
    }

    /** The marker that is chosen, else the one at the playhead. */
    private Marker target() {
        return s.time().marker() != null ? s.time().marker() : here();
    }

    private void newTimeline() {
        var taken = new HashSet<String>();
        s.board().timelines().forEach(t -> taken.add(t.name()));
        var t = new Timeline(Names.free(taken, "Timeline"), 3_000_000).withStarts(false);
        s.edit("New timeline", b -> {
            var all = new ArrayList<>(b.timelines());
            all.add(t);
            return b.withTimelines(all);
        });
        s.time().choose(t.id());
        s.changed(Aspect.TIMELINE);
        name();
    }

    /** Lets the name of the new timeline be typed where it stands. */
    private void name() {
        if (s.desk() == Desk.ANIMATE) {
            panel.get().nameTimeline();
        }
    }

    private void marker() {
        if (here() != null) {
            lanes.get().nameMarker(here().id());
            return;
        }
        edit("Set marker", t -> Markers.add(t, s.time().playhead()));
    }

    private void seen(boolean from) {
        Element e = s.selected();
        Timeline now = from ? Spans.from(s.timeline(), e.id(), s.time().playhead()) : Spans.until(s.timeline(), e.id(), s.time().playhead());
        if (now == null) {
            w.notices.news("It would never be seen: it would end before it begins.");
            return;
        }
        edit(from ? "Show " + e.name() + " from here on" : "Show " + e.name() + " until here", t -> now);
    }

    private void view(Commands c) {
        BooleanSupplier animating = () -> s.desk() == Desk.ANIMATE;
        c.add("time-in", "Zoom into time", "Alt+PERIOD", animating, () -> lanes.get().zoom(1.5));
        c.add("time-out", "Zoom out of time", "Alt+COMMA", animating, () -> lanes.get().zoom(1 / 1.5));
        c.add("pick-easing", "Choose an easing…", "Shift+E", () -> s.desk() == Desk.ANIMATE && (chosen() || moves()), () -> w.details.get()
                .pickEasing());
        c.add(CommandIds.LANE_GROW, "Curve editor for the first lane", "Alt+E", animating, () -> lanes.get().growLane());
        c.add(CommandIds.FOLD_ALL, "Fold all rows of the timeline", null, animating, () -> lanes.get().foldAll());
        c.add("only-keyed", "Show only rows with keys, or all rows", null, animating, () -> lanes.get().toggleOnlyKeyed());
        c.add("follow", "Follow the playhead while playing", null, animating, () -> lanes.get().setFollows(!lanes.get().follows()));
    }
}
