package tundra.core.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.edit.Rested;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

class UnseenTest {
    private static final Values SMALL = Values.NONE.with(Properties.SIZE, new Point(10, 10)).with(Properties.POSITION, new Point(20, 20));

    private final Element lamp = new Element("lamp", "Lamp", false, false, SMALL, new Content.Ellipse());
    private final Element box = new Element("box", "Box", false, false, Values.NONE, new Content.Group(List.of(lamp), new Point(40, 40), null));

    private static String why(Timeline t, Element e, String id, long time) {
        var b = new Board(new Point(100, 100), Values.NONE, List.of(e), List.of(t), List.of());
        var builder = new FrameBuilder(b, new FakeMeasurer());
        return Unseen.why(b, builder, builder.at(time), id, Moment.opened(b, time));
    }

    private static Timeline main() {
        return new Timeline("t", Timeline.MAIN, 4_000_000, false, true, Map.of());
    }

    @Test
    void whatIsSeenNeedsNoReason() {
        assertThat(why(main(), box, "lamp", 0)).isNull();
    }

    @Test
    void theReasonNamesTheElementOrTheGroupThatHidesIt() {
        assertThat(why(main(), box.withChildren(List.of(lamp.withHidden(true))), "lamp", 0)).isEqualTo("Lamp is hidden");
        assertThat(why(main(), box.withHidden(true), "lamp", 0)).isEqualTo("its group Box is hidden");
        assertThat(why(main().withShown("box", new Span(1_000_000, 2_500_000)), box, "lamp", 0))
                .isEqualTo("its group Box is seen only from 1 s to 2.5 s");
        assertThat(why(main().withShown("box", new Span(1_000_000, 2_500_000)), box, "lamp", 1_000_000)).isNull();
        var fade = new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(1_000_000, 1.0, Easing.LINEAR)));
        assertThat(why(main().with("lamp", Properties.OPACITY, fade), box, "lamp", 10_000)).isEqualTo("Lamp is faded to 1 % here");
        assertThat(why(main().with("lamp", Properties.OPACITY, fade), box, "lamp", 500_000)).isNull();
    }

    @Test
    void restedBoardsShowEverything() {
        var fade = new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR)));
        var t = main().withShown("box", new Span(1_000_000, 2_500_000)).with("lamp", Properties.OPACITY, fade);
        var b = Rested.board(new Board(new Point(100, 100), Values.NONE, List.of(box), List.of(t), List.of()));
        var builder = new FrameBuilder(b, new FakeMeasurer());
        assertThat(Unseen.why(b, builder, builder.at(0), "lamp", Moment.opened(b, 0))).isNull();
        assertThat(b.timelines()).singleElement().satisfies(x -> assertThat(x.duration()).isEqualTo(4_000_000));
    }
}
