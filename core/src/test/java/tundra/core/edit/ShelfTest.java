package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Color;
import tundra.core.model.ColorsUsed;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Gradient;
import tundra.core.model.Ids;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;

class ShelfTest {
    private static Asset picture(String name, int width) {
        return Asset.picture(name, "image/png", width, 20, name.getBytes());
    }

    private static Project project(Element... elements) {
        Project p = Project.empty("p", new Point(100, 100), 24);
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(elements)));
    }

    @Test
    void numberedPicturesOfOneSizeAreASeriesInTheOrderOfTheirNumbers() {
        var assets = List.of(picture("hare_10.png", 30), picture("hare_2.png", 30), picture("hare_1.png", 30), picture("hare_3.png", 31),
                picture("night.png", 30),
                picture("sled 1.png", 30), picture("sled 2.png", 30));
        var series = Shelf.series(assets);
        assertThat(series).containsOnlyKeys("hare");
        assertThat(series.get("hare")).extracting(Asset::title).as("10 after 2, the odd size left out").containsExactly("hare_1", "hare_2",
                "hare_10");
    }

    @Test
    void whatAnythingNeedsIsUsed() {
        Asset snow = picture("snow.png", 8), spare = picture("spare.png", 8);
        Asset letters = Asset.font("Polar.ttf", "font/ttf", new byte[] {1});
        Asset wind = Asset.sound("wind.wav", "audio/wav", 1_000_000, new byte[] {2});
        var shown = new Element("Snow", new Content.Picture(snow.hash()), Values.NONE);
        var words = new Element("Words", new Content.Text("Hi", "Polar", 400, 20, Content.Align.LEFT, 1.2), Values.NONE);
        var group = new Element("Group", new Content.Group(List.of(shown), new Point(10, 10)), Values.NONE);
        Project p = project(group, words);
        String main = p.scenes().getFirst().board().main().id();
        Project sounding = p.mapBoard(p.scenes().getFirst().id(),
                b -> b.mapTimeline(main, t -> t.withSounds(List.of(new PlacedSound(Ids.next(), wind.hash(), 0, 1)))));
        assertThat(Shelf.used(p, snow, null)).as("also within a group").isTrue();
        assertThat(Shelf.used(p, spare, null)).isFalse();
        assertThat(Shelf.used(p, letters, "Polar")).isTrue();
        assertThat(Shelf.used(p, letters, "Other")).isFalse();
        assertThat(Shelf.used(p, wind, null)).isFalse();
        assertThat(Shelf.used(sounding, wind, null)).isTrue();
    }

    @Test
    void takenOffTheShelfOneIsGoneAndTheRestKeepTheirOrder() {
        Asset a = picture("a.png", 8), b = picture("b.png", 8), c = picture("c.png", 8);
        Project p = project().withAsset(a).withAsset(b).withAsset(c);
        assertThat(Shelf.without(p, b.hash()).assets().values()).containsExactly(a, c);
    }

    @Test
    void theColoursOfAPieceComeMostUsedFirst() {
        Color snow = Color.parse("#F3F7FA"), night = Color.parse("#16365A"), lamp = Color.parse("#FF6B3D");
        var faint = new Element("Faint", new Content.Rectangle(), Values.NONE.with(Properties.FILL, snow.withAlpha(40)));
        var solid = new Element("Solid", new Content.Ellipse(), Values.NONE.with(Properties.FILL, snow).with(Properties.STROKE, night));
        var glow = new Element("Glow", new Content.Ellipse(), Values.NONE.with(Properties.FILL,
                Gradient.radial(List.of(new Gradient.Stop(0, lamp), new Gradient.Stop(0.5, snow), new Gradient.Stop(1, Color.NONE)))));
        assertThat(ColorsUsed.of(project(faint, solid, glow), 10)).as("whatever its alpha; what is not seen does not count")
                .startsWith(snow).contains(night, lamp).doesNotContain(Color.NONE);
        assertThat(ColorsUsed.of(project(faint, solid, glow), 1)).containsExactly(snow);
    }
}
