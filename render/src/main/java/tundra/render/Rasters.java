package tundra.render;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.ColorAlphaType;
import io.github.humbleui.skija.ColorSpace;
import io.github.humbleui.skija.ColorType;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.EncodeWEBPCompressionMode;
import io.github.humbleui.skija.EncodeWEBPOptions;
import io.github.humbleui.skija.EncoderPNG;
import io.github.humbleui.skija.EncoderWEBP;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.ImageInfo;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;

/** The pixels of images. */
final class Rasters {
    private Rasters() {}

    private static ImageInfo info(int w, int h) {
        return new ImageInfo(w, h, ColorType.BGRA_8888, ColorAlphaType.UNPREMUL, ColorSpace.getSRGB());
    }

    /** Row by row, not premultiplied. */
    static int[] argb(Image image) {
        int w = image.getWidth(), h = image.getHeight();
        try (var bitmap = new Bitmap()) {
            bitmap.allocPixels(info(w, h));
            if (!image.readPixels(bitmap)) {
                throw new IllegalStateException("the picture's pixels can't be read");
            }
            byte[] bytes = bitmap.readPixels();
            int[] out = new int[w * h];
            ByteBuffer.wrap(bytes).order(ByteOrder.LITTLE_ENDIAN).asIntBuffer().get(out);
            return out;
        }
    }

    /** The bytes of a WebP that looks the same to the eye and is much smaller than a PNG; its transparency is exact. */
    static byte[] webp(Image image) {
        try (Data data = EncoderWEBP.encode(image, EncodeWEBPOptions.DEFAULT.withCompressionMode(EncodeWEBPCompressionMode.LOSSY).withQuality(95))) {
            return data.getBytes();
        }
    }

    /** The bytes of a WebP of pixels that aren't premultiplied. */
    static byte[] webp(int[] argb, int w, int h) {
        try (Image image = image(argb, w, h)) {
            return webp(image);
        }
    }

    /** In fewer pixels: halved as long as it stays larger, then interpolated. */
    static Image scaled(Image image, int w, int h) {
        Image now = image;
        while (true) {
            int nw = Math.max(w, (now.getWidth() + 1) / 2), nh = Math.max(h, (now.getHeight() + 1) / 2);
            try (Surface s = Surface.makeRasterN32Premul(nw, nh)) {
                s.getCanvas().drawImageRect(now, Rect.makeWH(now.getWidth(), now.getHeight()), Rect.makeWH(nw, nh), SamplingMode.LINEAR, null, true);
                if (now != image) {
                    now.close();
                }
                now = s.makeImageSnapshot();
            }
            if (nw == w && nh == h) {
                return now;
            }
        }
    }

    /** The bytes of a WebP that holds each pixel exactly. */
    static byte[] exactWebp(int[] argb, int w, int h) {
        try (Image image = image(argb, w, h); Data data = EncoderWEBP.encode(image,
                EncodeWEBPOptions.DEFAULT.withCompressionMode(EncodeWEBPCompressionMode.LOSSLESS).withQuality(60))) {
            return data.getBytes();
        }
    }

    private static Image image(int[] argb, int w, int h) {
        ByteBuffer bytes = ByteBuffer.allocate(4 * w * h).order(ByteOrder.LITTLE_ENDIAN);
        bytes.asIntBuffer().put(argb, 0, w * h);
        return Image.makeRasterFromBytes(info(w, h), bytes.array(), 4L * w);
    }

    /** The bytes of a PNG of pixels that aren't premultiplied. */
    static byte[] png(int[] argb, int w, int h) {
        try (Image image = image(argb, w, h); Data data = EncoderPNG.encode(image)) {
            return data.getBytes();
        }
    }
}
