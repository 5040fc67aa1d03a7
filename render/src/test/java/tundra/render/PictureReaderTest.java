package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tundra.core.file.FileProblem;
import tundra.core.model.Asset;

class PictureReaderTest {
    @TempDir
    private Path folder;

    private static byte[] encoded(String format) throws Exception {
        var image = new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 40; y++) {
            for (int x = 0; x < 60; x++) {
                image.setRGB(x, y, (x * 37 + y * 91) * 2654435);
            }
        }
        var out = new ByteArrayOutputStream();
        assertThat(ImageIO.write(image, format, out)).isTrue();
        return out.toByteArray();
    }

    @Test
    void picturesComeInWithTypeAndSize() throws Exception {
        for (String format : new String[] {"png", "jpeg", "gif"}) {
            Asset a = PictureReader.read("art." + format, encoded(format));
            assertThat(a.mediaType()).isEqualTo("image/" + format);
            assertThat(a.width()).isEqualTo(60);
            assertThat(a.height()).isEqualTo(40);
            assertThat(a.hash()).hasSize(64);
        }
    }

    /** A JPEG that asks to be turned by a quarter: the EXIF orientation 6. */
    @Test
    void theOrientationOfAJpegIsFollowed() throws Exception {
        byte[] jpeg = encoded("jpeg");
        byte[] exif = {(byte) 0xFF, (byte) 0xE1, 0, 34, 'E', 'x', 'i', 'f', 0, 0, 'M', 'M', 0, 42, 0, 0, 0, 8, 0, 1, 1, 0x12, 0, 3, 0, 0, 0, 1, 0, 6,
                0, 0,
            0, 0, 0, 0};
        var out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        out.write(exif);
        out.write(jpeg, 2, jpeg.length - 2);
        Asset a = PictureReader.read("turned.jpg", out.toByteArray());
        assertThat(a.width()).isEqualTo(40);
        assertThat(a.height()).isEqualTo(60);
    }

    /** A PNG whose header promises a size that it does not hold. */
    private static byte[] promising(int width, int height) {
        var b = ByteBuffer.allocate(8 + 25 + 14 + 12);
        b.put(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
        byte[] head = ByteBuffer.allocate(17).put("IHDR".getBytes(StandardCharsets.US_ASCII)).putInt(width).putInt(height)
                .put(new byte[] {8, 2, 0, 0, 0}).array();
        var crc = new CRC32();
        crc.update(head);
        b.putInt(13).put(head).putInt((int) crc.getValue());
        byte[] data = {'I', 'D', 'A', 'T', 0x78, (byte) 0x9C};
        crc.reset();
        crc.update(data);
        b.putInt(2).put(data).putInt((int) crc.getValue());
        b.putInt(0).put("IEND".getBytes(StandardCharsets.US_ASCII)).putInt(0xAE426082);
        return b.array();
    }

    static Stream<Arguments> broken() throws Exception {
        byte[] png = encoded("png"), jpeg = encoded("jpeg");
        byte[] damaged = png.clone();
        Arrays.fill(damaged, 60, damaged.length - 20, (byte) 0x5A);
        return Stream.of(Arguments.of("empty", new byte[0], "empty"),
                Arguments.of("a text", "just words".getBytes(StandardCharsets.UTF_8), "not a picture"),
                Arguments.of("PNG cut short", Arrays.copyOf(png, png.length / 2), "damaged or cut short"),
                Arguments.of("PNG cut in its header", Arrays.copyOf(png, 20), "damaged or cut short"),
                Arguments.of("damaged PNG", damaged, "damaged"),
                Arguments.of("JPEG cut short", Arrays.copyOf(jpeg, jpeg.length / 2), "damaged or cut short"),
                Arguments.of("50,000 pixels a side", promising(50_000, 50_000), "50000×50000"),
                Arguments.of("too many pixels", promising(16_000, 16_000), "million"),
                Arguments.of("BMP", encoded("bmp"), "PNG, JPEG, WebP and GIF"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("broken")
    void brokenPicturesAreRefusedWithOneSentence(String kind, byte[] bytes, String words) throws Exception {
        Path file = folder.resolve("art.png");
        Files.write(file, bytes);
        Throwable t = catchThrowable(() -> PictureReader.read(file));
        assertThat(t).isInstanceOf(FileProblem.class);
        assertThat(t.getMessage()).startsWith("“art.png” can't be brought in: ").contains(words).endsWith("Nothing was changed.")
                .doesNotContain("\n");
    }

    @Test
    void aMissingFileAndAFolderAreSaidSo() {
        assertThat(catchThrowable(() -> PictureReader.read(folder.resolve("none.png")))).hasMessageContaining("isn't there");
        assertThat(catchThrowable(() -> PictureReader.read(folder))).hasMessageContaining("it is a folder");
    }
}
