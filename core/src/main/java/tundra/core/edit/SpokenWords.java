package tundra.core.edit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Timeline;

/** What screen readers are told of what is painted by hand. */
public final class SpokenWords {
    /** More than so many are only counted. */
    private static final int NAMED = 5;

    private SpokenWords() {}

    /** Where something is and how large, at the playhead. */
    public interface Seen {
        Point position(String id);

        /** Null where it is not seen now. */
        Point size(String id);
    }

    /** Of the canvas: how much is on it, and each selected element with its place and state. */
    public static String canvas(String place, Board b, Collection<String> selection, Seen seen) {
        var out = new StringBuilder("Canvas of ").append(place).append(", ").append(count(b.elements().size(), "element"));
        if (selection.isEmpty()) {
            return out.append(", nothing selected").toString();
        }
        List<Element> chosen = selection.stream().map(b::find).filter(e -> e != null).toList();
        if (chosen.size() > NAMED) {
            return out.append(", ").append(chosen.size()).append(" selected").toString();
        }
        var each = new ArrayList<String>();
        for (Element e : chosen) {
            Point at = seen.position(e.id()), size = seen.size(e.id());
            each.add(e.name() + " at " + Numbers.plain(at.x(), 0) + ", " + Numbers.plain(at.y(), 0) + (size == null ? ", not seen now" : ", "
                    + Numbers.plain(size.x(), 0) + " by " + Numbers.plain(size.y(), 0)) + (e.hidden() ? ", hidden" : "")
                    + (e.locked() ? ", locked" : ""));
        }
        return out.append(". Selected: ").append(String.join("; ", each)).toString();
    }

    /** Of the timeline: its name, the playhead, and what is keyed. */
    public static String timeline(Timeline t, long playhead, int chosen) {
        int keys = t.tracks().values().stream().flatMap(m -> m.values().stream()).mapToInt(x -> x.keys().size()).sum();
        return "Timeline " + t.name() + ", playhead at " + Numbers.plain(playhead / 1e6, 2) + " of " + Numbers.plain(t.duration() / 1e6, 2)
                + " seconds, " + count(keys, "key") + (chosen == 0 ? "" : ", " + chosen + " chosen");
    }

    private static String count(int n, String of) {
        return n == 1 ? "1 " + of : n + " " + of + "s";
    }
}
