package tundra.core.edit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.function.UnaryOperator;
import tundra.core.model.Ids;
import tundra.core.model.Marker;
import tundra.core.model.Timeline;

/** The named times of a timeline. */
public final class Markers {
    private Markers() {}

    /** The marker at a time in µs; null when there is none. */
    public static Marker at(Timeline t, long time) {
        return t.markers().stream().filter(m -> m.time() == time).findFirst().orElse(null);
    }

    /** With one more, under a name of its own. */
    public static Timeline add(Timeline t, long time) {
        var all = new ArrayList<>(t.markers());
        all.add(new Marker(Ids.next(), free(t, "Marker", null), time));
        return t.withMarkers(all);
    }

    /** With another name, made unique among the others. */
    public static Timeline rename(Timeline t, String id, String name) {
        return map(t, id, m -> new Marker(id, free(t, name, id), m.time()));
    }

    public static Timeline move(Timeline t, String id, long time) {
        return map(t, id, m -> new Marker(id, m.name(), time));
    }

    public static Timeline delete(Timeline t, String id) {
        return t.withMarkers(t.markers().stream().filter(m -> !m.id().equals(id)).toList());
    }

    private static Timeline map(Timeline t, String id, UnaryOperator<Marker> change) {
        return t.withMarkers(t.markers().stream().map(m -> m.id().equals(id) ? change.apply(m) : m).toList());
    }

    private static String free(Timeline t, String name, String but) {
        var taken = new HashSet<String>();
        t.markers().stream().filter(m -> !m.id().equals(but)).forEach(m -> taken.add(m.name()));
        return Names.free(taken, name);
    }
}
