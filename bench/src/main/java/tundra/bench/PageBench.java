package tundra.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.chrome.ChromeDriver;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Project;
import tundra.core.model.Properties;
import tundra.core.motion.Track;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.SkiaSeries;
import tundra.samples.FrostGlass;
import tundra.samples.OpenNight;
import tundra.web.Page;
import tundra.web.PageCompiler;
import tundra.web.Publisher;

/** The main-thread time of a published page in Chromium, against a page written by hand with the same motion. */
final class PageBench implements AutoCloseable {
    private static final Duration PATIENCE = Duration.ofMinutes(3);
    private static final int RUNS = 7;
    private static final int SECONDS = 4;
    private static final int LOADS = 61;
    private final ChromeDriver driver;
    private final Path work = Files.createTempDirectory("tundra-bench-page");

    /** The best runs, in ms of the main thread per second: what else the machine does only ever adds. */
    record Result(double published, double byHand) {}

    PageBench() throws IOException {
        driver = Chromium.start();
        // all of a scene is in view, at the size that it is drawn
        driver.manage().window().setSize(new Dimension(Pieces.WIDTH + 100, Pieces.HEIGHT + 200));
        driver.manage().timeouts().scriptTimeout(PATIENCE).pageLoadTimeout(PATIENCE);
        driver.executeCdpCommand("Performance.enable", Map.of());
    }

    /** 300 elements that move and turn. */
    Result moving() throws Exception {
        Board b = Pieces.moving(300, false);
        Path published = work.resolve("moving"), hand = work.resolve("moving-hand");
        publish(Pieces.project(b), published);
        Files.createDirectories(hand);
        Files.writeString(hand.resolve("index.html"), byHand(b));
        return compare(published, hand);
    }

    /** The demo; by hand: the same elements, each animation started by one plain call, what only jumps set by plain timers. */
    Result demo() throws Exception {
        Project p = OpenNight.project();
        Path published = work.resolve("demo"), hand = work.resolve("demo-hand");
        Page page = publish(p, published);
        publish(p, hand);
        String data = new String(page.files().get("piece.js").bytes(), StandardCharsets.UTF_8)
                .replaceFirst("(?s)^Tundra\\.players\\[[^]]*]\\.start\\((.*)\\);\\s*$", "$1");
        Files.writeString(hand.resolve("tundra-player.js"), "");
        Files.writeString(hand.resolve("piece.js"), """
                const data = %s;
                const number = /-?\\d*\\.?\\d+(?:e-?\\d+)?/g;
                const mix = (a, b, p) => { let i = 0; const to = b.match(number); return a.replace(number, (x) => +x + (to[i++] - x) * p); };
                const cut = (keys) => keys.flatMap((k, i) => typeof k[2] !== "number" ? [k]
                  : data.eases[k[2]].map(([from, share, easing]) => [k[0] + (keys[i + 1][0] - k[0]) * from, mix(k[1], keys[i + 1][1], share), easing]));
                const begin = (root, timelines, phase = 0, still = false) => {
                  for (const t of timelines) {
                    for (const { of, property, keys: said } of t.tracks) {
                      const keys = cut(said);
                      const el = root.querySelector("." + of);
                      if (property[0] === "!") {
                        const name = property.slice(1);
                        const round = () => keys.forEach(([offset, value]) => setTimeout(() => el.style[name] = value, offset * t.duration));
                        el.style[name] = keys[0][1];
                        if (t.starts) round();
                        if (t.starts && t.loop) setInterval(round, t.duration);
                        continue;
                      }
                      const css = property === "@d" ? (v) => ({ d: `path("${v}")` }) : (v) => ({ [property]: v });
                      const a = el.animate(keys.map(([offset, value, easing]) => ({ offset, ...css(value), easing: easing || "linear" })),
                        { duration: t.duration, fill: "both", iterations: t.loop ? Infinity : 1 });
                      a.currentTime = phase;
                      if (!t.starts || still) a.pause();
                    }
                  }
                };
                const scene = data.scenes[0];
                begin(document, scene.timelines);
                for (const i of scene.instances) {
                  const el = document.querySelector("." + i.of), motif = data.motifs[i.motif];
                  el.append(document.querySelector("template." + motif.of).content.cloneNode(true));
                  begin(el, motif.timelines, i.phase, i.repeat === "hold");
                }
                """.formatted(data));
        return compare(published, hand);
    }

