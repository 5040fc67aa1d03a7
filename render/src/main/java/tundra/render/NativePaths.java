package tundra.render;

import io.github.humbleui.skija.Path;
import java.util.IdentityHashMap;
import java.util.Map;
import tundra.core.geometry.Outline;

/** Skia's paths of outlines, by the outline itself, kept from picture to picture. One thread at a time; {@link #close} frees them. */
final class NativePaths implements AutoCloseable {
    /** Up to so many are kept though no picture shows them; those of the last two pictures always are. */
    private static final int SPARE = 5_000;
    private final Map<Outline, Native> paths = new IdentityHashMap<>();
    private int picture;

    private static final class Native {
        private final Path path;
        private int lastIn;

        Native(Path path) {
            this.path = path;
        }
    }

    /** A new picture begins: what wasn't in the last two may go. */
    void begin() {
        picture++;
        if (paths.size() > SPARE) {
            paths.values().removeIf(n -> {
                boolean old = n.lastIn < picture - 2;
                if (old) {
                    n.path.close();
                }
                return old;
            });
        }
    }

    Path of(Outline outline) {
        Native n = paths.computeIfAbsent(outline, o -> new Native(SkiaShapes.path(o)));
        n.lastIn = picture;
        return n.path;
    }

    int size() {
        return paths.size();
    }

    @Override
    public void close() {
        paths.values().forEach(n -> n.path.close());
        paths.clear();
    }
}
