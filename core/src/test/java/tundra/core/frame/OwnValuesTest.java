package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.edit.EditScope;
import tundra.core.edit.PropertyEdit;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Sizes of texts and groups, shown and overflow: at rest part of what an element is, and keyed like everything else. */
class OwnValuesTest {
    private static final TextMeasurer MEASURE = new FakeMeasurer();
    private static final Element TEXT = new Element("words", "Words", false, false, Values.NONE.with(Properties.FILL, Color.parse("#000000")),
            new Content.Text("aa bb", "F", 400, 10, Content.Align.LEFT, 1.5));
    private static final Element LEAF = new Element("leaf", "Leaf", false, false, Values.NONE.with(Properties.POSITION, new Point(50, 50))
            .with(Properties.SIZE, new Point(100, 100)).with(Properties.FILL, Color.parse("#FF0000")), new Content.Rectangle());
    private static final Element GROUP = new Element("group", "Group", false, false, Values.NONE.with(Properties.PIVOT, Point.ZERO)
            .with(Properties.OVERFLOW, "clipped"), new Content.Group(List.of(LEAF), new Point(40, 30)));

    private static <T> Board board(Element e, Property<T> p, T from, T to) {
        var t = new Timeline(Timeline.MAIN, 1_000_000)
                .with(e.id(), p, new Track<>(List.of(new Key<>(0, from, Easing.LINEAR), new Key<>(1_000_000, to, Easing.LINEAR))));
        return new Board(new Point(200, 200), Values.NONE, List.of(e), List.of(t), List.of());
    }

    private static FrameNode node(Board b, long t) {
        return new FrameBuilder(b, MEASURE).at(t).nodes().getFirst();
    }

    @Test
    void whatATextIsAtRestAreItsValues() {
        assertThat(TEXT.rest().get(Properties.FONT_SIZE)).isEqualTo(10.0);
        assertThat(TEXT.rest().get(Properties.LINE_HEIGHT)).isEqualTo(1.5);
        Element larger = TEXT.with(Properties.FONT_SIZE, 20.0).with(Properties.TEXT_ALIGN, "right").with(Properties.FONT_WEIGHT, 700.0);
        var t = (Content.Text) larger.content();
        assertThat(t.size()).isEqualTo(20);
        assertThat(t.align()).isEqualTo(Content.Align.RIGHT);
        assertThat(t.weight()).isEqualTo(700);
        assertThat(larger.withContent(t.withSize(7)).rest().get(Properties.FONT_SIZE)).isEqualTo(7.0);
        assertThat(GROUP.rest().get(Properties.SIZE)).isEqualTo(new Point(40, 30));
        assertThat(((Content.Group) GROUP.with(Properties.SIZE, new Point(5, 6)).content()).box()).isEqualTo(new Point(5, 6));
    }

    @Test
    void aKeyedTextSizeMovesItsLines() {
        Board b = board(TEXT, Properties.FONT_SIZE, 10.0, 30.0);
        FrameNode half = node(b, 500_000);
        double wide = MEASURE.width("F", 400, 20, "aa bb", true);
        assertThat(half.box().x()).isCloseTo(wide, within(1e-9));
        assertThat(half.box().y()).as("one line of 20 px × 1.5").isCloseTo(30, within(1e-9));
    }

    @Test
    void linesKeepTheirBreaksWhileTheTextGrowsButNotWhileItsWidthDoes() {
        double one = MEASURE.width("F", 400, 10, "aa bb", true);
        Element wrapped = TEXT.with(Properties.WRAP, one + 1);
        assertThat(lines(node(board(wrapped, Properties.FONT_SIZE, 10.0, 40.0), 1_000_000))).as("as at rest").isEqualTo(1);
        assertThat(lines(node(board(wrapped, Properties.WRAP, one + 1, one - 1), 1_000_000))).isEqualTo(2);
    }

    private static int lines(FrameNode n) {
        return ((Mark.Glyphs) n.marks().getFirst()).layout().lines().size();
    }

    @Test
    void aWeightHoldsUntilTheNextKey() {
        Board b = board(TEXT, Properties.FONT_WEIGHT, 400.0, 700.0);
        assertThat(new FrameBuilder(b, MEASURE).valueAt("words", Properties.FONT_WEIGHT, 999_999)).isEqualTo(400.0);
        assertThat(new FrameBuilder(b, MEASURE).valueAt("words", Properties.FONT_WEIGHT, 1_000_000)).isEqualTo(700.0);
    }

    @Test
    void aGroupWhoseSizeIsKeyedClipsAndDoesNotStretch() {
        Board b = board(GROUP, Properties.SIZE, new Point(40, 30), new Point(60, 90));
        FrameNode half = node(b, 500_000);
        assertThat(half.box()).isEqualTo(new Point(50, 60));
        assertThat(half.reach()).as("the leaf of 100 × 100, cut").isEqualTo(new Rect(0, 0, 50, 60));
        assertThat(half.children().getFirst().box()).isEqualTo(new Point(100, 100));
        Frame f = new FrameBuilder(b, MEASURE).at(500_000);
        assertThat(HitTest.under(f, new Point(45, 55), 0)).isNotEmpty();
        assertThat(HitTest.under(f, new Point(55, 55), 0)).as("outside of its size").isEmpty();
        assertThat(node(board(GROUP.with(Properties.OVERFLOW, "shown"), Properties.SIZE, new Point(40, 30), new Point(60, 90)), 0).reach())
                .isEqualTo(new Rect(0, 0, 100, 100));
    }

    @Test
    void theRestingSizeOfAGroupLeavesWhatItHoldsWhereItIs() {
        Element centred = GROUP.with(Properties.PIVOT, new Point(0.5, 0.5)).with(Properties.POSITION, new Point(100, 100));
        Board b = new Board(new Point(200, 200), Values.NONE, List.of(centred), List.of(new Timeline(Timeline.MAIN, 1_000_000)), List.of());
        Board wider = new PropertyEdit(b.main().id(), 0, EditScope.REST).set(b, "group", Properties.SIZE, new Point(80, 30));
        assertThat(new FrameBuilder(wider, MEASURE).at(0).find("leaf").toCanvas()).isEqualTo(new FrameBuilder(b, MEASURE).at(0).find("leaf")
                .toCanvas());
        assertThat(new FrameBuilder(wider, MEASURE).at(0).find("group").node().box()).isEqualTo(new Point(80, 30));
    }

    @Test
    void whatIsNotShownIsNotThere() {
        Board b = board(LEAF, Properties.SHOWN, "yes", "no");
        assertThat(new FrameBuilder(b, MEASURE).at(999_999).nodes()).hasSize(1);
        Frame gone = new FrameBuilder(b, MEASURE).at(1_000_000);
        assertThat(gone.nodes()).isEmpty();
        assertThat(Unseen.why(b, new FrameBuilder(b, MEASURE), gone, "leaf", Moment.opened(b, 1_000_000))).isEqualTo("Leaf is not shown here");
        assertThat(new FrameBuilder(b.withRest("leaf", v -> v.with(Properties.SHOWN, "no")), MEASURE).at(0).nodes()).as("keys say yes").hasSize(1);
    }
}
