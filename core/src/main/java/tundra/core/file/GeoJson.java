package tundra.core.file;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tundra.core.geometry.Point;
import tundra.core.model.MapData;

/**
 * Maps as GeoJSON (RFC 7946). All seven geometries are read; those of several parts become one feature each for points, one feature for lines
 * and areas. Of the properties {@code name} and {@code kind} are read, and where there is no kind, what a line or an area is by the first of
 * the words that many map files use. Heights are left out. Features without a geometry are passed over.
 */
public final class GeoJson {
    /** Bytes of a file. */
    public static final long MOST = 24L << 20;
    private static final List<String> KINDS = List.of("kind", "natural", "highway", "waterway", "railway", "building", "place", "landuse", "route",
            "type");
    private static final int NAME = 200;

    private GeoJson() {}

    /**
     * @throws FileProblem with a clause that says what is wrong
     */
    public static MapData read(byte[] file) throws FileProblem {
        if (file.length > MOST) {
            throw new FileProblem("it has " + (file.length >> 20) + " MB, and " + (MOST >> 20) + " MB is the most that a map can have");
        }
        JsonNode root;
        try {
            root = Json.MAPPER.readTree(file);
        } catch (JacksonException e) {
            throw new FileProblem("it is no GeoJSON: it can't be read as JSON", e);
        }
        MapData m = read(new Fields(root, "it"));
        if (m.features().isEmpty()) {
            throw new FileProblem("it holds no point, line or area");
        }
        return m;
    }

    static MapData read(Fields f) throws FileProblem {
        var out = new ArrayList<MapData.Feature>();
        switch (f.text("type")) {
            case "FeatureCollection" -> {
                for (JsonNode n : f.list("features")) {
                    feature(new Fields(n, "a feature of " + f.where()), out);
                }
            }
            case "Feature" -> feature(f, out);
            default -> geometry(f, "", "", out);
        }
        var m = new MapData(out);
        if (m.size() > MapData.MOST) {
            throw new FileProblem("it has " + m.size() + " coordinates, and " + MapData.MOST
                    + " is the most that a map can have; leave out what isn't shown");
        }
        return m;
    }

    private static void feature(Fields f, List<MapData.Feature> out) throws FileProblem {
        if (!f.has("geometry") || f.raw("geometry").isNull()) {
            return;
        }
        String name = "", kind = "";
        if (f.has("properties") && f.raw("properties").isObject()) {
            JsonNode p = f.raw("properties");
            name = p.path("name").asString("");
            name = name.substring(0, Math.min(NAME, name.length()));
            for (String k : KINDS) {
                kind = kind.isEmpty() && p.path(k).isString() ? p.path(k).asString().toLowerCase(Locale.ROOT) : kind;
            }
        }
        geometry(f.object("geometry"), kind.substring(0, Math.min(40, kind.length())), name, out);
    }

    private static void geometry(Fields g, String kind, String name, List<MapData.Feature> out) throws FileProblem {
        String type = g.text("type");
        if (type.equals("GeometryCollection")) {
            for (JsonNode n : g.list("geometries")) {
                geometry(new Fields(n, "a geometry of " + g.where()), kind, name, out);
            }
            return;
        }
        JsonNode c = g.raw("coordinates");
        if (c == null || !c.isArray()) {
            throw g.problem("coordinates", "should be a list");
        }
        var parts = new ArrayList<List<Point>>();
        switch (type) {
            case "Point" -> out.add(new MapData.Feature(MapData.Form.POINT, kind, name, List.of(List.of(point(c, g)))));
            case "MultiPoint" -> {
                for (JsonNode n : c.values()) {
                    out.add(new MapData.Feature(MapData.Form.POINT, kind, name, List.of(List.of(point(n, g)))));
                }
            }
            case "LineString" -> parts.add(line(c, g, 2));
            case "MultiLineString" -> lines(c, g, 2, parts);
            case "Polygon" -> lines(c, g, 3, parts);
            case "MultiPolygon" -> {
                for (JsonNode n : c.values()) {
                    lines(n, g, 3, parts);
                }
            }
            default -> throw g.problem("type", "is “" + type + "”, which is no geometry of GeoJSON");
        }
        if (!parts.isEmpty()) {
            out.add(new MapData.Feature(type.endsWith("Polygon") ? MapData.Form.AREA : MapData.Form.LINE, kind, name, parts));
        }
    }

    private static void lines(JsonNode c, Fields g, int least, List<List<Point>> out) throws FileProblem {
        for (JsonNode n : c.values()) {
            out.add(line(n, g, least));
        }
    }

    private static List<Point> line(JsonNode c, Fields g, int least) throws FileProblem {
        var out = new ArrayList<Point>();
        for (JsonNode n : c.values()) {
            out.add(point(n, g));
        }
        if (out.size() < least) {
            throw g.problem("coordinates", "should have " + least + " points at least");
        }
        return out;
    }

    private static Point point(JsonNode n, Fields g) throws FileProblem {
        if (!n.isArray() || n.size() < 2 || !n.get(0).isNumber() || !n.get(1).isNumber() || !(Math.abs(n.get(0).doubleValue()) <= 180)
                || !(Math.abs(n.get(1).doubleValue()) <= 90)) {
            throw g.problem("coordinates", "should be degrees, a longitude from -180 to 180 and a latitude from -90 to 90");
        }
        return new Point(n.get(0).doubleValue(), n.get(1).doubleValue());
    }

    /** A map as a file of its own. */
    public static byte[] write(MapData m) {
        return Json.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsBytes(node(m));
    }

    static ObjectNode node(MapData m) {
        ObjectNode root = Json.MAPPER.createObjectNode().put("type", "FeatureCollection");
        ArrayNode features = root.putArray("features");
        for (MapData.Feature f : m.features()) {
            ObjectNode o = features.addObject().put("type", "Feature");
            o.putObject("properties").put("name", f.name()).put("kind", f.kind());
            ObjectNode g = o.putObject("geometry");
            switch (f.form()) {
                case POINT -> g.put("type", "Point").set("coordinates", ProjectWriter.pair(f.at()));
                case LINE -> parts(g.put("type", "MultiLineString").putArray("coordinates"), f);
                case AREA -> parts(g.put("type", "Polygon").putArray("coordinates"), f);
            }
        }
        return root;
    }

    private static void parts(ArrayNode out, MapData.Feature f) {
        for (List<Point> part : f.parts()) {
            ArrayNode line = out.addArray();
            part.forEach(p -> line.add(ProjectWriter.pair(p)));
        }
    }
}
