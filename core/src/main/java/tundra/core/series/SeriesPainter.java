package tundra.core.series;

import java.util.concurrent.CancellationException;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
import tundra.core.model.Element;
import tundra.core.model.Motif;
import tundra.core.model.Project;

/** Paints the pictures of a motif. */
@FunctionalInterface
public interface SeriesPainter {
    /** A {@link CancellationException} says that it was given up. */
    Series paint(Project p, Motif m);

    /**
     * A long shadow by itself.
     *
     * @param area what the picture shows, in the coordinates of the element that casts it
     * @param box of that element
     */
    record Shadow(Asset picture, Rect area, Point box) {}

    /**
     * The shadow of an element whose first effect is a long shadow, as it is at rest; null where none can be painted.
     *
     * @param scale pixels of the picture for each px of the element; fewer where that would be too many
     */
    default Shadow longShadow(Project p, Element e, double scale) {
        return null;
    }

    /** The first scene as a PNG, as it is once its Main timeline is over; null where none can be painted. */
    default byte[] still(Project p) {
        return null;
    }

    /** A picture of a video at a time in µs, as a JPEG; null where none can be painted. */
    default byte[] poster(Asset video, long time) {
        return null;
    }

    /** What a visitor sees so many µs after the first scene was opened, fitted into a picture, as a PNG; null where none can be painted. */
    default byte[] shared(Project p, long time, int width, int height) {
        return null;
    }

    /** A picture in so many pixels and with fewer bytes, as a WebP; null where it can't be had. */
    default Asset smaller(Asset picture, int width, int height) {
        return null;
    }
}
