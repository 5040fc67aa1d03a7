package tundra.app.window;

import java.util.List;
import java.util.Objects;
import java.util.function.UnaryOperator;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.ContextMenuEvent;
import tundra.app.builtin.Workshop;
import tundra.app.command.CommandIds;
import tundra.app.timeline.TimelineCanvas;
import tundra.core.helper.Helpers;
import tundra.core.model.PlacedSound;

/** The menu of the timeline: what can be done with the chosen keys and elements now. */
final class TimelineMenu {
    private static final List<List<String>> PARTS = List.of(List.of(CommandIds.CUT, CommandIds.COPY, CommandIds.COPY_MOVE, CommandIds.PASTE_KEYS,
            CommandIds.PASTE_IN_PLACE, CommandIds.DELETE),
            List.of(CommandIds.HAND_BACK_KEYS), List.of(CommandIds.KEYS_REVERSE, CommandIds.KEYS_ALL, CommandIds.REST_AS_FIRST, CommandIds.RANGE,
            CommandIds.RANGE_OFF),
            List.of(CommandIds.POSITION_SPLIT, CommandIds.POSITION_JOIN, CommandIds.PATH_CLOSE, CommandIds.PATH_MIRROR, CommandIds.PASTE_AS_MOVE,
            CommandIds.PASTE_AS_SHAPE),
            List.of(CommandIds.SHOWN_FROM, CommandIds.SHOWN_TO, CommandIds.SHOWN_ALWAYS), List.of(CommandIds.MARKER, CommandIds.MARKER_DELETE),
            List.of(CommandIds.LANE_GROW, CommandIds.FOLD_ALL, CommandIds.FIT_TIME));
    private static final List<List<String>> MARKER = List.of(List.of(CommandIds.MARKER_RENAME, CommandIds.MARKER_DELETE));
    private static ContextMenu open;

    private TimelineMenu() {}

    static void show(Workshop w, TimelineCanvas lanes, ContextMenuEvent e) {
        if (open != null) {
            open.hide();
        }
        var menu = new ContextMenu();
        open = menu;
        menu.setId("timeline-menu");
        List<List<String>> parts = w.studio.time().sound() != null ? List.of() : w.studio.time().marker() != null ? MARKER : PARTS;
        if (w.studio.time().sound() != null) {
            sound(w, menu, w.studio.time().sound());
        }
        for (List<String> part : parts) {
            int before = menu.getItems().size();
            part.stream().map(w.commands::get).filter(c -> c.enabled().getAsBoolean()).forEach(c -> menu.getItems().add(new CommandItem(c)));
            if (menu.getItems().size() > before) {
                menu.getItems().add(new SeparatorMenuItem());
            }
        }
        if (!w.studio.selection().isEmpty()) {
            var helpers = new Menu("Work out a move");
            Helpers.ALL.forEach(h -> helpers.getItems().add(new CommandItem(w.commands.get(CommandIds.HELPER + h.name()))));
            menu.getItems().add(helpers);
        } else if (!parts.isEmpty() && !menu.getItems().isEmpty()) {
            menu.getItems().removeLast();
        }
        menu.show(lanes, e.getScreenX(), e.getScreenY());
    }

    private static void sound(Workshop w, ContextMenu menu, PlacedSound s) {
        for (int volume : new int[] {100, 75, 50, 25}) {
            var item = new MenuItem("Play at " + volume + " %");
            item.setOnAction(a -> change(w, "Set volume", s, x -> x.withVolume(volume / 100.0)));
            menu.getItems().add(item);
        }
        var off = new MenuItem("Take the sound off the timeline");
        off.setOnAction(a -> change(w, "Take off sound", s, x -> null));
        menu.getItems().addAll(new SeparatorMenuItem(), off);
    }

    private static void change(Workshop w, String name, PlacedSound s, UnaryOperator<PlacedSound> by) {
        w.studio.edit(name, b -> b.mapTimeline(w.studio.timeline().id(), t -> t.withSounds(
                t.sounds().stream().map(x -> x.id().equals(s.id()) ? by.apply(x) : x).filter(Objects::nonNull).toList())));
    }
}
