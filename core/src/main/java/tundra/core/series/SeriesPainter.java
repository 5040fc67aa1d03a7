package tundra.core.series;

import tundra.core.model.Asset;
import tundra.core.model.Motif;
import tundra.core.model.Project;

/** Paints the pictures of a motif. */
@FunctionalInterface
public interface SeriesPainter {
    /** A {@link java.util.concurrent.CancellationException} says that it was given up. */
    Series paint(Project p, Motif m);

    /** The first scene as a PNG, as it is once its Main timeline is over; null where none can be painted. */
    default byte[] still(Project p) {
        return null;
    }

    /** A picture of a video at a time in µs, as a JPEG; null where none can be painted. */
    default byte[] poster(Asset video, long time) {
        return null;
    }
}