    /**
     * 200 still elements with a reaction each, against the same without reactions.
     *
     * @param ready until the piece can be used, in ms: the middle run with and without
     * @param idle ms of the main thread per second while nobody does anything, with and without
     */
    record Reacting(Result ready, Result idle) {}

    Reacting reactions() throws Exception {
        Board b = Pieces.still(200);
        Path with = work.resolve("reacting"), without = work.resolve("still");
        publish(Pieces.project(b.withReactions(Pieces.reactions(b))), with);
        publish(Pieces.project(b), without);
        double[][] ms = new double[2][LOADS];
        for (int r = 0; r < 2 * LOADS; r++) {
            int turn = r % 2;
            driver.get((turn == 0 ? with : without).resolve("index.html").toUri().toString());
            Number ready = (Number) driver.executeScript(
                    "const [n] = performance.getEntriesByType('navigation'); return n.domContentLoadedEventEnd - n.responseEnd");
            ms[turn][r / 2] = ready.doubleValue();
        }
        // loading goes up and down by more than what is asked: the middle one of many
        return new Reacting(new Result(Arrays.stream(ms[0]).sorted().toArray()[LOADS / 2], Arrays.stream(ms[1]).sorted().toArray()[LOADS / 2]),
                compare(with, without));
    }

    /** A page as a visitor gets it: ms of the main thread per second, pictures a second, and MB of the browser's processes. */
    record Live(double mainThread, double pictures, double memory) {}

    /** @param live with all motifs as what they are, else with the heavy ones as series of pictures */
    Live frost(boolean live) throws Exception {
        Path at = work.resolve("frost-" + live);
        Project p = FrostGlass.project();
        publish(live ? p.withMotifs(p.motifs().stream().map(m -> m.withPictures(false)).toList()) : p, at);
        double busy = load(at);
        return new Live(busy, pictures(), megabytes());
    }

    /**
     * A page of many elements: ms until it is compiled and until it can be used, KB of its files but for fonts, parts, ms of the main thread per
     * second, pictures a second.
     */
    record Grown(double compiled, double kilobytes, double loaded, double parts, double mainThread, double pictures) {}

    Grown grown(Project p) throws Exception {
        Path at = work.resolve("grown");
        long began = System.nanoTime();
        Page page = publish(p, at);
        double compiled = (System.nanoTime() - began) / 1e6;
        double kilobytes = page.files().entrySet().stream().filter(f -> f.getKey().matches("(index|piece).*"))
                .mapToDouble(f -> f.getValue().bytes().length / 1e3).sum();
        double busy = load(at);
        Number parts = (Number) driver.executeScript("return document.querySelectorAll('*').length");
        Number loaded = (Number) driver.executeScript(
                "const [n] = performance.getEntriesByType('navigation'); return n.domContentLoadedEventEnd - n.responseEnd");
        return new Grown(compiled, kilobytes, loaded.doubleValue(), parts.doubleValue(), busy, pictures());
    }

    /** A page of which one element in so many moves and turns, and the same by hand. */
    Result some(int count, int oneIn) throws Exception {
        Board b = Pieces.some(count, oneIn);
        Path published = work.resolve("some"), hand = work.resolve("some-hand");
        publish(Pieces.project(b), published);
        Files.createDirectories(hand);
        Files.writeString(hand.resolve("index.html"), byHand(b));
        return compare(published, hand);
    }

    /** How many animations the page that is open has. */
    double animations() {
        return ((Number) driver.executeScript("return document.getAnimations().length")).doubleValue();
    }

    private double pictures() {
        Number frames = (Number) driver.executeAsyncScript("""
                const done = arguments[0], began = performance.now();
                let n = 0;
                requestAnimationFrame(function step() { n++; const ms = performance.now() - began; ms < 4000 ? requestAnimationFrame(step) : done((n * 1000) / ms); });""");
        return frames.doubleValue();
    }

