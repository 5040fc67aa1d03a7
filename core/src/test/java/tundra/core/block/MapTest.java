package tundra.core.block;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.edit.PlacedBlock;
import tundra.core.file.FileProblem;
import tundra.core.file.GeoJson;
import tundra.core.geometry.Point;
import tundra.core.model.Blocks;
import tundra.core.model.Content;
import tundra.core.model.MapData;

/** Maps: GeoJSON as RFC 7946 has it, and Web Mercator against numbers from elsewhere. */
class MapTest {
    private static MapData read(String json) throws FileProblem {
        return GeoJson.read(json.getBytes(StandardCharsets.UTF_8));
    }

    /** The example of RFC 7946, section 1.5. */
    @Test
    void theExampleOfTheStandardIsReadAndWritten() throws Exception {
        MapData m = read("""
                {"type": "FeatureCollection", "features": [
                  {"type": "Feature", "geometry": {"type": "Point", "coordinates": [102.0, 0.5]}, "properties": {"prop0": "value0"}},
                  {"type": "Feature", "geometry": {"type": "LineString", "coordinates": [[102.0, 0.0], [103.0, 1.0], [104.0, 0.0], [105.0, 1.0]]}, "properties": {"prop0": "value0", "prop1": 0.0}},
                  {"type": "Feature", "geometry": {"type": "Polygon", "coordinates": [[[100.0, 0.0], [101.0, 0.0], [101.0, 1.0], [100.0, 1.0], [100.0, 0.0]]]}, "properties": {"prop0": "value0", "prop1": {"this": "that"}}}]}""");
        assertThat(m.features()).extracting(MapData.Feature::form).containsExactly(MapData.Form.POINT, MapData.Form.LINE, MapData.Form.AREA);
        assertThat(m.features().getFirst().at()).isEqualTo(new Point(102, 0.5));
        assertThat(m.features().get(1).parts().getFirst()).hasSize(4);
        assertThat(GeoJson.read(GeoJson.write(m))).isEqualTo(m);
    }

    @Test
    void everyGeometryIsReadWithWhatIsKnownOfIt() throws Exception {
        MapData m = read("""
                {"type": "FeatureCollection", "features": [
                  {"type": "Feature", "properties": {"name": "Piers", "place": "pier"}, "geometry": {"type": "MultiPoint", "coordinates": [[1, 2, 300], [3, 4]]}},
                  {"type": "Feature", "properties": {"highway": "Track"}, "geometry": {"type": "MultiLineString", "coordinates": [[[0, 0], [1, 1]], [[2, 2], [3, 3]]]}},
                  {"type": "Feature", "properties": {"natural": "water"}, "geometry": {"type": "MultiPolygon", "coordinates": [[[[0, 0], [1, 0], [1, 1], [0, 0]]], [[[5, 5], [6, 5], [6, 6], [5, 5]]]]}},
                  {"type": "Feature", "properties": null, "geometry": {"type": "GeometryCollection", "geometries": [{"type": "Point", "coordinates": [9, 9]}]}},
                  {"type": "Feature", "properties": {"name": "nowhere"}, "geometry": null}]}""");
        assertThat(m.features()).extracting(MapData.Feature::kind).containsExactly("pier", "pier", "track", "water", "");
        assertThat(m.features().get(2).parts()).hasSize(2);
        assertThat(m.features().get(3).parts()).hasSize(2);
        assertThat(m.places()).extracting(MapData.Feature::name).containsExactly("Piers", "Piers");
    }

    @Test
    void whatIsNoMapIsRefusedInOneClause() {
        for (String[] x : new String[][] {{"{\"type\": \"FeatureCollection\", \"features\": []}", "no point, line or area"}, {"words", "no GeoJSON"},
                {"{\"type\": \"Circle\", \"coordinates\": [1, 2]}", "no geometry of GeoJSON"},
                {"{\"type\": \"Point\", \"coordinates\": [500, 2]}", "degrees"}, {"{\"type\": \"Polygon\", \"coordinates\": [[[1, 2], [3, 4]]]}",
                "3 points"}, {"[1, 2]", "object"}}) {
            assertThatThrownBy(() -> read(x[0])).as(x[0]).isInstanceOf(FileProblem.class).hasMessageContaining(x[1]);
        }
        var many = new StringBuilder("{\"type\": \"LineString\", \"coordinates\": [[0, 0]");
        for (int i = 0; i < MapData.MOST; i++) {
            many.append(",[").append(i % 90).append(",1]");
        }
        assertThatThrownBy(() -> read(many + "]}")).hasMessageContaining("200000 is the most");
        assertThatThrownBy(() -> GeoJson.read(new byte[(int) GeoJson.MOST + 1])).hasMessageContaining("24 MB");
    }

    /** EPSG:3857 of its own definition: the world's corners, and the circle of latitude at which the square ends. */
    @Test
    void mercatorIsWebMercator() {
        assertThat(Mercator.px(new Point(0, 0), 0)).isEqualTo(new Point(128, 128));
        assertThat(Mercator.px(new Point(-180, 85.0511287798066), 3).y()).isCloseTo(0, within(1e-6));
        assertThat(Mercator.px(new Point(180, -85.0511287798066), 3)).satisfies(p -> {
            assertThat(p.x()).isCloseTo(2048, within(1e-6));
            assertThat(p.y()).isCloseTo(2048, within(1e-6));
        });
        // ln(tan(π/4 + φ/2)) at 60°: 1.3169578969248166
        assertThat(Mercator.px(new Point(0, 60), 8).y()).isCloseTo(32768 * (1 - 1.3169578969248166 / Math.PI), within(1e-6));
        for (double lat = -80; lat <= 80; lat += 16) {
            Point there = new Point(lat * 2, lat), back = Mercator.degrees(Mercator.px(there, 11.5), 11.5);
            assertThat(back.minus(there).length()).isLessThan(1e-9);
        }
    }

    @Test
    void aMapThatIsPlacedShowsAllOfIt() {
        MapData m = new MapData(List.of(new MapData.Feature(MapData.Form.LINE, "road", "",
                List.of(List.of(new Point(21.3, 70.4), new Point(21.4, 70.46))))));
        Content.Block b = PlacedBlock.whole(Blocks.MAP_BLOCK.made().with(Blocks.MAP, m).withBox(new Point(480, 300)));
        for (Point p : m.features().getFirst().parts().getFirst()) {
            Point at = MapView.at(b, p);
            assertThat(at.x()).isBetween(0.0, 480.0);
            assertThat(at.y()).isBetween(0.0, 300.0);
        }
        assertThat(MapView.at(b, new Point(21.4, 70.46)).minus(MapView.at(b, new Point(21.3, 70.4))).length()).as("and is no smaller than need be")
                .isGreaterThan(150);
    }

    @Test
    void captionsAreReadFromWebVtt() {
        String file = "WEBVTT - made up\n\nNOTE nothing\n\n1\n00:01.000 --> 00:02.500 line:0\nThe wind\nrises\n\n01:00:00.000 --> 01:00:01.250\n<b>Snow</b>\n\n00:05.000 --> 00:04.000\nnever\n";
        assertThat(Captions.is(file)).isTrue();
        assertThat(Captions.is("WEBVTTX")).isFalse();
        assertThat(Captions.read(file)).containsExactly(new Captions(1_000_000, 2_500_000, "The wind\nrises"),
                new Captions(3_600_000_000L, 3_601_250_000L, "<b>Snow</b>"));
    }
}
