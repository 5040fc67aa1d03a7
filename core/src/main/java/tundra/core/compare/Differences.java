package tundra.core.compare;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.edit.Sentences;
import tundra.core.file.ProjectTree;
import tundra.core.geometry.Numbers;
import tundra.core.model.Board;
import tundra.core.model.Element;
import tundra.core.model.Place;
import tundra.core.model.Project;
import tundra.core.model.Reaction;

/** Says in words what changed between two versions of a piece. */
public final class Differences {
    private static final Set<String> OWN = Set.of("id", "name", "elements", "timelines", "reactions", "layouts", "children");
    private static final int LONG = 40;
    private final Names names;
    private final List<String> out = new ArrayList<>();

    private Differences(Names names) {
        this.names = names;
    }

    /** One sentence for each change, from the whole to its parts; none where both are the same. */
    public static List<String> of(Project before, Project after) {
        var d = new Differences(new Names(before, after));
        d.project(before, after, ProjectTree.of(before), ProjectTree.of(after));
        return List.copyOf(d.out);
    }

    private void project(Project before, Project after, JsonNode a, JsonNode b) {
        for (String f : fields(a, b)) {
            if (Objects.equals(a.get(f), b.get(f)) || f.equals("id") || f.equals("tundra")) {
                continue;
            }
            switch (f) {
                case "scenes" -> places("Scene", before, after, before.scenes(), after.scenes(), a.get(f), b.get(f));
                case "motifs" -> places("Motif", before, after, before.motifs(), after.motifs(), a.get(f), b.get(f));
                default -> {
                    Map<String, JsonNode> x = keyed(a.get(f)), y = keyed(b.get(f));
                    if (a.path(f).isArray() | b.path(f).isArray() && x != null && y != null) {
                        listed(f, x, y);
                    } else {
                        changed(Names.property(f) + " of the piece", a.get(f), b.get(f));
                    }
                }
            }
        }
    }

    private void listed(String field, Map<String, JsonNode> a, Map<String, JsonNode> b) {
        for (String id : keys(a, b)) {
            String name = names.of(id) == null ? "an entry of " + Names.property(field).toLowerCase(Locale.ROOT) : names.of(id);
            if (!Objects.equals(a.get(id), b.get(id))) {
                out.add(Names.capital(name) + (a.get(id) == null ? " was added." : b.get(id) == null ? " was taken away." : " was changed."));
            }
        }
        if (a.keySet().equals(b.keySet()) && !List.copyOf(a.keySet()).equals(List.copyOf(b.keySet()))) {
            out.add("The order of " + Names.property(field).toLowerCase(Locale.ROOT) + " was changed.");
        }
    }

    private void places(String kind, Project before, Project after, List<? extends Place> was, List<? extends Place> is, JsonNode a, JsonNode b) {
        Map<String, JsonNode> x = keyed(a), y = keyed(b);
        for (String id : keys(x, y)) {
            if (x.get(id) == null || y.get(id) == null) {
                out.add(kind + " " + names.of(id) + (x.get(id) == null ? " was added." : " was taken away."));
            } else if (!x.get(id).equals(y.get(id))) {
                place(before, after, before.place(id), after.place(id), x.get(id), y.get(id));
            }
        }
        if (x.keySet().equals(y.keySet()) && !was.stream().map(Place::id).toList().equals(is.stream().map(Place::id).toList())) {
            out.add("The order of " + kind.toLowerCase(Locale.ROOT) + "s was changed.");
        }
    }

    private void place(Project before, Project after, Place was, Place is, JsonNode a, JsonNode b) {
        String in = " in “" + is.name() + "”";
        if (!was.name().equals(is.name())) {
            out.add("“" + was.name() + "” is called “" + is.name() + "”.");
        }
        for (String f : fields(a, b)) {
            if (!OWN.contains(f)) {
                parts(Names.property(f) + " of “" + is.name() + "”", " of the canvas" + in, a.get(f), b.get(f));
            }
        }
        elements(was.board(), is.board(), a, b, in);
        timelines(a, b, in);
        reactions(before, after, was.board(), is.board(), in);
        Map<String, JsonNode> x = keyed(a.get("layouts")), y = keyed(b.get("layouts"));
        for (String id : keys(x, y)) {
            if (!Objects.equals(x.get(id), y.get(id))) {
                out.add(Names.capital(names.of(id)) + in + (x.get(id) == null ? " was added." : y.get(id) == null ? " was taken away."
                        : " was changed."));
            }
        }
    }

