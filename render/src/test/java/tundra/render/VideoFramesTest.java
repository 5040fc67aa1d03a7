package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Image;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tundra.core.file.FileData;
import tundra.core.model.Asset;

/** The picture of a video at any time is the one that a browser shows then. */
class VideoFramesTest {
    private static final int W = 160, H = 96, RATE = 25, FRAMES = 100;
    @TempDir
    static Path folder;

    /** A video whose pictures are as light as they are late. */
    static Path made(String name, FilmFormat format) throws IOException {
        Path file = folder.resolve(name);
        try (var out = new VideoWriter(file, format, new VideoWriter.Shape(W, H, RATE, false, false), FilmFormat.Quality.GOOD, null, false)) {
            int[] pixels = new int[W * H];
            for (int i = 0; i < FRAMES; i++) {
                int v = 40 + 2 * i;
                Arrays.fill(pixels, 0xFF000000 | v << 16 | v << 8 | v);
                out.add(pixels);
            }
        }
        return file;
    }

    private static int light(Image image) {
        try (var b = Bitmap.makeFromImage(image)) {
            return b.getColor(W / 2, H / 2) & 255;
        }
    }

    @Test
    void everyPictureIsFoundAtItsTimeInWhateverOrder() throws Exception {
        for (Object[] x : new Object[][] {{"a.webm", FilmFormat.WEBM}, {"b.mp4", FilmFormat.MP4}, {"c.mp4", FilmFormat.WEBM_AV1}}) {
            try (var frames = new VideoFrames(made((String) x[0], (FilmFormat) x[1]))) {
                assertThat(frames.duration()).as((String) x[0]).isCloseTo(4_000_000, within(50_000L));
                var random = new Random(4);
                for (int n = 0; n < 40; n++) {
                    int i = n < 10 ? n : random.nextInt(FRAMES);
                    // in the middle of its time
                    try (Image image = frames.at(i * 40_000L + 20_000)) {
                        assertThat(light(image)).as("%s, picture %d", x[0], i).isCloseTo(40 + 2 * i, within(3));
                    }
                }
                try (Image image = frames.at(60_000_000)) {
                    assertThat(light(image)).as("behind the end of " + x[0]).isCloseTo(40 + 2 * (FRAMES - 1), within(3));
                }
            }
        }
    }

    @Test
    void whatIsNoVideoIsRefusedWithOneSentence() throws Exception {
        Path good = made("whole.mp4", FilmFormat.MP4);
        byte[] whole = Files.readAllBytes(good);
        Path cut = Files.write(folder.resolve("cut.mp4"), Arrays.copyOf(whole, 400)), noise = Files.write(folder.resolve("noise.webm"),
                new byte[] {0x1A, 0x45, (byte) 0xDF, (byte) 0xA3, 1, 2, 3, 4, 5, 6, 7, 8});
        for (Path bad : List.of(cut, noise)) {
            assertThatThrownBy(() -> VideoReader.read(bad)).hasMessageStartingWith("“" + bad.getFileName() + "” can't be brought in: ")
                    .hasMessageEndingWith("Nothing was changed.");
        }
        assertThatThrownBy(() -> VideoReader.read(Files.writeString(folder.resolve("words.mp4"), "words and more words, none of them a film")))
                .hasMessageContaining("MP4 and WebM");
        Asset a = VideoReader.read(good);
        assertThat(a.kind()).isEqualTo(Asset.Kind.VIDEO);
        assertThat(a.source()).isInstanceOf(FileData.class);
        assertThat(List.of(a.width(), a.height())).containsExactly(W, H);
        assertThat(a.source().length()).isEqualTo(whole.length);
    }
}