    /** What all processes of the browser take together, shared memory counted once (Linux' proportional set size). */
    private static double megabytes() {
        return ProcessHandle.current().descendants().mapToDouble(h -> {
            try {
                return Files.readAllLines(Path.of("/proc/" + h.pid() + "/smaps_rollup")).stream().filter(l -> l.startsWith("Pss:"))
                        .mapToDouble(l -> Double.parseDouble(l.replaceAll("[^0-9]", "")) / 1024).sum();
            } catch (IOException | UncheckedIOException e) {
                return 0;
            }
        }).sum();
    }

    private static Page publish(Project p, Path to) throws Exception {
        Page page = new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets(), new SkiaSeries()).compile(p, null);
        Publisher.publish(page, to, Progress.NONE);
        return page;
    }

    private static String byHand(Board b) {
        var s = new StringBuilder(
                "<!doctype html><meta charset=utf-8><style>body{margin:0}#s{position:relative;overflow:hidden;width:1280px;height:720px}"
                + "#s div{position:absolute;left:0;top:0}svg{position:absolute;left:0;top:0;width:1px;height:1px;overflow:visible}</style><div id=s></div><script>\n");
        s.append("const all = [");
        for (Element e : b.elements()) {
            Point size = e.rest().get(Properties.SIZE), half = size.times(0.5);
            Track<Point> track = b.main().track(e.id(), Properties.POSITION);
            Point from = (track == null ? e.rest().get(Properties.POSITION) : track.keys().get(0).value()).minus(half), to = track == null ? from
                    : track.keys().get(1).value().minus(half);
            s.append(String.format(Locale.ROOT, "[%f,%f,%f,%f,%f,%f,'%s',%b],", from.x(), from.y(), to.x(), to.y(), size.x(), size.y(),
                    e.rest().get(Properties.FILL).main().hex(), e.content() instanceof Content.Ellipse));
        }
        return s.append("""
                ];
                const scene = document.getElementById("s");
                for (const [x, y, x2, y2, w, h, fill, round] of all) {
                  const d = document.createElement("div");
                  d.style.cssText = `width:${w}px;height:${h}px;transform-origin:${w / 2}px ${h / 2}px`;
                  d.innerHTML = round ? `<svg><ellipse cx=${w / 2} cy=${h / 2} rx=${w / 2} ry=${h / 2} fill="${fill}"/></svg>`
                    : `<svg><rect width=${w} height=${h} fill="${fill}"/></svg>`;
                  scene.append(d);
                  if (x === x2 && y === y2) {
                    d.style.translate = `${x}px ${y}px`;
                    continue;
                  }
                  const timing = { duration: 4000, iterations: Infinity };
                  const easing = "ease-in-out";
                  d.animate([{ translate: `${x}px ${y}px`, easing }, { translate: `${x2}px ${y2}px`, easing }, { translate: `${x}px ${y}px` }], timing);
                  d.animate([{ rotate: "0deg", easing }, { rotate: "180deg", easing }, { rotate: "0deg" }], timing);
                }
                </script>""").toString();
    }

    private Result compare(Path a, Path b) throws Exception {
        double[][] ms = new double[2][RUNS];
        for (int r = 0; r < RUNS; r++) {
            for (int i = 0; i < 2; i++) {
                // in turns, so that a slow phase of the machine meets both
                int turn = (i + r) % 2;
                ms[turn][r] = load(turn == 0 ? a : b);
            }
        }
        return new Result(Arrays.stream(ms[0]).min().orElseThrow(), Arrays.stream(ms[1]).min().orElseThrow());
    }

    private double load(Path folder) throws Exception {
        driver.get(folder.resolve("index.html").toUri().toString());
        Thread.sleep(1500);
        double before = taskSeconds();
        Thread.sleep(SECONDS * 1000L);
        return (taskSeconds() - before) * 1000 / SECONDS;
    }

    @SuppressWarnings("unchecked")
    private double taskSeconds() {
        var metrics = (List<Map<String, Object>>) driver.executeCdpCommand("Performance.getMetrics", Map.of()).get("metrics");
        return metrics.stream().filter(m -> m.get("name").equals("TaskDuration")).mapToDouble(m -> ((Number) m.get("value")).doubleValue())
                .findFirst().orElseThrow();
    }

    @Override
    public void close() {
        driver.quit();
    }
}
