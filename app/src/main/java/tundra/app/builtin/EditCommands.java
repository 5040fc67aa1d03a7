package tundra.app.builtin;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;
import tundra.app.command.Commands;
import tundra.app.document.SystemClip;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.core.edit.Arrange;
import tundra.core.edit.Clip;
import tundra.core.edit.Kept;
import tundra.core.edit.KeyClip;
import tundra.core.edit.Keys;
import tundra.core.edit.Reactions;
import tundra.core.flip.Registration;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Tree;
import tundra.render.Fonts;

/** Commands that change elements and keys. */
public final class EditCommands {
    private static final Point PASTE_OFFSET = new Point(16, 16);
    private final Workshop w;
    private final Studio s;
    private Clip clip;
    private String mark;
    private String copiedFrom;
    private int pasted;
    private Object nudge;
    private long nudgedAt;

    private EditCommands(Workshop w) {
        this.w = w;
        this.s = w.studio;
    }

    public static void add(Workshop w) {
        var e = new EditCommands(w);
        e.history();
        e.clipboard();
        e.arrange();
        e.nudges();
    }

    private boolean any() {
        return !s.selection().isEmpty();
    }

    /** Whether there is something that Delete takes away. */
    private boolean deletable() {
        return any() || !s.time().keys().isEmpty() || s.book().drawingsMeant() || s.time().marker() != null || s.time().sound() != null;
    }

    private void history() {
        var c = w.commands;
        c.add(CommandIds.UNDO, () -> s.history().undoName() == null ? "Undo" : "Undo " + lower(s.history().undoName()), "Shortcut+Z",
                () -> s.history().undoName() != null, s.history()::undo);
        c.add(CommandIds.REDO, () -> s.history().redoName() == null ? "Redo" : "Redo " + lower(s.history().redoName()), "Shortcut+Shift+Z",
                () -> s.history().redoName() != null, s.history()::redo);
        c.alsoBy(CommandIds.REDO, "Shortcut+Y");
    }

    private static String lower(String name) {
        return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }

    private String what() {
        Element one = s.selected();
        return one == null ? s.selection().size() + " elements" : one.name();
    }

    private void clipboard() {
        var c = w.commands;
        c.add(CommandIds.CUT, "Cut", "Shortcut+X", () -> any() || !s.time().keys().isEmpty() || s.book().drawingsMeant(), () -> {
            copy();
            if (s.book().drawingsMeant()) {
                w.commands.run(CommandIds.DRAWING_DELETE);
                return;
            }
            if (s.desk() == Desk.ANIMATE && !s.time().keys().isEmpty()) {
                delete();
                return;
            }
            s.edit("Cut " + what(), b -> Arrange.delete(b, s.selection()));
        });
        c.add(CommandIds.COPY, "Copy", "Shortcut+C", () -> any() || !s.time().keys().isEmpty() || s.book().drawingsMeant(), this::copy);
        // whether there is anything is asked only when it is wanted: asking the system's clipboard lets other keys overtake
        c.add(CommandIds.PASTE, "Paste", "Shortcut+V", () -> true, this::paste);
        c.add("copy-picture", "Copy as picture", null, this::any, () -> SystemClip.putPicture(s, w.jobs, w.notices, s.selection()));
        c.add("copy-svg", "Copy as SVG text", "Shortcut+Shift+C", this::any, () -> SystemClip.put(s, s.selection(), null));
        c.add(CommandIds.DUPLICATE, "Duplicate with its keys", "Shortcut+D", this::any,
                () -> paste("Duplicate " + what(), k -> taken(k.project(), k.board()), PASTE_OFFSET));
        c.add("duplicate-here", "Duplicate in place", "Shortcut+Alt+D", this::any,
                () -> paste("Duplicate " + what(), k -> taken(k.project(), k.board()), Point.ZERO));
        c.add(CommandIds.DELETE, () -> s.time().keys().isEmpty() ? "Delete" : s.time().keys().size() == 1 ? "Delete key" : "Delete " + s.time().keys()
                .size() + " keys",
                "Delete", this::deletable, this::delete);
        c.alsoBy(CommandIds.DELETE, "BACK_SPACE");
        c.add("select-all", "Select all", "Shortcut+A", () -> !s.board().elements().isEmpty(),
                this::selectAll);
        c.add("select-none", "Select nothing", "Shortcut+Shift+A", this::any, () -> s.select(List.of()));
    }

    private void selectAll() {
        if (w.tools.active().chooseAll()) {
            w.canvas.redrawOverlay();
            return;
        }
        List<Element> level = s.groups().inside() == null ? s.board().elements() : s.board().find(s.groups().inside()).children();
        s.select(level.stream().filter(e -> !e.locked() && !e.hidden()).map(Element::id).toList());
    }

