package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.ListView;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.ScrollEvent;
import javafx.stage.Window;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.timeline.TimelineCanvas;
import tundra.app.tool.ToolKind;
import tundra.core.edit.Keys;
import tundra.core.edit.Reshape;
import tundra.core.geometry.Moments;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Span;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.CubicEasing;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.SpringEasing;
import tundra.core.motion.Track;

/** Every gesture of the timeline and of motion paths, with mouse and keyboard in a real window. */
class TimelineTest extends InWindow {
    @TempDir
    private Path folder;

    @BeforeEach
    void open() throws Exception {
        var box = element("box", new Content.Rectangle(), 100, 100, "#C8503A");
        var ball = element("ball", new Content.Ellipse(), 500, 300, "#2F78A3");
        var main = new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of())
                .with("box", Properties.POSITION, track(Easing.LINEAR, 0, new Point(100, 100), 2, new Point(300, 100), 4, new Point(300, 250)))
                .with("box", Properties.ROTATION, track(new CubicEasing(0.4, 0, 0.6, 1), 1, 0.0, 3, 90.0));
        animate(main, box, ball);
    }

    private static Element element(String id, Content c, double x, double y, String fill) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, y)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse(fill)), c);
    }

    @SuppressWarnings("unchecked")
    private static <T> Track<T> track(Easing easing, Object... secondsAndValues) {
        var keys = new ArrayList<Key<T>>();
        for (int i = 0; i < secondsAndValues.length; i += 2) {
            keys.add(new Key<>(((Number) secondsAndValues[i]).longValue() * 1_000_000, (T) secondsAndValues[i + 1], easing));
        }
        return new Track<>(keys);
    }

    private TimelineCanvas lanes() {
        return t.window.timeline().lanes();
    }

    private <T> Track<T> keys(String id, Property<T> p) {
        return t.studio.timeline().track(id, p);
    }

    private Point at(double x, double y) throws Exception {
        return RealWindow.fx(() -> t.screen(lanes(), x, y));
    }

    private Point bead(Property<?> p, long time) throws Exception {
        t.settle();
        Point v = RealWindow.fx(() -> lanes().place("box", p, time));
        return at(v.x(), v.y());
    }

    private double x(double seconds) throws Exception {
        return RealWindow.fx(() -> lanes().xOf(Math.round(seconds * 1e6)));
    }

    private void choose(Keys.Ref... refs) throws Exception {
        RealWindow.fx(() -> {
            t.studio.time().selectKeys(List.of(refs));
            return null;
        });
        t.settle();
    }

    private void seek(double seconds) throws Exception {
        RealWindow.fx(() -> {
            t.studio.time().seek(Math.round(seconds * 1e6));
            return null;
        });
        t.settle();
    }

    @Test
    void aTallLaneEditsValuesAndEasings() throws Exception {
        double y = RealWindow.fx(() -> lanes().rowY("box", Properties.ROTATION));
        t.click(at(26, y));
        t.settle();
        assertThat(RealWindow.fx(() -> lanes().rowY("box", Properties.ROTATION))).as("the lane grew").isGreaterThan(y + 30);
        Point last = bead(Properties.ROTATION, 3_000_000), first = bead(Properties.ROTATION, 1_000_000);
        assertThat(first.y() - last.y()).as("90° high").isGreaterThan(60);
        double half = (first.y() - last.y()) / 2;
        t.hold(KeyCode.SHIFT);
        t.drag(last, last.plus(new Point(0, half)));
        t.letGo(KeyCode.SHIFT);
        assertThat(keys("box", Properties.ROTATION).keys().getLast().value()).isCloseTo(45, within(2.0));
        assertThat(keys("box", Properties.ROTATION).keys().getLast().time()).as("Shift keeps the time").isEqualTo(3_000_000);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(keys("box", Properties.ROTATION).keys().getLast().value()).isEqualTo(90);
        // the handles of the chosen interval pull its easing, beyond the values too
        t.click(bead(Properties.ROTATION, 1_000_000));
        t.settle();
        Point grip = RealWindow.fx(() -> lanes().grip("box", Properties.ROTATION, 1_000_000, true));
        t.drag(at(grip.x(), grip.y()), at(x(2.5), grip.y() - 15));
        var easing = (CubicEasing) keys("box", Properties.ROTATION).keys().getFirst().easing();
        assertThat(easing.x2()).isCloseTo(0.75, within(0.03));
        assertThat(easing.y2()).as("overshoots").isGreaterThan(1.05);
        assertThat(easing.x1()).isEqualTo(0.4);
        Point again = RealWindow.fx(() -> lanes().grip("box", Properties.ROTATION, 1_000_000, false));
        t.dragHold(at(again.x(), again.y()), at(again.x() + 30, again.y() + 5));
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(keys("box", Properties.ROTATION).keys().getFirst().easing()).isEqualTo(easing);
    }

    @Test
    void chosenKeysAreStretchedReversedAndNudged() throws Exception {
        t.keys(KeyCode.ALT, KeyCode.A);
        assertThat(t.studio.time().keys()).hasSize(5);
        choose(new Keys.Ref("box", Properties.ROTATION, 1_000_000), new Keys.Ref("box", Properties.ROTATION, 3_000_000));
        t.drag(at(x(3), 46), at(x(2), 46));
        assertThat(keys("box", Properties.ROTATION).keys()).extracting(Key::time).containsExactly(1_000_000L, 2_000_000L);
        assertThat(t.studio.history().undoName()).isEqualTo("Stretch 2 keys");
        t.keys(KeyCode.ALT, KeyCode.R);
        assertThat(keys("box", Properties.ROTATION).keys()).extracting(Key::value).containsExactly(90.0, 0.0);
        t.keys(KeyCode.ALT, KeyCode.RIGHT);
        t.keys(KeyCode.ALT, KeyCode.RIGHT);
        assertThat(keys("box", Properties.ROTATION).keys().getFirst().time()).as("two frames on").isEqualTo(1_083_333);
        t.keys(KeyCode.ALT, KeyCode.LEFT);
        assertThat(keys("box", Properties.ROTATION).keys().getFirst().time()).isEqualTo(1_041_667);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(keys("box", Properties.ROTATION).keys()).extracting(Key::time).containsExactly(1_000_000L, 3_000_000L);
        t.dragHold(at(x(1), 46), at(x(2), 46));
        t.keys(KeyCode.ESCAPE);
        t.up();
    }

    @Test
    void keysAreCopiedCutAndPastedOntoOtherElements() throws Exception {
        choose(new Keys.Ref("box", Properties.ROTATION, 1_000_000), new Keys.Ref("box", Properties.ROTATION, 3_000_000));
        t.keys(KeyCode.CONTROL, KeyCode.C);
        seek(0.5);
        RealWindow.fx(() -> {
            t.studio.select(List.of("ball"));
            return null;
        });
        t.keys(KeyCode.CONTROL, KeyCode.V);
        assertThat(keys("ball", Properties.ROTATION).keys()).extracting(Key::time).containsExactly(500_000L, 2_500_000L);
        assertThat(t.studio.history().undoName()).isEqualTo("Paste 2 keys");
        // the whole move begins where the other element is
        RealWindow.fx(() -> {
            t.studio.select(List.of("box"));
            return null;
        });
        t.settle();
        t.keys(KeyCode.ALT, KeyCode.C);
        RealWindow.fx(() -> {
            t.studio.select(List.of("ball"));
            t.studio.time().seek(0);
            return null;
        });
        t.settle();
        t.keys(KeyCode.CONTROL, KeyCode.V);
        assertThat(keys("ball", Properties.POSITION).keys()).extracting(Key::value)
                .containsExactly(new Point(500, 300), new Point(700, 300), new Point(700, 450));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.timeline().tracksOf("ball")).isEmpty();
        choose(new Keys.Ref("box", Properties.ROTATION, 3_000_000));
        t.keys(KeyCode.CONTROL, KeyCode.X);
        assertThat(keys("box", Properties.ROTATION).keys()).hasSize(1);
    }

    @Test
    void markersAndTheRangeStandOnTheRuler() throws Exception {
        seek(1.5);
        t.keys(KeyCode.M);
        assertThat(t.studio.timeline().markers()).extracting(m -> m.name() + " " + m.time()).containsExactly("Marker 1500000");
        t.keys(KeyCode.M);
        t.until(() -> t.stage.getScene().getFocusOwner() instanceof TextField);
        t.type("Sled stops");
        t.keys(KeyCode.ENTER);
        assertThat(t.studio.timeline().markers().getFirst().name()).isEqualTo("Sled stops");
        t.drag(at(x(1.5) + 8, 8), at(x(2.5), 8));
        assertThat(t.studio.timeline().markers().getFirst().time()).isEqualTo(2_500_000);
        // keys snap to it
        Point key = bead(Properties.ROTATION, 3_000_000);
        t.drag(key, new Point(at(x(2.5), 0).x() + 4, key.y()));
        assertThat(keys("box", Properties.ROTATION).keys().getLast().time()).isEqualTo(2_500_000);
        t.hold(KeyCode.SHIFT);
        t.drag(at(x(1), 8), at(x(2), 8));
        t.letGo(KeyCode.SHIFT);
        assertThat(t.studio.timeline().range()).isEqualTo(new Span(1_000_000, 2_000_000));
        t.drag(at(x(2), 8), at(x(1.5), 8));
        assertThat(t.studio.timeline().range()).isEqualTo(new Span(1_000_000, 1_500_000));
        // playing stays within it
        t.keys(KeyCode.SPACE);
        var heads = new ArrayList<Long>();
        t.until(() -> {
            heads.add(t.studio.time().playhead());
            return IntStream.range(1, heads.size()).filter(i -> heads.get(i) < heads.get(i - 1)).count() >= 2;
        });
        assertThat(heads).as("twice around").allMatch(x -> x >= 958_000 && x <= 1_500_000);
        t.keys(KeyCode.SPACE);
        t.run("range-off");
        assertThat(t.studio.timeline().range()).isNull();
        seek(2.5);
        t.keys(KeyCode.SHIFT, KeyCode.M);
        assertThat(t.studio.timeline().markers()).isEmpty();
    }

    @Test
    void whenAnElementIsSeenIsTrimmedAndSlid() throws Exception {
        double y = RealWindow.fx(() -> lanes().rowY("ball", null));
        t.drag(at(x(0), y), at(x(1), y));
        assertThat(t.studio.timeline().shown()).containsEntry("ball", new Span(1_000_000, 4_000_000));
        t.drag(at(x(4), y), at(x(3), y));
        assertThat(t.studio.timeline().shown().get("ball")).isEqualTo(new Span(1_000_000, 3_000_000));
        t.hold(KeyCode.ALT);
        t.drag(at(x(2), y), at(x(2.5), y));
        t.letGo(KeyCode.ALT);
        assertThat(t.studio.timeline().shown().get("ball")).isEqualTo(new Span(1_500_000, 3_500_000));
        seek(1);
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find("ball"))).as("not yet seen").isNull();
        seek(2);
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find("ball"))).isNotNull();
        t.dragHold(at(x(1.5), y), at(x(0.5), y));
        t.keys(KeyCode.ESCAPE);
        t.up();
        assertThat(t.studio.timeline().shown().get("ball")).isEqualTo(new Span(1_500_000, 3_500_000));
        t.run("shown-always");
        assertThat(t.studio.timeline().shown()).isEmpty();
        // the bar of an element with keys moves all of them
        double own = RealWindow.fx(() -> lanes().rowY("box", null));
        RealWindow.fx(() -> {
            t.studio.edit("Shorten", b -> b.mapTimeline("main", tl -> tl.with("box", Properties.POSITION, null)));
            return null;
        });
        t.settle();
        t.drag(at(x(2), own), at(x(2.5), own));
        assertThat(keys("box", Properties.ROTATION).keys()).extracting(Key::time).containsExactly(1_500_000L, 3_500_000L);
    }

    @Test
    void aPathGetsKeysHandlesBendAndAJoin() throws Exception {
        t.click(t.canvas(200, 100));
        assertThat(keys("box", Properties.POSITION).keys()).as("a click on the line adds a key").hasSize(4);
        Key<Point> made = keys("box", Properties.POSITION).keys().get(1);
        assertThat(made.value().distance(new Point(200, 100))).isLessThan(3);
        assertThat(t.studio.time().playhead()).isEqualTo(made.time());
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(keys("box", Properties.POSITION).keys()).hasSize(3);
        // one gesture: added and pulled away
        seek(0);
        t.drag(t.canvas(210, 100), t.canvas(210, 60));
        assertThat(keys("box", Properties.POSITION).keys()).hasSize(4);
        assertThat(keys("box", Properties.POSITION).keys().get(1).value().y()).isCloseTo(60, within(2.0));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(keys("box", Properties.POSITION).keys()).as("one step").hasSize(3);
        // with Alt a handle comes out of a chosen key; both stay in line
        t.click(t.canvas(300, 100));
        t.hold(KeyCode.ALT);
        t.drag(t.canvas(300, 100), t.canvas(340, 130));
        t.letGo(KeyCode.ALT);
        Key<Point> bent = keys("box", Properties.POSITION).keyAt(2_000_000);
        assertThat(bent.out().distance(new Point(40, 30))).isLessThan(3);
        assertThat(bent.in().plus(bent.out()).length()).isLessThan(0.01);
        // with Ctrl only the one that is held
        t.hold(KeyCode.CONTROL);
        t.drag(t.canvas(340, 130), t.canvas(300, 160));
        t.letGo(KeyCode.CONTROL);
        Key<Point> split = keys("box", Properties.POSITION).keyAt(2_000_000);
        assertThat(split.in()).isEqualTo(bent.in());
        assertThat(split.out().distance(new Point(0, 60))).isLessThan(3);
        // the bend rounds what was not set by hand
        var slider = (Slider) t.node("path-bend");
        var all = (Button) t.node("path-bend-all");
        RealWindow.fx(() -> {
            all.fire();
            return null;
        });
        t.settle();
        assertThat(keys("box", Properties.POSITION).keys()).noneMatch(Key::own);
        RealWindow.fx(() -> {
            slider.setValue(0.5);
            return null;
        });
        t.settle();
        assertThat(keys("box", Properties.POSITION).shape().bend()).isEqualTo(0.5);
        t.run("path-close");
        assertThat(keys("box", Properties.POSITION).shape().closed()).isTrue();
        assertThat(keys("box", Properties.POSITION).keys().getLast().value()).isEqualTo(keys("box", Properties.POSITION).keys().getFirst().value());
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        // a key that is chosen is taken away with Delete
        t.click(t.canvas(300, 100));
        t.keys(KeyCode.DELETE);
        assertThat(keys("box", Properties.POSITION).keys()).hasSize(2);
    }

    @Test
    void aPositionIsSplitAndAShapeBecomesAMove() throws Exception {
        t.run("position-split");
        assertThat(keys("box", Properties.POSITION)).isNull();
        assertThat(keys("box", Properties.POSITION_X).keys()).hasSize(3);
        seek(1);
        Point seen = RealWindow.fx(() -> t.studio.picture().frame().find("box").bounds().centre());
        assertThat(seen).isEqualTo(new Point(200, 100));
        assertThat(t.studio.target().consequence()).isEqualTo("dragging box adds x and y keys here");
        t.hold(KeyCode.CONTROL);
        t.drag(t.canvas(200, 110), t.canvas(200, 140));
        t.letGo(KeyCode.CONTROL);
        assertThat(keys("box", Properties.POSITION_Y).keyAt(1_000_000).value()).isCloseTo(130, within(1.5));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.run("position-join");
        assertThat(keys("box", Properties.POSITION).keys()).hasSize(3);
        // draw a shape, copy it, and let the ball go along it
        t.run("copy-move");
        t.keys(KeyCode.ALT, KeyCode.DIGIT1);
        t.run("select-none");
        t.keys(KeyCode.CONTROL, KeyCode.V);
        Element way = t.studio.selected();
        assertThat(way.content()).as("the move as a shape").isInstanceOf(Content.Path.class);
        assertThat(RealWindow.fx(() -> t.studio.picture().frame().find(way.id()).bounds().topLeft())).isEqualTo(new Point(100, 100));
        t.keys(KeyCode.CONTROL, KeyCode.C);
        t.keys(KeyCode.ALT, KeyCode.DIGIT2);
        RealWindow.fx(() -> {
            t.studio.select(List.of("ball"));
            t.studio.time().seek(0);
            return null;
        });
        t.settle();
        t.run("paste-as-move");
        var keys = keys("ball", Properties.POSITION).keys();
        assertThat(keys).extracting(Key::value).containsExactly(new Point(100, 100), new Point(300, 100), new Point(300, 250));
        assertThat(t.studio.history().undoName()).isEqualTo("Move ball along " + way.name());
    }

    @Test
    void aHelperIsTriedTakenAndRunAgain() throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(List.of("ball"));
            return null;
        });
        t.settle();
        t.run("helper-Bounce");
        assertThat(keys("ball", Properties.POSITION_Y)).as("seen at once").isNotNull();
        t.fill("helper-0", "120");
        assertThat(keys("ball", Properties.POSITION_Y).keys().getFirst().value()).isCloseTo(200, within(0.01));
        t.keys(KeyCode.ESCAPE);
        assertThat(t.studio.timeline().tracksOf("ball")).as("left without a trace").isEmpty();
        assertThat(t.studio.history().undoName()).isNull();
        t.run("helper-Bounce");
        t.fill("helper-2", "2");
        int keys = keys("ball", Properties.POSITION_Y).keys().size();
        assertThat(keys).as("fall and two bounces").isEqualTo(6);
        t.click("helper-take");
        assertThat(t.studio.history().undoName()).isEqualTo("Bounce");
        // again with other numbers: they replace what was written
        t.run("helper-Bounce");
        t.fill("helper-2", "1");
        t.click("helper-take");
        assertThat(keys("ball", Properties.POSITION_Y).keys()).hasSize(4);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.timeline().tracksOf("ball")).isEmpty();
    }

    @Test
    void springsAndStepsHaveNumbersAndEasingsAreKept() throws Exception {
        t.click(bead(Properties.ROTATION, 1_000_000));
        t.click("easing-choice");
        ListView<?> list = t.popup("#easing-list");
        RealWindow.fx(() -> {
            int i = 0;
            while (!list.getItems().get(i).toString().contains("SpringEasing")) {
                i++;
            }
            list.getSelectionModel().clearAndSelect(i);
            return null;
        });
        t.settle();
        Node resting = t.popup("#spring-0");
        t.click(RealWindow.fx(() -> t.screen(resting, resting.getLayoutBounds().getWidth() - 8, 12)));
        t.settle();
        Node number = t.popup("#spring-0");
        TextField stiffness = (TextField) RealWindow.<Node>fx(() -> number.lookup(".text-field"));
        RealWindow.fx(() -> {
            stiffness.setText("250");
            stiffness.fireEvent(new ActionEvent());
            return null;
        });
        t.settle();
        assertThat(keys("box", Properties.ROTATION).keys().getFirst().easing()).isEqualTo(new SpringEasing(250, 10, 1));
        TextField name = t.popup("#easing-name");
        RealWindow.fx(() -> {
            name.setText("Mast in the wind");
            return null;
        });
        Button keep = t.popup("#easing-keep");
        RealWindow.fx(() -> {
            keep.fire();
            return null;
        });
        t.settle();
        assertThat(t.w.settings.easings()).containsEntry("Mast in the wind", "spring(250, 10, 1)");
        assertThat(list.getItems().toString()).contains("Mast in the wind");
        RealWindow.fx(() -> {
            int i = 0;
            while (!list.getItems().get(i).toString().contains("StepsEasing")) {
                i++;
            }
            list.getSelectionModel().clearAndSelect(i);
            return null;
        });
        t.settle();
        ComboBox<?> jump = t.popup("#steps-jump");
        RealWindow.fx(() -> {
            jump.getSelectionModel().select(3);
            return null;
        });
        t.settle();
        assertThat(keys("box", Properties.ROTATION).keys().getFirst().easing().text()).isEqualTo("steps(4, jump-both)");
        t.keys(KeyCode.ESCAPE);
    }

    @Test
    void anOutlineMorphsFromKeyToKey() throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("Turn into path", b -> Reshape.toPath(b, "ball"));
            t.studio.select(List.of("ball"));
            t.studio.time().seek(2_000_000);
            t.w.tools.take(ToolKind.NODES);
            return null;
        });
        t.settle();
        t.drag(t.canvas(530, 300), t.canvas(600, 300));
        var track = keys("ball", Properties.OUTLINE);
        assertThat(track.keys()).as("a key here and one at the start").extracting(Key::time).containsExactly(0L, 2_000_000L);
        double before = Moments.of(track.keys().getFirst().value()).area(), after = Moments.of(track.keys().getLast().value()).area();
        assertThat(after).isGreaterThan(before * 1.3);
        seek(1);
        assertThat(Moments.of(RealWindow.fx(() -> t.studio.target().valueAt("ball", Properties.OUTLINE))).area())
                .isBetween(before * 1.1, after * 0.95);
        assertThat(t.pixel(t.canvas(545, 300)).getBlue()).as("seen on the canvas").isCloseTo(0xA3 / 255.0, within(0.05));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.timeline().tracksOf("ball")).isEmpty();
    }

    @Test
    void aSoundIsPlacedMovedAndTakenOff() throws Exception {
        t.fileToOpen = Files.write(folder.resolve("wind.wav"), Tone.wav(0.5, 220));
        t.run("bring-in");
        t.until(() -> t.studio.project().assets().size() == 1);
        t.keys(KeyCode.ALT, KeyCode.DIGIT1);
        Node shelf = t.node("shelf");
        t.click(RealWindow.fx(() -> t.screen(shelf.lookupAll(".swatch-button").iterator().next(), 20, 20)));
        assertThat(t.studio.timeline().sounds()).hasSize(1);
        t.keys(KeyCode.ALT, KeyCode.DIGIT2);
        t.settle();
        String id = t.studio.timeline().sounds().getFirst().id();
        double y = RealWindow.fx(() -> lanes().rowY(id, null));
        t.drag(at(x(0.2), y), at(x(1.2), y));
        assertThat(t.studio.timeline().sounds().getFirst().start()).isEqualTo(1_000_000);
        t.keys(KeyCode.SPACE);
        t.until(() -> t.studio.time().playhead() > 200_000);
        t.keys(KeyCode.SPACE);
        // a machine without an output says so; one with an output plays
        assertThat(t.w.playback.silent()).satisfiesAnyOf(s -> assertThat(s).isNull(), s -> assertThat(s).contains("no sound output"));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(t.studio.timeline().sounds().getFirst().start()).isZero();
    }

    @Test
    void timelinesAreRenamedAndDeleted() throws Exception {
        t.run("new-timeline");
        // its name is asked for where it stands
        t.until(() -> t.stage.getScene().getFocusOwner() instanceof TextField);
        t.type("Weather");
        t.keys(KeyCode.ENTER);
        assertThat(t.studio.board().timelines()).extracting(Timeline::name).containsExactly("Main", "Weather");
        t.run("delete-timeline");
        assertThat(t.studio.board().timelines()).extracting(Timeline::name).containsExactly("Main");
        t.run("undo");
        assertThat(t.studio.board().timelines()).hasSize(2);
        RealWindow.fx(() -> {
            t.studio.time().choose(t.studio.board().main().id());
            return null;
        });
        assertThat(t.w.commands.get("delete-timeline").enabled().getAsBoolean()).as("Main stays").isFalse();
    }

    @Test
    void theViewIsZoomedUnderThePointerScrolledAndItsLanesResized() throws Exception {
        Point place = at(x(3), 120);
        t.moveTo(place);
        double before = x(4) - x(3);
        wheel(x(3), 120, 60, true, false);
        assertThat(x(4) - x(3)).as("wider").isGreaterThan(before * 1.1);
        assertThat(at(x(3), 120).x()).as("what is under the pointer stays").isCloseTo(place.x(), within(1.0));
        double from = x(3);
        wheel(x(3), 120, -40, false, true);
        assertThat(x(3)).isCloseTo(from - 40, within(1.0));
        t.run("fit-time");
        assertThat(x(4) - x(3)).isCloseTo(before, within(0.5));
        t.run("time-in");
        assertThat(x(4) - x(3)).isCloseTo(before * 1.5, within(1.0));
        t.run("fit-time");
        // the lower edge of a lane's head makes it higher: from 46 px, what follows goes down with it
        double y = RealWindow.fx(() -> lanes().rowY("box", Properties.POSITION)),
                next = RealWindow.fx(() -> lanes().rowY("box", Properties.ROTATION));
        t.drag(at(100, y + 21), at(100, y + 61));
        assertThat(RealWindow.fx(() -> lanes().rowY("box", Properties.ROTATION))).isCloseTo(next + 40, within(3.0));
    }

    private void wheel(double x, double y, double by, boolean control, boolean shift) throws Exception {
        RealWindow.fx(() -> {
            var inScene = lanes().localToScene(x, y);
            lanes().fireEvent(new ScrollEvent(ScrollEvent.SCROLL, inScene.getX(), inScene.getY(), 0, 0, shift, control, false, false, true, false,
                    0, by, 0, by, ScrollEvent.HorizontalTextScrollUnits.NONE, 0,
                    ScrollEvent.VerticalTextScrollUnits.NONE, 0, 0, null));
            return null;
        });
        t.settle();
    }

    @Test
    void pathsOfOthersAreShownWhenAskedFor() throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(List.of("ball"));
            t.studio.time().seek(0);
            return null;
        });
        t.settle();
        assertThat(t.pixel(t.canvas(250, 100)).getGreen()).as("another's path is not shown").isGreaterThan(0.95);
        t.run("paths-ALL");
        t.moveTo(t.canvas(500, 350));
        assertThat(t.pixel(t.canvas(250, 100)).getGreen()).isLessThan(0.9);
        t.run("paths-NONE");
        assertThat(t.pixel(t.canvas(250, 100)).getGreen()).isGreaterThan(0.95);
    }

    @Test
    void theMenuOffersWhatCanBeDoneNow() throws Exception {
        choose(new Keys.Ref("box", Properties.ROTATION, 1_000_000), new Keys.Ref("box", Properties.ROTATION, 3_000_000));
        Point bead = RealWindow.fx(() -> lanes().place("box", Properties.ROTATION, 1_000_000));
        RealWindow.fx(() -> {
            var screen = lanes().localToScreen(bead.x(), bead.y());
            lanes().fireEvent(new ContextMenuEvent(ContextMenuEvent.CONTEXT_MENU_REQUESTED, bead.x(), bead.y(),
                    screen.getX(), screen.getY(), false, null));
            return null;
        });
        t.settle();
        var menu = RealWindow.fx(() -> (ContextMenu) Window.getWindows().stream()
                .filter(w -> w instanceof ContextMenu).findFirst().orElseThrow());
        var words = menu.getItems().stream().map(i -> i.getText() == null ? "" : i.getText()).toList();
        assertThat(words).anyMatch(w -> w.startsWith("Play keys backwards")).anyMatch(w -> w.startsWith("Work out a move"))
                .noneMatch(w -> w.startsWith("Paste keys"));
        RealWindow.fx(() -> {
            menu.getItems().stream().filter(i -> i.getText() != null && i.getText().startsWith("Play keys backwards")).findFirst().orElseThrow()
                    .fire();
            menu.hide();
            return null;
        });
        assertThat(keys("box", Properties.ROTATION).keys()).extracting(Key::value).containsExactly(90.0, 0.0);
    }
}
