package tundra.samples;

import java.util.ArrayList;
import java.util.List;
import tundra.core.geometry.Point;
import tundra.core.model.MapData;

/** The made-up surroundings of Fellmark Station: a sound, two lakes, the road, and the way on foot from the railway halt. */
final class VisitMap {
    /** Where the map begins, in degrees, and how many of its px a degree is wide and high. */
    private static final Point CORNER = new Point(21.30, 70.46);
    private static final double WIDE = 6000, HIGH = 17_900;
    /** Between halt and station, in degrees east and north. */
    static final Point MIDDLE = new Point(21.3417, 70.4520);
    static final String HALT = "Railway halt", STATION = "Fellmark Station", PIER = "Old pier", HALL = "Ski hall";

    private VisitMap() {}

    private static List<Point> way(double... xy) {
        var out = new ArrayList<Point>();
        for (int i = 0; i + 1 < xy.length; i += 2) {
            out.add(new Point(CORNER.x() + xy[i] / WIDE, CORNER.y() - xy[i + 1] / HIGH));
        }
        return out;
    }

    private static MapData.Feature area(String kind, String name, double... xy) {
        List<Point> ring = way(xy);
        ring.add(ring.getFirst());
        return new MapData.Feature(MapData.Form.AREA, kind, name, List.of(ring));
    }

    private static MapData.Feature line(String kind, double... xy) {
        return new MapData.Feature(MapData.Form.LINE, kind, "", List.of(way(xy)));
    }

    private static MapData.Feature place(String name, double x, double y) {
        return new MapData.Feature(MapData.Form.POINT, "place", name, List.of(way(x, y)));
    }

    static MapData data() {
        return new MapData(List.of(
                area("water", "Fellmark Sound", -900, 260, -300, 190, -120, 226, 0, 210, 60, 196, 128, 214, 176, 262, 250, 276, 330, 258, 420, 282,
                500, 270, 640, 292, 900, 250, 1400, 280, 1400, 900, -900, 900),
                area("water", "Upper Tarn", 92, 58, 128, 44, 164, 56, 168, 84, 130, 98, 96, 86),
                area("water", "Lower Tarn", 236, 118, 270, 110, 286, 132, 262, 152, 238, 144),
                area("ground", "Fell", 286, 16, 372, 4, 452, 26, 470, 92, 410, 120, 330, 104, 288, 62),
                area("building", "Station house", 366, 66, 384, 62, 388, 76, 370, 80), area("building", "Observatory", 396, 74, 408, 72, 410, 84,
                398, 86), area("building", "Ski hall", 214, 196, 232, 192, 236, 206, 218, 210),
                line("railway", -900, 60, -300, 132, -10, 150, 60, 160, 120, 184, 190, 232, 230, 236, 300, 226, 510, 206, 800, 216, 1400, 150),
                line("road", 60, 160, 90, 130, 180, 118, 224, 170, 250, 190, 318, 176, 360, 120, 376, 84), line("road", 224, 170, 222, 194),
                line("path", 130, 98, 150, 118), line("path", 318, 176, 350, 256),
                line("route", 84, 168, 104, 138, 180, 126, 226, 178, 252, 196, 322, 182, 364, 124, 380, 86),
                place(HALT, 84, 168), place(HALL, 226, 200), place(PIER, 350, 256), place(STATION, 380, 82)));
    }
}
