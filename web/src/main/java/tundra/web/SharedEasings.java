package tundra.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.model.Project;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;

/**
 * The easings that CSS has no one function for: a key that goes by one says its number in place of all the keyframes that it is cut into, and the
 * player cuts it.
 * The pieces of each are told once for the whole page.
 */
final class SharedEasings {
    private static final Pattern NUMBER = Pattern.compile("#[0-9A-Fa-f]{3,8}\\b|-?\\d*\\.?\\d+(?:e-?\\d+)?");
    /** Offsets have nine digits behind the point. */
    private static final double SAME_OFFSET = 3e-9;
    /**
     * By how much a length or an angle may differ from what the player mixes, and by which share of it a plain number: what the last written digits
     * leave open.
     */
    private static final double SAME_LENGTH = 2e-4, SAME_NUMBER = 2e-5;
    private static final String WHERE = "eases";
    private final List<List<EasingPieces.Piece>> all = new ArrayList<>();
    /** By the CSS of their first pieces. */
    private final Map<String, List<Integer>> first = new LinkedHashMap<>();
    /** Those that are used, and their numbers on the page. */
    private final Map<Integer, Integer> used = new LinkedHashMap<>();

    /** @param p as it is compiled */
    SharedEasings(Project p) {
        Set<Easing> easings = new LinkedHashSet<>();
        p.places().forEach(x -> x.board().timelines()
                .forEach(t -> t.tracks().values().forEach(of -> of.values().forEach(track -> track.keys().stream().map(Key::easing)
                .forEach(easings::add)))));
        for (Easing e : easings) {
            List<EasingPieces.Piece> pieces = EasingPieces.of(e);
            if (pieces.size() > 1) {
                first.computeIfAbsent(pieces.getFirst().css(), k -> new ArrayList<>()).add(all.size());
                all.add(pieces);
            }
        }
    }

    /** Says the keys of all timelines of the piece's scenes and motifs, in all layouts, by their easings where they go by them. */
    void fold(ObjectNode piece) {
        piece.path("scenes").forEach(this::board);
        piece.path("motifs").forEach(this::board);
        if (!used.isEmpty()) {
            ArrayNode eases = piece.putArray(WHERE);
            for (int i : used.keySet()) {
                ArrayNode one = eases.addArray();
                all.get(i).forEach(x -> one.addArray().add(Math.round(x.from() * 1e9) / 1e9).add(Math.round(x.low() * 1e9) / 1e9).add(x.css()));
            }
        }
    }

    boolean any() {
        return !used.isEmpty();
    }

    private void board(JsonNode board) {
        board.path("timelines").forEach(t -> t.path("tracks").forEach(x -> track((ObjectNode) x)));
        board.path("layouts").forEach(l -> l.path("timelines").forEach(t -> t.path("tracks").forEach(x -> track((ObjectNode) x))));
    }

    private void track(ObjectNode track) {
        ArrayNode keys = (ArrayNode) track.get("keys"), out = track.arrayNode();
        for (int i = 0; i < keys.size(); i++) {
            int easing = keys.get(i).size() == 3 ? at(keys, i) : -1;
            if (easing < 0) {
                out.add(keys.get(i));
            } else {
                out.addArray().add(keys.get(i).get(0)).add(keys.get(i).get(1)).add(used.computeIfAbsent(easing, k -> used.size()));
                i += all.get(easing).size() - 1;
            }
        }
        track.set("keys", out);
    }

    /** Which easing the keys go by from one on; -1 for none. */
    private int at(ArrayNode keys, int from) {
        for (int k : first.getOrDefault(keys.get(from).get(2).asString(), List.of())) {
            if (fits(keys, from, all.get(k))) {
                return k;
            }
        }
        return -1;
    }

    private static boolean fits(ArrayNode keys, int from, List<EasingPieces.Piece> pieces) {
        if (from + pieces.size() >= keys.size()) {
            return false;
        }
        JsonNode a = keys.get(from), b = keys.get(from + pieces.size());
        double begin = a.get(0).asDouble(), length = b.get(0).asDouble() - begin;
        for (int i = 1; i < pieces.size(); i++) {
            JsonNode key = keys.get(from + i);
            EasingPieces.Piece piece = pieces.get(i);
            String css = key.size() > 2 ? key.get(2).asString() : "linear";
            if (key.size() > 3 || !css.equals(piece.css()) || Math.abs(key.get(0).asDouble() - begin - length * piece.from()) > SAME_OFFSET
                    || !mixed(a.get(1).asString(), b.get(1).asString(), piece.low(), key.get(1).asString())) {
                return false;
            }
        }
        return true;
    }

    /** Whether the player's mix of the numbers of two texts is a third one. */
    private static boolean mixed(String from, String to, double p, String is) {
        Matcher a = NUMBER.matcher(from), b = NUMBER.matcher(to), c = NUMBER.matcher(is);
        if (!NUMBER.matcher(from).replaceAll("0").equals(NUMBER.matcher(to).replaceAll("0")) || !NUMBER.matcher(from).replaceAll("0")
                .equals(NUMBER.matcher(is).replaceAll("0"))) {
            return false;
        }
        while (a.find() && b.find() && c.find()) {
            if (a.group().startsWith("#") || b.group().startsWith("#")) {
                return false;
            }
            double x = Double.parseDouble(a.group()), y = Double.parseDouble(b.group()), z = Double.parseDouble(c.group());
            if (Math.abs(x + (y - x) * p - z) > (is.startsWith("px", c.end()) || is.startsWith("deg", c.end()) || is.startsWith("%", c.end())
                    ? SAME_LENGTH : SAME_NUMBER * Math.max(1, Math.abs(z)))) {
                return false;
            }
        }
        return true;
    }
}
