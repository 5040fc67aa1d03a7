package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.file.FileProblem;
import tundra.core.work.Progress;

class PublisherTest {
    @TempDir
    private Path folder;

    private static Page page(String... names) {
        var m = new LinkedHashMap<String, Page.Part>();
        for (String n : names) {
            m.put(n, Page.Part.of(("bytes of " + n).getBytes(StandardCharsets.UTF_8)));
        }
        return new Page(m);
    }

    private static boolean publish(Page p, Path to) throws Exception {
        return Publisher.publish(p, to, Progress.NONE);
    }

    private List<String> names() throws Exception {
        try (var all = Files.walk(folder)) {
            return all.filter(Files::isRegularFile).map(p -> folder.relativize(p).toString()).filter(n -> !n.startsWith(".")).sorted().toList();
        }
    }

    @Test
    void whatIsNoLongerUsedGoesAndWhatIsOthersStays() throws Exception {
        publish(page("index.html", "pictures/a.png", "piece.js"), folder);
        Files.writeString(folder.resolve("notes.txt"), "mine");
        publish(page("index.html", "pictures/b.png"), folder);
        // for who is just loading the last version
        assertThat(names()).containsExactly("index.html", "notes.txt", "pictures/a.png", "pictures/b.png", "piece.js");
        publish(page("index.html", "pictures/b.png"), folder.resolve("../" + folder.getFileName()));
        assertThat(names()).containsExactly("index.html", "notes.txt", "pictures/b.png");
        assertThat(Files.readString(folder.resolve("pictures/b.png"))).isEqualTo("bytes of pictures/b.png");
    }

    /** A visitor who has the document of one version gets that version's scripts, whatever is published meanwhile. */
    @Test
    void scriptsAreNamedByWhatTheyHold() throws Exception {
        for (String version : List.of("one", "two", "three")) {
            var files = new LinkedHashMap<String, Page.Part>();
            files.put("index.html", Page.Part.of("<link href=\"piece.css\"><script src=\"piece.js\"></script>".getBytes()));
            files.put("piece.js", Page.Part.of(("// " + version).getBytes()));
            files.put("piece.css", Page.Part.of("body{}".getBytes()));
            String before = Files.exists(folder.resolve("index.html")) ? script() : null;
            publish(new Page(files), folder);
            assertThat(Files.readString(folder.resolve(script()))).isEqualTo("// " + version);
            if (before != null) {
                assertThat(Files.readString(folder.resolve(before))).as("the last version's").isNotEqualTo("// " + version);
            }
        }
        assertThat(names()).as("two versions and a style that stayed").hasSize(4);
    }

    private String script() throws Exception {
        return Files.readString(folder.resolve("index.html")).replaceFirst("(?s).*src=\"([^\"]+)\".*", "$1");
    }

    /** Whatever stands in the way, nothing is replaced, and one sentence says what it is. */
    @Test
    void whatStandsInTheWayIsNamed() throws Exception {
        Files.createDirectories(folder.resolve("a.js"));
        assertThatThrownBy(() -> publish(page("index.html", "a.js"), folder)).isInstanceOf(FileProblem.class).hasMessageContaining("“a.js”")
                .hasMessageContaining("a folder where a file is to be");
        Files.delete(folder.resolve("a.js"));
        Files.writeString(folder.resolve("pictures"), "mine");
        assertThatThrownBy(() -> publish(page("index.html", "pictures/a.png"), folder)).isInstanceOf(FileProblem.class)
                .hasMessageContaining("a file where a folder is to be");
        Files.writeString(folder.resolve("b.js"), "mine");
        assertThatThrownBy(() -> publish(page("index.html", "b.js"), folder)).isInstanceOf(FileProblem.class)
                .hasMessageContaining("Tundra did not make it");
        assertThat(Files.readString(folder.resolve("b.js"))).isEqualTo("mine");
        assertThat(names()).containsExactly("b.js", "pictures");
    }

    /** A list that was damaged or made to do harm takes nothing away. */
    @Test
    void aHostileListDeletesNothing() throws Exception {
        publish(page("index.html", "a.js"), folder);
        Path precious = Files.writeString(folder.resolveSibling(folder.getFileName() + "-precious.txt"), "x");
        Files.createDirectories(folder.resolve("kept"));
        Files.write(folder.resolve(".tundra-files"), ("../" + precious.getFileName() + "\n" + precious + "\nkept\n\u0000\n-- before:\n../"
                + precious.getFileName() + "\nkept\n").getBytes(StandardCharsets.ISO_8859_1));
        publish(page("index.html", "b.js"), folder);
        publish(page("index.html", "b.js"), folder);
        assertThat(precious).exists();
        assertThat(folder.resolve("kept")).isDirectory();
        Files.delete(precious);
    }

