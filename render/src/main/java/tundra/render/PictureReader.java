package tundra.render;

import io.github.humbleui.skija.Bitmap;
import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Codec;
import io.github.humbleui.skija.Data;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import tundra.core.file.FileProblem;
import tundra.core.model.Limits;
import tundra.core.model.Asset;

/** Brings in PNG, JPEG, WebP and GIF files. */
public final class PictureReader {
    private PictureReader() {}

    /** The picture of a file, decoded once to be sure that it is whole. Throws a {@link FileProblem} with one sentence. */
    public static Asset read(Path file) throws IOException {
        String name = file.getFileName().toString();
        byte[] data;
        try {
            if (Files.isDirectory(file)) {
                throw problem(name, "it is a folder");
            }
            if (Files.size(file) > Limits.ENTRY_BYTES) {
                throw problem(name, "it is larger than 256 MB");
            }
            data = Files.readAllBytes(file);
        } catch (NoSuchFileException e) {
            throw problem(name, "it isn't there");
        }
        return read(name, data);
    }

    public static Asset read(String name, byte[] data) throws IOException {
        String type;
        if (data.length == 0) {
            throw problem(name, "it is empty");
        }
        try (Data d = Data.makeFromBytes(data); Codec codec = Codec.makeFromData(d)) {
            type = switch (codec.getEncodedImageFormat()) {
                case PNG -> "image/png";
                case JPEG -> "image/jpeg";
                case WEBP -> "image/webp";
                case GIF -> "image/gif";
                default -> throw problem(name, "Tundra reads PNG, JPEG, WebP and GIF pictures only");
            };
            int w = codec.getImageInfo().getWidth(), h = codec.getImageInfo().getHeight();
            if (w > Limits.SIDE || h > Limits.SIDE || (long) w * h > Limits.PIXELS) {
                throw problem(name, "it measures " + w + "×" + h + " pixels, and Tundra takes up to " + Limits.SIDE + " a side and "
                        + Limits.PIXELS / 1_000_000 + " million in all");
            }
            try (Bitmap whole = codec.readPixels()) {
                whole.setImmutable();
            }
        } catch (IllegalArgumentException | UnsupportedOperationException | IllegalStateException e) {
            throw problem(name, "it is not a picture that can be read, or it is damaged or cut short");
        }
        try (Image image = decode(data)) {
            return Asset.picture(name, type, image.getWidth(), image.getHeight(), data);
        } catch (IllegalArgumentException e) {
            throw problem(name, "it is damaged");
        }
    }

    /** A decoded picture in the orientation that its file asks for. */
    static Image decode(byte[] data) {
        try (Image lazy = Image.makeDeferredFromEncodedBytes(data);
                Surface s = Surface.makeRasterN32Premul(lazy.getWidth(), lazy.getHeight())) {
            Canvas c = s.getCanvas();
            c.drawImage(lazy, 0, 0);
            return s.makeImageSnapshot();
        }
    }

    /** Pixels in rows, not premultiplied ARGB. */
    public record Pixels(int width, int height, int[] argb) {}

    /** The pixels of a picture, made smaller where a side is longer than {@code most}. */
    public static Pixels pixels(Asset a, int most) {
        double k = Math.min(1, (double) most / Math.max(a.width(), a.height()));
        int w = (int) Math.max(1, Math.round(a.width() * k)), h = (int) Math.max(1, Math.round(a.height() * k));
        try (Image whole = decode(a.data()); Surface s = Surface.makeRasterN32Premul(w, h)) {
            s.getCanvas().drawImageRect(whole, Rect.makeWH(whole.getWidth(), whole.getHeight()), Rect.makeWH(w, h),
                    k < 1 ? SamplingMode.MITCHELL : SamplingMode.DEFAULT, null, true);
            try (Image made = s.makeImageSnapshot()) {
                return new Pixels(w, h, Rasters.argb(made));
            }
        }
    }

    private static FileProblem problem(String name, String why) {
        return new FileProblem("“" + name + "” can't be brought in: " + why + ". Nothing was changed.");
    }
}
