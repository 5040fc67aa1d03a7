package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpExchange;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tundra.core.model.Project;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;

/** Firefox has the same values on a page as Chromium. Neither is driven: the page reads its own values and sends them here. */
@Tag("long")
class FirefoxTest {
    private static final int SEEDS = Integer.getInteger("parity.seeds", 4), PIECES = SEEDS + 1;
    /** Between the frames and keys of the pieces: on a step's very edge rounding alone decides. */
    private static final String READER = """
            (async () => {
              await document.fonts.ready;
              const out = [], scene = Tundra.pieces[0].scenes[0], { board } = scene;
              for (const at of [137, 331, 757, 1013, 1663, 2417]) {
                for (const t of scene.timelines) {
                  t.reset();
                  if (t.starts) t.goTo(at % t.duration);
                }
                // of a piece in layouts at other widths, each in one of them
                if (scene.el.dataset.layout) document.body.style.width = 380 + (at % 500) + "px";
                await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
                board.run({ playing: false, at });
                await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
                const row = {};
                for (const el of document.querySelectorAll("main *")) {
                  const name = el.classList[0] || el.id, style = getComputedStyle(el);
                  if (!name) continue;
                  for (const p of ["translate", "rotate", "scale", "transform", "opacity", "visibility", "fill", "stroke", "strokeWidth", "strokeDasharray", "strokeDashoffset",
                    "width", "height", "rx", "fontSize", "letterSpacing", "filter", "mixBlendMode"]) row[name + " " + p] = style[p];
                  for (const a of ["d", "gradientTransform", "x", "y"]) if (el.hasAttribute(a)) row[name + " @" + a] = el.getAttribute(a);
                }
                out.push(row);
              }
              await tell(out);
            })().catch((e) => tell([{ error: String(e) + errs.join() }]));
            // one browser reads all pieces, one after the other
            async function tell(out) {
              await fetch("values", { method: "POST", body: JSON.stringify(out) });
              const next = location.pathname.replace(/\\d+/, (n) => +n + 1);
              if ((await fetch(next)).ok) location.pathname = next;
            }
            """;
    private static final Pattern NUMBER = Pattern.compile("-?\\d*\\.?\\d+(?:e-?\\d+)?");
    /** Browsers lay text out in units of their own, 1/64 and 1/60 px. */
    private static final double UNIT = 0.035;
    private static final LinkedBlockingQueue<String> HEARD = new LinkedBlockingQueue<>();
    @TempDir
    private static Path folder;
    private static LoopbackServer server;

