package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Window;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
import tundra.app.timeline.TimelineCanvas;
import tundra.core.edit.Motifs;
import tundra.core.edit.PropertyEdit;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Clock;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.EffectKind;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scatter.Channel;
import tundra.core.model.Timeline;
import tundra.core.model.Tree;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Motifs, effects and scatters with mouse and keyboard in a real window. */
class MotifDeskTest extends InWindow {
    @BeforeEach
    void open() throws Exception {
        var main = new Timeline("main", Timeline.MAIN, 2_000_000, false, true, Map.of()).with("box", Properties.ROTATION,
                new Track<>(List.of(new Key<>(0, 0.0, Easing.LINEAR), new Key<>(2_000_000, 90.0, Easing.LINEAR))));
        animate(main, shape("box", 200, 200), shape("other", 480, 120));
    }

    private static Element shape(String id, double x, double y) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(80, 60))
                .with(Properties.FILL, Color.parse("#1C6A5E")), new Content.Rectangle());
    }

    private Project project() throws Exception {
        return RealWindow.fx(t.studio::project);
    }

    private Board scene() throws Exception {
        return project().scenes().getFirst().board();
    }

    private String place() throws Exception {
        return RealWindow.fx(() -> t.studio.place().name());
    }

    private Content.Instance instance() throws Exception {
        return (Content.Instance) Motifs.instances(scene(), x -> true).getFirst().content();
    }

    private void make() throws Exception {
        t.keys(KeyCode.CONTROL, KeyCode.M);
    }

    private void undo() throws Exception {
        t.keys(KeyCode.CONTROL, KeyCode.Z);
    }

    @Test
    void madeOpenedEditedAndLeft() throws Exception {
        make();
        assertThat(project().motifs()).extracting(Motif::name).containsExactly("box");
        assertThat(scene().main().tracks()).as("its keys went along").isEmpty();
        Point where = t.canvas(200, 200);
        t.doubleClick(where);
        assertThat(place()).isEqualTo("box");
        assertThat(t.words("way")).contains("Scene", "box", "used once");
        Point middle = RealWindow.fx(() -> t.studio.board().size().times(0.5));
        assertThat(t.canvas(middle.x(), middle.y()).distance(where)).as("what was opened stays where it was seen").isLessThan(2);
        // a new shape inside shows in every instance
        t.keys(KeyCode.R);
        t.drag(t.canvas(middle.x() - 10, middle.y() - 10), t.canvas(middle.x() + 12, middle.y() + 8));
        assertThat(project().motifs().getFirst().board().elements()).hasSize(2);
        t.keys(KeyCode.ESCAPE);
        t.keys(KeyCode.ESCAPE);
        assertThat(place()).as("Escape goes up").isEqualTo("Scene");
        assertThat(RealWindow.fx(t.studio::selection)).hasSize(1);
        undo();
        assertThat(project().motifs().getFirst().board().elements()).hasSize(1);
        undo();
        assertThat(project().motifs()).isEmpty();
        assertThat(scene().find("box").content()).isInstanceOf(Content.Rectangle.class);
    }

    @Test
    void theWayBackIsClicked() throws Exception {
        make();
        t.doubleClick(t.canvas(200, 200));
        t.click("way-0");
        assertThat(place()).isEqualTo("Scene");
        t.keys(KeyCode.CONTROL, KeyCode.ENTER);
        assertThat(place()).isEqualTo("box");
    }

    @Test
    void clocksAndPhasesByDetailsAndByTheLane() throws Exception {
        make();
        t.click("clock-own");
        assertThat(instance().clock().own()).isTrue();
        undo();
        assertThat(instance().clock().own()).isFalse();
        t.click("clock-own");
        t.run("repeat-LOOP");
        String id = Motifs.instances(scene(), x -> true).getFirst().id();
        TimelineCanvas lanes = t.window.timeline().lanes();
        double y = RealWindow.fx(() -> lanes.rowY(id, null));
        Point a = RealWindow.fx(() -> t.screen(lanes, lanes.xOf(800_000), y)), b = RealWindow.fx(() -> t.screen(lanes, lanes.xOf(1_300_000), y));
        t.drag(a, b);
        assertThat(instance().clock().phase() / 1e6).as("later by half a second is less far into it").isCloseTo(-0.5, within(0.06));
        undo();
        assertThat(instance().clock().phase()).isZero();
    }

    @Test
    void swappedAndBrokenApart() throws Exception {
        make();
        t.run("motif-copy");
        assertThat(project().motifs()).hasSize(2);
        assertThat(instance().motif()).isEqualTo(project().motifs().getLast().id());
        t.keys(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.M);
        assertThat(Motifs.instances(scene(), x -> true)).isEmpty();
        assertThat(RealWindow.fx(() -> t.studio.selected().content())).isInstanceOf(Content.Group.class);
        undo();
        assertThat(instance().clock()).isEqualTo(Clock.PARENT.withRepeat(Clock.Repeat.ONCE));
    }

    @Test
    void effectsAreAddedKeyedSwitchedAndOrdered() throws Exception {
        t.run("effect-BLUR");
        t.run("effect-INVERT");
        assertThat(scene().find("box").effects()).extracting(x -> x.kind()).containsExactly(EffectKind.BLUR, EffectKind.INVERT);
        String blur = scene().find("box").effects().getFirst().id();
        t.click("key-blur");
        assertThat(scene().main().track(blur, Properties.BLUR).keys()).hasSize(1);
        t.click("effect-on-invert");
        assertThat(scene().find("box").effects().getLast().on()).isFalse();
        Point from = t.middle("effect-invert"), to = t.middle("effect-blur");
        double head = RealWindow.fx(() -> t.node("effect-invert").getLayoutBounds().getHeight() / 2 - 10);
        t.drag(from.minus(new Point(40, head)), to.minus(new Point(40, 40)));
        assertThat(scene().find("box").effects()).extracting(x -> x.kind()).containsExactly(EffectKind.INVERT, EffectKind.BLUR);
        t.click("effect-delete-blur");
        assertThat(scene().find("box").effects()).hasSize(1);
        assertThat(scene().main().tracksOf(blur)).as("its keys go with it").isEmpty();
        for (int i = 0; i < 6; i++) {
            undo();
        }
        assertThat(scene().find("box").effects()).isEmpty();
    }

    @Test
    void scatteredAndRolledAChannelAtATime() throws Exception {
        make();
        t.keys(KeyCode.ALT, KeyCode.SHIFT, KeyCode.N);
        Element s = RealWindow.fx(t.studio::selected);
        var g = (Content.Group) s.content();
        assertThat(g.children()).hasSize(24);
        List<Double> xs = g.children().stream().map(e -> e.rest().get(Properties.POSITION).x()).toList(), ys = g.children().stream()
                .map(e -> e.rest().get(Properties.POSITION).y()).toList();
        t.click("scatter-x-roll");
        var rolled = (Content.Group) scene().find(s.id()).content();
        assertThat(rolled.children().stream().map(e -> e.rest().get(Properties.POSITION).x()).toList()).isNotEqualTo(xs);
        assertThat(rolled.children().stream().map(e -> e.rest().get(Properties.POSITION).y()).toList()).isEqualTo(ys);
        assertThat(rolled.scatter().range(Channel.X)).isEqualTo(g.scatter().range(Channel.X).rolled(Channel.X));
        undo();
        assertThat(scene().find(s.id()).content()).isEqualTo(g);
        undo();
        assertThat(Motifs.instances(scene(), x -> true)).hasSize(1);
    }

    @Test
    void publishedAsPicturesWithWhatThatTakes() throws Exception {
        make();
        assertThat(t.words("pictures-live")).contains("Live: 1 layer, 18 KB on the visitor's machine.");
        t.click("pictures-work");
        t.until(() -> t.stage.getScene().lookup("#pictures-series") instanceof Label l && l.getText().contains("dB"));
        t.settle();
        // 80 × 60 px that turn by 90° in two seconds: a picture each of the 48 frames
        assertThat(t.words("pictures-series")).contains("48 pictures of 100 × 100");
        RealWindow.fx(() -> {
            ((ComboBox<Boolean>) t.node("field-pictures")).setValue(true);
            return null;
        });
        t.settle();
        assertThat(project().motifs().getFirst().pictures()).isTrue();
        assertThat(instance()).as("it stays what it is here").isNotNull();
        // trying it paints them too, which can be given up and started anew
        t.run("try");
        t.until(() -> t.stage.getScene().lookup("#try-again") != null);
        RealWindow.fx(() -> {
            ((Button) t.node("try-again")).fire();
            assertThat(t.node("try-waiting").isVisible()).isTrue();
            ((Button) t.node("try-give-up")).fire();
            return null;
        });
        t.settle();
        assertThat(RealWindow.fx(() -> t.node("try-waiting").isVisible())).isFalse();
        assertThat(t.words("try-words")).startsWith("Given up");
        t.click("try-again");
        new TriedPage(t).begun("");
        assertThat(t.words("try-words")).startsWith("The real page.");
        t.run("desk-ANIMATE");
        undo();
        assertThat(project().motifs().getFirst().pictures()).isFalse();
    }

    @Test
    void openingInPlaceTakesNoTime() throws Exception {
        make();
        RealWindow.fx(() -> {
            String id = Motifs.instances(t.studio.board(), x -> true).getFirst().id();
            long began = System.nanoTime();
            t.studio.navigation().openInPlace(id);
            t.studio.picture().frame();
            System.out.printf("opening in place, until its frame is there: %.1f ms%n", (System.nanoTime() - began) / 1e6);
            return null;
        });
        t.settle();
        assertThat(place()).isEqualTo("box");
    }

    /** The look that is shown says where a change goes; for it alone the others stay as they were. */
    @Test
    void aColourIsForAllLooksOrForOneAlone() throws Exception {
        t.keys(KeyCode.ALT, KeyCode.SHIFT, KeyCode.B);
        t.keys(KeyCode.CONTROL, KeyCode.ENTER);
        String[] part = new String[1];
        RealWindow.fx(() -> {
            t.studio.setDesk(Desk.DRAW);
            Tree.each(t.studio.board().elements(), e -> part[0] = e.content() instanceof Content.Shape ? e.id() : part[0]);
            return null;
        });
        t.settle();
        t.click("state-show-OVER");
        RealWindow.fx(() -> {
            t.studio.groups().enter(t.studio.board().elements().getFirst().id());
            t.studio.select(List.of(part[0]));
            return null;
        });
        t.settle();
        assertThat(t.words("way")).contains("Changes go to", "all looks", "only pointer over");
        t.click("looks-one");
        paint(part[0], "#E0A030");
        Color was = Color.parse("#1C6A5E"), now = Color.parse("#E0A030");
        Board b = RealWindow.fx(t.studio::board);
        for (long at : new long[] {0, 500_000, 1_000_000, 1_500_000}) {
            assertThat(PropertyEdit.valueAt(b, b.main(), part[0], Properties.FILL, at)).as("at %d", at).isEqualTo(at == 500_000 ? now : was);
        }
        t.click("looks-all");
        paint(part[0], "#102030");
        Board all = RealWindow.fx(t.studio::board);
        assertThat(PropertyEdit.valueAt(all, all.main(), part[0], Properties.FILL, 500_000L)).isEqualTo(Color.parse("#102030"));
        undo();
        undo();
        assertThat(RealWindow.fx(() -> t.studio.board().main().track(part[0], Properties.FILL))).isNull();
    }

    /** A quick click of the right button on the shelf opens its menu and does nothing else. */
    @Test
    void aQuickRightClickOnTheShelfOpensItsMenu() throws Exception {
        make();
        Project before = project();
        t.rightClick(t.middle("motif-box"));
        t.until(() -> Window.getWindows().stream().anyMatch(w -> w instanceof ContextMenu));
        RealWindow.pulses(12);
        assertThat(RealWindow.fx(() -> Window.getWindows().stream().anyMatch(w -> w instanceof ContextMenu))).as("it stays open").isTrue();
        assertThat(project()).isEqualTo(before);
        assertThat(place()).isEqualTo("Scene");
        t.keys(KeyCode.ESCAPE);
    }

    private void paint(String id, String color) throws Exception {
        RealWindow.fx(() -> {
            t.studio.target().set("Change fill", null, id, Properties.FILL, Color.parse(color));
            return null;
        });
        t.settle();
    }
}
