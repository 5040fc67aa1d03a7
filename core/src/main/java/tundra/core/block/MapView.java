package tundra.core.block;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import tundra.core.geometry.Contour;
import tundra.core.geometry.Node;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Blocks;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.MapData;
import tundra.core.model.Slot;

/** What is painted of a map: its outlines in the block's box, from back to front, as canvas and page show it when it is opened. */
public final class MapView {
    private static final Set<String> WATER = Set.of("water", "wetland", "bay", "river", "lake", "sea", "coastline", "stream", "canal", "riverbank",
            "reservoir");
    private static final Set<String> ROUTES = Set.of("route", "way", "walk", "tour");
    private static final Set<String> BUILDINGS = Set.of("building", "house", "hut", "yes", "hall");
    /** Widths of lines in px. */
    private static final double ROAD = 3, PATH = 1.5, ROUTE = 4, RIVER = 3;
    public static final double PIN = 6, PIN_LINE = 2;
    /** Of what lies over a map, in px. */
    public static final double MARGIN = 10, BUTTON = 32, CORNERS = 6;
    public static final String SEARCH = "Search places";

    /**
     * @param outline in the box
     * @param fill null for none
     * @param stroke null for none
     * @param dash of its stroke; 0 for none
     */
    public record Shape(Outline outline, Color fill, Color stroke, double width, double dash) {}

    /** A point with its name, in the box. */
    public record Pin(String name, Point at, Point degrees) {}

    private MapView() {}

    /** From a place in degrees to the box of a block. */
    public static Point at(Content.Block map, Point degrees) {
        double zoom = map.number(Blocks.ZOOM);
        Point middle = Mercator.px(new Point(map.number(Blocks.LONGITUDE), map.number(Blocks.LATITUDE)), zoom);
        return Mercator.px(degrees, zoom).minus(middle).plus(map.box().times(0.5));
    }

    /** Lines and areas, the areas first. */
    public static List<Shape> shapes(Content.Block map) {
        var out = new ArrayList<Shape>();
        var data = (MapData) map.get(Blocks.MAP);
        for (MapData.Form form : List.of(MapData.Form.AREA, MapData.Form.LINE)) {
            data.features().stream().filter(f -> f.form() == form).forEach(f -> out.add(shape(map, f)));
        }
        return out;
    }

    private static Shape shape(Content.Block map, MapData.Feature f) {
        boolean area = f.form() == MapData.Form.AREA;
        var contours = f.parts().stream().map(part -> contour(map, part, area)).toList();
        var outline = new Outline(contours);
        Color water = color(map, Blocks.WATER), roads = color(map, Blocks.ROADS);
        if (area) {
            Color fill = WATER.contains(f.kind()) ? water : BUILDINGS.contains(f.kind()) ? roads : Color.parse(map.text(Blocks.LAND))
                    .lerp(roads, 0.18);
            return new Shape(outline, fill, null, 0, 0);
        }
        return ROUTES.contains(f.kind()) ? new Shape(outline, null, color(map, Blocks.ROUTE), ROUTE, 0)
                : WATER.contains(f.kind()) ? new Shape(outline, null, water, RIVER, 0)
                : Set.of("path", "footway", "track", "ski", "rail", "railway").contains(f.kind()) ? new Shape(outline, null, roads, PATH, 5)
                : new Shape(outline, null, roads, ROAD, 0);
    }

    private static Contour contour(Content.Block map, List<Point> part, boolean closed) {
        var nodes = new ArrayList<Node>(part.size());
        int n = closed && part.size() > 1 && part.getFirst().equals(part.getLast()) ? part.size() - 1 : part.size();
        for (int i = 0; i < n; i++) {
            Point p = at(map, part.get(i));
            nodes.add(Node.corner(p.x(), p.y()));
        }
        return new Contour(nodes, closed);
    }

    public static List<Pin> pins(Content.Block map) {
        return ((MapData) map.get(Blocks.MAP)).features().stream().filter(f -> f.form() == MapData.Form.POINT)
                .map(f -> new Pin(f.name(), at(map, f.at()), f.at())).toList();
    }

    public static Color color(Content.Block b, Slot s) {
        return Color.parse(b.text(s));
    }

    /** The middle and zoom at which all of a map is seen in a box of a size, with a margin; zoom in steps of a half. */
    public static Point[] whole(MapData data, Point box) {
        var all = data.features().stream().flatMap(f -> f.parts().stream()).flatMap(List::stream).map(p -> Mercator.px(p, 0)).toList();
        double left = all.stream().mapToDouble(Point::x).min().orElse(128), right = all.stream().mapToDouble(Point::x).max().orElse(128);
        double top = all.stream().mapToDouble(Point::y).min().orElse(128), bottom = all.stream().mapToDouble(Point::y).max().orElse(128);
        double room = Math.min(0.9 * box.x() / Math.max(1e-6, right - left), 0.9 * box.y() / Math.max(1e-6, bottom - top));
        double zoom = Math.max(0, Math.min(22, Math.floor(2 * Math.log(room) / Math.log(2)) / 2));
        return new Point[] {Mercator.degrees(new Point((left + right) / 2, (top + bottom) / 2), 0), new Point(zoom, zoom)};
    }

    /** The button that zooms in, or the one below it. */
    public static Rect zoomButton(Content.Block map, boolean in) {
        return new Rect(map.box().x() - MARGIN - BUTTON, MARGIN + (in ? 0 : BUTTON + 4), BUTTON, BUTTON);
    }

    /** Plus or minus, in a button. */
    public static Outline sign(boolean in) {
        double m = BUTTON / 2, k = 6;
        Contour level = new Contour(List.of(Node.corner(m - k, m), Node.corner(m + k, m)), false),
                upright = new Contour(List.of(Node.corner(m, m - k), Node.corner(m, m + k)), false);
        return new Outline(in ? List.of(level, upright) : List.of(level));
    }

    public static Rect searchField(Content.Block map) {
        return new Rect(MARGIN, MARGIN, Math.max(1, Math.min(240, map.box().x() - 2 * MARGIN - (map.is(Blocks.ZOOMS) ? BUTTON + MARGIN : 0))),
                BUTTON);
    }
}
