package tundra.app.window;

import java.util.LinkedHashSet;
import java.util.List;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.MouseEvent;
import tundra.app.command.Command;
import tundra.app.command.CommandIds;
import tundra.app.builtin.Workshop;
import tundra.app.tool.Picking;
import tundra.core.edit.Reactions;
import tundra.core.edit.Sentences;
import tundra.core.edit.Steering;
import tundra.core.geometry.Point;
import tundra.core.model.Blocks;
import tundra.core.model.Element;

/** The menu at the pointer: everything that lies beneath it, and what can be done with the selection. */
final class CanvasMenu {
    private static final List<String> EDIT = List.of(CommandIds.CUT, CommandIds.COPY, CommandIds.PASTE, CommandIds.DUPLICATE, CommandIds.DELETE);
    private static final List<String> ORDER = List.of("front", "forward", "backward", "back", CommandIds.GROUP, CommandIds.UNGROUP);
    private static final List<String> SHAPE = List.of(CommandIds.TO_PATH, CommandIds.OUTLINE_STROKE, CommandIds.COMBINE_UNION,
            CommandIds.COMBINE_SUBTRACT, CommandIds.COMBINE_INTERSECT,
            CommandIds.COMBINE_EXCLUDE, CommandIds.FLIP_LEVEL, CommandIds.FLIP_UPRIGHT);
    private static final List<String> MOTIF = List.of(CommandIds.MOTIF_OPEN, CommandIds.MOTIF_MAKE, CommandIds.MOTIF_APART, CommandIds.MOTIF_COPY);
    private static final List<String> NODES = List.of(CommandIds.NODES_CORNER, CommandIds.NODES_SMOOTH, CommandIds.NODES_SYMMETRIC,
            CommandIds.NODES_BREAK, CommandIds.NODES_JOIN);
    private static final List<String> STATE = List.of(CommandIds.ADD_REACTION, CommandIds.OPEN_CLOSE, CommandIds.LOCK, CommandIds.HIDE,
            CommandIds.SOLO, CommandIds.GUIDE, CommandIds.RENAME);
    private static ContextMenu open;

    private CanvasMenu() {}

    static void show(Workshop w, MouseEvent e) {
        if (open != null) {
            open.hide();
        }
        Point at = w.canvas.viewport().toCanvas(new Point(e.getX(), e.getY()));
        var under = Picking.under(w.studio, at, 3 / w.canvas.viewport().zoom());
        // what is selected is meant wherever it lies under the pointer, also beneath something else
        if (!under.isEmpty() && under.stream().flatMap(List::stream).noneMatch(w.studio.selection()::contains)) {
            w.studio.select(List.of(under.getFirst().getFirst()));
        }
        var menu = new ContextMenu();
        open = menu;
        menu.setId("canvas-menu");
        var ids = new LinkedHashSet<String>();
        under.forEach(path -> ids.addAll(path.reversed()));
        if (!ids.isEmpty()) {
            var beneath = new Menu("Select here");
            for (String id : ids) {
                Element x = w.studio.board().find(id);
                var item = new MenuItem(x.name() + "   " + x.content().word() + (w.studio.presence().whyUnseen(x) == null ? "" : ", not seen here"));
                item.setMnemonicParsing(false);
                item.setOnAction(a -> w.studio.select(List.of(id)));
                beneath.getItems().add(item);
            }
            menu.getItems().addAll(beneath, new SeparatorMenuItem());
        }
        for (List<String> part : List.of(NODES, MOTIF, EDIT, ORDER, SHAPE, STATE)) {
            int before = menu.getItems().size();
            part.forEach(id -> add(w, menu, id));
            if (menu.getItems().size() > before) {
                menu.getItems().add(new SeparatorMenuItem());
            }
        }
        steer(w, menu);
        if (!menu.getItems().isEmpty()) {
            menu.getItems().removeLast();
        }
        menu.show(w.canvas, e.getScreenX(), e.getScreenY());
    }

    /** What a tap on the selected element could do to blocks, or taps on others to the selected block. */
    private static void steer(Workshop w, ContextMenu menu) {
        Element e = w.studio.selected();
        if (e == null) {
            return;
        }
        boolean block = Blocks.of(e) != null;
        var offers = block ? Steering.of(w.studio.project(), w.studio.board(), e.id()) : Steering.by(w.studio.project(), w.studio.board(), e.id());
        if (offers.isEmpty()) {
            return;
        }
        var steer = new Menu(block ? "Steered by a tap on" : "When it is tapped");
        steer.setId("steer");
        for (Steering.Offer o : offers) {
            var item = new MenuItem(o.words());
            item.setMnemonicParsing(false);
            item.setId("steer-" + (steer.getItems().size() + 1));
            item.setOnAction(a -> {
                w.studio.edit("When tapped: " + o.words(), b -> Reactions.with(b, o.reaction()));
                w.notices.news("Added the sentence “" + new Sentences(w.studio.project(), w.studio.board()).of(o.reaction().when().kind(),
                        o.reaction().when().slots()) + ", " + new Sentences(w.studio.project(), w.studio.board()).of(o.reaction().actions().getFirst()
                        .kind(), o.reaction().actions().getFirst().slots()) + "”.");
            });
            steer.getItems().add(item);
        }
        menu.getItems().addAll(steer, new SeparatorMenuItem());
    }

    private static void add(Workshop w, ContextMenu menu, String id) {
        Command c = w.commands.get(id);
        if (c.enabled().getAsBoolean()) {
            menu.getItems().add(new CommandItem(c, w.canvas::redrawOverlay));
        }
    }
}
