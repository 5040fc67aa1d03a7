package tundra.web;

import java.lang.ref.WeakReference;
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
 * What goes with the width of a scene whose elements are tied, and with its height where that is the window's. A scene is compiled as it is
 * drawn and {@link Grown grown} to each side; whatever text of the page differs in its numbers alone is linear to that side, as ties are, and
 * is said as such: in CSS by {@code calc()} of a variable for each, the px that the scene is larger or smaller than drawn, in attributes and
 * keys by all the texts, between which the player mixes.
 */
final class Fluid {
    /** What goes with the width, and is not said where it is as usual. */
    static final Map<String, String> USUAL = Map.of("scale", "1 1");
    private static final Pattern NUMBER = Pattern.compile("#[0-9A-Fa-f]{3,8}\\b|(-?\\d*\\.?\\d+(?:e-?\\d+)?)([a-z%]*)");
    private static final Pattern TAG = Pattern.compile("<([a-zA-Z]+)((?:\\s[\\w-]+(?:=\"[^\"]*\")?)*)\\s*/?>"),
            ATTRIBUTE = Pattern.compile("([\\w-]+)=\"([^\"]*)\"");
    /** What names a part, or what it is for; it never goes with the width. */
    private static final Set<String> NAMES = Set.of("class", "id", "aria-label", "role", "tabindex", "src", "alt");

    private Fluid() {}

    /** Whether anything on a board follows its width, and the board is wide enough to be looked at narrower. */
    static boolean is(Board b) {
        if (b.size().x() <= Grown.ALL.get(1).step()) {
            return false;
        }
        Asked known = last;
        if (known.board.get() != b) {
            known = new Asked(new WeakReference<>(b), looked(b));
            last = known;
        }
        return known.fluid;
    }

    /** The board that was asked about last: each of its elements asks anew. */
    private record Asked(WeakReference<Board> board, boolean fluid) {}

    private static volatile Asked last = new Asked(new WeakReference<>(null), false);

    private static boolean looked(Board b) {
        var any = new boolean[] {!b.canvas().get(Properties.SCENE_HEIGHT).equals(Properties.SCENE_HEIGHT.standard())};
        Tree.each(b.elements(), e -> any[0] |= Properties.TIES.stream().anyMatch(p -> !e.rest().get(p).equals(p.standard())));
        return any[0];
    }

    /**
     * CSS that goes with the size through several texts; the first where they differ in more than numbers.
     *
     * @param grown as in the first of {@link Grown#ALL}, as many as there are
     */
    static String css(String drawn, List<String> grown) {
        if (same(drawn, grown) || drawn.contains("var(") || drawn.contains("path(") || drawn.contains("url(") || !alike(drawn, grown)) {
            return drawn;
        }
        Matcher a = NUMBER.matcher(drawn);
        List<Matcher> others = grown.stream().map(NUMBER::matcher).toList();
        var out = new StringBuilder();
        while (a.find() && others.stream().allMatch(Matcher::find)) {
            if (a.group(1) == null || others.stream().allMatch(o -> o.group().equals(a.group()))) {
                a.appendReplacement(out, Matcher.quoteReplacement(a.group()));
                continue;
            }
            String unit = a.group(2).isEmpty() ? others.getFirst().group(2) : a.group(2);
            double at = Double.parseDouble(a.group(1));
            var sum = new StringBuilder("calc(" + a.group(1) + unit);
            for (int i = 0; i < others.size(); i++) {
                double by = (Double.parseDouble(others.get(i).group(1)) - at) / Grown.ALL.get(i).step();
                if (by != 0 || i < 2) {
                    sum.append(" + var(").append(Grown.ALL.get(i).variable()).append(") * ").append(Numbers.plain(by, 9)).append(unit);
                }
            }
            a.appendReplacement(out, Matcher.quoteReplacement(sum.append(')').toString()));
        }
        return a.appendTail(out).toString();
    }

    private static boolean same(Object drawn, List<?> grown) {
        return grown.stream().allMatch(drawn::equals);
    }

    private static boolean alike(String drawn, List<String> grown) {
        return grown.stream().allMatch(g -> alike(drawn, g));
    }

    /** Whether two texts differ in numbers alone. */
    static boolean alike(String a, String b) {
        return form(a).equals(form(b));
    }

