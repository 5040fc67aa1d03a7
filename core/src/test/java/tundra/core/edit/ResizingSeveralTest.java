package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** Several elements dragged by a handle of the box around them: the boxes that are seen against those worked out by hand. */
class ResizingSeveralTest {
    private final List<Element> elements = new ArrayList<>();

    private void box(String id, double x, double y, double w, double h, double turn) {
        elements.add(new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x + w / 2, y + h / 2))
                .with(Properties.SIZE, new Point(w, h))
                .with(Properties.ROTATION, turn), new Content.Rectangle()));
    }

    private Board board() {
        return new Board(new Point(400, 300), Values.NONE, elements, List.of(new Timeline(Timeline.MAIN, 1_000_000)), List.of());
    }

    private static Frame frame(Board b) {
        return new FrameBuilder(b, new FakeMeasurer()).at(0);
    }

    private Board dragged(Point handle, Point by, boolean proportional, boolean fromCentre, boolean keepArea) {
        Board b = board();
        Frame f = frame(b);
        Rect around = null;
        var parts = new ArrayList<ResizingSeveral.Part>();
        for (Element e : elements) {
            around = f.find(e.id()).bounds().union(around);
            parts.add(new ResizingSeveral.Part(e.id(), e.content(), e.rest(), e.rest().get(Properties.SIZE), Affine.IDENTITY));
        }
        return new ResizingSeveral(around, handle, parts).drag(b, by, proportional, fromCentre, keepArea, new ResizingSeveral.Setter() {
            @Override
            public <T> Board set(Board x, String id, Property<T> p, T value) {
                return x.withRest(id, v -> v.with(p, value));
            }
        });
    }

    private static void seen(Board b, String id, double x, double y, double w, double h) {
        Rect r = frame(b).find(id).bounds();
        assertThat(new double[] {r.x(), r.y(), r.width(), r.height()}).as(id).containsExactly(new double[] {x, y, w, h}, within(1e-9));
    }

    @Test
    void aCornerStretchesAllAwayFromTheOppositeOne() {
        box("a", 100, 100, 50, 20, 0);
        box("b", 180, 140, 20, 60, 0);
        // 100 x 100 in all becomes 150 x 80
        Board b = dragged(new Point(1, 1), new Point(50, -20), false, false, false);
        seen(b, "a", 100, 100, 75, 16);
        seen(b, "b", 220, 132, 30, 48);
    }

    @Test
    void aSideLeavesTheOtherDirectionAlone() {
        box("a", 100, 100, 50, 20, 0);
        box("b", 180, 140, 20, 60, 0);
        Board b = dragged(new Point(0, 0.5), new Point(-100, 33), false, false, false);
        seen(b, "a", 0, 100, 100, 20);
        seen(b, "b", 160, 140, 40, 60);
    }

    @Test
    void fromTheCentreBothSidesGiveWay() {
        box("a", 100, 100, 40, 20, 0);
        box("b", 160, 100, 40, 20, 0);
        // 100 wide about 150: 10 on either side make 120
        Board b = dragged(new Point(1, 0.5), new Point(10, 0), false, true, false);
        seen(b, "a", 90, 100, 48, 20);
        seen(b, "b", 162, 100, 48, 20);
    }

    @Test
    void shiftAndTiltedPartsKeepTheRatio() {
        box("a", 100, 100, 50, 20, 0);
        box("b", 180, 140, 20, 60, 0);
        seen(dragged(new Point(1, 1), new Point(50, -20), true, false, false), "a", 100, 100, 75, 30);
        elements.clear();
        box("a", 100, 100, 40, 40, 45);
        box("b", 200, 100, 40, 40, 0);
        Board b = dragged(new Point(1, 0.5), new Point(100, 0), false, false, false);
        Point size = b.find("a").rest().get(Properties.SIZE);
        assertThat(size.x()).as("still a square").isCloseTo(size.y(), within(1e-9));
        assertThat(b.find("a").rest().get(Properties.ROTATION)).isEqualTo(45);
    }

    @Test
    void aQuarterTurnSwapsTheSides() {
        box("a", 100, 120, 60, 20, 90);
        box("b", 180, 100, 20, 60, 0);
        Rect before = frame(board()).find("a").bounds();
        assertThat(before).isEqualTo(new Rect(120, 100, 20, 60));
        Board b = dragged(new Point(1, 0.5), new Point(80, 0), false, false, false);
        seen(b, "a", 120, 100, 40, 60);
        assertThat(b.find("a").rest().get(Properties.SIZE).x()).isCloseTo(60, within(1e-9));
        assertThat(b.find("a").rest().get(Properties.SIZE).y()).isCloseTo(40, within(1e-9));
    }

    @Test
    void areaIsKeptWhenAsked() {
        box("a", 100, 100, 50, 20, 0);
        box("b", 180, 140, 20, 60, 0);
        Board b = dragged(new Point(1, 0.5), new Point(100, 0), false, false, true);
        // twice as wide, half as high, about the middle of the left side
        seen(b, "a", 100, 125, 100, 10);
        seen(b, "b", 260, 145, 40, 30);
    }

    @Test
    void dragsBeyondTheOtherSideNeitherTurnOverNorVanish() {
        box("a", 100, 100, 50, 20, 0);
        box("b", 180, 140, 20, 60, 0);
        Board b = dragged(new Point(1, 1), new Point(-500, -500), false, false, false);
        assertThat(b.find("a").rest().get(Properties.SIZE).x()).isPositive().isLessThan(1);
    }

    @Test
    void wordsAndGroupsAreScaled() {
        elements.add(new Element("t", "t", false, false, Values.NONE.with(Properties.POSITION, new Point(150, 150)),
                new Content.Text("Aurora", "Figtree", 400, 20, Content.Align.LEFT, 1.2)));
        box("b", 300, 100, 20, 60, 0);
        Board b = dragged(new Point(1, 1), new Point(40, 40), true, false, false);
        Point scale = b.find("t").rest().get(Properties.SCALE);
        assertThat(scale.x()).isGreaterThan(1).isCloseTo(scale.y(), within(1e-12));
        assertThat(b.find("t").rest().has(Properties.SIZE)).isFalse();
    }
}
