package tundra.web;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.geometry.Numbers;
import tundra.core.model.Board;
import tundra.core.model.Properties;
import tundra.core.model.Tree;

/**
 * What goes with the width of a scene whose elements are tied. A scene is compiled as it is drawn, {@link #WIDER} px wider and
 * {@link #NARROWER} px narrower; whatever text of the page differs in its numbers alone is linear in the width to either side, as ties are, and
 * is said as such: in CSS by {@code calc()} of the variables {@code --w} and {@code --n}, the px that the scene is wider or narrower than
 * drawn, in attributes and keys by all three texts, between which the player mixes.
 */
final class Fluid {
    /** By so much, in px. */
    static final int WIDER = 200, NARROWER = 40;
    /** What goes with the width, and is not said where it is as usual. */
    static final Map<String, String> USUAL = Map.of("scale", "1 1");
    private static final Pattern NUMBER = Pattern.compile("#[0-9A-Fa-f]{3,8}\\b|(-?\\d*\\.?\\d+(?:e-?\\d+)?)([a-z%]*)");
    private static final Pattern TAG = Pattern.compile("<([a-zA-Z]+)((?:\\s[\\w-]+(?:=\"[^\"]*\")?)*)\\s*/?>"), ATTRIBUTE = Pattern.compile("([\\w-]+)=\"([^\"]*)\"");
    /** What names a part, or what it is for; it never goes with the width. */
    private static final Set<String> NAMES = Set.of("class", "id", "aria-label", "role", "tabindex", "src", "alt");

    private Fluid() {}

    /** Whether anything on a board follows its width, and the board is wide enough to be looked at narrower. */
    static boolean is(Board b) {
        if (b.size().x() <= NARROWER) {
            return false;
        }
        var any = new boolean[1];
        Tree.each(b.elements(), e -> any[0] |= Properties.TIES.stream().anyMatch(p -> !e.rest().get(p).equals(p.standard())));
        return any[0];
    }

    /** CSS that goes with the width through three texts; the first where they differ in more than numbers. */
    static String css(String drawn, String wider, String narrower) {
        boolean same = drawn.equals(wider) && drawn.equals(narrower);
        if (same || drawn.contains("path(") || drawn.contains("url(") || !alike(drawn, wider) || !alike(drawn, narrower)) {
            return drawn;
        }
        Matcher a = NUMBER.matcher(drawn), b = NUMBER.matcher(wider), c = NUMBER.matcher(narrower);
        var out = new StringBuilder();
        while (a.find() && b.find() && c.find()) {
            if (a.group(1) == null || a.group().equals(b.group()) && a.group().equals(c.group())) {
                a.appendReplacement(out, Matcher.quoteReplacement(a.group()));
                continue;
            }
            String unit = a.group(2).isEmpty() ? b.group(2) : a.group(2);
            double at = Double.parseDouble(a.group(1));
            a.appendReplacement(out, Matcher.quoteReplacement("calc(" + a.group(1) + unit + " + var(--w) * " + Numbers.plain((Double.parseDouble(b.group(1)) - at) / WIDER, 9) + unit
                    + " + var(--n) * " + Numbers.plain((Double.parseDouble(c.group(1)) - at) / NARROWER, 9) + unit + ")"));
        }
        return a.appendTail(out).toString();
    }

    /** Whether two texts differ in numbers alone. */
    static boolean alike(String a, String b) {
        return form(a).equals(form(b));
    }

    private static String form(String text) {
        return NUMBER.matcher(text).replaceAll(m -> m.group(1) == null ? m.group() : "0");
    }

    /** The attributes of named parts that differ in numbers alone: name, attribute, as drawn, wider and narrower. */
    static void attributes(ObjectNode to, String drawn, String wider, String narrower) {
        Map<String, Map<String, String>> a = named(drawn), b = named(wider), c = named(narrower);
        ArrayNode out = to.arrayNode();
        a.forEach((name, of) -> of.forEach((attribute, text) -> {
            String more = b.getOrDefault(name, Map.of()).get(attribute), less = c.getOrDefault(name, Map.of()).get(attribute);
            if (more != null && less != null && !(more.equals(text) && less.equals(text)) && !NAMES.contains(attribute) && (attribute.equals("data-wrap") || alike(text, more) && alike(text, less))) {
                out.addArray().add(name).add(attribute).add(unescaped(text)).add(unescaped(more)).add(unescaped(less));
            }
        }));
        to.set("fluid", out);
    }

    private static String unescaped(String s) {
        return s.replace("&lt;", "<").replace("&gt;", ">").replace("&quot;", "\"").replace("&#39;", "'").replace("&amp;", "&");
    }

    private static Map<String, Map<String, String>> named(String html) {
        var out = new LinkedHashMap<String, Map<String, String>>();
        for (Matcher m = TAG.matcher(html); m.find();) {
            var of = new LinkedHashMap<String, String>();
            for (Matcher x = ATTRIBUTE.matcher(m.group(2)); x.find();) {
                of.put(x.group(1), x.group(2));
            }
            String name = of.containsKey("id") ? of.get("id") : of.getOrDefault("class", "").split(" ")[0];
            if (!name.isEmpty() && !name.equals("t-p")) {
                out.put(name, of);
            }
        }
        return out;
    }

