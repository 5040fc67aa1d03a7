package tundra.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** What a step of undo keeps of a large piece, and that all of them come back. */
class HistoryCostTest {
    private static final int N = 10_000;

    private static Project piece() {
        var elements = new ArrayList<Element>();
        Map<String, Map<Property<?>, Track<?>>> tracks = new HashMap<>();
        for (int i = 0; i < N; i++) {
            elements.add(new Element("e" + i, "Box " + i, false, false, Values.NONE.with(Properties.POSITION, new Point(i, 0)),
                    new Content.Rectangle()));
            tracks.put("e" + i, Map.of(Properties.OPACITY, new Track<>(List.of(new Key<>(0, 1.0, Easing.LINEAR)))));
        }
        Project p = Project.empty("Large", new Point(100, 100), 24);
        return p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(elements).mapTimeline(b.main().id(), t -> t.withAll(tracks)));
    }

    private static long used() throws Exception {
        for (int i = 0; i < 4; i++) {
            System.gc();
        }
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }

    private static Project changed(Project p, int i) {
        return p.mapBoard(p.scenes().getFirst().id(), b -> i % 2 == 0
                ? b.mapElement("e" + i * 7 % N, e -> e.with(Properties.ROTATION, (double) i))
                : b.mapTimeline(b.main().id(), t -> t.with("e" + i * 7 % N, Properties.OPACITY,
                new Track<>(List.of(new Key<>(0, 0.5, Easing.LINEAR))))));
    }

    @Test
    void aStepKeepsLittleOfALargePiece() throws Exception {
        var history = new History(piece());
        for (int i = 0; i < 300; i++) {
            step(history, i);
        }
        long before = used();
        for (int i = 300; i < 2300; i++) {
            step(history, i);
        }
        double each = (used() - before) / 2000.0;
        System.out.printf("A step of history of %d elements keeps %.0f bytes%n", N, each);
        assertThat(each).isLessThan(2048);
        for (int i = 2299; i >= 0; i--) {
            Board b = history.project().scenes().getFirst().board();
            String id = "e" + i * 7 % N;
            if (i % 2 == 0) {
                assertThat(b.find(id).rest().get(Properties.ROTATION)).isEqualTo(i);
                assertThat(b.elements().get(i * 7 % N).rest().get(Properties.ROTATION)).isEqualTo(i);
            } else {
                assertThat(b.main().track(id, Properties.OPACITY).keys().getFirst().value()).isEqualTo(0.5);
            }
            history.undo();
        }
        assertThat(history.project().scenes().getFirst().board()).isEqualTo(piece().scenes().getFirst().board()
                .withTimelines(history.project().scenes().getFirst().board().timelines()));
    }

    /** Every version is looked at, as the window does. */
    private static void step(History history, int i) {
        history.add("Step", changed(history.project(), i), null);
        Board b = history.project().scenes().getFirst().board();
        assertThat(b.elements().getLast()).isNotNull();
        for (int k = 0; k < 10; k++) {
            assertThat(b.find("e" + k)).isNotNull();
        }
    }
}
