package tundra.core.fit;

import tundra.core.frame.Frame;
import tundra.core.frame.FrameBuilder;
import tundra.core.frame.Moment;
import tundra.core.frame.TextMeasurer;
import tundra.core.geometry.Point;
import tundra.core.model.Board;
import tundra.core.model.Properties;

/** A scene in a room of another size than it was drawn for: as wide as that, and as high as its rule for heights says. */
public final class Room {
    private Room() {}

    /**
     * @param size of the room, in px, above 0; its height counts where the scene's does not follow from anything else
     * @param time after the scene was opened, in µs, at which its content is looked at
     */
    public static Board of(Board b, Point size, TextMeasurer measure, long time) {
        return switch (b.canvas().get(Properties.SCENE_HEIGHT)) {
            case "with the width" -> Fit.at(b, new Point(size.x(), b.size().y() * size.x() / b.size().x()));
            case "its content's" -> {
                Board wide = Fit.at(b, new Point(size.x(), b.size().y()));
                yield wide.withSize(new Point(size.x(), lowest(wide, measure, time)));
            }
            default -> Fit.at(b, size);
        };
    }

    /** Where the lowest of all that is seen ends, in px, 1 at least. */
    private static double lowest(Board b, TextMeasurer measure, long time) {
        return Math.max(1, new FrameBuilder(b, measure).at(Moment.opened(b, time)).index().values().stream().filter(p -> !p.node().marks().isEmpty()
                || p.node().motif() != null)
                .map(Frame.Placed::bounds).mapToDouble(r -> r.bottom()).max().orElse(1));
    }
}
