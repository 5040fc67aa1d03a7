package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Values;
import tundra.render.Fonts;
import tundra.render.Still;
import tundra.samples.OpenNight;

/** What the editor paints and what Chromium shows of the published page is the same picture, and the same numbers. */
class ParityTest extends InBrowser {
    private static List<Double> times(Board b, long t) {
        return b.timelines().stream().map(x -> x.local(t) / 1000.0).toList();
    }

    private static void pictures(Project p, String name, double seconds, int frames, double least) throws Exception {
        Board b = p.scenes().getFirst().board();
        Path page = publish(p, name);
        var builder = FrameBuilder.of(p, b, Fonts.BUNDLED);
        var soft = new SoftAssertions();
        var seen = new ArrayList<String>();
        for (int i = 0; i < frames; i++) {
            long t = Math.round(seconds * 1e6 * (i + 0.5) / frames);
            browser.open(page, (int) b.size().x(), (int) b.size().y());
            byte[] theirs = browser.still(times(b, t), t / 1000.0), ours = Still.png(p, builder.at(t));
            double db = Psnr.of(ours, theirs);
            seen.add(String.format(java.util.Locale.ROOT, "%.1f", db));
            if (db < least + Double.parseDouble(System.getProperty("parity.keep", "0"))) {
                Files.createDirectories(Path.of("target/parity"));
                Files.write(Path.of("target/parity/" + name + i + "-tundra.png"), ours);
                Files.write(Path.of("target/parity/" + name + i + "-chromium.png"), theirs);
            }
            soft.assertThat(db).as("%s at %.2f s", name, t / 1e6).isGreaterThanOrEqualTo(least);
        }
        System.out.println("PSNR of " + name + ": " + seen + " dB");
        soft.assertAll();
    }

    @Test
    void theDemoLooksTheSame() throws Exception {
        pictures(OpenNight.project(), "demo", 8, 12, 45);
    }

    @Test
    void everyPropertyAndEasingLooksTheSame() throws Exception {
        pictures(EveryPiece.make(), "every", 4, 12, 44);
    }

    @Test
    void paintsAndStrokesLookTheSame() throws Exception {
        pictures(PaintPiece.make(), "paint", 4, 12, 44);
    }

    @Test
    void pathsMorphsAndBlendsLookTheSame() throws Exception {
        pictures(MotionPiece.make(), "motion", 4, 12, 44);
    }

    @Test
    void wordsAndGroupsThatChangeLookTheSame() throws Exception {
        pictures(TypePiece.make(), "type", 4, 12, 40);
    }

    @Test
    void textOfAllFamiliesLooksTheSame() throws Exception {
        // a canvas full of text; a letter out of place gives below 30
        pictures(PaintPiece.words(), "words", 1, 1, 39);
    }

    @Test
    void everyPropertyIsComparedSomewhere() throws Exception {
        EveryPiece.assertAllKeyed(java.util.stream.Stream.of(EveryPiece.make(), PaintPiece.make(), MotionPiece.make(), TypePiece.make(), EffectPiece.effects(), EffectPiece.blends())
                .flatMap(p -> p.scenes().getFirst().board().timelines().stream()).toList());
    }

    @Test
    void theNumbersAreTheSame() throws Exception {
        compare(EveryPiece.make(), "every-values", 4);
        compare(MotionPiece.make(), "motion-values", 4);
        compare(OpenNight.project(), "demo-values", 8);
    }

    @SuppressWarnings("unchecked")
    private static void compare(Project p, String name, double seconds) throws Exception {
        Board b = p.scenes().getFirst().board();
        browser.open(publish(p, name), 1280, 800);
        var builder = new FrameBuilder(b, Fonts.BUNDLED);
        var ids = new ArrayList<String>();
        b.timelines().forEach(t -> t.tracks().keySet().stream().filter(id -> !id.equals(Board.CANVAS)).forEach(ids::add));
        for (int i = 0; i < 200; i++) {
            // times between frames too, but not on a step's edge, where a rounding decides
            long t = Math.round(seconds * 1e6 * (i + 0.317) / 200);
            browser.seek(times(b, t), t / 1000.0);
            var values = (List<Map<String, String>>) browser.run("""
                    return arguments[0].map(id => { const s = getComputedStyle(document.querySelector('.' + id));
                      return { translate: s.translate, origin: s.transformOrigin, rotate: s.rotate, scale: s.scale, opacity: s.opacity }; })""", ids.stream().map(PageId::of).toList());
            for (int k = 0; k < ids.size(); k++) {
                check(ids.get(k) + " at " + t, builder.valuesAt(ids.get(k), t), values.get(k));
            }
        }
    }

    private static void check(String what, Values v, Map<String, String> css) {
        double[] translate = numbers(css.get("translate"), 0, 0), origin = numbers(css.get("origin"), 0, 0);
        Point position = v.get(Properties.POSITION);
        assertThat(translate[0] + origin[0]).as(what + " x").isCloseTo(position.x(), within(0.02));
        assertThat(translate[1] + origin[1]).as(what + " y").isCloseTo(position.y(), within(0.02));
        assertThat(numbers(css.get("rotate"), 0)[0]).as(what + " rotation").isCloseTo(v.get(Properties.ROTATION), within(0.001));
        double[] scale = css.get("scale").equals("none") ? new double[] {1, 1} : numbers(css.get("scale"), Double.NaN, Double.NaN);
        assertThat(scale[0]).as(what + " scale x").isCloseTo(v.get(Properties.SCALE).x(), within(0.00001));
        assertThat(Double.isNaN(scale[1]) ? scale[0] : scale[1]).as(what + " scale y").isCloseTo(v.get(Properties.SCALE).y(), within(0.00001));
        assertThat(Double.parseDouble(css.get("opacity"))).as(what + " opacity").isCloseTo(v.get(Properties.OPACITY), within(0.00001));
    }

    /** The numbers of a CSS value; those that it leaves out are the given ones. */
    private static double[] numbers(String css, double... out) {
        var m = java.util.regex.Pattern.compile("-?[0-9.]+(?:e-?[0-9]+)?").matcher(css.equals("none") ? "" : css);
        for (int i = 0; i < out.length && m.find(); i++) {
            out[i] = Double.parseDouble(m.group());
        }
        return out;
    }
}
