package tundra.web;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import tundra.core.edit.Reactions;
import tundra.core.model.Action;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Reaction;
import tundra.core.model.Setting;
import tundra.core.model.Timeline;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/**
 * Actions that set properties are timelines on the page: from the value at rest to the new one, so that the channels say what either is
 * there. The player begins from what is seen instead. They are put on the boards before these are compiled and never start by themselves.
 */
final class SetTimelines {
    private static final String PREFIX = "set ";
    /** How long it takes a part to look like one that is carried, in µs. */
    private static final long LOOK = 120_000;

    private SetTimelines() {}

    static boolean is(Timeline t) {
        return t.id().startsWith(PREFIX);
    }

    /** The id of an action's timeline. */
    static String id(Reaction r, boolean otherwise, int index) {
        return PREFIX + r.id() + (otherwise ? " o" : " d") + index;
    }

    static Project with(Project p) {
        return p.mapBoards(b -> {
            var all = new ArrayList<>(b.timelines());
            for (Reaction r : b.reactions()) {
                add(all, b, r, false, r.actions());
                add(all, b, r, true, r.otherwise());
            }
            b.drags().forEach(d -> d.pairs().forEach(x -> look(all, b, d, x.part())));
            return all.size() == b.timelines().size() ? b : b.withTimelines(all);
        });
    }

    /** The id of the timeline that shows how a part looks while it is carried. */
    static String look(Dragging d, String part) {
        return PREFIX + d.id() + " " + part;
    }

    private static void look(List<Timeline> out, Board b, Dragging d, String part) {
        Element e = b.find(part);
        Timeline t = new Timeline(look(d, part), "", LOOK, false, false, Map.of());
        for (Setting s : d.carried().look()) {
            t = Properties.of(e).contains(s.property()) ? with(t, e, s.property(), s.value(), false) : t;
        }
        if (!t.tracks().isEmpty()) {
            out.add(t);
        }
    }

    private static void add(List<Timeline> out, Board b, Reaction r, boolean otherwise, List<Action> actions) {
        for (int i = 0; i < actions.size(); i++) {
            Action a = actions.get(i);
            if (a.kind() == Actions.SET || a.kind() == Actions.CHANGE_BY) {
                Timeline t = new Timeline(id(r, otherwise, i), "", Math.max(1000, (Long) a.slots().get(Actions.OVER)), false, false, Map.of());
                for (Object id : (List<?>) a.slots().get(Actions.ELEMENTS)) {
                    Element e = Reactions.element(b, (String) id);
                    Setting s = (Setting) a.slots().get(a.kind() == Actions.SET ? Actions.SETTING : Actions.CHANGE);
                    if (e != null && Reactions.settable(e).contains(s.property())) {
                        t = with(t, e, s.property(), s.value(), a.kind() == Actions.CHANGE_BY);
                    }
                }
                out.add(t);
            }
        }
    }

    @SuppressWarnings("unchecked")
    private static <T> Timeline with(Timeline t, Element e, Property<T> p, Object value, boolean by) {
        T rest = e.rest().get(p), to = (T) value;
        if (by) {
            // only the way between the two matters, so it is taken where the property's limits leave room for it
            double[] from = p.type().parts(rest), way = p.type().parts(to), sum = new double[from.length], before = new double[from.length];
            for (int i = 0; i < sum.length; i++) {
                double by1 = i < way.length ? way[i] : 0;
                boolean room = from[i] + by1 >= p.min() && from[i] + by1 <= p.max();
                before[i] = room ? from[i] : by1 < 0 ? p.max() : p.min();
                sum[i] = before[i] + by1;
            }
            to = p.type().of(sum);
            rest = p.type().of(before);
        }
        return t.with(e.id(), p, new Track<>(List.of(new Key<>(0, rest, Easing.LINEAR), new Key<>(t.duration(), to, Easing.LINEAR))));
    }
}
