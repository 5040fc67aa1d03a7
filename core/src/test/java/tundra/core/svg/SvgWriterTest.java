package tundra.core.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.FontSource;
import tundra.core.model.Gradient;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** What is written as SVG comes back the same. */
class SvgWriterTest {
    private static final FontSource FONTS = new FontSource() {
        @Override
        public List<String> families() {
            return List.of("Figtree");
        }

        @Override
        public List<Integer> weights(String family) {
            return List.of(400);
        }

        @Override
        public byte[] file(String family, int weight) {
            return new byte[] {1, 2, 3};
        }

        @Override
        public byte[] licence(String family) {
            return new byte[0];
        }
    };
    private final List<Element> elements = new ArrayList<>();
    private final Asset picture = new Asset(Asset.hash(new byte[] {9, 8, 7}), "p.png", "image/png", 4, 2, 0, new byte[] {9, 8, 7});

    private Element add(String name, Content c, Rect r, Values v) {
        var e = new Element(name, c, v.with(Properties.POSITION, r.centre()).with(Properties.SIZE, new Point(r.width(), r.height())));
        elements.add(e);
        return e;
    }

    private String write() {
        var board = new Board(new Point(300, 200), Values.NONE.with(Properties.BACKGROUND, Color.parse("#0A1638")), elements,
                List.of(new Timeline(Timeline.MAIN, 1_000_000)), List.of());
        var p = new Project("p", "P", 24, List.of(new Scene("s", "S", board)), Map.of(picture.hash(), picture), Map.of());
        return SvgWriter.write(p, new FrameBuilder(board, new FakeMeasurer()).at(0), FONTS);
    }

    private SvgArt back(String svg) throws Exception {
        return SvgReader.read("b.svg", svg.getBytes(StandardCharsets.UTF_8), new FakeMeasurer(), (n, d) -> {
            assertThat(d).isEqualTo(picture.data());
            return picture;
        });
    }

    private static Element leaf(Element e) {
        return e.children().isEmpty() ? e : leaf(e.children().getFirst());
    }

    @Test
    void shapesPaintsAndStrokesComeBack() throws Exception {
        var g = Gradient.radial(List.of(new Gradient.Stop(0, Color.parse("#FFE39A80")), new Gradient.Stop(1, Color.parse("#C8503A"))))
                .withFocus(new Point(0.3, 0.2)).withSpread(Gradient.Spread.REFLECT);
        add("Moon & <co>", new Content.Ellipse(), new Rect(20, 30, 60, 40), Values.NONE.with(Properties.FILL, g).with(Properties.OPACITY, 0.5));
        add("Line", new Content.Path(Outline.polygon(0, 0, 40, 0, 20, 30), new Point(40, 30)), new Rect(100, 50, 40, 30), Values.NONE
                .with(Properties.STROKE, Color.parse("#2E5D73")).with(Properties.STROKE_WIDTH, 3.0).with(Properties.STROKE_ENDS, "round")
                .with(Properties.STROKE_JOINS, "bevel").with(Properties.DASH, 7.0).with(Properties.GAP, 4.0).with(Properties.DASH_OFFSET, 2.0));
        SvgArt art = back(write());
        assertThat(art.size()).isEqualTo(new Point(300, 200));
        assertThat(art.report()).isEmpty();
        assertThat(art.elements()).as("the background and the two").hasSize(3);
        Element moon = art.elements().get(1);
        assertThat(moon.rest().get(Properties.OPACITY)).isEqualTo(0.5);
        var fill = (Gradient) moon.rest().get(Properties.FILL);
        assertThat(fill.stops()).isEqualTo(g.stops());
        assertThat(fill.spread()).isEqualTo(g.spread());
        assertThat(fill.focus().distance(g.focus())).isLessThan(1e-6);
        assertThat(fill.end().distance(g.end())).isLessThan(1e-6);
        assertThat(moon.rest().get(Properties.SIZE).x()).isCloseTo(60, within(0.001));
        Element line = art.elements().get(2);
        assertThat(line.rest().get(Properties.STROKE)).isEqualTo(Color.parse("#2E5D73"));
        assertThat(line.rest().get(Properties.DASH)).isEqualTo(7);
        assertThat(line.rest().get(Properties.DASH_OFFSET)).isEqualTo(2);
        assertThat(line.rest().get(Properties.STROKE_ENDS)).isEqualTo("round");
        assertThat(line.rest().get(Properties.STROKE_JOINS)).isEqualTo("bevel");
    }

    @Test
    void groupsClipsPicturesAndWordsComeBack() throws Exception {
        var inside = new Element("In", new Content.Rectangle(), Values.NONE.with(Properties.POSITION, new Point(30, 20))
                .with(Properties.SIZE, new Point(40, 20))
                .with(Properties.FILL, Color.BLACK));
        elements.add(new Element("Clip", new Content.Group(List.of(inside), new Point(60, 40), Outline.ellipse(new Rect(0, 0, 60, 40))),
                Values.NONE.with(Properties.POSITION, new Point(150, 100)).with(Properties.ROTATION, 90.0)));
        add("Picture", new Content.Picture(picture.hash()), new Rect(10, 10, 40, 20), Values.NONE);
        elements.add(new Element("Words", new Content.Text("a < b\nc", "Figtree", 400, 20, Content.Align.LEFT, 1.2).withSpacing(2),
                Values.NONE.with(Properties.POSITION, new Point(200, 20)).with(Properties.PIVOT, Point.ZERO).with(Properties.FILL, Color.WHITE)));
        String svg = write();
        assertThat(svg).contains("@font-face").contains("data:image/png;base64,CQgH").contains("a &lt; b");
        SvgArt art = back(svg);
        var clip = (Content.Group) art.elements().get(1).content();
        Rect bounds = clip.clip().bounds();
        assertThat(bounds.width()).as("turned upright").isCloseTo(40, within(0.01));
        assertThat(bounds.height()).isCloseTo(60, within(0.01));
        Element p = leaf(art.elements().get(2));
        assertThat(p.rest().get(Properties.POSITION).distance(new Point(30, 20))).isLessThan(0.001);
        assertThat(p.rest().get(Properties.SIZE)).isEqualTo(new Point(40, 20));
        assertThat(art.assets()).containsKey(picture.hash());
        var words = art.elements().get(3).children();
        assertThat(words.stream().map(e -> ((Content.Text) e.content()).text())).containsExactly("a < b", "c");
        assertThat(words.getFirst().rest().get(Properties.LETTER_SPACING)).isEqualTo(2);
    }
}
