package tundra.render;

import io.github.humbleui.skija.Image;
import java.io.IOException;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import tundra.core.model.Asset;

/** Pictures of the videos of a project, by content hash and time. One thread at a time; {@link #close} frees them. */
final class Films implements AutoCloseable {
    /** Pictures that are kept. */
    private static final int KEPT = 12;
    private final Map<String, VideoFrames> open = new HashMap<>();
    private final LinkedHashMap<String, Image> pictures = new LinkedHashMap<>(16, 0.75f, true);
    private Function<String, Asset> assets = hash -> null;

    void use(Function<String, Asset> source) {
        assets = source;
    }

    /** Null where it can't be shown: it was checked when it was brought in. */
    Image at(String hash, long time) {
        String key = hash + " " + time;
        Image known = pictures.get(key);
        if (known != null) {
            return known;
        }
        Image made = decoded(hash, time);
        if (made == null) {
            return null;
        }
        pictures.put(key, made);
        if (pictures.size() > KEPT) {
            var oldest = pictures.entrySet().iterator();
            oldest.next().getValue().close();
            oldest.remove();
        }
        return made;
    }

    private Image decoded(String hash, long time) {
        VideoFrames frames = open.get(hash);
        if (frames == null) {
            Asset a = assets.apply(hash);
            if (a == null || a.kind() != Asset.Kind.VIDEO) {
                return null;
            }
            try {
                frames = new VideoFrames(VideoFile.of(a));
            } catch (IOException e) {
                return null;
            }
            open.put(hash, frames);
        }
        return frames.at(time);
    }

    @Override
    public void close() {
        pictures.values().forEach(Image::close);
        pictures.clear();
        open.values().forEach(VideoFrames::close);
        open.clear();
    }
}
