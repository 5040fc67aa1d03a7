package tundra.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tundra.core.file.ProjectFile;
import tundra.core.geometry.Point;
import tundra.core.model.Asset;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.PlacedSound;
import tundra.core.model.Project;
import tundra.core.model.Values;
import tundra.core.work.Progress;
import tundra.render.FontReader;
import tundra.render.Fonts;
import tundra.render.PictureSheets;

/** Every kind of file that the shelf takes is used, saved, opened again and published with its own bytes. */
class ShelfOnPageTest {
    @TempDir
    private Path folder;

    private Page published(Project p) throws Exception {
        Path file = folder.resolve("a.tundra");
        ProjectFile.write(p, file);
        Project back = ProjectFile.read(file);
        Fonts fonts = Fonts.of(back.assets());
        Page page = new PageCompiler(fonts, fonts, new PictureSheets()).compile(back, null);
        Path to = folder.resolve("page");
        Publisher.publish(page, to, Progress.NONE);
        for (var e : NamedByContent.of(page).files().entrySet()) {
            assertThat(Files.readAllBytes(to.resolve(e.getKey()))).as(e.getKey()).isEqualTo(e.getValue().bytes());
        }
        return page;
    }

    private static Project empty() {
        return Project.empty("Shelf", new Point(200, 100), 24);
    }

    @ParameterizedTest
    @ValueSource(strings = {"image/png", "image/jpeg", "image/webp", "image/gif"})
    void pictures(String type) throws Exception {
        byte[] data = new byte[5000];
        new Random(7).nextBytes(data);
        Asset a = Asset.picture("thing", type, 10, 10, data);
        Project p = empty().withAsset(a);
        Page page = published(p.mapBoard(p.scenes().getFirst().id(),
                b -> b.withElements(List.of(new Element("Thing", new Content.Picture(a.hash()), Values.NONE)))));
        String name = page.files().entrySet().stream().filter(e -> Arrays.equals(e.getValue().bytes(), data)).findFirst().orElseThrow().getKey();
        assertThat(new String(page.files().get("index.html").bytes(), StandardCharsets.UTF_8)).contains(name);
    }

    @ParameterizedTest
    @ValueSource(strings = {"audio/wav", "audio/mpeg", "audio/ogg", "audio/flac", "audio/mp4"})
    void sounds(String type) throws Exception {
        byte[] data = new byte[5000];
        new Random(8).nextBytes(data);
        Asset a = Asset.sound("thing", type, 500_000, data);
        Project p = empty().withAsset(a);
        Page page = published(p.mapBoard(p.scenes().getFirst().id(), b -> b.mapTimeline(b.main().id(),
                t -> t.withSounds(List.of(new PlacedSound("s", a.hash(), 0, 1, 0, 0, 0, 0, false))))));
        assertThat(page.files().entrySet()).anyMatch(e -> e.getKey().startsWith("sounds/") && Arrays.equals(e.getValue().bytes(), data));
    }

    @ParameterizedTest
    @ValueSource(strings = {"Aurora", "Äurora"})
    void fonts(String family) throws Exception {
        byte[] font = Fonts.BUNDLED.file("Caveat", 400);
        replace(font, "Caveat".getBytes(StandardCharsets.UTF_16BE), family.getBytes(StandardCharsets.UTF_16BE));
        replace(font, "Caveat".getBytes(StandardCharsets.US_ASCII), family.getBytes(Charset.forName("x-MacRoman")));
        Asset a = FontReader.read("own.ttf", font);
        assertThat(Fonts.familyOf(a)).isEqualTo(family);
        Project p = empty().withAsset(a);
        Page page = published(p.mapBoard(p.scenes().getFirst().id(), b -> b.withElements(List.of(new Element("Sign",
                new Content.Text("Hello", family, 400, 20, Content.Align.LEFT, 1.2), Values.NONE)))));
        assertThat(page.files().entrySet()).anyMatch(e -> e.getKey().startsWith("fonts/") && Arrays.equals(e.getValue().bytes(), font));
    }

    private static void replace(byte[] in, byte[] what, byte[] by) {
        for (int i = 0; i + what.length <= in.length; i++) {
            if (Arrays.equals(in, i, i + what.length, what, 0, what.length)) {
                System.arraycopy(by, 0, in, i, by.length);
            }
        }
    }
}
