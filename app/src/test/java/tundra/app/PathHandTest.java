package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.control.CheckBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tundra.app.studio.Desk;
import tundra.core.edit.EditScope;
import tundra.core.edit.Keys;
import tundra.core.edit.Paths;
import tundra.core.edit.PropertyEdit;
import tundra.core.geometry.Point;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.Track;

/** Motion paths in the hand: what is taken hold of, and that what the strip says is what happens. */
class PathHandTest extends InWindow {
    @BeforeEach
    void open() throws Exception {
        var kite = new Element("kite", "Kite", false, false, Values.NONE.with(Properties.POSITION, new Point(100, 100))
                .with(Properties.SIZE, new Point(70, 50))
                .with(Properties.FILL, Color.parse("#C8503A")), new Content.Rectangle());
        var other = new Element("other", "Other", false, false, Values.NONE.with(Properties.POSITION, new Point(560, 60))
                .with(Properties.SIZE, new Point(40, 40))
                .with(Properties.FILL, Color.parse("#2F78A3")), new Content.Ellipse());
        animate(new Timeline("main", Timeline.MAIN, 5_000_000, false, true, Map.of()).with("kite", Properties.POSITION, new Track<>(List.of(
                key(0, 100, 100), key(1, 300, 120), key(2, 320, 260), key(3, 480, 280)))), kite, other);
        t.run("actual-size");
    }

    private static Key<Point> key(double seconds, double x, double y) {
        return new Key<>(Math.round(seconds * 1e6), new Point(x, y), Easing.LINEAR);
    }

    private Track<Point> way() throws Exception {
        return RealWindow.fx(() -> t.studio.timeline().track("kite", Properties.POSITION));
    }

    private Point seen() throws Exception {
        return RealWindow.fx(() -> t.studio.target().valueAt("kite", Properties.POSITION));
    }

    private void at(double seconds) throws Exception {
        RealWindow.fx(() -> {
            t.studio.time().selectKeys(List.of());
            t.studio.select(List.of("kite"));
            t.studio.time().seek(Math.round(seconds * 1e6));
            return null;
        });
        t.settle();
    }

    private void drag(Point from, double dx, double dy) throws Exception {
        // Ctrl keeps it from snapping; held from the press on, it would take the pivot
        Point start = t.canvas(from.x(), from.y());
        t.moveTo(start);
        t.down();
        t.hold(KeyCode.CONTROL);
        Point end = t.canvas(from.x() + dx, from.y() + dy);
        for (int i = 1; i <= 6; i++) {
            t.moveTo(start.lerp(end, i / 6.0));
        }
        t.up();
        t.letGo(KeyCode.CONTROL);
    }

    /** At every time and from every grip of the body: where there was a key it moved, where there was none one was added; no other changed. */
    @Test
    void whatTheStripSaysIsWhatHappens() throws Exception {
        var trouble = new ArrayList<String>();
        for (double s : new double[] {0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4.5}) {
            for (double[] grip : new double[][] {{0, 0}, {-20, 0}, {18, 12}, {0, -14}}) {
                at(s);
                Track<Point> before = way();
                Point from = seen();
                // a bead of another time lies nearer than the body's own middle only if it is drawn there
                Point press = from.plus(new Point(grip[0], grip[1]));
                boolean onOther = before.keys().stream().anyMatch(k -> k.time() != RealTime.of(s) && k.value().distance(press) <= 9 && k.value()
                        .distance(from) > 8);
                String words = RealWindow.fx(() -> t.studio.target().consequence());
                boolean here = before.keyAt(RealTime.of(s)) != null;
                assertThat(words).contains(here ? "changes its" : "adds a position key here");
                if (onOther) {
                    continue;
                }
                drag(press, 23, -17);
                Track<Point> after = way();
                int wanted = before.keys().size() + (here ? 0 : 1);
                if (after.keys().size() != wanted || seen().distance(from.plus(new Point(23, -17))) > 1.01) {
                    trouble.add(s + " s, grip " + grip[0] + "," + grip[1] + ": " + after.keys().size() + " keys, seen " + seen());
                }
                for (Key<Point> k : before.keys()) {
                    if (k.time() != RealTime.of(s) && (after.keyAt(k.time()) == null || after.keyAt(k.time()).value().distance(k.value()) > 1e-9)) {
                        trouble.add(s + " s, grip " + grip[0] + "," + grip[1] + ": the key at " + k.time() + " changed");
                    }
                }
                t.run("undo");
            }
        }
        assertThat(trouble).isEmpty();
    }

