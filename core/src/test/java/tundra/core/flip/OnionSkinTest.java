package tundra.core.flip;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.FrameNode;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Drawing;
import tundra.core.model.Element;
import tundra.core.model.Flipbook;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** The drawings around the one that is seen, wherever their flipbook stands. */
class OnionSkinTest {
    private static Element ink(String id) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(20, 20)).with(Properties.SIZE, new Point(20, 20))
                .with(Properties.FILL, Color.BLACK), new Content.Rectangle());
    }

    private static Element drawing(int n) {
        return new Element("d" + n, "d" + n, false, false, Values.NONE.with(Properties.POSITION, new Point(30, 30)),
                new Content.Group(List.of(ink("ink" + n)), new Point(60, 60)));
    }

    private static int nodes(FrameNode n) {
        return 1 + n.children().stream().mapToInt(OnionSkinTest::nodes).sum();
    }

    private static int nodes(Frame f) {
        return f.nodes().stream().mapToInt(OnionSkinTest::nodes).sum();
    }

    @Test
    void itIsSeenAlsoWhereAGalleryHoldsTheFlipbook() {
        var book = new Element("book", "book", false, false, Values.NONE.with(Properties.POSITION, new Point(40, 40)),
                new Flipbook(List.of(new Drawing(drawing(1), 0, 1), new Drawing(drawing(2), 1, 1), new Drawing(drawing(3), 2, 1)), new Point(60, 60),
                10, Flipbook.Ending.LOOP));
        var gallery = new Element("g", "g", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 100)), Blocks.STRIP.made())
                .withChildren(List.of(ink("other"), book));
        for (Element outer : List.of(book, gallery)) {
            var board = new Board(new Point(400, 300), Values.NONE, List.of(outer),
                    List.of(new Timeline("m", Timeline.MAIN, 1_000_000, false, true, Map.of())), List.of());
            var builder = new FrameBuilder(board, new FakeMeasurer());
            Moment m = Moment.main(board, 100_000);
            Frame plain = builder.at(m), with = OnionSkin.STANDARD.withRange(1, 1).over(plain, builder, "book", m, new OnionLayers());
            // the drawing before and the one after, each a group with its ink
            assertThat(nodes(with) - nodes(plain)).as(outer.id()).isEqualTo(4);
        }
    }
}
