package tundra.core.edit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Condition;
import tundra.core.model.Conditions;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.Ids;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Slots;
import tundra.core.model.Timeline;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/**
 * Something that opens and closes by a tap on something else, such as a menu by its button: a timeline that waits, a value that remembers
 * whether it is open, the sentences that play it on and back, and the closed look as the resting one.
 */
public final class OpenClose {
    private static final long TAKES = 300_000;
    /** From how far above it comes, in px. */
    private static final double WAY = 16;

    private OpenClose() {}

    /** @param opened what opens and closes, in the order of the outline */
    public static Project make(Project p, String place, List<String> opened, String by) {
        Board b = p.place(place).board();
        Element first = b.find(opened.getFirst());
        Project with = PieceValues.add(p, first.called() + " open", PieceValue.Kind.YES_NO);
        String value = with.values().getLast().id();
        var names = new HashSet<String>();
        b.timelines().forEach(t -> names.add(t.name()));
        var t = new Timeline(Ids.next(), Names.free(names, "Open " + first.called()), TAKES, false, false, Map.of());
        for (String id : opened) {
            t = keyed(t, id, Properties.OPACITY, 0.0, b.rest(id).get(Properties.OPACITY));
            boolean moves = b.timelines().stream().anyMatch(x -> x.track(id, Properties.POSITION) != null || SplitPosition.is(x, id));
            Point home = b.rest(id).get(Properties.POSITION);
            t = moves ? t : keyed(t, id, Properties.POSITION, home.minus(new Point(0, WAY)), home);
        }
        var timelines = new ArrayList<>(b.timelines());
        timelines.add(t);
        Board out = Resting.asFirstKeys(b.withTimelines(timelines), t.id(), opened::contains);
        var closed = new Condition(Conditions.VALUE, Slots.of(Conditions.VALUE.slots(), value, Conditions.IS.standard(),
                PieceValue.Kind.YES_NO.standard));
        var open = new Condition(Conditions.VALUE, Slots.of(Conditions.VALUE.slots(), value, "is not", PieceValue.Kind.YES_NO.standard));
        var turned = Actions.of(Actions.TOGGLE_VALUE, value);
        var back = Actions.of(Actions.PLAY_BACK, t.id());
        String group = t.name();
        List<String> groups = Reactions.groups(b.reactions());
        var tapped = new Reaction(Ids.next(), Events.tapped(by), List.of(closed), false, List.of(Actions.of(Actions.PLAY, t.id()), turned),
                List.of(back, turned), false, groups.contains(group) ? "" : group);
        var elsewhere = new Reaction(Ids.next(), new Event(Events.TAPPED_ELSEWHERE, Slots.of(Events.TAPPED_ELSEWHERE.slots(), by)), List.of(open),
                false, List.of(back, turned), List.of(), false, tapped.group());
        Board done = out.withReactions(Stream.concat(out.reactions().stream(), Stream.of(tapped, elsewhere)).toList());
        return with.mapBoard(place, x -> done);
    }

    private static <T> Timeline keyed(Timeline t, String id, Property<T> p, T away, T there) {
        return t.with(id, p, new Track<>(List.of(new Key<>(0, away, EasingText.parse("cubic-out")),
                new Key<>(TAKES, there, PropertyEdit.NEW_EASING))));
    }
}
