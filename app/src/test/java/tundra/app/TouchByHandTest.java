package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
import tundra.app.tool.ToolKind;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Dragging;
import tundra.core.model.Element;
import tundra.core.model.Events;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Slot;
import tundra.core.model.Timeline;
import tundra.core.model.Values;

/** On the Interact desk: what is touched is drawn, picked and moved on the canvas, also where nothing of it is seen. */
class TouchByHandTest extends InWindow {
    private static Element box(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(80, 60))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    @BeforeEach
    void open() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of());
        animate(main, box("Lamp", 120, 100), box("Vane", 480, 100), box("Ghost", 300, 300).withHidden(true), box("Mist", 120, 300)
                .with(Properties.OPACITY, 0.0));
        RealWindow.fx(() -> {
            t.studio.select(List.of());
            t.studio.setDesk(Desk.INTERACT);
            return null;
        });
        t.settle();
    }

    private Board board() throws Exception {
        return RealWindow.fx(t.studio::board);
    }

    private String selected() throws Exception {
        return RealWindow.fx(() -> t.studio.selected() == null ? null : t.studio.selected().id());
    }

    @Test
    void aTouchAreaIsDrawnPickedAndMoved() throws Exception {
        t.run("touch-new");
        assertThat(RealWindow.fx(t.w.tools::kind)).isEqualTo(ToolKind.TOUCH);
        t.drag(t.canvas(440, 60), t.canvas(540, 150));
        Element area = board().elements().getLast();
        assertThat(area.rest().get(Properties.TOUCH)).isEqualTo("its whole box");
        assertThat(area.rest().get(Properties.FILL).visible()).isFalse();
        assertThat(RealWindow.fx(t.w.tools::kind)).as("put away then").isEqualTo(ToolKind.SELECT);
        t.click(t.canvas(600, 380));
        assertThat(selected()).isNull();
        // it lies over the vane and is what is meant
        t.click(t.canvas(480, 100));
        assertThat(selected()).isEqualTo(area.id());
        Point was = area.rest().get(Properties.POSITION);
        t.drag(t.canvas(480, 100), t.canvas(500, 130));
        Point now = board().find(area.id()).rest().get(Properties.POSITION);
        assertThat(now.minus(was).distance(new Point(20, 30))).isLessThan(7);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(board().elements()).hasSize(4);
    }

    @Test
    void whatIsHiddenOrFadedIsPickedWhereItStands() throws Exception {
        t.click(t.canvas(300, 300));
        assertThat(selected()).isEqualTo("Ghost");
        t.click(t.canvas(120, 300));
        assertThat(selected()).isEqualTo("Mist");
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.DRAW);
            t.studio.select(List.of());
            return null;
        });
        t.settle();
        t.click(t.canvas(300, 300));
        assertThat(selected()).as("while drawing what isn't there is out of reach").isNull();
    }

    @Test
    void somethingOpensAndClosesByAnotherInOneStep() throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(List.of("Vane", "Lamp"));
            return null;
        });
        assertThat(RealWindow.fx(() -> t.w.commands.get("open-close").name().get())).isEqualTo("Open and close Vane by Lamp");
        t.run("open-close");
        Board b = board();
        assertThat(b.rest("Vane").get(Properties.OPACITY)).isZero();
        assertThat(b.timelines()).extracting(Timeline::name).contains("Open Vane");
        assertThat(b.reactions()).extracting(r -> r.when().kind()).containsExactly(Events.TAPPED, Events.TAPPED_ELSEWHERE);
        assertThat(RealWindow.fx(() -> t.studio.project().values())).hasSize(1);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(board().reactions()).isEmpty();
        assertThat(board().timelines()).hasSize(1);
        assertThat(RealWindow.fx(() -> t.studio.project().values())).isEmpty();
    }

    @Test
    void severalArePointedAtOneAfterTheOther() throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("x", b -> b.withReactions(List.of(new Reaction("r", Events.of(Events.OPENED),
                    List.of(Actions.of(Actions.HIDE, List.of("Lamp")))))));
            return null;
        });
        t.settle();
        t.click("chip-elements");
        pick("point at");
        t.click(t.canvas(480, 100));
        t.click(t.canvas(120, 100));
        t.settle();
        assertThat(board().reactions().getFirst().actions().getFirst().slots().get(Actions.ELEMENTS)).isEqualTo(List.of("Vane", "Lamp"));
        t.keys(KeyCode.ESCAPE);
        t.click(t.canvas(300, 300));
        assertThat(board().reactions().getFirst().actions().getFirst().slots().get(Actions.ELEMENTS)).as("Escape ends it")
                .isEqualTo(List.of("Vane", "Lamp"));
    }

    private void pick(String letters) throws Exception {
        ListView<?> list = t.popup("#picker-list");
        RealWindow.fx(() -> {
            list.getSelectionModel().select(list.getItems().indexOf(list.getItems().stream().filter(x -> x.toString().toLowerCase(Locale.ROOT)
                    .contains(letters)).findFirst().orElseThrow()));
            list.requestFocus();
            return null;
        });
        t.keys(KeyCode.ENTER);
        t.settle();
    }

    @Test
    void whatIsSentHomeIsAPartOrEveryPart() throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("x", b -> b.withDrags(List.of(Dragging.of("d", List.of(new Dragging.Pair("Vane", List.of())))))
                    .withReactions(List.of(new Reaction("r", Events.tapped("Lamp"), List.of(Actions.of(Actions.SEND_HOME, List.of("Vane"), 0L))))));
            return null;
        });
        t.settle();
        t.click("chip-elements");
        ListView<?> list = t.popup("#picker-list");
        assertThat(RealWindow.fx(() -> list.getItems().stream().map(Object::toString).toList().toString())).contains("every part")
                .doesNotContain("Mist");
        pick("every part");
        assertThat(board().reactions().getFirst().actions().getFirst().slots().get(Actions.PARTS)).isEqualTo(List.of(Slot.EVERYTHING));
        assertThat(RealWindow.fx(() -> t.studio.document() != null)).isTrue();
    }

    /** Letters typed while a sentence has the keyboard are for the sentence, whatever tools they else take. */
    @Test
    void lettersOnASentenceTakeNoTool() throws Exception {
        t.run("add-reaction");
        var sentence = t.node("sentence-1");
        RealWindow.fx(() -> {
            sentence.requestFocus();
            return null;
        });
        for (KeyCode k : List.of(KeyCode.R, KeyCode.B, KeyCode.T, KeyCode.A)) {
            t.keys(k);
            assertThat(RealWindow.fx(t.w.tools::kind)).as(k.getName()).isEqualTo(ToolKind.SELECT);
        }
        RealWindow.fx(() -> {
            t.w.canvas.requestFocus();
            return null;
        });
        t.keys(KeyCode.A);
        assertThat(RealWindow.fx(t.w.tools::kind)).isEqualTo(ToolKind.TOUCH);
    }

    @Test
    void severalThingsMadeAMotifAskForAName() throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(List.of("Lamp", "Vane"));
            return null;
        });
        t.keys(KeyCode.CONTROL, KeyCode.M);
        t.untilTyping();
        t.type("Signal");
        t.keys(KeyCode.ENTER);
        t.until(() -> t.studio.project().motifs().size() == 1 && t.studio.project().motifs().getFirst().name().equals("Signal"));
        assertThat(RealWindow.fx(() -> t.studio.selected().name())).isEqualTo("Signal");
    }

    /** The right button means what is selected where that lies beneath something else. */
    @Test
    void theRightButtonKeepsWhatIsSelectedUnderIt() throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("x", b -> b.withElements(Stream.concat(b.elements().stream(), Stream.of(box("Cover", 120, 100))).toList()));
            t.studio.setDesk(Desk.DRAW);
            t.studio.select(List.of("Lamp"));
            return null;
        });
        t.settle();
        t.rightClick(t.canvas(120, 100));
        assertThat(selected()).isEqualTo("Lamp");
        t.keys(KeyCode.ESCAPE);
        RealWindow.fx(() -> {
            t.studio.select(List.of("Vane"));
            return null;
        });
        t.rightClick(t.canvas(120, 100));
        assertThat(selected()).isEqualTo("Cover");
        t.keys(KeyCode.ESCAPE);
    }
}
