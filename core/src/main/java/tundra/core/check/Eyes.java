package tundra.core.check;

import tundra.core.flip.PictureInk;
import tundra.core.frame.FrameNode;
import tundra.core.model.Project;

/** What checks need to see and can't work out themselves. */
public interface Eyes extends AutoCloseable {
    /** Where pictures are found. */
    void use(Project project);

    /** What of a picture isn't transparent; null when it can't be read. */
    PictureInk picture(String hash);

    /** How much of what two drawings cover looks different, 0 for the same picture to 1 for nothing in common. */
    double difference(FrameNode a, FrameNode b);

    @Override
    void close();
}