    /** What holds properties tells them one by one. */
    private void parts(String whole, String of, JsonNode a, JsonNode b) {
        if (a != null && b != null && a.isObject() && b.isObject()) {
            fields(a, b).forEach(f -> changed(Names.property(f) + of, a.get(f), b.get(f)));
        } else {
            changed(whole, a, b);
        }
    }

    private void changed(String what, JsonNode a, JsonNode b) {
        if (!Objects.equals(a, b)) {
            String from = words(a), to = words(b);
            out.add(what + (from == null && to == null ? " was changed." : ": " + (from == null ? "something else" : from) + " → "
                    + (to == null ? "something else" : to) + "."));
        }
    }

    /** A value in few words; null where it has too many. */
    private static String words(JsonNode n) {
        if (n == null || n.isNull()) {
            return "as usual";
        }
        if (n.isNumber()) {
            return Numbers.plain(n.asDouble(), 3);
        }
        if (n.isArray() && n.size() <= 3 && n.valueStream().allMatch(JsonNode::isNumber)) {
            return String.join(", ", n.valueStream().map(x -> Numbers.plain(x.asDouble(), 3)).toList());
        }
        String s = n.isBoolean() ? n.asBoolean() ? "yes" : "no" : n.isString() ? n.asString() : null;
        return s == null || s.length() > LONG || s.contains("\n") ? null : n.isString() && !s.startsWith("#") && !s.matches("[\\d.]+ s") ? "“" + s
                + "”" : s;
    }

    private record Stands(JsonNode node, String parent) {}

    private static void flat(JsonNode elements, String parent, Map<String, Stands> out) {
        for (JsonNode e : elements == null ? JsonNodeFactory.instance.arrayNode() : elements) {
            out.put(e.path("id").asString(), new Stands(e, parent));
            flat(e.get("children"), e.path("id").asString(), out);
        }
    }

    private void elements(Board was, Board is, JsonNode a, JsonNode b, String in) {
        var x = new LinkedHashMap<String, Stands>();
        var y = new LinkedHashMap<String, Stands>();
        flat(a.get("elements"), "", x);
        flat(b.get("elements"), "", y);
        for (String id : keys(x, y)) {
            Stands from = x.get(id), to = y.get(id);
            if (from == null || to == null) {
                Element e = from == null ? is.find(id) : was.find(id);
                // what goes with its group is told by it
                if (!(from == null ? x : y).containsKey((from == null ? to : from).parent) && !(from == null ? to : from).parent.isEmpty()) {
                    continue;
                }
                out.add((e == null ? "An element" : "“" + e.name() + "”") + in + (from == null ? " was added." : " was taken away."));
                continue;
            }
            element(id, from, to, in);
        }
        List<String> before = x.keySet().stream().filter(y::containsKey).toList(), after = y.keySet().stream().filter(x::containsKey).toList();
        if (!before.equals(after) && x.entrySet().stream().allMatch(e -> !y.containsKey(e.getKey())
                || y.get(e.getKey()).parent.equals(e.getValue().parent))) {
            out.add("The order of elements" + in + " was changed.");
        }
    }

    private void element(String id, Stands from, Stands to, String in) {
        if (!from.parent.equals(to.parent)) {
            out.add(names.of(id) + in + " lies in " + (to.parent.isEmpty() ? "no group" : names.of(to.parent)) + " now.");
        }
        JsonNode a = from.node, b = to.node;
        if (!a.path("name").equals(b.path("name"))) {
            out.add("“" + a.path("name").asString() + "”" + in + " is called “" + b.path("name").asString() + "”.");
        }
        for (String f : fields(a, b)) {
            if (!OWN.contains(f)) {
                parts(Names.property(f) + " of " + names.of(id) + in, " of " + names.of(id) + in, a.get(f), b.get(f));
            }
        }
    }

