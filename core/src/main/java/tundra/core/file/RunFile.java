package tundra.core.file;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tundra.core.fit.BoardChanges;
import tundra.core.fit.Run;
import tundra.core.fit.VisitorState;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Color;

/** Reads recorded visits: a line of JSON for each moment at which something else was seen, as the player of a tried page writes them. */
public final class RunFile {
    private static final int MOST = 200_000, DEEP = 100;
    private static final Pattern COLOR = Pattern.compile("rgba?\\((\\d+), (\\d+), (\\d+)(?:, ([\\d.]+))?\\)");
    private final UnaryOperator<String> ids;

    private RunFile(UnaryOperator<String> ids) {
        this.ids = ids;
    }

    /**
     * @param ids gives the id of an element by its name on the page
     * @throws FileProblem with one sentence where it is none
     */
    public static Run read(String lines, UnaryOperator<String> ids) throws FileProblem {
        var reader = new RunFile(ids);
        var out = new ArrayList<VisitorState>();
        for (String line : lines.lines().filter(l -> !l.isBlank()).limit(MOST).toList()) {
            try {
                out.add(reader.state(Json.MAPPER.readTree(line)));
            } catch (JacksonException | IllegalArgumentException e) {
                throw new FileProblem("Line " + (out.size() + 1) + " of the recorded visit can't be read. Record it again.", e);
            }
        }
        if (out.isEmpty()) {
            throw new FileProblem("Nothing was recorded: there is no line in it. Record the visit again.");
        }
        return new Run(out);
    }

    private VisitorState state(JsonNode n) {
        JsonNode seen = need(n, "seen");
        var scenes = new ArrayList<VisitorState.SceneState>();
        var z = new HashMap<VisitorState.SceneState, Integer>();
        for (JsonNode s : need(seen, "scenes")) {
            VisitorState.SceneState one = scene(s);
            scenes.add(one);
            z.put(one, s.path("z").asInt(0));
        }
        scenes.sort((a, b) -> Integer.compare(z.get(a), z.get(b)));
        Map<String, String> values = new LinkedHashMap<>();
        seen.path("values").properties().forEach(e -> values.put(e.getKey(), e.getValue().asString("")));
        return new VisitorState(micros(need(n, "time")), pair(need(seen, "window")), scenes, values);
    }

    private static Double number(JsonNode n) {
        return n == null || n.isNull() ? null : (Double) n.asDouble();
    }

    /** As browsers give it: rgb(…) or rgba(…). */
    private static Color color(JsonNode n) {
        var m = n == null || n.isNull() ? null : COLOR.matcher(n.asString(""));
        return m == null || !m.matches() ? null : new Color(Integer.parseInt(m.group(1)), Integer.parseInt(m.group(2)), Integer.parseInt(m.group(3)),
                m.group(4) == null ? 255 : (int) Math.round(255 * Double.parseDouble(m.group(4))));
    }

    private static JsonNode need(JsonNode of, String field) {
        JsonNode n = of.path(field);
        if (n.isMissingNode() || field.equals("at") && n.size() != 4 || field.equals("window") && n.size() != 2) {
            throw new IllegalArgumentException(field);
        }
        return n;
    }

    private static long micros(JsonNode ms) {
        return Math.round(ms.asDouble() * 1000);
    }

    private static Point pair(JsonNode n) {
        return new Point(n.get(0).asDouble(), n.get(1).asDouble());
    }

    private VisitorState.SceneState scene(JsonNode s) {
        JsonNode at = need(s, "at");
        String layout = s.path("layout").asString("base");
        return new VisitorState.SceneState(need(s, "id").asString(""), new Rect(at.get(0).asDouble(), at.get(1).asDouble(), at.get(2).asDouble(),
                at.get(3).asDouble()), s.path("opacity").asDouble(1), layout.equals("base") ? null : layout,
                s.path("size").isArray() ? pair(s.get("size")) : null, moment(s, micros(s.path("since")), 0), changes(s, 0));
    }

    private BoardChanges changes(JsonNode s, int depth) {
        if (depth > DEEP) {
            throw new IllegalArgumentException("motifs nested too deep");
        }
        Set<String> hidden = new HashSet<>();
        s.path("hidden").forEach(x -> hidden.add(id(x)));
        Map<String, Integer> order = new HashMap<>();
        s.path("order").forEach(x -> order.put(id(x.path(0)), x.path(1).asInt()));
        List<BoardChanges.Carried> carried = new ArrayList<>();
        s.path("carried").forEach(x -> carried.add(new BoardChanges.Carried(id(x.path(0)), new Point(x.path(1).asDouble(), x.path(2).asDouble()),
                x.path(3).asDouble(), x.path(4).asDouble())));
        List<BoardChanges.Scripted> scripted = new ArrayList<>();
        s.path("scripted").forEach(x -> scripted.add(new BoardChanges.Scripted(id(x.path(0)), number(x.path(1)),
                new Point(x.path(2).asDouble(), x.path(3).asDouble()), number(x.path(4)), number(x.path(5)), color(x.path(6)))));
        Map<String, String> words = new HashMap<>();
        s.path("words").forEach(x -> words.put(id(x.path(0)), x.path(1).asString("")));
        Map<String, BoardChanges.BlockState> blocks = new HashMap<>();
        s.path("blocks").forEach(x -> blocks.put(id(x.path(0)), block(x.path(1))));
        List<BoardChanges.SetState> sets = new ArrayList<>();
        s.path("sets").forEach(x -> sets.add(new BoardChanges.SetState(x.path(0).asString(""), x.path(1).asDouble(), x.path(2).asBoolean())));
        Map<String, BoardChanges> inside = new HashMap<>();
        s.path("inside").properties().forEach(e -> inside.put(ids.apply(e.getKey()), changes(e.getValue(), depth + 1)));
        return new BoardChanges(hidden, order, carried, scripted, words, blocks, sets, inside);
    }

    private String id(JsonNode n) {
        return ids.apply(n.asString(""));
    }

    private static BoardChanges.BlockState block(JsonNode n) {
        return new BoardChanges.BlockState(number(n.get("item")), n.has("time") ? (Long) micros(n.get("time")) : null, n.has("words") ? n.get("words")
                .asString("") : null,
                n.path("middle").size() == 2 ? pair(n.get("middle")) : null, number(n.get("zoom")));
    }

    private Moment moment(JsonNode of, long since, int depth) {
        if (depth > DEEP) {
            throw new IllegalArgumentException("motifs nested too deep");
        }
        List<Moment.Standing> standings = new ArrayList<>();
        of.path("moment").forEach(x -> standings.add(new Moment.Standing(x.path(0).asString(""), micros(x.path(1)))));
        Map<String, Moment> insides = new HashMap<>();
        of.path("inside").properties().forEach(e -> insides.put(ids.apply(e.getKey()), moment(e.getValue(), since, depth + 1)));
        return new Moment(standings, since, insides);
    }
}
