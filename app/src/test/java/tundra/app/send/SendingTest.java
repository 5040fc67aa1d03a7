package tundra.app.send;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import org.apache.sshd.common.file.virtualfs.VirtualFileSystemFactory;
import org.apache.sshd.server.SshServer;
import org.apache.sshd.server.keyprovider.SimpleGeneratorHostKeyProvider;
import org.apache.sshd.sftp.server.SftpSubsystemFactory;
import org.assertj.core.api.ThrowableAssert;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.file.FileProblem;
import tundra.core.work.Progress;
import tundra.web.Page;
import tundra.web.PracticeHost;

/** Pages are sent to a folder, the practice host, a WebDAV host and an SFTP host: only what changed, whole or not at all, and back again. */
class SendingTest {
    private static final String TOKEN = "northern-lights", USER = "keeper";
    @TempDir
    private Path folder;
    private final Map<String, String> keys = new HashMap<>();
    private final KnownHosts known = new KnownHosts(keys::get, keys::put);

    private static Page page(String... namesAndWords) {
        var out = new LinkedHashMap<String, Page.Part>();
        for (int i = 0; i < namesAndWords.length; i += 2) {
            out.put(namesAndWords[i], Page.Part.of(namesAndWords[i + 1].getBytes(StandardCharsets.UTF_8)));
        }
        return new Page(out);
    }

    private static final Page FIRST = page("index.html", "<p>first", "piece.1.js", "one", "fonts/a b.woff2", "letters", "pictures/x.png", "same",
            "pictures/y.png", "same"),
            SECOND = page("index.html", "<p>second", "piece.2.js", "two", "fonts/a b.woff2", "letters", "pictures/x.png", "same", "pictures/y.png",
            "same");

    private SshServer ssh(Path root) throws IOException {
        SshServer s = SshServer.setUpDefaultServer();
        s.setHost("127.0.0.1");
        s.setKeyPairProvider(new SimpleGeneratorHostKeyProvider(folder.resolve(root.getFileName() + "-key")));
        s.setPasswordAuthenticator((user, secret, session) -> user.equals(USER) && secret.equals(TOKEN));
        s.setSubsystemFactories(List.of(new SftpSubsystemFactory()));
        s.setFileSystemFactory(new VirtualFileSystemFactory(Files.createDirectories(root)));
        s.start();
        return s;
    }

    private interface Work {
        void on(Place p, Path root) throws Exception;
    }

    /** The same at every kind of place. */
    private void everywhere(String name, Work work) throws Exception {
        Path plain = folder.resolve(name + "-folder");
        work.on(new Place(Place.Kind.FOLDER, plain.toString(), "", ""), plain);
        Path hosted = folder.resolve(name + "-host");
        try (var host = new PracticeHost(hosted, 0, new PracticeHost.Manner(TOKEN, 0, 0, -1))) {
            work.on(new Place(Place.Kind.PRACTICE, host.address(), USER, "open night"), hosted.resolve("open night"));
        }
        Path deep = folder.resolve(name + "-dav");
        try (var host = new PracticeHost(deep, 0, new PracticeHost.Manner(TOKEN, 0, 0, -1))) {
            work.on(new Place(Place.Kind.WEBDAV, host.address(), USER, "a/b/c"), deep.resolve("a/b/c"));
        }
        Path far = folder.resolve(name + "-sftp");
        SshServer s = ssh(far);
        try {
            work.on(new Place(Place.Kind.SFTP, "sftp://127.0.0.1:" + s.getPort(), USER, "site"), far.resolve("site"));
        } finally {
            s.stop();
        }
    }

    private Sending.Plan send(Place p, Page page) throws IOException {
        try (Sending s = Sending.to(p, TOKEN, known)) {
            return s.send(page, Progress.NONE);
        }
    }

