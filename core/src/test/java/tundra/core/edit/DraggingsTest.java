package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.file.ProjectFile;
import tundra.core.file.SchemaCheck;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.core.model.Setting;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

class DraggingsTest {
    private static Board board() {
        var lamp = new Element("lamp", "Lamp", false, false, Values.NONE, new Content.Rectangle());
        var main = new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of());
        // half of the way in a third of the time
        var ride = new Timeline("ride", "Ride", 2_000_000, false, false, Map.of()).with("lamp", Properties.POSITION,
                new Track<>(List.of(new Key<>(200_000, new Point(0, 0), Easing.LINEAR),
                new Key<>(600_000, new Point(60, 80), Easing.LINEAR), new Key<>(1_400_000, new Point(120, 160), Easing.LINEAR))));
        return new Board(new Point(400, 300), Values.NONE, List.of(lamp, lamp.withId("vane")), List.of(main, ride), List.of());
    }

    @Test
    void aMotionPathIsFollowedFromItsFirstKeyToItsLast() {
        Board b = board();
        assertThat(Draggings.pathOf(b, "lamp").id()).isEqualTo("ride");
        assertThat(Draggings.pathOf(b, "vane")).isNull();
        assertThat(Draggings.along(b, "vane", 100)).isEmpty();
        var along = Draggings.along(b, "lamp", 100);
        assertThat(along).hasSize(31);
        assertThat(along.getFirst().time()).isEqualTo(200_000);
        assertThat(along.getLast().time()).isEqualTo(1_400_000);
        for (var a : along) {
            double share = a.time() <= 600_000 ? (a.time() - 200_000) / 800_000.0 : 0.5 + (a.time() - 600_000) / 1_600_000.0;
            assertThat(a.at().distance(new Point(120 * share, 160 * share))).as("at " + a.time()).isCloseTo(0, within(1e-6));
        }
        assertThat(Draggings.along(b, "lamp", 12)).hasSize(13);
    }

    @Test
    void howPartsAreDraggedIsKeptInTheFile() throws Exception {
        var plain = Dragging.of("plain", List.of(new Dragging.Pair("vane", List.of())));
        var full = Dragging.of("full", List.of(new Dragging.Pair("lamp", List.of("vane")))).withMotion(m -> m.withWay(Dragging.Way.PATH)
                .withArea("vane").withGlides(true))
                .withFit(f -> f.withOverlap(Dragging.Overlap.AREA, 0.75).withMany(true).withSnaps(false).withMissed(Dragging.Missed.STAYS)
                .withBack(120_000).withEasing(EasingText.parse("bounce-out")))
                .withCarried(c -> c.withCursor(Dragging.Cursor.MOVE).withOpacity(0.4).withTilt(-5).with(Setting.of(Properties.FILL, Color.BLACK))
                .with(Setting.of(Properties.SCALE, new Point(2, 2))));
        Project p = new Project("p", "P", 24, List.of(new Scene("s", "S", board().withDrags(List.of(plain, full)))), Map.of(), Map.of());
        assertThat(ProjectFile.read(ProjectFile.bytes(p)).scenes()).isEqualTo(p.scenes());
        assertThat(SchemaCheck.problems(p)).isEmpty();
    }

    @Test
    void eachPropertyIsOneThingWhileCarried() {
        var c = Dragging.of("d", List.of(new Dragging.Pair("lamp", List.of()))).carried().with(Setting.of(Properties.ROTATION, 5.0))
                .with(Setting.of(Properties.FILL, Color.BLACK)).with(Setting.of(Properties.ROTATION, 9.0));
        assertThat(c.look()).containsExactly(Setting.of(Properties.ROTATION, 9.0), Setting.of(Properties.FILL, Color.BLACK));
        assertThat(c.without(Properties.ROTATION).look()).containsExactly(Setting.of(Properties.FILL, Color.BLACK));
    }
}
