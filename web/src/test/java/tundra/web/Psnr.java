package tundra.web;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import javax.imageio.ImageIO;

/** Peak signal-to-noise ratio of two pictures in dB, over the three channels, both on white as a browser's page is. */
final class Psnr {
    private Psnr() {}

    static double of(byte[] pngA, byte[] pngB) throws IOException {
        BufferedImage a = ImageIO.read(new ByteArrayInputStream(pngA)), b = ImageIO.read(new ByteArrayInputStream(pngB));
        if (a.getWidth() != b.getWidth() || a.getHeight() != b.getHeight()) {
            throw new AssertionError("sizes differ: " + a.getWidth() + "x" + a.getHeight() + " and " + b.getWidth() + "x" + b.getHeight());
        }
        int w = a.getWidth(), h = a.getHeight();
        int[] first = a.getRGB(0, 0, w, h, null, 0, w), second = b.getRGB(0, 0, w, h, null, 0, w);
        double sum = 0;
        for (int i = 0; i < first.length; i++) {
            if (first[i] == second[i]) {
                continue;
            }
            int p = onWhite(first[i]), q = onWhite(second[i]);
            for (int s = 0; s < 24; s += 8) {
                int d = (p >> s & 255) - (q >> s & 255);
                sum += d * d;
            }
        }
        double mse = sum / (3.0 * a.getWidth() * a.getHeight());
        return mse == 0 ? 99 : 10 * Math.log10(255 * 255 / mse);
    }

    private static int onWhite(int argb) {
        int a = argb >>> 24, out = 0;
        if (a == 255) {
            return argb & 0xFFFFFF;
        }
        for (int s = 0; s < 24; s += 8) {
            out |= (int) Math.round(((argb >> s & 255) * a + 255.0 * (255 - a)) / 255) << s;
        }
        return out;
    }
}
