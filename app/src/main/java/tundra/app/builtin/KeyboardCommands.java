package tundra.app.builtin;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import tundra.app.command.Commands;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.core.edit.KeyClip;
import tundra.core.edit.Keys;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Tree;

/** What a mouse would do by dragging: sizes, and keys that are chosen one after the other. */
public final class KeyboardCommands {
    /** Presses that come sooner after each other are one step of undo, in ns. */
    private static final long RUN = 800_000_000L;
    private final Studio s;
    private Object merge;
    private long last;

    private KeyboardCommands(Studio s) {
        this.s = s;
    }

    public static void add(Workshop w) {
        new KeyboardCommands(w.studio).add(w.commands);
    }

    private void add(Commands c) {
        for (int far : new int[] {1, 10}) {
            String keys = far == 1 ? "Shortcut+Alt+" : "Shortcut+Alt+Shift+", by = " by " + far + " px";
            c.add("size-wider-" + far, "Make wider" + by, keys + "RIGHT", this::sizes, () -> size(new Point(far, 0)));
            c.add("size-narrower-" + far, "Make narrower" + by, keys + "LEFT", this::sizes, () -> size(new Point(-far, 0)));
            c.add("size-higher-" + far, "Make higher" + by, keys + "DOWN", this::sizes, () -> size(new Point(0, far)));
            c.add("size-lower-" + far, "Make lower" + by, keys + "UP", this::sizes, () -> size(new Point(0, -far)));
        }
        c.add("bead-next", "Choose the next key", "F8", this::keyed, () -> choose(1, false));
        c.add("bead-previous", "Choose the key before", "Shift+F8", this::keyed, () -> choose(-1, false));
        c.add("bead-also", "Choose the next key as well", null, this::keyed, () -> choose(1, true));
        c.add("element-next", "Select the next element", "Shortcut+CLOSE_BRACKET", () -> !s.board().elements().isEmpty() && s.desk() != Desk.PUBLISH,
                () -> step(-1));
        c.add("element-previous", "Select the element before", "Shortcut+OPEN_BRACKET", () -> !s.board().elements().isEmpty()
                && s.desk() != Desk.PUBLISH, () -> step(1));
    }

    private boolean sizes() {
        return s.desk() != Desk.PUBLISH && !s.selection().isEmpty() && s.selection().stream().map(s.board()::find)
                .anyMatch(e -> e != null && !e.locked() && (e.content() instanceof Content.Parent || Properties.SIZE.appliesTo(e)));
    }

    private void size(Point way) {
        long now = System.nanoTime();
        merge = merge != null && now - last < RUN ? merge : new Object();
        last = now;
        s.edit("Size " + (s.selection().size() == 1 ? s.selected().name() : s.selection().size() + " elements"), merge, b -> {
            Board out = b;
            for (String id : s.selection()) {
                Element e = b.find(id);
                if (!e.locked()) {
                    out = sized(out, e, way);
                }
            }
            return out;
        });
    }

    /** What holds others is scaled, with all that is in it. */
    private Board sized(Board b, Element e, Point way) {
        if (e.content() instanceof Content.Parent p) {
            Point box = p.box(), from = s.target().valueAt(e.id(), Properties.SCALE);
            return s.target().drag(b, e.id(), Properties.SCALE, from, new Point(from.x() + way.x() / Math.max(1, box.x()), from.y()
                    + way.y() / Math.max(1, box.y())));
        }
        if (!Properties.SIZE.appliesTo(e)) {
            return b;
        }
        Point from = s.target().valueAt(e.id(), Properties.SIZE);
        return s.target().drag(b, e.id(), Properties.SIZE, from, new Point(Math.max(1, from.x() + way.x()), Math.max(1, from.y() + way.y())));
    }

    private boolean keyed() {
        return s.desk() == Desk.ANIMATE && !s.timeline().tracks().isEmpty();
    }

    /** Of what is selected, else of all; in rows, and in each of them by time. */
    private void choose(int way, boolean also) {
        var ids = new ArrayList<String>();
        Tree.each(s.board().elements(), e -> {
            if (s.selection().isEmpty() || s.selection().contains(e.id())) {
                ids.add(e.id());
            }
        });
        List<Keys.Ref> all = KeyClip.all(s.timeline(), ids);
        if (all.isEmpty()) {
            return;
        }
        Set<Keys.Ref> now = s.time().keys();
        int at = way > 0 ? -1 : all.size();
        for (int i = 0; i < all.size() && !now.isEmpty(); i++) {
            if (now.contains(all.get(i)) && (way > 0 || at == all.size())) {
                at = i;
            }
        }
        Keys.Ref next = all.get(Math.floorMod(at + way, all.size()));
        var chosen = new LinkedHashSet<Keys.Ref>(also ? s.time().keys() : Set.of());
        chosen.add(next);
        s.time().selectKeys(chosen);
    }

    /** In the order of the outline, from the front to the back. */
    private void step(int way) {
        var ids = new ArrayList<String>();
        Tree.each(s.board().elements(), e -> {
            if (!e.hidden()) {
                ids.add(e.id());
            }
        });
        if (ids.isEmpty()) {
            return;
        }
        int at = s.selection().isEmpty() ? way > 0 ? -1 : ids.size() : ids.indexOf(s.selection().iterator().next());
        s.select(List.of(ids.get(Math.floorMod(at + way, ids.size()))));
    }
}