    @BeforeAll
    static void serve() throws Exception {
        server = new LoopbackServer(FirefoxTest::answer);
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static void answer(HttpExchange x) throws IOException {
        try (x) {
            if (x.getRequestMethod().equals("POST")) {
                HEARD.add(new String(x.getRequestBody().readAllBytes(), StandardCharsets.UTF_8));
                x.sendResponseHeaders(204, -1);
                return;
            }
            Path file = folder.resolve(x.getRequestURI().getPath().substring(1));
            if (!Files.isRegularFile(file)) {
                x.sendResponseHeaders(404, -1);
                return;
            }
            byte[] body = Files.readAllBytes(file);
            String ending = file.toString().replaceFirst(".*\\.", "");
            x.getResponseHeaders().set("Content-Type", Map.of("html", "text/html", "css", "text/css", "js", "text/javascript", "ttf", "font/ttf",
                    "png", "image/png").getOrDefault(ending, "text/plain"));
            x.sendResponseHeaders(200, body.length);
            x.getResponseBody().write(body);
        }
    }

    /** What a browser reads on all pages, one after the other. */
    private static List<JsonNode> read(String... command) throws Exception {
        var all = new ArrayList<>(List.of(command));
        all.add(server.origin() + "/piece1/index.html");
        Process browser = new ProcessBuilder(all).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
        try {
            var out = new ArrayList<JsonNode>();
            for (int seed = 1; seed <= PIECES; seed++) {
                String values = HEARD.poll(60, TimeUnit.SECONDS);
                assertThat(values).as("values from " + command[0]).isNotNull();
                out.add(JsonMapper.builder().build().readTree(values));
            }
            return out;
        } finally {
            browser.descendants().forEach(ProcessHandle::destroyForcibly);
            browser.destroyForcibly().waitFor();
        }
    }

    @Test
    void hasTheValuesThatChromiumHas() throws Exception {
        var apart = new ArrayList<String>();
        int count = 0;
        for (int seed = 1; seed <= PIECES; seed++) {
            Project p = seed == PIECES ? TiesPageTest.tied(4, false) : seed % 4 == 3 ? RandomPiece.told(seed)
                    : RandomPiece.make(seed, seed % 2 == 0);
            Path page = folder.resolve("piece" + seed);
            Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets()).compile(p, null), page, Progress.NONE);
            Path index = page.resolve("index.html");
            Files.writeString(index, Files.readString(index)
                    .replace("</head>", "<script>window.errs = []; addEventListener('error', (e) => errs.push(e.message + ' ' + e.filename + ':' + e.lineno + ':' + e.colno));</script></head>").replace("</body>", "<script src=\"reader.js\"></script></body>"));
            Files.writeString(page.resolve("reader.js"), READER);
        }
        List<JsonNode> inChromium = read("chromium", "--headless", "--no-sandbox", "--disable-gpu", "--no-first-run", "--user-data-dir="
                + folder.resolve("chromium"));
        List<JsonNode> inFirefox = read("firefox-esr", "--headless", "--no-remote", "--profile", Files.createDirectory(folder.resolve("firefox"))
                .toString());
        for (int seed = 1; seed <= PIECES; seed++) {
            JsonNode chromium = inChromium.get(seed - 1), firefox = inFirefox.get(seed - 1);
            assertThat(chromium.size()).isEqualTo(6);
            for (int i = 0; i < chromium.size(); i++) {
                for (Map.Entry<String, JsonNode> e : chromium.get(i).properties()) {
                    count++;
                    String ours = e.getValue().asString(), theirs = firefox.path(i).path(e.getKey()).asString("nothing");
                    if (!alike(ours, theirs)) {
                        apart.add("seed " + seed + ", time " + i + ", " + e.getKey() + ": " + ours + " | " + theirs);
                    }
                }
            }
        }
        System.out.println(count + " values in both browsers");
        assertThat(apart).isEmpty();
        assertThat(count).isGreaterThan(5000 * SEEDS);
    }

    /** The same words with numbers no further apart than a unit, or a thousandth of what they are. */
    private static boolean alike(String a, String b) {
        String x = plain(a), y = plain(b);
        if (!form(x).equals(form(y))) {
            return false;
        }
        double[] p = numbers(x), q = numbers(y);
        for (int i = 0; i < p.length; i++) {
            if (Math.abs(p[i] - q[i]) > Math.max(UNIT, Math.abs(p[i]) / 1000)) {
                return false;
            }
        }
        return true;
    }

    /** Browsers shorten differently: none for no movement, one number for two alike, no second one that is zero, no alpha that is whole. */
    private static String plain(String s) {
        return s.equals("none") ? "0" : s.replaceAll("^rgba\\((.*), 1\\)$", "rgb($1)").replaceAll("^(-?[\\d.]+)(px|deg)? \\1(px)?$", "$1")
                .replaceAll(" 0px$", "").replaceAll("^(-?[\\d.]+)(px|deg)$", "$1");
    }

    private static String form(String s) {
        return NUMBER.matcher(s).replaceAll("#").replaceAll("\\s+", "");
    }

    private static double[] numbers(String s) {
        return NUMBER.matcher(s).results().mapToDouble(m -> Double.parseDouble(m.group())).toArray();
    }
}
