package tundra.core.svg;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.w3c.dom.Element;
import org.w3c.dom.Node;

/** The simple style sheets of a drawing: selectors of element names, classes, ids and descendants. */
final class Style {
    /** What children take from their parents. */
    static final Set<String> INHERITED = Set.of("fill", "fill-opacity", "fill-rule", "stroke", "stroke-opacity", "stroke-width", "stroke-linecap",
            "stroke-linejoin", "stroke-miterlimit", "stroke-dasharray", "stroke-dashoffset", "color", "visibility", "font-family", "font-size",
            "font-weight", "font-style", "text-anchor", "letter-spacing", "line-height", "clip-rule", "paint-order", "writing-mode");
    private static final Set<String> OWN = Set.of("opacity", "display", "stop-color", "stop-opacity", "clip-path", "mask", "filter", "marker-start",
            "marker-mid", "marker-end", "marker", "mix-blend-mode", "transform", "overflow", "baseline-shift", "dominant-baseline", "vector-effect",
            "isolation", "text-decoration");
    private static final Pattern PART = Pattern.compile("([.#]?)([\\w-]+)|\\*");
    private static final int RULES = 5000, SELECTOR = 1000;
    /** Rules by what the element itself must have: a class, an id or a name with its sign, or * for any. */
    private final Map<String, List<Rule>> rules = new HashMap<>();
    private int count;

    /** One part of a compound selector, such as .big, #hut or rect. */
    private record Part(String sign, String name) {
        boolean fits(Element e) {
            return switch (sign) {
                case "." -> List.of(e.getAttribute("class").split("\\s+")).contains(name);
                case "#" -> e.getAttribute("id").equals(name);
                default -> Style.name(e).equals(name);
            };
        }
    }

    /** @param steps the compounds from the outermost to the element's own; each is met when all its parts are */
    private record Rule(List<List<Part>> steps, int weight, int order, Map<String, String> declarations) {}

    void add(String sheet) {
        for (StyleSheet.Rule r : StyleSheet.rules(sheet, RULES - count)) {
            var declarations = new HashMap<String, String>();
            SvgText.declarations(r.body(), declarations);
            for (String selector : r.selectors().split(",")) {
                add(selector.strip().replace('>', ' '), declarations);
            }
        }
    }

    private void add(String selector, Map<String, String> declarations) {
        if (selector.isEmpty() || selector.length() > SELECTOR || count >= RULES) {
            return;
        }
        var steps = new ArrayList<List<Part>>();
        int weight = 0;
        for (String compound : selector.split("\\s+")) {
            List<Part> parts = compound(compound);
            if (parts == null) {
                return;
            }
            for (Part p : parts) {
                weight += p.sign().equals("#") ? 100 : p.sign().equals(".") ? 10 : 1;
            }
            steps.add(parts);
        }
        List<Part> own = steps.getLast();
        String key = own.isEmpty() ? "*" : own.getLast().sign() + own.getLast().name();
        rules.computeIfAbsent(key, k -> new ArrayList<>()).add(new Rule(steps, weight, count++, declarations));
    }

    /** The parts of a compound selector; null for one with signs that aren't known. */
    private static List<Part> compound(String text) {
        var out = new ArrayList<Part>();
        Matcher m = PART.matcher(text);
        int end = 0;
        while (m.find()) {
            if (m.start() != end) {
                return null;
            }
            end = m.end();
            if (m.group(2) != null) {
                out.add(new Part(m.group(1), m.group(2)));
            }
        }
        return end == text.length() ? out : null;
    }

    private List<Rule> meant(Element e) {
        if (count == 0) {
            return List.of();
        }
        var out = new ArrayList<Rule>();
        var keys = new LinkedHashSet<String>(List.of("*", name(e), "#" + e.getAttribute("id")));
        for (String c : e.getAttribute("class").split("\\s+")) {
            keys.add("." + c);
        }
        keys.forEach(k -> rules.getOrDefault(k, List.of()).stream().filter(r -> matches(r, e)).forEach(out::add));
        out.sort(Comparator.comparingInt(Rule::weight).thenComparingInt(Rule::order));
        return out;
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
        meant(e).forEach(r -> own.putAll(r.declarations()));
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
        int step = r.steps().size() - 1;
        if (!fits(r.steps().get(step), e)) {
            return false;
        }
        Node up = e.getParentNode();
        for (step--; step >= 0 && up instanceof Element p; up = up.getParentNode()) {
            if (fits(r.steps().get(step), p)) {
                step--;
            }
        }
        return step < 0;
    }

    private static boolean fits(List<Part> compound, Element e) {
        for (Part p : compound) {
            if (!p.fits(e)) {
                return false;
            }
        }
        return true;
    }

    /** An element's name without a prefix. */
    static String name(Element e) {
        String n = e.getTagName();
        return n.substring(n.indexOf(':') + 1);
    }
}
