package tundra.core.compare;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.edit.Rules;
import tundra.core.file.FileProblem;
import tundra.core.file.ProjectTree;
import tundra.core.model.Asset;
import tundra.core.model.Project;

/** Joins two versions that were both made of a third one. */
public final class Merge {
    /** Whose version counts where both changed the same. */
    public enum Side {
        MINE, THEIRS
    }

    /**
     * @param project with the changes of both
     * @param conflicts what both changed, each in another way, in words
     */
    public record Merged(Project project, List<String> conflicts) {}

    private final Side side;
    private final Names names;
    private final List<String> conflicts = new ArrayList<>();

    private Merge(Side side, Names names) {
        this.side = side;
        this.names = names;
    }

    /** @throws FileProblem where the two together are no piece */
    public static Merged of(Project base, Project mine, Project theirs, Side side) throws FileProblem {
        var merge = new Merge(side, new Names(base, mine, theirs));
        JsonNode tree = merge.merged(ProjectTree.of(base), ProjectTree.of(mine), ProjectTree.of(theirs), List.of());
        Map<String, Asset> assets = new HashMap<>(base.assets());
        assets.putAll(theirs.assets());
        assets.putAll(mine.assets());
        Project out;
        try {
            out = ProjectTree.read(tree, assets);
        } catch (FileProblem e) {
            throw new FileProblem("The two can't be joined: " + e.getMessage()
                    + ". Nothing was written; bring what you need of one into the other by hand.", e);
        }
        // what one uses and the other took away goes with it
        Project tidy = Rules.tidied(mine, out);
        String refusal = Rules.refusal(mine, tidy);
        if (refusal != null) {
            throw new FileProblem("The two can't be joined: " + refusal + " Nothing was written.");
        }
        return new Merged(tidy, List.copyOf(merge.conflicts));
    }

    /** Null where there is nothing; what is null in the document is a node. */
    private JsonNode merged(JsonNode base, JsonNode mine, JsonNode theirs, List<String> path) {
        if (Objects.equals(mine, theirs) || Objects.equals(base, theirs)) {
            return mine;
        }
        if (Objects.equals(base, mine)) {
            return theirs;
        }
        if (mine != null && theirs != null && mine.isObject() && theirs.isObject() && (base == null || base.isObject()) && sameKind(mine, theirs)) {
            return objects(base == null ? JsonNodeFactory.instance.objectNode() : base, mine, theirs, path);
        }
        if (mine != null && theirs != null && mine.isArray() && theirs.isArray()) {
            Map<String, JsonNode> a = Keyed.of(mine), b = Keyed.of(theirs), c = base == null || !base.isArray() ? Map.of() : Keyed.of(base);
            if (a != null && b != null && c != null) {
                return arrays(c, a, b, path);
            }
        }
        conflicts.add(names.spot(path) + " was changed in both");
        return side == Side.MINE ? mine : theirs;
    }

    /** Paints and contents of two kinds are not mixed. */
    private static boolean sameKind(JsonNode a, JsonNode b) {
        return a.path("type").equals(b.path("type")) && a.has("gradient") == b.has("gradient") && !a.has("gradient");
    }

    private JsonNode objects(JsonNode base, JsonNode mine, JsonNode theirs, List<String> path) {
        ObjectNode out = JsonNodeFactory.instance.objectNode();
        Set<String> fields = new LinkedHashSet<>(mine.propertyNames());
        fields.addAll(theirs.propertyNames());
        for (String f : fields) {
            JsonNode x = merged(base.get(f), mine.get(f), theirs.get(f), with(path, f));
            if (x != null) {
                out.set(f, x);
            }
        }
        return out;
    }

    private JsonNode arrays(Map<String, JsonNode> base, Map<String, JsonNode> mine, Map<String, JsonNode> theirs, List<String> path) {
        ArrayNode out = JsonNodeFactory.instance.arrayNode();
        for (String key : order(List.copyOf(base.keySet()), List.copyOf(mine.keySet()), List.copyOf(theirs.keySet()))) {
            JsonNode x = merged(base.get(key), mine.get(key), theirs.get(key), with(path, key));
            if (x != null) {
                out.add(x);
            }
        }
        return out;
    }

    /** Of who changed the order, else mine; what the other has besides follows what it follows there. */
    private static List<String> order(List<String> base, List<String> mine, List<String> theirs) {
        List<String> common = mine.stream().filter(theirs::contains).toList();
        boolean theirOrder = common.equals(base.stream().filter(common::contains).toList());
        List<String> first = theirOrder ? theirs : mine, second = theirOrder ? mine : theirs;
        List<String> out = new ArrayList<>(first);
        for (int i = 0; i < second.size(); i++) {
            if (!out.contains(second.get(i))) {
                out.add(i == 0 ? 0 : out.indexOf(second.get(i - 1)) + 1, second.get(i));
            }
        }
        if (second.stream().allMatch(x -> x.matches("-?\\d+"))) {
            // keys stand in the order of their times
            out.sort((a, b) -> Long.compare(number(a), number(b)));
        }
        return out;
    }

    private static long number(String s) {
        return s.matches("-?\\d{1,18}") ? Long.parseLong(s) : Long.MAX_VALUE;
    }

    private static List<String> with(List<String> path, String step) {
        var out = new ArrayList<>(path);
        out.add(step);
        return out;
    }
}
