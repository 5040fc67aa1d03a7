package tundra.core.model;

import java.util.List;
import java.util.Objects;
import tundra.core.geometry.Point;

/**
 * What a map shows: features in the order in which they are painted. Coordinates are degrees, the longitude (east) as x and the latitude
 * (north) as y, as in GeoJSON (RFC 7946).
 */
public record MapData(List<Feature> features) {
    public static final MapData EMPTY = new MapData(List.of());
    /** Coordinates of all features together, at most. */
    public static final int MOST = 200_000;

    public enum Form { POINT, LINE, AREA }

    /**
     * @param kind what it is, such as water, land, road, route, building, place; decides how it is painted
     * @param name for people; empty for none
     * @param parts of a point one with its place; the lines; the rings of an area, filled by the even-odd rule
     */
    public record Feature(Form form, String kind, String name, List<List<Point>> parts) {
        public Feature {
            parts = parts.stream().map(List::copyOf).toList();
        }

        public Point at() {
            return parts.getFirst().getFirst();
        }
    }

    public MapData {
        features = List.copyOf(features);
    }

    public int size() {
        return features.stream().flatMap(f -> f.parts().stream()).mapToInt(List::size).sum();
    }

    /** Its points with names, which can be looked for and gone to. */
    public List<Feature> places() {
        return features.stream().filter(f -> f.form() == Form.POINT && !f.name().isEmpty()).toList();
    }

    /** The place of a name; null when there is none. */
    public Feature place(String name) {
        return places().stream().filter(f -> Objects.equals(f.name(), name)).findFirst().orElse(null);
    }
}
