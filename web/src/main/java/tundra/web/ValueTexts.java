package tundra.web;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.node.ArrayNode;
import tundra.core.frame.ValueWords;
import tundra.core.geometry.Numbers;
import tundra.core.model.Content;
import tundra.core.model.Project;
import tundra.core.model.Tree;

/** Texts that show values: on the page they hold what these are at first, and a part for each that the player keeps up with it. */
final class ValueTexts {
    private static final ObjectMapper JSON = new ObjectMapper();
    private final Map<String, List<ValueWords.Span>> places = new HashMap<>();

    /** The project with its texts as they are shown at first. */
    Project in(Project p) {
        if (p.values().isEmpty()) {
            return p;
        }
        return p.mapBoards(b -> {
            var ids = new HashSet<String>();
            Tree.each(b.elements(), e -> {
                if (e.content() instanceof Content.Text t) {
                    var shown = ValueWords.shown(t.text(), p.values());
                    if (!shown.values().isEmpty()) {
                        ids.add(e.id());
                        places.put(e.id(), shown.values());
                    }
                }
            });
            return ids.isEmpty() ? b : b.mapElements(ids, e -> e.withContent(ValueWords.shown(e.content(), p.values())));
        });
    }

    boolean any() {
        return !places.isEmpty();
    }

    boolean any(String element) {
        return places.containsKey(element);
    }

    /** What the player needs to break a text anew: the width, what a line takes, and the words, with the ids of values in lists of their own. */
    String wrapped(String element, Content.Text t) {
        ArrayNode out = JSON.createArrayNode().add(new BigDecimal(Numbers.plain(t.wrap(), 4)))
                .add(new BigDecimal(Numbers.plain(t.size() * t.lineHeight(), 4)));
        ArrayNode parts = out.addArray();
        int at = 0;
        for (ValueWords.Span s : places.getOrDefault(element, List.of())) {
            if (s.from() > at) {
                parts.add(t.text().substring(at, s.from()));
            }
            parts.addArray().add(s.value().id());
            at = s.to();
        }
        parts.add(t.text().substring(at));
        return out.toString();
    }

    /** Whether a value stands in a text between two indices of what it shows. */
    boolean within(String element, int from, int to) {
        return places.getOrDefault(element, List.of()).stream().anyMatch(s -> s.from() < to && s.to() > from || s.from() == s.to()
                && s.from() >= from && s.from() <= to);
    }

    /** A line of a text's markup, from an index of its words on. A value that goes over the line's end goes on in the next line until it changes. */
    String line(String element, String line, int from) {
        var out = new StringBuilder();
        int at = 0;
        for (ValueWords.Span s : places.getOrDefault(element, List.of())) {
            int a = Math.max(0, s.from() - from), b = Math.min(line.length(), s.to() - from);
            boolean begins = s.from() >= from && s.from() - from <= line.length();
            if (a > b || a < at || !begins && a == b) {
                continue;
            }
            out.append(Markup.escape(line.substring(at, a))).append("<tspan data-").append(begins ? "value" : "more").append("=\"")
                    .append(Markup.escape(s.value().id())).append("\">")
                    .append(Markup.escape(line.substring(a, b))).append("</tspan>");
            at = b;
        }
        return out.append(Markup.escape(line.substring(at))).toString();
    }

    /**
     * Where a line of words that change stands: by its middle or its end where it is set so.
     *
     * @param spacing between letters; browsers count it behind the last one too
     */
    static String place(Content.Align align, double x, double width, double spacing) {
        return switch (align) {
            case LEFT -> Numbers.plain(x, 4);
            case CENTRE -> Numbers.plain(x + (width + spacing) / 2, 4) + "\" text-anchor=\"middle";
            case RIGHT -> Numbers.plain(x + width + spacing, 4) + "\" text-anchor=\"end";
        };
    }
}
