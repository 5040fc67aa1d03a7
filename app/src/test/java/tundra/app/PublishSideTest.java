package tundra.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.app.send.Place;
import tundra.app.studio.Desk;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Color;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Values;
import tundra.core.motion.Easing;
import tundra.core.motion.Key;
import tundra.core.motion.Track;
import tundra.web.PhoneServer;
import tundra.web.PracticeHost;

/** Beside the page on the Publish desk: what the checks found, what the page weighs, and where it is sent. */
class PublishSideTest extends InWindow {
    @TempDir
    private Path folder;

    private void faint(String color) throws Exception {
        var text = new Element("words", "Words", false, false, Values.NONE.with(Properties.POSITION, new Point(120, 80))
                .with(Properties.FILL, Color.parse(color)), new Content.Text("Come and see", "Figtree", 400, 18, Content.Align.LEFT, 1.2));
        RealWindow.fx(() -> {
            t.studio.edit("Set", b -> b.withElements(List.of(text)));
            return null;
        });
    }

    private void write(String field, String words) throws Exception {
        RealWindow.fx(() -> {
            ((TextField) t.node(field)).setText(words);
            return null;
        });
    }

    @Test
    void whatIsFoundIsToldOnTheDeskMutedWithAReasonAndToldAgain() throws Exception {
        faint("#BBBBBB");
        t.keys(KeyCode.ALT, KeyCode.DIGIT5);
        t.until(() -> t.studio.desk() == Desk.PUBLISH && t.label("desk-checks-count").equals("1 to look at"));
        Button mute = RealWindow.fx(() -> (Button) t.node("desk-checks").lookup(".check-mute"));
        RealWindow.fx(() -> {
            mute.fire();
            return null;
        });
        write("check-reason", "It is meant to be hardly seen");
        t.fire("check-keep");
        assertThat(t.studio.project().muted()).hasSize(1);
        t.until(() -> t.label("desk-checks-count").equals("nothing found"));
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.until(() -> t.label("desk-checks-count").equals("1 to look at"));
        // and what is mended is no longer told
        faint("#303030");
        t.until(() -> t.label("desk-checks-count").equals("nothing found"));
        t.until(() -> t.label("weight-sum").startsWith("Together "));
        assertThat(RealWindow.fx(() -> ((Parent) t.node("weight")).lookupAll(".weight-bar").stream().mapToDouble(n -> n.getLayoutBounds().getWidth())
                .max().orElse(0))).isGreaterThan(50);
    }

    /** A picture with ten times the pixels that are shown of it: the file is named with what would be saved, and saved it is. */
    @Test
    void whatWouldMakeAFileSmallerIsOfferedAtTheFile() throws Exception {
        var noise = new BufferedImage(640, 640, BufferedImage.TYPE_INT_RGB);
        var random = new Random(29);
        for (int i = 0; i < 640 * 640; i++) {
            noise.setRGB(i % 640, i / 640, random.nextInt(0x1000000));
        }
        var png = new ByteArrayOutputStream();
        ImageIO.write(noise, "png", png);
        Asset a = Asset.picture("frost.png", "image/png", 640, 640, png.toByteArray());
        var frost = new Element("frost", "Frost", false, false, Values.NONE.with(Properties.POSITION, new Point(60, 60))
                .with(Properties.SIZE, new Point(64, 64)), new Content.Picture(a.hash()));
        RealWindow.fx(() -> {
            t.studio.editProject("Bring in", null, p -> p.withAsset(a));
            t.studio.edit("Set", b -> b.withElements(List.of(frost)));
            return null;
        });
        t.keys(KeyCode.ALT, KeyCode.DIGIT5);
        t.until(() -> weights().stream().anyMatch(x -> x.contains("pictures/") && x.matches("(?s).*smaller by 1\\.\\d MB.*")));
        t.fire("weight-smaller");
        t.until(() -> weights().stream().noneMatch(x -> x.contains("smaller by")) && weights().stream()
                .anyMatch(x -> x.matches("[\\d.]+ KB  pictures/.*")));
        assertThat(RealWindow.fx(() -> t.node("weight-smaller").isVisible())).isFalse();
        t.keys(KeyCode.CONTROL, KeyCode.Z);
        t.until(() -> weights().stream().anyMatch(x -> x.contains("smaller by")));
    }

    private List<String> weights() {
        return t.stage.getScene().getRoot().lookup("#weight").lookupAll(".label").stream().map(n -> ((Label) n).getText()).toList();
    }

    @Test
    void aLoopThatDoesNotCloseShowsBothItsEndsAndIsMended() throws Exception {
        var box = new Element("ball", "Ball", false, false, Values.NONE.with(Properties.POSITION, new Point(60, 60))
                .with(Properties.SIZE, new Point(80, 80)).with(Properties.FILL, Color.parse("#203040")), new Content.Rectangle());
        RealWindow.fx(() -> {
            t.studio.edit("Set", b -> b.withElements(List.of(box)).withSize(new Point(300, 120)).mapTimeline(b.main().id(), x -> x.withLoop(true)
                    .withDuration(1_000_000).with("ball", Properties.POSITION,
                    new Track<>(List.of(new Key<>(0, new Point(60, 60), Easing.LINEAR), new Key<>(1_000_000, new Point(240, 60), Easing.LINEAR))))));
            return null;
        });
        t.keys(KeyCode.ALT, KeyCode.DIGIT5);
        t.until(() -> t.stage.getScene().lookup("#desk-checks") instanceof Parent p && p.lookupAll(".card .image-view").size() == 2);
        Button mend = RealWindow.fx(() -> (Button) t.node("desk-checks").lookup(".check-fix"));
        RealWindow.fx(() -> {
            mend.fire();
            return null;
        });
        t.until(() -> t.stage.getScene().lookup("#desk-checks") instanceof Parent p && p.lookupAll(".card .image-view").isEmpty());
        assertThat(RealWindow.fx(() -> t.studio.board().main().track("ball", Properties.POSITION).keys().getLast().value()))
                .isEqualTo(new Point(60, 60));
    }

