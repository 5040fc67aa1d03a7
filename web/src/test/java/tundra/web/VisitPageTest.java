package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.net.httpserver.HttpServer;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import tundra.core.model.Project;
import tundra.core.work.Progress;
import tundra.render.Fonts;
import tundra.render.PictureSheets;
import tundra.render.SkiaSeries;
import tundra.samples.OpenNight;

/** The demo's page to visit: a gallery, a map, a film and a number to call, for everybody and by itself. */
class VisitPageTest extends InBrowser {
    private static Path page() throws Exception {
        Project p = OpenNight.project();
        Path to = folder.resolve("visit");
        Publisher.publish(new PageCompiler(Fonts.BUNDLED, Fonts.BUNDLED, new PictureSheets(), new SkiaSeries()).compile(p, null), to, Progress.NONE);
        return to;
    }

    @Test
    @SuppressWarnings("unchecked")
    void axeFindsNothingAndRolesAndNamesAreAsExpected() throws Exception {
        browser.open(page(), 1280, 700);
        browser.run("Tundra.pieces[0].show('Visit')");
        browser.until("return Tundra.pieces[0].shown.name === 'Visit' && !Tundra.pieces[0].scenes.some((s) => s.moves) && document.querySelectorAll('video').length === 1");
        try (InputStream in = VisitPageTest.class.getResourceAsStream("/axe.min.js")) {
            browser.run(new String(in.readAllBytes(), StandardCharsets.UTF_8) + "; window.axe = axe;");
        }
        var found = (List<Map<String, Object>>) browser.driver.executeAsyncScript(
                "const done = arguments[0]; axe.run(document, { resultTypes: ['violations'] }).then((r) => done(r.violations.map((v) => ({ id: v.id, help: v.help, nodes: v.nodes.map((n) => n.html).join() }))))");
        assertThat(found).isEmpty();
        var told = (List<String>) browser.run(
                "return [...document.querySelectorAll('.t-scene:not([hidden]) [role], .t-scene:not([hidden]) a, .t-scene:not([hidden]) video')].map((x) => (x.getAttribute('role') ?? x.tagName.toLowerCase()) + ': ' + x.getAttribute('aria-label'))");
        assertThat(told).contains("group: What there is to see", "group: Gallery dots", "group: The way to the station", "video: The mast by night",
                "a: Call the station", "button: Back to the station");
    }

    /** As a folder on a host that allows nothing but itself, and as files: what is asked for is the page's own. */
    @Test
    void itAsksNobodyElse() throws Exception {
        Path page = page();
        var asked = new CopyOnWriteArrayList<String>();
        HttpServer server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.createContext("/", x -> {
            Path file = page.resolve(x.getRequestURI().getPath().substring(1).isEmpty() ? "index.html" : x.getRequestURI().getPath().substring(1));
            asked.add(file.getFileName().toString());
            x.getResponseHeaders().add("Content-Security-Policy", "default-src 'self'");
            x.getResponseHeaders().add("Content-Type", file.toString().endsWith(".css") ? "text/css" : file.toString().endsWith(".js")
                    ? "text/javascript" : file.toString().endsWith(".html") ? "text/html" : file.toString().endsWith(".webm") ? "video/webm"
                    : "application/octet-stream");
            byte[] body = Files.exists(file) ? Files.readAllBytes(file) : new byte[0];
            x.sendResponseHeaders(Files.exists(file) ? 200 : 404, body.length == 0 ? -1 : body.length);
            x.getResponseBody().write(body);
            x.close();
        });
        server.setExecutor(Executors.newVirtualThreadPerTaskExecutor());
        server.start();
        try {
            String host = "http://127.0.0.1:" + server.getAddress().getPort() + "/";
            browser.driver.get(host);
            browser.run("window.refused = []; addEventListener('securitypolicyviolation', (e) => refused.push(e.violatedDirective + ' ' + e.blockedURI)); Tundra.pieces[0].show('Visit')");
            browser.until("return document.querySelector('video')?.readyState >= 2");
            assertThat((List<?>) browser.run("return refused")).isEmpty();
            assertThat((List<?>) browser.run(
                    "return performance.getEntriesByType('resource').map((r) => r.name).filter((n) => !n.startsWith(arguments[0]))", host)).isEmpty();
            assertThat(asked).anyMatch(n -> n.endsWith(".webm")).anyMatch(n -> n.endsWith(".jpg"));
        } finally {
            server.stop(0);
        }
        browser.open(page, 1280, 700);
        browser.run("Tundra.pieces[0].show('Visit')");
        browser.until("return document.querySelector('video')?.readyState >= 2");
        assertThat((List<?>) browser.run("return performance.getEntriesByType('resource').map((r) => r.name).filter((n) => !n.startsWith('file:'))"))
                .isEmpty();
    }
}
