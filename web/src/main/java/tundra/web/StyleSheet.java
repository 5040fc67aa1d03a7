package tundra.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The resting looks of what is on the page, by the names of its parts. */
final class StyleSheet {
    private final Map<String, Map<String, String>> rules = new LinkedHashMap<>();

    /**
     * @param name of a part of the page; null for what has no such part
     * @param property in CSS
     */
    void put(String name, String property, String value) {
        if (name != null) {
            rules.computeIfAbsent(name, n -> new LinkedHashMap<>()).put(property, value);
        }
    }

    /** The CSS name of a property in the camel case of Web Animations. */
    static String name(String camelCase) {
        return camelCase.replaceAll("([A-Z])", "-$1").toLowerCase(java.util.Locale.ROOT);
    }

    /** @param scope the class of the piece: what several pieces on one page name alike stays apart; it makes the rules weigh more than those of the page itself */
    String css(String scope) {
        var alike = new LinkedHashMap<String, List<String>>();
        rules.forEach((name, of) -> {
            var text = new StringBuilder();
            of.forEach((property, value) -> text.append(text.isEmpty() ? "" : ";").append(property).append(':').append(value));
            alike.computeIfAbsent(text.toString(), t -> new ArrayList<>()).add("." + scope + " ." + name);
        });
        var out = new StringBuilder();
        alike.forEach((text, names) -> out.append(String.join(",", names)).append('{').append(text).append("}\n"));
        return out.toString();
    }
}
