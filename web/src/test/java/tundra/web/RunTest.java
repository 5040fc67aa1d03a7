package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;
import org.openqa.selenium.interactions.Actions;
import tundra.core.file.FileProblem;
import tundra.core.file.RunFile;
import tundra.core.fit.Run;
import tundra.core.geometry.Point;
import tundra.core.model.Outputs;
import tundra.core.model.Project;
import tundra.core.model.Scene;
import tundra.core.model.Tree;
import tundra.core.work.Progress;
import tundra.render.Filming;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.Still;
import tundra.render.VideoReader;
import tundra.samples.OpenNight;

/** What a visitor sees, written down by the player and evaluated here, is what the browser shows. */
class RunTest extends InBrowser {
    private static final String SEEN =
            "const short = (_, v) => typeof v === 'number' ? Math.round(v * 1000) / 1000 : v; return JSON.stringify({ time: arguments[0], seen: Tundra.pieces[0].seen }, short)";
    private final Project demo = OpenNight.project(), visited = VisitedProject.of(demo);
    private int compared;
    private double worst = 99;

    private String of(String scene, String element) {
        Scene s = demo.scenes().stream().filter(x -> x.name().equals(scene)).findFirst().orElseThrow();
        var found = new String[1];
        Tree.each(s.board().elements(), e -> found[0] = e.name().equals(element) && found[0] == null ? e.id() : found[0]);
        return "." + PageId.of(found[0]);
    }

    @SuppressWarnings("unchecked")
    private Point middle(String selector) {
        var p = (List<Number>) browser.run(
                "const all = [...document.querySelector(arguments[0]).querySelectorAll('.t-p > *')].map(x => x.getBoundingClientRect());"
                + "const l = Math.min(...all.map(r => r.left)), r = Math.max(...all.map(r => r.right)), t = Math.min(...all.map(r => r.top)), b = Math.max(...all.map(r => r.bottom)); return [(l + r) / 2, (t + b) / 2]", selector);
        return new Point(p.get(0).doubleValue(), p.get(1).doubleValue());
    }

    private void tap(String selector) {
        Point p = middle(selector);
        browser.click(p.x(), p.y());
    }

    /**
     * Stops everything where it is, compares, and lets it go on. A paused animation that the compositor moves differs at its edges, so its values are
     * written into the styles for the picture.
     */
    private void compare(String what) throws Exception {
        browser.run("""
                const s = Tundra.pieces[0].shown, now = document.timeline.currentTime;
                window.stopped = { going: s.timelines.filter((t) => t.playing).map((t) => [t, t.pace < 0]), since: now - s.board.since };
                for (const [t] of stopped.going) t.pause();
                s.board.run({ playing: false, at: stopped.since });""");
        String line = (String) browser.run(SEEN, compared * 1000);
        browser.run("""
                stopped.all = document.getAnimations().map((a) => [a, a.effect, a.effect.target, a.effect.target.getAttribute("style")]);
                for (const [a] of stopped.all) a.commitStyles();
                for (const [a] of stopped.all) a.effect = null;""");
        // what was painted for a layer that moves is painted anew
        browser.run("Tundra.pieces[0].shown.el.style.display = 'none'");
        browser.shot();
        browser.run("Tundra.pieces[0].shown.el.style.display = ''");
        byte[] page = browser.shot();
        browser.run("""
                for (const [a, effect, target, style] of stopped.all) { a.effect = effect; style === null ? target.removeAttribute("style") : target.setAttribute("style", style); }
                const s = Tundra.pieces[0].shown;
                s.board.since = document.timeline.currentTime - stopped.since;
                s.board.run({ playing: true, start: s.board.since });
                for (const [t, back] of stopped.going) back ? t.playBack() : t.play();""");
        double db = Psnr.of(page, Still.png(visited, RunFile.read(line, PageId::idOf).states().getFirst()));
        assertThat(db).as(what).isGreaterThan(38);
        worst = Math.min(worst, db);
        compared++;
    }

    private void shown(String scene) throws Exception {
        browser.until("return Tundra.pieces[0].shown.name === '" + scene + "' && !Tundra.pieces[0].scenes.some(s => s.moves)");
    }

    /** Until nothing moves by a transition any more. */
    private void settled() throws Exception {
        browser.until("return document.getAnimations().every(a => !(a instanceof CSSTransition))");
    }

    /** Drags something to a place; on the way it is compared where that is asked for. */
    private void carry(String part, String place, boolean between) throws Exception {
        Point from = middle(part), to = middle(place);
        browser.mouse("mouseMoved", from.x(), from.y(), 0);
        browser.mouse("mousePressed", from.x(), from.y(), 1);
        for (int i = 1; i <= 5; i++) {
            Point at = from.lerp(to, i / 5.0);
            browser.mouse("mouseMoved", at.x(), at.y(), 1);
            if (i == 3 && between) {
                settled();
                compare("carrying " + part);
            }
        }
        browser.mouse("mouseReleased", to.x(), to.y(), 0);
        settled();
    }