    private void copy() {
        if (s.book().drawingsMeant()) {
            w.copied.drawings(s.book().book().withDrawings(s.book().book().drawings().stream().filter(d -> s.book().meant().contains(d.id()))
                    .toList()),
                    s.project());
            return;
        }
        if (s.desk() == Desk.ANIMATE && !s.time().keys().isEmpty()) {
            w.copied.keys(KeyClip.of(s.timeline(), s.time().keys()));
            return;
        }
        clip = taken(s.project(), s.board());
        copiedFrom = goal();
        w.copied.elements(clip);
        pasted = 0;
        mark = UUID.randomUUID().toString();
        SystemClip.put(s, s.selection(), mark);
    }

    /** What was copied last, here or in another program. */
    private void paste() {
        if (w.copied.drawingsLast() && w.commands.run(CommandIds.DRAWING_PASTE)) {
            return;
        }
        if (w.copied.keysLast()) {
            // keys go onto elements while animating; while drawing a move becomes what can be drawn
            w.commands.run(s.desk() == Desk.ANIMATE ? CommandIds.PASTE_KEYS : CommandIds.PASTE_AS_SHAPE);
            return;
        }
        boolean ontoMove = s.desk() == Desk.ANIMATE && s.time().keys().stream().anyMatch(k -> k.property() == Properties.POSITION);
        if (ontoMove && w.commands.get(CommandIds.PASTE_AS_MOVE).enabled().getAsBoolean()) {
            w.commands.run(CommandIds.PASTE_AS_MOVE);
            return;
        }
        if (clip != null && SystemClip.isMarked(mark)) {
            pasteClip();
        } else if (!SystemClip.bringIn(w.files, w.notices)) {
            if (clip != null) {
                pasteClip();
            } else {
                w.notices.news("There is nothing to paste: copy elements, keys or drawings first, or a picture in another program.");
            }
        }
    }

    /** On another drawing a copy comes where the original stands; elsewhere it steps aside. */
    private void pasteClip() {
        boolean otherDrawing = s.book().is() && !Objects.equals(copiedFrom, goal());
        Clip from = clip;
        paste("Paste", k -> from, otherDrawing ? Point.ZERO : PASTE_OFFSET.times(++pasted));
    }

    /** The selection with its keys, in canvas coordinates. */
    private Clip taken(Project project, Board board) {
        Board flat = board;
        for (String id : s.selection()) {
            List<String> path = flat.path(id);
            if (path.size() > 1 && path.stream().filter(s.selection()::contains).count() == 1) {
                flat = Arrange.into(flat, id, null, flat.elements().size(), s.picture().frame());
            }
        }
        return Clip.of(project, flat, s.selection());
    }

    /** The group that pasted elements go to: the one that is edited, or the drawing that is seen; null for none. */
    private String goal() {
        if (s.groups().inside() != null && !(s.board().find(s.groups().inside()).content() instanceof Flipbook)) {
            return s.groups().inside();
        }
        return s.desk() == Desk.DRAW && s.book().drawing() != null ? s.book().drawing().id() : null;
    }

    private void paste(String name, Function<Kept, Clip> taken, Point offset) {
        String goal = goal();
        List<String> made = s.make(name, k -> {
            Clip from = taken.apply(k);
            // drawings of a flipbook may use the same names, which is how their parts are known again
            List<Element> among = goal != null && s.book().is() ? k.board().find(goal).children() : k.board().elements();
            var result = from.paste(k.board(), among, offset);
            Board board = result.board();
            for (String id : goal == null ? List.<String>of() : result.ids()) {
                board = Arrange.into(board, id, goal, board.find(goal).children().size(), s.picture().frame());
            }
            return k.of(from.withParts(k.project(), Fonts::familyOf), board, result.ids());
        });
        if (made == null) {
            return;
        }
        s.select(made);
        if (s.book().is()) {
            s.groups().enter(goal);
        }
    }

    private void delete() {
        if (w.tools.active().chose()) {
            w.tools.active().delete();
        } else if (s.book().drawingsMeant()) {
            w.commands.run(CommandIds.DRAWING_DELETE);
        } else if (s.time().marker() != null) {
            w.commands.run(CommandIds.MARKER_DELETE);
        } else if (s.time().sound() != null) {
            String id = s.time().sound().id();
            s.edit("Take off sound", b -> b.mapTimeline(s.timeline().id(), t -> t.withSounds(t.sounds().stream().filter(x -> !x.id().equals(id))
                    .toList())));
        } else if (!s.time().keys().isEmpty()) {
            var refs = s.time().keys();
            s.edit(refs.size() == 1 ? "Delete key" : "Delete " + refs.size() + " keys", b -> Keys.delete(b, s.timeline().id(), refs));
        } else {
            int named = (int) s.selection().stream().mapToLong(id -> Reactions.naming(s.project(), id)).sum();
            String name = what();
            s.edit("Delete " + name, b -> Arrange.delete(b, s.selection()));
            if (named > 0) {
                w.notices.news("Deleted " + name + ", with what named it in " + (named == 1 ? "one sentence." : named + " sentences.")
                        + " Undo brings all of it back.");
            }
        }
    }

