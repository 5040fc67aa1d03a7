package tundra.core.edit;

import java.util.function.Predicate;
import tundra.core.geometry.Outline;
import tundra.core.geometry.Point;
import tundra.core.geometry.Rect;
import tundra.core.model.Board;
import tundra.core.model.Content;
import tundra.core.model.Element;
import tundra.core.model.Properties;
import tundra.core.model.Property;
import tundra.core.motion.Track;

/** Resting values, also of the properties whose rest is kept elsewhere: in the content, or in another property. */
public final class Resting {
    private Resting() {}

    /** What a property is when no key changes it. */
    public static <T> T of(Board board, String element, Property<T> p) {
        if (p == Properties.OUTLINE) {
            return p.cast(((Content.Path) board.find(element).content()).outline());
        }
        if (p == Properties.POSITION_X || p == Properties.POSITION_Y) {
            Point at = board.rest(element).get(Properties.POSITION);
            return p.cast(p == Properties.POSITION_X ? at.x() : at.y());
        }
        return board.rest(element).get(p);
    }

    public static <T> Board with(Board board, String element, Property<T> p, T value) {
        if (p == Properties.OUTLINE) {
            return board.mapElement(element, e -> e.withContent(outlined((Content.Path) e.content(), (Outline) value)));
        }
        if (p == Properties.POSITION_X || p == Properties.POSITION_Y) {
            Point at = board.rest(element).get(Properties.POSITION);
            double v = (Double) value;
            return board.withRest(element, x -> x.with(Properties.POSITION, p == Properties.POSITION_X ? new Point(v, at.y())
                    : new Point(at.x(), v)));
        }
        if (p == Properties.SIZE && board.find(element) instanceof Element e && e.content() instanceof Content.Group) {
            // what it holds stays where it is
            Point size = (Point) value;
            return GroupBox.set(board, element, new Rect(0, 0, Math.max(1, size.x()), Math.max(1, size.y())));
        }
        return board.withRest(element, v -> v.with(p, value));
    }

    /** Elements rest as their first keys on a timeline have them, so that nothing jumps when that is started. */
    public static Board asFirstKeys(Board board, String timeline, Predicate<String> elements) {
        Board out = board;
        for (var of : board.timeline(timeline).tracks().entrySet()) {
            if (elements.test(of.getKey())) {
                for (var track : of.getValue().entrySet()) {
                    out = asFirstKey(out, of.getKey(), track.getKey(), track.getValue());
                }
            }
        }
        return out;
    }

    @SuppressWarnings("unchecked")
    private static <T> Board asFirstKey(Board b, String element, Property<T> p, Track<?> track) {
        return with(b, element, p, (T) track.keys().getFirst().value());
    }

    private static Content.Path outlined(Content.Path p, Outline o) {
        return new Content.Path(o, p.box(), p.evenOdd());
    }
}