    private void timelines(JsonNode a, JsonNode b, String in) {
        Map<String, JsonNode> x = keyed(a.get("timelines")), y = keyed(b.get("timelines"));
        for (String id : keys(x, y)) {
            JsonNode from = x.get(id), to = y.get(id);
            if (from == null || to == null) {
                out.add(Names.capital(names.of(id)) + in + (from == null ? " was added." : " was taken away."));
                continue;
            }
            for (String f : fields(from, to)) {
                if (f.equals("keys")) {
                    keys(from.get(f), to.get(f), " on " + names.of(id) + in);
                } else if (!Objects.equals(from.get(f), to.get(f))) {
                    changed(Names.property(f) + " of " + names.of(id) + in, f.equals("duration") ? seconds(from.get(f)) : from.get(f),
                            f.equals("duration") ? seconds(to.get(f)) : to.get(f));
                }
            }
        }
    }

    private static JsonNode seconds(JsonNode micros) {
        return micros == null ? null : JsonNodeFactory.instance.stringNode(Numbers.plain(micros.asDouble() / 1e6, 3) + " s");
    }

    private void keys(JsonNode a, JsonNode b, String on) {
        ObjectNode none = JsonNodeFactory.instance.objectNode();
        JsonNode x = a == null ? none : a, y = b == null ? none : b;
        for (String element : fields(x, y)) {
            JsonNode p = x.has(element) ? x.get(element) : none, q = y.has(element) ? y.get(element) : none;
            for (String property : fields(p, q)) {
                Map<String, JsonNode> from = keyed(p.get(property)), to = keyed(q.get(property));
                if (from == null || to == null) {
                    changed(Names.property(property) + " of " + names.of(element) + on, p.get(property), q.get(property));
                    continue;
                }
                long added = to.keySet().stream().filter(k -> !from.containsKey(k)).count(), gone = from.keySet().stream()
                        .filter(k -> !to.containsKey(k)).count();
                long other = to.entrySet().stream().filter(e -> from.containsKey(e.getKey()) && !from.get(e.getKey()).equals(e.getValue())).count();
                if (added + gone + other > 0) {
                    var told = new ArrayList<String>();
                    told.addAll(added > 0 ? List.of(keys(added) + " added") : List.of());
                    told.addAll(gone > 0 ? List.of(keys(gone) + " taken away") : List.of());
                    told.addAll(other > 0 ? List.of(keys(other) + " changed") : List.of());
                    out.add(Names.property(property) + " of " + names.of(element) + on + ": " + String.join(", ", told) + ".");
                }
            }
        }
    }

    private static String keys(long n) {
        return n == 1 ? "1 key" : n + " keys";
    }

    private void reactions(Project before, Project after, Board was, Board is, String in) {
        Map<String, Reaction> x = new LinkedHashMap<>(), y = new LinkedHashMap<>();
        was.reactions().forEach(r -> x.put(r.id(), r));
        is.reactions().forEach(r -> y.put(r.id(), r));
        for (String id : keys(x, y)) {
            Reaction from = x.get(id), to = y.get(id);
            if (!Objects.equals(from, to)) {
                Reaction told = to == null ? from : to;
                var sentences = to == null ? new Sentences(before, was) : new Sentences(after, is);
                out.add("A reaction" + in + (from == null ? " was added" : to == null ? " was taken away" : " was changed") + ": "
                        + small(sentences.of(told.when().kind(), told.when().slots())) + ".");
            }
        }
    }

    private static String small(String s) {
        return s.isEmpty() ? s : Character.toLowerCase(s.charAt(0)) + s.substring(1);
    }

    private static Map<String, JsonNode> keyed(JsonNode array) {
        return array == null ? Map.of() : Keyed.of(array);
    }

    private static Set<String> fields(JsonNode a, JsonNode b) {
        Set<String> all = new LinkedHashSet<>(a.propertyNames());
        all.addAll(b.propertyNames());
        return all;
    }

    private static <T> Set<String> keys(Map<String, T> a, Map<String, T> b) {
        Set<String> all = new LinkedHashSet<>(a.keySet());
        all.addAll(b.keySet());
        return all;
    }
}
