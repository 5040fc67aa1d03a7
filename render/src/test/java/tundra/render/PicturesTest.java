package tundra.render;

import static org.assertj.core.api.Assertions.assertThat;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Image;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tundra.core.model.Asset;

/** Decoded pictures are kept up to a bound: those that were painted last. */
class PicturesTest {
    /** A picture of one colour, and how many bytes its pixels are. */
    private static final int SIDE = 100, BYTES = 4 * SIDE * SIDE;

    private static Asset plain(int rgb) throws Exception {
        var image = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < SIDE * SIDE; i++) {
            image.setRGB(i % SIDE, i / SIDE, rgb);
        }
        var out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return Asset.picture(Integer.toHexString(rgb), "image/png", SIDE, SIDE, out.toByteArray());
    }

    private static int corner(Image i) {
        try (var bitmap = new Bitmap()) {
            bitmap.allocPixels(i.getImageInfo());
            i.readPixels(bitmap);
            return bitmap.getColor(0, 0) & 0xFFFFFF;
        }
    }

    @Test
    void theOnesPaintedLongestAgoGoFirstAndComeBackAsTheyWere() throws Exception {
        Map<String, Asset> shelf = new LinkedHashMap<>();
        for (int rgb : new int[] {0xFF0000, 0x00FF00, 0x0000FF, 0x808080}) {
            Asset a = plain(rgb);
            shelf.put(a.hash(), a);
        }
        List<String> all = List.copyOf(shelf.keySet());
        try (var pictures = new Pictures(2 * BYTES)) {
            pictures.use(shelf::get);
            Image first = pictures.at(all.get(0), SIDE);
            pictures.at(all.get(1), SIDE);
            pictures.at(all.get(0), SIDE);
            pictures.at(all.get(2), SIDE);
            assertThat(pictures.bytes()).isEqualTo(2 * BYTES);
            // the second one went, since the first was painted after it
            assertThat(pictures.at(all.get(0), SIDE)).isSameAs(first);
            for (int round = 0; round < 3; round++) {
                assertThat(all.stream().map(h -> corner(pictures.at(h, SIDE))).toList()).containsExactly(0xFF0000, 0x00FF00, 0x0000FF, 0x808080);
                assertThat(pictures.bytes()).isLessThanOrEqualTo(2 * BYTES);
            }
        }
    }

    @Test
    void oneThatIsLargerThanTheBoundIsPaintedAllTheSame() throws Exception {
        Asset a = plain(0x123456);
        try (var pictures = new Pictures(BYTES / 2)) {
            pictures.use(Map.of(a.hash(), a)::get);
            assertThat(corner(pictures.at(a.hash(), SIDE))).isEqualTo(0x123456);
            // a quarter of its width is painted from halves
            assertThat(pictures.at(a.hash(), SIDE / 4.0).getWidth()).isEqualTo(SIDE / 4);
            pictures.rest();
            assertThat(corner(pictures.at(a.hash(), SIDE))).isEqualTo(0x123456);
        }
    }
}
