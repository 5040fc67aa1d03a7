package tundra.core.series;

import java.util.List;
import tundra.core.geometry.Numbers;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;

/**
 * What a motif looks like in each frame of its Main timeline.
 *
 * @param pictures each that is different, all of one size
 * @param shows for each frame the place of its picture in the list
 * @param area what the pictures show, in the motif's coordinates
 * @param scale pixels of a picture for each of the motif's
 * @param decibels the least peak signal-to-noise ratio, against the motif itself, of the frames that were compared
 */
public record Series(List<Asset> pictures, List<Integer> shows, Rect area, double scale, double decibels) {
    /** In words. */
    public String words() {
        Asset first = pictures.getFirst();
        String count = pictures.size() == 1 ? "1 picture" : pictures.size() + " pictures";
        return "As pictures: " + count + " of " + first.width() + " × " + first.height() + ", " + megabytes(memory()) + " there, "
                + megabytes(pictures.stream().mapToLong(a -> a.source().length()).sum()) + " to load, as like as " + Math.round(decibels) + " dB.";
    }

    static String megabytes(long bytes) {
        return bytes < 1 << 20 ? Math.max(1, bytes >> 10) + " KB" : Numbers.plain(bytes / 1048576.0, bytes < 10 << 20 ? 1 : 0) + " MB";
    }

    /** What it takes while it is shown, in bytes. */
    public long memory() {
        return pictures.stream().mapToLong(a -> 4L * a.width() * a.height()).sum();
    }
}