    @Test
    void onlyWhatChangedIsSentAndTheOneBeforeComesBack() throws Exception {
        everywhere("change", (p, root) -> {
            assertThat(send(p, FIRST).changed()).as(p.kind().words).hasSize(5);
            assertThat(root.resolve("index.html")).hasContent("<p>first");
            assertThat(root.resolve("fonts/a b.woff2")).hasContent("letters");
            assertThat(root.resolve("pictures/y.png")).hasContent("same");
            try (Sending s = Sending.to(p, TOKEN, known)) {
                Sending.Plan plan = s.plan(SECOND);
                assertThat(plan.changed()).containsExactly("index.html", "piece.2.js");
                assertThat(plan.removed()).containsExactly("piece.1.js");
                assertThat(plan.same()).isEqualTo(3);
                assertThat(plan.bytes()).isEqualTo("<p>second".length() + 3);
                assertThat(s.hasBefore()).isFalse();
                s.send(SECOND, Progress.NONE);
                assertThat(s.hasBefore()).isTrue();
            }
            assertThat(root.resolve("index.html")).hasContent("<p>second");
            assertThat(root.resolve("piece.1.js")).doesNotExist();
            try (Sending s = Sending.to(p, TOKEN, known)) {
                s.bringBack();
            }
            assertThat(root.resolve("index.html")).as("the one before").hasContent("<p>first");
            assertThat(root.resolve("piece.1.js")).hasContent("one");
            assertThat(root.resolve("piece.2.js")).doesNotExist();
            try (Sending s = Sending.to(p, TOKEN, known)) {
                s.bringBack();
                assertThat(s.plan(SECOND).changed()).as("and forth again").isEmpty();
            }
            assertThat(root.resolve("index.html")).hasContent("<p>second");
        });
    }

    @Test
    void aSendingThatIsGivenUpLeavesTheOldPageAndGoesOnLater() throws Exception {
        everywhere("give-up", (p, root) -> {
            send(p, FIRST);
            try (Sending s = Sending.to(p, TOKEN, known)) {
                int[] asked = {0};
                assertThatThrownBy(() -> s.send(SECOND, Progress.of(x -> { }, () -> ++asked[0] > 1))).as(p.kind().words)
                        .isInstanceOf(CancellationException.class);
                assertThat(root.resolve("index.html")).hasContent("<p>first");
                assertThat(root.resolve("piece.2.js")).doesNotExist();
                s.send(SECOND, Progress.NONE);
            }
            assertThat(root.resolve("index.html")).hasContent("<p>second");
            assertThat(root.resolve("piece.2.js")).hasContent("two");
        });
    }

    @Test
    void aPageOfSomebodyElseIsLeftAlone() throws Exception {
        everywhere("others", (p, root) -> {
            Files.createDirectories(root);
            Files.writeString(root.resolve("index.html"), "mine");
            assertThatThrownBy(() -> send(p, FIRST)).as(p.kind().words).isInstanceOf(FileProblem.class).hasMessageContaining("did not send");
            assertThat(root.resolve("index.html")).hasContent("mine");
        });
    }

    private static void refused(ThrowableAssert.ThrowingCallable work, String why) {
        assertThatThrownBy(work).isInstanceOf(FileProblem.class).hasMessageContaining(why).satisfies(e -> assertThat(e.getMessage().lines())
                .hasSize(1));
    }

