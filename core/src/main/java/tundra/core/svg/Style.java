package tundra.core.svg;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.w3c.dom.Element;

/** The simple style sheets of a drawing: selectors of element names, classes, ids and descendants. */
final class Style {
    /** What children take from their parents. */
    static final Set<String> INHERITED = Set.of("fill", "fill-opacity", "fill-rule", "stroke", "stroke-opacity", "stroke-width", "stroke-linecap",
            "stroke-linejoin", "stroke-miterlimit", "stroke-dasharray", "stroke-dashoffset", "color", "visibility", "font-family", "font-size",
            "font-weight", "font-style", "text-anchor", "letter-spacing", "line-height", "clip-rule", "paint-order", "writing-mode");
    private static final Set<String> OWN = Set.of("opacity", "display", "stop-color", "stop-opacity", "clip-path", "mask", "filter", "marker-start",
            "marker-mid", "marker-end", "marker", "mix-blend-mode", "transform", "overflow", "baseline-shift", "dominant-baseline", "vector-effect",
            "isolation", "text-decoration");
    private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)}");
    private static final Pattern PART = Pattern.compile("([.#]?)([\\w-]+)|\\*");
    private final List<Rule> rules = new ArrayList<>();

    private record Rule(String[] steps, int weight, Map<String, String> declarations) {}

    void add(String sheet) {
        String text = sheet.replaceAll("(?s)/\\*.*?\\*/", "").replaceAll("<!--|-->", "").replaceAll("@[^{};]*;", "");
        Matcher m = RULE.matcher(text);
        while (m.find() && rules.size() < 5000) {
            var declarations = new HashMap<String, String>();
            SvgText.declarations(m.group(2), declarations);
            for (String selector : m.group(1).split(",")) {
                String s = selector.strip().replace(">", " ");
                if (!s.isEmpty() && s.matches("[\\w\\s.#*-]+")) {
                    int weight = s.replaceAll("[^#]", "").length() * 100 + s.replaceAll("[^.]", "").length() * 10
                            + (int) Pattern.compile("(^|\\s)[a-zA-Z]").matcher(s).results().count();
                    rules.add(new Rule(s.split("\\s+"), weight, declarations));
                }
            }
        }
    }

    /** The computed style of an element below a parent's. */
    Map<String, String> of(Element e, Map<String, String> parent) {
        var out = new HashMap<String, String>();
        INHERITED.forEach(p -> {
            if (parent.containsKey(p)) {
                out.put(p, parent.get(p));
            }
        });
        var own = new HashMap<String, String>();
        var attributes = e.getAttributes();
        for (int i = 0; i < attributes.getLength(); i++) {
            String name = attributes.item(i).getNodeName();
            if (!name.equals("transform") && (INHERITED.contains(name) || OWN.contains(name))) {
                own.put(name, attributes.item(i).getNodeValue().strip());
            }
        }
        rules.stream().filter(r -> matches(r, e)).sorted((a, b) -> a.weight() - b.weight()).forEach(r -> own.putAll(r.declarations()));
        if (e.hasAttribute("style")) {
            SvgText.declarations(e.getAttribute("style"), own);
        }
        own.forEach((k, v) -> {
            if (v.equals("inherit")) {
                if (parent.containsKey(k)) {
                    out.put(k, parent.get(k));
                }
            } else if (!v.isEmpty()) {
                out.put(k, v);
            }
        });
        return out;
    }

    private static boolean matches(Rule r, Element e) {
        int step = r.steps().length - 1;
        if (!matches(r.steps()[step], e)) {
            return false;
        }
        org.w3c.dom.Node up = e.getParentNode();
        for (step--; step >= 0 && up instanceof Element p; up = up.getParentNode()) {
            if (matches(r.steps()[step], p)) {
                step--;
            }
        }
        return step < 0;
    }

    private static boolean matches(String compound, Element e) {
        Matcher m = PART.matcher(compound);
        int end = 0;
        while (m.find()) {
            if (m.start() != end) {
                return false;
            }
            end = m.end();
            if (m.group(2) == null) {
                continue;
            }
            boolean fits = switch (m.group(1)) {
                case "." -> List.of(e.getAttribute("class").split("\\s+")).contains(m.group(2));
                case "#" -> e.getAttribute("id").equals(m.group(2));
                default -> name(e).equals(m.group(2));
            };
            if (!fits) {
                return false;
            }
        }
        return end == compound.length();
    }

    /** An element's name without a prefix. */
    static String name(Element e) {
        String n = e.getTagName();
        return n.substring(n.indexOf(':') + 1);
    }
}
