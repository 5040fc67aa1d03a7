package tundra.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** The resting looks of what is on the page, by the names of its parts. */
final class StyleSheet {
    /** Says which layout a scene has, by the layout's name on the page; what no layout is for has {@link #BASE}. */
    static final String LAYOUT = "data-layout", BASE = "base";
    private final Map<String, Map<String, String>> rules = new LinkedHashMap<>();
    /** By the names of parts that differ, and by layout. */
    private final Map<String, Map<String, String>> layouts = new LinkedHashMap<>();

    /**
     * @param name of a part of the page; null for what has no such part
     * @param property in CSS
     */
    void put(String name, String property, String value) {
        if (name != null) {
            rules.computeIfAbsent(name, n -> new LinkedHashMap<>()).put(property, value);
        }
    }

    /** The looks of some parts go with the size of their scene, to those that they have where it is grown. */
    void fluid(Set<String> parts, List<StyleSheet> grown) {
        for (String name : parts) {
            List<Map<String, String>> others = grown.stream().map(g -> g.rules.getOrDefault(name, Map.<String, String>of())).toList();
            // what is as usual as drawn isn't said there
            Fluid.USUAL.forEach((property, usual) -> {
                if (others.stream().anyMatch(o -> o.containsKey(property))) {
                    rules.get(name).putIfAbsent(property, usual);
                }
            });
            rules.get(name).replaceAll((property, text) ->
                    Fluid.css(text, others.stream().map(o -> o.getOrDefault(property, Fluid.USUAL.getOrDefault(property, text))).toList()));
        }
    }

    Set<String> names() {
        return Set.copyOf(rules.keySet());
    }

    /**
     * Takes the looks that a scene has in its layouts.
     *
     * @param scene the name of the scene's own part
     * @param parts the names of its parts as it is drawn
     * @param of each layout's by its name on the page
     */
    void layouts(String scene, Set<String> parts, Map<String, StyleSheet> of) {
        var names = new LinkedHashSet<>(parts);
        of.values().forEach(s -> names.addAll(s.rules.keySet()));
        for (String name : names) {
            Map<String, String> base = rules.getOrDefault(name, Map.of());
            if (of.values().stream().allMatch(s -> s.rules.getOrDefault(name, Map.of()).equals(base))) {
                continue;
            }
            var each = new LinkedHashMap<String, Map<String, String>>();
            each.put(BASE, base);
            of.forEach((layout, s) -> each.put(layout, s.rules.getOrDefault(name, Map.of())));
            // what differs anywhere is said for each layout alone, so that none has anything of another
            rules.remove(name);
            each.forEach((layout, rule) -> layouts.put(name.equals(scene) ? name + "[" + LAYOUT + "=\"" + layout + "\"]" : scene + "[" + LAYOUT
                    + "=\"" + layout + "\"] ." + name, rule));
        }
    }

    /** The CSS name of a property in the camel case of Web Animations. */
    static String name(String camelCase) {
        return camelCase.replaceAll("([A-Z])", "-$1").toLowerCase(Locale.ROOT);
    }

    /**
     * @param scope the class of the piece: what several pieces on one page name alike stays apart; it makes the rules weigh more than those of the
     * page itself
     */
    String css(String scope) {
        var alike = new LinkedHashMap<String, List<String>>();
        var all = new LinkedHashMap<>(rules);
        all.putAll(layouts);
        all.forEach((name, of) -> {
            if (of.isEmpty()) {
                return;
            }
            var text = new StringBuilder();
            of.forEach((property, value) -> text.append(text.isEmpty() ? "" : ";").append(property).append(':').append(value));
            alike.computeIfAbsent(text.toString(), t -> new ArrayList<>()).add("." + scope + " ." + name);
        });
        var out = new StringBuilder();
        alike.forEach((text, names) -> out.append(String.join(",", names)).append('{').append(text).append("}\n"));
        return out.toString();
    }
}
