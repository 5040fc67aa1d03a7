package tundra.app.studio;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SettingsTest {
    @TempDir
    private Path folder;

    @Test
    void whatIsRememberedIsThereAtTheNextStart() throws Exception {
        Path file = folder.resolve("deep/settings.properties");
        var s = new Settings(file);
        assertThat(s.dark()).isFalse();
        assertThat(s.recent()).isEmpty();
        for (int i = 0; i < 12; i++) {
            Path p = folder.resolve("piece " + i + ".tundra");
            Files.writeString(p, "x");
            s.addRecent(p);
        }
        s.addRecent(folder.resolve("piece 9.tundra"));
        s.setDark(true);
        s.setOutputsFolder("p1", folder.resolve("page"));
        Files.delete(folder.resolve("piece 10.tundra"));
        var again = new Settings(file);
        assertThat(again.dark()).isTrue();
        assertThat(again.outputsFolder("p1")).isEqualTo(folder.resolve("page").toAbsolutePath());
        assertThat(again.outputsFolder("p2")).isNull();
        assertThat(again.recent()).extracting(p -> p.getFileName().toString()).startsWith("piece 9.tundra", "piece 11.tundra", "piece 8.tundra")
                .doesNotContain("piece 10.tundra").doesNotHaveDuplicates();
    }

    @Test
    void aDamagedFileIsLikeNone() throws Exception {
        Path file = folder.resolve("settings.properties");
        Files.writeString(file, "dark=\\u12");
        assertThat(new Settings(file).dark()).isFalse();
    }
}