    private static String form(String text) {
        return NUMBER.matcher(text).replaceAll(m -> m.group(1) == null ? m.group() : "0");
    }

    /** The attributes of named parts that differ in numbers alone: name, attribute, as drawn, and as in each of the others. */
    static void attributes(ObjectNode to, String drawn, List<String> grown) {
        Map<String, Map<String, String>> a = named(drawn);
        List<Map<String, Map<String, String>>> others = grown.stream().map(Fluid::named).toList();
        ArrayNode out = to.arrayNode();
        a.forEach((name, of) -> of.forEach((attribute, text) -> {
            var all = new ArrayList<String>();
            others.forEach(o -> all.add(o.getOrDefault(name, Map.of()).get(attribute)));
            if (!all.contains(null) && !same(text, all) && !NAMES.contains(attribute) && (attribute.equals("data-wrap") || alike(text, all))) {
                ArrayNode one = out.addArray().add(name).add(attribute).add(unescaped(text));
                all.forEach(x -> one.add(unescaped(x)));
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
    static void keys(JsonNode timelines, List<JsonNode> grown) {
        for (int i = 0; i < timelines.size(); i++) {
            int at = i;
            List<Map<String, JsonNode>> others = grown.stream().map(g -> byTrack(g.get(at).get("tracks"))).toList();
            for (JsonNode track : timelines.get(i).get("tracks")) {
                if (others.stream().allMatch(o -> o.containsKey(name(track)))) {
                    keys((ObjectNode) track, (ArrayNode) track.get("keys"), others.stream().map(o -> (ArrayNode) o.get(name(track)).get("keys"))
                            .toList());
                }
            }
        }
    }

    private static void keys(ObjectNode track, ArrayNode drawn, List<ArrayNode> grown) {
        if (same(drawn, grown)) {
            return;
        }
        var all = new ArrayList<ArrayNode>(List.of(drawn));
        all.addAll(grown);
        boolean together = all.stream().allMatch(x -> offsets(x).equals(offsets(drawn)));
        if (!together && !all.stream().allMatch(Fluid::straight)) {
            return;
        }
        ArrayNode out = track.arrayNode();
        for (int i = 0; together && i < drawn.size(); i++) {
            JsonNode key = drawn.get(i);
            int at = i;
            if (!put(out, key.get(0).decimalValue(), key.size() > 2 ? key.get(2).asString() : "linear", key.get(1).asString(), grown.stream()
                    .map(g -> g.get(at).get(1).asString()).toList())) {
                return;
            }
        }
        var places = new TreeSet<Double>();
        all.forEach(x -> places.addAll(offsets(x)));
        for (double offset : together ? List.<Double>of() : places) {
            // where any of them jumps there are two
            boolean jumps = all.stream().anyMatch(x -> Collections.frequency(offsets(x), offset) > 1);
            for (boolean after : jumps ? new boolean[] {false, true} : new boolean[] {true}) {
                if (!put(out, new BigDecimal(Numbers.plain(offset, 9)), "linear", value(drawn, offset, after), grown.stream()
                        .map(g -> value(g, offset, after)).toList())) {
                    return;
                }
            }
        }
        track.set("keys", out);
    }

    /** Says whether the texts differ in numbers alone. */
    private static boolean put(ArrayNode keys, BigDecimal offset, String easing, String drawn, List<String> grown) {
        ArrayNode key = keys.addArray().add(offset).add(drawn).add(easing);
        if (!same(drawn, grown)) {
            grown.forEach(key::add);
        }
        return alike(drawn, grown);
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
                    : Numbers.plain(Double.parseDouble(a.group(1)) + (Double.parseDouble(b.group(1)) - Double.parseDouble(a.group(1))) * p, 6)
                    + a.group(2)));
        }
        return a.appendTail(out).toString();
    }

    /** What values made of several parts rest at gets what they rest at in the other scenes. */
    static void mixes(JsonNode mixes, List<JsonNode> grown) {
        mixes.propertyNames().forEach(name -> {
            JsonNode a = mixes.get(name).get("rest");
            List<JsonNode> others = grown.stream().map(g -> g.path(name).path("rest")).toList();
            if (others.stream().allMatch(o -> o.size() == a.size()) && !same(a, others)) {
                ((ObjectNode) mixes.get(name)).putArray("grown").addAll(others);
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
