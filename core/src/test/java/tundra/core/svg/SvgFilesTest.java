package tundra.core.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;

/** Drawings as other programs write them, with the places that the standard gives their parts (SVG 2, sections 5.6 and 8.2). */
class SvgFilesTest {
    private static SvgArt read(String file) throws Exception {
        try (var in = SvgFilesTest.class.getResourceAsStream(file)) {
            return SvgReader.read(file, in.readAllBytes(), new FakeMeasurer(), (n, d) -> {
                throw new IOException("no picture");
            });
        }
    }

    private static List<Frame.Placed> painted(SvgArt art) {
        var board = new Board(art.size(), Values.NONE, art.elements(), List.of(new Timeline("t", Timeline.MAIN, 1_000_000, false, true, Map.of())),
                List.of());
        var frame = new FrameBuilder(board, new FakeMeasurer()).at(0);
        var out = new ArrayList<Frame.Placed>();
        leaves(art.elements(), frame, out);
        return out;
    }

    private static void leaves(List<Element> in, Frame frame, List<Frame.Placed> out) {
        for (Element e : in) {
            if (e.content() instanceof Content.Parent) {
                leaves(e.children(), frame, out);
            } else {
                out.add(frame.find(e.id()));
            }
        }
    }

    private static Element element(SvgArt art, Frame.Placed p) {
        return Tree.find(art.elements(), p.node().id());
    }

    private static void near(Rect is, double x, double y, double w, double h) {
        assertThat(List.of(is.x(), is.y(), is.width(), is.height())).usingElementComparator((a, b) -> Math.abs(a - b) < 0.05 ? 0
                : Double.compare(a, b))
                .isEqualTo(List.of(x, y, w, h));
    }

    @Test
    void aSymbolFillsTheSizeOfItsUse() throws Exception {
        near(painted(read("sym.svg")).getFirst().bounds(), 30, 150, 40, 40);
        // a leaf from y = 2 to 18 of 20, twice as large; a nested drawing of 10 on 50 px
        var two = painted(read("sym2.svg"));
        near(two.get(0).bounds(), 30, 154, 40, 32);
        near(two.get(1).bounds(), 200, 20, 50, 50);
    }

    @Test
    void theWholeArtOfADrawingComesInAndWhatIsLostIsSaid() throws Exception {
        SvgArt art = read("rich.svg");
        var all = painted(art);
        // the first use keeps its square; the second, 60 by 30 of a square of 20, is fitted into its height and centred
        assertThat(all).anySatisfy(p -> near(p.bounds(), 30, 154, 40, 32));
        assertThat(all).anySatisfy(p -> {
            assertThat(p.bounds().centre().distance(new Point(110, 165))).isLessThan(0.1);
            assertThat(element(art, p).rest().get(Properties.FILL)).isEqualTo(Color.parse("#AA2222"));
        });
        Element end = all.stream().map(p -> element(art, p)).filter(e -> e.name().equals("end anchor")).findFirst().orElseThrow();
        assertThat(end.rest().get(Properties.SKEW).x()).as("slanted").isCloseTo(-12, within(6.0));
        assertThat(art.report()).anySatisfy(s -> assertThat(s).contains("Italic"));
        assertThat(art.report()).noneSatisfy(s -> assertThat(s).matches(".*“(\\w+)” is set in \\1.*"));
    }
}
