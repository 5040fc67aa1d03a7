package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import javafx.scene.web.WebView;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Affine;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Gradient.Stop;
import tundra.core.model.Gradient;
import tundra.core.model.Paint;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.EasingText;
import tundra.core.motion.Key;
import tundra.core.motion.NamedEasing;
import tundra.core.motion.PathShape;
import tundra.core.motion.Track;
import tundra.render.Fonts;

/** The published page in the engine that Try it shows it with: the same numbers as the evaluator's. */
class WebViewTest extends InWindow {
    @TempDir
    private Path folder;
    private final List<Element> elements = new ArrayList<>();
    private Timeline timeline = new Timeline("main", Timeline.MAIN, 4_000_000, false, true, Map.of());

    private void add(String id, Content c, Values v) {
        elements.add(new Element(id, id, false, false, v.with(Properties.POSITION, new Point(100, 100)).with(Properties.SIZE, new Point(60, 40))
                .with(Properties.FILL, Color.parse("#2F78A3")), c));
    }

    private <T> void key(String id, Property<T> p, Easing e, T from, T to) {
        timeline = timeline.with(id, p, new Track<>(List.of(new Key<>(0, from, e), new Key<>(4_000_000, to, Easing.LINEAR))));
    }

    private Project piece() {
        int i = 0;
        for (NamedEasing n : NamedEasing.ALL) {
            add("e" + i, new Content.Rectangle(), Values.NONE);
            key("e" + i, Properties.POSITION, n.easing(), new Point(50, 20), new Point(350, 30));
            key("e" + i, Properties.ROTATION, n.easing(), -40.0, 200.0);
            key("e" + i, Properties.OPACITY, n.easing(), 0.2, 0.9);
            key("e" + i, Properties.FILL, n.easing(), Color.parse("#2F78A3"), Color.parse("#DB7A22"));
            i++;
        }
        add("faces", new Content.Rectangle(), Values.NONE.with(Properties.FACE_PATH, "yes").with(Properties.FRONT, 180.0));
        var places = List.of(new Key<>(0, new Point(60, 200), Easing.LINEAR), new Key<>(1_500_000, new Point(200, 120), Easing.LINEAR),
                new Key<>(3_000_000, new Point(260, 260), Easing.LINEAR), new Key<>(4_000_000, new Point(60, 200), Easing.LINEAR));
        timeline = timeline.with("faces", Properties.POSITION, new Track<>(places, new PathShape(0.8, true, EasingText.parse("sine-both"))));
        add("skewed", new Content.Rectangle(), Values.NONE);
        key("skewed", Properties.SKEW, EasingText.parse("back-out"), new Point(-20, 0), new Point(30, 12));
        key("skewed", Properties.SCALE, EasingText.parse("spring(180, 8, 1)"), new Point(1, 1), new Point(1.6, 0.5));
        add("halves", new Content.Rectangle(), Values.NONE);
        key("halves", Properties.POSITION_X, Easing.LINEAR, 10.0, 300.0);
        key("halves", Properties.POSITION_Y, EasingText.parse("bounce-out"), 0.0, 120.0);
        Outline square = Outline.rectangle(new Rect(0, 0, 60, 40), 0);
        add("morph", new Content.Path(square, new Point(60, 40)), Values.NONE);
        key("morph", Properties.OUTLINE, EasingText.parse("quad-in"), square, Outline.ellipse(new Rect(-10, 0, 90, 60)));
        add("blend", new Content.Rectangle(), Values.NONE);
        Gradient g = Gradient.linear(List.of(new Stop(0, Color.parse("#2E5D73")), new Stop(1, Color.parse("#FFE39A"))));
        key("blend", Properties.FILL, Easing.LINEAR, (Paint) g,
                (Paint) g.withStops(List.of(new Stop(0.4, Color.parse("#C8503A")), new Stop(0.8, Color.parse("#48C9A6")))));
        var board = new Board(new Point(640, 400), Values.NONE, elements, List.of(timeline), List.of());
        Project p = Project.empty("WebView", new Point(640, 400), 24);
        return p.mapBoard(p.scenes().getFirst().id(), b -> board);
    }

    private static String run(WebView v, String script) throws Exception {
        return RealWindow.fx(() -> String.valueOf(v.getEngine().executeScript(script)));
    }

    private static double[] numbers(String css, double... out) {
        var m = Pattern.compile("-?[0-9.]+(?:e-?[0-9]+)?").matcher(css.equals("none") || css.equals("undefined") ? "" : css);
        for (int i = 0; i < out.length && m.find(); i++) {
            out[i] = Double.parseDouble(m.group());
        }
        return out;
    }

    @Test
    void theNumbersAreTheEvaluators() throws Exception {
        Project p = piece();
        WebView v = PageInView.open(t, p, folder);
        assertThat(run(v, "Tundra.pieces.length")).as("the piece started").isEqualTo("1");
        var builder = new FrameBuilder(p.scenes().getFirst().board(), Fonts.BUNDLED);
        for (int i = 0; i < 40; i++) {
            long time = Math.round(4e6 * (i + 0.317) / 40);
            run(v, "Tundra.pieces[0].timeline('Main').pause(); Tundra.pieces[0].timeline('Main').goTo(" + time / 1000.0 + ")");
            for (Element e : p.scenes().getFirst().board().elements()) {
                String style = "getComputedStyle(document.querySelector('.t-" + e.id() + "'))";
                Values now = builder.valuesAt(e.id(), time);
                double[] translate = numbers(run(v, style + ".translate"), 0, 0), origin = numbers(run(v, style + ".transformOrigin"), 0, 0);
                Point at = now.get(Properties.POSITION);
                String what = e.id() + " at " + time;
                assertThat(translate[0] + origin[0]).as(what + " x").isCloseTo(at.x(), within(0.02));
                assertThat(translate[1] + origin[1]).as(what + " y").isCloseTo(at.y(), within(0.02));
                assertThat(numbers(run(v, style + ".rotate"), 0)[0]).as(what + " rotation").isCloseTo(now.get(Properties.ROTATION), within(0.001));
                assertThat(Double.parseDouble(run(v, style + ".opacity"))).as(what + " opacity").isCloseTo(now.get(Properties.OPACITY), within(1e-5));
            }
            Affine skew = Affine.skew(builder.valueAt("skewed", Properties.SKEW, time));
            double[] m = numbers(run(v, "getComputedStyle(document.querySelector('.t-skewed')).transform").replace("matrix", ""), 1, 0, 0, 1);
            assertThat(m).as("skew at " + time).containsExactly(new double[] {skew.a(), skew.b(), skew.c(), skew.d()}, within(1e-4));
            Outline o = builder.valueAt("morph", Properties.OUTLINE, time);
            double[] d = numbers(run(v, "document.querySelector('.t-morph-s').getAttribute('d')"), 0, 0, 0, 0);
            assertThat(d[0]).as("morph at " + time).isCloseTo(o.contours().getFirst().nodes().getFirst().at().x(), within(0.02));
            var blend = (Gradient) builder.valueAt("blend", Properties.FILL, time);
            String offset = run(v, "document.querySelectorAll('.t-blend stop[class]')[0].getAttribute('offset')");
            assertThat(Double.parseDouble(offset)).as("stop at " + time).isCloseTo(blend.stops().getFirst().at(), within(1e-4));
        }
    }
}
