package tundra.core.check;

import java.util.List;
import tundra.core.flip.PictureInk;
import tundra.core.frame.Frame;
import tundra.core.frame.FrameNode;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Asset;
import tundra.core.model.Paint;
import tundra.core.model.Project;

/** What checks need to see and can't work out themselves. */
public interface ImageComparer extends AutoCloseable {
    /** Where pictures are found. */
    void use(Project project);

    /** What of a picture isn't transparent; null when it can't be read. */
    PictureInk picture(String hash);

    /** How much of what two drawings cover looks different, 0 for the same picture to 1 for nothing in common. */
    double difference(FrameNode a, FrameNode b);

    /** The font families that the project's texts can be set in. */
    List<String> families();

    /** The fonts of the project that can't be read. */
    List<Asset> unreadableFonts();

    /** Whether a paint can be painted in a box of a size as it is; else its last colour stands in for it. */
    boolean paints(Paint p, Point box);

    /**
     * What a part of a frame looks like on its ground.
     *
     * @param area on the canvas
     * @return {@code width}×{@code height} opaque pixels as ARGB, row by row
     */
    int[] pixels(Frame f, Rect area, int width, int height);

    /** Whether a font has a letter. */
    boolean hasLetter(String family, int weight, int codePoint);

    @Override
    void close();
}
