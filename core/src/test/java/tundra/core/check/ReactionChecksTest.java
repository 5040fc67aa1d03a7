package tundra.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Scene;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

class ReactionChecksTest {
    private static Element box(String name, double x, double y, double w, double h) {
        return new Element(name, name, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(w, h))
                .with(Properties.FILL, Color.BLACK), new Content.Rectangle());
    }

    private static Project piece(List<Element> elements, Reaction... reactions) {
        var main = new Timeline("main", Timeline.MAIN, 1_000_000, false, true, Map.of());
        var menu = new Timeline("menu", "Menu", 500_000, false, false, Map.of());
        return new Project("p", "P", 24,
                List.of(new Scene("s", "S", new Board(new Point(400, 300), Values.NONE, elements, List.of(main, menu), List.of(reactions)))),
                Map.of(), Map.of());
    }

    private static Board board(Project p) {
        return p.scenes().getFirst().board();
    }

    private static Reaction when(Event e) {
        return new Reaction("r-" + e.kind().key(), e, List.of(Actions.of(Actions.PLAY_FROM_START, "main")));
    }

    private static List<Finding> found(Project p) {
        return ReactionChecks.of(p, p.scenes().getFirst(), new FakeMeasurer());
    }

    private static List<Check> checks(Project p) {
        return found(p).stream().map(Finding::check).toList();
    }

    @Test
    void whatLiesAboveIsFoundWithItsShareAndBroughtInFront() {
        // the upper box begins at 90 of 50 to 150: it covers 60 of 100 px
        Project p = piece(List.of(box("Lamp", 100, 100, 100, 100), box("Veil", 140, 100, 100, 100).with(Properties.TOUCH, "its whole box")),
                when(Events.tapped("Lamp")));
        var areas = TouchAreas.of(p, board(p), new FakeMeasurer(), Moment.opened(board(p), 0));
        assertThat(areas).hasSize(1);
        assertThat(areas.getFirst().covered().get("Veil")).isCloseTo(0.6, within(0.05));
        Finding f = found(p).getFirst();
        assertThat(f.check()).isEqualTo(Check.COVERED);
        assertThat(f.text()).startsWith("Lamp is covered by Veil: 6");
        Board mended = f.fix().change().apply(board(p));
        assertThat(mended.elements()).extracting(Element::id).containsExactly("Veil", "Lamp");
        assertThat(found(p.mapBoard("s", b -> mended))).isEmpty();
    }

    @Test
    void whatLetsThroughCoversNothingAndAWholeBoxDoes() {
        Element lamp = box("Lamp", 100, 100, 100, 100), veil = box("Veil", 100, 100, 100, 100), clear = veil.with(Properties.FILL, Color.NONE);
        assertThat(found(piece(List.of(lamp, veil.with(Properties.TOUCH, "lets through")), when(Events.tapped("Lamp"))))).isEmpty();
        assertThat(found(piece(List.of(lamp, veil), when(Events.tapped("Lamp"))))).as("nothing happens with it").isEmpty();
        assertThat(checks(piece(List.of(lamp, veil), when(Events.tapped("Lamp")), when(Events.of(Events.OVER, "Veil"))))).contains(Check.COVERED);
        assertThat(checks(piece(List.of(lamp, clear.with(Properties.TOUCH, "its whole box")), when(Events.tapped("Lamp")))))
                .containsExactly(Check.COVERED);
        assertThat(checks(piece(List.of(lamp.withLocked(true), veil.with(Properties.CURSOR, "pointer").withLocked(true)),
                when(Events.tapped("Lamp"))))).as("locked is only for the editor").containsExactly(Check.COVERED);
    }

    @Test
    void whatNeverHappensIsNamed() {
        Element lamp = box("Lamp", 100, 100, 100, 100);
        Project hidden = piece(List.of(lamp.withHidden(true)), when(Events.tapped("Lamp")));
        assertThat(checks(hidden)).containsExactly(Check.DEAD);
        assertThat(found(hidden).getFirst().fix().change().apply(board(hidden)).reactions()).isEmpty();
        assertThat(found(piece(List.of(lamp), when(Events.of(Events.PASSED, "main", 2_000_000L, "forwards")))).getFirst().text())
                .contains("Main ends at 1 s");
        Reaction cue = when(Events.of(Events.PASSED, "menu", 100_000L, "forwards"));
        assertThat(found(piece(List.of(lamp), cue)).getFirst().text()).contains("nothing plays Menu");
        assertThat(found(piece(List.of(lamp), cue, new Reaction("x", Events.tapped("Lamp"), List.of(Actions.of(Actions.PLAY, "menu")))))).isEmpty();
    }

    @Test
    void whatPlaysAnywayAndWhatNobodyCanDrag() {
        Element lamp = box("Lamp", 100, 100, 100, 100), slot = box("Slot", 300, 100, 100, 100);
        Project opened = piece(List.of(lamp), when(Events.of(Events.OPENED)));
        assertThat(found(opened).getFirst().text()).isEqualTo("“play Main from start” does nothing: Main starts by itself when the scene opens.");
        assertThat(found(opened).getFirst().fix().change().apply(board(opened)).reactions()).isEmpty();
        assertThat(checks(piece(List.of(lamp), new Reaction("r", Events.of(Events.OPENED), List.of(Actions.of(Actions.PLAY, "menu")))))).isEmpty();
        assertThat(checks(piece(List.of(lamp), when(Events.tapped("Lamp"))))).as("again on a tap").isEmpty();
        var pair = Dragging.of("d", List.of(new Dragging.Pair("Lamp", List.of("Slot"))));
        assertThat(checks(piece(List.of(slot, lamp)).mapBoard("s", b -> b.withDrags(List.of(pair))))).isEmpty();
        assertThat(found(piece(List.of(slot, lamp.withHidden(true))).mapBoard("s", b -> b.withDrags(List.of(pair)))).getFirst().text())
                .contains("Lamp is hidden");
        assertThat(found(piece(List.of(slot.withHidden(true), lamp)).mapBoard("s", b -> b.withDrags(List.of(pair)))).getFirst().text())
                .contains("no place that it fits");
        Project path = piece(List.of(slot, lamp)).mapBoard("s", b -> b.withDrags(List.of(pair.withMotion(m -> m.withWay(Dragging.Way.PATH)))));
        Finding f = found(path).getFirst();
        assertThat(f.check()).isEqualTo(Check.DEAD);
        assertThat(f.text()).contains("no motion path");
        assertThat(found(path.mapBoard("s", f.fix().change()))).isEmpty();
    }

    @Test
    void fingersKeyboardsAndScreenReaders() {
        assertThat(checks(piece(List.of(box("Lamp", 100, 100, 23, 60)), when(Events.tapped("Lamp"))))).containsExactly(Check.SMALL);
        assertThat(checks(piece(List.of(box("Lamp", 100, 100, 24, 24)), when(Events.tapped("Lamp"))))).isEmpty();
        assertThat(checks(piece(List.of(box("Rectangle 2", 100, 100, 60, 60)), when(Events.tapped("Rectangle 2"))))).containsExactly(Check.NAMELESS);
        Reaction swipe = when(Events.of(Events.SWIPED, "Lamp", "left"));
        assertThat(checks(piece(List.of(box("Lamp", 100, 100, 60, 60)), swipe))).containsExactly(Check.MOUSE_ONLY);
        assertThat(checks(piece(List.of(box("Lamp", 100, 100, 60, 60)), swipe, when(Events.of(Events.KEY_PRESSED, "ArrowLeft"))))).isEmpty();
        Project dragged = piece(List.of(box("Lamp", 100, 100, 60, 12)))
                .mapBoard("s", b -> b.withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("Lamp", List.of()))))));
        assertThat(checks(dragged)).containsExactly(Check.SMALL);
    }
}
