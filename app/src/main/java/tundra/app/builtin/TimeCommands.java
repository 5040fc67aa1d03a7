package tundra.app.builtin;

import java.util.ArrayList;
import java.util.List;
import tundra.app.command.CommandIds;
import tundra.app.studio.Aspect;
import tundra.app.tool.ToolKind;
import tundra.app.studio.Desk;
import tundra.app.studio.Studio;
import tundra.app.timeline.TimelineCanvas;
import tundra.core.edit.Draggings;
import tundra.core.edit.EditScope;
import tundra.core.edit.Keys;
import tundra.core.edit.OpenClose;
import tundra.core.edit.PieceValues;
import tundra.core.edit.Reactions;
import tundra.core.model.Actions;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.Properties;
import tundra.core.model.PieceValue;
import tundra.core.model.Reaction;

/** Commands about time: playing, stepping, keys, timelines; and reactions, which start them. */
public final class TimeCommands {
    private TimeCommands() {}

    public static void add(Workshop w) {
        Studio s = w.studio;
        var c = w.commands;
        c.add(CommandIds.PLAY, () -> s.time().playing() ? "Pause" : "Play", "Space", () -> s.desk() != Desk.PUBLISH, w.playback::toggle);
        c.add(CommandIds.LOOP, "Loop while playing here", "Shift+Space", () -> true, () -> w.playback.setLoop(!w.playback.loop()));
        c.add(CommandIds.TO_START, "Go to start", "Home", () -> true, () -> s.time().seek(0));
        c.add("to-end", "Go to end", "End", () -> true, () -> s.time().seek(s.timeline().duration()));
        c.add("frame-back", "One frame back", "COMMA", () -> true, () -> step(s, -1));
        c.add("frame-forward", "One frame forward", "PERIOD", () -> true, () -> step(s, 1));
        c.add("key-back", "To the key before", "Shift+COMMA", () -> true, () -> toKey(s, -1));
        c.add("key-forward", "To the next key", "Shift+PERIOD", () -> true, () -> toKey(s, 1));
        c.add("key", "Key position here", "K", () -> s.selected() != null,
                () -> TimelineCanvas.toggleKey(s, s.selected().id(), Properties.POSITION));
        EditScope[] scopes = EditScope.values();
        List<String> names = List.of("Edits go to a key here", "Edits go to the whole move", "Edits go to the resting value");
        for (int i = 0; i < scopes.length; i++) {
            EditScope scope = scopes[i];
            c.add("scope-" + (i + 1), names.get(i), "DIGIT" + (i + 1), () -> s.desk() == Desk.ANIMATE, () -> s.target().setScope(scope));
        }
        c.add(CommandIds.CUE, "Cue at the playhead", null, () -> s.desk() == Desk.ANIMATE,
                () -> s.edit("Add cue", b -> Reactions.cue(b, s.timeline().id(), s.time().playhead())));
        c.add(CommandIds.TOUCH_AREAS, () -> w.touches.on() ? "Hide touch areas" : "Show touch areas", null, () -> s.desk() == Desk.INTERACT, () -> {
            w.touches.setOn(!w.touches.on());
            s.changed(Aspect.SCOPE);
            w.canvas.redrawOverlay();
        });
        c.add(CommandIds.TOUCH_NEW, () -> s.selection().isEmpty() ? "Draw a touch area" : "New touch area over the selection", null, () -> true,
                () -> {
            if (s.selection().isEmpty()) {
                w.touches.setOn(true);
                w.tools.take(ToolKind.TOUCH);
                w.canvas.redrawOverlay();
                return;
            }
            Element area = Draggings.touchArea(s.board(), s.picture().frame(), s.selection());
            s.edit("New touch area", b -> s.add(b, area));
            s.select(List.of(area.id()));
        });
        c.add(CommandIds.MATCH_PAIRS, () -> s.selection().isEmpty() ? "Match pairs: select the parts first" : "Match pairs: let "
                + (s.selected() == null ? s.selection().size() + " elements" : s.selected().name()) + " be dragged", null,
                () -> !s.selection().isEmpty(), () -> {
                    s.edit("Match pairs", b -> Draggings.add(b, s.selection()));
                    s.setDesk(Desk.INTERACT);
                });
        c.add(CommandIds.OPEN_CLOSE, () -> s.selection().size() < 2 ? "Open and close: select what opens, then what it is tapped open by"
                : "Open and close " + opened(s) + " by " + s.board().find(by(s)).called(), null,
                () -> s.selection().size() > 1, () -> {
                    String by = by(s);
                    List<String> all = s.selection().stream().filter(id -> !id.equals(by)).toList();
                    String what = opened(s);
                    s.make("Open and close " + what, k -> k.with(OpenClose.make(k.project(), k.place(), all, by), all));
                    s.setDesk(Desk.INTERACT);
                    w.notices.news(what + " rests closed now. Its timeline shows it open, and two sentences play that on and back.");
                });
        c.add(CommandIds.ADD_REACTION, () -> s.selected() == null ? "Add reaction: when this scene opens…" : "When " + s.selected().name()
                + " is tapped…",
                null, () -> true, () -> react(w));
        c.add("value-new", "New value", null, () -> true, () -> {
            s.editProject("New value", null, p -> PieceValues.add(p, "value", PieceValue.Kind.NUMBER));
            s.setDesk(Desk.INTERACT);
        });
        field(w, "frame-rate", "Set the frame rate", "field-frame-rate");
        field(w, "duration", "Set the duration of the timeline", "field-duration");
        c.add(CommandIds.ADD_PIECE_REACTION, "Add reaction to the whole piece", null, () -> true, () -> {
            s.editProject("Add reaction to the whole piece", null, p -> p.withReactions(Reactions.plus(p.reactions(),
                    new Reaction(Ids.next(), Events.of(Events.KEY_PRESSED, "ArrowRight"), List.of(Actions.of(Actions.NEXT_SCENE))))));
            s.setDesk(Desk.INTERACT);
        });
    }

