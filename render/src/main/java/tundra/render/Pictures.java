package tundra.render;

import io.github.humbleui.skija.Canvas;
import io.github.humbleui.skija.Image;
import io.github.humbleui.skija.SamplingMode;
import io.github.humbleui.skija.Surface;
import io.github.humbleui.types.Rect;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import tundra.core.model.Asset;

/**
 * The decoded pictures of a project and their halves, by content hash: those that were painted last, up to a bound. One thread at a time;
 * {@link #close} frees them.
 */
final class Pictures implements AutoCloseable {
    /** Bytes of pixels that are kept, and after a rest. */
    private static final long MOST = 192L << 20, RESTING = 48L << 20;
    /** In the order in which they were painted last. */
    private final Map<String, List<Image>> halves = new LinkedHashMap<>(16, 0.75f, true);
    private final long most;
    private long bytes;
    private Function<String, Asset> assets = hash -> null;

    Pictures() {
        this(MOST);
    }

    /** @param most bytes of pixels that are kept; what is painted is there even if it alone has more */
    Pictures(long most) {
        this.most = most;
    }

    void use(Function<String, Asset> source) {
        assets = source;
    }

    /**
     * The picture halved for as long as it stays at least as large as it is painted, as browsers do before they
     * interpolate; null when it can't be shown. It may be closed by the next call.
     *
     * @param width as painted, in device pixels
     */
    Image at(String hash, double width) {
        List<Image> list = halves.get(hash);
        if (list == null) {
            list = decode(hash);
            halves.put(hash, list);
        }
        if (list.isEmpty()) {
            return null;
        }
        int level = 0;
        while (level < 12 && list.getFirst().getWidth() / Math.pow(2, level + 1) >= width && width > 0) {
            level++;
            if (list.size() <= level) {
                list.add(counted(halved(list.getLast())));
            }
        }
        trim(most);
        return list.get(level);
    }

    /** Keeps less of what was painted: for while nothing is painted. */
    void rest() {
        trim(RESTING);
    }

    /** Bytes of pixels that are held now. */
    long bytes() {
        return bytes;
    }

    /** Lets go of what was painted longest ago; what was painted last stays. */
    private void trim(long to) {
        var oldest = halves.values().iterator();
        for (int left = halves.size(); bytes > to && left > 1; left--) {
            for (Image i : oldest.next()) {
                bytes -= size(i);
                i.close();
            }
            oldest.remove();
        }
    }

    private static long size(Image i) {
        return 4L * i.getWidth() * i.getHeight();
    }

    private Image counted(Image i) {
        bytes += size(i);
        return i;
    }

    private List<Image> decode(String hash) {
        var out = new ArrayList<Image>();
        Asset a = assets.apply(hash);
        if (a != null) {
            try {
                out.add(counted(PictureReader.decode(a.data())));
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
        trim(-1);
        halves.values().forEach(l -> l.forEach(Image::close));
        halves.clear();
        bytes = 0;
    }
}