    private void opened(String name) throws Exception {
        Path to = folder.resolve(name);
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(demo, PreviewServer.LOG_SCRIPT), to,
                Progress.NONE);
        browser.open(to, 1280, 640);
        browser.run("HTMLMediaElement.prototype.play = function () { return Promise.resolve(); };");
    }

    @Test
    void whatIsWrittenDownIsWhatTheBrowserShows() throws Exception {
        opened("run");
        compare("opened");
        browser.until("return Tundra.pieces[0].timeline('Main').time > 2600");
        compare("after a while");
        tap(of("Arrival", "Menu"));
        browser.until("return Tundra.pieces[0].timeline('Menu').time > 100");
        compare("the menu slides");
        browser.until("return Tundra.pieces[0].timeline('Menu').time === 400");
        compare("the menu is open");
        tap(of("Arrival", "Menu"));
        browser.until("return Tundra.pieces[0].timeline('Menu').time < 300");
        compare("the menu goes");
        browser.until("return Tundra.pieces[0].timeline('Menu').time === 0");
        compare("the menu is closed");
        tap(of("Arrival", "Hut bell"));
        browser.until("return Tundra.pieces[0].timeline('Bell').playing");
        compare("the bell swings");
        browser.until("return Tundra.pieces[0].timeline('Main').time > 7000");
        compare("at the end of Main");
        tap(of("Arrival", "Menu"));
        browser.until("return Tundra.pieces[0].timeline('Menu').time === 400");
        tap(of("Arrival", "Raise the mast"));
        shown("Raise the mast");
        compare("the mast");
        String vane = of("Raise the mast", "Vane"), dome = of("Raise the mast", "Dome"), lamp = of("Raise the mast", "Lamp");
        carry(vane, of("Raise the mast", "Vane slot"), true);
        compare("the vane is in its place");
        carry(dome, of("Raise the mast", "Dome slot"), true);
        compare("the dome, too");
        tap(of("Raise the mast", "Start over"));
        settled();
        compare("all are home again");
        carry(vane, of("Raise the mast", "Vane slot"), false);
        carry(dome, of("Raise the mast", "Dome slot"), false);
        carry(lamp, of("Raise the mast", "Lamp slot"), false);
        browser.until("return Tundra.pieces[0].timeline('Aurora comes').time > 200");
        compare("the aurora comes");
        shown("Visit");
        new Actions(browser.driver).sendKeys(Keys.ESCAPE).perform();
        shown("Arrival");
        compare("back at the start");
        browser.run("Tundra.pieces[0].show('Night walk')");
        shown("Night walk");
        for (double share : new double[] {0, 0.2, 0.32, 0.5, 0.72, 0.9}) {
            browser.run("scrollTo({ top: arguments[0], behavior: 'instant' })", 2600 * share);
            browser.until("return Math.abs(Tundra.pieces[0].timeline('Main').time - " + 10_000 * share + ") < 1");
            settled();
            compare("the walk at " + share);
        }
        assertThat(compared).isGreaterThanOrEqualTo(20);
        System.out.println("PSNR of a visit: worst " + worst + " dB of " + compared);
    }

    @Test
    void aRecordedVisitBecomesAFilmOfItsLength() throws Exception {
        opened("film");
        var lines = new StringBuilder();
        for (int i = 0; i <= 20; i++) {
            lines.append(browser.run(SEEN, i * 100)).append('\n');
        }
        Run run = RunFile.read(lines.toString(), PageId::idOf);
        assertThat(run.length()).isEqualTo(2_000_000);
        Path to = folder.resolve("run.mp4");
        new Filming(visited, Outputs.FILM.made().with(Outputs.WIDTH, 640.0).with(Outputs.RATE, 10.0), run).write(to, Progress.NONE);
        var made = VideoReader.read(to);
        assertThat(List.of(made.width(), made.height())).containsExactly(640, 320);
        assertThat(made.duration()).isBetween(1_990_000L, 2_010_000L);
        assertThatThrownBy(() -> RunFile.read("{\"time\":0}", PageId::idOf)).isInstanceOf(FileProblem.class).hasMessageContaining("Line 1");
        assertThatThrownBy(() -> RunFile.read("", PageId::idOf)).isInstanceOf(FileProblem.class).hasMessageContaining("Nothing was recorded");
    }

    @Test
    void namesOnThePageLeadBackToIds() {
        for (String id : List.of("a", "a-b_c", "é🙂x", "sled-o", "_-_", "x2")) {
            assertThat(PageId.idOf(PageId.of(id))).isEqualTo(id);
            assertThat(PageId.idOf(PageId.of(id) + "-o")).isEqualTo(id);
        }
    }
}
