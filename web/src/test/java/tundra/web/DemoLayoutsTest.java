package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import tundra.core.fit.Layouts;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Layout;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.model.Scene;
import tundra.render.Fonts;
import tundra.samples.OpenNight;

/** The demo's arrival in its four layouts and at the widths between, on the page as in the editor, and its menu as visitors meet it. */
class DemoLayoutsTest extends InBrowser {
    private static final List<String> BOXES = List.of("s-sky", "s-wall", "s-roof", "s-menu-ground", "s-visit-row", "s-bell-cup", "s-mast-lamp",
            "s-tower", "s-hub");

    private static Project demo() {
        Project p = OpenNight.project();
        return p.withScenes(List.of(p.scenes().getFirst()));
    }

    /** Each breakpoint, one less and one more, and widths between: forty in all. */
    private static List<Integer> widths(Board b) {
        var out = new LinkedHashSet<Integer>();
        Layouts.ranges(b).stream().filter(r -> r.from() > 0).forEach(r -> out.addAll(List.of(r.from() - 1, r.from(), r.from() + 1)));
        for (int w = 330; out.size() < 40; w += 43) {
            out.add(w);
        }
        return List.copyOf(out);
    }

    private static Project at(Project p, int width) {
        Board b = p.scenes().getFirst().board();
        Layout l = Layouts.at(b, width);
        return p.mapBoard(p.scenes().getFirst().id(), x -> Layouts.seen(x, l, new Point(width, (l == null ? b.size() : l.size()).y()),
                Fonts.BUNDLED));
    }

    @Test
    void boxesStandWhereTheyDoInTheEditorAtFortyWidthsAndFiveTimes() throws Exception {
        Project p = demo();
        Scene s = p.scenes().getFirst();
        var visit = new Visit(browser, folder, "demo-layouts", p);
        var soft = new SoftAssertions();
        var seen = new ArrayList<String>();
        int looked = 0;
        List<Integer> widths = widths(s.board());
        assertThat(widths).hasSize(40);
        for (int width : widths) {
            Project now = at(p, width);
            Board b = now.scenes().getFirst().board();
            browser.resize(width, (int) b.size().y());
            browser.until("return document.querySelector('.t-scene').getBoundingClientRect().width === " + width);
            for (long time : new long[] {0, 1_300_000, 2_500_000, 4_750_000, 8_000_000}) {
                Moment m = Moment.main(b, time);
                visit.seek(m);
                var frame = new FrameBuilder(b, Fonts.BUNDLED).at(m);
                var page = (Map<?, ?>) browser.run(
                        "return Object.fromEntries(arguments[0].map((id) => [id, document.querySelector('.' + id)]).filter(([, x]) => x?.checkVisibility()).map(([id, x]) => {"
                        + "const r = (x.querySelector(':scope > .t-p > *, :scope > div > .t-p > *') ?? x).getBoundingClientRect(); return [id, [r.x, r.y, r.width, r.height]]; }))", BOXES.stream().map(PageId::of).toList());
                for (String id : BOXES) {
                    if (frame.find(id) == null || b.find(id).rest().get(Properties.SHOWN).equals("no")) {
                        continue;
                    }
                    Rect r = frame.find(id).bounds();
                    List<?> there = (List<?>) page.get(PageId.of(id));
                    if (there == null || ((Number) there.get(2)).doubleValue() == 0) {
                        continue;
                    }
                    looked++;
                    double[] box = there.stream().mapToDouble(x -> ((Number) x).doubleValue()).toArray();
                    soft.assertThat(Math.abs(box[0] - r.x()) + Math.abs(box[1] - r.y())).as("%s at %d px, %d µs: %s", id, width, time, r)
                            .isLessThan(0.1);
                }
            }
            if (width % 7 == 0) {
                Moment m = Moment.main(b, 3_000_000);
                visit.go(m);
                double db = visit.like(now, m);
                seen.add(String.format(Locale.ROOT, "%d: %.1f", width, db));
                soft.assertThat(db).as("the picture at %d px", width).isGreaterThanOrEqualTo(40);
            }
        }
        System.out.println("The demo's arrival: " + looked + " boxes; PSNR by its width " + seen + " dB");
        assertThat(looked).isGreaterThan(1000);
        soft.assertAll();
    }