    /** Times of the piece in µs at its frames. */
    private static final class RealTime {
        static long of(double seconds) {
            return Math.round(Math.round(seconds * 24) * 1e6 / 24);
        }
    }

    @Test
    void handlesWinOverBeadsAndBeadsAreToldBeforeTheyAreDragged() throws Exception {
        // the corner of the box lies on the bead at 1 s
        RealWindow.fx(() -> {
            t.studio.edit("Place", b -> Paths.move(b, "main", "kite", 0, new Point(265, 95)));
            return null;
        });
        at(0);
        Track<Point> before = way();
        drag(new Point(300, 120), 30, 20);
        assertThat(way().keyAt(1_000_000)).as("the corner was meant").isEqualTo(before.keyAt(1_000_000));
        assertThat(RealWindow.fx(() -> t.studio.target().valueAt("kite", Properties.SIZE))).isEqualTo(new Point(100, 70));
        t.run("undo");
        // another bead, away from everything else
        t.moveTo(t.canvas(480, 280));
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.target().consequence())).isEqualTo("dragging this bead changes where Kite is at 3 s");
        drag(new Point(480, 280), 20, 20);
        assertThat(way().keys().getLast().value().distance(new Point(500, 300))).isLessThan(1.01);
    }

    @Test
    void oneEasingForTheWholeWay() throws Exception {
        t.click("path-whole");
        Track<Point> whole = way();
        assertThat(whole.shape().whole()).isNotNull();
        for (Key<Point> k : whole.keys()) {
            at(k.time() / 1e6);
            // the playhead stands on the nearest frame: half a frame of a way of 560 px in 3 s at most
            assertThat(seen().distance(k.value())).as("where the bead at %d µs is", k.time()).isLessThan(8);
        }
        at(1.25);
        assertThat(RealWindow.fx(() -> t.studio.target().consequence())).contains("one easing runs over all of it");
        Point from = seen();
        drag(from.plus(new Point(-20, 0)), 15, 40);
        assertThat(seen().distance(from.plus(new Point(15, 40)))).as("it stays under the pointer").isLessThan(1.1);
        t.run("undo");
        assertThat(way()).isEqualTo(whole);
        // a bead between the ends is dragged, and stays chosen at the time at which it is passed then
        Key<Point> bead = whole.keys().get(1);
        drag(bead.value(), -40, 60);
        assertThat(way().keys().get(1).value().distance(bead.value().plus(new Point(-40, 60)))).isLessThan(1.1);
        assertThat(RealWindow.fx(() -> t.studio.time().keys())).singleElement()
                .satisfies(r -> assertThat(r.time()).isEqualTo(way().keys().get(1).time()));
        assertThat(way().keys().get(1).time()).isNotEqualTo(bead.time());
    }

    @Test
    void aClosedPathLeadsHomeWithNothingLost() throws Exception {
        List<Key<Point>> before = way().keys();
        t.click("path-closed");
        List<Key<Point>> closed = way().keys();
        assertThat(closed.subList(0, before.size())).isEqualTo(before);
        assertThat(closed).hasSize(before.size() + 1);
        assertThat(closed.getLast().value()).isEqualTo(before.getFirst().value());
        assertThat(RealWindow.fx(() -> t.studio.timeline().duration())).isGreaterThanOrEqualTo(closed.getLast().time());
        assertThat(RealWindow.fx(() -> t.studio.time().keys())).as("its bead is chosen, to be dragged").singleElement()
                .satisfies(r -> assertThat(r.time()).isEqualTo(closed.getLast().time()));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        assertThat(way().keys()).isEqualTo(before);
    }

    @Test
    void aDrawnShapeTakesTheTimeOfTheMoveThatItReplaces() throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(List.of("other"));
            t.w.commands.run("to-path");
            t.w.commands.run("copy");
            t.studio.select(List.of("kite"));
            return null;
        });
        t.run("paste-as-move");
        assertThat(way().keys().getFirst().time()).isZero();
        assertThat(way().keys().getLast().time()).isEqualTo(3_000_000);
        assertThat(way().keys()).hasSizeGreaterThan(4);
    }

    @Test
    void facingBelongsToTheWholeWayAndItsFrontIsSetByOnePress() throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("Back", b ->
                    b.mapTimeline("main", x -> x.with("kite", Properties.POSITION, new Track<>(List.of(key(0, 500, 200), key(2, 100, 200))))));
            t.studio.time().seek(1_000_000);
            t.studio.target().set("Face", null, "kite", Properties.FACE_PATH, "yes");
            return null;
        });
        t.settle();
        assertThat(RealWindow.fx(() -> t.studio.timeline().track("kite", Properties.FACE_PATH))).as("no key of it").isNull();
        assertThat(RealWindow.fx(() -> t.studio.board().rest("kite").get(Properties.FACE_PATH))).isEqualTo("yes");
        assertThat(turn()).as("it sets out turned over").isCloseTo(180, within(0.01));
        t.click("path-front");
        assertThat(turn()).isCloseTo(0, within(0.1));
        assertThat(RealWindow.fx(() -> t.node("path-front").getParent().isVisible())).isFalse();
        // its pivot moves the art, not the way
        Track<Point> way = way();
        t.run("pivot-feet");
        assertThat(way()).isEqualTo(way);
    }

    private double turn() throws Exception {
        return Math.abs(Math.IEEEremainder(RealWindow.fx(() -> {
            var m = t.studio.picture().frame().find("kite").toCanvas();
            return Math.toDegrees(Math.atan2(m.b(), m.a()));
        }), 360));
    }

    @Test
    void theFirstKeySaysWhatBecomesOfTheTimeBefore() throws Exception {
        RealWindow.fx(() -> {
            t.studio.select(List.of("other"));
            t.studio.time().seek(2_000_000);
            return null;
        });
        t.settle();
        assertThat(RealWindow.fx(() -> t.node("first-key").isVisible())).isTrue();
        assertThat(RealWindow.fx(() -> t.studio.target().consequence())).contains("it moves all the way from 0 s");
        t.click("first-UNTIL_HERE");
        assertThat(RealWindow.fx(() -> t.studio.target().consequence())).contains("it stays as it is until here");
        drag(new Point(560, 60), -60, 100);
        RealWindow.fx(() -> {
            t.studio.time().seek(1_900_000);
            return null;
        });
        assertThat(RealWindow.fx(() -> t.studio.target().valueAt("other", Properties.POSITION))).isEqualTo(new Point(560, 60));
        assertThat(RealWindow.fx(() -> t.w.settings.staysUntilFirstKey())).as("remembered").isTrue();
    }

    @Test
    void theRestingPlaceMovesByTheDrag() throws Exception {
        at(3);
        RealWindow.fx(() -> {
            t.studio.target().setScope(EditScope.REST);
            return null;
        });
        t.settle();
        drag(new Point(480, 280), 30, 10);
        assertThat(RealWindow.fx(() -> t.studio.board().rest("kite").get(Properties.POSITION))).as("100, 100 and the drag")
                .isEqualTo(new Point(130, 110));
        assertThat(RealWindow.fx(() -> t.studio.desk())).isEqualTo(Desk.ANIMATE);
    }

    @Test
    void aKeyOnTheLineKeepsTheSpeed() throws Exception {
        RealWindow.fx(() -> {
            t.studio.edit("Ease", b -> Keys.ease(b, "main", List.of(new Keys.Ref("kite", Properties.POSITION, 0)),
                    EasingText.parse("bounce-out")));
            return null;
        });
        Timeline before = t.studio.timeline();
        at(2.5);
        t.click(t.canvas(210, 111));
        assertThat(way().keys()).hasSize(5);
        for (long time = 0; time <= 3_000_000; time += 20_000) {
            Point was = PropertyEdit.valueAt(t.studio.board(), before, "kite", Properties.POSITION, time);
            Point is = PropertyEdit.valueAt(t.studio.board(), t.studio.timeline(), "kite", Properties.POSITION, time);
            assertThat(is.distance(was)).as("at %d", time).isLessThan(0.05);
        }
        assertThat(RealWindow.fx(() -> (CheckBox) t.node("path-whole")).isSelected()).isFalse();
    }
}
