package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import tundra.core.model.Asset;

/** The decoded pictures of a project and their halves, by content hash. One thread at a time; {@link #close} frees them. */
final class Pictures implements AutoCloseable {
    private final Map<String, List<Image>> halves = new HashMap<>();
    private Function<String, Asset> assets = hash -> null;

    void use(Function<String, Asset> source) {
        assets = source;
    }

    /**
     * The picture halved for as long as it stays at least as large as it is painted, as browsers do before they
     * interpolate; null when it can't be shown.
     *
     * @param width as painted, in device pixels
     */
    Image at(String hash, double width) {
        List<Image> list = halves.computeIfAbsent(hash, this::decode);
        if (list.isEmpty()) {
            return null;
        }
        int level = 0;
        while (level < 12 && list.getFirst().getWidth() / Math.pow(2, level + 1) >= width && width > 0) {
            level++;
            if (list.size() <= level) {
                list.add(halved(list.getLast()));
            }
        }
        return list.get(level);
    }

    private List<Image> decode(String hash) {
        var out = new ArrayList<Image>();
        Asset a = assets.apply(hash);
        if (a != null) {
            try {
                out.add(PictureReader.decode(a.data()));
            } catch (RuntimeException e) {
                // a picture that no longer decodes is painted as nothing; it was checked when it was brought in
                return out;
            }
        }
        return out;
    }

    private static Image halved(Image image) {
        int w = Math.max(1, image.getWidth() / 2), h = Math.max(1, image.getHeight() / 2);
        try (Surface s = Surface.makeRasterN32Premul(w, h)) {
            Canvas c = s.getCanvas();
            c.drawImageRect(image, Rect.makeWH(image.getWidth(), image.getHeight()), Rect.makeWH(w, h), SamplingMode.LINEAR, null, true);
            return s.makeImageSnapshot();
        }
    }

    @Override
    public void close() {
        halves.values().forEach(l -> l.forEach(Image::close));
        halves.clear();
    }
}
