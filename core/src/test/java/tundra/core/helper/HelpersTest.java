package tundra.core.helper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import tundra.core.edit.PropertyEdit;
import tundra.core.frame.FakeMeasurer;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Scatter;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;

/** The helpers' moves against the mechanics that they claim. */
class HelpersTest {
    private static Element ball(String id, double x) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, 300)).with(Properties.SIZE, new Point(40, 40))
                .with(Properties.FILL, Color.BLACK).with(Properties.STROKE, Color.BLACK), new Content.Ellipse());
    }

    private static Job job(int balls) {
        var all = IntStream.range(0, balls).mapToObj(i -> ball("b" + i, 100 + 60 * i)).toList();
        var board = new Board(new Point(640, 400), Values.NONE, all, List.of(new Timeline("t", "Main", 4_000_000, false, true, Map.of())), List.of());
        Project p = Project.empty("p", new Point(640, 400), 24);
        return new Job(p.mapBoard(p.scenes().getFirst().id(), b -> board), board, "t", all.stream().map(Element::id).toList(), 500_000,
                new FakeMeasurer());
    }

    private static <T> T at(Board b, String id, Property<T> p, double seconds) {
        return PropertyEdit.valueAt(b, b.main(), id, p, Math.round(seconds * 1e6));
    }

    private static Helper helper(String name) {
        return Helpers.ALL.stream().filter(h -> h.name().equals(name)).findFirst().orElseThrow();
    }

    /** The numbers of a helper, from its standard ones on where fewer are given. */
    private static double[] numbers(String helper, double... given) {
        double[] all = helper(helper).params().stream().mapToDouble(Param::standard).toArray();
        System.arraycopy(given, 0, all, 0, given.length);
        return all;
    }

    @Test
    void aBounceIsStretchedBeforeTheFloorAndSquashedFromItOn() {
        Board b = helper("Bounce").apply(job(1), numbers("Bounce", 200, 0.5, 3, 2000, 0.3, 0)).board();
        double touch = 0.5 + Math.sqrt(2 * 200 / 2000.0);
        for (double s = touch - 0.3; s < touch - 1e-4; s += 0.004) {
            assertThat(at(b, "b0", Properties.SCALE, s).y()).as("never flat before it lands, at %.3f", s - touch).isGreaterThanOrEqualTo(1);
        }
        assertThat(at(b, "b0", Properties.SCALE, touch - 0.005).y()).isGreaterThan(1.1);
        assertThat(at(b, "b0", Properties.SCALE, touch + 0.01).y()).isLessThan(0.9);
    }

    @Test
    void contactsComeToFramesAndHeightsFollowTheTimes() {
        Board b = helper("Bounce").apply(job(1), numbers("Bounce", 200, 0.6, 4, 2000, 0, 0, 0, 1)).board();
        var keys = b.main().track("b0", Properties.POSITION_Y).keys();
        var contacts = keys.stream().filter(k -> Math.abs(k.value() - 300) < 1e-9).toList();
        assertThat(contacts).hasSize(5);
        for (var k : contacts) {
            assertThat(k.time() * 24 / 1e6).isCloseTo(Math.rint(k.time() * 24 / 1e6), within(1e-4));
        }
        // between two contacts it rises to g·s²/2, where s is half of the time
        for (int i = 0; i + 1 < contacts.size(); i++) {
            double half = (contacts.get(i + 1).time() - contacts.get(i).time()) / 2e6, middle = contacts.get(i).time() / 1e6 + half;
            assertThat(300 - at(b, "b0", Properties.POSITION_Y, middle)).isCloseTo(2000 * half * half / 2, within(0.01));
        }
    }

    @Test
    void aSlideComesFromTheChosenSideByTheWay() {
        Point home = new Point(100, 300);
        Point[] from = {new Point(20, 300), new Point(180, 300), new Point(100, 220), new Point(100, 380)};
        for (int side = 0; side < 4; side++) {
            for (String helper : List.of("Appear", "Leave")) {
                Board b = helper(helper).apply(job(1), numbers(helper, 3, 1, 80, side)).board();
                double there = helper.equals("Appear") ? 1.5 : 0.5, away = 2 - there;
                assertThat(at(b, "b0", Properties.POSITION, there).distance(home)).as("%s, side %d", helper, side).isLessThan(1e-9);
                assertThat(at(b, "b0", Properties.POSITION, away).distance(from[side])).as("%s, side %d", helper, side).isLessThan(1e-9);
                assertThat(at(b, "b0", Properties.OPACITY, away)).as("it fades where the way begins within the picture").isZero();
            }
        }
        Board far = helper("Appear").apply(job(1), numbers("Appear", 3, 1, 400, 0)).board();
        assertThat(at(far, "b0", Properties.OPACITY, 0.5)).as("from outside nothing has to fade").isEqualTo(1);
    }

    @Test
    void anOutlineIsDrawnOnlyWhereThereIsOne() {
        Helper appear = helper("Appear");
        Job two = job(2);
        Board bare = two.board().withRest("b0", v -> v.with(Properties.STROKE_WIDTH, 0.0));
        assertThat(appear.offers(new Job(two.project(), bare, "t", List.of("b0"), 0, new FakeMeasurer()), 0, 4)).as("a stroke of no width").isFalse();
        assertThat(appear.offers(new Job(two.project(), bare, "t", List.of("b0", "b1"), 0, new FakeMeasurer()), 0, 4)).isTrue();
        assertThat(IntStream.range(0, 4).allMatch(k -> appear.offers(job(1), 0, k))).isTrue();
    }

    @Test
    void itCanFallFromWhereItStands() {
        Board b = helper("Bounce").apply(job(1), numbers("Bounce", 150, 0.6, 2, 2000, 0, 0, 1, 0)).board();
        assertThat(at(b, "b0", Properties.POSITION_Y, 0.5)).isEqualTo(300);
        assertThat(at(b, "b0", Properties.POSITION_Y, 3.9)).isCloseTo(450, within(1e-6));
    }

    @Test
    void copiesVaryWithinTheirRangesAndComeAgainWithTheirSeed() {
        double[] n = numbers("Copies with their move", 40, 0, 1, 0, 0, 0, 30, 0.5, 0.4, 90, 0, 20, 7);
        Board once = helper("Copies with their move").apply(job(1), n).board(), again = helper("Copies with their move").apply(job(1), n).board();
        var turns = new HashSet<Double>();
        for (int i = 1; i <= 40; i++) {
            Values v = once.elements().get(i).rest();
            assertThat(v.get(Properties.ROTATION)).isBetween(-30.0, 30.0);
            assertThat(v.get(Properties.SCALE).x()).isBetween(0.5, 1.5).isEqualTo(v.get(Properties.SCALE).y());
            assertThat(v.get(Properties.OPACITY)).isBetween(0.6, 1.0);
            Point off = v.get(Properties.POSITION).minus(new Point(100, 300));
            assertThat(Math.max(Math.abs(off.x()), Math.abs(off.y()))).isLessThanOrEqualTo(20);
            turns.add(v.get(Properties.ROTATION));
            assertThat(again.elements().get(i).rest()).as("the same seed").isEqualTo(v);
        }
        assertThat(turns).hasSizeGreaterThan(35);
        n[12] = 8;
        assertThat(helper("Copies with their move").apply(job(1), n).board().elements().get(1).rest()).isNotEqualTo(once.elements().get(1).rest());
    }

    @Test
    void aBounceFollowsGravityInEveryArc() {
        double h = 200, kept = 0.6, g = 2000;
        Board b = helper("Bounce").apply(job(1), numbers("Bounce", h, kept, 5, g, 0, 120)).board();
        double t = 0.5, fall = Math.sqrt(2 * h / g);
        // the first fall: y = h − ½gt²
        for (double s = 0; s < fall; s += 0.01) {
            assertThat(300 - at(b, "b0", Properties.POSITION_Y, t + s)).isCloseTo(h - g * s * s / 2, within(0.01));
        }
        t += fall;
        for (int n = 1; n <= 5; n++) {
            // with restitution e (e² = energy kept) the n-th arc is h·e²ⁿ high and takes 2√(2h/g)
            double high = h * Math.pow(kept, n), half = Math.sqrt(2 * high / g), speed = g * half;
            for (double s = 0; s < 2 * half; s += 0.013) {
                assertThat(300 - at(b, "b0", Properties.POSITION_Y, t + s)).as("arc %d", n).isCloseTo(speed * s - g * s * s / 2, within(0.02));
            }
            t += 2 * half;
        }
        assertThat(at(b, "b0", Properties.POSITION_Y, t + 1)).isCloseTo(300, within(1e-6));
        assertThat(at(b, "b0", Properties.POSITION_X, t)).isCloseTo(220, within(0.01));
    }

    @Test
    void aSquashKeepsTheAreaAndTheFloor() {
        Job job = job(1);
        Board b = helper("Bounce").apply(job, numbers("Bounce", 200, 0.5, 3, 2000, 0.3, 0)).board();
        var frames = new FrameBuilder(b, new FakeMeasurer());
        double touch = 0.5 + Math.sqrt(2 * 200 / 2000.0);
        Point scale = at(b, "b0", Properties.SCALE, touch);
        assertThat(scale.y()).isCloseTo(0.7, within(1e-6));
        var bounds = frames.at(Math.round(touch * 1e6)).find("b0").bounds();
        assertThat(bounds.bottom()).as("its foot stays on the floor").isCloseTo(320, within(0.05));
        for (double s = 0.5; s < 3; s += 0.02) {
            Point k = at(b, "b0", Properties.SCALE, s);
            // exact at the touch; on the way in and out the two scales are eased each on its own
            assertThat(k.x() * k.y()).isCloseTo(1, within(0.04));
        }
        assertThat(scale.x() * scale.y()).isCloseTo(1, within(1e-9));
    }

    @Test
    void untilStillEnds() {
        var written = helper("Bounce").apply(job(1), numbers("Bounce", 300, 0.8, 0, 1500, 0, 0));
        // the sum of a geometric series bounds the time: t₁ (1 + 2√k/(1 − √k))
        double bound = Math.sqrt(2 * 300 / 1500.0) * (1 + 2 * Math.sqrt(0.8) / (1 - Math.sqrt(0.8)));
        assertThat(written.length() / 1e6).isBetween(bound * 0.8, bound);
        assertThat(written.board().main().duration()).as("the timeline grows with it").isGreaterThanOrEqualTo(500_000 + written.length());
    }

    @Test
    void aDriftEndsAsItBegins() {
        Board b = helper("Drift").apply(job(2), new double[] {25, 6, 1.5, 3, 42}).board();
        double h = 1e-3;
        for (String id : List.of("b0", "b1")) {
            Point a = at(b, id, Properties.POSITION, 0.5), z = at(b, id, Properties.POSITION, 3.5);
            assertThat(a.distance(z)).isLessThan(1e-9);
            Point out = at(b, id, Properties.POSITION, 0.5 + h).minus(a).times(1 / h), in = z.minus(at(b, id, Properties.POSITION, 3.5 - h))
                    .times(1 / h);
            assertThat(out.distance(in)).as("px a second").isLessThan(out.length() * 0.03);
            assertThat(at(b, id, Properties.ROTATION, 3.5)).isCloseTo(at(b, id, Properties.ROTATION, 0.5), within(1e-9));
            for (double s = 0.5; s < 3.5; s += 0.05) {
                assertThat(at(b, id, Properties.POSITION, s).distance(a)).isLessThan(25 * 1.6);
                assertThat(Math.abs(at(b, id, Properties.ROTATION, s))).isLessThanOrEqualTo(6);
            }
        }
        assertThat(at(b, "b0", Properties.POSITION, 1.2).minus(at(b, "b0", Properties.POSITION, 0.5))
                .distance(at(b, "b1", Properties.POSITION, 1.2).minus(at(b, "b1", Properties.POSITION, 0.5)))).as("each its own way")
                .isGreaterThan(0.5);
        Board again = helper("Drift").apply(job(2), new double[] {25, 6, 1.5, 3, 42}).board();
        assertThat(again).as("the seed decides").isEqualTo(b);
    }

    @Test
    void theInstancesOfAScatterDriftOutOfStep() {
        var children = IntStream.range(0, 6).mapToObj(i -> ball("c" + i, 50 * i)).toList();
        var ranges = new EnumMap<Scatter.Channel, Scatter.Range>(Scatter.Channel.class);
        for (Scatter.Channel c : Scatter.Channel.values()) {
            ranges.put(c, new Scatter.Range(0, 1, 1));
        }
        var group = new Element("g", "Scatter", false, false, Values.NONE, new Content.Group(children, new Point(300, 300), null,
                new Scatter(6, ranges)));
        Job of = job(1);
        var job = new Job(of.project(), of.board().withElements(List.of(group)), "t", List.of("g"), 0, of.measure());
        Board b = helper("Drift").apply(job, new double[] {20, 5, 2, 3, 42}).board();
        assertThat(b.main().track("g", Properties.POSITION)).as("the scatter stays").isNull();
        for (int i = 0; i < 6; i++) {
            String id = "c" + i;
            Point home = new Point(50 * i, 300);
            assertThat(at(b, id, Properties.POSITION, 0).distance(at(b, id, Properties.POSITION, 3))).isLessThan(1e-9);
            assertThat(at(b, id, Properties.ROTATION, 3)).isCloseTo(at(b, id, Properties.ROTATION, 0), within(1e-9));
            // six steps of half a second for six instances: each comes home half a second after the one before
            assertThat(at(b, id, Properties.POSITION, i * 0.5).distance(home)).as(id).isLessThan(i == 0 ? 1e-9 : 20 * 1.6);
            assertThat(b.main().track(id, Properties.POSITION).keys().get(i).value()).isEqualTo(home);
            assertThat(at(b, id, Properties.ROTATION, i * 0.5)).isCloseTo(0, within(1e-9));
        }
        assertThat(at(b, "c3", Properties.POSITION, 0)).as("not all are at home at once").isNotEqualTo(new Point(150, 300));
    }

    @Test
    void aSwingLosesItsShareEachWay() {
        Board b = helper("Swing").apply(job(1), new double[] {30, 1, 0.5, 0}).board();
        for (int k = 0; k < 5; k++) {
            assertThat(at(b, "b0", Properties.ROTATION, 0.5 + k * 0.5)).isCloseTo(30 * Math.pow(-0.5, k), within(1e-9));
        }
        assertThat(at(b, "b0", Properties.ROTATION, 10)).isZero();
    }

    @Test
    void aStaggerShiftsEachMoveInItsOrder() {
        Job four = job(4);
        Board moving = helper("Appear").apply(four, new double[] {0, 0.5, 0}).board();
        var job = new Job(four.project(), moving, "t", four.elements(), 500_000, four.measure());
        Board b = helper("Stagger").apply(job, new double[] {0.25, 1, 0, 1}).board();
        for (int i = 0; i < 4; i++) {
            assertThat(b.main().track("b" + i, Properties.OPACITY).keys().getFirst().time()).as("from the end")
                    .isEqualTo(500_000 + (3 - i) * 250_000);
        }
        assertThat(Stagger.ordered(List.of("a", "b", "c", "d", "e"), 2, 0)).containsExactly("c", "b", "d", "a", "e");
        assertThat(helper("Stagger").refuses(job(3))).isNotNull();
    }

    @Test
    void comingAndGoingEndWhereTheElementIs() {
        for (int how = 0; how < 5; how++) {
            Board b = helper("Appear").apply(job(1), numbers("Appear", how, 0.5, 40)).board();
            var values = new FrameBuilder(b, new FakeMeasurer()).valuesAt("b0", 1_200_000);
            assertThat(values.get(Properties.POSITION)).isEqualTo(new Point(100, 300));
            assertThat(values.get(Properties.SCALE)).isEqualTo(new Point(1, 1));
            assertThat(values.get(Properties.OPACITY)).isEqualTo(1);
            assertThat(values.get(Properties.REVEAL)).isEqualTo(new Point(0, 1));
            assertThat(new FrameBuilder(b, new FakeMeasurer()).valuesAt("b0", 500_000)).as("how %d starts elsewhere", how).isNotEqualTo(values);
        }
        Board b = helper("Leave").apply(job(1), numbers("Leave", 0, 0.5, 40)).board();
        assertThat(at(b, "b0", Properties.OPACITY, 0.5)).isEqualTo(1);
        assertThat(at(b, "b0", Properties.OPACITY, 2)).isZero();
    }

    @Test
    void aFlyingDashIsOnTheOutlineOnlyWhileItFlies() {
        Board b = helper("Flying dash").apply(job(1), new double[] {30, 1, 2, 0}).board();
        // the circumference of a circle of 40 px
        double round = Math.PI * 40;
        assertThat(b.rest("b0").get(Properties.GAP)).isCloseTo(round + 30, within(0.1));
        assertThat(at(b, "b0", Properties.DASH_OFFSET, 0.5)).isCloseTo(30, within(1e-9));
        assertThat(at(b, "b0", Properties.DASH_OFFSET, 1.0)).isCloseTo(30 - (30 + round) / 2, within(0.1));
        assertThat(at(b, "b0", Properties.DASH_OFFSET, 1.5)).as("the second flight").isCloseTo(30, within(0.1));
    }

    @Test
    void copiesDoTheSameLaterAndMirrored() {
        Job one = job(1);
        Board moving = helper("Appear").apply(one, new double[] {1, 0.5, 40}).board();
        var job = new Job(one.project(), moving, "t", one.elements(), 500_000, one.measure());
        Board b = helper("Copies with their move").apply(job, numbers("Copies with their move", 2, 0.25, 2, 50, 0, 1)).board();
        assertThat(b.elements()).hasSize(3);
        var second = b.main().track(b.elements().get(1).id(), Properties.POSITION_Y).keys();
        assertThat(second.getFirst().time()).isEqualTo(750_000);
        assertThat(second.getLast().time() - second.getFirst().time()).as("twice as slow").isEqualTo(1_000_000);
        assertThat(b.elements().get(1).rest().get(Properties.SCALE).x()).isEqualTo(-1);
        assertThat(b.elements().get(2).rest().get(Properties.SCALE).x()).isEqualTo(1);
        assertThat(b.elements().get(2).rest().get(Properties.POSITION)).isEqualTo(new Point(200, 300));
    }

    @Test
    void aFlyingDashIsOneDashThatGoesFromTheStartToTheEnd() {
        Job job = job(1);
        var helper = helper("Flying dash");
        assertThat(helper.refuses(job)).isNull();
        var written = helper.apply(job, new double[] {30, 2, 2, 0});
        assertThat(written.length()).as("twice two seconds").isEqualTo(4_000_000);
        Board b = written.board();
        double around = Math.PI * 40;
        assertThat(b.rest("b0").get(Properties.DASH)).isEqualTo(30);
        assertThat(b.rest("b0").get(Properties.GAP)).as("no second dash fits on it").isGreaterThan(around);
        // an offset of d px moves the dash back by d: it starts just before the outline and ends just after it
        assertThat(at(b, "b0", Properties.DASH_OFFSET, 0.5)).isEqualTo(30);
        assertThat(at(b, "b0", Properties.DASH_OFFSET, 1.5)).isCloseTo((30 - around) / 2, within(0.05));
        assertThat(at(b, "b0", Properties.DASH_OFFSET, 2.499999)).isCloseTo(-around, within(0.05));
        assertThat(at(b, "b0", Properties.DASH_OFFSET, 2.5)).as("and again").isEqualTo(30);
        assertThat(at(b, "b0", Properties.DASH_OFFSET, 4.5)).isCloseTo(-around, within(0.05));
    }

    @Test
    void aFlyingDashNeedsAStroke() {
        Job job = job(1);
        Board bare = job.board().withRest("b0", v -> v.with(Properties.STROKE, Color.NONE));
        assertThat(helper("Flying dash").refuses(new Job(job.project(), bare, "t", job.elements(), 0, new FakeMeasurer()))).contains("stroke");
    }

    @Test
    void copiesDoTheSameLaterFurtherAndSlower() {
        Job plain = job(1);
        Board moving = Job.write(plain.board(), "t", "b0", Properties.ROTATION, List.of(Job.key(0, 0.0, Easing.LINEAR),
                Job.key(1_000_000, 90.0, Easing.LINEAR)));
        var job = new Job(plain.project(), moving, "t", List.of("b0"), 0, new FakeMeasurer());
        Board b = helper("Copies with their move").apply(job, numbers("Copies with their move", 3, 0.5, 2, 40, -10, 0)).board();
        assertThat(b.elements()).hasSize(4);
        for (int i = 1; i <= 3; i++) {
            String id = b.elements().get(i).id();
            assertThat(b.rest(id).get(Properties.POSITION)).isEqualTo(new Point(100 + 40 * i, 300 - 10 * i));
            var keys = b.main().track(id, Properties.ROTATION).keys();
            assertThat(keys.getFirst().time()).isEqualTo(500_000L * i);
            assertThat(keys.getLast().time()).as("each takes twice as long as the one before").isEqualTo(500_000L * i + (1_000_000L << i));
        }
        assertThat(b.main().duration()).as("the timeline grows").isGreaterThanOrEqualTo(9_500_000);
        assertThat(b.elements()).extracting(Element::name).doesNotHaveDuplicates();
    }

    private static Element hills(String id, double x, double width) {
        return new Element(id, id, false, false, Values.NONE.with(Properties.POSITION, new Point(x, 200)).with(Properties.SIZE, new Point(width, 100))
                .with(Properties.FILL, Color.BLACK), new Content.Rectangle());
    }

    /** Two layers as wide as the canvas of 640 px and a tree of 40 px go by in 8 s. */
    @Test
    void sceneryPassesByEvenlyAndWithoutASeam() {
        var all = List.of(hills("back", 350, 700), hills("front", 400, 800), hills("tree", 100, 40));
        var board = new Board(new Point(640, 400), Values.NONE, all, List.of(new Timeline("t", "Main", 8_000_000, false, true, Map.of())), List.of());
        Project p = Project.empty("p", new Point(640, 400), 24);
        var job = new Job(p.mapBoard(p.scenes().getFirst().id(), x -> board), board, "t", List.of("back", "front", "tree"), 0, new FakeMeasurer());
        Board b = helper("Passes by").apply(job, numbers("Passes by", 4, 0, 0.5)).board();
        assertThat(b.main().loop()).isTrue();
        assertThat(b.elements()).extracting(Element::id).hasSize(5);
        assertThat(b.elements().get(0).id()).isEqualTo("back");
        assertThat(b.elements().get(2).id()).as("its copy lies beside it").isEqualTo("front");
        for (String layer : List.of("back", "front")) {
            String copy = b.elements().get(b.elements().indexOf(b.find(layer)) + 1).id();
            double width = layer.equals("back") ? 700 : 800, first = at(b, layer, Properties.POSITION, 0).x();
            for (double s = 0; s < 8; s += 0.037) {
                double left = Math.min(at(b, layer, Properties.POSITION, s).x(), at(b, copy, Properties.POSITION, s).x()) - width / 2;
                assertThat(left).as("%s at %.3f covers the left side", layer, s).isLessThanOrEqualTo(0.01);
                assertThat(left + 2 * width).as("%s at %.3f covers the right side", layer, s).isGreaterThanOrEqualTo(640 - 0.01);
            }
            // the tree is in front, so the front hills are the second layer: a round in 8 s; the back one in 16, but at least one whole round
            assertThat(at(b, layer, Properties.POSITION, 4).x()).as("half way at half time").isCloseTo(first - width / 2, within(0.01));
        }
        // the tree goes round in 4 s, 680 px a round, and comes back to where it stood
        assertThat(at(b, "tree", Properties.POSITION, 0).x()).isEqualTo(100);
        assertThat(at(b, "tree", Properties.POSITION, 0.5).x()).isCloseTo(100 - 85, within(0.01));
        assertThat(at(b, "tree", Properties.POSITION, 2).x()).isCloseTo(100 - 340 + 680, within(0.01));
        assertThat(at(b, "tree", Properties.POSITION, 7.999999).x()).isCloseTo(100, within(0.01));
    }
}
