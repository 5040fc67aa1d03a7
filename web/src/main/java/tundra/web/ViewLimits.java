package tundra.web;

import java.util.ArrayList;
import java.util.List;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Tree;

/** What the view that is built into Tundra doesn't paint of a page, though browsers do: blend modes. Effects it does paint. */
public final class ViewLimits {
    private static final int NAMED = 3;

    private ViewLimits() {}

    /** One sentence about what isn't seen of a piece; null where all of it is. */
    public static String of(Project p) {
        var names = new ArrayList<String>();
        for (Place place : p.places()) {
            Tree.each(place.board().elements(), e -> {
                if (blends(place.board(), e) && !names.contains(e.name())) {
                    names.add(e.name());
                }
            });
        }
        return names.isEmpty() ? null : "This view can't show the blend modes of " + listed(names) + "; browsers do.";
    }

    private static boolean blends(Board b, Element e) {
        return !e.rest().get(Properties.BLEND).equals("normal") || b.timelines().stream().map(t -> t.track(e.id(), Properties.BLEND))
                .anyMatch(t -> t != null && t.keys().stream().anyMatch(k -> !k.value().equals("normal")));
    }

    private static String listed(List<String> names) {
        return String.join(", ", names.subList(0, Math.min(NAMED, names.size()))) + (names.size() > NAMED ? " and " + (names.size() - NAMED)
                + " more" : "");
    }
}