    @Test
    void aPageOfOthersIsNotOverwritten() throws Exception {
        Files.writeString(folder.resolve("index.html"), "<h1>my diary</h1>");
        assertThatThrownBy(() -> publish(page("index.html"), folder)).isInstanceOf(FileProblem.class).hasMessageContaining("Tundra did not make");
        assertThat(names()).containsExactly("index.html");
        assertThat(Files.readString(folder.resolve("index.html"))).isEqualTo("<h1>my diary</h1>");
    }

    @Test
    void givenUpMeansNothingChanged() throws Exception {
        publish(page("index.html", "a.js"), folder);
        String before = Files.readString(folder.resolve("index.html"));
        var asked = new AtomicInteger();
        boolean done = Publisher.publish(new Page(Map.of("index.html", Page.Part.of(new byte[] {1}), "b.js", Page.Part.of(new byte[] {2}), "c.js",
                Page.Part.of(new byte[] {3}))), folder,
                Progress.of(x -> { }, () -> asked.incrementAndGet() > 2));
        assertThat(done).isFalse();
        assertThat(names()).containsExactly("a.js", "index.html");
        assertThat(Files.readString(folder.resolve("index.html"))).isEqualTo(before);
    }

    @Test
    void whatAKilledPublicationLeftIsSwept() throws Exception {
        Path dead = Files.createDirectories(folder.resolve(".tundra-newdead")), young = Files.createDirectories(folder.resolve(".tundra-newyoung"));
        Files.write(dead.resolve("index.html"), new byte[9]);
        Files.setLastModifiedTime(dead, FileTime.fromMillis(System.currentTimeMillis() - 7_200_000));
        publish(page("index.html"), folder);
        assertThat(dead).doesNotExist();
        assertThat(young).as("it may be under way").exists();
    }

    @Test
    void progressGoesFromNothingToAll() throws Exception {
        var seen = new ArrayList<Double>();
        Publisher.publish(page("index.html", "a", "b"), folder.resolve("new/deep"), Progress.of(seen::add, () -> false));
        assertThat(seen).isSorted().last().isEqualTo(1.0);
        assertThat(folder.resolve("new/deep/index.html")).exists();
    }

    @Test
    void aFileInTheWayIsSaidSo() throws Exception {
        Path file = folder.resolve("file");
        Files.writeString(file, "x");
        assertThatThrownBy(() -> publish(page("index.html"), file)).isInstanceOf(FileProblem.class).hasMessageContaining("is a file");
    }

    // --- the preview server ---

    private static HttpResponse<String> get(String url, String... headers) throws Exception {
        try (HttpClient c = HttpClient.newHttpClient()) {
            var r = HttpRequest.newBuilder(URI.create(url));
            if (headers.length > 0) {
                r.headers(headers);
            }
            return c.send(r.build(), HttpResponse.BodyHandlers.ofString());
        }
    }

    @Test
    void thePreviewServesThePageAndHearsItsLog() throws Exception {
        var heard = new LinkedBlockingQueue<PreviewServer.LogLine>();
        try (var s = new PreviewServer(heard::add); HttpClient c = HttpClient.newHttpClient()) {
            s.serve(page("index.html", "pictures/a.png"));
            assertThat(s.url()).startsWith("http://127.0.0.1:");
            assertThat(get(s.url()).body()).isEqualTo("bytes of index.html");
            assertThat(get(s.url() + "pictures/a.png").headers().firstValue("Content-Type")).contains("image/png");
            assertThat(get(s.url() + "../../etc/passwd").statusCode()).isEqualTo(404);
            assertThat(get(s.url() + "missing").statusCode()).isEqualTo(404);
            assertThat(get(s.url(), "Origin", "http://elsewhere.example").statusCode()).isEqualTo(403);
            c.send(HttpRequest.newBuilder(URI.create(s.url() + "log")).POST(HttpRequest.BodyPublishers.ofString(
                    "{\"time\":12.5,\"text\":\"tapped Go\",\"reaction\":\"r1\"}")).build(), HttpResponse.BodyHandlers.discarding());
            assertThat(heard.poll(5, TimeUnit.SECONDS)).isEqualTo(new PreviewServer.LogLine(12.5, "r1", "tapped Go"));
            c.send(HttpRequest.newBuilder(URI.create(s.url() + "log")).POST(HttpRequest.BodyPublishers.ofString("{nonsense")).build(),
                    HttpResponse.BodyHandlers.discarding());
            assertThat(heard.poll(5, TimeUnit.SECONDS).text()).contains("can't be read");
        }
    }

