package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tundra.core.fit.Frames;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.model.Actions;
import tundra.core.model.Asset;
import tundra.core.model.Blocks;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Event;
import tundra.core.model.Events;
import tundra.core.model.PieceValue;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Reaction;
import tundra.core.model.Values;
import tundra.core.work.Progress;
import tundra.render.FilmFormat;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.SkiaSeries;
import tundra.render.Still;
import tundra.render.VideoReader;
import tundra.render.VideoWriter;

/** Videos on the page: played in part, told of, with words, and in step with a timeline as the canvas shows them. */
class MediaTest extends InBrowser {
    private static final int W = 320, H = 180;
    private static Asset film;
    private static final Asset WORDS = Asset.file("Film.vtt", Asset.WORDS,
            "WEBVTT\n\n00:00.000 --> 00:10.000\nThe wind rises\n".getBytes(StandardCharsets.UTF_8));

    @BeforeAll
    static void film() throws Exception {
        Path file = folder.resolve("film.webm");
        try (var out = new VideoWriter(file, FilmFormat.WEBM, new VideoWriter.Shape(W, H, 25, false, false), FilmFormat.Quality.GOOD, null, false)) {
            for (int i = 0; i < 100; i++) {
                int[] pixels = new int[W * H];
                for (int y = 0; y < H; y++) {
                    for (int x = 0; x < W; x++) {
                        // a bar that goes from left to right in four seconds over a ground that stays
                        pixels[y * W + x] = Math.abs(x - i * W / 100) < 12 ? 0xFFDB7A22 : y < H / 2 ? 0xFF2F78A3 : 0xFF1C6A5E;
                    }
                }
                out.add(pixels);
            }
        }
        film = VideoReader.read(file);
    }

    private static Project piece(Content.Block b, Reaction... reactions) {
        Project p = BlockPiece.of(new Point(400, 260),
                List.of(new Element("film", "Film", false, false, Values.NONE.with(Properties.POSITION, new Point(200, 130)),
                b.withBox(new Point(W, H)))));
        var values = new ArrayList<>(p.values());
        for (String v : List.of("started", "passed", "paused", "ended")) {
            values.add(new PieceValue(v, v, PieceValue.Kind.NUMBER, "0", false));
        }
        return p.withAsset(film).withAsset(WORDS).withValues(values).mapBoard(p.scenes().getFirst().id(), x -> x.withReactions(List.of(reactions)));
    }

    private static Reaction counts(String value, Event when) {
        return new Reaction(value + "-r", when, List.of(Actions.of(Actions.ADD_VALUE, value, 1.0)));
    }

