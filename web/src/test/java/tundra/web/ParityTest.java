package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import tundra.core.fit.Frames;
import tundra.core.frame.FrameBuilder;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Timeline;
import tundra.core.model.Values;
import tundra.core.motion.MotionPath;
import tundra.core.motion.Track;
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
        var builder = Frames.of(p, b, Fonts.BUNDLED);
        var soft = new SoftAssertions();
        var seen = new ArrayList<String>();
        for (int i = 0; i < frames; i++) {
            long t = Math.round(seconds * 1e6 * (i + 0.5) / frames);
            browser.open(page, (int) b.size().x(), (int) b.size().y());
            byte[] theirs = browser.still(times(b, t), t / 1000.0), ours = Still.png(p, builder.at(t));
            double db = Psnr.of(ours, theirs);
            seen.add(String.format(Locale.ROOT, "%.1f", db));
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
        EveryPiece.assertAllKeyed(Stream.of(EveryPiece.make(), PaintPiece.make(), MotionPiece.make(), TypePiece.make(), EffectPiece.effects(),
                EffectPiece.blends())
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
        // times between frames too, but not on a step's edge, where a rounding decides
        var moments = IntStream.range(0, 200).mapToLong(i -> Math.round(seconds * 1e6 * (i + 0.317) / 200)).boxed().toList();
        var values = (List<List<Map<String, String>>>) browser.run("""
                return arguments[1].map(([times, since]) => {
                  const s = Tundra.pieces[0].scenes[0];
                  s.timelines.forEach((t, i) => { if (t.starts) t.goTo(times[i]); });
                  s.board.run({ playing: false, at: since });
                  return arguments[0].map(id => { const s = getComputedStyle(document.querySelector('.' + id));
                    return { translate: s.translate, origin: s.transformOrigin, rotate: s.rotate, scale: s.scale, opacity: s.opacity }; });
                })""", ids.stream().map(PageId::of).toList(), moments.stream().map(t -> List.of(times(b, t), t / 1000.0)).toList());
        List<Double> px = ids.stream().map(id -> b.timelines().stream().anyMatch(t -> bends(t, id)) ? Baker.WAY + 0.01 : 0.02).toList();
        var apart = new ArrayList<String>();
        for (int i = 0; i < moments.size(); i++) {
            for (int k = 0; k < ids.size(); k++) {
                compare(ids.get(k) + " at " + moments.get(i), builder.valuesAt(ids.get(k), moments.get(i)), values.get(i).get(k), px.get(k), apart);
            }
        }
        assertThat(apart).as(name).isEmpty();
    }

    /** Whether a timeline takes an element along a way that bends, or by both halves of its place, which are straight pieces on the page. */
    private static boolean bends(Timeline t, String id) {
        Track<Point> track = t.track(id, Properties.POSITION);
        var path = track == null ? null : new MotionPath(track);
        return t.track(id, Properties.POSITION_X) != null || t.track(id, Properties.POSITION_Y) != null || track != null
                && (track.shape().whole() != null || IntStream.range(0, track.keys().size() - 1).anyMatch(path::curved));
    }

    /**
     * Notes which numbers of an element lie further apart than browsers round.
     *
     * @param px by how much its place may differ
     */
    private static void compare(String what, Values v, Map<String, String> css, double px, List<String> apart) {
        double[] translate = numbers(css.get("translate"), 0, 0), origin = numbers(css.get("origin"), 0, 0);
        double[] scale = css.get("scale").equals("none") ? new double[] {1, 1} : numbers(css.get("scale"), Double.NaN, Double.NaN);
        Point position = v.get(Properties.POSITION), scaled = v.get(Properties.SCALE);
        close(what + " x", translate[0] + origin[0], position.x(), px, apart);
        close(what + " y", translate[1] + origin[1], position.y(), px, apart);
        close(what + " rotation", numbers(css.get("rotate"), 0)[0], v.get(Properties.ROTATION), 0.001, apart);
        close(what + " scale x", scale[0], scaled.x(), 0.00001, apart);
        close(what + " scale y", Double.isNaN(scale[1]) ? scale[0] : scale[1], scaled.y(), 0.00001, apart);
        close(what + " opacity", Double.parseDouble(css.get("opacity")), v.get(Properties.OPACITY), 0.00001, apart);
    }

    private static void close(String what, double theirs, double ours, double within, List<String> apart) {
        // not a number is never within
        if (!(Math.abs(theirs - ours) <= within)) {
            apart.add(what + ": " + theirs + " in the page, " + ours + " in the editor");
        }
    }

    /** The numbers of a CSS value; those that it leaves out are the given ones. */
    private static double[] numbers(String css, double... out) {
        var m = Pattern.compile("-?[0-9.]+(?:e-?[0-9]+)?").matcher(css.equals("none") ? "" : css);
        for (int i = 0; i < out.length && m.find(); i++) {
            out[i] = Double.parseDouble(m.group());
        }
        return out;
    }
}