    @Test
    void whateverGoesWrongIsSaidInOneSentenceAndTheOldPageStands() throws Exception {
        Path root = folder.resolve("host");
        Place p;
        try (var host = new PracticeHost(root, 0, new PracticeHost.Manner(TOKEN, 0, 0, -1))) {
            p = new Place(Place.Kind.PRACTICE, host.address(), USER, "site");
            send(p, FIRST);
            refused(() -> {
                try (Sending s = Sending.to(p, "wrong", known)) {
                    s.send(SECOND, Progress.NONE);
                }
            }, "doesn't accept this name and secret");
            // who only looks sees the page and none of what Tundra keeps beside it
            var web = HttpClient.newHttpClient();
            var index = web.send(HttpRequest.newBuilder(URI.create(host.address() + "/site/")).build(), HttpResponse.BodyHandlers.ofString());
            assertThat(index.body()).isEqualTo("<p>first");
            assertThat(index.headers().firstValue("Content-Type")).hasValue("text/html;charset=utf-8");
            assertThat(web.send(HttpRequest.newBuilder(URI.create(host.address() + "/site/.tundra-sent")).build(),
                    HttpResponse.BodyHandlers.ofString()).statusCode()).isEqualTo(404);
            assertThat(web.send(HttpRequest.newBuilder(URI.create(host.address() + "/../../etc/passwd")).build(),
                    HttpResponse.BodyHandlers.ofString()).statusCode()).isIn(400, 404);
        }
        refused(() -> send(p, SECOND), "nobody answers there");
        // a host that fails after some writings: wherever that is, the page of before or the new one is seen whole, and the next sending ends well
        for (int good = 0; good < 12; good++) {
            Path at = folder.resolve("failing-" + good);
            try (var host = new PracticeHost(at, 0, new PracticeHost.Manner(TOKEN, 0, 0, -1))) {
                send(new Place(Place.Kind.PRACTICE, host.address(), USER, "site"), FIRST);
            }
            try (var host = new PracticeHost(at, 0, new PracticeHost.Manner(TOKEN, 0, 0, good))) {
                send(new Place(Place.Kind.PRACTICE, host.address(), USER, "site"), SECOND);
            } catch (FileProblem e) {
                assertThat(e.getMessage()).contains("503").contains("try again");
                String index = Files.exists(at.resolve("site/index.html")) ? Files.readString(at.resolve("site/index.html")) : "";
                assertThat(index).as("after %d writings", good).isIn("<p>first", "<p>second", "");
                if (index.equals("<p>first") && good < 4) {
                    assertThat(at.resolve("site/piece.1.js")).hasContent("one");
                }
            }
            try (var host = new PracticeHost(at, 0, new PracticeHost.Manner(TOKEN, 0, 0, -1))) {
                send(new Place(Place.Kind.PRACTICE, host.address(), USER, "site"), SECOND);
            }
            assertThat(at.resolve("site/index.html")).hasContent("<p>second");
            assertThat(at.resolve("site/piece.2.js")).hasContent("two");
        }
        Path small = folder.resolve("small");
        try (var host = new PracticeHost(small, 0, new PracticeHost.Manner(TOKEN, 1000, 0, -1))) {
            Place q = new Place(Place.Kind.WEBDAV, host.address(), USER, "site");
            send(q, FIRST);
            refused(() -> send(q, page("index.html", "x".repeat(5000))), "no room left on the host");
            assertThat(small.resolve("site/index.html")).hasContent("<p>first");
        }
        refused(() -> send(new Place(Place.Kind.PRACTICE, "http://no-such-host.invalid", USER, ""), FIRST), "no such host");
        refused(() -> send(new Place(Place.Kind.SFTP, "sftp://127.0.0.1:1", USER, ""), FIRST), "can't be sent to");
        SshServer s = ssh(folder.resolve("keyed"));
        Place keyed = new Place(Place.Kind.SFTP, "sftp://127.0.0.1:" + s.getPort(), USER, "site");
        send(keyed, FIRST);
        refused(() -> {
            try (Sending x = Sending.to(keyed, "wrong", known)) {
                x.send(SECOND, Progress.NONE);
            }
        }, "doesn't accept this name and secret");
        keys.replaceAll((host, key) -> "another");
        refused(() -> send(keyed, SECOND), "shows another key");
        s.stop();
        Path file = Files.writeString(folder.resolve("a-file"), "x");
        refused(() -> send(new Place(Place.Kind.FOLDER, file.toString(), "", ""), FIRST), "can't be sent to");
        for (String wrong : List.of("", "ftp://x", "http://a@b", "http://")) {
            assertThatThrownBy(() -> new Place(Place.Kind.WEBDAV, wrong, "", "")).isInstanceOf(IllegalArgumentException.class);
        }
        assertThatThrownBy(() -> new Place(Place.Kind.SFTP, "sftp://host", "", "a/../../b")).hasMessageContaining("can't be a folder");
        Place kept = new Place(Place.Kind.SFTP, "sftp://host:2222/", "me", "/a/b/");
        assertThat(Place.parse(kept.text())).isEqualTo(kept);
        assertThat(kept.words()).isEqualTo("host:2222/a/b");
        assertThat(Place.of("sftp://host/www/site", "me")).isEqualTo(new Place(Place.Kind.SFTP, "sftp://host", "me", "www/site"));
    }
}