    @Test
    void thePreviewIsOpenToItsOwnPageOnly() throws Exception {
        var heard = new LinkedBlockingQueue<PreviewServer.LogLine>();
        byte[] sound = new byte[1000];
        new Random(5).nextBytes(sound);
        try (var s = new PreviewServer(heard::add); var other = new PreviewServer(heard::add); HttpClient c = HttpClient.newHttpClient()) {
            s.serve(new Page(Map.of("index.html", Page.Part.of("page".getBytes(StandardCharsets.UTF_8)), "sounds/a.mp3", Page.Part.of(sound))));
            assertThat(s.url()).matches("http://127\\.0\\.0\\.1:\\d+/[0-9a-f]{32}/").isNotEqualTo(other.url());
            URI at = URI.create(s.url());
            String root = "http://127.0.0.1:" + at.getPort() + "/";
            assertThat(get(root).statusCode()).as("without the token").isEqualTo(404);
            assertThat(get(root + "index.html").statusCode()).isEqualTo(404);
            assertThat(get(root + "0".repeat(32) + "/index.html").statusCode()).isEqualTo(404);
            assertThat(get(s.url()).headers().firstValue("Cross-Origin-Resource-Policy")).contains("same-origin");
            for (String method : List.of("PUT", "DELETE", "POST", "OPTIONS")) {
                assertThat(c.send(HttpRequest.newBuilder(at).method(method, HttpRequest.BodyPublishers.ofString("x")).build(),
                        HttpResponse.BodyHandlers.discarding()).statusCode())
                        .as(method).isEqualTo(405);
            }
            // the stand-ins for services: one knows places, one takes what is filled in
            assertThat(get(s.url() + "places?q=fell%20m").body()).doesNotContain("Fellmark market");
            assertThat(get(s.url() + "places?q=Fell").body()).contains("Fellmark market", "Ferry to Outer Fell").doesNotContain("Tarn");
            assertThat(c.send(HttpRequest.newBuilder(URI.create(s.url() + "sent")).POST(HttpRequest.BodyPublishers.ofString("name=Ada")).build(),
                    HttpResponse.BodyHandlers.discarding()).statusCode()).isEqualTo(204);
            assertThat(get(s.url() + "log").statusCode()).isEqualTo(405);
            var lie = HttpRequest.newBuilder(URI.create(s.url() + "log")).header("Origin", other.url().replaceAll("/[0-9a-f]+/$", ""))
                    .POST(HttpRequest.BodyPublishers.ofString("{}"));
            assertThat(c.send(lie.build(), HttpResponse.BodyHandlers.discarding()).statusCode()).as("another page of this machine").isEqualTo(403);
            assertThat(heard).isEmpty();
            // parts of a sound, as a player asks for them to seek
            for (var e : Map.of("bytes=0-9", new int[] {0, 10}, "bytes=990-", new int[] {990, 1000}, "bytes=-5", new int[] {995, 1000},
                    "bytes=10-99999", new int[] {10, 1000}).entrySet()) {
                var part = c.send(HttpRequest.newBuilder(URI.create(s.url() + "sounds/a.mp3")).header("Range", e.getKey()).build(),
                        HttpResponse.BodyHandlers.ofByteArray());
                assertThat(part.statusCode()).isEqualTo(206);
                assertThat(part.headers().firstValue("Content-Type")).contains("audio/mpeg");
                assertThat(part.headers().firstValue("Content-Range")).contains("bytes " + e.getValue()[0] + "-" + (e.getValue()[1] - 1) + "/1000");
                assertThat(part.body()).isEqualTo(Arrays.copyOfRange(sound, e.getValue()[0], e.getValue()[1]));
            }
            assertThat(get(s.url() + "sounds/a.mp3", "Range", "bytes=1000-").statusCode()).isEqualTo(416);
            assertThat(get(s.url() + "sounds/a.mp3", "Range", "lines=1-2").statusCode()).isEqualTo(200);
        }
    }

    @Test
    void halfSentRequestsAreClosed() throws Exception {
        try (var s = new PreviewServer(x -> { }); var socket = new Socket("127.0.0.1", URI.create(s.url()).getPort())) {
            socket.setSoTimeout(30_000);
            socket.getOutputStream().write("GET / HTTP/1.1\r\nHost: 127.0".getBytes(StandardCharsets.US_ASCII));
            long start = System.nanoTime();
            assertThat(socket.getInputStream().read()).as("closed by the server").isNegative();
            assertThat((System.nanoTime() - start) / 1e9).isLessThan(25);
        }
    }
}
