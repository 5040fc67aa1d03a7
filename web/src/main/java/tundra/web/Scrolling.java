package tundra.web;

import java.util.Set;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.model.Board;
import tundra.core.model.Marker;
import tundra.core.model.Properties;
import tundra.core.model.Scroll;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;

/** What the page's scrolling moves on a scene. While it does, the scene stands in the window and the page scrolls behind it. */
final class Scrolling {
    private Scrolling() {}

    /** Places at which scrolling comes to a stop. */
    static String rests(Board b, String wrap, StyleSheet css) {
        var out = new StringBuilder();
        int n = 0;
        double all = Scroll.length(b);
        for (Timeline t : b.timelines()) {
            if (t.scroll() != null && t.scroll().rests() && t.scroll().through() == null) {
                for (Marker m : t.markers()) {
                    double share = t.scroll().share(m.time(), t.duration());
                    String name = wrap + "-" + n++;
                    css.put(name, "position", "absolute");
                    css.put(name, "top", CssText.px(share * all));
                    css.put(name, "width", "1px");
                    css.put(name, "height", "1px");
                    css.put(name, "scroll-snap-align", "start");
                    out.append("<div class=\"").append(name).append("\"></div>");
                }
            }
        }
        return out.toString();
    }

    /** Whether scrolling comes to a stop anywhere on a board. */
    static boolean rests(Board b) {
        return b.timelines().stream().anyMatch(t -> t.scroll() != null && t.scroll().rests() && !t.markers().isEmpty());
    }

    static void write(ObjectNode o, Board b, Markup markup, Set<String> used) {
        ArrayNode timelines = o.arrayNode(), parallax = o.arrayNode();
        for (Timeline t : b.timelines()) {
            Scroll s = t.scroll();
            if (s != null) {
                ObjectNode one = timelines.addObject().put("timeline", t.id()).put("from", s.from()).put("to", s.to());
                if (s.smooth()) {
                    one.put("smooth", true);
                }
                if (s.through() != null && markup.of(s.through()) != null) {
                    one.put("through", PageId.of(s.through()));
                }
            }
        }
        Tree.each(b.elements(), e -> {
            double share = e.rest().get(Properties.PARALLAX);
            if (share != 0 && markup.of(e.id()) != null) {
                parallax.addArray().add(PageId.of(e.id()) + "-y").add(share);
            }
        });
        if (!timelines.isEmpty() || !parallax.isEmpty()) {
            used.add(PlayerScript.SCROLL);
            used.add(PlayerScript.BOX);
            o.putObject("scroll").put("length", Scroll.length(b)).<ObjectNode>set("timelines", timelines).set("parallax", parallax);
        }
    }
}