    private static void opened(Project p, String name) throws Exception {
        Path to = folder.resolve(name);
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets(), new SkiaSeries()).compile(p, null), to, Progress.NONE);
        browser.open(to, 400, 260);
    }

    @Test
    void aPartIsPlayedAndToldOf() throws Exception {
        Content.Block b = Blocks.VIDEO.made().with(Blocks.VIDEO_FILE, film.hash()).with(Blocks.WORDS_FILE, WORDS.hash()).with(Blocks.FROM, 1_000_000L)
                .with(Blocks.TO, 2_000_000L);
        opened(piece(b, counts("started", Events.of(Events.MEDIA_STARTED, "film")),
                counts("passed", Events.of(Events.MEDIA_PASSED, "film", 1_500_000L)), counts("paused", Events.of(Events.MEDIA_PAUSED, "film")),
                counts("ended", Events.of(Events.MEDIA_ENDED, "film"))), "part");
        browser.until("return document.querySelector('video').readyState >= 2 && document.querySelector('video').currentTime >= 0.99");
        assertThat((Boolean) browser.run(
                "const v = document.querySelector('video'); return v.controls && v.poster.endsWith('.jpg') && v.textTracks[0].cues[0].text === 'The wind rises' && v.paused")).isTrue();
        browser.click(5, 5);
        browser.run("Tundra.pieces[0].shown.board.block('t-film').play()");
        browser.until("return Tundra.pieces[0].value('ended') === 1");
        assertThat(List.of(value("started"), value("passed"), value("paused"))).containsExactly(1.0, 1.0, 0.0);
        assertThat(((Number) browser.run("return document.querySelector('video').currentTime")).doubleValue()).isCloseTo(2, within(0.1));
        // begun anew it plays its part again; paused by hand it says so; a scene that is left stops it
        browser.run("Tundra.pieces[0].shown.board.block('t-film').play()");
        browser.until("return Tundra.pieces[0].value('passed') === 2");
        browser.run("Tundra.pieces[0].shown.board.block('t-film').el.pause()");
        browser.until("return Tundra.pieces[0].value('paused') === 1");
    }

    /** What the canvas and a still show of a video in step with the timeline is the picture that the page shows. */
    @Test
    void inStepWithTheTimelineItIsTheSamePicture() throws Exception {
        Content.Block b = Blocks.VIDEO.made().with(Blocks.VIDEO_FILE, film.hash()).with(Blocks.TIME_BY, "the timeline's").with(Blocks.CONTROLS, "no")
                .with(Blocks.RADIUS_OF_CORNERS, 12.0);
        Project p = piece(b);
        opened(p, "step");
        Board board = p.scenes().getFirst().board();
        var frames = Frames.of(p, board, Fonts.BUNDLED);
        browser.until("return document.querySelector('video').readyState >= 2");
        var seen = new ArrayList<String>();
        for (long t : new long[] {3_900_000, 300_000, 1_140_000, 2_020_000, 3_460_000}) {
            browser.run("window.presented = -1; const v = document.querySelector('video'), each = (now, { mediaTime }) => { presented = mediaTime; v.requestVideoFrameCallback(each); }; v.requestVideoFrameCallback(each); Tundra.pieces[0].timeline('Main').pause(); Tundra.pieces[0].timeline('Main').goTo(arguments[0])", t / 1000.0);
            browser.until("const v = document.querySelector('video'); return Math.abs(v.currentTime - " + t / 1e6
                    + ") < 0.002 && !v.seeking && Math.abs(presented - " + t / 1e6 + ") < 0.05");
            browser.driver.executeAsyncScript(
                    "const done = arguments[0], v = document.querySelector('video'); requestAnimationFrame(() => requestAnimationFrame(() => done(1)))");
            double db = Psnr.of(Still.png(p, frames.at(Moment.opened(board, t))), browser.shot());
            seen.add(String.format(Locale.ROOT, "%.1f", db));
            if (t == 3_900_000) {
                // by then nothing of what was played when the page opened is on its way
                continue;
            }
            // a picture earlier or later gives 25
            assertThat(db).as("at %d", t).isGreaterThan(31);
        }
        System.out.println("PSNR of a video in step: " + seen + " dB");
        // while the timeline plays the video goes along
        browser.run("Tundra.pieces[0].timeline('Main').playFromStart()");
        browser.until("const v = document.querySelector('video'); return !v.paused && v.currentTime > 0.7 && Math.abs(v.currentTime - Tundra.pieces[0].timeline('Main').time / 1000) < 0.25");
    }

    @Test
    void whatStartsByItselfIsSilentOrWaitsForATap() throws Exception {
        opened(piece(Blocks.VIDEO.made().with(Blocks.VIDEO_FILE, film.hash()).with(Blocks.STARTS, "yes").with(Blocks.LOOPS, "yes")
                .with(Blocks.TO, 600_000L), counts("started", Events.of(Events.MEDIA_STARTED, "film"))), "starts");
        browser.run("window.rounds = 0; document.querySelector('video').addEventListener('seeked', () => rounds++)");
        browser.until("const v = document.querySelector('video'); return v.muted && !v.paused && rounds > 2 && v.currentTime < 0.75 && Tundra.pieces[0].value('started') === 1");
    }
}