    private void arrange() {
        var c = w.commands;
        c.add(CommandIds.GROUP, "Group", "Shortcut+G", this::any, () -> grouped("Group " + what(), (b, ids) ->
                Arrange.group(b, ids, s.picture().frame())));
        c.add(CommandIds.UNGROUP, "Take group apart", "Shortcut+Shift+G",
                () -> s.selection().stream().anyMatch(id -> !s.board().find(id).children().isEmpty()),
                () -> grouped("Take " + what() + " apart", (b, ids) -> Arrange.ungroup(b, ids, s.picture().frame())));
        order(c, "front", "Bring to front", "Shortcut+Shift+UP", 1_000_000);
        order(c, "forward", "Bring forward", "Shortcut+UP", 1);
        order(c, "backward", "Send backward", "Shortcut+DOWN", -1);
        order(c, "back", "Send to back", "Shortcut+Shift+DOWN", -1_000_000);
        c.add(CommandIds.LOCK, () -> allLocked() ? "Unlock" : "Lock", "Shortcut+L", this::any, () -> {
            boolean lock = !allLocked();
            each((lock ? "Lock " : "Unlock ") + what(), e -> e.withLocked(lock));
        });
        c.add(CommandIds.HIDE, () -> allHidden() ? "Show" : "Hide", "Shortcut+H", this::any, () -> {
            boolean hide = !allHidden();
            each((hide ? "Hide " : "Show ") + what(), e -> e.withHidden(hide));
        });
        c.addMore(() -> {
            var out = new ArrayList<Command>();
            Tree.each(s.board().elements(), e -> out.add(new Command("select", () -> "Select " + e.name() + " (" + e.content().word() + ")", null,
                    () -> true, () -> s.select(List.of(e.id())))));
            return out;
        });
    }

    private boolean allLocked() {
        return s.selection().stream().allMatch(id -> s.board().find(id).locked());
    }

    private boolean allHidden() {
        return s.selection().stream().allMatch(id -> s.board().find(id).hidden());
    }

    private void each(String name, UnaryOperator<Element> change) {
        s.edit(name, b -> {
            Board out = b;
            for (String id : s.selection()) {
                out = out.mapElement(id, change);
            }
            return out;
        });
    }

    private void grouped(String name, BiFunction<Board, Set<String>, Arrange.Grouped> change) {
        select(s.make(name, k -> {
            var result = change.apply(k.board(), s.selection());
            return k.with(result.board(), result.ids());
        }));
    }

    /** What was made is what one goes on with; where nothing was the selection stays. */
    private void select(List<String> made) {
        if (made != null) {
            s.select(made);
        }
    }

    private void order(Commands c, String id, String name, String shortcut, int by) {
        BooleanSupplier enabled = this::any;
        c.add(id, name, shortcut, enabled, () -> s.edit(name, b -> Arrange.step(b, s.selection(), by)));
    }

    private void nudges() {
        for (int far : new int[] {1, 10}) {
            String shift = far == 10 ? "Shift+" : "", by = " by " + far + " px";
            nudge("left", shift + "LEFT", by, new Point(-far, 0), far);
            nudge("right", shift + "RIGHT", by, new Point(far, 0), far);
            nudge("up", shift + "UP", by, new Point(0, -far), far);
            nudge("down", shift + "DOWN", by, new Point(0, far), far);
        }
    }

    private void nudge(String to, String shortcut, String by, Point way, int far) {
        w.commands.add("nudge-" + to + "-" + far, "Nudge " + to + by, shortcut, () -> any() || s.book().drawingsMeant(), () -> {
            if (w.tools.active().chose()) {
                w.tools.active().nudge(way);
                return;
            }
            long now = System.nanoTime();
            // one step of undo for a run of presses
            nudge = nudge != null && now - nudgedAt < 800_000_000L ? nudge : new Object();
            nudgedAt = now;
            if (s.book().drawingsMeant()) {
                var ids = s.book().meant();
                s.book().edit("Nudge " + (ids.size() == 1 ? "a drawing" : ids.size() + " drawings"), nudge, b -> Registration.nudge(b, ids, way));
                return;
            }
            s.edit("Nudge " + what(), nudge, b -> {
                Board out = b;
                for (String id : s.selection()) {
                    if (!b.find(id).locked()) {
                        out = s.target().drag(out, id, Properties.POSITION, s.target().valueAt(id, Properties.POSITION), s.target()
                                .valueAt(id, Properties.POSITION).plus(way));
                    }
                }
                return out;
            });
        });
    }
}