    @Test
    void thePageIsSentLookedAtAndBroughtBack() throws Exception {
        faint("#303030");
        Path root = folder.resolve("host");
        try (var host = new PracticeHost(root, 0, new PracticeHost.Manner("open-sesame-night", 0, 0, -1))) {
            t.keys(KeyCode.ALT, KeyCode.DIGIT5);
            t.until(() -> t.studio.desk() == Desk.PUBLISH);
            @SuppressWarnings("unchecked")
            var kind = (ComboBox<Place.Kind>) t.node("send-kind");
            RealWindow.fx(() -> {
                kind.setValue(Place.Kind.PRACTICE);
                return null;
            });
            t.fire("send-now");
            assertThat(RealWindow.fx(() -> t.label("send-state"))).isEqualTo("Write the address of the host.");
            write("send-address", host.address());
            write("send-user", "keeper");
            write("send-folder", "site");
            t.secretToGive = null;
            t.fire("send-now");
            t.until(() -> t.label("send-state").equals("Given up; nothing was sent."));
            t.secretToGive = "wrong";
            t.fire("send-now");
            t.until(() -> t.label("send-state").contains("doesn't accept this name and secret"));
            t.secretToGive = "open-sesame-night";
            t.fire("send-now");
            t.until(() -> t.label("send-state").startsWith("Sent: "));
            assertThat(root.resolve("site/index.html")).content().contains("Come and see");
            int asked = t.secretsAsked;
            faint("#202020");
            t.fire("send-look");
            t.until(() -> t.label("send-state").contains("change"));
            assertThat(RealWindow.fx(() -> t.label("send-state"))).contains(" to send.");
            t.fire("send-now");
            t.until(() -> t.label("send-state").startsWith("Sent: "));
            assertThat(t.secretsAsked).as("it is known by now").isEqualTo(asked);
            String second = Files.readString(root.resolve("site/index.html"));
            t.fire("send-back");
            t.until(() -> t.label("send-state").startsWith("The version before is back"));
            assertThat(Files.readString(root.resolve("site/index.html"))).isNotEqualTo(second);
            assertThat(RealWindow.fx(() -> t.label("send-last"))).startsWith("Last sent today ");
        }
        assertThat(Files.readString(RealWindow.fx(() -> t.w.settings.folder()).resolve("settings.properties"))).as("no secret is written down")
                .doesNotContain("open-sesame-night");
    }

    @Test
    void aPhoneIsGivenNothingBeforeItIsSwitchedOn() throws Exception {
        t.keys(KeyCode.ALT, KeyCode.DIGIT5);
        t.until(() -> t.studio.desk() == Desk.PUBLISH);
        assertThat(RealWindow.fx(() -> t.label("phone-words"))).contains("Off until you switch it on");
        Node code = t.node("phone-code");
        assertThat(code.isVisible()).isFalse();
        boolean reached = PhoneServer.local() != null;
        t.fire("phone-share");
        if (reached) {
            assertThat(RealWindow.fx(() -> t.label("phone-words"))).matches("http://[\\d.]+:\\d+/[0-9a-f]{32}/");
            assertThat(code.isVisible()).isTrue();
            t.fire("phone-share");
            assertThat(code.isVisible()).isFalse();
        } else {
            assertThat(t.w.notices.told()).contains("no local network");
        }
    }

    /** The page that a browser is given tells how many pictures it shows; the browser is one of the tests. */
    @Test
    void aBrowserMeasuresThePageOnRequest() throws Exception {
        t.keys(KeyCode.ALT, KeyCode.DIGIT5);
        t.fire("weight-measure");
        t.until(() -> t.opened != null);
        String url = t.opened;
        assertThat(url).startsWith("http://127.0.0.1:").endsWith("?measure");
        var chromium = new ProcessBuilder("chromium", "--headless", "--no-sandbox", "--disable-gpu", "--user-data-dir=" + folder.resolve("profile"),
                url).redirectErrorStream(true).redirectOutput(ProcessBuilder.Redirect.DISCARD).start();
        try {
            t.until(() -> t.label("weight-measured").matches("Your browser: \\d+ pictures a second, \\d+ ms of work in each\\."));
            assertThat(Integer.parseInt(t.label("weight-measured").replaceAll("\\D+(\\d+) pictures.*", "$1"))).isBetween(2, 130);
        } finally {
            // its processes write into the folder until their end
            var all = Stream.concat(chromium.descendants(), Stream.of(chromium.toHandle())).toList();
            all.forEach(ProcessHandle::destroyForcibly);
            for (ProcessHandle p : all) {
                p.onExit().get(10, TimeUnit.SECONDS);
            }
        }
    }
}