    /** Leads to a number of the canvas or the timeline, to be typed. */
    private static void field(Workshop w, String id, String name, String field) {
        w.commands.add(id, name, null, () -> true, () -> {
            w.studio.select(List.of());
            if (w.studio.desk() == Desk.INTERACT || w.studio.desk() == Desk.PUBLISH) {
                w.studio.setDesk(Desk.ANIMATE);
            }
            w.details.get().type(field);
        });
    }

    /** The one that was selected last. */
    private static String by(Studio s) {
        return List.copyOf(s.selection()).getLast();
    }

    private static String opened(Studio s) {
        return s.selection().size() == 2 ? s.board().find(s.selection().iterator().next()).called() : s.selection().size() - 1 + " elements";
    }

    private static void step(Studio s, int by) {
        s.time().seek(s.project().frameTime(s.project().frameAt(s.time().playhead()) + by));
    }

    private static void toKey(Studio s, int way) {
        Element one = s.selected();
        var times = new ArrayList<>(Keys.times(s.timeline(), one == null ? null : one.id()));
        var next = way > 0 ? times.stream().filter(t -> t > s.time().playhead()).findFirst()
                : times.reversed().stream().filter(t -> t < s.time().playhead()).findFirst();
        next.ifPresent(s.time()::seek);
    }

    private static void react(Workshop w) {
        Element e = w.studio.selected();
        if (e == null) {
            w.studio.edit("Add reaction", b -> Reactions.with(b, new Reaction(Ids.next(), Events.of(Events.OPENED), List.of(Reactions.next(b)))));
        } else {
            w.studio.edit("Add reaction to " + e.name(), b -> Reactions.add(b, e.id(), b.main().id()));
        }
        w.studio.setDesk(Desk.INTERACT);
    }
}