    /** Keys of timelines get what they are in the wider and the narrower scene behind their easing. */
    static void keys(JsonNode timelines, JsonNode wider, JsonNode narrower) {
        for (int i = 0; i < timelines.size(); i++) {
            Map<String, JsonNode> more = byTrack(wider.get(i).get("tracks")), less = byTrack(narrower.get(i).get("tracks"));
            for (JsonNode track : timelines.get(i).get("tracks")) {
                if (more.containsKey(name(track)) && less.containsKey(name(track))) {
                    keys((ObjectNode) track, (ArrayNode) track.get("keys"), (ArrayNode) more.get(name(track)).get("keys"), (ArrayNode) less.get(name(track)).get("keys"));
                }
            }
        }
    }

    private static void keys(ObjectNode track, ArrayNode drawn, ArrayNode wider, ArrayNode narrower) {
        if (drawn.equals(wider) && drawn.equals(narrower)) {
            return;
        }
        List<ArrayNode> all = List.of(drawn, wider, narrower);
        boolean together = all.stream().allMatch(x -> offsets(x).equals(offsets(drawn)));
        if (!together && !all.stream().allMatch(Fluid::straight)) {
            return;
        }
        ArrayNode out = track.arrayNode();
        for (int i = 0; together && i < drawn.size(); i++) {
            JsonNode key = drawn.get(i);
            if (!put(out, key.get(0).decimalValue(), key.size() > 2 ? key.get(2).asString() : "linear", key.get(1).asString(), wider.get(i).get(1).asString(), narrower.get(i).get(1).asString())) {
                return;
            }
        }
        var at = new TreeSet<Double>();
        all.forEach(x -> at.addAll(offsets(x)));
        for (double offset : together ? List.<Double>of() : at) {
            // where any of them jumps there are two
            boolean jumps = all.stream().anyMatch(x -> Collections.frequency(offsets(x), offset) > 1);
            for (boolean after : jumps ? new boolean[] {false, true} : new boolean[] {true}) {
                if (!put(out, new BigDecimal(Numbers.plain(offset, 9)), "linear", value(drawn, offset, after), value(wider, offset, after), value(narrower, offset, after))) {
                    return;
                }
            }
        }
        track.set("keys", out);
    }

    /** Says whether the texts differ in numbers alone. */
    private static boolean put(ArrayNode keys, BigDecimal offset, String easing, String drawn, String wider, String narrower) {
        ArrayNode key = keys.addArray().add(offset).add(drawn).add(easing);
        if (!drawn.equals(wider) || !drawn.equals(narrower)) {
            key.add(wider).add(narrower);
        }
        return alike(drawn, wider) && alike(drawn, narrower);
    }

    private static List<Double> offsets(ArrayNode keys) {
        var out = new ArrayList<Double>();
        keys.forEach(k -> out.add(k.get(0).asDouble()));
        return out;
    }

    /** Whether all that lies between keys is straight. */
    private static boolean straight(ArrayNode keys) {
        for (JsonNode k : keys) {
            if (k.size() > 2) {
                return false;
            }
        }
        return true;
    }

    /** What straight keys hold at an offset, where they jump before or after that. */
    private static String value(ArrayNode keys, double offset, boolean after) {
        List<Double> at = offsets(keys);
        int there = after ? at.lastIndexOf(offset) : at.indexOf(offset);
        if (there >= 0) {
            return keys.get(there).get(1).asString();
        }
        int next = 0;
        while (next < at.size() && at.get(next) < offset) {
            next++;
        }
        if (next == 0 || next == at.size()) {
            return keys.get(next == 0 ? 0 : at.size() - 1).get(1).asString();
        }
        double before = at.get(next - 1);
        return mixed(keys.get(next - 1).get(1).asString(), keys.get(next).get(1).asString(), (offset - before) / (at.get(next) - before));
    }

    private static String mixed(String from, String to, double p) {
        Matcher a = NUMBER.matcher(from), b = NUMBER.matcher(to);
        var out = new StringBuilder();
        while (a.find() && b.find()) {
            a.appendReplacement(out, Matcher.quoteReplacement(a.group(1) == null || b.group(1) == null ? a.group()
                    : Numbers.plain(Double.parseDouble(a.group(1)) + (Double.parseDouble(b.group(1)) - Double.parseDouble(a.group(1))) * p, 6) + a.group(2)));
        }
        return a.appendTail(out).toString();
    }

    /** What values made of several parts rest at gets what they rest at in the other scenes. */
    static void mixes(JsonNode mixes, JsonNode wider, JsonNode narrower) {
        mixes.propertyNames().forEach(name -> {
            JsonNode a = mixes.get(name).get("rest"), b = wider.path(name).path("rest"), c = narrower.path(name).path("rest");
            if (a.size() == b.size() && a.size() == c.size() && !(a.equals(b) && a.equals(c))) {
                ((ObjectNode) mixes.get(name)).set("wider", b);
                ((ObjectNode) mixes.get(name)).set("narrower", c);
            }
        });
    }

    private static Map<String, JsonNode> byTrack(JsonNode tracks) {
        var out = new LinkedHashMap<String, JsonNode>();
        tracks.forEach(t -> out.put(name(t), t));
        return out;
    }

    private static String name(JsonNode track) {
        return track.get("of").asString() + " " + track.get("property").asString();
    }
}