    /** On a phone the menu is folded, slides open and back at a tap, and leads on; on a tablet it lies on top and there is no button. */
    @Test
    void theMenuAsVisitorsMeetIt() throws Exception {
        Project p = OpenNight.project();
        new Visit(browser, folder, "demo-menu", p);
        browser.resize(390, 760);
        browser.driver.navigate().refresh();
        browser.until("return typeof Tundra === 'object' && Tundra.pieces[0].shown.layout === 'Phone'");
        String panel = "document.querySelector('.t-s-menu-panel').getBoundingClientRect()".replace("t-s-menu-panel", PageId.of("s-menu-panel"));
        assertThat(browser.run("return " + panel + ".x >= 390")).as("folded").isEqualTo(true);
        assertThat(browser.run("return Tundra.pieces[0].timeline('Main').playing")).as("the opening is skipped").isEqualTo(false);
        browser.click(350, 46);
        browser.until("return Math.abs(" + panel + ".right - 370) < 1");
        browser.click(350, 46);
        browser.until("return " + panel + ".x >= 390");
        browser.resize(768, 900);
        browser.until("return Tundra.pieces[0].shown.layout === 'Tablet' && Math.abs(" + panel + ".x) < 0.1 && Math.abs(" + panel
                + ".width - 768) < 0.1");
        assertThat(browser.run("return document.querySelector('." + PageId.of("s-menu")
                + "').checkVisibility({ visibilityProperty: true, opacityProperty: true })")).isEqualTo(false);
        // the third entry leads to the visit
        var at = (List<?>) browser.run("const r = document.querySelector('." + PageId.of("s-visit-row")
                + " .t-p > *').getBoundingClientRect(); return [r.x + r.width / 2, r.y + r.height / 2]");
        browser.click(((Number) at.get(0)).doubleValue(), ((Number) at.get(1)).doubleValue());
        browser.until("return Tundra.pieces[0].shown.name === 'Visit'");
    }

    /** Twice on a page while both play; one is made narrower and wider through all layouts at every frame, the other is left alone. */
    @Test
    void timesNeverJumpWhileTheWidthIsDragged() throws Exception {
        Path to = publish(demo(), "dragged");
        String html = Files.readString(to.resolve("index.html"));
        String main = html.substring(html.indexOf("<main"), html.indexOf("</main>") + "</main>".length());
        String script = html.replaceFirst("(?s).*(<script src=\"piece[^\"]*\"></script>).*", "$1");
        Files.writeString(to.resolve("index.html"), html.replace(main, "<div id='moved' style='width:1280px'>" + main
                + "</div><div id='left' style='width:1280px'>" + main + "</div>").replace(script, script + script));
        browser.open(to, 1900, 1300);
        browser.until("return Tundra.pieces.length === 2 && Tundra.pieces.every((p) => p.shown.layout === null)");
        int seconds = Integer.getInteger("tundra.dragged", 3);
        browser.run("window.far = 0; window.names = new Set(); window.tasks = []; window.over = 0;"
                + "const [a, b] = Tundra.pieces, began = performance.now(), box = document.querySelector('#moved'), port = new MessageChannel(); let frame;"
                + "port.port2.onmessage = () => tasks.push(performance.now() - frame);"
                + "requestAnimationFrame(() => { for (const p of Tundra.pieces) for (const t of p.shown.timelines) if (t.starts) t.playFromStart(); requestAnimationFrame(step); });"
                + "const step = () => { frame = performance.now(); port.port1.postMessage(0); const s = (frame - began) / 1000;"
                + "  names.add(a.shown.layout);"
                + "  for (const t of b.shown.timelines) { const d = Math.abs(t.time - a.timeline(t.name).time); far = Math.max(far, Math.min(d, Math.abs(t.duration - d))); if (t.playing !== a.timeline(t.name).playing) far = 1e9; }"
                + "  const go = s / arguments[0]; box.style.width = go < 1 ? Math.round(1005 + 675 * Math.cos(2 * Math.PI * 2 * go)) + 'px' : '1280px';"
                + "  if (go < 1) requestAnimationFrame(step); else requestAnimationFrame(() => requestAnimationFrame(() => (over = 1))); };",
                seconds);
        for (int i = 0; i < 4 && ((Number) browser.run("return over")).intValue() == 0; i++) {
            browser.driver.executeAsyncScript(
                    "const done = arguments[0], end = performance.now() + 9000, look = () => over || performance.now() > end ? done(1) : setTimeout(look, 20); look()");
        }
        assertThat(browser.run("return over")).isEqualTo(1L);
        assertThat((List<?>) browser.run("return [...names].map(String)")).containsAll((List) List.of("Phone", "Tablet", "null", "Low banner"));
        assertThat(((Number) browser.run("return far")).doubleValue()).as("ms between the one that was dragged and the one that was not")
                .isLessThanOrEqualTo(2);
        browser.until("return Tundra.pieces.every((p) => p.shown.layout === null && p.el.querySelector('.t-scene').getBoundingClientRect().width === 1280)");
        assertThat(browser.run("const of = (id) => document.querySelector(id).getAnimations({ subtree: true }).length; return of('#moved') - of('#left')")).as("animations too many").isEqualTo(0L);
        System.out.println("Dragged through all layouts for " + seconds + " s: "
                + browser.run("const t = tasks.toSorted((x, y) => x - y), at = (p) => t[Math.floor(p * (t.length - 1))].toFixed(1); return t.length + ' frames, each ' + at(0.5) + ' ms in the middle, ' + at(0.95) + ' at 95 %, ' + at(1) + ' at most; apart by ' + far.toFixed(3) + ' ms'"));
    }
}
